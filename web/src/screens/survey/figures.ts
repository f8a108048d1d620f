import {
  M2_PER_FT2,
  showArea,
  showFilm,
  showMass,
  showTemperature,
  type AskedField,
  type Dimension,
  type Shown,
  type UnitPreference,
} from '@calvetta/core';
import { maybe, number, quantity, type Read } from '../../forms/read.ts';

/** How a figure of the sheet is typed and shown: in the reader's units, kept in the survey's own. */
interface FigureKind {
  readonly dimension: Dimension;
  readonly bareUnit: (u: UnitPreference) => string;
  /** The survey's unit in the inner unit of the dimension: mm in m. */
  readonly per?: number;
  readonly most: number;
  readonly least?: number;
  readonly show: (v: number, u: UnitPreference) => Shown;
}
const mm = (v: number): Shown => ({ value: v, unit: 'mm', text: String(Number(v.toPrecision(3))) });
const FIGURES: Readonly<Partial<Record<AskedField, FigureKind>>> = {
  thicknessMm: { dimension: 'length', bareUnit: () => 'mm', per: 1000, most: 1, show: mm },
  massKg: {
    dimension: 'mass',
    bareUnit: (u) => (u.mass === 'lb' ? 'lb' : 'kg'),
    most: 200_000,
    show: showMass,
  },
  areaM2: { dimension: 'area', bareUnit: (u) => u.area, most: 10_000, show: showArea },
  heatC: {
    dimension: 'temperature',
    bareUnit: (u) => u.temperature,
    least: -40,
    most: 1200,
    show: (v, u) => showTemperature(v, u, 0),
  },
  clearanceUm: { dimension: 'film', bareUnit: (u) => u.film, most: 100_000, show: showFilm },
};
/** Bare numbers: what they count, and the share of one that a unit of them is. */
const COUNTS: Readonly<Partial<Record<AskedField, readonly [unit: string, most: number, each: number]>>> = {
  soundShare: ['%', 100, 0.01],
  bareDays: ['days', 40_000, 1],
  primerDays: ['days', 40_000, 1],
};

/** A figure of the survey as it is read. */
export function showFigure(f: AskedField, v: number, u: UnitPreference): Shown {
  const kind = FIGURES[f];
  if (kind) return kind.show(v, u);
  const [unit, , each] = COUNTS[f] ?? ['', 0, 1];
  const value = v / each;
  return { value, unit, text: String(Number(value.toPrecision(3))) };
}

/** A figure of the survey as typed: empty is not known, a bare number is in the reader's unit, any other may be written. */
export function readFigure(f: AskedField, text: string, u: UnitPreference): Read<number | null> {
  const kind = FIGURES[f];
  if (kind) {
    const { dimension, per = 1, most, least = 1e-6 } = kind;
    const field = { field: f, dimension, bareUnit: kind.bareUnit(u), min: least, max: most };
    const r = maybe(quantity(field, per))(text);
    return r.ok && r.value !== null ? { ok: true, value: Number(r.value.toPrecision(6)) } : r;
  }
  const [unit, most, each] = COUNTS[f] ?? ['', 1e6, 1];
  const r = maybe(number(unit, 0, most))(text);
  return r.ok && r.value !== null ? { ok: true, value: Number((r.value * each).toPrecision(6)) } : r;
}

/** The unit beside the field. */
export const unitOf = (f: AskedField, u: UnitPreference): string =>
  f === 'areaM2' ? (u.area === 'ft2' ? 'ft²' : 'm²') : showFigure(f, 1, u).unit;
/** What stands in the field for a figure, in the unit beside it. */
export function figureText(f: AskedField, v: number, u: UnitPreference): string {
  const inUnit = f === 'areaM2' && u.area === 'ft2' ? v / M2_PER_FT2 : showFigure(f, v, u).value;
  return String(Number(inUnit.toPrecision(4)));
}
