import type { AirStretch } from '../part/thermal/track.ts';

/**
 * How the air to come may turn out against what is expected of it, as nine equally likely cases: the middles of the ninths of a normal
 * distribution, in its σ (computed once by the inverse of the normal distribution, Abramowitz & Stegun 26.2.23 to three digits).
 */
export const LEANS = [-1.593, -0.967, -0.589, -0.282, 0, 0.282, 0.589, 0.967, 1.593] as const;

/** A forecast is out by so much now, and by so much at its end, one σ, K (docs/plan.md 17). */
const [ERROR_NOW_K, ERROR_END_K] = [0.5, 2];
/** Past it a place lies nine days of ten within its spread, on the farther side: 1.2816 σ. */
const SIGMAS_OF_SPREAD = 1.2816;
/** What is left of the spread once it has come and is measured, K. */
const MEASURED_SPREAD_K = 1;

/** Air as it turns out in one case: what was measured stays, what was expected is colder or warmer all through. */
export function leaned(
  air: readonly AirStretch[],
  sigmas: number,
  nowMs: number,
  forecastEndMs: number,
): readonly AirStretch[] {
  const reachMs = Math.max(1, forecastEndMs - nowMs);
  return air.map((s) => {
    if (s.fromMs < nowMs) return s;
    const ahead = Math.min(1, (s.fromMs - nowMs) / reachMs);
    const sigmaK =
      s.fromMs < forecastEndMs
        ? ERROR_NOW_K + (ERROR_END_K - ERROR_NOW_K) * ahead
        : (s.spreadK ?? ERROR_END_K) / SIGMAS_OF_SPREAD;
    const by = sigmas * sigmaK;
    return { ...s, fromC: s.fromC + by, toC: s.toC + by, spreadK: MEASURED_SPREAD_K };
  });
}
