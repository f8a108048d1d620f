import { useEffect } from 'react';
import { Link, useSearchParams } from 'react-router';
import { CONTENTS, newestSheet, type ProductSheet } from '@calvetta/core';
import type { ShelfResponse, TinView } from '@calvetta/contract';
import { usePlanBuy, useSheets, useShelf, useShop } from '../../api/queries.ts';
import { SheetTimes } from '../../drawings/SheetTimes.tsx';
import { useDialogs } from '../../state/dialogs.ts';
import { Button } from '../../ui/Button.tsx';
import { Empty } from '../../ui/Empty.tsx';
import { ToBuy } from '../../ui/ToBuy.tsx';
import { Waiting } from '../../ui/Trouble.tsx';
import { Attention } from './Attention.tsx';
import { LedgerTable } from './LedgerTable.tsx';
import { Shopping } from './Shopping.tsx';
import { StockHistory } from './StockHistory.tsx';
import { TinRow } from './TinRow.tsx';
import { Heading } from '../../ui/Heading.tsx';

/** Tins by product with what is left of each and for how long; what the routes still need; what to buy; where it all went. */
export default function ShelfScreen() {
  const shelf = useShelf();
  const sheets = useSheets();
  const shop = useShop();
  if (!shelf.data || !sheets.data || !shop.data)
    return <Waiting isPage error={shelf.error ?? sheets.error ?? shop.error} what="shelf" />;
  return <Shelf shelf={shelf.data} sheets={sheets.data.sheets} zone={shop.data.zone} />;
}

interface Props {
  readonly shelf: ShelfResponse;
  readonly sheets: readonly ProductSheet[];
  readonly zone: string;
}

/** Paint first, then what it is mixed with; what is to be taken first at the top. */
const byContent = (a: TinView, b: TinView): number =>
  CONTENTS.indexOf(a.content) - CONTENTS.indexOf(b.content) || (a.turn ?? 99) - (b.turn ?? 99);

/** Two tins of which either would do. */
const isRival = (a: TinView, b: TinView): boolean =>
  a.productId === b.productId && a.content === b.content && a.colour === b.colour;

function Shelf({ shelf, sheets, zone }: Props) {
  const [params] = useSearchParams();
  const show = useDialogs((s) => s.show);
  const asked = params.get('tin');
  const tins = shelf.tins.filter(
    (t) => !t.isBinned && (t.levelMl > 0 || t.asksWeighing || t.tinId === asked),
  );
  const products = [...new Map(tins.map((t) => [t.productId, t.productName]))].sort((a, b) =>
    a[1] < b[1] ? -1 : 1,
  );
  // A label's code leads here: its tin is what the person holds in the hand.
  const scannedId = asked === null ? null : (shelf.tins.find((t) => t.tinId === asked)?.tinId ?? null);
  useEffect(() => {
    if (scannedId !== null) show({ kind: 'weigh', tinId: scannedId });
  }, [scannedId, show]);
  return (
    <div className="flex flex-col gap-4 p-4 max-md:p-2">
      <div className="flex flex-wrap items-center gap-3">
        <Heading title={['Shelf']}>Shelf</Heading>
        <p className="text-quiet">{tins.length} tins that hold something</p>
        <div className="ml-auto flex gap-2">
          <Link
            className="figure inline-flex min-h-11 items-center rounded-sm border border-ink/60 bg-panel px-4 text-[15px] hover:border-ink"
            to="/shelf/labels"
          >
            Tin labels
          </Link>
          <Button look="main" onClick={() => show({ kind: 'receive' })}>
            Receive a tin
          </Button>
        </div>
      </div>
      <Attention shelf={shelf} zone={zone} onWeigh={(tin) => show({ kind: 'weigh', tinId: tin.tinId })} />
      <div className="grid items-start gap-4 xl:grid-cols-[minmax(0,1fr)_380px]">
        <div className="flex min-w-0 flex-col gap-4">
          <section aria-label="Tins" className="flex flex-col border border-line bg-panel">
            {products.length === 0 ? (
              <Empty
                title="The shelf is empty"
                text="Receive a tin: its product, batch and size. From then on every mix draws it down."
              />
            ) : null}
            {products.map(([productId, name]) => (
              <ProductTins
                key={productId}
                name={name}
                sheet={newestSheet(sheets, productId)}
                tins={tins.filter((t) => t.productId === productId)}
                asked={asked}
              />
            ))}
            <p className="border-t border-line px-3 py-2 text-[13px] text-quiet">
              Times of each sheet against temperature: <span className="text-good">recoat from</span>,{' '}
              <span className="text-bad">recoat until</span>, <span className="text-warn">pot life</span>.
              Sheets are read and written as JSON under{' '}
              <Link className="underline" to="/reference">
                Reference
              </Link>
              .
            </p>
          </section>
          <StockHistory shelf={shelf} zone={zone} />
        </div>
        <div className="flex flex-col gap-4">
          <ForThePlan zone={zone} />
          <Shopping shelf={shelf} />
          <LedgerTable accounts={shelf.accounts} />
        </div>
      </div>
    </div>
  );
}

/** What the plan that holds takes, by when. */
function ForThePlan({ zone }: { readonly zone: string }) {
  const { data } = usePlanBuy();
  if (!data || data.lines.length === 0) return null;
  return (
    <section
      aria-label="For the plan, in time"
      className="flex flex-col gap-1 border border-line bg-panel p-3"
    >
      <h2 className="text-[18px]">For the plan, in time</h2>
      <ToBuy lines={data.lines} zone={zone} />
      <Link className="link-alone text-[13px]" to="/plan">
        The plan that takes it
      </Link>
    </section>
  );
}

interface TinsProps {
  readonly name: string;
  readonly sheet: ProductSheet | null;
  readonly tins: readonly TinView[];
  /** The tin a label's code led to. */
  readonly asked: string | null;
}

/** The tins of one product, beside the times of its sheet. */
function ProductTins({ name, sheet, tins, asked }: TinsProps) {
  const show = useDialogs((s) => s.show);
  return (
    <div className="grid gap-x-3 border-t border-line px-3 py-2 first:border-t-0 md:grid-cols-[minmax(0,1fr)_184px]">
      <div className="min-w-0">
        <h2 className="text-[16px]">{name}</h2>
        {[...tins].sort(byContent).map((t) => (
          <TinRow
            key={t.tinId}
            tin={t}
            colour={sheet?.bandColour ?? 'var(--metal)'}
            isAsked={t.tinId === asked}
            hasRival={tins.some((x) => x !== t && isRival(x, t))}
            onWeigh={() => show({ kind: 'weigh', tinId: t.tinId })}
          />
        ))}
      </div>
      <div className="max-md:hidden">{sheet ? <SheetTimes sheet={sheet} /> : null}</div>
    </div>
  );
}
