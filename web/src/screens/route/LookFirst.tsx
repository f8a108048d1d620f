import type { StepGate } from '@calvetta/core';
import { ANSWER_WORDS, findOutWords, SURVEY_WORDS, WHAT_WORDS } from '@calvetta/contract/words';
import { Word } from '../../ui/Word.tsx';
import { useMoney } from '../../ui/money.ts';

/** A look the route rests on: what passes, how to find out, and what it comes to otherwise. */
export function LookFirst({ gate }: { readonly gate: StepGate }) {
  const money = useMoney();
  const other = gate.otherwise;
  const field = SURVEY_WORDS[gate.field as keyof typeof SURVEY_WORDS];
  return (
    <p className="border-l-4 border-mark bg-ground px-2 py-1 text-[13px]">
      <b className="font-semibold">
        <Word term="look-first">Look first</Word>: {field.toLowerCase()}.
      </b>{' '}
      Goes on where it is {gate.passes.map((p) => ANSWER_WORDS[p] ?? p).join(' or ')}.{' '}
      {findOutWords(gate.field)}
      {other ? (
        <span className="text-quiet">
          {' '}
          Otherwise: {other.acts.map((a) => (WHAT_WORDS[a] ?? a).split(',')[0]).join(', then ')};{' '}
          {other.hours.toFixed(0)} h, {other.days.toFixed(0)} days, {money.about(other.cost)}.
        </span>
      ) : null}
    </p>
  );
}
