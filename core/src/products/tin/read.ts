import { err, ok, type Result } from '../../base/result.ts';
import { parseQuantity, splitNumber } from '../../units/parse.ts';
import type { StageTimes, TimeAtTemperature } from '../curve.ts';

/** Hours in what a tin's back calls a time. */
const TIME_UNITS: readonly (readonly [RegExp, number])[] = [
  [/^(min|mins|minutes?|m|')$/i, 1 / 60],
  [/^(h|hr|hrs|hours?)$/i, 1],
  [/^(d|days?)$/i, 24],
  [/^(w|wks?|weeks?)$/i, 24 * 7],
  [/^(months?|mths?)$/i, 24 * 30],
];
/** A time without a temperature is meant at this one (common practice, no published source). */
export const TIN_C = 20;

const TIMES = ['16 h @ 10 C', '8 h @ 20 C; 4 h @ 30 C', '45 min'];
const notTimes = (text: string) =>
  err({ code: 'not-a-quantity', field: 'times', text, accepts: TIMES } as const);

/**
 * Times as a tin or a data sheet prints them: “16 h @ 50 F; 8 h @ 20 °C”, “7 days at 20 C”, “45 min”. A bare temperature is in
 * `bareUnit`; none at all means 20 °C.
 */
export function readTimes(text: string, bareUnit: 'C' | 'F'): Result<StageTimes> {
  const points: TimeAtTemperature[] = [];
  for (const piece of text.split(/[;\n]|,(?=\s*\d)/).filter((p) => p.trim() !== '')) {
    const [time = '', temperature] = piece.split(/@|\bat\b/i);
    const n = splitNumber(time);
    const unit = n && TIME_UNITS.find(([is]) => is.test(n.rest.replace('.', '')));
    if (!n || !unit) return notTimes(text);
    let tempC = TIN_C;
    if (temperature !== undefined) {
      const t = parseQuantity(temperature.replaceAll(/º|˚/g, '°').trim(), {
        field: 'temperature',
        dimension: 'temperature',
        bareUnit,
        min: -30,
        max: 250,
        plausibleMin: -10,
        plausibleMax: 45,
        otherUnit: bareUnit === 'C' ? 'F' : 'C',
      });
      if (!t.ok) return t;
      tempC = Number(t.value.value.toFixed(2));
    }
    points.push({ tempC, hours: n.number * unit[1] });
  }
  return points.length === 0 ? notTimes(text) : ok({ points });
}

/** A film as printed: “75 µm”, “3-5 mil”, “50 to 75 microns”. One figure alone is the middle, with a fifth either way. */
export function readFilm(
  text: string,
  bareUnit: 'um' | 'mil',
): Result<{ readonly minUm: number; readonly dftUm: number; readonly maxUm: number }> {
  const pieces = text
    .trim()
    .split(/\s*(?:-|–|\bto\b)\s*/i)
    .filter((p) => p !== '');
  const unit = /[a-zµμ]+$/i.exec(text.trim())?.[0] ?? bareUnit;
  const field = { field: 'film', dimension: 'film', bareUnit: unit, min: 1, max: 5000 } as const;
  if (pieces.length === 0 || pieces.length > 2)
    return err({ code: 'not-a-quantity', field: 'film', text, accepts: ['75 um', '3-5 mil'] });
  const read: number[] = [];
  for (const p of pieces) {
    const r = parseQuantity(p, field);
    if (!r.ok) return r;
    read.push(r.value.value);
  }
  const [a, b] = [Math.min(...read), Math.max(...read)];
  const tidy = (um: number): number => Math.max(1, Math.round(um));
  return read.length === 1
    ? ok({ minUm: tidy(a * 0.8), dftUm: tidy(a), maxUm: tidy(a * 1.2) })
    : ok({ minUm: tidy(a), dftUm: tidy((a + b) / 2), maxUm: tidy(b) });
}

/** A mixing ratio as printed: “4:1”, “4:1 v/v”, “100:20 by weight”. By volume where nothing else is said. */
export function readRatio(
  text: string,
): Result<{ readonly a: number; readonly b: number; readonly by: 'volume' | 'mass' }> {
  const m = /^\s*(\d+(?:[.,]\d+)?)\s*[:/]\s*(\d+(?:[.,]\d+)?)\s*(.*)$/.exec(text);
  const [a, b] = [m?.[1], m?.[2]].map((x) => Number((x ?? '').replace(',', '.')));
  const rest = (m?.[3] ?? '').trim().toLowerCase();
  const by = /^(w\/w|by weight|by mass|weight|mass|wt)$/.test(rest)
    ? 'mass'
    : /^(v\/v|by vol(ume)?|vol(ume)?|)$/.test(rest)
      ? 'volume'
      : null;
  if (!m || !by || !(a! > 0) || !(b! > 0))
    return err({ code: 'not-a-quantity', field: 'ratio', text, accepts: ['4:1 v/v', '100:20 w/w'] });
  return ok({ a: a!, b: b!, by });
}
