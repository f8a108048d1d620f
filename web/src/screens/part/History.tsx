import type { FactKind } from '@calvetta/core';
import type { FactView, PartDetail, RouteStepView } from '@calvetta/contract';
import { FACT_WORDS, factDetail, stepName } from '@calvetta/contract/words';
import { useShop } from '../../api/queries.ts';
import { useDialogs } from '../../state/dialogs.ts';
import { dayAndTime } from '../../ui/time.ts';
import { useMoney } from '../../ui/money.ts';
import { useUnits } from '../../ui/useUnits.ts';
import { LOG_KINDS } from '../../dialogs/factForms.ts';
import { refusedWords } from '../../record/refusal.ts';
import { useRecord } from '../../record/useRecord.ts';
import { useNotices } from '../../state/notices.ts';

/** Everything that happened to the part, newest first. Corrected and voided entries stay, struck through. */
export function History({ part }: { readonly part: PartDetail }) {
  const shop = useShop();
  const show = useDialogs((s) => s.show);
  const record = useRecord();
  const say = useNotices((s) => s.say);
  // Readings are taken again, not corrected.
  const undo = (f: FactView): void =>
    void record({
      kind: 'voided',
      partId: f.partId,
      partName: part.card.name,
      face: f.face,
      happenedMs: Date.now(),
      endedMs: null,
      supersedes: f.factId,
      body: {},
    }).catch((e: unknown) =>
      say({ tone: 'trouble', text: refusedWords(e, 'It could not be voided; try again.') }),
    );
  const who = (id: string): string => shop.data?.people.find((p) => p.personId === id)?.name ?? id;
  return (
    <section aria-label="History" className="border border-line bg-panel p-3">
      <h2 className="mb-1 text-[16px]">History</h2>
      {part.facts.length === 0 ? (
        <p className="text-quiet">Nothing logged yet. “Log…” stores what was done.</p>
      ) : null}
      <ul>
        {part.facts
          .filter((f) => f.kind !== 'voided')
          .map((f) => (
            <li
              key={f.factId}
              data-row={f.partId}
              className={`grid min-h-8 grid-cols-[126px_1fr_auto] items-center gap-3 border-t border-line/60 ${f.isStanding ? '' : 'text-quiet line-through'}`}
            >
              <span className="figure text-[13px] text-quiet">
                {dayAndTime(f.endedAtMs ?? f.happenedAtMs, part.zone)}
              </span>
              <span className="min-w-0">
                <FactWords fact={f} steps={part.route} />{' '}
                <span className="text-[13px] text-quiet">· {who(f.personId)}</span>
              </span>
              {f.isStanding && LOG_KINDS.includes(f.kind) ? (
                <button
                  type="button"
                  className="figure min-h-8 px-2 text-[13px] underline underline-offset-2 pointer-coarse:min-h-11"
                  onClick={() => show({ kind: 'log', partId: f.partId, factKind: f.kind, correct: f })}
                >
                  Correct
                </button>
              ) : f.isStanding && VOIDED_HERE.includes(f.kind) ? (
                <button
                  type="button"
                  className="figure min-h-8 px-2 text-[13px] underline underline-offset-2 pointer-coarse:min-h-11"
                  onClick={() => undo(f)}
                >
                  Void
                </button>
              ) : null}
            </li>
          ))}
      </ul>
    </section>
  );
}

/** Entries without a form to correct them in: they are voided and made again. */
const VOIDED_HERE: readonly FactKind[] = [
  'film-read',
  'step-done',
  'pits-measured',
  'levelled',
  'level-set',
  'adhesion-tried',
  'pictured',
  'rust-measured',
  'card-tested',
  'remedy-set',
  'repair-chosen',
];

/** What a coat has from its mix: how old it was, and its hardener's batch. */
const mixText = (mix: FactView['mix']): string | null =>
  mix === null
    ? null
    : `mix ${Math.round(mix.ageMinutes)} min old${mix.hardenerBatch === null ? '' : `, hardener ${mix.hardenerBatch}`}`;

function FactWords({ fact, steps }: { readonly fact: FactView; readonly steps: readonly RouteStepView[] }) {
  const units = useUnits();
  const money = useMoney();
  const step = fact.kind === 'step-done' ? steps.find((s) => s.stepId === fact.body.stepId) : undefined;
  const detail = factDetail(
    fact,
    {
      productName: fact.productName,
      placeName: fact.placeName,
      mixText: mixText(fact.mix),
      stepName: step ? stepName(step) : null,
    },
    { film: units.film, temp: units.temp, money: money.price },
  );
  return (
    <>
      <strong>{FACT_WORDS[fact.kind]}</strong>
      {fact.face === null ? '' : `, face ${fact.face}`} {detail}
    </>
  );
}
