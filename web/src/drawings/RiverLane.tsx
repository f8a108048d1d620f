import type { Mark, RiverBin } from '@calvetta/core';

/** How high a lane is, its middle where the coats stand on the metal. */
export const LANE_H = 56;
const MIDDLE = 34;
const STRETCHES = 120;
const SIGN_Y = 45;

interface Props {
  readonly bins: readonly RiverBin[];
  readonly widthPx: number;
  readonly label: string;
  readonly onTouch: (stretch: number) => void;
}

/** As many as there are in a stretch, on a scale of ratios: a busy evening does not drown a quiet month. */
const high = (n: number, most: number): number => Math.min(most, 5 + 5 * Math.log2(n));

/**
 * One machine's record along time: coats stand up in their own colour, what was done to the metal hangs down, rings are tests, a cut square
 * is something found, ticks are work, a hook below is a sign-off, dots are notes.
 */
export function RiverLaneDrawing({ bins, widthPx, label, onTouch }: Props) {
  const step = widthPx / STRETCHES;
  const w = Math.max(2, step * 0.72);
  return (
    <svg
      width={widthPx}
      height={LANE_H}
      role="img"
      aria-label={label}
      className="block cursor-pointer touch-manipulation"
      onClick={(e) => {
        const box = e.currentTarget.getBoundingClientRect();
        onTouch(Math.min(STRETCHES - 1, Math.max(0, Math.floor((e.clientX - box.left) / step))));
      }}
    >
      <path d={`M0 ${MIDDLE}H${widthPx}`} stroke="var(--line)" strokeWidth={1} />
      {bins.map((b) => (
        <BinMark key={`${b.at} ${b.mark}`} bin={b} x={(b.at + 0.5) * step} w={w} />
      ))}
    </svg>
  );
}

function BinMark({ bin, x, w }: { readonly bin: RiverBin; readonly x: number; readonly w: number }) {
  const { mark, n, colour } = bin;
  switch (mark) {
    case 'coat': {
      const h = high(n, 26);
      return (
        <rect
          x={x - w / 2}
          y={MIDDLE - h}
          width={w}
          height={h}
          fill={colour ?? 'var(--quiet)'}
          stroke="var(--ink)"
          strokeWidth={0.6}
        />
      );
    }
    case 'metal':
      return <rect x={x - w / 2} y={MIDDLE} width={w} height={high(n, 12)} fill="var(--metal)" />;
    case 'check':
      return <circle cx={x} cy={MIDDLE} r={2.6} fill="var(--panel)" stroke="var(--ink)" strokeWidth={1.2} />;
    case 'found':
      return <path d={`M${x} 1l3.500 3.500l-3.500 3.500l-3.500 -3.500z`} fill="var(--bad)" />;
    case 'work':
      return <path d={`M${x} ${MIDDLE - 4}v8`} stroke="var(--wait)" strokeWidth={1.4} />;
    case 'sign':
      return (
        <path d={`M${x - 4} ${SIGN_Y}l3 3.500l5.500 -7`} fill="none" stroke="var(--ink)" strokeWidth={2} />
      );
    case 'note':
      return <circle cx={x} cy={LANE_H - 4} r={1.6} fill="var(--quiet)" />;
  }
}

/** Where each mark stands in a lane, so that it can be shown alone. */
const MARK_Y: Readonly<Record<Mark, number>> = {
  coat: MIDDLE - 6,
  metal: MIDDLE + 4,
  check: MIDDLE,
  found: 4.5,
  work: MIDDLE,
  sign: SIGN_Y,
  note: LANE_H - 4,
};
/** A mark alone, as the words beside it explain it. */
export function MarkSwatch({ mark }: { readonly mark: Mark }) {
  return (
    <svg
      width={16}
      height={16}
      viewBox={`0 ${MARK_Y[mark] - 8} 16 16`}
      aria-hidden="true"
      className="shrink-0"
    >
      <BinMark bin={{ at: 0, mark, n: 2, colour: null }} x={8} w={6} />
    </svg>
  );
}
