import type { GaugeZero, ProfileGrade } from './kinds.ts';
/** What a set of dry-film readings is, µm. */
export interface FilmStatistics {
  readonly n: number;
  readonly meanUm: number;
  readonly leastUm: number;
  readonly mostUm: number;
  readonly medianUm: number;
  /** Sample standard deviation (n − 1); null below two readings. */
  readonly deviationUm: number | null;
}

/** Statistics of readings; null when there are none. */
export function filmStatistics(readingsUm: readonly number[]): FilmStatistics | null {
  const n = readingsUm.length;
  if (n === 0) return null;
  const sorted = [...readingsUm].sort((a, b) => a - b);
  const meanUm = readingsUm.reduce((s, x) => s + x, 0) / n;
  const middle = Math.floor(n / 2);
  return {
    n,
    meanUm,
    leastUm: sorted[0]!,
    mostUm: sorted[n - 1]!,
    medianUm: n % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2,
    deviationUm: n < 2 ? null : Math.sqrt(readingsUm.reduce((s, x) => s + (x - meanUm) ** 2, 0) / (n - 1)),
  };
}

export interface Bin {
  readonly fromUm: number;
  readonly toUm: number;
  readonly count: number;
}
const NICE_UM = [1, 2, 5, 10, 20, 25, 50, 100, 200, 500];

/** Readings counted into at most `most` bins of a round width; every reading is in exactly one. */
export function histogram(readingsUm: readonly number[], most = 12): Bin[] {
  const s = filmStatistics(readingsUm);
  if (!s) return [];
  const width =
    NICE_UM.find((w) => Math.floor(s.mostUm / w) - Math.floor(s.leastUm / w) < most) ??
    Math.ceil((s.mostUm - s.leastUm) / most + 1);
  const first = Math.floor(s.leastUm / width);
  const last = Math.floor(s.mostUm / width);
  const bins = Array.from({ length: last - first + 1 }, (_, i) => ({
    fromUm: (first + i) * width,
    toUm: (first + i + 1) * width,
    count: 0,
  }));
  for (const x of readingsUm) bins[Math.floor(x / width) - first]!.count += 1;
  return bins;
}

/** Readings a surface asks for by its area, m² (ISO 19840:2012 table, from memory): ≤ 1: 5, ≤ 3: 10, ≤ 10: 15, ≤ 30: 20, ≤ 100: 30, then 10 more for each further 100. */
export function readingsNeeded(areaM2: number): number {
  const STEPS = [
    [1, 5],
    [3, 10],
    [10, 15],
    [30, 20],
    [100, 30],
  ] as const;
  const step = STEPS.find(([m2]) => areaM2 <= m2);
  return step ? step[1] : 30 + 10 * Math.ceil((areaM2 - 100) / 100);
}

/** ISO 19840:2012 corrections, from memory: 10, 25, 40 µm; an unknown profile takes the middle one. */
const PROFILE_UM: Readonly<Record<ProfileGrade, number>> = {
  none: 0,
  fine: 10,
  medium: 25,
  coarse: 40,
  unknown: 25,
};

/** What is taken off each reading, µm: the profile's share, only when the gauge was set on smooth plate; a base reading instead of it, never both. */
export function correctionUm(zero: GaugeZero, profile: ProfileGrade, baseUm: number | null): number {
  if (baseUm !== null) return baseUm;
  return zero === 'on-profile' ? 0 : PROFILE_UM[profile];
}
/** Readings with the correction off; what would fall below zero is zero: the gauge then read metal. */
export const corrected = (readingsUm: readonly number[], byUm: number): number[] =>
  readingsUm.map((x) => Math.max(0, x - byUm));
