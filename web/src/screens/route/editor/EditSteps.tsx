import { Redo2, Undo2 } from 'lucide-react';
import { useMemo, useState, type KeyboardEvent } from 'react';
import {
  figuresOf,
  judgeRoute,
  placesOf,
  reasonKey,
  RULES,
  stepMoved,
  type Family,
  type JudgeInput,
  type RouteStep,
  type ShopMeans,
  type Survey,
} from '@calvetta/core';
import { Button } from '../../../ui/Button.tsx';
import { Foot } from '../../../forms/Foot.tsx';
import { Panel } from '../../../ui/Panel.tsx';
import { Sorted } from '../../../ui/Sortable.tsx';
import { useMoney } from '../../../ui/money.ts';
import { usePace } from '../../../words/usePace.ts';
import { useUnits } from '../../../ui/useUnits.ts';
import { KeepTemplate } from '../../survey/Templates.tsx';
import { Insert } from './Insert.tsx';
import { Said } from './Said.tsx';
import { StepRow, Tiny } from './StepRow.tsx';
import { useSteps } from './useSteps.ts';

interface Props {
  readonly survey: Survey;
  readonly means: ShopMeans;
  readonly families: ReadonlyMap<string, Family>;
  readonly steps: readonly RouteStep[];
  readonly isBusy: boolean;
  readonly onClose: () => void;
  readonly onSet: (steps: readonly RouteStep[], reason: string | null) => void;
}

const SAFETY = new Set(RULES.filter((r) => r.safety === true).map((r) => r.id));

/** The route in the hands: every change is judged at once, at the step it is about, and can be taken back. */
export function EditSteps({ survey, means, families, steps: first, isBusy, onClose, onSet }: Props) {
  const { steps, set, undo, redo } = useSteps(first);
  const [reason, setReason] = useState('');
  const input = useMemo<JudgeInput>(
    () => ({ survey, means, steps, families, rules: RULES }),
    [survey, means, steps, families],
  );
  const verdict = useMemo(() => judgeRoute(input), [input]);
  const places = useMemo(() => placesOf(input), [input]);
  const isRefused = verdict.refusals.length + verdict.open.length > 0;
  const isUnsafe = [...verdict.refusals, ...verdict.open].some((r) => SAFETY.has(r.ruleId));
  const at = (i: number | undefined) => ({
    refusals: verdict.refusals.filter((r) => places.get(reasonKey(r)) === i),
    open: verdict.open.filter((r) => places.get(reasonKey(r)) === i),
  });
  const keys = (e: KeyboardEvent): void => {
    if (!(e.ctrlKey || e.metaKey) || e.key.toLowerCase() !== 'z') return;
    const back = e.shiftKey ? redo : undo;
    if (!back) return;
    e.preventDefault();
    back();
  };
  const context = { survey, means, families };
  return (
    <Panel side title="Edit steps" subtitle="every change is judged by the rules at once" onClose={onClose}>
      <div className="flex flex-col gap-3" onKeyDown={keys}>
        <div className="flex items-center justify-between gap-2">
          <Comes survey={survey} families={families} steps={steps} first={first} />
          <span className="flex gap-1">
            <Tiny label="Undo" disabled={undo === null} onClick={() => undo?.()}>
              <Undo2 size={16} aria-hidden="true" />
            </Tiny>
            <Tiny label="Redo" disabled={redo === null} onClick={() => redo?.()}>
              <Redo2 size={16} aria-hidden="true" />
            </Tiny>
          </span>
        </div>
        <Sorted ids={steps.map((s) => s.stepId)} onMove={(from, to) => set(stepMoved(steps, from, to))}>
          <ol className="flex flex-col">
            {steps.map((s, i) => (
              <StepRow key={s.stepId} index={i} steps={steps} context={context} onSteps={set}>
                <Said input={input} {...at(i)} onSteps={set} />
              </StepRow>
            ))}
          </ol>
        </Sorted>
        <Insert steps={steps} context={context} onSteps={set} />
        <div aria-live="polite">
          {isRefused ? (
            <p className="text-bad">
              {verdict.refusals.length + verdict.open.length} against it, each at its step.
            </p>
          ) : (
            <p className="text-good">No rule is against it.</p>
          )}
          <Said input={input} {...at(undefined)} onSteps={set} />
        </div>
        {isUnsafe ? <Unsafe /> : isRefused ? <AllTheSame reason={reason} onReason={setReason} /> : null}
        <KeepTemplate survey={survey} steps={steps} label="keep these steps as a template" />
        <Foot>
          <Button
            look="main"
            disabled={isBusy || isUnsafe || (isRefused && reason.trim() === '')}
            onClick={() => onSet(steps, isRefused ? reason.trim() : null)}
          >
            {isRefused ? 'Set it against the rules' : 'Use these steps'}
          </Button>
        </Foot>
      </div>
    </Panel>
  );
}

const Unsafe = () => (
  <p className="border-l-4 border-bad bg-ground px-2 py-1 text-[14px]">
    A matter of life and limb: no reason lifts it. Change these steps, or refer the part.
  </p>
);

/** Against a rule a route is set only with its reason, which stays with the part. */
const AllTheSame = ({
  reason,
  onReason,
}: {
  readonly reason: string;
  readonly onReason: (text: string) => void;
}) => (
  <label className="flex flex-col gap-1">
    <span className="figure text-[13px] text-quiet">Why it is done all the same</span>
    <input value={reason} onChange={(e) => onReason(e.target.value)} />
  </label>
);

/** What the steps come to now, and what they came to when they were taken in hand. */
function Comes({
  survey,
  families,
  steps,
  first,
}: Pick<Props, 'survey' | 'families' | 'steps'> & { readonly first: readonly RouteStep[] }) {
  const money = useMoney();
  const units = useUnits();
  const pace = usePace(survey.substrate);
  const words = (list: readonly RouteStep[]): string => {
    const f = figuresOf(survey, list, families, pace);
    return `${f.hours.toFixed(1)} h, ${f.days.toFixed(0)} days, ${money.about(f.cost)}, ${units.film(f.filmUm)}`;
  };
  const [now, was] = [words(steps), words(first)];
  return (
    <p role="status" className="figure text-[14px]">
      {now}
      {now === was ? '' : <span className="block text-[13px] text-quiet">was {was}</span>}
    </p>
  );
}
