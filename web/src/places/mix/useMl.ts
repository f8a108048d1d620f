import { parseQuantity, type VolumeSystem } from '@calvetta/core';
import { failureWords } from '../../dialogs/failureWords.ts';

export interface TypedMl {
  readonly ml: number | null;
  /** What is wrong with it, in words; null when it is a volume or still empty. */
  readonly problem: string | null;
}

/** Reads a typed volume as millilitres: "250", "1/2 pt", "0.4 L". Empty is nothing yet. */
export function readMl(text: string, field: string, volumeSystem: VolumeSystem, least = 0.1): TypedMl {
  if (text.trim() === '') return { ml: null, problem: null };
  const r = parseQuantity(text, {
    field,
    dimension: 'volume',
    bareUnit: 'ml',
    min: least / 1000,
    max: 20,
    volumeSystem,
  });
  return r.ok ? { ml: r.value.value * 1000, problem: null } : { ml: null, problem: failureWords(r.error) };
}
