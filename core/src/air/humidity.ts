import { ZERO_C_IN_K } from '../units/factors.ts';
import { esOverWaterHpa } from './saturation.ts';

/** Water vapour in the air, g/m³, from vapour pressure in hPa. 216.68 = 100/461.5 · 1000, the ideal-gas law for water vapour. */
export function absoluteHumidityGM3(vapour: number, airC: number): number {
  return (216.68 * vapour) / (airC + ZERO_C_IN_K);
}

/** Vapour pressure, hPa, of air at a relative humidity over water. Readings are checked where they come in, not here. */
export function vapourHpa(airC: number, rhPct: number): number {
  return (rhPct / 100) * esOverWaterHpa(airC);
}

/** Relative humidity, % and never above 100, of air that holds so much vapour. */
export function rhPctOf(vapour: number, airC: number): number {
  return Math.min(100, (100 * vapour) / esOverWaterHpa(airC));
}

/** Relative humidity the part feels at its own surface, %; above 100 it is wet. */
export function rhAtSurfacePct(vapour: number, surfaceC: number): number {
  return (100 * vapour) / esOverWaterHpa(surfaceC);
}
