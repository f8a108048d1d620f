import { useState } from 'react';
import {
  coatKindOf,
  HAND_STEPS,
  handCoat,
  handStep,
  stepIn,
  type EditContext,
  type RouteStep,
} from '@calvetta/core';
import { STEP_WORDS, WHAT_WORDS } from '@calvetta/contract/words';
import { Button } from '../../../ui/Button.tsx';

interface Props {
  readonly steps: readonly RouteStep[];
  readonly context: EditContext;
  readonly onSteps: (s: readonly RouteStep[]) => void;
}

/** Any act, wash or coat, put in where it is wanted. */
export function Insert({ steps, context, onSteps }: Props) {
  const [pick, setPick] = useState(0);
  const [before, setBefore] = useState(1);
  const coats = [...context.families.values()];
  const put = (): void => {
    const index = Math.min(before, steps.length + 1) - 1;
    const step = HAND_STEPS[pick];
    onSteps(
      stepIn(
        steps,
        step
          ? handStep(context.survey, context.means, step, steps.slice(0, index))
          : handCoat(context, coats[pick - HAND_STEPS.length]!.familyId, 1),
        index,
      ),
    );
  };
  return (
    <div className="flex flex-wrap items-end gap-2 border-t border-line pt-2 text-[14px]">
      <label className="flex min-w-0 flex-1 flex-col">
        Put in
        <select
          className="min-h-8! py-0! pointer-coarse:min-h-11!"
          value={pick}
          onChange={(e) => setPick(Number(e.target.value))}
        >
          {HAND_STEPS.map(({ kind, what }, k) => (
            <option key={`${kind}${what ?? ''}`} value={k}>
              {STEP_WORDS[kind]}
              {what ? `: ${(WHAT_WORDS[what] ?? what).split(',')[0]}` : ''}
            </option>
          ))}
          {coats.map((f, k) => (
            <option key={f.familyId} value={HAND_STEPS.length + k}>
              {STEP_WORDS[coatKindOf(f)]}: {f.sheet.name}
            </option>
          ))}
        </select>
      </label>
      <label className="flex flex-col">
        before step
        <select
          className="min-h-8! py-0! pointer-coarse:min-h-11!"
          value={Math.min(before, steps.length + 1)}
          onChange={(e) => setBefore(Number(e.target.value))}
        >
          {steps.map((s, k) => (
            <option key={s.stepId} value={k + 1}>
              {k + 1}
            </option>
          ))}
          <option value={steps.length + 1}>none: at the end</option>
        </select>
      </label>
      <Button onClick={put}>Put it in</Button>
    </div>
  );
}
