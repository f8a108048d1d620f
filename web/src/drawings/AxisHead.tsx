import type { Span } from '@calvetta/core';
import { TZDate } from '@date-fns/tz';
import { format } from 'date-fns';
import { clampX, ticksOf, xOf, type TimeAxis } from './axis.ts';

interface Props {
  readonly axis: TimeAxis;
  readonly nowMs: number;
  readonly zone: string;
}

/** Hours above the ribbons; midnight shows its day. */
export function AxisHead({ axis, nowMs, zone }: Props) {
  const nowX = xOf(axis, nowMs);
  return (
    <svg width={axis.widthPx} height={22} aria-hidden="true" className="block">
      {ticksOf(axis, (ms) => new TZDate(ms, zone).getHours()).map((ms) => {
        const x = xOf(axis, ms);
        if (Math.abs(x - nowX) < 34 || x > axis.widthPx - 16 || x < 14) return null;
        const isDay = new TZDate(ms, zone).getHours() === 0;
        return (
          <text
            key={ms}
            x={x}
            y={14}
            fontSize="12.5"
            textAnchor="middle"
            fontFamily="var(--font-figure)"
            fontWeight={isDay ? 600 : 500}
            fill={isDay ? 'var(--ink)' : 'var(--quiet)'}
          >
            {isDay ? format(new TZDate(ms, zone), 'EEE d') : format(new TZDate(ms, zone), 'HH:mm')}
          </text>
        );
      })}
      <text
        x={nowX}
        y={14}
        fontSize="13"
        textAnchor="middle"
        fontFamily="var(--font-figure)"
        fontWeight="600"
        fill="var(--ink)"
      >
        now
      </text>
    </svg>
  );
}

/** Nights and the now-line behind a whole list of ribbons: one backdrop, one axis. */
export function AxisBackdrop({
  axis,
  nowMs,
  nights,
}: {
  readonly axis: TimeAxis;
  readonly nowMs: number;
  readonly nights: readonly Span[];
}) {
  return (
    <svg
      width={axis.widthPx}
      height="100%"
      className="pointer-events-none absolute inset-0"
      aria-hidden="true"
    >
      {nights.map((n) => (
        <rect
          key={n.fromMs}
          x={clampX(axis, n.fromMs)}
          width={Math.max(0, clampX(axis, n.toMs) - clampX(axis, n.fromMs))}
          y="0"
          height="100%"
          fill="var(--s-night)"
        />
      ))}
      <line
        x1={xOf(axis, nowMs)}
        x2={xOf(axis, nowMs)}
        y1="0"
        y2="100%"
        stroke="var(--ink)"
        strokeOpacity="0.5"
      />
    </svg>
  );
}
