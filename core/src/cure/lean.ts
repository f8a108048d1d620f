import { ASSUMED_SPREAD_K } from '../air/track.ts';
import { HOUR_MS } from '../base/time.ts';
import type { SurfaceStretch } from '../part/thermal/track.ts';
import { meanRate, type RateTable } from './rate.ts';

/** How wrong a measured, lagged or forecast film temperature may be, K; an assumed one is ± ASSUMED_SPREAD_K. */
export const EDGE_SPREAD_K = 2;

/** Which temperature a clock is run on: as known, as cold as it may have been, or as warm. */
export type Lean = 'nominal' | 'cold' | 'warm';

/** The stretch's temperatures under a lean. Warm leans also take the air where it is warmer than the surface. */
export function leanTemps(s: SurfaceStretch, lean: Lean): readonly [number, number] {
  if (lean === 'nominal') return [s.fromC, s.toC];
  const spread = s.spreadK ?? (s.source === 'assumed' ? ASSUMED_SPREAD_K : EDGE_SPREAD_K);
  if (lean === 'cold') return [s.fromC - spread, s.toC - spread];
  // The chord of the two end maxima lies above the maximum of two lines in between: never closes later than safe.
  return [Math.max(s.fromC, s.airFromC) + spread, Math.max(s.toC, s.airToC) + spread];
}

/** Progress gained over one stretch at the sheet's own pace, or negative when unknown. */
export function gainedOver(s: SurfaceStretch, table: RateTable, lean: Lean): number {
  const [fromC, toC] = leanTemps(s, lean);
  const rate = meanRate(table, fromC, toC);
  return rate < 0 ? rate : (rate * (s.toMs - s.fromMs)) / HOUR_MS;
}
