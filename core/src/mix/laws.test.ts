import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../base/random.ts';
import { must } from '../base/result.ts';
import { cheapestCover, type Offer } from '../shelf/cover.ts';
import { chooseLeftover, type LeftoverItem } from './leftover.ts';
import { batchFromTins, batchOfMixed, recipeOf, scaleSteps, type Recipe } from './recipe.ts';
import { thinnerStartPct } from './thinner.ts';

const random = seededRandom(61);
const recipe = (): Recipe =>
  must(
    recipeOf(
      {
        mix: { a: 1 + random() * 9, b: 1, by: random() < 0.5 ? 'volume' : 'mass' },
        densityKgL: 1.1 + random() * 0.3,
        hardenerDensityKgL: 0.95 + random() * 0.2,
        thinnerDensityKgL: 0.87,
      },
      random() * 30,
    ),
  );

describe('laws of a batch', () => {
  it('parts add up, in litres and on the scale, whatever is asked for', () => {
    for (let k = 0; k < 300; k++) {
      const r = recipe();
      const want = 20 + random() * 3000;
      const b = must(batchOfMixed(r, want));
      expect(b.aMl + b.bMl).toBeCloseTo(want, 6);
      expect(b.mixedMl + b.thinnerMl).toBeCloseTo(b.totalMl, 9);
      const steps = scaleSteps(b);
      expect(steps[steps.length - 1]!.showsG).toBeCloseTo(b.aG + b.bG + b.thinnerG, 9);
    }
  });
  it('what the tins give empties one of them and takes no more than either holds', () => {
    for (let k = 0; k < 300; k++) {
      const r = recipe();
      const [a, b] = [10 + random() * 4000, 10 + random() * 1000];
      const t = must(batchFromTins(r, a, b));
      expect(t.batch.aMl).toBeLessThanOrEqual(a + 1e-9);
      expect(t.batch.bMl).toBeLessThanOrEqual(b + 1e-9);
      expect(Math.min(a - t.batch.aMl, b - t.batch.bMl)).toBeLessThan(1e-6);
    }
  });
  it('warmer never starts with more thinner', () => {
    for (let c = -5; c < 45; c++)
      expect(must(thinnerStartPct(20, c + 1))).toBeLessThanOrEqual(must(thinnerStartPct(20, c)) + 1e-12);
  });
});

describe('laws of a leftover', () => {
  const items = (n: number): LeftoverItem[] =>
    Array.from({ length: n }, (_, i) => ({
      id: `p${i}`,
      needMl: 5 + random() * 120,
      minutes: 5 + random() * 25,
      shutMs: random() < 0.3 ? null : Math.floor(random() * 1e6),
    }));
  it('more paint, more time or another part never uses less of it', () => {
    for (let k = 0; k < 150; k++) {
      const list = items(12);
      const [ml, minutes] = [50 + random() * 400, 20 + random() * 100];
      const used = chooseLeftover(list, ml, minutes).usedMl;
      expect(chooseLeftover(list, ml + 37, minutes).usedMl).toBeGreaterThanOrEqual(used);
      expect(chooseLeftover(list, ml, minutes + 13).usedMl).toBeGreaterThanOrEqual(used);
      expect(
        chooseLeftover([...list, ...items(1).map((x) => ({ ...x, id: 'new' }))], ml, minutes).usedMl,
      ).toBeGreaterThanOrEqual(used);
    }
  });
  it('what it says is what its parts add up to, within both limits, each part once', () => {
    for (let k = 0; k < 150; k++) {
      const list = items(40);
      const [ml, minutes] = [50 + random() * 900, 20 + random() * 300];
      const c = chooseLeftover(list, ml, minutes);
      const chosen = list.filter((x) => c.ids.includes(x.id));
      expect(new Set(c.ids).size).toBe(c.ids.length);
      expect(chosen.reduce((s, x) => s + Math.ceil(x.needMl), 0)).toBe(c.usedMl);
      expect(chosen.reduce((s, x) => s + Math.ceil(x.minutes), 0)).toBe(c.minutes);
      expect(c.usedMl).toBeLessThanOrEqual(ml);
      expect(c.minutes).toBeLessThanOrEqual(minutes);
    }
  });
});

describe('laws of shopping', () => {
  const offers = (): Offer[] =>
    [250, 500, 1000, 2500].map((ml, i) => ({
      offerId: `o${i}`,
      ml,
      cents: Math.round(ml * (2 + random() * 3)),
      atMost: random() < 0.3 ? 1 + Math.floor(random() * 4) : null,
    }));
  it('needing more never costs less; another offer never costs more; it always covers', () => {
    for (let k = 0; k < 200; k++) {
      const list = offers();
      const need = 1 + Math.floor(random() * 9000);
      const c = cheapestCover(need, list);
      const more = cheapestCover(need + 400, list);
      if (c && more) expect(more.cents).toBeGreaterThanOrEqual(c.cents);
      if (!c) continue;
      expect(c.ml).toBeGreaterThanOrEqual(need);
      expect(c.wasteMl).toBe(c.ml - need);
      const wider = cheapestCover(need, [
        ...list,
        { offerId: 'x', ml: 750, cents: Math.round(750 * (2 + random() * 3)), atMost: null },
      ])!;
      expect(wider.cents).toBeLessThanOrEqual(c.cents);
    }
  });
});
