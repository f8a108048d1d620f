import type { QuantityField, VolumeSystem } from '@calvetta/core';
import { maybe, quantity } from './read.ts';

/** A volume typed in millilitres or with its unit; `largestMl` is what would be a slip of the keys. */
export const volumeField = (
  field: string,
  volumeSystem: VolumeSystem,
  leastMl: number,
  largestMl: number,
): QuantityField => ({
  field,
  dimension: 'volume',
  bareUnit: 'mL',
  min: leastMl / 1000,
  max: largestMl / 1000,
  volumeSystem,
});

/** What a tin or pack holds: "4 L", "1 qt", "2500". A bare "4" is asked about: no tin holds 4 mL. */
export const packSizeField = (volumeSystem: VolumeSystem): QuantityField => ({
  ...volumeField('Size', volumeSystem, 10, 250_000),
  plausibleMin: 0.05,
  otherUnit: 'L',
});

export interface TypedMl {
  readonly ml: number | null;
  /** What is wrong with it, in words; null when it is a volume or still empty. */
  readonly problem: string | null;
}

/** Reads a typed volume as millilitres: "250", "1/2 pt", "0.4 L". Empty is nothing yet. */
export function readMl(text: string, field: string, volumeSystem: VolumeSystem, leastMl = 0.1): TypedMl {
  const r = maybe(quantity(volumeField(field, volumeSystem, leastMl, 20_000), 1000))(text);
  return r.ok ? { ml: r.value, problem: null } : { ml: null, problem: r.problem };
}
