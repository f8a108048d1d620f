import type { ReactNode } from 'react';

interface Props {
  readonly label: string;
  readonly hint?: string | undefined;
  readonly problem?: string | null;
  readonly children: ReactNode;
}

/** A labelled field with its hint and, at the field, what is wrong and what would be accepted. */
export function Field({ label, hint, problem, children }: Props) {
  return (
    <label className="flex flex-col gap-1">
      <span className="figure text-[13px] text-quiet">{label}</span>
      {children}
      {problem ? (
        <span role="alert" className="text-[13px] text-bad">
          {problem}
        </span>
      ) : hint ? (
        <span className="text-[13px] text-quiet">{hint}</span>
      ) : null}
    </label>
  );
}

interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly { readonly value: T; readonly text: string }[];
  readonly onChange: (value: T) => void;
}

/** A few choices shown at once: one touch, no menu. */
export function Choice<T extends string>({ label, value, options, onChange }: ChoiceProps<T>) {
  return (
    <fieldset className="flex flex-col gap-1">
      <legend className="figure mb-1 text-[13px] text-quiet">{label}</legend>
      <div className="flex flex-wrap gap-1">
        {options.map((o) => (
          <button
            key={o.value}
            type="button"
            aria-pressed={o.value === value}
            onClick={() => onChange(o.value)}
            className={`min-h-9 rounded-sm border px-3 pointer-coarse:min-h-11 ${o.value === value ? 'border-slate bg-slate text-slate-ink' : 'border-line bg-panel hover:border-ink'}`}
          >
            {o.text}
          </button>
        ))}
      </div>
    </fieldset>
  );
}
