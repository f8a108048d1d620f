import type { StockFact } from '@calvetta/core';
import type { ShelfResponse } from '@calvetta/contract';
import { STOCK_WORDS, WASTE_WORDS } from '@calvetta/contract/words';
import { useShop } from '../../api/queries.ts';
import { refusedWords } from '../../record/refusal.ts';
import { useStock } from '../../record/useRecord.ts';
import { useDialogs } from '../../state/dialogs.ts';
import { useNotices } from '../../state/notices.ts';
import { Button } from '../../ui/Button.tsx';
import { dayAndTime } from '../../ui/time.ts';
import { useUnits } from '../../ui/useUnits.ts';
import { tinName } from '../../words/tinWords.ts';

const SHOWN = 14;

interface Props {
  readonly shelf: ShelfResponse;
  readonly zone: string;
}

/** What happened to the stock, newest first: each can be voided, a mix corrected; the original is kept. */
export function StockHistory({ shelf, zone }: Props) {
  const shop = useShop();
  const units = useUnits();
  const stock = useStock();
  const say = useNotices((s) => s.say);
  const show = useDialogs((s) => s.show);
  const facts = [...shelf.facts].reverse().slice(0, SHOWN);
  const tinWords = (tinId: string | undefined): string => {
    const tin = shelf.tins.find((t) => t.tinId === tinId);
    return tin ? `${tinName(tin)}${tin.batch === null ? '' : ` ${tin.batch}`}` : 'a tin';
  };
  const words = (f: StockFact): string => {
    switch (f.kind) {
      case 'mixed':
        return `${tinWords(f.body.aTinId)}: ${units.volume(f.body.aMl)} + ${units.volume(f.body.bMl)} + ${units.volume(f.body.thinnerMl)} thinner`;
      case 'wasted':
        return `${units.volume(f.body.ml)}, ${WASTE_WORDS[f.body.why]}`;
      case 'tin-weighed':
        return `${tinWords(f.body.tinId)}: ${units.volume(f.body.ml)}, ${f.body.by}`;
      case 'tin-received':
        return `${tinWords(f.body.tinId)}: ${units.volume(f.body.ml)}`;
      case 'tin-opened':
      case 'tin-binned':
        return tinWords(f.body.tinId);
      case 'batch-certified':
        return `${tinWords(f.body.tinId)}: ${f.body.certificate}`;
      // What is about people and gauges is no matter of the shelf, and not among its entries.
      default:
        return '';
    }
  };
  const undo = (f: StockFact): void =>
    void stock({ kind: 'stock-voided', about: STOCK_WORDS[f.kind], supersedes: f.factId, body: {} }).catch(
      (e: unknown) => say({ tone: 'trouble', text: refusedWords(e, 'It could not be voided; try again.') }),
    );
  return (
    <section aria-label="Stock history" className="border border-line bg-panel p-3">
      <h2 className="text-[18px]">What happened to it</h2>
      <ul>
        {facts.map((f) => (
          <li
            key={f.factId}
            className="grid min-h-8 grid-cols-[minmax(0,1fr)_auto] items-center gap-x-2 border-t border-line/60 text-[14px]"
          >
            <span>
              <strong>{STOCK_WORDS[f.kind]}</strong> {words(f)}{' '}
              <span className="text-[12px] text-quiet">
                {dayAndTime(f.happenedAtMs, zone)} ·{' '}
                {shop.data?.people.find((p) => p.personId === f.personId)?.name ?? f.personId}
              </span>
            </span>
            <span className="flex gap-1">
              {f.kind === 'mixed' ? (
                <Button isInRow look="quiet" onClick={() => show({ kind: 'correct-mix', fact: f })}>
                  Correct
                </Button>
              ) : null}
              <Button isInRow look="quiet" onClick={() => undo(f)}>
                Void
              </Button>
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
