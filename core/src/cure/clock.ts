import { HOUR_MS } from '../base/time.ts';
import {
  firstEndingAfter,
  reach,
  reachOn,
  sliceSurface,
  type SurfaceStretch,
} from '../part/thermal/track.ts';
import { meanRate, type RateTable } from './rate.ts';
import { gainedOver, leanTemps, type Lean } from './lean.ts';
import { sumsOf } from './sums.ts';

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
  return input.tests.length === 0 ? lookUp(input, target) : walk(input, target, Number.POSITIVE_INFINITY);
}

/** Progress at an instant, or null when unknown. Before the origin it is 0. */
export function progressAt(input: ClockInput, atMs: number): number | null {
  if (atMs <= input.t0Ms) return 0;
  const end = walk(input, Number.POSITIVE_INFINITY, atMs);
  return end.isUnknown ? null : end.progress;
}

/** As `walk`, for a film that nobody tested: by the track's sums. */
function lookUp(input: ClockInput, target: number): Crossing {
  const { track, table, lean, t0Ms } = input;
  const scale = input.speedBy / input.slowBy;
  const unknown = (progress: number): Crossing => ({ atMs: null, isUnknown: true, progress });
  reach(track, t0Ms);
  const first = firstEndingAfter(track, t0Ms);
  const begun = track[first];
  if (!begun || begun.fromMs > t0Ms + 1) return unknown(0);
  const s = sliceSurface(begun, Math.max(begun.fromMs, t0Ms), begun.toMs);
  const gained = advance(s, table, lean, scale);
  if (gained < 0) return unknown(0);
  if (gained >= target)
    return { atMs: solve(s, table, lean, scale, target), isUnknown: false, progress: target };
  const sums = sumsOf(track, table, lean, first + 1);
  const last = sums.reaching(first + 1, (target - gained) / scale);
  const broken = sums.breakIn(first + 1, Math.min(last + 1, track.length));
  const end = broken < 0 ? last : broken;
  const p = gained + sums.between(first + 1, end) * scale;
  if (broken >= 0) return unknown(p);
  if (last === track.length) return { atMs: null, isUnknown: false, progress: p };
  return { atMs: solve(track[last]!, table, lean, scale, target - p), isUnknown: false, progress: target };
}

/** Step by step, stopping at each test: what a test showed or denied changes the progress from there on. */
function walk(input: ClockInput, target: number, untilMs: number): Crossing {
  const { track, tests, table, lean } = input;
  const scale = input.speedBy / input.slowBy;
  let p = 0;
  let t = 0;
  let cursorMs = input.t0Ms;
  reach(track, input.t0Ms);
  for (
    let i = firstEndingAfter(track, input.t0Ms);
    (i < track.length || reachOn(track)) && cursorMs < untilMs;
    i++
  ) {
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

/** The same at this film's own pace. */
function advance(s: SurfaceStretch, table: RateTable, lean: Lean, scale: number): number {
  const gained = gainedOver(s, table, lean);
  return gained < 0 ? gained : gained * scale;
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
