import { describe, expect, it } from '@jest/globals';
import { must } from '../base/result.ts';
import { byLikelihood, byMoments, judgePits, likelySlips } from './pits.ts';

// Worked by hand and checked with an outside program (docs/inspect.md 3); the practice is ASTM G46 and Gumbel, quoted from memory.
const EIGHT = [0.3, 0.45, 0.52, 0.38, 0.61, 0.47, 0.55, 0.41];
const SIX = [0.2, 0.3, 0.4, 0.5, 0.6, 0.7];
const TEN = [0.8, 0.62, 0.71, 0.95, 0.55, 0.68, 0.77, 0.6, 0.84, 0.73];
const judged = (deepestMm: readonly number[], wholeOverPatch: number, isThrough = false) =>
  must(judgePits({ deepestMm, wholeOverPatch, isThrough }));

describe('the deepest pit of the whole face', () => {
  it('by moments', () => {
    const g = byMoments(EIGHT, 40);
    expect(g.beta).toBeCloseTo(0.07735, 5);
    expect(g.mu).toBeCloseTo(0.4166, 4);
    expect(g.returnMm).toBeCloseTo(0.701, 4);
    expect(g.x95Mm).toBeCloseTo(0.9317, 3);
    const six = byMoments(SIX, 20);
    expect([six.beta, six.mu, six.returnMm, six.x95Mm].map((x) => x.toFixed(6))).toEqual([
      '0.145868',
      '0.365803',
      '0.799059',
      '1.236040',
    ]);
    expect(byMoments(TEN, 50).x95Mm).toBeCloseTo(1.31821, 5);
  });
  it('by maximum likelihood', () => {
    const g = byLikelihood(EIGHT, 40);
    expect([g.beta, g.mu, g.x95Mm].map((x) => x.toFixed(4))).toEqual(['0.0887', '0.4145', '1.0050']);
    const six = byLikelihood(SIX, 20);
    expect([six.beta, six.mu].map((x) => x.toFixed(6))).toEqual(['0.153436', '0.365043']);
    expect(six.x95Mm).toBeCloseTo(1.28043, 5);
    expect(byLikelihood(TEN, 50).x95Mm).toBeCloseTo(1.350834, 5);
  });
  it('with an interval by bootstrap, and a plot', () => {
    const e = judged(EIGHT, 40).estimate!;
    expect(e.fromMm).toBeCloseTo(0.71 - 0.05, 1);
    expect(Math.abs(e.toMm - (1.37 + 0.05))).toBeLessThan(0.08);
    expect(e.plot.slope).toBeCloseTo(0.10103, 5);
    expect(e.plot.intercept).toBeCloseTo(0.41232, 5);
    expect(e.plot.r).toBeCloseTo(0.98458, 5);
  });
  it('is judged by the upper end, the same every time', () => {
    const v = judged(EIGHT, 40);
    expect(v.judgeByMm).toBe(v.estimate!.toMm);
    expect(judged(EIGHT, 40)).toEqual(v);
    expect(v.judgeByMm).toBeGreaterThan(v.deepestSeenMm);
  });
});

describe('nothing is reckoned where it cannot be', () => {
  it.each([
    ['too few patches', SIX.slice(0, 5), 40, false, 'few-patches', true],
    ['all the same', [0.4, 0.4, 0.4, 0.4, 0.4, 0.4], 40, false, 'no-spread', true],
    ['eaten through', EIGHT, 40, true, 'through', true],
    ['many patches without a pit', [0, 0, 0, 0.4, 0.5, 0.6], 40, false, 'many-without-pits', true],
    ['the whole was looked at', EIGHT, 8, false, 'all-seen', false],
  ] as const)('%s', (_, depths, t, isThrough, none, isAtLeast) => {
    const v = judged(depths, t, isThrough);
    expect([v.none, v.isAtLeast, v.judgeByMm, v.estimate]).toEqual([
      none,
      isAtLeast,
      Math.max(...depths),
      null,
    ]);
  });
  it('and a depth that cannot be is refused with what may be', () => {
    const r = judgePits({ deepestMm: [0.4, -1], wholeOverPatch: 9, isThrough: false });
    expect(r).toMatchObject({ ok: false, error: { field: 'deepestMm', got: -1, min: 0, max: 50 } });
    expect(judgePits({ deepestMm: [], wholeOverPatch: 9, isThrough: false }).ok).toBe(false);
  });
  it('a slip of the pen is asked about before it is stored', () => {
    expect(likelySlips([0.4, 0.5, 40])).toEqual([2]);
    expect(likelySlips(EIGHT)).toEqual([]);
    expect(likelySlips([2, 3, 2.5, 9])).toEqual([]);
  });
});
