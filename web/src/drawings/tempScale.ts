import type { TimeAxis } from './axis.ts';

/** How sure a point is: measured, predicted, or nobody knows. */
export type Dash = 'known' | 'forecast' | 'assumed';
export interface TempPoint {
  readonly atMs: number;
  readonly c: number;
  readonly dash: Dash;
}

interface Scale {
  /** Ticks as the reader has them, with where they lie, °C. */
  readonly ticks: readonly { readonly shown: number; readonly c: number }[];
  /** 0 at the foot of the plot, 1 at its head. */
  readonly shareOf: (c: number) => number;
}

const STEPS = [1, 2, 5, 10, 20, 50];
const MOST_TICKS = 6;

/** A scale of whole steps over all that is in sight, in the reader's own degrees. */
export function scaleOf(
  lines: readonly (readonly TempPoint[])[],
  { fromMs, toMs }: Pick<TimeAxis, 'fromMs' | 'toMs'>,
  shown: (c: number) => number,
): Scale {
  const there = lines.flatMap((l) =>
    l.filter((p) => p.atMs >= fromMs && p.atMs <= toMs).map((p) => shown(p.c)),
  );
  const [low, high] = there.length === 0 ? [0, 20] : [Math.min(...there), Math.max(...there)];
  const step = STEPS.find((s) => Math.ceil(high / s) - Math.floor(low / s) <= MOST_TICKS - 1) ?? 100;
  const [first, last] = [
    Math.floor(low / step) * step,
    Math.max(Math.ceil(high / step), 1 + Math.floor(low / step)) * step,
  ];
  // A reader's degrees are a line over ours: two points give it.
  const [zero, perC] = [shown(0), shown(1) - shown(0)];
  return {
    ticks: Array.from({ length: (last - first) / step + 1 }, (_, i) => first + i * step).map((s) => ({
      shown: s,
      c: (s - zero) / perC,
    })),
    shareOf: (c) => (shown(c) - first) / (last - first),
  };
}

/** Between points farther apart than this nothing is known: no line joins them. */
const HOLE_MS = 3 * 3_600_000;

/** A line in pieces, parted where the record has a hole. */
export function piecesOf<P extends { readonly atMs: number }>(
  points: readonly P[],
): readonly (readonly P[])[] {
  const out: P[][] = [];
  for (const p of points) {
    const open = out[out.length - 1];
    if (open && p.atMs - open[open.length - 1]!.atMs <= HOLE_MS) open.push(p);
    else out.push([p]);
  }
  return out;
}

/** A piece of a line as paths, a new one wherever it becomes more or less sure: the joint belongs to both. */
export function pathsOf(
  points: readonly TempPoint[],
  x: (ms: number) => number,
  y: (c: number) => number,
): readonly { readonly d: string; readonly dash: Dash }[] {
  const out: { d: string; dash: Dash }[] = [];
  points.forEach((p, i) => {
    const at = `${x(p.atMs).toFixed(1)} ${y(p.c).toFixed(1)}`;
    const before = points[i - 1];
    const open = out[out.length - 1];
    if (open && before?.dash === p.dash) open.d += `L${at}`;
    else
      out.push({
        d: before ? `M${x(before.atMs).toFixed(1)} ${y(before.c).toFixed(1)}L${at}` : `M${at}`,
        dash: p.dash,
      });
  });
  return out;
}

/** The point next to a moment, at most an hour off. */
export function nearest(points: readonly TempPoint[], atMs: number): TempPoint | null {
  let best: TempPoint | null = null;
  for (const p of points) if (best === null || Math.abs(p.atMs - atMs) < Math.abs(best.atMs - atMs)) best = p;
  return best && Math.abs(best.atMs - atMs) <= 3_600_000 ? best : null;
}
