import { firstOutOfRange } from '../base/failure.ts';
import { ok, type Result } from '../base/result.ts';
import { esOverWaterHpa, OVER_ICE, OVER_WATER, saturationTempC } from './saturation.ts';

function checkAir(airC: number, rhPct: number) {
  return firstOutOfRange([
    ['airC', airC, OVER_WATER.minC, OVER_WATER.maxC, '°C'],
    ['rhPct', rhPct, 0.1, 100, '%'],
  ]);
}

/** Vapour pressure of air, hPa, from temperature and relative humidity over water. −40…50 °C, 0.1…100 %. */
export function vapourHpa(airC: number, rhPct: number): Result<number> {
  return checkAir(airC, rhPct) ?? ok((rhPct / 100) * esOverWaterHpa(airC));
}

/** Dew point over liquid water, °C, even below 0 °C: there the frost point is the one that wets a part first. */
export function dewPointOverWaterC(airC: number, rhPct: number): Result<number> {
  const bad = checkAir(airC, rhPct);
  return bad ?? ok(saturationTempC(OVER_WATER, (rhPct / 100) * esOverWaterHpa(airC)));
}

/** Frost point (saturation over ice), °C; meaningful at or below 0 °C, where it lies above the dew point. */
export function frostPointC(airC: number, rhPct: number): Result<number> {
  const bad = checkAir(airC, rhPct);
  return bad ?? ok(saturationTempC(OVER_ICE, (rhPct / 100) * esOverWaterHpa(airC)));
}

/** The temperature at which a surface starts to get wet or frosted: dew point from 0 °C up, frost point below. */
export interface WettingPoint {
  readonly tempC: number;
  readonly kind: 'dew' | 'frost';
}

/** Wetting point from vapour pressure (hPa > 0): where the gate is set. */
export function wettingPointOf(vapour: number): WettingPoint {
  const dewC = saturationTempC(OVER_WATER, vapour);
  return dewC >= 0
    ? { tempC: dewC, kind: 'dew' }
    : { tempC: saturationTempC(OVER_ICE, vapour), kind: 'frost' };
}
