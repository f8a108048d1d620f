import { HOUR_MS } from '../base/time.ts';
import { ASSUMED_SPREAD_K } from '../air/track.ts';
import { firstEndingAfter, sliceSurface, type SurfaceStretch } from '../part/thermal/track.ts';
import { meanRate, type RateTable } from './rate.ts';

/** How wrong a measured, lagged or forecast film temperature may be, K; an assumed one is ± ASSUMED_SPREAD_K. */
export const EDGE_SPREAD_K = 2;

/** Which temperature a clock is run on: as known, as cold as it may have been, or as warm. */
export type Lean = 'nominal' | 'cold' | 'warm';

/** The stretch's temperatures under a lean. Warm leans also take the air where it is warmer than the surface. */
export function leanTemps(s: SurfaceStretch, lean: Lean): readonly [number, number] {
  if (lean === 'nominal') return [s.fromC, s.toC];
  const spread = s.source === 'assumed' ? ASSUMED_SPREAD_K : EDGE_SPREAD_K;
  if (lean === 'cold') return [s.fromC - spread, s.toC - spread];
  // The chord of the two end maxima lies above the maximum of two lines in between: never closes later than safe.
  return [Math.max(s.fromC, s.airFromC) + spread, Math.max(s.toC, s.airToC) + spread];
}

/** A person's test of a min-type stage on this film. */
export interface StageTest {
  readonly atMs: number;
  readonly reached: boolean;
}

/** After a failed test the stage is taken to be no farther than this; it must still gain the rest. */
export const FAILED_TEST_PROGRESS = 0.9;

export interface ClockInput {
  readonly table: RateTable;
  readonly track: readonly SurfaceStretch[];
  readonly t0Ms: number;
  readonly lean: Lean;
  /** Divides the rate: a stacked film's factor (≥ 1). */
  readonly slowBy: number;
  /** Multiplies the rate: the shop's own calibration of the product (0.5–2). */
  readonly speedBy: number;
  /** Tests of this stage, ascending; max-type clocks are given none. */
  readonly tests: readonly StageTest[];
}

export interface Crossing {
  /** When progress reaches the target; null when it does not within the track. */
  readonly atMs: number | null;
  /** The clock runs into a temperature the sheet says nothing about, or a gap in the record, before it gets there. */
  readonly isUnknown: boolean;
  /** Progress at the end of what was walked. */
  readonly progress: number;
}

/** Walks the film's temperature and finds when progress p reaches `target`: p = ∫ dt / t_stage(T(t)). */
export function crossing(input: ClockInput, target: number): Crossing {
  return walk(input, target, Number.POSITIVE_INFINITY);
}

/** Progress at an instant, or null when unknown. Before the origin it is 0. */
export function progressAt(input: ClockInput, atMs: number): number | null {
  if (atMs <= input.t0Ms) return 0;
  const end = walk(input, Number.POSITIVE_INFINITY, atMs);
  return end.isUnknown ? null : end.progress;
}

function walk(input: ClockInput, target: number, untilMs: number): Crossing {
  const { track, tests, table, lean } = input;
  const scale = input.speedBy / input.slowBy;
  let p = 0;
  let t = 0;
  let cursorMs = input.t0Ms;
  for (let i = firstEndingAfter(track, input.t0Ms); i < track.length && cursorMs < untilMs; i++) {
    const stretch = track[i]!;
    if (stretch.fromMs > cursorMs + 1) return { atMs: null, isUnknown: true, progress: p };
    let s = sliceSurface(stretch, Math.max(stretch.fromMs, cursorMs), Math.min(stretch.toMs, untilMs));
    while (t < tests.length && tests[t]!.atMs < s.toMs) {
      const test = tests[t]!;
      t++;
      if (test.atMs < input.t0Ms) continue;
      if (test.atMs > s.fromMs) {
        const before = sliceSurface(s, s.fromMs, test.atMs);
        const part = advance(before, table, lean, scale);
        if (part < 0) return { atMs: null, isUnknown: true, progress: p };
        if (p + part >= target)
          return { atMs: solve(before, table, lean, scale, target - p), isUnknown: false, progress: target };
        p += part;
        s = sliceSurface(s, test.atMs, s.toMs);
      }
      if (test.reached && p < 1) p = 1;
      if (!test.reached && p > FAILED_TEST_PROGRESS) p = FAILED_TEST_PROGRESS;
      if (p >= target) return { atMs: test.atMs, isUnknown: false, progress: p };
    }
    const gain = advance(s, table, lean, scale);
    if (gain < 0) return { atMs: null, isUnknown: true, progress: p };
    if (p + gain >= target)
      return { atMs: solve(s, table, lean, scale, target - p), isUnknown: false, progress: target };
    p += gain;
    cursorMs = s.toMs;
  }
  // Nothing at all is known at the origin: that is unknown, not slow. Otherwise the track merely ends before the target.
  const isUnknown = cursorMs === input.t0Ms || (untilMs !== Number.POSITIVE_INFINITY && cursorMs < untilMs);
  return { atMs: null, isUnknown, progress: p };
}

/** Progress gained over one stretch, or negative when unknown. */
export function advance(s: SurfaceStretch, table: RateTable, lean: Lean, scale: number): number {
  const [fromC, toC] = leanTemps(s, lean);
  const rate = meanRate(table, fromC, toC);
  return rate < 0 ? rate : (rate * scale * (s.toMs - s.fromMs)) / HOUR_MS;
}

/** The instant inside a stretch at which `need` has been gained: bisection on the monotone integral, to a millisecond. */
function solve(s: SurfaceStretch, table: RateTable, lean: Lean, scale: number, need: number): number {
  if (need <= 0) return s.fromMs;
  const [fromC, toC] = leanTemps(s, lean);
  const lengthMs = s.toMs - s.fromMs;
  let low = 0;
  let high = 1;
  for (let i = 0; i < 50 && (high - low) * lengthMs > 0.5; i++) {
    const mid = (low + high) / 2;
    const gained = (meanRate(table, fromC, fromC + (toC - fromC) * mid) * scale * lengthMs * mid) / HOUR_MS;
    if (gained >= need) high = mid;
    else low = mid;
  }
  return s.fromMs + high * lengthMs;
}
