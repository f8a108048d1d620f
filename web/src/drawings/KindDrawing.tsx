import type { PartKind } from '@calvetta/core';
import { KIND_LINES } from './kindPaths.ts';

/** A kind of part as a sketch, 96 by 64 or as wide as asked. Its word stands beside it: the drawing says nothing alone. */
export function KindDrawing({ kind, widthPx = 96 }: { readonly kind: PartKind; readonly widthPx?: number }) {
  const { outline, inner, circles } = KIND_LINES[kind];
  return (
    <svg
      width={widthPx}
      height={(widthPx * 64) / 96}
      viewBox="0 0 96 64"
      aria-hidden="true"
      fill="none"
      stroke="currentColor"
      strokeLinejoin="round"
      strokeLinecap="round"
      className="block shrink-0"
    >
      <path d={outline} strokeWidth={2} strokeDasharray={kind === 'unknown' ? '4 4' : undefined} />
      {inner ? <path d={inner} strokeWidth={1.2} /> : null}
      {circles?.map(([x, y, r]) => (
        <circle key={`${x} ${y} ${r}`} cx={x} cy={y} r={r} strokeWidth={r > 7 ? 2 : 1.3} />
      ))}
    </svg>
  );
}
