import { DAY_MS, HOUR_MS } from '../base/time.ts';
import { esOverWaterHpa } from './saturation.ts';
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
const vapour = (p: Point): number => (p.rhPct / 100) * esOverWaterHpa(p.airC);

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
  /** Ascending readings of the place, stuck runs already left out. */
  readonly readings: readonly Point[];
  /** Predicted air of the place (see placeAirFromOutdoor), ascending; may also cover gaps in the past. */
  readonly forecast: readonly AirStretch[];
  readonly fromMs: number;
  readonly nowMs: number;
  readonly toMs: number;
}

/**
 * The air of a place without holes: measured, else forecast, else assumed at the 7-day median (said so). The newest
 * reading holds until now when it is at most an hour old. Empty where nothing at all is known: then clocks are unknown.
 */
export function placeAirTrack(input: PlaceAirInput): AirStretch[] {
  const measured = stretchesFrom(input.readings, 'measured');
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
  const m = weekMedian(input.readings, newest?.atMs ?? input.nowMs);
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
