import { HOUR_MS, MINUTE_MS } from '../base/time.ts';

/** One air reading of a probe or a person. `surfaceC` where the probe also touches metal. */
export interface AirReading {
  readonly atMs: number;
  readonly airC: number;
  readonly rhPct: number;
  readonly surfaceC: number | null;
  readonly probeId: string;
  /** Typed by a person: exempt from the stuck test. */
  readonly byHand: boolean;
}

/** Readings older than this are unknown to a gate. */
export const STALE_AFTER_MS = 30 * MINUTE_MS;
export const STUCK_AFTER_MS = 2 * HOUR_MS;
export const STUCK_MIN_SAMPLES = 12;

export type ReadingTrust = 'fresh' | 'stale' | 'stuck' | 'none';

/**
 * Whether the newest reading of one probe may decide a gate now.
 * Stuck: every channel bit-identical for ≥ 2 h and ≥ 12 samples; hand entries are exempt. `readings` ascend in time.
 */
export function readingTrust(readings: readonly AirReading[], nowMs: number): ReadingTrust {
  const newest = readings[readings.length - 1];
  if (!newest) return 'none';
  if (nowMs - newest.atMs > STALE_AFTER_MS) return 'stale';
  return isStuck(readings) ? 'stuck' : 'fresh';
}

/** True when the run of identical samples that ends with the newest is ≥ 2 h long and ≥ 12 samples. */
export function isStuck(readings: readonly AirReading[]): boolean {
  const newest = readings[readings.length - 1];
  if (!newest || newest.byHand) return false;
  let count = 0;
  let oldestMs = newest.atMs;
  for (let i = readings.length - 1; i >= 0; i--) {
    const r = readings[i]!;
    if (r.byHand) continue;
    if (r.airC !== newest.airC || r.rhPct !== newest.rhPct || r.surfaceC !== newest.surfaceC) break;
    count += 1;
    oldestMs = r.atMs;
  }
  return count >= STUCK_MIN_SAMPLES && newest.atMs - oldestMs >= STUCK_AFTER_MS;
}

/**
 * Readings with every stuck run cut down to its first sample: what a jammed probe repeats is not evidence, and the gap
 * it leaves is filled by the forecast or the median, and said. Ascending in, ascending out.
 */
export function dropStuckRuns(readings: readonly AirReading[]): AirReading[] {
  const out: AirReading[] = [];
  let start = 0;
  for (let i = 1; i <= readings.length; i++) {
    const first = readings[start]!;
    if (i < readings.length && isSame(first, readings[i]!)) continue;
    const run = readings.slice(start, i);
    const isLong =
      run.length >= STUCK_MIN_SAMPLES && run[run.length - 1]!.atMs - first.atMs >= STUCK_AFTER_MS;
    for (const r of isLong && !first.byHand ? [first] : run) out.push(r);
    start = i;
  }
  return out;
}

function isSame(a: AirReading, b: AirReading): boolean {
  return a.airC === b.airC && a.rhPct === b.rhPct && a.surfaceC === b.surfaceC && a.byHand === b.byHand;
}
