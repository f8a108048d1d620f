import { Link } from 'react-router';
import type { PartDetail, RouteStepView } from '@calvetta/contract';
import {
  ANSWER_WORDS,
  CAUTION_WORDS,
  ORIGIN_WORDS,
  STEP_WORDS,
  SURVEY_WORDS,
  WHAT_WORDS,
} from '@calvetta/contract/words';
import { useUnits } from '../../ui/useUnits.ts';

/** The route as a vertical strip: what is done, what comes next, what is still to come. */
export function RouteStrip({ part }: { readonly part: PartDetail }) {
  const nextStepId = part.card.next?.stepId;
  const common = commonCautions(part.route);
  const isStripped = part.card.lastCoat !== null || part.card.bare !== null;
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
            step={s}
            zone={part.survey?.zones.find((z) => z.zoneId === s.zoneId)?.name ?? null}
            common={common}
            isNext={s.stepId === nextStepId}
            isDone={s.sheetId === null ? isStripped && isBeforeCoats(s, part) : s.coatsDone >= s.coats}
          />
        ))}
      </ol>
    </section>
  );
}

/** Cautions that concern three steps or more stand once, and not in every step. */
function commonCautions(steps: readonly RouteStepView[]): ReadonlySet<string> {
  const counts = new Map<string, number>();
  for (const s of steps) for (const c of s.cautions) counts.set(c, (counts.get(c) ?? 0) + 1);
  return new Set([...counts].filter(([, n]) => n >= 3).map(([c]) => c));
}

/** Preparation before the first coat is done once the metal was stripped or carries a film. */
function isBeforeCoats(step: RouteStepView, part: PartDetail): boolean {
  const firstCoat = part.route.find((s) => s.sheetId !== null);
  return firstCoat === undefined || step.seq < firstCoat.seq;
}

interface StepProps {
  readonly step: RouteStepView;
  /** The zone it is for, where that is not the outside. */
  readonly zone: string | null;
  readonly isNext: boolean;
  readonly isDone: boolean;
  /** Cautions that stand once, above. */
  readonly common: ReadonlySet<string>;
}

function Step({ step, zone, isNext, isDone, common }: StepProps) {
  const units = useUnits();
  return (
    <li
      className={`relative flex items-baseline gap-2 py-0.5 pl-4 ${isDone && !isNext ? 'text-quiet' : ''}`}
      aria-current={isNext ? 'step' : undefined}
    >
      <span
        aria-hidden="true"
        className={`absolute top-[9px] -left-[6px] size-2.5 border border-ink ${isDone ? 'bg-ink' : isNext ? 'bg-mark' : 'bg-panel'}`}
      />
      <span className={isNext ? 'font-semibold' : ''}>
        {zone === null ? null : <b className="font-semibold">{zone}: </b>}
        {step.productName ?? STEP_WORDS[step.kind] ?? step.kind}
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
      {isNext ? <span className="figure ml-auto text-[13px]">next</span> : null}
    </li>
  );
}

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
