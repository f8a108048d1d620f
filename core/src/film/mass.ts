import { firstOutOfRange, type OutOfRange } from '../base/failure.ts';
import { ok, type Result } from '../base/result.ts';
import { THICKEST_COAT_UM } from './spreading.ts';

/** Standard gravity as used in workshops, m/s². */
export const GRAVITY_M_S2 = 9.81;

/** Mass of a dry film, kg: A·DFT·ρ; µm·m² is mL, and density is kg/L. */
export function filmMassKg(areaM2: number, dftUm: number, dryDensityKgL: number): Result<number, OutOfRange> {
  return (
    firstOutOfRange([
      ['areaM2', areaM2, 1e-5, 10_000, 'm²'],
      ['dftUm', dftUm, 0.1, THICKEST_COAT_UM * 10, 'µm'],
      ['dryDensityKgL', dryDensityKgL, 0.5, 8, 'kg/L'],
    ]) ?? ok((areaM2 * dftUm * dryDensityKgL) / 1000)
  );
}

/** What paint adds about a hinge, N·m: mass × g × arm of the painted area's middle behind the hinge line. A control surface is re-balanced by a licensed person. */
export function hingeMomentNm(massKg: number, armM: number): Result<number, OutOfRange> {
  return (
    firstOutOfRange([
      ['massKg', massKg, 0, 1000, 'kg'],
      ['armM', armM, 0, 20, 'm'],
    ]) ?? ok(massKg * GRAVITY_M_S2 * armM)
  );
}
