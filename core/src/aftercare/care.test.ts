import { describe, expect, it } from '@jest/globals';
import { vapourHpa } from '../air/humidity.ts';
import { HOUR_MS } from '../base/time.ts';
import { blankSurvey, type Survey } from '../part/survey.ts';
import type { AirStretch } from '../part/thermal/track.ts';
import { careDueMs, careFactor, careJobs, wetHours, type CareFor } from './care.ts';

const day = (iso: string): number => Date.parse(`${iso}T12:00:00Z`);
const date = (ms: number): string => new Date(ms).toISOString().slice(0, 10);
const jobs = (over: Partial<Survey>, more: Partial<CareFor> = {}) =>
  Object.fromEntries(
    careJobs({
      survey: { ...blankSurvey('steel-plate'), ...over },
      steps: [],
      isBrightMetal: false,
      ...more,
    }),
  );

// Common practice, no published source.
describe('what a part needs', () => {
  it('a plain bracket indoors: a look a year', () => expect(jobs({ category: 'C1' })).toEqual({ look: 12 }));
  it('joints and edges yearly, drains spring and autumn where it stands outdoors', () => {
    expect(jobs({ category: 'C3', features: ['seams', 'box-section'] })).toEqual({
      look: 12,
      edges: 12,
      drains: 6,
    });
    expect(jobs({ category: 'C2', features: ['box-section'] })).toEqual({ look: 12 });
  });
  it('near the sea it is washed, cavities are waxed, bright faces are oiled', () => {
    const steps = [{ kind: 'cavity' }, { kind: 'care', what: 'renew-oil' }];
    expect(jobs({ category: 'C5' }, { steps })).toEqual({
      look: 12,
      'cavity-wax': 12,
      'wash-salt': 3,
      'oil-bright': 3,
    });
    expect(jobs({ category: 'C4' })).toMatchObject({ 'wash-salt': 6 });
  });
  it('nobody surveyed it: a look a year all the same', () =>
    expect(Object.fromEntries(careJobs({ survey: null, steps: [], isBrightMetal: false }))).toEqual({
      look: 12,
    }));
});

describe('when it is due', () => {
  it('a year after; sooner where it is wetter, never later than usual, never more than twice as often', () => {
    expect(careFactor(null)).toBe(1);
    expect(careFactor(1000)).toBe(1);
    expect(careFactor(3125)).toBeCloseTo(0.8, 10);
    expect(careFactor(9000)).toBe(0.5);
    expect(date(careDueMs('look', day('2026-03-10'), 12, 1))).toBe('2027-03-10');
    expect(date(careDueMs('look', day('2026-03-10'), 12, 0.5))).toBe('2026-09-10');
  });
  it('wax before winter: the first of October before the year is out', () => {
    expect(date(careDueMs('cavity-wax', day('2026-03-10'), 12, 1))).toBe('2026-10-01');
    expect(date(careDueMs('cavity-wax', day('2026-11-20'), 12, 1))).toBe('2027-10-01');
    // Waxed on that very day: a year on.
    expect(date(careDueMs('cavity-wax', Date.UTC(2026, 9, 1), 12, 1))).toBe('2027-10-01');
  });
});

describe('how wet a place is (over 80 % above 0 °C, ISO 9223:1992, quoted from memory)', () => {
  const air = (hours: number, c: number, rh: number, fromH = 0): AirStretch => ({
    fromMs: fromH * HOUR_MS,
    toMs: (fromH + hours) * HOUR_MS,
    fromC: c,
    toC: c,
    fromVapourHpa: vapourHpa(c, rh),
    toVapourHpa: vapourHpa(c, rh),
    source: 'measured',
  });
  const NOW = 2000 * HOUR_MS;
  it('a quarter of the time wet is a quarter of the year', () => {
    expect(wetHours([air(300, 10, 90), air(900, 10, 70, 300)], NOW)).toBeCloseTo(8766 / 4, 6);
  });
  it('frost is not wet, and a few days say nothing', () => {
    expect(wetHours([air(800, -3, 95)], NOW)).toBe(0);
    expect(wetHours([air(700, 10, 95)], NOW)).toBeNull();
    expect(wetHours([{ ...air(800, 10, 95), source: 'forecast' }], NOW)).toBeNull();
  });
});
