import type { ReactNode } from 'react';
import type { MappedReading, PartKind, Spot } from '@calvetta/core';
import { KIND_LINES } from './kindPaths.ts';

/** The field that outlines are drawn in. */
export const [FACE_W, FACE_H] = [96, 64];

interface Props {
  readonly kind: PartKind;
  readonly label: string;
  readonly onSpot: (spot: Spot) => void;
  readonly children?: ReactNode;
}

/** The outline of a part as large as its room, to be touched where something is. */
export function FaceOutline({ kind, label, onSpot, children }: Props) {
  const { outline, inner, circles } = KIND_LINES[kind];
  return (
    <svg
      viewBox={`0 0 ${FACE_W} ${FACE_H}`}
      className="block w-full cursor-crosshair touch-manipulation"
      role="img"
      aria-label={`${label}: touch where it is`}
      onClick={(e) => {
        const box = e.currentTarget.getBoundingClientRect();
        onSpot({
          x: Number(((e.clientX - box.left) / box.width).toFixed(3)),
          y: Number(((e.clientY - box.top) / box.height).toFixed(3)),
        });
      }}
    >
      <g fill="none" stroke="var(--ink)" strokeLinejoin="round" strokeLinecap="round" opacity={0.55}>
        <path
          d={outline}
          strokeWidth={0.9}
          fill="var(--panel)"
          strokeDasharray={kind === 'unknown' ? '2.500 2.500' : undefined}
        />
        {inner ? <path d={inner} strokeWidth={0.5} /> : null}
        {circles?.map(([x, y, r]) => (
          <circle key={`${x} ${y}`} cx={x} cy={y} r={r} strokeWidth={0.5} />
        ))}
      </g>
      {children}
    </svg>
  );
}

/** Where a finger was put last. */
export function SpotCross({ spot }: { readonly spot: Spot }) {
  return (
    <path
      d={`M${spot.x * FACE_W - 3} ${spot.y * FACE_H}h6M${spot.x * FACE_W} ${spot.y * FACE_H - 3}v6`}
      stroke="var(--bad)"
      strokeWidth={0.9}
    />
  );
}

const LOOK = {
  thin: { fill: 'var(--bad)', shape: 'M-1.800 -1.500h3.600L0 1.800z' },
  low: { fill: 'var(--warn)', shape: 'M-1.500 -0.700h3v1.400h-3z' },
  right: { fill: 'var(--good)', shape: 'M-1.200 0a1.200 1.200 0 1 0 2.400 0a1.200 1.200 0 1 0 -2.400 0' },
  thick: { fill: 'var(--bad)', shape: 'M-1.800 1.500h3.600L0 -1.800z' },
} as const;

/** Film readings where they were taken: a point down is thin, a point up thick, a bar under what was specified, a dot right. */
export function FilmSpots({
  readings,
  film,
  isSmall = false,
}: {
  readonly readings: readonly MappedReading[];
  /** The drawing has half the usual room: figures and marks are drawn larger in it. */
  readonly isSmall?: boolean;
  /** A film in the reader's unit. */
  readonly film: (um: number) => string;
}) {
  return (
    <g>
      {readings.map((r, i) => (
        <g key={i} transform={`translate(${r.x * FACE_W} ${r.y * FACE_H}) scale(${isSmall ? 1.5 : 1})`}>
          <path d={LOOK[r.level].shape} fill={LOOK[r.level].fill} stroke="var(--panel)" strokeWidth={0.3} />
          <text
            y={-2.4}
            textAnchor="middle"
            fontSize={3.6}
            fill="var(--ink)"
            stroke="var(--panel)"
            strokeWidth={0.8}
            paintOrder="stroke"
            className="figure"
          >
            {film(r.um).replace(/[^\d.,]+$/u, '')}
          </text>
        </g>
      ))}
    </g>
  );
}
