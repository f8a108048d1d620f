import { describe, expect, it } from '@jest/globals';
import { assertNever } from './assert.ts';
import { firstOutOfRange, rangeFailure } from './failure.ts';
import { normal, seededRandom } from './random.ts';
import { err, must, ok } from './result.ts';
import { mergeSpans } from './time.ts';

describe('outcomes', () => {
  it('a failure is a value; insisting on it throws', () => {
    expect(must(ok(3))).toBe(3);
    expect(() => must(err({ code: 'x' }))).toThrow(/unexpected failure/);
  });
  it('a range check stops NaN and infinity, and says the range', () => {
    expect(rangeFailure('airC', 5, -40, 50, '°C')).toBeNull();
    expect(rangeFailure('airC', -40, -40, 50, '°C')).toBeNull();
    expect(rangeFailure('airC', Number.NaN, -40, 50, '°C')).toEqual({
      code: 'out-of-range',
      field: 'airC',
      got: null,
      min: -40,
      max: 50,
      unit: '°C',
    });
    expect(rangeFailure('airC', 51, -40, 50, '°C')?.got).toBe(51);
    expect(
      firstOutOfRange([
        ['a', 1, 0, 2, ''],
        ['b', 9, 0, 2, ''],
      ]),
    ).toMatchObject({ ok: false, error: { field: 'b' } });
    expect(firstOutOfRange([['a', 1, 0, 2, '']])).toBeNull();
  });
  it('own bugs throw', () => {
    expect(() => assertNever('left over' as never)).toThrow(/left over/);
  });
});

describe('chance', () => {
  it('the same seed gives the same numbers, another seed others', () => {
    const [a, b, c] = [seededRandom(7), seededRandom(7), seededRandom(8)];
    const take = (r: () => number) => Array.from({ length: 5 }, r);
    const first = take(a);
    expect(take(b)).toEqual(first);
    expect(take(c)).not.toEqual(first);
  });
  it('is even on [0, 1): mean ½, variance 1/12; normal has mean 0 and variance 1', () => {
    const r = seededRandom(1);
    const n = 20_000;
    const xs = Array.from({ length: n }, r);
    const mean = xs.reduce((s, x) => s + x, 0) / n;
    expect(Math.abs(mean - 0.5)).toBeLessThan(0.01);
    expect(Math.abs(xs.reduce((s, x) => s + (x - mean) ** 2, 0) / n - 1 / 12)).toBeLessThan(0.003);
    const zs = Array.from({ length: n }, () => normal(r));
    expect(Math.abs(zs.reduce((s, z) => s + z, 0) / n)).toBeLessThan(0.03);
    expect(Math.abs(zs.reduce((s, z) => s + z * z, 0) / n - 1)).toBeLessThan(0.05);
  });
});

describe('spans', () => {
  it('touching and overlapping spans become one; the length of a union is never more than the sum', () => {
    expect(
      mergeSpans([
        { fromMs: 5, toMs: 8 },
        { fromMs: 0, toMs: 3 },
        { fromMs: 3, toMs: 4 },
        { fromMs: 7, toMs: 9 },
      ]),
    ).toEqual([
      { fromMs: 0, toMs: 4 },
      { fromMs: 5, toMs: 9 },
    ]);
    const random = seededRandom(3);
    for (let k = 0; k < 200; k++) {
      const spans = Array.from({ length: 8 }, () => {
        const fromMs = Math.floor(random() * 50);
        return { fromMs, toMs: fromMs + 1 + Math.floor(random() * 10) };
      });
      const merged = mergeSpans(spans);
      // A slow, obvious version: every whole unit that any span covers.
      const covered = new Set(
        spans.flatMap((s) => Array.from({ length: s.toMs - s.fromMs }, (_, i) => s.fromMs + i)),
      );
      expect(merged.reduce((sum, s) => sum + s.toMs - s.fromMs, 0)).toBe(covered.size);
      for (let i = 1; i < merged.length; i++) expect(merged[i]!.fromMs).toBeGreaterThan(merged[i - 1]!.toMs);
    }
  });
});
