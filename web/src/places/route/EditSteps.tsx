import { useState } from 'react';
import {
  judge,
  RULES,
  viewOf,
  type Family,
  type RouteStep,
  type ShopMeans,
  type Survey,
} from '@calvetta/core';
import { STEP_WORDS, SURVEY_WORDS, WHAT_WORDS } from '@calvetta/contract/words';
import { Button } from '../../ui/Button.tsx';
import { Foot } from '../../ui/Foot.tsx';
import { Panel } from '../../ui/Panel.tsx';
import { RuleLine } from './RuleLine.tsx';

interface Props {
  readonly survey: Survey;
  readonly means: ShopMeans;
  readonly families: ReadonlyMap<string, Family>;
  readonly steps: readonly RouteStep[];
  readonly isBusy: boolean;
  readonly onClose: () => void;
  readonly onSet: (steps: readonly RouteStep[], reason: string | null) => void;
}

/** The route step by step, judged as it is changed; what a rule refuses is set only with a reason. */
export function EditSteps({ survey, means, families, steps: first, isBusy, onClose, onSet }: Props) {
  const [steps, setSteps] = useState(first);
  const [reason, setReason] = useState('');
  const verdict = judge(viewOf(survey, means, steps, families), RULES);
  const isRefused = verdict.refusals.length + verdict.open.length > 0;
  const change = (i: number, over: Partial<RouteStep>): void =>
    setSteps(steps.map((s, k) => (k === i ? { ...s, ...over } : s)));
  const move = (i: number, by: -1 | 1): void => {
    const next = [...steps];
    const [s] = next.splice(i, 1);
    next.splice(i + by, 0, s!);
    setSteps(next);
  };
  return (
    <Panel side title="Edit steps" subtitle="every change is judged by the rules at once" onClose={onClose}>
      <div className="flex flex-col gap-3">
        <ol className="flex flex-col">
          {steps.map((s, i) => (
            <li
              key={s.stepId}
              className="grid grid-cols-[24px_minmax(0,1fr)_auto] items-center gap-2 border-t border-line/60 py-1 text-[14px]"
            >
              <span className="figure text-quiet">{i + 1}</span>
              <span className="min-w-0 truncate">
                {s.familyId
                  ? (families.get(s.familyId)?.sheet.name ?? s.familyId)
                  : (STEP_WORDS[s.kind] ?? s.kind)}
                {s.what ? <span className="text-quiet"> · {WHAT_WORDS[s.what] ?? s.what}</span> : null}
              </span>
              <span className="flex gap-1">
                {s.familyId ? (
                  <select
                    aria-label={`Coats of step ${i + 1}`}
                    className="min-h-8! py-0!"
                    value={s.coats}
                    onChange={(e) => change(i, { coats: Number(e.target.value) })}
                  >
                    {[1, 2, 3, 4, 5, 6].map((n) => (
                      <option key={n}>{n}</option>
                    ))}
                  </select>
                ) : null}
                <Tiny label={`Step ${i + 1} up`} disabled={i === 0} onClick={() => move(i, -1)} text="↑" />
                <Tiny
                  label={`Step ${i + 1} down`}
                  disabled={i === steps.length - 1}
                  onClick={() => move(i, 1)}
                  text="↓"
                />
                <Tiny
                  label={`Take step ${i + 1} out`}
                  disabled={steps.length === 1}
                  onClick={() => setSteps(steps.filter((_, k) => k !== i))}
                  text="✕"
                />
              </span>
            </li>
          ))}
        </ol>
        <div aria-live="polite">
          {isRefused ? null : <p className="text-good">No rule is against it.</p>}
          <ul>
            {verdict.refusals.map((r) => (
              <RuleLine key={r.ruleId} tone="against" reason={r} />
            ))}
            {verdict.open.map((q) => (
              <li key={q.ruleId} className="border-t border-line/60 py-1 text-[14px]">
                Not known: {q.asks.map((f) => SURVEY_WORDS[f].toLowerCase()).join(', ')}. Unknown never
                passes.
              </li>
            ))}
          </ul>
        </div>
        {isRefused ? (
          <label className="flex flex-col gap-1">
            <span className="figure text-[13px] text-quiet">Why it is done all the same</span>
            <input value={reason} onChange={(e) => setReason(e.target.value)} />
          </label>
        ) : null}
        <Foot>
          <Button
            look="main"
            disabled={isBusy || (isRefused && reason.trim() === '')}
            onClick={() => onSet(steps, isRefused ? reason.trim() : null)}
          >
            {isRefused ? 'Set it against the rules' : 'Use these steps'}
          </Button>
        </Foot>
      </div>
    </Panel>
  );
}

function Tiny({
  label,
  text,
  disabled,
  onClick,
}: {
  readonly label: string;
  readonly text: string;
  readonly disabled: boolean;
  readonly onClick: () => void;
}) {
  return (
    <button
      type="button"
      aria-label={label}
      disabled={disabled}
      onClick={onClick}
      className="min-h-8 min-w-8 border border-line disabled:opacity-40 pointer-coarse:min-h-11 pointer-coarse:min-w-11"
    >
      {text}
    </button>
  );
}
