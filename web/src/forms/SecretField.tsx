import { Field } from './Field.tsx';

interface Props {
  readonly label: string;
  readonly hint?: string;
  readonly problem?: string | null;
  readonly value: string;
  readonly onChange: (text: string) => void;
  /** One that is known already, or one that is chosen now: what a keeper of phrases offers hangs on it. */
  readonly autoComplete: 'current-password' | 'new-password' | 'off';
  readonly isFigures?: boolean;
  readonly maxLength?: number;
}

/** A phrase or a pin: not read over a shoulder, and kept nowhere. */
export function SecretField({ label, hint, problem, value, onChange, isFigures = false, ...input }: Props) {
  return (
    <Field label={label} hint={hint} problem={problem ?? null}>
      <input
        type="password"
        inputMode={isFigures ? 'numeric' : 'text'}
        maxLength={200}
        value={value}
        onChange={(e) => onChange(e.target.value)}
        {...input}
      />
    </Field>
  );
}
