interface Props {
  /** What is meant, and how far it may be out; the same unit as `full`. */
  readonly value: number;
  readonly span: readonly [least: number, most: number];
  readonly full: number;
}

/** A figure as a bar on a scale it shares with its rivals, its spread drawn at its end. */
export function SpanBar({ value, span, full }: Props) {
  const at = (x: number): string => `${Math.min(100, (100 * x) / Math.max(full, 1e-9))}%`;
  return (
    <span aria-hidden="true" className="relative block h-2 bg-ground">
      <span className="absolute inset-y-0 left-0 bg-chosen" style={{ width: at(value) }} />
      <span
        className="absolute top-1/2 h-px border-t-2 border-mark"
        style={{ left: at(span[0]), width: `calc(${at(span[1])} - ${at(span[0])})` }}
      />
    </span>
  );
}
