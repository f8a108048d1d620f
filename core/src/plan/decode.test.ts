import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../base/random.ts';
import { often } from '../test/often.ts';
import { Decoder } from './decode.ts';
import type { PlanPart } from './problem.ts';
import { randomShop } from './test/shop.ts';
import { PlanWeather } from './weather.ts';

const NOW = Date.parse('2026-03-05T17:00Z');

describe('a plan that begins like the one before', () => {
  it('is the same as one that is placed from nothing, whatever came before it', () => {
    const random = seededRandom(5);
    const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
    for (let seed = 1; seed <= often(12); seed++) {
      const p = randomShop(seed * 7919, NOW);
      const weather = new PlanWeather(p);
      const decoder = new Decoder(p, weather);
      let order: readonly PlanPart[] = p.parts;
      let [notBefore, waits] = [new Map<string, number>(), new Map<string, number>()];
      for (let n = 0; n < 8; n++) {
        const again = decoder.again(order, notBefore, waits);
        expect([seed, n, again]).toEqual([seed, n, new Decoder(p, weather, notBefore, waits).plan(order)]);
        // The last few in another order, one begun later, one coat that waits.
        const at = Math.floor(random() * order.length);
        order = [...order.slice(0, at), ...order.slice(at).reverse()];
        notBefore = new Map(random() < 0.5 ? [[pick(p.parts).partId, pick(p.sessions).fromMs]] : []);
        waits = new Map(random() < 0.5 ? [[pick(pick(p.parts).ops).opId, pick(p.sessions).fromMs]] : []);
      }
    }
  });
});
