import { describe, expect, it } from '@jest/globals';
import highsLoader from 'highs';
import { seededRandom, type Random } from '../base/random.ts';
import { chooseLeftover, type LeftoverItem } from './leftover.ts';

const item = (id: string, needMl: number, minutes: number, shutMs: number | null = null): LeftoverItem => ({
  id,
  needMl,
  minutes,
  shutMs,
});
const some = (random: Random, n: number, mostMl: number): LeftoverItem[] =>
  Array.from({ length: n }, (_, i) =>
    item(
      `p${String(i).padStart(3, '0')}`,
      1 + random() * mostMl,
      2 + random() * 30,
      random() < 0.2 ? null : Math.floor(random() * 20) * 3_600_000,
    ),
  );

/** Every subset: most whole millilitres, then the set that takes the soonest shut, then the next. */
function bruteForce(items: readonly LeftoverItem[], leftMl: number, leftMinutes: number): string[] {
  const order = [...items].sort(
    (a, b) => (a.shutMs ?? Infinity) - (b.shutMs ?? Infinity) || (a.id < b.id ? -1 : 1),
  );
  let best: { ml: number; key: string; ids: string[] } = { ml: 0, key: '', ids: [] };
  for (let mask = 1; mask < 1 << order.length; mask++) {
    const set = order.filter((_, i) => mask & (1 << i));
    const ml = set.reduce((s, x) => s + Math.ceil(x.needMl), 0);
    const minutes = set.reduce((s, x) => s + Math.ceil(x.minutes), 0);
    if (ml > Math.floor(leftMl) || minutes > Math.floor(leftMinutes)) continue;
    const key = order.map((_, i) => (mask & (1 << i) ? '1' : '0')).join('');
    if (ml > best.ml || (ml === best.ml && key > best.key)) best = { ml, key, ids: set.map((x) => x.id) };
  }
  return best.ids;
}

describe('what a leftover can still paint', () => {
  it('takes the fuller set, not the first that fits', () =>
    expect(chooseLeftover([item('a', 100, 5, 1), item('b', 90, 5, 2), item('c', 85, 5, 3)], 180, 60)).toEqual(
      {
        ids: ['b', 'c'],
        usedMl: 175,
        minutes: 10,
      },
    ));
  it('the minutes left bind as the millilitres do', () =>
    expect(chooseLeftover([item('slow', 100, 50), item('quick', 60, 10)], 200, 45).ids).toEqual(['quick']));
  it('needs are rounded up: 100.2 mL do not come out of 100', () =>
    expect(chooseLeftover([item('a', 100.2, 5)], 100.9, 60).ids).toEqual([]));
  it('among equals the one that shuts soonest', () =>
    expect(
      chooseLeftover([item('later', 80, 5, 200), item('soon', 80, 5, 100), item('never', 80, 5)], 80, 60).ids,
    ).toEqual(['soon']));
  it('nothing waits, nothing is left, no time is left', () => {
    expect(chooseLeftover([], 180, 60).ids).toEqual([]);
    expect(chooseLeftover([item('a', 10, 5)], 0, 60).ids).toEqual([]);
    expect(chooseLeftover([item('a', 10, 5)], 180, 0).ids).toEqual([]);
    expect(chooseLeftover([item('a', 0, 5)], 180, 60).ids).toEqual([]);
  });
  it('equals trying every subset, on 400 random cases of up to 14 parts', () => {
    const random = seededRandom(20_261_125);
    for (let k = 0; k < 400; k++) {
      const items = some(random, 1 + Math.floor(random() * 14), 120);
      const left = random() * 400;
      const minutes = random() * 120;
      const got = chooseLeftover(items, left, minutes);
      expect([k, ...got.ids]).toEqual([k, ...bruteForce(items, left, minutes)]);
    }
  });
  it('the order in which parts are given does not matter', () => {
    const random = seededRandom(9);
    const items = some(random, 60, 90);
    const there = chooseLeftover(items, 900, 200);
    expect(chooseLeftover([...items].reverse(), 900, 200)).toEqual(there);
  });
  it('matches a general integer programme solver (highs) on 200 parts', async () => {
    const highs = await highsLoader();
    const random = seededRandom(12);
    for (let k = 0; k < 6; k++) {
      const items = some(random, 200, 160);
      const left = 800 + Math.floor(random() * 1500);
      const minutes = 90 + Math.floor(random() * 200);
      const sum = (of: (x: LeftoverItem) => number): string =>
        items.map((x, i) => `${Math.ceil(of(x))} x${i}`).join(' + ');
      const lp = `Maximize\n obj: ${sum((x) => x.needMl)}\nSubject To\n ml: ${sum((x) => x.needMl)} <= ${left}\n min: ${sum((x) => x.minutes)} <= ${minutes}\nBinary\n ${items.map((_, i) => `x${i}`).join(' ')}\nEnd`;
      const want = highs.solve(lp, { mip_rel_gap: 0 });
      const got = chooseLeftover(items, left, minutes);
      expect(want.Status).toBe('Optimal');
      expect([k, got.usedMl]).toEqual([k, Math.round(want.ObjectiveValue)]);
      expect(got.minutes).toBeLessThanOrEqual(minutes);
    }
  });
});
