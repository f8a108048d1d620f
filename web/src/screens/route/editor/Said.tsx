import {
  mended,
  mendFor,
  type JudgeInput,
  type OpenQuestion,
  type Reason,
  type RouteStep,
} from '@calvetta/core';
import { STEP_WORDS, SURVEY_WORDS, WHAT_WORDS } from '@calvetta/contract/words';
import { RuleLine } from '../RuleLine.tsx';

interface Props {
  readonly input: JudgeInput;
  readonly refusals: readonly Reason[];
  readonly open: readonly OpenQuestion[];
  readonly onSteps: (s: readonly RouteStep[]) => void;
}

/** What the rules say against some steps, each refusal with the one act that would mend it. */
export function Said({ input, refusals, open, onSteps }: Props) {
  if (refusals.length + open.length === 0) return null;
  return (
    <ul className="ml-7 border-l-4 border-bad pl-2">
      {refusals.map((r) => {
        const name = input.survey.zones.find((z) => z.zoneId === r.zoneId)?.name;
        return (
          <RuleLine
            key={`${r.ruleId}${r.zoneId ?? ''}${String(r.data['matter'] ?? '')}`}
            tone="against"
            reason={r}
            {...(name === undefined ? {} : { zone: name })}
          >
            <MendButton input={input} reason={r} onSteps={onSteps} />
          </RuleLine>
        );
      })}
      {open.map((q) => (
        <li key={q.ruleId} className="border-t border-line/60 py-1 text-[14px]">
          Not known: {q.asks.map((f) => SURVEY_WORDS[f].toLowerCase()).join(', ')}. Unknown never passes.
        </li>
      ))}
    </ul>
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
}: Pick<Props, 'input' | 'onSteps'> & { readonly reason: Reason }) {
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
