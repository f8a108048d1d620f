import { describe, expect, it } from '@jest/globals';
import { must } from '../base/result.ts';
import { corrosivityOf, DEPOSITS, SETTINGS, yearOf, type MonthOfAir } from './climate.ts';

// ISO 9223:2012 dose-response functions and category edges, ISO 9224 powers; both quoted from memory. Figures worked outside (docs/ledger.md 13).
describe('corrosivity of outdoor air', () => {
  it('10 °C, 80 %, 5 and 20 mg/(m²·d): steel 33.91 µm, zinc 1.467 µm, C3', () => {
    const c = must(corrosivityOf({ meanC: 10, meanRhPct: 80, so2: 5, chloride: 20 }));
    expect(c.steel.firstYearUm).toBeCloseTo(33.91, 2);
    expect(c.zinc.firstYearUm).toBeCloseTo(1.467, 3);
    expect(c.steel.tenYearsUm).toBeCloseTo(113.1, 1);
    expect(c.zinc.tenYearsUm).toBeCloseTo(9.53, 1);
    expect([c.steel.fromUm, c.steel.toUm].map((x) => Number(x.toFixed(1)))).toEqual([22.7, 50.9]);
    expect([c.from, c.category, c.to]).toEqual(['C3', 'C3', 'C4']);
  });
  it('12 °C, 78 %, 4 and 60: 42.92 and 1.679, C3', () => {
    const c = must(corrosivityOf({ meanC: 12, meanRhPct: 78, so2: 4, chloride: 60 }));
    expect(c.steel.firstYearUm).toBeCloseTo(42.92, 2);
    expect(c.zinc.firstYearUm).toBeCloseTo(1.679, 3);
    expect(c.category).toBe('C3');
  });
  it('the surf is worse than the country, and every setting is within what the functions know', () => {
    const um = SETTINGS.map(
      (s) => must(corrosivityOf({ meanC: 10, meanRhPct: 80, ...DEPOSITS[s] })).steel.firstYearUm,
    );
    expect(Math.max(...um)).toBe(um[4]);
    expect(Math.min(...um)).toBe(um[0]);
  });
  it('outside what the functions were made from it is refused with the range', () => {
    expect(corrosivityOf({ meanC: 30, meanRhPct: 80, so2: 5, chloride: 20 })).toMatchObject({
      ok: false,
      error: { field: 'meanC', max: 28.7 },
    });
    expect(corrosivityOf({ meanC: 10, meanRhPct: 95, so2: 5, chloride: 20 }).ok).toBe(false);
    expect(corrosivityOf({ meanC: Number.NaN, meanRhPct: 80, so2: 5, chloride: 20 }).ok).toBe(false);
  });
});

describe('a year of a place', () => {
  const month = (m: number, over: Partial<MonthOfAir> = {}): MonthOfAir => ({
    month: `2026-${String(m).padStart(2, '0')}`,
    days: 28,
    meanC: m,
    meanRhPct: 80,
    ...over,
  });
  const all = Array.from({ length: 12 }, (_, i) => month(i + 1));
  it('is the mean of twelve months, each counting alike, the newest of each', () => {
    expect(yearOf(all)).toEqual({ meanC: 6.5, meanRhPct: 80, months: 12 });
    expect(yearOf([{ ...month(1), month: '2025-01', meanC: 99 }, ...all])).toMatchObject({ meanC: 6.5 });
  });
  it('a month of fewer than twenty days is none', () => {
    expect(yearOf(all.map((m, i) => (i === 3 ? { ...m, days: 19 } : m)))).toEqual({ months: 11 });
    expect(yearOf([])).toEqual({ months: 0 });
  });
});
