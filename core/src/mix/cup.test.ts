import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../base/random.ts';
import { must } from '../base/result.ts';
import { cupFromWater, cupFullMl, cupHeightMm, cupMarks, cupVolumeMl, WATER_G_ML } from './cup.ts';

const near = (got: number, want: number, tol: number): void =>
  expect(Math.abs(got - want)).toBeLessThanOrEqual(tol);
const CUP = { bottomMm: 70, topMm: 90, heightMm: 110 };

describe('a tapered cup, 70 to 90 mm over 110 mm (values of docs/calculations.md E, recomputed independently there)', () => {
  it('holds 555.80 mL', () => near(cupFullMl(CUP), 555.8, 0.005));
  it.each([
    [200, 46.2],
    [250, 56.32],
    [275, 61.21],
  ])('%f mL stand at %f mm', (ml, mm) => near(must(cupHeightMm(CUP, ml)), mm, 0.005));
  it('a frustum by the prismoidal rule: h/6·(bottom + 4·middle + top)', () => {
    const area = (d: number): number => (Math.PI * d * d) / 4;
    near(cupFullMl(CUP), ((110 / 6) * (area(70) + 4 * area(80) + area(90))) / 1000, 1e-9);
  });
});

describe('cups in general', () => {
  it('height inverts volume to a tenth of a millimetre and far better, straight or tapered either way', () => {
    const random = seededRandom(5);
    for (let k = 0; k < 500; k++) {
      const cup = {
        bottomMm: 30 + random() * 200,
        topMm: 30 + random() * 200,
        heightMm: 40 + random() * 200,
      };
      const h = random() * cup.heightMm;
      near(must(cupHeightMm(cup, cupVolumeMl(cup, h))), h, 1e-6);
    }
    const straight = { bottomMm: 80, topMm: 80, heightMm: 100 };
    near(must(cupHeightMm(straight, cupVolumeMl(straight, 37))), 37, 1e-9);
    // As good as straight: the formula must not lose its digits there.
    const nearly = { ...straight, topMm: 80.001 };
    near(must(cupHeightMm(nearly, cupVolumeMl(nearly, 37))), 37, 0.1);
  });
  it('more than it holds, or less than nothing, is refused with what it holds', () => {
    const r = cupHeightMm(CUP, 600);
    expect(r).toMatchObject({ ok: false, error: { field: 'volumeMl' } });
    expect(cupHeightMm(CUP, -1)).toMatchObject({ ok: false });
  });
  it('marks add up in the order of pouring, and a part of nothing has none', () => {
    const marks = must(cupMarks(CUP, { aMl: 200, bMl: 50, thinnerMl: 25 }));
    expect(marks.map((m) => [m.part, m.toMl])).toEqual([
      ['a', 200],
      ['b', 250],
      ['thinner', 275],
    ]);
    near(marks[2]!.heightMm, 61.21, 0.005);
    expect(must(cupMarks(CUP, { aMl: 200, bMl: 0, thinnerMl: 0 })).length).toBe(1);
    expect(cupMarks(CUP, { aMl: 500, bMl: 100, thinnerMl: 0 })).toMatchObject({ ok: false });
  });
  it('measured by weighing water, full and to half its height, it is the cup it is', () => {
    const random = seededRandom(6);
    for (let k = 0; k < 300; k++) {
      const bottomMm = 40 + random() * 120;
      const cup = { bottomMm, topMm: bottomMm * (0.8 + random() * 0.6), heightMm: 50 + random() * 150 };
      const full = cupFullMl(cup) * WATER_G_ML;
      const half = cupVolumeMl(cup, cup.heightMm / 2) * WATER_G_ML;
      const got = must(cupFromWater(cup.heightMm, full, half));
      near(got.bottomMm, cup.bottomMm, 1e-6);
      near(got.topMm, cup.topMm, 1e-6);
    }
  });
  it('weights no straight-sided cup has are questioned', () => {
    expect(cupFromWater(100, 500, 20)).toMatchObject({ ok: false, error: { code: 'contradiction' } });
    expect(cupFromWater(100, 500, 600)).toMatchObject({ ok: false, error: { field: 'halfG' } });
    expect(cupFromWater(0, 500, 200)).toMatchObject({ ok: false, error: { field: 'heightMm' } });
  });
});
