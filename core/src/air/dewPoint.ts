import { firstOutOfRange } from '../base/failure.ts';
import { ok, type Result } from '../base/result.ts';
import { vapourHpa } from './humidity.ts';
import { OVER_ICE, OVER_WATER, saturationTempC } from './saturation.ts';

function checkAir(airC: number, rhPct: number) {
  return firstOutOfRange([
    ['airC', airC, OVER_WATER.minC, OVER_WATER.maxC, '°C'],
    ['rhPct', rhPct, 0.1, 100, '%'],
  ]);
}

/** Dew point over liquid water, °C, even below 0 °C: there the frost point is the one that wets a part first. */
export function dewPointOverWaterC(airC: number, rhPct: number): Result<number> {
  const bad = checkAir(airC, rhPct);
  return bad ?? ok(saturationTempC(OVER_WATER, vapourHpa(airC, rhPct)));
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
