/**
 * Exact temperature of a lump after `elapsedS` in air that runs linearly from `airFromC` at `slopeCPerS`:
 * T = a + b(t − τ) + (T0 − a + bτ)·e^(−t/τ). Source: the first-order lumped-capacitance equation dT/dt = (Tair − T)/τ
 * (Incropera & DeWitt ch. 5, from memory), solved for a ramp. τ → 0 follows the air.
 */
export function lumpAfterC(
  startC: number,
  airFromC: number,
  slopeCPerS: number,
  tauS: number,
  elapsedS: number,
): number {
  if (tauS <= 0) return airFromC + slopeCPerS * elapsedS;
  return (
    airFromC +
    slopeCPerS * (elapsedS - tauS) +
    (startC - airFromC + slopeCPerS * tauS) * Math.exp(-elapsedS / tauS)
  );
}

/**
 * How many equal pieces keep the chord of the curve within `toleranceK` of the curve itself: the chord error of a
 * piece of length h is at most h²/8·max|T″|, and |T″| is largest at the start, |T0 − a + bτ|/τ².
 */
export function piecesFor(
  startC: number,
  airFromC: number,
  slopeCPerS: number,
  tauS: number,
  elapsedS: number,
  toleranceK: number,
): number {
  if (tauS <= 0) return 1;
  const swingC = Math.abs(startC - airFromC + slopeCPerS * tauS);
  return Math.min(1000, Math.max(1, Math.ceil((elapsedS / tauS) * Math.sqrt(swingC / (8 * toleranceK)))));
}

/** Seconds until a lump that starts at startC in steady air reaches targetC: −τ·ln((T−Ta)/(T0−Ta)); null when it never does. */
export function secondsToReach(startC: number, airC: number, tauS: number, targetC: number): number | null {
  const share = (targetC - airC) / (startC - airC);
  return share > 0 && share <= 1 ? -tauS * Math.log(share) : null;
}
