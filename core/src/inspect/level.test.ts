import { describe, expect, it } from '@jest/globals';
import { must } from '../base/result.ts';
import { cyclesToFill, fillsWith, levelState, type LevelCycle } from './level.ts';

const log = (shares: readonly number[], over: Partial<LevelCycle> = {}): LevelCycle[] =>
  shares.map((showingPct) => ({ what: 'surfacer', gritP: 180, showingPct, minutes: 20, ...over }));
const fitted = (shares: readonly number[]) => levelState(log(shares), 'show')!;

describe('cycles to fill a low (common practice, no published source)', () => {
  it.each([
    [0.8, 0.1, 16],
    [0.6, 1.5, 1],
    [1.5, 1.5, 2],
    [0, 0.1, 0],
  ])('%f mm at %f mm a pass: %i', (lowMm, buildMm, cycles) => {
    expect(must(cyclesToFill({ lowMm, buildMm }))).toBe(cycles);
  });
  it('a surfacer does not fill 0.8 mm: sixteen coats by arithmetic, refused by its total film', () => {
    expect(fillsWith('surfacer', 0.8, 400)).toEqual({ cycles: 16, tooDeepMm: 0.4 });
    expect(fillsWith('body-filler', 0.8, null)).toEqual({ cycles: 2, tooDeepMm: null });
    expect(fillsWith('body-filler', 3.5, null).tooDeepMm).toBe(3);
    expect(fillsWith('one-pack-putty', 0.4, null).tooDeepMm).toBe(0.3);
  });
  it('what cannot be is refused', () => {
    expect(cyclesToFill({ lowMm: 1, buildMm: 0 })).toMatchObject({ ok: false, error: { field: 'buildMm' } });
    expect(cyclesToFill({ lowMm: Number.NaN, buildMm: 1 }).ok).toBe(false);
  });
});

// Worked outside with a spreadsheet's regression and Fieller's theorem (docs/inspect.md 7).
describe('when to stop', () => {
  it('four cycles: factor .6594, 2 % at 8.29 (8.04–8.56), five more', () => {
    const s = fitted([42, 27, 18, 12]);
    expect(s.factor).toBeCloseTo(0.6594, 4);
    expect(s.crossing.kind).toBe('fitted');
    if (s.crossing.kind !== 'fitted') return;
    expect(s.crossing.atCycle).toBeCloseTo(8.29, 2);
    expect(s.crossing.fromCycle).toBeCloseTo(8.04, 2);
    expect(s.crossing.toCycle).toBeCloseTo(8.56, 2);
    expect([s.moreCycles, s.moreMinutes, s.isMet]).toEqual([5, 100, false]);
  });
  it('three cycles: factor .654654, 8.172 (7.329–9.325)', () => {
    const s = fitted([42, 27, 18]);
    expect(s.factor).toBeCloseTo(0.654654, 6);
    if (s.crossing.kind !== 'fitted') throw new Error('not fitted');
    expect(s.crossing.atCycle).toBeCloseTo(8.172, 3);
    expect(s.crossing.fromCycle).toBeCloseTo(7.329, 3);
    expect(s.crossing.toCycle).toBeCloseTo(9.325, 3);
  });
  it('50 40 45: not surely falling', () => {
    expect(fitted([50, 40, 45]).crossing).toEqual({ kind: 'not-surely-falling' });
    expect(fitted([50, 40, 45]).moreCycles).toBeNull();
  });
  it('fewer than three: the usual factor, 8 more from 42 %', () => {
    const s = fitted([42]);
    expect(s.crossing).toMatchObject({ kind: 'usual' });
    if (s.crossing.kind === 'usual') expect(s.crossing.atCycle - 1).toBeCloseTo(7.067, 3);
    expect(s.moreCycles).toBe(8);
  });
  it('met: no more, whatever the line says', () => {
    expect(fitted([42, 20, 8, 2])).toMatchObject({ isMet: true, moreCycles: 0, isStuck: false });
    expect(levelState(log([12]), 'working')).toMatchObject({ isMet: true });
  });
  it('a change of grit or product begins a new line', () => {
    const s = levelState([...log([60, 50, 42]), ...log([30, 12, 5], { gritP: 320 })], 'show')!;
    expect(s.fitted).toBe(3);
    expect(s.factor).toBeCloseTo(Math.sqrt(5 / 30), 6);
    expect(s.crossing.kind === 'fitted' && s.crossing.atCycle > 6).toBe(true);
  });
  it('two cycles that change nothing: another way is wanted', () => {
    expect(fitted([42, 27, 26, 25]).isStuck).toBe(true);
    expect(fitted([42, 27, 20, 18.5]).isStuck).toBe(false);
  });
  it('nothing measured is nothing known', () => {
    expect(levelState([], 'show')).toBeNull();
  });
});
