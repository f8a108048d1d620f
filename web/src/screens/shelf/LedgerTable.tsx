import { CONTENTS, type Account } from '@calvetta/core';
import type { ShelfResponse } from '@calvetta/contract';
import { CONTENT_WORDS } from '@calvetta/contract/words';
import { useUnits } from '../../ui/useUnits.ts';

const ROWS: readonly (readonly [keyof Account, string])[] = [
  ['boughtMl', 'Came in'],
  ['inTinsMl', 'In the tins'],
  ['mixedMl', 'In the cups'],
  ['onPartsMl', 'On the parts'],
  ['oversprayMl', 'Overspray, evaporated'],
  ['wasteMl', 'Waste'],
  ['unexplainedMl', 'Unexplained'],
];

/** Where everything went: each column adds up to what came in. */
export function LedgerTable({ accounts }: { readonly accounts: ShelfResponse['accounts'] }) {
  const units = useUnits();
  const shown = (ml: number): string => (ml < -0.5 ? `−${units.volume(-ml)}` : units.volume(Math.max(0, ml)));
  return (
    <section aria-label="Where it went" className="border border-line bg-panel p-3">
      <h2 className="text-[18px]">Where it went</h2>
      <table className="w-full text-[14px]">
        <thead>
          <tr className="text-[13px] text-quiet">
            <td />
            {CONTENTS.map((c) => (
              <th key={c} scope="col" className="text-right font-normal">
                {CONTENT_WORDS[c]}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {ROWS.map(([key, word]) => (
            <tr key={key} className={`border-t ${key === 'inTinsMl' ? 'border-ink/40' : 'border-line/60'}`}>
              <th scope="row" className="py-0.5 text-left font-normal">
                {word}
              </th>
              {CONTENTS.map((c) => (
                <td key={c} className="figure text-right">
                  {shown(accounts[c][key])}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-[12px] text-quiet">
        Came in = all the rest together. Overspray is what left the tool and is not on a part; a stock-take’s
        difference is unexplained, below nothing when paint was found.
      </p>
    </section>
  );
}
