import type { PlanView } from '@calvetta/core';
import { useWidth } from '../../ui/useWidth.ts';
import { dayWords } from './planWords.ts';

interface Props {
  /** When it was done, replay by replay, ascending. */
  readonly doneMs: readonly number[];
  readonly n: number;
  readonly dueMs: number | null;
  readonly view: Pick<PlanView, 'nowMs' | 'endMs' | 'zone'>;
}
const DAY_MS = 86_400_000;
const [HEIGHT, FOOT, ROOM_RIGHT] = [54, 14, 60];

/** Replays by the day they were done on, as columns along the plan's time; what was not done stands at its end. */
export function DaysDrawn({ doneMs, n, dueMs, view }: Props) {
  const [ref, width] = useWidth();
  const first = Math.min(doneMs[0] ?? view.endMs, dueMs ?? view.endMs) - 2 * DAY_MS;
  const span = Math.max(DAY_MS, view.endMs - first);
  const wide = Math.max(1, width - ROOM_RIGHT);
  const x = (ms: number): number => ((ms - first) / span) * wide;
  const byDay = new Map<number, number>();
  for (const ms of doneMs) byDay.set(Math.floor(ms / DAY_MS), (byDay.get(Math.floor(ms / DAY_MS)) ?? 0) + 1);
  const never = n - doneMs.length;
  const most = Math.max(1, never, ...byDay.values());
  const high = HEIGHT - FOOT;
  const bar = (count: number): number => (count / most) * (high - 4);
  const day = Math.max(2, x(first + DAY_MS) - 1);
  return (
    <div ref={ref}>
      {width > 0 ? (
        <svg
          width={width}
          height={HEIGHT}
          role="img"
          aria-label={`Done on ${byDay.size} different days; ${never} of ${n} times not within the plan`}
        >
          <line x1={0} x2={wide} y1={high} y2={high} stroke="var(--line)" />
          {[...byDay].map(([d, count]) => (
            <rect
              key={d}
              x={x(d * DAY_MS)}
              y={high - bar(count)}
              width={day}
              height={bar(count)}
              fill={dueMs !== null && d * DAY_MS > dueMs ? 'var(--bad)' : 'var(--ink)'}
            />
          ))}
          {dueMs === null ? null : (
            <g>
              <line x1={x(dueMs)} x2={x(dueMs)} y1={0} y2={high} stroke="var(--bad)" strokeDasharray="3 2" />
              <text x={x(dueMs) + 4} y={10} fontSize={11} fill="var(--bad)">
                its date
              </text>
            </g>
          )}
          {never > 0 ? (
            <g>
              <rect x={wide + 8} y={high - bar(never)} width={10} height={bar(never)} fill="var(--bad)" />
              <text x={wide + 22} y={high - 2} fontSize={11} fill="var(--bad)">
                later
              </text>
            </g>
          ) : null}
          <text x={0} y={HEIGHT - 2} fontSize={11} fill="var(--quiet)">
            {dayWords(first, view)}
          </text>
          <text x={wide} y={HEIGHT - 2} textAnchor="end" fontSize={11} fill="var(--quiet)">
            {dayWords(view.endMs, view)}
          </text>
        </svg>
      ) : null}
    </div>
  );
}
