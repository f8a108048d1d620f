import { clockTime, shownAt, weekdayAndDate } from '../ui/time.ts';
import { ticksOf, xOf, type TimeAxis } from './axis.ts';

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
      {ticksOf(axis, (ms) => Number(shownAt(ms, zone).hour)).map((ms) => {
        const x = xOf(axis, ms);
        if (Math.abs(x - nowX) < 34 || x > axis.widthPx - 16 || x < 14) return null;
        const isDay = shownAt(ms, zone).hour === '00';
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
            {isDay ? weekdayAndDate(ms, zone) : clockTime(ms, zone)}
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
