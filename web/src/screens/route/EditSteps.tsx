import { Copy } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import {
  ACTS,
  coatKindOf,
  coatSteps,
  judgeRoute,
  mended,
  mendFor,
  RULES,
  type Family,
  type JudgeInput,
  type Reason,
  type RouteStep,
  type ShopMeans,
  type StepKind,
  type Survey,
} from '@calvetta/core';
import { STEP_WORDS, SURVEY_WORDS, WHAT_WORDS } from '@calvetta/contract/words';
import { Button } from '../../ui/Button.tsx';
import { Foot } from '../../forms/Foot.tsx';
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

const SAFETY = new Set(RULES.filter((r) => r.safety === true).map((r) => r.id));

/** The route step by step, judged as it is changed; what a rule refuses is set only with a reason, and safety with none. */
export function EditSteps({ survey, means, families, steps: first, isBusy, onClose, onSet }: Props) {
  const [steps, setSteps] = useState(first);
  const [reason, setReason] = useState('');
  const input: JudgeInput = { survey, means, steps, families, rules: RULES };
  const verdict = judgeRoute(input);
  const isRefused = verdict.refusals.length + verdict.open.length > 0;
  const isUnsafe = [...verdict.refusals, ...verdict.open].some((r) => SAFETY.has(r.ruleId));
  return (
    <Panel side title="Edit steps" subtitle="every change is judged by the rules at once" onClose={onClose}>
      <div className="flex flex-col gap-3">
        <ol className="flex flex-col">
          {steps.map((s, i) => (
            <StepRow key={s.stepId} step={s} index={i} steps={steps} families={families} onSteps={setSteps} />
          ))}
        </ol>
        <Insert survey={survey} means={means} families={families} steps={steps} onSteps={setSteps} />
        <Verdict input={input} onSteps={setSteps} />
        {isRefused && !isUnsafe ? (
          <label className="flex flex-col gap-1">
            <span className="figure text-[13px] text-quiet">Why it is done all the same</span>
            <input value={reason} onChange={(e) => setReason(e.target.value)} />
          </label>
        ) : null}
        {isUnsafe ? (
          <p className="border-l-4 border-bad bg-ground px-2 py-1 text-[14px]">
            A matter of life and limb: no reason lifts it. Change these steps, or refer the part.
          </p>
        ) : null}
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

/** What the rules say of the steps as they stand, each refusal with the one act that would mend it. */
function Verdict({
  input,
  onSteps,
}: {
  readonly input: JudgeInput;
  readonly onSteps: (s: readonly RouteStep[]) => void;
}) {
  const verdict = judgeRoute(input);
  const isClear = verdict.refusals.length + verdict.open.length === 0;
  const zone = (r: Reason): string | undefined => input.survey.zones.find((z) => z.zoneId === r.zoneId)?.name;
  return (
    <div aria-live="polite">
      {isClear ? <p className="text-good">No rule is against it.</p> : null}
      <ul>
        {verdict.refusals.map((r) => {
          const name = zone(r);
          return (
            <RuleLine
              key={`${r.ruleId}${r.zoneId ?? ''}`}
              tone="against"
              reason={r}
              {...(name === undefined ? {} : { zone: name })}
            >
              <MendButton input={input} reason={r} onSteps={onSteps} />
            </RuleLine>
          );
        })}
        {verdict.open.map((q) => (
          <li key={q.ruleId} className="border-t border-line/60 py-1 text-[14px]">
            Not known: {q.asks.map((f) => SURVEY_WORDS[f].toLowerCase()).join(', ')}. Unknown never passes.
          </li>
        ))}
      </ul>
    </div>
  );
}

const stepWords = (s: RouteStep): string => {
  const what = s.what === undefined ? '' : (WHAT_WORDS[s.what] ?? s.what).split(',')[0]!;
  return what === '' ? (STEP_WORDS[s.kind] ?? s.kind).toLowerCase() : what;
};

function MendButton({
  input,
  reason,
  onSteps,
}: {
  readonly input: JudgeInput;
  readonly reason: Reason;
  readonly onSteps: (s: readonly RouteStep[]) => void;
}) {
  const m = mendFor(input, reason);
  if (!m) return null;
  return (
    <button
      type="button"
      className="ml-6 min-h-8 text-[14px] underline pointer-coarse:min-h-11"
      onClick={() => onSteps(mended(input.steps, m))}
    >
      Put in: {stepWords(m.step)}
    </button>
  );
}

interface StepRowProps {
  readonly step: RouteStep;
  readonly index: number;
  readonly steps: readonly RouteStep[];
  readonly families: ReadonlyMap<string, Family>;
  readonly onSteps: (s: readonly RouteStep[]) => void;
}

function StepRow({ step: s, index: i, steps, families, onSteps }: StepRowProps) {
  const change = (over: Partial<RouteStep>): void =>
    onSteps(steps.map((x, k) => (k === i ? { ...x, ...over } : x)));
  const move = (by: -1 | 1): void => {
    const next = steps.filter((_, k) => k !== i);
    onSteps([...next.slice(0, i + by), s, ...next.slice(i + by)]);
  };
  const again = { ...s, stepId: `${s.stepId}-${steps.length}` };
  return (
    <li className="grid grid-cols-[24px_minmax(0,1fr)_auto] items-center gap-2 border-t border-line/60 py-1 text-[14px]">
      <span className="figure text-quiet">{i + 1}</span>
      <span className="min-w-0">
        {s.familyId ? (
          <Product step={s} index={i} families={families} onChange={change} />
        ) : (
          (STEP_WORDS[s.kind] ?? s.kind)
        )}
        {s.what ? <span className="text-quiet"> · {WHAT_WORDS[s.what] ?? s.what}</span> : null}
      </span>
      <span className="flex gap-1">
        {s.familyId ? (
          <select
            aria-label={`Coats of step ${i + 1}`}
            className="min-h-8! py-0!"
            value={s.coats}
            onChange={(e) => change({ coats: Number(e.target.value) })}
          >
            {[1, 2, 3, 4, 5, 6].map((n) => (
              <option key={n}>{n}</option>
            ))}
          </select>
        ) : null}
        <Tiny label={`Step ${i + 1} up`} disabled={i === 0} onClick={() => move(-1)} text="↑" />
        <Tiny
          label={`Step ${i + 1} down`}
          disabled={i === steps.length - 1}
          onClick={() => move(1)}
          text="↓"
        />
        <Tiny
          label={`Step ${i + 1} twice`}
          disabled={false}
          onClick={() => onSteps([...steps.slice(0, i + 1), again, ...steps.slice(i + 1)])}
          text={<Copy size={15} className="mx-auto" aria-hidden="true" />}
        />
        <Tiny
          label={`Take step ${i + 1} out`}
          disabled={steps.length === 1}
          onClick={() => onSteps(steps.filter((_, k) => k !== i))}
          text="✕"
        />
      </span>
    </li>
  );
}

/** Another product of the same part in a system; its own film comes with it. */
function Product({
  step,
  index,
  families,
  onChange,
}: {
  readonly step: RouteStep;
  readonly index: number;
  readonly families: ReadonlyMap<string, Family>;
  readonly onChange: (over: Partial<RouteStep>) => void;
}) {
  const role = families.get(step.familyId!)?.sheet.role;
  const alike = [...families.values()].filter((f) => f.sheet.role === role);
  return (
    <select
      aria-label={`Product of step ${index + 1}`}
      className="min-h-8! w-full py-0!"
      value={step.familyId}
      onChange={(e) =>
        onChange({ familyId: e.target.value, dftUm: families.get(e.target.value)?.sheet.dftUm ?? step.dftUm })
      }
    >
      {alike.map((f) => (
        <option key={f.familyId} value={f.familyId}>
          {f.sheet.name}
        </option>
      ))}
    </select>
  );
}

/** Steps that a hand may put in: every act, and what goes with them. */
const MORE: readonly (readonly [StepKind, string | undefined])[] = [
  ['degrease', undefined],
  ['degrease', 'again'],
  ['degrease', 'glue'],
  ['wash', 'rinse'],
  ['wash', 'wipe'],
  ['wash', 'steam'],
  ['dry', undefined],
  ['abrade', 'after-strip'],
  ['abrade', 'key'],
  ['abrade', 'key-wet'],
  ['test', 'salt'],
  ['mask', 'before-paint'],
  ['stripe', undefined],
];
const OPTIONS = [
  ...ACTS.map((a) => [a.way === null ? 'pretreat' : 'strip', a.actId] as const),
  ...MORE,
] as readonly (readonly [StepKind, string | undefined])[];

interface InsertProps {
  readonly survey: Survey;
  readonly means: ShopMeans;
  readonly families: ReadonlyMap<string, Family>;
  readonly steps: readonly RouteStep[];
  readonly onSteps: (s: readonly RouteStep[]) => void;
}

/** One coat of a family as this shop would lay it on this part. */
function coatOf({ survey, means, families, steps }: InsertProps, familyId: string): RouteStep {
  const layer = { kind: coatKindOf(families.get(familyId)!), familyId, coats: 1 };
  const step = coatSteps(survey, means, [layer], families).find((s) => s.familyId === familyId)!;
  return { ...step, stepId: `own-${familyId}-${steps.length}` };
}

function Insert(props: InsertProps) {
  const { steps, families, onSteps } = props;
  const [pick, setPick] = useState(0);
  const [before, setBefore] = useState(1);
  const coats = [...families.values()];
  const put = (): void => {
    if (pick >= OPTIONS.length) {
      const coat = coatOf(props, coats[pick - OPTIONS.length]!.familyId);
      onSteps([...steps.slice(0, before - 1), coat, ...steps.slice(before - 1)]);
      return;
    }
    const [kind, what] = OPTIONS[pick]!;
    const step: RouteStep = {
      stepId: `own-${kind}-${what ?? ''}-${steps.length}`,
      kind,
      ...(what === undefined ? {} : { what }),
      coats: 0,
      dftUm: null,
      hours: 0.5,
      waitHours: 0,
      cautions: [],
    };
    onSteps([...steps.slice(0, before - 1), step, ...steps.slice(before - 1)]);
  };
  return (
    <div className="flex flex-wrap items-end gap-2 border-t border-line pt-2 text-[14px]">
      <label className="flex min-w-0 flex-1 flex-col">
        Put in
        <select className="min-h-8! py-0!" value={pick} onChange={(e) => setPick(Number(e.target.value))}>
          {OPTIONS.map(([kind, what], k) => (
            <option key={`${kind}${what ?? ''}`} value={k}>
              {STEP_WORDS[kind]}
              {what ? `: ${(WHAT_WORDS[what] ?? what).split(',')[0]}` : ''}
            </option>
          ))}
          {coats.map((f, k) => (
            <option key={f.familyId} value={OPTIONS.length + k}>
              {STEP_WORDS[coatKindOf(f)]}: {f.sheet.name}
            </option>
          ))}
        </select>
      </label>
      <label className="flex flex-col">
        before step
        <select className="min-h-8! py-0!" value={before} onChange={(e) => setBefore(Number(e.target.value))}>
          {steps.map((s, k) => (
            <option key={s.stepId}>{k + 1}</option>
          ))}
        </select>
      </label>
      <Button onClick={put}>Put it in</Button>
    </div>
  );
}

function Tiny({
  label,
  text,
  disabled,
  onClick,
}: {
  readonly label: string;
  readonly text: ReactNode;
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
