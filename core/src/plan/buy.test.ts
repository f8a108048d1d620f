import { describe, expect, it } from '@jest/globals';
import type { Content, TinNow } from '../shelf/tins.ts';
import { toBuy, type PaintUse } from './buy.ts';

const DAY = 86_400_000;
const tin = (
  tinId: string,
  content: Content,
  levelMl: number,
  expiresDay: number | null = null,
  colour: string | null = null,
): TinNow => ({
  tin: {
    tinId,
    productId: 'gloss',
    content,
    batch: null,
    colour,
    sizeMl: 5000,
    madeMs: null,
    priceCents: null,
  },
  levelMl,
  openedMs: null,
  expiry: { atMs: expiresDay === null ? null : expiresDay * DAY, by: 'closed' },
  asksWeighing: false,
  isBinned: false,
});
const use = (day: number, mixedMl: number, colour: string | null = null): PaintUse => ({
  atMs: day * DAY,
  productId: 'gloss',
  colour,
  mixedMl,
});
/** Four of paint to one of hardener, a tenth of thinner: 500 mL mixed take 400, 100 and 50. */
const mixOf = () => ({ bPerA: 0.25, thinPct: 10 });

describe('what a plan asks to be bought (amounts reckoned by hand)', () => {
  const hardener = tin('h', 'hardener', 1000);
  const thinner = tin('t', 'thinner', 1000);
  it('nothing where the tins hold out', () =>
    expect(toBuy([use(1, 500), use(2, 500)], [tin('a', 'paint', 800), hardener, thinner], mixOf)).toEqual(
      [],
    ));
  it('what is short, by the first gun-load that goes short, all of them together', () =>
    expect(
      toBuy([use(9, 500), use(1, 500), use(5, 500)], [tin('a', 'paint', 500), hardener, thinner], mixOf),
    ).toEqual([
      // 500 there; 400 go on day 1, 100 on day 5: 300 are short then, and 400 on day 9.
      { productId: 'gloss', content: 'paint', colour: null, shortMl: 700, byMs: 5 * DAY, deadMl: 0 },
    ]));
  it('paint that is past its date by then is not there, and is said', () =>
    expect(toBuy([use(20, 500)], [tin('a', 'paint', 900, 10), hardener, thinner], mixOf)).toEqual([
      { productId: 'gloss', content: 'paint', colour: null, shortMl: 400, byMs: 20 * DAY, deadMl: 900 },
    ]));
  it('what goes off first is taken first, so that the other lasts', () =>
    expect(
      toBuy(
        [use(5, 500), use(20, 500)],
        [tin('a', 'paint', 400), tin('b', 'paint', 400, 10), hardener, thinner],
        mixOf,
      ),
    ).toEqual([]));
  it('colours do not stand in for one another; hardener and thinner are of all of them', () => {
    const lines = toBuy(
      [use(1, 500, 'red'), use(2, 500, 'green')],
      [tin('r', 'paint', 900, null, 'red'), tin('h2', 'hardener', 150), thinner],
      mixOf,
    );
    expect(lines.map((l) => [l.content, l.colour, Math.round(l.shortMl), l.byMs / DAY])).toEqual([
      ['paint', 'green', 400, 2],
      ['hardener', null, 50, 2],
    ]);
  });
});
