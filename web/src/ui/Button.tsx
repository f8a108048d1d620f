import type { ButtonHTMLAttributes } from 'react';

type Look = 'main' | 'plain' | 'quiet';
const LOOKS: Readonly<Record<Look, string>> = {
  main: 'bg-chosen text-chosen-ink border-chosen hover:brightness-125',
  plain: 'bg-panel text-ink border-ink/60 hover:border-ink',
  quiet: 'bg-transparent text-ink border-transparent hover:border-line underline-offset-2 hover:underline',
};

interface Props extends ButtonHTMLAttributes<HTMLButtonElement> {
  readonly look?: Look;
  /** Fills a list row instead of standing by itself. */
  readonly isInRow?: boolean;
}

export function Button({ look = 'plain', isInRow = false, className = '', type = 'button', ...rest }: Props) {
  const size = isInRow ? 'h-[calc(var(--row)-4px)] px-2 text-[13px]' : 'min-h-11 px-4 text-[15px]';
  return (
    <button
      type={type}
      className={`figure rounded-sm border whitespace-nowrap disabled:opacity-50 ${size} ${LOOKS[look]} ${className}`}
      {...rest}
    />
  );
}
