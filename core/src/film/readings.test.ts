import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../base/random.ts';
import { acceptIso19840, acceptOwn, acceptPa2, USUAL_OWN_RULE } from './accept.ts';
import { coatsMissing, measuredCoats } from './measured.ts';
import { corrected, correctionUm, filmStatistics, histogram, readingsNeeded } from './readings.ts';

const times = (n: number, um: number): number[] => Array.from({ length: n }, () => um);

describe('statistics of readings', () => {
  it('2, 4, 4, 4, 5, 5, 7, 9: mean 5, sample deviation 2.138 (textbook example, n − 1)', () => {
    const s = filmStatistics([2, 4, 4, 4, 5, 5, 7, 9])!;
    expect(s).toMatchObject({ n: 8, meanUm: 5, medianUm: 4.5, leastUm: 2, mostUm: 9 });
    expect(Math.abs(s.deviationUm! - Math.sqrt(32 / 7))).toBeLessThan(1e-12);
  });
  it('nothing of nothing, and no deviation of one', () => {
    expect(filmStatistics([])).toBeNull();
    expect(filmStatistics([80])!.deviationUm).toBeNull();
    expect(filmStatistics([80, 60, 70])!.medianUm).toBe(70);
  });
  it('a histogram holds every reading once, in at most twelve bins of one width', () => {
    const random = seededRandom(4);
    for (let k = 0; k < 200; k++) {
      const list = times(1 + Math.floor(random() * 60), 0).map(() => random() ** 3 * 1500);
      const bins = histogram(list);
      expect(bins.length).toBeLessThanOrEqual(12);
      expect(bins.reduce((s, b) => s + b.count, 0)).toBe(list.length);
      for (const b of bins) expect(list.filter((x) => x >= b.fromUm && x < b.toUm).length).toBe(b.count);
    }
    expect(histogram([])).toEqual([]);
  });
  it.each([
    [0.4, 5],
    [1, 5],
    [1.01, 10],
    [3, 10],
    [10, 15],
    [30, 20],
    [100, 30],
    [101, 40],
    [200, 40],
    [201, 50],
  ])('%f m² ask for %i readings (ISO 19840:2012, from memory)', (m2, n) =>
    expect(readingsNeeded(m2)).toBe(n),
  );
  it('the profile is taken off once: fine 10, medium and unknown 25, coarse 40 (ISO 19840:2012, from memory)', () => {
    expect(correctionUm('smooth', 'fine', null)).toBe(10);
    expect(correctionUm('smooth', 'medium', null)).toBe(25);
    expect(correctionUm('smooth', 'unknown', null)).toBe(25);
    expect(correctionUm('unknown', 'coarse', null)).toBe(40);
    // Set on the blasted surface, or a base reading deducted: never a second time.
    expect(correctionUm('on-profile', 'coarse', null)).toBe(0);
    expect(correctionUm('smooth', 'coarse', 12)).toBe(12);
    expect(corrected([100, 20], 25)).toEqual([75, 0]);
  });
});

// Worked by hand from the rule as given in docs/calculations.md D (ISO 19840:2012, from memory).
describe('ISO 19840, nominal 100 µm', () => {
  const judge = (readingsUm: readonly number[], over: { maxUm?: number; areaM2?: number } = {}) =>
    acceptIso19840({ readingsUm, nominalUm: 100, maxUm: over.maxUm ?? null, areaM2: over.areaM2 ?? 1 });
  it.each([
    ['all at nominal', times(5, 100), 'accepted'],
    ['five, one below: none may be', [99, 101, 101, 101, 101], 'refused'],
    ['ten, one below at exactly 80', [80, ...times(9, 103)], 'accepted'],
    ['ten, one at 79.9', [79.9, ...times(9, 110)], 'refused'],
    ['ten, two below', [90, 90, ...times(8, 110)], 'refused'],
    ['fifteen, two below', [90, 90, ...times(13, 110)], 'accepted'],
    ['fifteen, three below', [90, 90, 90, ...times(12, 110)], 'refused'],
    ['twenty, three below', [...times(3, 85), ...times(17, 105)], 'accepted'],
    ['twenty, four below', [...times(4, 85), ...times(16, 110)], 'refused'],
    ['thirty, five below', [...times(5, 85), ...times(25, 104)], 'accepted'],
    ['thirty, six below', [...times(6, 85), ...times(24, 110)], 'refused'],
    ['few below, but the mean falls short', [80, ...times(9, 100)], 'refused'],
    ['one above three times nominal', [...times(4, 100), 301], 'refused'],
    ['one at three times nominal', [...times(4, 100), 300], 'accepted'],
    ['too few', times(4, 120), 'unknown'],
    ['none', [], 'unknown'],
    ['too few, and one already too thin: taking more cannot mend it', [70, 120], 'refused'],
  ] as const)('%s: %s → %s', (_name, list, verdict) => expect(judge(list).verdict).toBe(verdict));
  it('the sheet’s own most counts before three times nominal', () =>
    expect(judge([...times(4, 100), 160], { maxUm: 150 }).verdict).toBe('refused'));
  it('a larger part asks for more readings before anything is accepted', () => {
    expect(judge(times(5, 120), { areaM2: 2 })).toMatchObject({ verdict: 'unknown', asks: ['readings'] });
    expect(judge(times(10, 120), { areaM2: 2 }).verdict).toBe('accepted');
  });
  it('says where to measure again', () => expect(judge([100, 78, 110, 120, 320]).again).toEqual([1, 4]));
});

// Worked by hand from SSPC-PA 2 as given in docs/calculations.md D (from memory).
describe('SSPC-PA 2, 80 to 120 µm', () => {
  const spots = (...means: number[]) => means.map((m) => [m - 6, m, m + 6]);
  const judge = (
    spotsUm: readonly (readonly number[])[],
    over: { min?: number | null; areaM2?: number } = {},
  ) =>
    acceptPa2({
      spotsUm,
      minUm: over.min === undefined ? 80 : over.min,
      maxUm: 120,
      areaM2: over.areaM2 ?? 4,
    });
  it.each([
    ['five good spots', spots(100, 100, 100, 100, 100), 'accepted'],
    ['a spot at exactly 80 % of the least', spots(64, 90, 90, 90, 90), 'accepted'],
    ['a spot below it', spots(63, 100, 100, 100, 100), 'refused'],
    ['a spot at exactly 120 % of the most', spots(144, 100, 100, 100, 100), 'accepted'],
    ['a spot above it', spots(145, 100, 100, 100, 100), 'refused'],
    ['the area thin on the whole', spots(79, 79, 79, 79, 79), 'refused'],
    ['four spots', spots(100, 100, 100, 100), 'unknown'],
  ] as const)('%s', (_n, s, verdict) => expect(judge(s).verdict).toBe(verdict));
  it('single readings are free: 10 and 190 in a spot whose mean is 100', () =>
    expect(judge([[10, 100, 190], ...spots(100, 100, 100, 100)]).verdict).toBe('accepted'));
  it('asks for a limit it was not given, and for three readings a spot', () => {
    expect(judge(spots(100, 100, 100, 100, 100), { min: null })).toMatchObject({
      verdict: 'unknown',
      asks: ['min'],
    });
    expect(judge([[100, 100], ...spots(100, 100, 100, 100)])).toMatchObject({
      verdict: 'unknown',
      asks: ['spots'],
    });
  });
  it('each further 100 ft² asks for five more spots', () =>
    expect(judge(spots(100, 100, 100, 100, 100), { areaM2: 10 }).verdict).toBe('unknown'));
});

describe('the shop’s own rule', () => {
  it('as usually kept: two thirds for each, the mean all of it, five readings', () => {
    expect(acceptOwn([67, 120, 105, 104, 104], 100, USUAL_OWN_RULE).verdict).toBe('accepted');
    expect(acceptOwn([66, 120, 105, 105, 105], 100, USUAL_OWN_RULE).verdict).toBe('refused');
    expect(acceptOwn([100, 100], 100, USUAL_OWN_RULE).verdict).toBe('unknown');
    expect(acceptOwn([], 100, USUAL_OWN_RULE).verdict).toBe('unknown');
    expect(acceptOwn(times(5, 260), 100, { ...USUAL_OWN_RULE, maxUm: 250 }).verdict).toBe('refused');
  });
});

describe('each coat’s own film from readings of the whole', () => {
  const coat = (factId: string, h: number, dftUm = 60) => ({ factId, t0Ms: h, dftUm });
  const read = (h: number, meanUm: number, leastUm = meanUm, scope: 'system' | 'coat' = 'system') => ({
    atMs: h,
    scope,
    meanUm,
    leastUm,
  });
  it('is the difference of two passes', () => {
    const m = measuredCoats([coat('a', 0), coat('b', 10)], [read(5, 70, 62), read(15, 125, 110)]);
    expect(m.map((x) => x.measuredUm)).toEqual([70, 55]);
    expect(m.map((x) => x.thinnestUm)).toEqual([62, 48]);
  });
  it('is shared by what was logged where two coats went on between readings, and unknown above the last', () => {
    const m = measuredCoats([coat('a', 0, 40), coat('b', 1, 80), coat('c', 10)], [read(5, 90)]);
    expect(m.map((x) => x.measuredUm)).toEqual([30, 60, null]);
  });
  it('a second measurement of the same film takes the place of the first', () =>
    expect(measuredCoats([coat('a', 0)], [read(5, 70), read(6, 64)])[0]!.measuredUm).toBe(64));
  it('the comb gives a coat its own film where nothing else does', () => {
    expect(measuredCoats([coat('a', 0), coat('b', 10)], [read(11, 52, 45, 'coat')])).toEqual([
      { factId: 'a', measuredUm: null, thinnestUm: null },
      { factId: 'b', measuredUm: 52, thinnestUm: 45 },
    ]);
    expect(measuredCoats([coat('a', 0)], [read(1, 50, 50, 'coat'), read(2, 61)])[0]!.measuredUm).toBe(61);
  });
  it('nothing measured is nothing known', () =>
    expect(measuredCoats([coat('a', 0)], [])[0]).toEqual({
      factId: 'a',
      measuredUm: null,
      thinnestUm: null,
    }));
  it('coats missing: 95 of 120 at 60 a coat is one, 50 is two, 120 none', () => {
    expect(coatsMissing(95, 120, 60)).toBe(1);
    expect(coatsMissing(50, 120, 60)).toBe(2);
    expect(coatsMissing(60, 120, 60)).toBe(1);
    expect(coatsMissing(120, 120, 60)).toBe(0);
  });
});
