import { useState } from 'react';
import { parseQuantity } from '@calvetta/core';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../forms/Field.tsx';
import { useUnits } from '../../ui/useUnits.ts';
import { failureWords } from '../../forms/failureWords.ts';

interface KeypadProps {
  readonly onAdd: (um: number) => void;
  readonly unit: 'um' | 'mil';
}
const KEYS = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '.', '0', '⌫'] as const;

/** Keys for a gloved finger, or the keyboard: Enter takes the reading. */
export function Keypad({ onAdd, unit }: KeypadProps) {
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const add = (): void => {
    const r = parseQuantity(text, { field: 'Reading', dimension: 'film', bareUnit: unit, min: 0, max: 5000 });
    if (!r.ok) {
      setProblem(failureWords(r.error));
      return;
    }
    setProblem(null);
    setText('');
    onAdd(r.value.value);
  };
  return (
    <form
      className="flex flex-wrap items-start gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        add();
      }}
    >
      <div className="grid w-[168px] grid-cols-3 gap-1" aria-hidden="true">
        {KEYS.map((k) => (
          <button
            key={k}
            type="button"
            tabIndex={-1}
            className="figure min-h-11 rounded-sm border border-line bg-ground text-[18px] hover:border-ink"
            onClick={() => setText(k === '⌫' ? text.slice(0, -1) : text + k)}
          >
            {k}
          </button>
        ))}
      </div>
      <div className="flex flex-col gap-2">
        <Field label={`Reading, ${unit === 'mil' ? 'mil' : 'µm'}`} problem={problem}>
          <input
            autoFocus
            inputMode="none"
            className="figure w-28 text-[22px]"
            value={text}
            onChange={(e) => setText(e.target.value)}
          />
        </Field>
        <Button type="submit" disabled={text === ''}>
          Take it
        </Button>
      </div>
    </form>
  );
}

interface ReadingsProps {
  readonly list: readonly number[];
  readonly onRemove: (index: number) => void;
}
/** What was taken so far; a touch takes one out. */
export function Readings({ list, onRemove }: ReadingsProps) {
  const units = useUnits();
  if (list.length === 0) return null;
  return (
    <ul aria-label="Readings" className="flex max-h-24 flex-wrap gap-1 overflow-y-auto">
      {list.map((x, i) => (
        <li key={i}>
          <button
            type="button"
            aria-label={`Take out ${units.film(x)}`}
            className="figure rounded-sm border border-line bg-ground px-2 hover:line-through"
            onClick={() => onRemove(i)}
          >
            {units.film(x)}
          </button>
        </li>
      ))}
    </ul>
  );
}
