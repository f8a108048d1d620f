import { TZDate } from '@date-fns/tz';
import { format } from 'date-fns';
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
