import type { InputHTMLAttributes } from 'react';
import { Field } from './Field.tsx';
import type { Bound } from './useDraft.ts';

interface TextProps extends Omit<InputHTMLAttributes<HTMLInputElement>, 'value' | 'onChange'> {
  readonly label: string;
  readonly hint?: string | undefined;
  readonly bound: Bound;
  /** What the server said of it. */
  readonly refused?: string | null;
}

/** One line of text, a date, a number: whatever its reader makes of it. */
export function TextField({ label, hint, bound, refused = null, ...input }: TextProps) {
  return (
    <Field label={label} hint={hint} problem={bound.problem ?? refused}>
      <input value={bound.value} onChange={(e) => bound.onChange(e.target.value)} {...input} />
    </Field>
  );
}

/** A figure; the phone shows its keys for numbers. */
export const NumberField = (props: TextProps) => <TextField inputMode="decimal" {...props} />;

/** A quantity: a bare figure is in the reader's unit, any other may be written out, and the hint says so. */
export const QuantityField = (props: TextProps) => (
  <TextField inputMode="text" autoComplete="off" {...props} />
);

interface SelectProps<T extends string> {
  readonly label: string;
  readonly hint?: string | undefined;
  readonly problem?: string | null;
  readonly value: T;
  readonly options: readonly { readonly value: T; readonly text: string }[];
  readonly onChange: (value: T) => void;
}

/** One of many: the platform's own list, which a tablet shows full size and any keyboard can type into (docs/decisions/0016). */
export function SelectField<T extends string>({
  label,
  hint,
  problem,
  value,
  options,
  onChange,
}: SelectProps<T>) {
  return (
    <Field label={label} hint={hint} problem={problem ?? null}>
      <select value={value} onChange={(e) => onChange(e.target.value as T)}>
        {options.map((o) => (
          <option key={o.value} value={o.value}>
            {o.text}
          </option>
        ))}
      </select>
    </Field>
  );
}
