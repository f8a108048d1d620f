import { ZERO_C_IN_K } from '../units/factors.ts';
import { esOverWaterHpa } from './saturation.ts';

/** Water vapour in the air, g/m³, from vapour pressure in hPa. 216.68 = 100/461.5 · 1000, the ideal-gas law for water vapour. */
export function absoluteHumidityGM3(vapour: number, airC: number): number {
  return (216.68 * vapour) / (airC + ZERO_C_IN_K);
}

/** Relative humidity the part feels at its own surface, %; above 100 it is wet. */
export function rhAtSurfacePct(vapour: number, surfaceC: number): number {
  return (100 * vapour) / esOverWaterHpa(surfaceC);
}
