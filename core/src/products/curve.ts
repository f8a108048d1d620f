import { rangeFailure, type Failure } from '../base/failure.ts';
import { err, ok, type Result } from '../base/result.ts';
import { kFromC } from '../units/factors.ts';

/** Molar gas constant, J/mol K (CODATA 2018, exact). */
export const GAS_J_MOL_K = 8.314462618;

export interface TimeAtTemperature {
  readonly tempC: number;
  readonly hours: number;
}

/** Times of one stage at one or more temperatures, as a sheet lists them. One point needs an activation energy. */
export interface StageTimes {
  readonly points: readonly TimeAtTemperature[];
  /** kJ/mol; used only with a single point. */
  readonly activationKjMol?: number;
}

/** ln(hours) = lnHours + eOverR·(1/K − 1/K0) between two temperatures: Arrhenius on a straight line of ln t against 1/T. */
export interface ArrheniusSegment {
  readonly fromC: number;
  readonly toC: number;
  readonly eOverRK: number;
  readonly lnHoursAtRef: number;
  readonly refK: number;
}

/** Beyond the listed range by more than this the stage is unknown. */
export const EXTRAPOLATE_K = 10;
/** A single listed point with a class activation energy reaches this far either way (docs/clocks.md 1 works its example to 15 K). */
export const ONE_POINT_REACH_K = 15;

export interface FittedCurve {
  readonly segments: readonly [ArrheniusSegment, ...ArrheniusSegment[]];
  readonly coldestC: number;
  readonly warmestC: number;
  readonly longestHours: number;
  readonly reachK: number;
}

/** Fits the piecewise Arrhenius curve: exact at the listed points; refuses a sheet that gets slower as it warms. */
export function fitCurve(times: StageTimes): Result<FittedCurve> {
  const points = [...times.points].sort((a, b) => a.tempC - b.tempC);
  const bad = pointsFailure(points, times.activationKjMol);
  if (bad) return err(bad);
  const first = points[0]!;
  const last = points[points.length - 1]!;
  const longestHours = Math.max(...points.map((p) => p.hours));
  const base = { coldestC: first.tempC, warmestC: last.tempC, longestHours };
  if (points.length === 1) {
    const eOverRK = ((times.activationKjMol ?? 0) * 1000) / GAS_J_MOL_K;
    return ok({
      ...base,
      segments: [segment(first.tempC, first.tempC, first, eOverRK)],
      reachK: ONE_POINT_REACH_K,
    });
  }
  const segments = points.slice(1).map((b, i) => {
    const a = points[i]!;
    const eOverRK = Math.log(a.hours / b.hours) / (1 / kFromC(a.tempC) - 1 / kFromC(b.tempC));
    return segment(a.tempC, b.tempC, a, eOverRK);
  });
  const slower = segments.find((s) => s.eOverRK < -1e-9);
  if (slower)
    return err({
      code: 'contradiction',
      field: 'points',
      rule: `slower-when-warmer:${slower.fromC}..${slower.toC}`,
    });
  return ok({ ...base, segments: segments as unknown as FittedCurve['segments'], reachK: EXTRAPOLATE_K });
}

function segment(fromC: number, toC: number, ref: TimeAtTemperature, eOverRK: number): ArrheniusSegment {
  return { fromC, toC, eOverRK, lnHoursAtRef: Math.log(ref.hours), refK: kFromC(ref.tempC) };
}

function pointsFailure(
  points: readonly TimeAtTemperature[],
  activationKjMol: number | undefined,
): Failure | null {
  if (points.length === 0) return { code: 'contradiction', field: 'points', rule: 'at-least-one-point' };
  for (const p of points) {
    const bad =
      rangeFailure('tempC', p.tempC, -30, 250, '°C') ?? rangeFailure('hours', p.hours, 1e-4, 1e5, 'h');
    if (bad) return bad;
  }
  for (let i = 1; i < points.length; i++) {
    if (points[i]!.tempC === points[i - 1]!.tempC)
      return { code: 'contradiction', field: 'points', rule: 'one-time-per-temperature' };
  }
  if (points.length > 1) return null;
  if (activationKjMol === undefined)
    return { code: 'contradiction', field: 'activationKjMol', rule: 'one-point-needs-activation' };
  return rangeFailure('activationKjMol', activationKjMol, 0, 200, 'kJ/mol');
}

/** Hours of a segment's line at a temperature; also outside the segment, which is how extrapolation is done. */
export function segmentHours(s: ArrheniusSegment, tempC: number): number {
  return Math.exp(s.lnHoursAtRef + s.eOverRK * (1 / kFromC(tempC) - 1 / s.refK));
}

export function segmentFor(curve: FittedCurve, tempC: number): ArrheniusSegment {
  return curve.segments.find((s) => tempC <= s.toC) ?? curve.segments[curve.segments.length - 1]!;
}

export interface StageHours {
  readonly hours: number;
  readonly basis: 'listed' | 'extrapolated';
}

/** Time of a min-type stage at a steady temperature; null (unknown) more than the curve's reach beyond its listed range. */
export function stageHoursAt(curve: FittedCurve, tempC: number): StageHours | null {
  if (!(tempC >= curve.coldestC - curve.reachK && tempC <= curve.warmestC + curve.reachK)) return null;
  const listed = tempC >= curve.coldestC && tempC <= curve.warmestC;
  return { hours: segmentHours(segmentFor(curve, tempC), tempC), basis: listed ? 'listed' : 'extrapolated' };
}

/** Time of a max-type stage: no credit for cold below the coldest listed point; above the warmest, extrapolated in full. */
export function maxStageHoursAt(curve: FittedCurve, tempC: number): StageHours {
  const usedC = Math.max(tempC, curve.coldestC);
  return {
    hours: segmentHours(segmentFor(curve, usedC), usedC),
    basis: tempC <= curve.warmestC ? 'listed' : 'extrapolated',
  };
}
