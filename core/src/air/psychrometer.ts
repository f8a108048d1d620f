import { firstOutOfRange, rangeFailure } from '../base/failure.ts';
import { err, ok, type Result } from '../base/result.ts';
import { esOverWaterHpa } from './saturation.ts';

/**
 * Psychrometer coefficient, 1/K, by how the wet bulb is ventilated (WMO guide to instruments, quoted from memory).
 * The screen value used for a sling errs on the unsafe side: it reads the air drier than it is.
 */
export const PSYCHROMETER_PER_K = { aspirated: 6.62e-4, sling: 6.67e-4, screen: 7.99e-4 } as const;
export type Psychrometer = keyof typeof PSYCHROMETER_PER_K;

/** Station pressure, hPa, of the standard atmosphere at `altitudeM` (ISO 2533). Never a sea-level-reduced pressure. */
export function stationPressureHpa(altitudeM: number): Result<number> {
  const bad = rangeFailure('altitudeM', altitudeM, -500, 9000, 'm');
  return bad ? err(bad) : ok(1013.25 * (1 - 2.25577e-5 * altitudeM) ** 5.25588);
}

/** Relative humidity, %, from a dry and a wet bulb: e = es(Tw) − γ·P·(T − Tw). The wick is wet, not iced: wet bulb ≥ 0 °C. */
export function rhFromWetBulbPct(
  dryC: number,
  wetC: number,
  altitudeM: number,
  kind: Psychrometer,
): Result<number> {
  const bad = firstOutOfRange([
    ['dryC', dryC, 0, 50, '°C'],
    ['wetC', wetC, 0, dryC, '°C'],
  ]);
  if (bad) return bad;
  const pressure = stationPressureHpa(altitudeM);
  if (!pressure.ok) return pressure;
  const vapour = esOverWaterHpa(wetC) - PSYCHROMETER_PER_K[kind] * pressure.value * (dryC - wetC);
  const rhPct = (100 * vapour) / esOverWaterHpa(dryC);
  const impossible = rangeFailure('rhPct', rhPct, 0.1, 100, '%');
  return impossible ? err(impossible) : ok(Math.min(rhPct, 100));
}
