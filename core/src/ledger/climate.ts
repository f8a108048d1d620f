import { rangeFailure, type OutOfRange } from '../base/failure.ts';
import { ok, type Result } from '../base/result.ts';

/**
 * How corrosive a place's own outdoor air is: the dose-response functions of ISO 9223:2012 for carbon steel and zinc, and what becomes of a
 * first year in ten by ISO 9224. Both standards quoted from memory. Indoors is another matter (ISO 11844) and refused by the caller.
 */
export const SETTINGS = ['country', 'town', 'works', 'coast', 'surf'] as const;
export type ClimateSetting = (typeof SETTINGS)[number];
/** What settles on a surface by where it stands, mg/(m²·d): sulphur dioxide, chloride (common practice, no published source). */
export const DEPOSITS: Readonly<Record<ClimateSetting, { readonly so2: number; readonly chloride: number }>> =
  {
    country: { so2: 2, chloride: 3 },
    town: { so2: 10, chloride: 5 },
    works: { so2: 40, chloride: 10 },
    coast: { so2: 5, chloride: 60 },
    surf: { so2: 5, chloride: 300 },
  };

export const CORROSIVITY = ['C1', 'C2', 'C3', 'C4', 'C5', 'CX'] as const;
export type Corrosivity = (typeof CORROSIVITY)[number];
/** Upper edges of a first year's loss, µm (ISO 9223 table 2). */
const STEEL_UM = [1.3, 25, 50, 80, 200, 700];
const ZINC_UM = [0.1, 0.7, 2.1, 4.2, 8.4, 25];
/** What the functions themselves are sure to: −33 % … +50 % (ISO 9223 annex). */
const LEAST_SHARE = 0.67;
const MOST_SHARE = 1.5;
/** Growth over years as a power (ISO 9224). */
const STEEL_POWER = 0.523;
const ZINC_POWER = 0.813;

export interface Loss {
  readonly firstYearUm: number;
  readonly fromUm: number;
  readonly toUm: number;
  readonly tenYearsUm: number;
}
export interface PlaceCorrosivity {
  readonly steel: Loss;
  readonly zinc: Loss;
  /** The higher of the two metals' categories, and the span that the functions leave open. */
  readonly category: Corrosivity;
  readonly from: Corrosivity;
  readonly to: Corrosivity;
}

const categoryOf = (um: number, edges: readonly number[]): number => {
  const i = edges.findIndex((edge) => um <= edge + 1e-12);
  return i < 0 ? edges.length - 1 : i;
};
const lossOf = (um: number, power: number): Loss => ({
  firstYearUm: um,
  fromUm: um * LEAST_SHARE,
  toUm: um * MOST_SHARE,
  tenYearsUm: um * 10 ** power,
});

export interface YearOfAir {
  readonly meanC: number;
  readonly meanRhPct: number;
  /** mg/(m²·d). */
  readonly so2: number;
  readonly chloride: number;
}
/** First-year losses and category of a place; outside what the functions were made from it is refused with the range. */
export function corrosivityOf(y: YearOfAir): Result<PlaceCorrosivity, OutOfRange> {
  const { meanC: t, meanRhPct: rh, so2: pd, chloride: sd } = y;
  const wrong =
    rangeFailure('meanC', t, -17.1, 28.7, '°C') ??
    rangeFailure('meanRhPct', rh, 34, 93, '%') ??
    rangeFailure('so2', pd, 0.7, 150.4, 'mg/(m²·d)') ??
    rangeFailure('chloride', sd, 0.4, 760.5, 'mg/(m²·d)');
  if (wrong) return { ok: false, error: wrong };
  const fs = t <= 10 ? 0.15 * (t - 10) : -0.054 * (t - 10);
  const fz = t <= 10 ? 0.038 * (t - 10) : -0.071 * (t - 10);
  const steelUm =
    1.77 * pd ** 0.52 * Math.exp(0.02 * rh + fs) + 0.102 * sd ** 0.62 * Math.exp(0.033 * rh + 0.04 * t);
  const zincUm =
    0.0129 * pd ** 0.44 * Math.exp(0.046 * rh + fz) + 0.0175 * sd ** 0.57 * Math.exp(0.008 * rh + 0.085 * t);
  const at = (share: number): Corrosivity =>
    CORROSIVITY[Math.max(categoryOf(steelUm * share, STEEL_UM), categoryOf(zincUm * share, ZINC_UM))]!;
  return ok({
    steel: lossOf(steelUm, STEEL_POWER),
    zinc: lossOf(zincUm, ZINC_POWER),
    category: at(1),
    from: at(LEAST_SHARE),
    to: at(MOST_SHARE),
  });
}

/** A month as it was measured outdoors. */
export interface MonthOfAir {
  /** `2026-03`. */
  readonly month: string;
  readonly days: number;
  readonly meanC: number;
  readonly meanRhPct: number;
}
export const DAYS_OF_MONTH = 20;
/**
 * A year from months of at least twenty measured days: the newest of each of the twelve, each counting alike. Null with how many of the
 * twelve there are where one is missing.
 */
export function yearOf(
  months: readonly MonthOfAir[],
): { readonly meanC: number; readonly meanRhPct: number; readonly months: 12 } | { readonly months: number } {
  const newest = new Map<string, MonthOfAir>();
  for (const m of [...months].sort((a, b) => a.month.localeCompare(b.month)))
    if (m.days >= DAYS_OF_MONTH) newest.set(m.month.slice(5), m);
  const all = [...newest.values()];
  if (all.length < 12) return { months: all.length };
  const mean = (of: 'meanC' | 'meanRhPct'): number => all.reduce((s, m) => s + m[of], 0) / 12;
  return { meanC: mean('meanC'), meanRhPct: mean('meanRhPct'), months: 12 };
}
