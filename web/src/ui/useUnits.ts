import {
  showArea,
  showDifference,
  showFilm,
  showMass,
  showTemperature,
  showVolume,
  type Shown,
} from '@calvetta/core';
import { usePrefs } from '../state/prefs.ts';

const text = (s: Shown): string => `${s.text} ${s.unit}`;

/** Numbers with their unit, in the reader's units. */
export function useUnits() {
  const units = usePrefs((s) => s.units);
  return {
    units,
    temp: (c: number | null, digits = 1): string =>
      c === null ? '—' : text(showTemperature(c, units, digits)),
    kelvin: (k: number | null, digits = 1): string =>
      k === null ? '—' : `${k > 0 ? '+' : ''}${text(showDifference(k, units, digits))}`,
    spread: (k: number, digits = 1): string => text(showDifference(k, units, digits)),
    film: (um: number): string => text(showFilm(um, units)),
    area: (m2: number | null): string => (m2 === null ? '—' : text(showArea(m2, units))),
    mass: (kg: number | null): string => (kg === null ? '—' : text(showMass(kg, units))),
    volume: (ml: number): string => text(showVolume(ml / 1000, units)),
    pct: (p: number | null, digits = 0): string => (p === null ? '—' : `${p.toFixed(digits)} %`),
  };
}
