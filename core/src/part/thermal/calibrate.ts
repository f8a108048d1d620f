import { lumpAfterC } from './response.ts';
import type { AirStretch, OwnReading } from './track.ts';

/** A lag and an offset fitted to readings, with how well they fit. */
export interface LagFit {
  readonly tauS: number;
  readonly offsetK: number;
  /** Root-mean-square of what the fit leaves, K. */
  readonly rmsK: number;
  readonly n: number;
}

/** Fewer readings than this fix nothing. */
export const MIN_FIT_READINGS = 5;
const TAU_RANGE_S = [60, 48 * 3600] as const;

/**
 * Fits `reading = lump(air, τ) + offset` by least squares: the offset in closed form for each τ, τ by golden section on
 * ln τ over 1 min … 48 h. The same fit serves a part behind its place's air and a place behind the outdoor air.
 * Null with fewer than five readings inside the air's span.
 */
export function fitLag(air: readonly AirStretch[], readings: readonly OwnReading[]): LagFit | null {
  const first = air[0];
  const last = air[air.length - 1];
  if (!first || !last) return null;
  const used = readings.filter((r) => r.atMs >= first.fromMs && r.atMs <= last.toMs);
  if (used.length < MIN_FIT_READINGS) return null;
  const score = (lnTau: number): LagFit => fitAt(air, used, Math.exp(lnTau));
  return goldenSection(score, Math.log(TAU_RANGE_S[0]), Math.log(TAU_RANGE_S[1]));
}

function goldenSection(score: (x: number) => LagFit, from: number, to: number): LagFit {
  const ratio = (Math.sqrt(5) - 1) / 2;
  let low = from;
  let high = to;
  let a = high - ratio * (high - low);
  let b = low + ratio * (high - low);
  let fa = score(a);
  let fb = score(b);
  while (high - low > 1e-3) {
    if (fa.rmsK <= fb.rmsK) {
      high = b;
      b = a;
      fb = fa;
      a = high - ratio * (high - low);
      fa = score(a);
    } else {
      low = a;
      a = b;
      fa = fb;
      b = low + ratio * (high - low);
      fb = score(b);
    }
  }
  return fa.rmsK <= fb.rmsK ? fa : fb;
}

function fitAt(air: readonly AirStretch[], readings: readonly OwnReading[], tauS: number): LagFit {
  const model = lumpAtReadings(air, readings, tauS);
  let sum = 0;
  let sumSquares = 0;
  for (let i = 0; i < readings.length; i++) {
    const d = readings[i]!.surfaceC - model[i]!;
    sum += d;
    sumSquares += d * d;
  }
  const n = readings.length;
  const offsetK = sum / n;
  return { tauS, offsetK, rmsK: Math.sqrt(Math.max(0, sumSquares / n - offsetK * offsetK)), n };
}

/** The lump's temperature at each reading, started at the air's temperature. */
function lumpAtReadings(air: readonly AirStretch[], readings: readonly OwnReading[], tauS: number): number[] {
  const out: number[] = [];
  let tempC = air[0]!.fromC;
  let r = 0;
  for (const s of air) {
    const slope = ((s.toC - s.fromC) / (s.toMs - s.fromMs)) * 1000;
    while (r < readings.length && readings[r]!.atMs <= s.toMs) {
      out.push(lumpAfterC(tempC, s.fromC, slope, tauS, Math.max(0, readings[r]!.atMs - s.fromMs) / 1000));
      r++;
    }
    tempC = lumpAfterC(tempC, s.fromC, slope, tauS, (s.toMs - s.fromMs) / 1000);
  }
  return out;
}
