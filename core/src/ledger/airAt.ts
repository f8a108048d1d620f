import { wettingPointOf } from '../air/dewPoint.ts';
import { rhPctOf } from '../air/humidity.ts';

/** Moisture and margin of a moment, from the vapour in the air; null where nobody knows the moisture. */
export function dewMarginOf(
  vapourHpa: number | null,
  airC: number,
  surfaceC: number,
): { readonly rhPct: number | null; readonly dewMarginK: number | null } {
  if (vapourHpa === null || vapourHpa <= 0) return { rhPct: null, dewMarginK: null };
  return { rhPct: rhPctOf(vapourHpa, airC), dewMarginK: surfaceC - wettingPointOf(vapourHpa).tempC };
}
