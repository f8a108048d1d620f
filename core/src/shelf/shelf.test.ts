import { describe, expect, it } from '@jest/globals';
import highsLoader from 'highs';
import { seededRandom, type Random } from '../base/random.ts';
import { DAY_MS } from '../base/time.ts';
import { cheapestCover, type Offer } from './cover.ts';
import { groupChecks, shoppingList, stockLines, type CoatNeed } from './needs.ts';
import {
  addMonths,
  expiryOf,
  firstOut,
  hardenerTrouble,
  oneBatchFor,
  type Content,
  type Tin,
  type TinNow,
} from './tins.ts';

const day = (text: string): number => Date.parse(`${text}T00:00:00Z`);
const NOW = day('2026-03-05');
const TRAITS = { shelfClosedMonths: 24, shelfOpenedMonths: 9, hardenerOpenedMonths: 4 };
const tin = (tinId: string, over: Partial<Tin> = {}): Tin => ({
  tinId,
  productId: 'gloss',
  content: 'paint',
  batch: 'B1',
  colour: 'deep green',
  sizeMl: 1000,
  madeMs: day('2025-06-01'),
  priceCents: 5500,
  ...over,
});
function now(
  tinId: string,
  levelMl: number,
  over: Partial<Tin> = {},
  openedMs: number | null = null,
): TinNow {
  const t = tin(tinId, over);
  return {
    tin: t,
    levelMl,
    openedMs,
    expiry: expiryOf(t, openedMs, TRAITS),
    asksWeighing: false,
    isBinned: false,
  };
}

describe('how long a tin is good', () => {
  it('months by the calendar: the last day of a month stays the last', () => {
    expect(new Date(addMonths(day('2026-01-31'), 1)).toISOString()).toBe('2026-02-28T00:00:00.000Z');
    expect(new Date(addMonths(day('2024-02-29'), 24)).toISOString()).toBe('2026-02-28T00:00:00.000Z');
    expect(addMonths(day('2026-01-01'), 0.5) - day('2026-01-01')).toBeCloseTo(15.22 * DAY_MS, 0);
  });
  it('closed by its date, opened by the earlier of both, unknown when nobody knows when it was made', () => {
    expect(expiryOf(tin('a'), null, TRAITS)).toEqual({ atMs: day('2027-06-01'), by: 'closed' });
    expect(expiryOf(tin('a'), day('2026-01-10'), TRAITS)).toEqual({ atMs: day('2026-10-10'), by: 'opened' });
    expect(expiryOf(tin('a'), day('2027-04-01'), TRAITS)).toEqual({ atMs: day('2027-06-01'), by: 'closed' });
    expect(expiryOf(tin('a', { madeMs: null }), null, TRAITS)).toEqual({ atMs: null, by: 'unknown' });
    expect(expiryOf(tin('a', { madeMs: null }), day('2026-01-10'), TRAITS).by).toBe('opened');
  });
  it('an opened hardener dies by damp air sooner than its paint, and thinner keeps', () => {
    expect(expiryOf(tin('b', { content: 'hardener' }), day('2026-01-10'), TRAITS).atMs).toBe(
      day('2026-05-10'),
    );
    expect(expiryOf(tin('t', { content: 'thinner', madeMs: null }), NOW, TRAITS)).toEqual({
      atMs: null,
      by: 'closed',
    });
  });
});

describe('first in, first out', () => {
  it('open before closed, then what expires first; what is expired, empty or binned is not offered', () => {
    const list = [
      now('closed-late', 900),
      now('closed-soon', 900, { madeMs: day('2024-06-01') }),
      now('open-late', 400, {}, day('2026-02-01')),
      now('open-soon', 400, {}, day('2025-12-01')),
      now('dead', 400, { madeMs: day('2023-06-01') }),
      now('empty', 0),
      { ...now('binned', 300), isBinned: true },
    ];
    expect(firstOut(list, NOW).map((t) => t.tin.tinId)).toEqual([
      'open-soon',
      'open-late',
      'closed-soon',
      'closed-late',
    ]);
  });
});

describe('a colour group from one batch', () => {
  it('is held by a batch that covers it, or says by how much the fullest falls short', () => {
    const tins = [
      now('1', 300, { batch: 'B1' }),
      now('2', 400, { batch: 'B2' }),
      now('3', 300, { batch: 'B1' }),
    ];
    expect(oneBatchFor(tins, 550, NOW)).toMatchObject({ batch: 'B1', shortMl: 0 });
    expect(oneBatchFor(tins, 700, NOW)).toMatchObject({ batch: null, shortMl: 100 });
  });
  it('two tins without a batch are not taken for one', () =>
    expect(
      oneBatchFor([now('1', 300, { batch: null }), now('2', 300, { batch: null })], 400, NOW),
    ).toMatchObject({
      batch: null,
      shortMl: 100,
    }));
});

describe('a hardener and its paint', () => {
  const hard = (id: string, ml: number, opened: number | null) =>
    now(id, ml, { content: 'hardener' }, opened);
  it('will be dead before the paint is', () =>
    expect(
      hardenerTrouble([now('a', 900), hard('b', 400, day('2026-01-10'))], 'gloss', 1 / 3, NOW),
    ).toMatchObject({
      code: 'dies-first',
      atMs: day('2026-05-10'),
    }));
  it('is too little for it', () =>
    expect(hardenerTrouble([now('a', 900), hard('b', 200, null)], 'gloss', 1 / 3, NOW)).toMatchObject({
      code: 'too-little',
      needMl: 300,
      haveMl: 200,
    }));
  it('is enough and as fresh: no trouble; nor for a one-pack, nor without paint', () => {
    expect(hardenerTrouble([now('a', 900), hard('b', 400, null)], 'gloss', 1 / 3, NOW)).toBeNull();
    expect(hardenerTrouble([now('a', 900)], 'gloss', 0, NOW)).toBeNull();
    expect(hardenerTrouble([hard('b', 5, NOW)], 'gloss', 1 / 3, NOW)).toBeNull();
  });
});

const offers = (random: Random, n: number, limited: boolean): Offer[] =>
  Array.from({ length: n }, (_, i) => {
    const ml = [125, 250, 375, 500, 750, 1000, 2500, 4000, 5000][Math.floor(random() * 9)]!;
    return {
      offerId: `o${i}`,
      ml,
      cents: Math.round(ml * (2 + random() * 4)),
      atMost: limited ? 1 + Math.floor(random() * 2) : null,
    };
  });

/** Every combination up to what could ever be needed: cheapest, then least left over. */
function bruteForce(needMl: number, list: readonly Offer[]): { cents: number; ml: number } | null {
  let best: { cents: number; ml: number } | null = null;
  const go = (i: number, ml: number, cents: number): void => {
    if (ml >= needMl) {
      if (!best || cents < best.cents || (cents === best.cents && ml < best.ml)) best = { cents, ml };
      return;
    }
    const o = list[i];
    if (!o) return;
    for (let k = 0; k <= Math.min(o.atMost ?? Infinity, Math.ceil((needMl - ml) / o.ml)); k++)
      go(i + 1, ml + k * o.ml, cents + k * o.cents);
  };
  go(0, 0, 0);
  return best;
}

describe('the cheapest packs that cover a need', () => {
  it('two of the large when that is less than many small, and the smaller waste among equal costs', () => {
    const packs = [
      { offerId: '1L', ml: 1000, cents: 3000, atMost: null },
      { offerId: '2.5L', ml: 2500, cents: 5000, atMost: null },
    ];
    expect(cheapestCover(1800, packs)).toEqual({
      packs: [{ offerId: '2.5L', count: 1 }],
      cents: 5000,
      ml: 2500,
      wasteMl: 700,
    });
    const even = [
      { offerId: 'a', ml: 1000, cents: 1000, atMost: null },
      { offerId: 'b', ml: 1500, cents: 2000, atMost: null },
    ];
    expect(cheapestCover(1200, even)!.ml).toBe(1500);
  });
  it('nothing needed costs nothing; what cannot be covered is null', () => {
    expect(cheapestCover(0, [])).toMatchObject({ cents: 0, packs: [] });
    expect(cheapestCover(100, [])).toBeNull();
    expect(cheapestCover(1000, [{ offerId: 'a', ml: 250, cents: 100, atMost: 3 }])).toBeNull();
  });
  it('equals every combination tried, on 300 random cases of up to 14 packs', () => {
    const random = seededRandom(77);
    for (let k = 0; k < 300; k++) {
      const limited = random() < 0.6;
      const list = offers(random, 1 + Math.floor(random() * (limited ? 14 : 5)), limited);
      const need = Math.ceil(random() * (limited ? 5000 : 4000));
      const got = cheapestCover(need, list);
      const want = bruteForce(need, list);
      expect([k, got && { cents: got.cents, ml: got.ml }]).toEqual([k, want]);
      if (!got) continue;
      // What it names adds up to what it says.
      const ml = got.packs.reduce((s, p) => s + p.count * list.find((o) => o.offerId === p.offerId)!.ml, 0);
      expect([ml, ml - need]).toEqual([got.ml, got.wasteMl]);
      for (const p of got.packs)
        expect(p.count).toBeLessThanOrEqual(list.find((o) => o.offerId === p.offerId)!.atMost ?? Infinity);
    }
  });
  it('matches a general integer programme solver (highs) on 200 lots', async () => {
    const highs = await highsLoader();
    const random = seededRandom(78);
    for (let k = 0; k < 5; k++) {
      const list = offers(random, 200, true);
      const need = 4000 + Math.floor(random() * 60_000);
      const sum = (of: (o: Offer) => number): string => list.map((o, i) => `${of(o)} x${i}`).join(' + ');
      const lp = `Minimize\n obj: ${sum((o) => o.cents)}\nSubject To\n need: ${sum((o) => o.ml)} >= ${need}\nBounds\n${list.map((o, i) => ` 0 <= x${i} <= ${o.atMost}`).join('\n')}\nGeneral\n ${list.map((_, i) => `x${i}`).join(' ')}\nEnd`;
      const want = highs.solve(lp, { mip_rel_gap: 0 });
      expect(want.Status).toBe('Optimal');
      expect([k, cheapestCover(need, list)!.cents]).toEqual([k, Math.round(want.ObjectiveValue)]);
    }
  });
});

describe('needs against the shelf', () => {
  const need = (partId: string, mixedMl: number, over: Partial<CoatNeed> = {}): CoatNeed => ({
    partId,
    productId: 'gloss',
    colour: 'deep green',
    colourGroup: null,
    mixedMl,
    ...over,
  });
  const mixOf = () => ({ bPerA: 1 / 3, thinPct: 10 });
  const tins = [
    now('a', 500),
    now('b', 80, { content: 'hardener' as Content, colour: null }, day('2026-02-01')),
  ];
  it('400 + 400 mL mixed of 3:1 ask for 600 paint, 200 hardener, 80 thinner (by hand)', () => {
    const lines = stockLines([need('p1', 400), need('p2', 400)], tins, mixOf, NOW);
    expect(lines.map((l) => [l.content, Math.round(l.needMl), Math.round(l.shortMl)])).toEqual([
      ['paint', 600, 100],
      ['hardener', 200, 120],
      ['thinner', 80, 80],
    ]);
    expect(lines[0]!.partIds).toEqual(['p1', 'p2']);
  });
  it('hardener taken for one colour is not there for the next', () => {
    const two = [need('p1', 400), need('p2', 400, { colour: 'cream' })];
    const hard = stockLines(two, tins, mixOf, NOW).find((l) => l.content === 'hardener')!;
    expect([Math.round(hard.needMl), Math.round(hard.shortMl)]).toEqual([200, 120]);
  });
  it('paint of another colour does not answer', () =>
    expect(stockLines([need('p', 100, { colour: 'cream' })], tins, mixOf, NOW)[0]).toMatchObject({
      haveMl: 0,
    }));
  it('a colour group is checked for one batch', () => {
    const group = { colourGroup: 'lining green' };
    const checks = groupChecks([need('p1', 400, group), need('p2', 400, group)], tins, mixOf, NOW);
    expect(checks).toMatchObject([{ colourGroup: 'lining green', batch: null, shortMl: 100 }]);
  });
  it('what is short is bought in packs, and what has no pack is said', () => {
    const lines = stockLines([need('p1', 800)], tins, mixOf, NOW);
    const list = shoppingList(lines, (_p, content) =>
      content === 'thinner' ? [] : [{ offerId: 'half', ml: 500, cents: 2400, atMost: null }],
    );
    expect(list.map((l) => [l.content, l.cover?.packs[0]?.count ?? null])).toEqual([
      ['paint', 1],
      ['hardener', 1],
      ['thinner', null],
    ]);
  });
});
