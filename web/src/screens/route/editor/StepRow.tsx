import { ArrowDown, ArrowUp, Copy, X } from 'lucide-react';
import type { ReactNode } from 'react';
import {
  METHODS,
  stepChanged,
  stepMoved,
  stepOut,
  stepTwice,
  type EditContext,
  type RouteStep,
} from '@calvetta/core';
import { METHOD_WORDS, STEP_WORDS, WHAT_WORDS } from '@calvetta/contract/words';
import { useRowInHand } from '../../../ui/Sortable.tsx';
import { CoatControls } from './CoatControls.tsx';

interface Props {
  readonly index: number;
  readonly steps: readonly RouteStep[];
  readonly context: EditContext;
  readonly onSteps: (s: readonly RouteStep[]) => void;
  /** What the rules say of this step. */
  readonly children?: ReactNode;
}

const days = (n: number): string => `${Math.round(n)} ${Math.round(n) === 1 ? 'day' : 'days'}`;

/** One step: taken by its handle, or moved by keys, doubled, taken out, changed in its act, product, film and tool. */
export function StepRow({ index: i, steps, context, onSteps, children }: Props) {
  const s = steps[i]!;
  const { ref, style, isInHand, handle } = useRowInHand(s.stepId, `Take step ${i + 1} in hand`);
  return (
    <li
      ref={ref}
      style={style}
      className={`border-t border-line/60 py-1 text-[14px] ${isInHand ? 'relative z-10 bg-ground outline-2 outline-mark' : ''}`}
    >
      <div className="grid grid-cols-[28px_22px_minmax(0,1fr)_auto] items-center gap-1">
        {handle}
        <span className="figure text-quiet">{i + 1}</span>
        <span className="min-w-0">
          {s.familyId === undefined ? (
            <What index={i} steps={steps} context={context} onSteps={onSteps} />
          ) : (
            <CoatControls index={i} steps={steps} context={context} onSteps={onSteps} />
          )}
          <span className="text-[13px] text-quiet">
            {s.hours >= 0.05 ? ` ${s.hours.toFixed(1)} h` : ''}
            {s.waitHours >= 24 ? `, waits ${days(s.waitHours / 24)}` : ''}
          </span>
        </span>
        <span className="flex gap-1">
          <Tiny
            label={`Step ${i + 1} up`}
            disabled={i === 0}
            onClick={() => onSteps(stepMoved(steps, i, i - 1))}
          >
            <ArrowUp size={15} aria-hidden="true" />
          </Tiny>
          <Tiny
            label={`Step ${i + 1} down`}
            disabled={i === steps.length - 1}
            onClick={() => onSteps(stepMoved(steps, i, i + 1))}
          >
            <ArrowDown size={15} aria-hidden="true" />
          </Tiny>
          <Tiny label={`Step ${i + 1} twice`} disabled={false} onClick={() => onSteps(stepTwice(steps, i))}>
            <Copy size={15} aria-hidden="true" />
          </Tiny>
          <Tiny
            label={`Take step ${i + 1} out`}
            disabled={steps.length === 1}
            onClick={() => onSteps(stepOut(steps, i))}
          >
            <X size={15} aria-hidden="true" />
          </Tiny>
        </span>
      </div>
      {children}
    </li>
  );
}

/** What is done: an act of stripping may be another one, the rest says what it is. */
function What({ index, steps, context, onSteps }: Omit<Props, 'children'>) {
  const s = steps[index]!;
  if (s.kind === 'strip')
    return (
      <select
        aria-label={`Act of step ${index + 1}`}
        className="min-h-8! w-full py-0! pointer-coarse:min-h-11!"
        value={s.what}
        onChange={(e) => onSteps(stepChanged(context, steps, index, { what: e.target.value }))}
      >
        {METHODS.map((m) => (
          <option key={m} value={m}>
            {METHOD_WORDS[m]}
          </option>
        ))}
      </select>
    );
  return (
    <>
      {STEP_WORDS[s.kind] ?? s.kind}
      {s.what ? <span className="text-quiet"> · {WHAT_WORDS[s.what] ?? s.what}</span> : null}
    </>
  );
}

export function Tiny({
  label,
  disabled,
  onClick,
  children,
}: {
  readonly label: string;
  readonly disabled: boolean;
  readonly onClick: () => void;
  readonly children: ReactNode;
}) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      disabled={disabled}
      onClick={onClick}
      className="flex min-h-8 min-w-8 items-center justify-center border border-line disabled:opacity-40 pointer-coarse:min-h-11 pointer-coarse:min-w-11"
    >
      {children}
    </button>
  );
}
