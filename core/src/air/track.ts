import { vapourHpa } from './humidity.ts';
import { DAY_MS, HOUR_MS } from '../base/time.ts';
import { recent } from '../base/recent.ts';
import type { AirReading } from './reading.ts';
import { sliceAir, type AirStretch } from '../part/thermal/track.ts';

/** Air readings at most this far apart are joined by a line. */
export const JOIN_AIR_MS = HOUR_MS;
/** Spread of an assumed temperature, K (median of the last 7 days ± this). */
export const ASSUMED_SPREAD_K = 8;

/** An hour of outdoor forecast. */
export interface ForecastHour {
  readonly atMs: number;
  readonly airC: number;
  readonly rhPct: number;
}

type Point = Pick<AirReading, 'atMs' | 'airC' | 'rhPct'>;
const vapour = (p: Point): number => vapourHpa(p.airC, p.rhPct);

/** Joins ascending points at most `joinMs` apart into stretches; wider gaps stay gaps. */
export function stretchesFrom(
  points: readonly Point[],
  source: AirStretch['source'],
  joinMs = JOIN_AIR_MS,
): AirStretch[] {
  const out: AirStretch[] = [];
  for (let i = 1; i < points.length; i++) {
    const a = points[i - 1]!;
    const b = points[i]!;
    if (b.atMs <= a.atMs || b.atMs - a.atMs > joinMs) continue;
    out.push({
      fromMs: a.atMs,
      toMs: b.atMs,
      fromC: a.airC,
      toC: b.airC,
      fromVapourHpa: vapour(a),
      toVapourHpa: vapour(b),
      source,
    });
  }
  return out;
}

/** Dropped readings lie at most this far from the line that replaces them: a tenth of what instruments claim. */
export const THIN_TOLERANCE = { tempK: 0.05, vapourHpa: 0.03 } as const;

/**
 * Leaves out readings that lie on the line between their neighbours, within THIN_TOLERANCE in temperature and vapour
 * pressure, so that fourteen quiet days are a few hundred stretches and not two thousand. Gaps are kept: no line spans
 * more than `joinMs`. Ascending in, ascending out; first and last stay.
 */
export function thinPoints<P extends Point>(points: readonly P[], joinMs = JOIN_AIR_MS): P[] {
  const out: P[] = [];
  let anchor = 0;
  let cones = openCones();
  for (let i = 0; i < points.length; i++) {
    const p = points[i]!;
    const a = points[anchor]!;
    const isLast = i === points.length - 1;
    const gap = i > 0 && p.atMs - points[i - 1]!.atMs > joinMs;
    if (i === 0 || isLast || gap || p.atMs - a.atMs > joinMs || !fits(cones, a, p)) {
      if (i > 0 && anchor !== i - 1) out.push(points[i - 1]!);
      if (i === 0 || isLast || gap) out.push(p);
      anchor = i === 0 || isLast || gap ? i : i - 1;
      cones = openCones();
    }
    if (i !== anchor) narrow(cones, points[anchor]!, p);
  }
  return out;
}

type Cone = [lowSlope: number, highSlope: number];
const openCones = (): [Cone, Cone] => [
  [-Infinity, Infinity],
  [-Infinity, Infinity],
];

function slopes(a: Point, p: Point): readonly [number, number] {
  const length = p.atMs - a.atMs;
  return [(p.airC - a.airC) / length, (vapour(p) - vapour(a)) / length];
}

/** The line from the anchor to p passes within tolerance of every reading since the anchor. */
function fits(cones: [Cone, Cone], a: Point, p: Point): boolean {
  const s = slopes(a, p);
  return cones.every(([low, high], k) => s[k as 0 | 1] >= low && s[k as 0 | 1] <= high);
}

function narrow(cones: [Cone, Cone], a: Point, p: Point): void {
  const length = p.atMs - a.atMs;
  const s = slopes(a, p);
  [THIN_TOLERANCE.tempK, THIN_TOLERANCE.vapourHpa].forEach((tolerance, k) => {
    const cone = cones[k as 0 | 1];
    cone[0] = Math.max(cone[0], s[k as 0 | 1] - tolerance / length);
    cone[1] = Math.min(cone[1], s[k as 0 | 1] + tolerance / length);
  });
}

/** Median air temperature and vapour pressure of the points in the seven days before `atMs`; null without any. */
export function weekMedian(
  points: readonly Point[],
  atMs: number,
): { airC: number; vapourHpa: number } | null {
  const week = points.filter((p) => p.atMs > atMs - 7 * DAY_MS && p.atMs <= atMs);
  if (week.length === 0) return null;
  return { airC: median(week.map((p) => p.airC)), vapourHpa: median(week.map(vapour)) };
}

function median(values: number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const mid = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[mid]! : (sorted[mid - 1]! + sorted[mid]!) / 2;
}

export interface PlaceAirInput {
  /** Measured air of before the readings. */
  readonly past?: readonly AirStretch[];
  /** Ascending readings of the place, stuck runs already left out. */
  readonly readings: readonly Point[];
  /** Predicted air of the place (see placeAirFromOutdoor), ascending; may also cover gaps in the past. */
  readonly forecast: readonly AirStretch[];
  readonly fromMs: number;
  readonly nowMs: number;
  readonly toMs: number;
}

/** Of a series that many moments ask about: worked out once. */
const measuredOf = recent(
  (readings: readonly Point[]): readonly AirStretch[] => stretchesFrom(thinPoints(readings), 'measured'),
  64,
);
const medianOf = recent(
  (readings: readonly Point[]) => weekMedian(readings, readings[readings.length - 1]?.atMs ?? 0),
  64,
);

/**
 * The air of a place without holes: measured, else forecast, else assumed at the 7-day median (said so). The newest
 * reading holds until now when it is at most an hour old. Empty where nothing at all is known: then clocks are unknown.
 */
export function placeAirTrack(input: PlaceAirInput): AirStretch[] {
  const measured = [...(input.past ?? []), ...measuredOf(input.readings)];
  const newest = input.readings[input.readings.length - 1];
  if (newest && input.nowMs > newest.atMs && input.nowMs - newest.atMs <= JOIN_AIR_MS) {
    const v = vapour(newest);
    measured.push({
      fromMs: newest.atMs,
      toMs: input.nowMs,
      fromC: newest.airC,
      toC: newest.airC,
      fromVapourHpa: v,
      toVapourHpa: v,
      source: 'measured',
    });
  }
  const withForecast = fillGaps(measured, input.forecast, input.fromMs, input.toMs);
  const m = newest ? medianOf(input.readings) : null;
  if (!m) return withForecast;
  const assumed: AirStretch = {
    fromMs: input.fromMs,
    toMs: input.toMs,
    fromC: m.airC,
    toC: m.airC,
    fromVapourHpa: m.vapourHpa,
    toVapourHpa: m.vapourHpa,
    source: 'assumed',
  };
  return fillGaps(withForecast, [assumed], input.fromMs, input.toMs);
}

/** Puts pieces of `filler` wherever `base` has no stretch between two instants. Both ascend. */
export function fillGaps(
  base: readonly AirStretch[],
  filler: readonly AirStretch[],
  fromMs: number,
  toMs: number,
): AirStretch[] {
  const out: AirStretch[] = [];
  let cursorMs = fromMs;
  let f = 0;
  const fillTo = (untilMs: number): void => {
    while (f < filler.length && filler[f]!.toMs <= cursorMs) f++;
    for (let i = f; i < filler.length && filler[i]!.fromMs < untilMs; i++) {
      const a = Math.max(filler[i]!.fromMs, cursorMs);
      const b = Math.min(filler[i]!.toMs, untilMs);
      if (b > a) out.push(sliceAir(filler[i]!, a, b));
    }
  };
  for (const s of base) {
    if (s.toMs <= cursorMs || s.fromMs >= toMs) continue;
    if (s.fromMs > cursorMs) fillTo(s.fromMs);
    out.push(sliceAir(s, Math.max(s.fromMs, cursorMs), Math.min(s.toMs, toMs)));
    cursorMs = Math.min(s.toMs, toMs);
  }
  if (cursorMs < toMs) fillTo(toMs);
  return out;
}
