import { firstOutOfRange, type OutOfRange } from '../base/failure.ts';
import { ok, type Result } from '../base/result.ts';
import type { ThinnerGrade } from './kinds.ts';

/** Grade by the air it is laid in: fast below 18 °C, medium to 25, slow to 32, very slow above (common practice, no published source). */
export function thinnerGrade(airC: number): ThinnerGrade {
  if (airC < 18) return 'fast';
  if (airC <= 25) return 'medium';
  return airC <= 32 ? 'slow' : 'very-slow';
}

/**
 * Thinner to start with, % of the mixed paint by volume: half of what the sheet allows at 20 °C, all of it at 10 °C and
 * colder, a quarter at 30 °C and warmer, straight lines between (common practice, no published source). The flow cup decides.
 */
export function thinnerStartPct(sheetMostPct: number, airC: number): Result<number, OutOfRange> {
  const wrong = firstOutOfRange([
    ['sheetMostPct', sheetMostPct, 0, 100, '%'],
    ['airC', airC, -10, 50, '°C'],
  ]);
  if (wrong) return wrong;
  const share =
    airC <= 20 ? Math.min(1, 0.5 + (20 - airC) * 0.05) : Math.max(0.25, 0.5 - (airC - 20) * 0.025);
  return ok(sheetMostPct * share);
}

/** VOC as applied, g/L: what the paint holds and all of the thinner, over the volume of both (by mass balance). */
export function vocAsAppliedGL(vocGL: number, thinPct: number, thinnerKgL: number): number {
  const r = thinPct / 100;
  return (vocGL + r * thinnerKgL * 1000) / (1 + r);
}
