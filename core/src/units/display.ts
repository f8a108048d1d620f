import { fFromC, KG_PER_LB, L_PER_IMP_GAL, L_PER_US_GAL, M2_PER_FT2, UM_PER_MIL } from './factors.ts';

/** The units a person reads in. Core never sees these: they apply at the edges only. */
export interface UnitPreference {
  readonly temperature: 'C' | 'F';
  readonly film: 'um' | 'mil';
  readonly area: 'm2' | 'ft2';
  readonly volume: 'L' | 'us' | 'imperial';
  readonly mass: 'kg' | 'lb';
}

export const METRIC: UnitPreference = { temperature: 'C', film: 'um', area: 'm2', volume: 'L', mass: 'kg' };

export interface Shown {
  readonly value: number;
  readonly unit: string;
  readonly text: string;
}

const shown = (value: number, digits: number, unit: string): Shown => ({
  value,
  unit,
  text: value
    .toFixed(digits)
    .replace(/^-(0(?:\.0+)?)$/, '$1')
    .replace('-', '−'),
});

/** A temperature for the reader. */
export function showTemperature(tempC: number, prefer: UnitPreference, digits = 1): Shown {
  return prefer.temperature === 'F' ? shown(fFromC(tempC), digits, '°F') : shown(tempC, digits, '°C');
}
/** A difference of temperatures: no offset, K or °F. */
export function showDifference(differenceK: number, prefer: UnitPreference, digits = 1): Shown {
  return prefer.temperature === 'F'
    ? shown(differenceK * 1.8, digits, '°F')
    : shown(differenceK, digits, 'K');
}
export function showFilm(dftUm: number, prefer: UnitPreference): Shown {
  return prefer.film === 'mil' ? shown(dftUm / UM_PER_MIL, 1, 'mil') : shown(dftUm, 0, 'µm');
}
export function showArea(areaM2: number, prefer: UnitPreference): Shown {
  return prefer.area === 'ft2'
    ? shown(areaM2 / M2_PER_FT2, 1, 'ft²')
    : shown(areaM2, areaM2 < 10 ? 2 : 1, 'm²');
}
export function showMass(massKg: number, prefer: UnitPreference): Shown {
  const mass = prefer.mass === 'lb' ? massKg / KG_PER_LB : massKg;
  return shown(mass, mass < 10 ? 1 : 0, prefer.mass === 'lb' ? 'lb' : 'kg');
}
/** Litres, or US / imperial fluid ounces below a pint and pints below a gallon. */
export function showVolume(volumeL: number, prefer: UnitPreference): Shown {
  if (prefer.volume === 'L') return volumeL < 1 ? shown(volumeL * 1000, 0, 'mL') : shown(volumeL, 2, 'L');
  const galL = prefer.volume === 'us' ? L_PER_US_GAL : L_PER_IMP_GAL;
  const ozPerGal = prefer.volume === 'us' ? 128 : 160;
  const name = prefer.volume === 'us' ? 'US' : 'imp';
  if (volumeL < galL / 8) return shown((volumeL / galL) * ozPerGal, 1, `${name} fl oz`);
  if (volumeL < galL) return shown((volumeL / galL) * 8, 2, `${name} pt`);
  return shown(volumeL / galL, 2, `${name} gal`);
}
