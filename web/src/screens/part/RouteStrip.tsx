import { Link } from 'react-router';
import type { PartDetail, RouteStepView } from '@calvetta/contract';
import {
  ANSWER_WORDS,
  CAUTION_WORDS,
  ORIGIN_WORDS,
  stepName,
  SURVEY_WORDS,
  WHAT_WORDS,
} from '@calvetta/contract/words';
import type { StepRecord } from '@calvetta/core';
import { useShop } from '../../api/queries.ts';
import { useDialogs } from '../../state/dialogs.ts';
import { dayAndTime } from '../../ui/time.ts';
import { useUnits } from '../../ui/useUnits.ts';
import { LOGS_AS } from '../../words/stepWords.ts';

/** The route as a vertical strip: what is done, what comes next, what is still to come. */
export function RouteStrip({ part }: { readonly part: PartDetail }) {
  const nextId = nextOf(part);
  const common = commonCautions(part.route);
  return (
    <section aria-label="Route" className="border border-line bg-panel p-3">
      <h2 className="mb-1 text-[16px]">
        Route{' '}
        {part.routeSet ? (
          <span
            className={`text-[13px] font-normal ${part.routeSet.origin === 'overridden' ? 'text-bad' : 'text-quiet'}`}
          >
            {ORIGIN_WORDS[part.routeSet.origin]}
            {part.routeSet.reason ? `: ${part.routeSet.reason}` : ''}
          </span>
        ) : null}
      </h2>
      {common.size > 0 ? (
        <p className="mb-1 text-[13px]">
          <Cautions codes={[...common]} /> <span className="text-quiet">for the whole of it</span>
        </p>
      ) : null}
      {part.route.length === 0 ? (
        <p className="text-quiet">
          No route yet.{' '}
          <Link
            className="underline underline-offset-2"
            to={`/parts/${encodeURIComponent(part.card.partId)}/route`}
          >
            Survey it and choose one
          </Link>
          : then it is known what goes on, and when.
        </p>
      ) : null}
      <ol className="border-l-2 border-line">
        {part.route.map((s) => (
          <Step
            key={s.stepId}
            part={part}
            step={s}
            zone={part.survey?.zones.find((z) => z.zoneId === s.zoneId)?.name ?? null}
            common={common}
            isNext={s.stepId === nextId}
          />
        ))}
      </ol>
    </section>
  );
}

/** What is to be done next: the first step that is to come; where all before a coat is done, that coat. */
function nextOf(part: PartDetail): string | undefined {
  const next = part.route.find((s) => (s.record ? s.record.status === 'to-come' : s.coatsDone < s.coats));
  return next?.stepId ?? part.card.next?.stepId;
}

/** Cautions that concern three steps or more stand once, and not in every step. */
function commonCautions(steps: readonly RouteStepView[]): ReadonlySet<string> {
  const counts = new Map<string, number>();
  for (const s of steps) for (const c of s.cautions) counts.set(c, (counts.get(c) ?? 0) + 1);
  return new Set([...counts].filter(([, n]) => n >= 3).map(([c]) => c));
}

interface StepProps {
  readonly part: PartDetail;
  readonly step: RouteStepView;
  /** The zone it is for, where that is not the outside. */
  readonly zone: string | null;
  readonly isNext: boolean;
  /** Cautions that stand once, above. */
  readonly common: ReadonlySet<string>;
}

const MARKS = {
  recorded: 'bg-ink',
  'not-recorded': 'bg-panel border-dashed',
  'to-come': 'bg-panel',
} as const;

function Step({ part, step, zone, isNext, common }: StepProps) {
  const units = useUnits();
  const isDone = step.record ? step.record.status === 'recorded' : step.coatsDone >= step.coats;
  const mark = step.record ? MARKS[step.record.status] : isDone ? 'bg-ink' : 'bg-panel';
  return (
    <li
      className={`relative flex flex-wrap items-baseline gap-x-2 py-0.5 pl-4 ${isDone && !isNext ? 'text-quiet' : ''}`}
      aria-current={isNext ? 'step' : undefined}
    >
      <span
        aria-hidden="true"
        className={`absolute top-[9px] -left-[6px] size-2.5 border border-ink ${isNext && !isDone ? 'bg-mark' : mark}`}
      />
      <span className={isNext ? 'font-semibold' : ''}>
        {zone === null ? null : <b className="font-semibold">{zone}: </b>}
        {stepName(step)}
        {step.gate ? (
          <span className="text-quiet">
            {' '}
            · {SURVEY_WORDS[step.gate.field as keyof typeof SURVEY_WORDS].toLowerCase()}: goes on where it is{' '}
            {step.gate.passes.map((p) => ANSWER_WORDS[p] ?? p).join(' or ')}
          </span>
        ) : step.what ? (
          <span className="text-quiet"> · {WHAT_WORDS[step.what] ?? step.what}</span>
        ) : null}
        {isDone ? null : <Cautions codes={step.cautions.filter((c) => !common.has(c))} />}
      </span>
      {step.sheetId === null ? null : (
        <span className="figure text-[13px] text-quiet">
          {step.coatsDone} of {step.coats} · {step.dftUm === null ? '' : `${units.film(step.dftUm)} a coat`}
        </span>
      )}
      {isNext ? <span className="figure text-[13px]">next</span> : null}
      {step.record ? <RecordOf part={part} step={step} record={step.record} isNext={isNext} /> : null}
    </li>
  );
}

interface RecordProps extends Pick<StepProps, 'part' | 'step' | 'isNext'> {
  readonly record: StepRecord;
}

/** Who did it, when, and what was found; or that nothing says so, with the touch that puts it in. */
function RecordOf({ part, step, record, isNext }: RecordProps) {
  const show = useDialogs((s) => s.show);
  const who = useShop().data?.people.find(
    (p) => record.status === 'recorded' && p.personId === record.personId,
  );
  if (record.status === 'recorded')
    return (
      <span className="ml-auto text-right text-[13px] text-quiet">
        {record.passed === null ? '' : record.passed ? 'passed · ' : 'failed · '}
        {who?.name ?? record.personId},{' '}
        {record.atMs === null ? 'time not known' : dayAndTime(record.atMs, part.zone)}
        {record.found === null ? null : <span className="block">{record.found}</span>}
      </span>
    );
  const factKind = LOGS_AS[step.kind];
  const open = (): void =>
    factKind
      ? show({ kind: 'log', partId: part.card.partId, factKind })
      : show({ kind: 'step', partId: part.card.partId, stepId: step.stepId });
  // What is looked at when the metal is bare has its panel beside.
  if (step.kind === 'inspect') return <NotYet record={record} />;
  return (
    <span className="ml-auto flex items-baseline gap-2">
      <NotYet record={record} />
      <button
        type="button"
        aria-label={`Log: ${stepName(step)}`}
        className={`figure min-h-7 text-[13px] underline underline-offset-2 pointer-coarse:min-h-11 ${isNext ? 'font-semibold' : 'text-quiet'}`}
        onClick={open}
      >
        Log
      </button>
    </span>
  );
}

const NotYet = ({ record }: { readonly record: StepRecord }) =>
  record.status === 'not-recorded' ? <span className="text-[13px] text-warn">not recorded</span> : null;

/** Cautions at the step where they bite, folded to one mark. */
function Cautions({ codes }: { readonly codes: readonly string[] }) {
  if (codes.length === 0) return null;
  return (
    <details className="inline-block text-[13px]">
      <summary className="ml-2 cursor-pointer list-none text-warn">▲ caution</summary>
      {codes.map((c) => (
        <p key={c} className="text-quiet">
          {CAUTION_WORDS[c] ?? c}
        </p>
      ))}
    </details>
  );
}
