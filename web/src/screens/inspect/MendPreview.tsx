import type { MendLine, MendPlan } from '@calvetta/core';
import { MEND_STEP_WORDS } from '@calvetta/contract/words';
import { duration, moment } from '../../ui/time.ts';

interface Props {
  readonly plan: MendPlan;
  /** Coats that the route has after it. */
  readonly after: readonly string[];
  readonly nowMs: number;
  readonly zone: string;
}

/** The route as the remedy would change it: what comes off, what is done, what goes on again, and when it is through. */
export function MendPreview({ plan, after, nowMs, zone }: Props) {
  const isLaid = plan.lines.some((l) => l.product !== null);
  return (
    <div className="flex flex-col gap-2 text-[14px]">
      {plan.comesOff.length > 0 ? (
        <p>
          Comes off: <s className="decoration-bad">{plan.comesOff.join(', ')}</s>
        </p>
      ) : null}
      <ol className="border-l-4 border-chosen">
        {plan.lines.map((line, i) => (
          <li
            key={`${line.step}-${i}`}
            className="flex flex-wrap items-baseline gap-x-3 border-t border-line/60 py-1 pl-3 first:border-t-0"
          >
            <span className="min-w-[200px] flex-1">
              {line.product === null ? MEND_STEP_WORDS[line.step] : coatWords(line)}
              {whenWords(line, i === 0 ? null : plan.lines[i - 1]!, nowMs, zone)}
            </span>
            <span className="figure text-quiet">{duration(line.minutes * 60_000)}</span>
          </li>
        ))}
        {after.length > 0 ? (
          <li className="border-t border-line/60 py-1 pl-3 text-quiet">
            then as the route has it: {after.join(', ')}
          </li>
        ) : null}
      </ol>
      <p>
        <strong className="figure text-[16px]">{duration(plan.handsMin * 60_000)}</strong> of hands;{' '}
        {plan.doneMs === null ? (
          'when it is done is not known: the clocks reach no further.'
        ) : (
          <>
            {isLaid ? 'can be handled' : 'done'} <strong>{moment(plan.doneMs, nowMs, zone)}</strong> as
            predicted, on the safe side: in {duration(plan.doneMs - nowMs)}, if you work straight on.
          </>
        )}
      </p>
    </div>
  );
}

const coatWords = ({ step, product }: MendLine): string =>
  step === 'prime-anew'
    ? `prime anew with ${product}, or with another if that was the cause`
    : `coat with ${product}`;

/** Only a wait is said: what follows at once needs no time of day. */
function whenWords(line: MendLine, before: MendLine | null, nowMs: number, zone: string) {
  if (line.waitsFor === null) return null;
  if (line.fromMs === null)
    return <span className="text-quiet"> · when is not known: test it with the nail first</span>;
  const freeMs = before?.fromMs == null ? nowMs : before.fromMs + before.minutes * 60_000;
  return line.fromMs > freeMs + 60_000 ? (
    <span className="text-wait"> · not before {moment(line.fromMs, nowMs, zone)}</span>
  ) : null;
}
