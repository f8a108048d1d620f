import { describe, expect, it } from '@jest/globals';
import { rustTrend } from './life.ts';

const YEAR_MS = 365.25 * 86_400_000;
const looks = (...shares: readonly (readonly [years: number, pct: number])[]) =>
  shares.map(([y, sharePct]) => ({ atMs: y * YEAR_MS, sharePct }));

describe('rust over the years (log₁₀ of the share on years, worked by hand)', () => {
  it('ten times as much every two years: from 0.01 % to 1 % in four', () => {
    const t = rustTrend(looks([0, 0.01], [1, 0.0316227766], [2, 0.1]))!;
    expect(t.years).toBeCloseTo(4, 6);
    expect(t.fromYears).toBeCloseTo(4, 5);
    expect(t.looks).toBe(3);
  });
  it('with scatter it says between what and what: Fieller, by hand', () => {
    // y = −2, −1.3, −1.2, −0.5 at 0…3: slope .46, crossing of 0 at 4.2174; s² .036; t 2.92 with 2 degrees of freedom.
    const t = rustTrend(looks([0, 0.01], [1, 10 ** -1.3], [2, 10 ** -1.2], [3, 10 ** -0.5]))!;
    expect(t.years).toBeCloseTo(1.5 + 1.25 / 0.46, 4);
    // Residuals −.06 .18 −.18 .06.
    const s2 = 0.072 / 2;
    const g = (2.92 ** 2 * s2) / (0.46 ** 2 * 5);
    const d = 1.25 / 0.46;
    const half = ((2.92 * Math.sqrt(s2)) / (0.46 * (1 - g))) * Math.sqrt((1 - g) / 4 + d ** 2 / 5);
    expect(t.fromYears).toBeCloseTo(1.5 + d / (1 - g) - half, 4);
    expect(t.toYears).toBeCloseTo(1.5 + d / (1 - g) + half, 4);
  });
  it('two looks, or a year of them, say nothing; nor does what does not grow', () => {
    expect(rustTrend(looks([0, 0.1], [3, 0.4]))).toBeNull();
    expect(rustTrend(looks([0, 0.1], [0.5, 0.2], [1.5, 0.4]))).toBeNull();
    expect(rustTrend(looks([0, 0.4], [1, 0.3], [2, 0.2]))).toBeNull();
    expect(rustTrend(looks([0, 0.1], [1, 1], [2, 0.2]))).toBeNull();
    expect(rustTrend([])).toBeNull();
  });
});
