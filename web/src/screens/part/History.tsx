import { rustDegree, type FactBodies, type FactKind } from '@calvetta/core';
import type { FactView, PartDetail, RouteStepView } from '@calvetta/contract';
import {
  CLOSED_WORDS,
  EVIDENCE_WORDS,
  FACT_WORDS,
  LEVEL_STANDARD_WORDS,
  LEVEL_WITH_WORDS,
  ORIGIN_WORDS,
  REMEDY_WORDS,
  REPAIR_WORDS,
  TEST_WORDS,
} from '@calvetta/contract/words';
import { useShop } from '../../api/queries.ts';
import { useDialogs } from '../../state/dialogs.ts';
import { dayAndTime } from '../../ui/time.ts';
import { useUnits } from '../../ui/useUnits.ts';
import { LOG_KINDS } from '../../dialogs/factForms.ts';
import { refusedWords } from '../../record/refusal.ts';
import { useRecord } from '../../record/useRecord.ts';
import { useNotices } from '../../state/notices.ts';
import { cardWords } from '../../words/cardWords.ts';
import { findingName } from '../inspect/findingName.ts';
import { stepName } from '../../words/stepWords.ts';

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
const mixText = (mix: FactView['mix']): string =>
  mix === null
    ? ''
    : `, mix ${Math.round(mix.ageMinutes)} min old${mix.hardenerBatch === null ? '' : `, hardener ${mix.hardenerBatch}`}`;

/** Which step it was, how it came out, what was found. */
function stepText(body: FactBodies['step-done'], steps: readonly RouteStepView[]): string {
  const step = steps.find((s) => s.stepId === body.stepId);
  const words = [
    step ? stepName(step) : body.stepId,
    ...(body.passed === undefined ? [] : [body.passed ? 'passed' : 'failed']),
    ...(body.isTimeUnknown === true ? ['time not known'] : []),
    ...(body.found === undefined ? [] : [body.found]),
  ];
  return words.join(' · ');
}

/** What was found, measured and decided, in a few words. */
function inspectText(fact: FactView): string {
  switch (fact.kind) {
    case 'found':
      return findingName({ fact });
    case 'finding-answered':
      return `${EVIDENCE_WORDS[fact.body.code].ask} ${fact.body.says === 'unknown' ? 'taken back' : fact.body.says}`;
    case 'remedy-set':
      return REMEDY_WORDS[fact.body.remedy];
    case 'repair-chosen':
      return `${REPAIR_WORDS[fact.body.repair]}${fact.body.reason ? ` — ${fact.body.reason}` : ''}`;
    case 'finding-closed':
      return `${CLOSED_WORDS[fact.body.how]}${fact.body.by ? `, ${fact.body.by}` : ''}${fact.body.reason ? ` — ${fact.body.reason}` : ''}`;
    case 'pits-measured':
      return `${fact.body.deepestMm.length} patches, deepest ${Math.max(...fact.body.deepestMm)} mm`;
    case 'level-set':
      return LEVEL_STANDARD_WORDS[fact.body.standard].name;
    case 'levelled':
      return `${LEVEL_WITH_WORDS[fact.body.what]}, P${fact.body.gritP}, ${fact.body.showingPct} % still showing`;
    case 'adhesion-tried':
      return fact.body.detachedPct !== undefined
        ? `${fact.body.detachedPct} % came off`
        : fact.body.pullMpa !== undefined
          ? `${fact.body.pullMpa} MPa`
          : fact.body.isSound
            ? 'it holds'
            : 'it comes off';
    case 'rust-measured':
      return `${fact.body.sharePct.toFixed(2)} %, ${fact.body.fromPct.toFixed(2)} to ${fact.body.toPct.toFixed(2)} %, Ri ${rustDegree(fact.body.sharePct)}`;
    case 'card-tested':
      return cardWords(fact.body);
    case 'pictured':
      return [fact.body.stage, fact.body.note].filter((w) => w !== undefined).join(', ');
    default:
      return '';
  }
}

function FactWords({ fact, steps }: { readonly fact: FactView; readonly steps: readonly RouteStepView[] }) {
  const units = useUnits();
  const face = fact.face === null ? '' : `, face ${fact.face}`;
  const detail = ((): string => {
    switch (fact.kind) {
      case 'coated':
        return `${fact.productName ?? fact.body.sheetId}, ${units.film(fact.body.dftUm)}${fact.body.tool ? `, ${fact.body.tool}` : ''}${fact.body.batch ? `, batch ${fact.body.batch}` : ''}${fact.body.thinnerPct ? `, thinned ${fact.body.thinnerPct} %` : ''}${mixText(fact.mix)}${fact.body.reason ? ` — ${fact.body.reason}` : ''}`;
      case 'film-read':
        return `${fact.body.by === 'comb' ? 'wet comb' : `${fact.body.readingsUm.length} readings`}, mean ${units.film(fact.body.readingsUm.reduce((s, x) => s + x, 0) / fact.body.readingsUm.length)} as read`;
      case 'stripped':
      case 'pretreated':
        return fact.body.method.replaceAll('-', ' ');
      case 'abraded':
        return `${fact.body.how}${fact.body.gritP ? `, P${fact.body.gritP}` : ''}`;
      case 'tested':
        return `${TEST_WORDS[fact.body.test]}: ${fact.body.reached ? 'passed' : 'not yet'}`;
      case 'moved':
        return `to ${fact.placeName ?? fact.body.placeId}`;
      case 'surface-read':
        return units.temp(fact.body.surfaceC);
      case 'baked':
        return `${units.temp(fact.body.tempC, 0)} for ${fact.body.minutes} min`;
      case 'contaminated':
      case 'wetted':
        return `by ${fact.body.by.replaceAll('-', ' ')}`;
      case 'turned':
        return `face ${fact.body.faceUp} up`;
      case 'surveyed':
        return `${fact.body.survey.finish} finish, ${fact.body.survey.category}`;
      case 'route-set':
        return `${ORIGIN_WORDS[fact.body.origin]}, ${fact.body.steps.length} steps${fact.body.reason ? ` — ${fact.body.reason}` : ''}`;
      case 'step-done':
        return stepText(fact.body, steps);
      case 'noted':
        return fact.body.text;
      default:
        return inspectText(fact);
    }
  })();
  return (
    <>
      <strong>{FACT_WORDS[fact.kind]}</strong>
      {face} {detail}
    </>
  );
}
