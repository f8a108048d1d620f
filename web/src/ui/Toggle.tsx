import { ToggleGroup } from 'radix-ui';
import type { CSSProperties, ReactNode } from 'react';

/** How the keys of a group look: one size for a form, one for a line above a list. */
const SIZES = {
  form: 'min-h-9 rounded-sm px-3',
  line: 'figure min-h-8 px-2 text-[13px] whitespace-nowrap',
  small: 'min-h-7 rounded-sm px-2 text-[13px]',
  picture: 'flex max-w-[92px] flex-col items-center p-0.5 text-[13px] leading-tight',
  drawing: 'flex flex-col items-center p-1 text-[13px] leading-tight',
} as const;
type Size = keyof typeof SIZES;

interface Option<T extends string> {
  readonly value: T;
  readonly text: ReactNode;
}
interface Common<T extends string> {
  readonly label: string;
  readonly options: readonly Option<T>[];
  readonly size?: Size;
  readonly className?: string;
}

const key = (size: Size): string =>
  size === 'picture' || size === 'drawing'
    ? `${SIZES[size]} border-2 border-transparent hover:border-line data-[state=on]:border-chosen data-[state=on]:font-semibold`
    : `${SIZES[size]} border border-line bg-panel hover:border-ink pointer-coarse:min-h-11 data-[state=on]:border-chosen data-[state=on]:bg-chosen data-[state=on]:text-chosen-ink`;

/** One of a few, all in sight: one touch, arrows between them, no menu. */
export function OneOf<T extends string>({
  label,
  options,
  size = 'form',
  className = 'flex flex-wrap gap-1',
  style,
  value,
  onChange,
}: Common<T> & {
  readonly value: T | null;
  readonly style?: CSSProperties | undefined;
  readonly onChange: (value: T) => void;
}) {
  return (
    <ToggleGroup.Root
      type="single"
      aria-label={label}
      value={value ?? ''}
      // A second touch on the chosen one leaves it chosen.
      onValueChange={(v) => (v === '' ? undefined : onChange(v as T))}
      className={className}
      {...(style ? { style } : {})}
    >
      {options.map((o) => (
        <ToggleGroup.Item key={o.value} value={o.value} className={key(size)}>
          {o.text}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}

/** Any of a few, each on or off by itself. */
export function AnyOf<T extends string>({
  label,
  options,
  size = 'form',
  className = 'flex flex-wrap gap-1',
  value,
  onChange,
}: Common<T> & { readonly value: readonly T[]; readonly onChange: (value: readonly T[]) => void }) {
  return (
    <ToggleGroup.Root
      type="multiple"
      aria-label={label}
      value={[...value]}
      onValueChange={(v) => onChange(v as T[])}
      className={className}
    >
      {options.map((o) => (
        <ToggleGroup.Item key={o.value} value={o.value} className={key(size)}>
          {o.text}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}
