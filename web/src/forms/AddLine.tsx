import { useId, useState } from 'react';
import { Button } from '../ui/Button.tsx';

interface Props {
  readonly label: string;
  readonly button?: string;
  readonly isBusy?: boolean;
  readonly onAdd: (name: string) => void;
}

/** The plus at the end of a list: one word, Enter, and the next. */
export function AddLine({ label, button = 'Add', isBusy = false, onAdd }: Props) {
  const id = useId();
  const [text, setText] = useState('');
  const name = text.trim();
  return (
    <form
      className="flex flex-wrap items-end gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        if (name === '' || isBusy) return;
        onAdd(name);
        setText('');
      }}
    >
      <label htmlFor={id} className="flex flex-col gap-1">
        <span className="figure text-[13px] text-quiet">{label}</span>
        <input id={id} value={text} maxLength={120} onChange={(e) => setText(e.target.value)} />
      </label>
      <Button type="submit" disabled={name === '' || isBusy}>
        {button}
      </Button>
    </form>
  );
}
