import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '@calvetta/core';
import { beforeAt, beforeEarlier, beforeLater, carried } from './order.ts';

/** What the server does: the one named is taken out and put before another, or last. */
const put = (ids: readonly string[], id: string, before: string | null): string[] => {
  const rest = ids.filter((x) => x !== id);
  const at = before === null ? rest.length : rest.indexOf(before);
  return [...rest.slice(0, at), id, ...rest.slice(at)];
};

describe('carried in a list', () => {
  it('by any hand from any place to any other, the server puts it where it was laid', () => {
    const random = seededRandom(3);
    for (let i = 0; i < 300; i++) {
      const ids = Array.from({ length: 1 + Math.floor(7 * random()) }, (_, k) => `p${k}`);
      const [from, to] = [Math.floor(random() * ids.length), Math.floor(random() * ids.length)];
      if (from === to) continue;
      expect(put(ids, ids[from]!, beforeAt(ids, from, to))).toEqual(carried(ids, from, to));
    }
  });
  it('by keys one earlier and one later; the ends go no farther', () => {
    const ids = ['a', 'b', 'c'];
    expect(put(ids, 'b', beforeEarlier(ids, 'b')!)).toEqual(['b', 'a', 'c']);
    expect(put(ids, 'b', beforeLater(ids, 'b')!)).toEqual(['a', 'c', 'b']);
    expect(beforeEarlier(ids, 'a')).toBeUndefined();
    expect(beforeLater(ids, 'c')).toBeUndefined();
  });
});
