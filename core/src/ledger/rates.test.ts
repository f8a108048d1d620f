import { describe, expect, it } from '@jest/globals';
import { hoursLeft, learnedRate, sharedMinutes } from './rates.ts';

// Worked outside (docs/ledger.md 11).
describe('what jobs say of how long it takes here', () => {
  it('1.4 1.1 1.8 1.3: median 1.3491, factor 1.1615', () => {
    const r = learnedRate([1.4, 1.1, 1.8, 1.3])!;
    expect(r.median).toBeCloseTo(1.3491, 4);
    expect(r.factor).toBeCloseTo(1.1615, 4);
    expect(r.outliers).toEqual([]);
  });
  it('its 80 % interval, by hand: s of the logarithms .2048, t 1.6377 with 3 degrees of freedom', () => {
    const r = learnedRate([1.4, 1.1, 1.8, 1.3])!;
    const half = (1.6377 * 0.2048) / 2;
    expect(r.from).toBeCloseTo(1.3491 * Math.exp(-half), 3);
    expect(r.to).toBeCloseTo(1.3491 * Math.exp(half), 3);
    expect(learnedRate([1.4, 1.1])).toMatchObject({ from: null, to: null });
  });
  it('one job is drawn far towards what was reckoned; many alike are believed', () => {
    expect(learnedRate([2])!.factor).toBeCloseTo(2 ** (1 / 5), 10);
    expect(learnedRate(Array<number>(36).fill(2))!.factor).toBeCloseTo(2 ** 0.9, 10);
  });
  it('a job far off is left out and named, from five on', () => {
    expect(learnedRate([1, 1, 1.1, 9])!.outliers).toEqual([]);
    const r = learnedRate([1, 1, 1.1, 9, 0.95])!;
    expect(r.outliers).toEqual([3]);
    expect(r.jobs).toBe(4);
  });
  it('twice and half as long come to as reckoned; nothing says nothing', () => {
    expect(learnedRate([2, 0.5])!.factor).toBeCloseTo(1, 12);
    expect(learnedRate([])).toBeNull();
    expect(learnedRate([0, Number.NaN])).toBeNull();
  });
});

describe('what is left', () => {
  it('medians 2 and 3 h: half a chance within 5.100, four in five within 6.499', () => {
    const { p50, p80 } = hoursLeft([2, 3]);
    expect(p50).toBeCloseTo(5.1, 3);
    expect(p80).toBeCloseTo(6.499, 3);
  });
  it('of nothing: nothing; of one job: its own spread', () => {
    expect(hoursLeft([])).toEqual({ p50: 0, p80: 0 });
    expect(hoursLeft([4]).p50).toBeCloseTo(4, 10);
    expect(hoursLeft([4]).p80).toBeCloseTo(4 * Math.exp(0.8416212 * 0.35), 10);
  });
});

describe('hours of several parts', () => {
  it('are shared by what each was reckoned at, and lose nothing', () => {
    expect(sharedMinutes(180, [60, 30, 90])).toEqual([60, 30, 90]);
    const some = sharedMinutes(100, [30, null, 10]);
    expect(some[1]).toBeCloseTo((some[0]! + some[2]!) / 2, 10);
    expect(some.reduce((a, b) => a + b, 0)).toBeCloseTo(100, 10);
    expect(sharedMinutes(90, [null, null, null])).toEqual([30, 30, 30]);
  });
});
