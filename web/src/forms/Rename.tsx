import { useState } from 'react';

interface Props {
  readonly name: string;
  /** What it is, for who cannot see it: “Name of the person”. */
  readonly label: string;
  readonly onRename: (name: string) => void;
}

/** A name that is changed where it stands: touch it, write, Enter. Escape leaves it as it was. */
export function Rename({ name, label, onRename }: Props) {
  const [text, setText] = useState<string | null>(null);
  if (text === null)
    return (
      <button
        type="button"
        className="min-h-9 px-1 text-left font-semibold decoration-dotted underline-offset-4 hover:underline focus-visible:underline pointer-coarse:min-h-11"
        aria-label={`${label}: ${name}. Rename`}
        onClick={() => setText(name)}
      >
        {name}
      </button>
    );
  const keep = (): void => {
    const now = text.trim();
    setText(null);
    if (now !== '' && now !== name) onRename(now);
  };
  return (
    <input
      aria-label={label}
      autoFocus
      onFocus={(e) => e.target.select()}
      value={text}
      maxLength={120}
      onChange={(e) => setText(e.target.value)}
      onBlur={keep}
      onKeyDown={(e) => {
        if (e.key === 'Enter') keep();
        if (e.key === 'Escape') setText(null);
        e.stopPropagation();
      }}
    />
  );
}
