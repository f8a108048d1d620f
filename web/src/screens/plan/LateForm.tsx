import { useState } from 'react';
import { Field } from '../../forms/Field.tsx';
import { Button } from '../../ui/Button.tsx';

const MOST_DAYS = 90;

/** What if whoever has parts elsewhere brings them back late: the plan with it beside the plan without. */
export function LateForm({ onTry }: { readonly onTry: (days: number, what: string) => void }) {
  const [text, setText] = useState('7');
  const days = Number(text.replace(',', '.'));
  const isBad = text.trim() === '' || !(days >= 0 && days <= MOST_DAYS);
  return (
    <form
      className="mt-3 flex flex-wrap items-end gap-3 border-t border-line pt-3"
      onSubmit={(e) => {
        e.preventDefault();
        if (!isBad) onTry(days, days === 0 ? 'back when it is likely' : `contractors ${days} days late`);
      }}
    >
      <Field
        label="What if contractors are late, days"
        hint="17 days are reckoned for a trip; 21 are not rare"
        problem={isBad ? `0 to ${MOST_DAYS} days.` : null}
      >
        <input className="w-24" inputMode="decimal" value={text} onChange={(e) => setText(e.target.value)} />
      </Field>
      <Button type="submit" disabled={isBad}>
        Try it
      </Button>
    </form>
  );
}
