import { useState } from 'react';
import type { ShelfResponse, ShoppingResponse } from '@calvetta/contract';
import { CONTENT_WORDS } from '@calvetta/contract/words';
import { useMachines, useShopping } from '../../api/queries.ts';
import { useDialogs } from '../../state/dialogs.ts';
import { useUnits } from '../../ui/useUnits.ts';
import { useMoney } from '../../ui/money.ts';

/** What the routes still ask for against what is there, and the cheapest packs that cover what is short. */
export function Shopping({ shelf }: { readonly shelf: ShelfResponse }) {
  const money = useMoney();
  const machines = useMachines();
  const [scope, setScope] = useState('all');
  const list = useShopping(scope);
  return (
    <section aria-label="Shopping" className="border border-line bg-panel p-3">
      <div className="flex flex-wrap items-center gap-2">
        <h2 className="text-[18px]">To buy</h2>
        <select aria-label="For" value={scope} onChange={(e) => setScope(e.target.value)}>
          <option value="all">for all routes</option>
          <option value="in-hand">for the work in hand</option>
          {machines.data?.machines.map((m) => (
            <option key={m.machineId} value={m.machineId}>
              for {m.name}
            </option>
          ))}
        </select>
        <a
          className="figure ml-auto underline pointer-coarse:min-h-11"
          href={`/api/shopping.csv?for=${encodeURIComponent(scope)}`}
        >
          CSV
        </a>
      </div>
      {list.data?.lines.length === 0 ? (
        <p className="mt-2 text-quiet">Nothing is short: the shelf covers these routes.</p>
      ) : null}
      <table className="mt-1 w-full text-[14px]">
        <tbody>
          {list.data?.lines.map((l) => (
            <Line key={`${l.productId}${l.content}${l.colour ?? ''}`} line={l} packs={shelf.packs} />
          ))}
        </tbody>
        {list.data && list.data.lines.length > 0 ? (
          <tfoot>
            <tr className="figure border-t border-ink/40">
              <td className="py-1" colSpan={2}>
                cheapest in the packs known, then least left over
              </td>
              <td className="py-1 text-right text-[16px]">{money.price(list.data.cents)}</td>
            </tr>
          </tfoot>
        ) : null}
      </table>
      <p className="mt-1 text-[12px] text-quiet">
        Paint by area, film and profile at the usual transfer of a low-pressure gun; the parts without an area
        are not in it. A pack opens the sizes it is sold in.
      </p>
    </section>
  );
}

interface LineProps {
  readonly line: ShoppingResponse['lines'][number];
  readonly packs: ShelfResponse['packs'];
}

/** One product: what it needs, and the packs that cover it; a touch opens the sizes it is sold in. */
function Line({ line: l, packs }: LineProps) {
  const money = useMoney();
  const units = useUnits();
  const show = useDialogs((s) => s.show);
  const packOf = (id: string) => packs.find((p) => p.packId === id);
  return (
    <tr className="border-t border-line/60 align-top">
      <td className="py-1">
        {l.productName}
        {l.content === 'paint' ? '' : `, ${CONTENT_WORDS[l.content]}`}
        {l.colour === null ? '' : `, ${l.colour}`}
        <span className="block text-[12px] text-quiet">
          needs {units.volume(l.needMl)}, has {units.volume(l.haveMl)}, {l.partIds.length}{' '}
          {l.partIds.length === 1 ? 'part' : 'parts'}
          {l.cover && l.cover.wasteMl >= 1 ? `; ${units.volume(l.cover.wasteMl)} over` : ''}
        </span>
      </td>
      <td className="figure py-1 pl-2 text-right whitespace-nowrap">
        <button
          type="button"
          className={`text-right underline-offset-2 hover:underline pointer-coarse:min-h-11 ${l.cover === null ? 'text-warn underline' : ''}`}
          onClick={() =>
            show({
              kind: 'packs',
              productId: l.productId,
              productName: l.productName,
              content: l.content,
            })
          }
        >
          {l.cover === null
            ? 'no pack known'
            : l.cover.packs.map((p) => (
                <span key={p.offerId} className="block">
                  {p.count} × {units.volume(packOf(p.offerId)?.sizeMl ?? 0)}
                </span>
              ))}
        </button>
      </td>
      <td className="figure py-1 pl-3 text-right">{l.cover === null ? '' : money.price(l.cover.cents)}</td>
    </tr>
  );
}
