import { rhPctOf } from '../air/humidity.ts';
import { FORECAST_REACH_MS, HOUR_MS, mergeSpans, type Span } from '../base/time.ts';
import {
  judgeGates,
  type AirLimits,
  type Conditions,
  DEFAULT_RH_MAX_PCT,
  DEW_MARGIN_K,
} from '../air/gate.ts';
import { wettingPointOf } from '../air/dewPoint.ts';
import { STALE_AFTER_MS, type ReadingTrust } from '../air/reading.ts';
import {
  sliceAir,
  surfaceAt,
  type AirStretch,
  type OwnReading,
  type SurfaceStretch,
} from '../part/thermal/track.ts';
import type { ProductSheet } from '../products/sheet.ts';

/** What is asked of the air when a product goes on: its sheet's, with the trade's defaults where it is silent. */
export function limitsOf(sheet: ProductSheet | null): AirLimits {
  return {
    dewMarginK: sheet?.dewMarginK ?? DEW_MARGIN_K,
    rhMaxPct: sheet?.rhMaxPct ?? DEFAULT_RH_MAX_PCT,
    rhMinPct: sheet?.rhMinPct ?? null,
    surfaceMinC: sheet?.applySurfaceMinC ?? null,
    surfaceMaxC: sheet?.applySurfaceMaxC ?? null,
    airMinC: sheet?.applyAirMinC ?? null,
    airMaxC: sheet?.applyAirMaxC ?? null,
  };
}

/** A place's newest trusted reading. */
export interface PlaceNow {
  readonly trust: ReadingTrust;
  readonly atMs: number | null;
  readonly airC: number | null;
  readonly rhPct: number | null;
}

/** How wrong a surface computed by the lag model may be, K (common practice, no published source). */
export const LAG_SPREAD_K = 1;
export const PREDICTED_SPREAD_K = 2;

export type SurfaceBasis = 'surface' | 'lag' | 'none';

/** Conditions at the part now: only fresh readings count; the surface is its own reading, else the lag model's. */
export function conditionsNow(
  place: PlaceNow,
  track: readonly SurfaceStretch[],
  own: readonly OwnReading[],
  nowMs: number,
): Conditions & { basis: SurfaceBasis } {
  const fresh = place.trust === 'fresh';
  const newestOwn = [...own].reverse().find((r) => r.atMs <= nowMs && nowMs - r.atMs <= STALE_AFTER_MS);
  const air = { airC: fresh ? place.airC : null, rhPct: fresh ? place.rhPct : null };
  if (newestOwn) return { ...air, surfaceC: newestOwn.surfaceC, basis: 'surface' };
  const point = fresh ? surfaceAt(track, nowMs - 1) : null;
  if (!point || (point.source !== 'lag' && point.source !== 'surface'))
    return { ...air, surfaceC: null, basis: 'none' };
  return { ...air, surfaceC: point.surfaceC, surfaceSpreadK: LAG_SPREAD_K, basis: 'lag' };
}

/** Predicted conditions at an instant of the track; null where nothing is known. */
export function conditionsAt(track: readonly SurfaceStretch[], atMs: number): Conditions | null {
  const p = surfaceAt(track, atMs);
  if (!p) return null;
  const rhPct = p.vapourHpa === null ? null : rhPctOf(p.vapourHpa, p.airC);
  return { airC: p.airC, rhPct, surfaceC: p.surfaceC, surfaceSpreadK: PREDICTED_SPREAD_K };
}

const STEP_MS = HOUR_MS / 2;

/** Spans in which every gate is predicted to hold (nominal slack ≥ 0); only where air is measured or forecast, never assumed. */
export function fitSpans(
  track: readonly SurfaceStretch[],
  limits: AirLimits,
  fromMs: number,
  toMs: number,
): Span[] {
  const fit: Span[] = [];
  const endMs = Math.min(toMs, fromMs + FORECAST_REACH_MS);
  for (let atMs = fromMs; atMs < endMs; atMs += STEP_MS) {
    const middle = atMs + STEP_MS / 2;
    if (surfaceAt(track, middle)?.source === 'assumed') continue;
    const now = conditionsAt(track, middle);
    if (now && judgeGates(now, limits).gates.every((g) => g.slack !== null && g.slack >= 0))
      fit.push({ fromMs: atMs, toMs: Math.min(atMs + STEP_MS, endMs) });
  }
  return mergeSpans(fit);
}

const fitByTrack = new WeakMap<readonly SurfaceStretch[], Map<string, readonly Span[]>>();

/** The same for a sheet's limits, worked out once for all parts that share the track. */
export function fitSpansOnce(
  track: readonly SurfaceStretch[],
  sheet: ProductSheet,
  fromMs: number,
  toMs: number,
): readonly Span[] {
  let known = fitByTrack.get(track);
  if (!known) fitByTrack.set(track, (known = new Map<string, readonly Span[]>()));
  const limits = limitsOf(sheet);
  const key = `${Object.values(limits).join(',')}#${fromMs}#${toMs}`;
  let spans = known.get(key);
  if (!spans) known.set(key, (spans = fitSpans(track, limits, fromMs, toMs)));
  return spans;
}

/** What is left of a span of the forecast when the fit is taken out: drawn behind ribbons as "air unfit". */
export function unfitSpans(fit: readonly Span[], fromMs: number, toMs: number): Span[] {
  const out: Span[] = [];
  let cursorMs = fromMs;
  for (const f of fit) {
    if (f.fromMs > cursorMs && cursorMs < toMs)
      out.push({ fromMs: cursorMs, toMs: Math.min(f.fromMs, toMs) });
    cursorMs = Math.max(cursorMs, f.toMs);
  }
  if (cursorMs < toMs) out.push({ fromMs: cursorMs, toMs });
  return out;
}

export interface UntilTouch {
  readonly status: 'pass' | 'marginal' | 'unknown';
  /** Least predicted dew margin until touch-dry, K, and when. */
  readonly leastMarginK: number | null;
  readonly atMs: number | null;
  readonly touchMs: number | null;
}

/** Second, predicted gate: does the dew margin hold until touch-dry? A predicted fail is marginal. */
export function holdsUntilTouch(
  track: readonly SurfaceStretch[],
  limits: AirLimits,
  fromMs: number,
  touchMs: number | null,
): UntilTouch {
  if (touchMs === null) return { status: 'unknown', leastMarginK: null, atMs: null, touchMs: null };
  let least = Infinity;
  let leastAtMs: number | null = null;
  for (let atMs = fromMs; atMs <= touchMs; atMs += STEP_MS) {
    const p = surfaceAt(track, atMs);
    if (!p || p.vapourHpa === null || p.source === 'assumed')
      return { status: 'unknown', leastMarginK: null, atMs, touchMs };
    const marginK = p.surfaceC - wettingPointOf(p.vapourHpa).tempC;
    if (marginK < least) {
      least = marginK;
      leastAtMs = atMs;
    }
  }
  return {
    status: least >= limits.dewMarginK ? 'pass' : 'marginal',
    leastMarginK: least,
    atMs: leastAtMs,
    touchMs,
  };
}

/** A part's stay in a place. */
export interface Residence extends Span {
  readonly placeId: string;
}

/** The air a part has stood in, over its stays. */
export function airAlong(
  stays: readonly Residence[],
  airOf: (placeId: string) => readonly AirStretch[],
): readonly AirStretch[] {
  if (stays.length === 1) return airOf(stays[0]!.placeId);
  const out: AirStretch[] = [];
  for (const stay of stays) {
    for (const s of airOf(stay.placeId)) {
      const fromMs = Math.max(s.fromMs, stay.fromMs);
      const toMs = Math.min(s.toMs, stay.toMs);
      if (toMs > fromMs) out.push(sliceAir(s, fromMs, toMs));
    }
  }
  return out;
}
