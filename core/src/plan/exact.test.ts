import { beforeAll, describe, expect, it } from '@jest/globals';
import highsLoader, { type Highs } from 'highs';
import { HOUR_MS } from '../base/time.ts';
import { checkPlan } from './check.ts';
import { often } from '../test/often.ts';
import { laidFilm, stageMs, windowOf } from './films.ts';
import { makePlans } from './make.ts';
import { asProgramme, EVENING_MIN, SMALL_PRIMER, SMALL_TRACK, smallShop } from './test/exact.ts';

/** Sixty of them, a second and a half each, are in `bench/`. */
const SHOPS = often(9);
const TRIES = 2500;

describe('small shops against a general integer programme solver (highs; docs/plan.md, check values)', () => {
  let highs: Highs;
  beforeAll(async () => {
    highs = await highsLoader();
  });
  it('what the programme takes for granted holds: a coat opens and may be handled before the next evening, and shuts between the second and the third', () => {
    const { problem } = smallShop(1);
    const first = problem.sessions[0]!;
    for (const t0Ms of [first.fromMs + 30 * 60_000, first.toMs]) {
      const stand = { surface: { track: SMALL_TRACK, days: SMALL_TRACK, warm: null }, isOutdoors: false };
      const laid = laidFilm(stand, problem.parts[0]!.ops[1]!.coat!, t0Ms, []);
      const [open] = windowOf(laid, SMALL_PRIMER).open;
      expect(open!.fromMs).toBeLessThan(first.fromMs + 24 * HOUR_MS);
      expect(open!.toMs).toBeGreaterThan(first.toMs + 48 * HOUR_MS);
      expect(open!.toMs).toBeLessThan(first.fromMs + 72 * HOUR_MS);
      // Handled before noon: by noons days are counted.
      expect(stageMs(laid, 'handle')!).toBeLessThan(problem.nowMs + 24 * HOUR_MS);
    }
    expect(first.toMs - first.fromMs).toBe(EVENING_MIN * 60_000);
  });
  it('as cheap as the cheapest plan there is, and the checker has nothing against it', () => {
    for (let seed = 1; seed <= SHOPS; seed++) {
      const shop = smallShop(seed);
      const exact = highs.solve(asProgramme(shop), { mip_rel_gap: 0 });
      expect(exact.Status).toBe('Optimal');
      const plans = makePlans(shop.problem);
      let step = plans.next().value;
      for (let n = 1; n < TRIES; n++) step = plans.next().value;
      const { plan, cost } = step.best;
      expect(checkPlan(shop.problem, plan)).toEqual([]);
      expect([seed, cost.total]).toEqual([seed, Math.round(exact.ObjectiveValue)]);
    }
  }, 120_000);
});
