import { describe, expect, it } from '@jest/globals';
import { must } from '../base/result.ts';
import { cyclesToFill, fillsWith, levelState, levelStops, UNKNOWN_FACE, type LevelCycle } from './level.ts';

const log = (shares: readonly number[], over: Partial<LevelCycle> = {}): LevelCycle[] =>
  shares.map((showingPct) => ({
    what: 'surfacer',
    gritP: 180,
    showingPct,
    minutes: 20,
    buildMm: null,
    isEdgeThin: null,
    ...over,
  }));
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
  const film = { meanUm: 120, leastUm: 90, minUm: 80, maxUm: 200 };
  it('stops where another cycle does harm, whatever still shows (common practice)', () => {
    const cycles = log([42, 27]);
    const why = (over: Parameters<typeof levelStops>[1], list = cycles) =>
      levelStops(list, over).map((s) => s.why);
    expect(why(UNKNOWN_FACE)).toEqual([]);
    expect(why({ isCutThrough: false, film })).toEqual([]);
    expect(why({ isCutThrough: true, film: null })).toEqual(['cut-through']);
    expect(why({ isCutThrough: false, film: { ...film, meanUm: 200 } })).toEqual(['film-full']);
    expect(why({ isCutThrough: false, film: { ...film, leastUm: 79 } })).toEqual(['edges-thin']);
    expect(why(UNKNOWN_FACE, log([42, 27], { isEdgeThin: true }))).toEqual(['edge-seen']);
    // Seen once and coated since: only what the last cycle shows counts.
    const mended = [...log([42], { isEdgeThin: true }), ...log([27], { isEdgeThin: false })];
    expect(why(UNKNOWN_FACE, mended)).toEqual([]);
  });
  it('filler: 3 mm in all that stay of 6 mm laid, half being sanded off; what nobody measured counts nothing', () => {
    const filler = (buildMm: number | null, n: number) =>
      log(Array<number>(n).fill(40), { what: 'body-filler', buildMm });
    expect(levelStops(filler(1.5, 3), UNKNOWN_FACE)).toEqual([]);
    expect(levelStops(filler(1.5, 4), UNKNOWN_FACE)).toEqual([
      { why: 'filler-full', what: 'body-filler', gotMm: 3, limitMm: 3 },
    ]);
    expect(levelStops(filler(null, 9), UNKNOWN_FACE)).toEqual([]);
  });
  it('a stop stands beside what the curve says', () => {
    const s = levelState(log([42, 27, 18]), 'show', { isCutThrough: true, film: null })!;
    expect([s.stops, s.moreCycles]).toEqual([[{ why: 'cut-through' }], 6]);
  });
  it('nothing measured is nothing known', () => {
    expect(levelState([], 'show')).toBeNull();
  });
});
