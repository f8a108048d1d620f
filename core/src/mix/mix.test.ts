import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../base/random.ts';
import { must } from '../base/result.ts';
import { FAMILIES } from '../route/test/given.ts';
import { FLOW_CUPS, cupSeconds, viscosityMm2S, type FlowCup } from './flowCup.ts';
import {
  batchFromTins,
  batchOfMixed,
  recipeOf,
  repairOverPour,
  scaleSteps,
  smallestBatchMl,
  type Recipe,
} from './recipe.ts';
import { thinnerGrade, thinnerStartPct, vocAsAppliedGL } from './thinner.ts';

const near = (got: number, want: number, tol: number): void =>
  expect(Math.abs(got - want)).toBeLessThanOrEqual(tol);
const traits = (over: object = {}) => ({
  mix: { a: 4, b: 1, by: 'volume' as const },
  densityKgL: 1.4,
  hardenerDensityKgL: 1,
  thinnerDensityKgL: 0.87,
  ...over,
});
const recipe = (thinPct = 10, over: object = {}): Recipe => must(recipeOf(traits(over), thinPct));

describe('a recipe', () => {
  it('4:1 by volume of a 1.4 kg/L mix with 1.0 kg/L hardener: A is 1.5 kg/L (by hand: (5·1.4 − 1)/4)', () =>
    near(recipe().aKgL, 1.5, 1e-12));
  it('by mass becomes by volume: 100:2 at 1.6 and 1.0 kg/L is 100/1.6194 to 2 mL', () => {
    const r = recipe(0, { mix: { a: 100, b: 2, by: 'mass' }, densityKgL: 1.6 });
    // 102 g take 63.75 mL, of which 2 are hardener: A has 61.75 mL, 1.61943 kg/L.
    near(r.aKgL, 100 / 61.75, 1e-12);
    near(r.bPerA, 2 / 61.75, 1e-12);
    const b = must(batchOfMixed(r, 637.5));
    near(b.aG, 1000, 1e-9);
    near(b.bG, 20, 1e-9);
  });
  it('every family of the catalogue has one, and its parts weigh what the mix weighs', () => {
    for (const f of FAMILIES.values()) {
      const b = must(batchOfMixed(must(recipeOf(f.traits, 0)), 1000));
      near((b.aG + b.bG) / 1000, f.traits.densityKgL, 1e-9);
      if (f.traits.mix?.by === 'mass') near(b.aG / b.bG, f.traits.mix.a / f.traits.mix.b, 1e-9);
      if (f.traits.mix?.by === 'volume') near(b.aMl / b.bMl, f.traits.mix.a / f.traits.mix.b, 1e-9);
    }
  });
  it.each([
    [{ mix: { a: 0, b: 1, by: 'volume' } }, 10, 'ratio'],
    [{ mix: { a: 1, b: 0, by: 'volume' } }, 10, 'ratio'],
    [{ mix: { a: 1000, b: 1, by: 'volume' } }, 10, 'ratio'],
    [{}, 300, 'thinPct'],
    [{}, -1, 'thinPct'],
    [{ densityKgL: 0.55, mix: { a: 1, b: 4, by: 'volume' } }, 0, 'densityKgL'],
  ])('refuses %j with %f %% thinner', (over, thin, field) =>
    expect(recipeOf(traits(over), thin)).toMatchObject({ ok: false, error: { field } }),
  );
});

describe('amounts', () => {
  it('500 mL of 4:1 with a tenth: 400 A, 100 B, 50 thinner, 600, 100 and 43.5 g', () => {
    const b = must(batchOfMixed(recipe(), 500));
    expect([b.aMl, b.bMl, b.thinnerMl, b.totalMl].map((x) => Number(x.toFixed(9)))).toEqual([
      400, 100, 50, 550,
    ]);
    expect([b.aG, b.bG, b.thinnerG].map((x) => Number(x.toFixed(9)))).toEqual([600, 100, 43.5]);
  });
  it('on a scale: 600, then 700, then 743.5 g', () =>
    expect(scaleSteps(must(batchOfMixed(recipe(), 500))).map((s) => Number(s.showsG.toFixed(9)))).toEqual([
      600, 700, 743.5,
    ]));
  it('a one-pack has no hardener to weigh', () =>
    expect(scaleSteps(must(batchOfMixed(recipe(0, { mix: null }), 100))).map((s) => s.part)).toEqual(['a']));
  it('what is left in the tins: 1 000 mL of A and 150 of B make 750 mixed, and A is over', () => {
    const t = must(batchFromTins(recipe(), 1000, 150));
    expect(t).toMatchObject({ endsFirst: 'b', leftMl: 400 });
    near(t.batch.mixedMl, 750, 1e-9);
    expect(must(batchFromTins(recipe(), 400, 150))).toMatchObject({ endsFirst: 'a', leftMl: 50 });
    expect(must(batchFromTins(recipe(0, { mix: null }), 300, 0))).toMatchObject({ endsFirst: null });
  });
  it('a level below nothing is refused', () => {
    expect(batchFromTins(recipe(), -5, 100)).toMatchObject({ ok: false, error: { field: 'aLeftMl' } });
    expect(batchFromTins(recipe(), 100, 0)).toMatchObject({ ok: false, error: { field: 'bLeftMl' } });
    expect(batchOfMixed(recipe(), 0)).toMatchObject({ ok: false, error: { field: 'mixedMl' } });
  });
  it('4:1 read to a millilitre within 5 % needs 100 mL (docs/calculations.md E); 1:1 needs 40', () => {
    near(must(smallestBatchMl(0.25, 1, 0.05)), 100, 1e-9);
    near(must(smallestBatchMl(1, 1, 0.05)), 40, 1e-9);
    near(must(smallestBatchMl(4, 1, 0.05)), 100, 1e-9);
    expect(must(smallestBatchMl(0, 1, 0.05))).toBe(0);
    expect(smallestBatchMl(0.25, 0, 0.05)).toMatchObject({ ok: false });
  });
});

describe('an over-pour put right', () => {
  it('450 of A instead of 400: 12.5 more B and 6.25 more thinner', () => {
    const r = must(repairOverPour(recipe(), { aMl: 450, bMl: 100, thinnerMl: 50 }));
    near(r.add.aMl, 0, 1e-9);
    near(r.add.bMl, 12.5, 1e-9);
    near(r.add.thinnerMl, 6.25, 1e-9);
  });
  it('too much hardener asks for A; too much thinner for both', () => {
    near(must(repairOverPour(recipe(), { aMl: 400, bMl: 110, thinnerMl: 0 })).add.aMl, 40, 1e-9);
    const r = must(repairOverPour(recipe(), { aMl: 400, bMl: 100, thinnerMl: 60 }));
    near(r.add.aMl, 80, 1e-9);
    near(r.add.bMl, 20, 1e-9);
  });
  it('law: nothing is taken out, the recipe is met, and no smaller batch would hold what is in the cup', () => {
    const random = seededRandom(11);
    for (let k = 0; k < 500; k++) {
      const r = recipe(random() * 20, { mix: { a: 1 + random() * 9, b: 1, by: 'volume' } });
      const poured = { aMl: random() * 500, bMl: random() * 200, thinnerMl: random() * 80 };
      const { add, batch } = must(repairOverPour(r, poured));
      for (const p of ['aMl', 'bMl', 'thinnerMl'] as const) {
        expect(add[p]).toBeGreaterThanOrEqual(-1e-9);
        near(poured[p] + add[p], batch[p], 1e-9);
      }
      near(batch.bMl / batch.aMl, r.bPerA, 1e-9);
      near(batch.thinnerMl / batch.mixedMl, r.thinPct / 100, 1e-9);
      // One of them was not topped up: it is what fixes the batch.
      expect(Math.min(add.aMl, add.bMl, add.thinnerMl)).toBeLessThan(1e-9);
    }
  });
  it('thinner where there is none to be, and an empty cup, are refused', () => {
    expect(repairOverPour(recipe(0), { aMl: 100, bMl: 25, thinnerMl: 5 })).toMatchObject({
      error: { field: 'thinnerMl' },
    });
    expect(repairOverPour(recipe(), { aMl: 0, bMl: 0, thinnerMl: 0 })).toMatchObject({
      error: { field: 'poured' },
    });
    expect(repairOverPour(recipe(), { aMl: -1, bMl: 5, thinnerMl: 0 })).toMatchObject({
      error: { field: 'aMl' },
    });
  });
});

describe('thinner (grades and start: common practice, no published source)', () => {
  it.each([
    [17.9, 'fast'],
    [18, 'medium'],
    [25, 'medium'],
    [25.1, 'slow'],
    [32, 'slow'],
    [33, 'very-slow'],
  ] as const)('%f °C: %s', (c, g) => expect(thinnerGrade(c)).toBe(g));
  it('half of what the sheet allows at 20 °C, all at 10, a quarter at 30, never more', () => {
    expect([0, 10, 15, 20, 25, 30, 40].map((c) => Number(must(thinnerStartPct(20, c)).toFixed(6)))).toEqual([
      20, 20, 15, 10, 7.5, 5, 5,
    ]);
    expect(thinnerStartPct(300, 20)).toMatchObject({ ok: false });
  });
  it('VOC as applied is what evaporates over what is in the cup: 420 g/L thinned by a tenth at 0.87 is 460.9', () =>
    near(vocAsAppliedGL(420, 10, 0.87), (420 + 87) / 1.1, 1e-9));
});

describe('flow cups', () => {
  it('ISO 4 mm, 45 s: 57.206 mm²/s (ISO 2431 formula, from memory; 1.37·45 − 200/45 by hand)', () =>
    near(must(viscosityMm2S('iso-4', 45)), 57.2056, 1e-4));
  it('Ford 4, 60 s: 213.7 mm²/s (ASTM D1200 formula, from memory; 3.85·(60 − 4.49))', () =>
    near(must(viscosityMm2S('ford-4', 60)), 213.7135, 1e-9));
  it('DIN 4 mm, 20 s is out of its range and refused', () =>
    expect(viscosityMm2S('din-4', 20)).toMatchObject({
      ok: false,
      error: { field: 'seconds', min: 25, max: 150 },
    }));
  it.each(Object.keys(FLOW_CUPS) as FlowCup[])(
    '%s goes there and back, rises, and keeps to its range',
    (cup) => {
      const { leastS, mostS } = FLOW_CUPS[cup];
      let before = 0;
      for (let s = leastS; s <= mostS; s += 2.5) {
        const v = must(viscosityMm2S(cup, s));
        expect(v).toBeGreaterThan(before);
        before = v;
        near(must(cupSeconds(cup, v)), s, 1e-9);
      }
      expect(viscosityMm2S(cup, leastS - 0.1)).toMatchObject({ ok: false });
      expect(viscosityMm2S(cup, mostS + 0.1)).toMatchObject({ ok: false });
      expect(cupSeconds(cup, before * 2)).toMatchObject({ ok: false, error: { field: 'mm2S' } });
    },
  );
  it('Ford to ISO and back at one viscosity', () => {
    const v = must(viscosityMm2S('ford-4', 25));
    const isoS = must(cupSeconds('iso-4', v));
    near(must(cupSeconds('ford-4', must(viscosityMm2S('iso-4', isoS)))), 25, 1e-9);
  });
});
