import { Slot } from 'radix-ui';
import { useId, type ReactElement } from 'react';
import { OneOf } from '../ui/Toggle.tsx';

interface Props {
  readonly label: string;
  readonly hint?: string | undefined;
  readonly problem?: string | null;
  /** The one input it is about; it is given the label, the hint and the problem. */
  readonly children: ReactElement;
}

/** A labelled field with its hint and, at the field, what is wrong and what would be accepted. */
export function Field({ label, hint, problem, children }: Props) {
  const id = useId();
  const noteId = `${id}-note`;
  const hasNote = Boolean(problem) || Boolean(hint);
  return (
    <div className="flex flex-col gap-1">
      <label htmlFor={id} className="figure text-[13px] text-quiet">
        {label}
      </label>
      <Slot.Root id={id} {...(hasNote ? { 'aria-describedby': noteId } : {})} aria-invalid={Boolean(problem)}>
        {children}
      </Slot.Root>
      {problem ? (
        <span id={noteId} role="alert" className="text-[13px] text-bad">
          {problem}
        </span>
      ) : hint ? (
        <span id={noteId} className="text-[13px] text-quiet">
          {hint}
        </span>
      ) : null}
    </div>
  );
}

interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly value: T | null;
  readonly options: readonly { readonly value: T; readonly text: string }[];
  readonly onChange: (value: T) => void;
}

/** A few choices shown at once under their question. */
export function Choice<T extends string>({ label, value, options, onChange }: ChoiceProps<T>) {
  return (
    <div className="flex flex-col gap-1">
      <span className="figure text-[13px] text-quiet" aria-hidden="true">
        {label}
      </span>
      <OneOf label={label} value={value} options={options} onChange={onChange} />
    </div>
  );
}
