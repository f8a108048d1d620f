import { useState } from 'react';
import { Link } from 'react-router';
import type { PartCard } from '@calvetta/contract';
import { QUESTION_WORDS, SHUT_REASON_WORDS } from '@calvetta/contract/words';
import { useSheets } from '../../api/queries.ts';
import { useDialogs } from '../../state/dialogs.ts';
import { Button } from '../../ui/Button.tsx';

/** Parts that wait for an answer; null: it waits for none. */
export const questionOf = (card: PartCard): string | null =>
  card.act.code === 'ask-sheet' ? card.act.reason : null;

/** Questions that hold parts up, in one fold: what is not known, what an answer gives, and where it is given. */
export function Questions({ cards }: { readonly cards: readonly PartCard[] }) {
  const [isOpen, setOpen] = useState(false);
  if (cards.length === 0) return null;
  const reasons = [...new Set(cards.map((c) => questionOf(c)!))];
  const of = (reason: string): readonly PartCard[] => cards.filter((c) => questionOf(c) === reason);
  return (
    <section aria-label="Questions" className="border-b border-line bg-panel">
      <button
        type="button"
        aria-expanded={isOpen}
        className="flex min-h-(--row) w-full flex-wrap items-baseline gap-x-3 px-2 text-left hover:bg-ground"
        onClick={() => setOpen(!isOpen)}
      >
        <b className="figure text-[15px] font-semibold">
          {cards.length} {cards.length === 1 ? 'part waits' : 'parts wait'} for an answer
        </b>
        <span className="min-w-0 flex-1 truncate text-[13px] text-quiet">
          {reasons.map((r) => `${SHUT_REASON_WORDS[r] ?? r} (${of(r).length})`).join(' · ')}
        </span>
        <span className="text-[13px] underline">{isOpen ? 'fold' : 'answer'}</span>
      </button>
      {isOpen ? (
        <ul className="px-2 pb-2">
          {reasons.map((r) => (
            <li key={r} className="border-t border-line/60 py-1.5">
              <p className="text-[14px]">
                <b className="font-semibold">{QUESTION_WORDS[r]?.ask ?? SHUT_REASON_WORDS[r] ?? r}</b>{' '}
                {QUESTION_WORDS[r]?.gives ?? ''}
              </p>
              <ul>
                {of(r).map((c) => (
                  <Waiting key={c.partId} card={c} reason={r} />
                ))}
              </ul>
            </li>
          ))}
        </ul>
      ) : null}
    </section>
  );
}

/** One part that waits, with the acts that answer. */
function Waiting({ card, reason }: { readonly card: PartCard; readonly reason: string }) {
  const show = useDialogs((s) => s.show);
  const sheets = useSheets().data?.sheets;
  const likeIt = sheets?.find((s) => s.name === card.lastCoat?.name);
  const log = (factKind: 'abraded' | 'coated') => () => show({ kind: 'log', partId: card.partId, factKind });
  return (
    <li data-asked={card.partId} className="flex flex-wrap items-center gap-2 py-0.5 text-[14px]">
      <span className="min-w-[200px] flex-1">
        <Link className="font-semibold underline" to={`/parts/${encodeURIComponent(card.partId)}`}>
          {card.name}
        </Link>{' '}
        <span className="text-[13px] text-quiet">
          · {card.machineName}
          {card.lastCoat ? ` · ${card.lastCoat.name}` : ''}
        </span>
      </span>
      {reason === 'clock' ? (
        <Button isInRow onClick={() => show({ kind: 'reading', placeId: card.placeId })}>
          Add a reading
        </Button>
      ) : reason === 'bare-limit' ? (
        <Button isInRow onClick={log('coated')}>
          Looked: coat it
        </Button>
      ) : (
        <Button isInRow onClick={() => show({ kind: 'own-sheet', familyId: likeIt?.productId ?? null })}>
          Type its sheet
        </Button>
      )}
      {reason === 'clock' ? null : (
        <Button isInRow onClick={log('abraded')}>
          Abrade it
        </Button>
      )}
      <Button isInRow onClick={() => show({ kind: 'why', partId: card.partId })}>
        Why?
      </Button>
    </li>
  );
}
