import { describe, expect, it } from '@jest/globals';
import { seededRandom, type Random } from '../base/random.ts';
import { imbalanceMl, ledgerOf, type CoatUse } from './ledger.ts';
import { standingStock, type StockBodies, type StockFact, type StockKind } from '../facts/stock.ts';
import { CONTENTS, type Tin } from './tins.ts';

const tin = (tinId: string, content: Tin['content']): Tin => ({
  tinId,
  productId: 'epoxy',
  content,
  batch: 'B7',
  colour: null,
  sizeMl: 4000,
  madeMs: 0,
  priceCents: 4000,
});
const TINS = [tin('A1', 'paint'), tin('A2', 'paint'), tin('B1', 'hardener'), tin('T1', 'thinner')];
let serial = 0;
function fact<K extends StockKind>(
  kind: K,
  atMs: number,
  body: StockBodies[K],
  supersedes: string | null = null,
): StockFact {
  serial += 1;
  return {
    factId: `f${serial}`,
    kind,
    happenedAtMs: atMs,
    recordedAtMs: atMs + serial,
    personId: 'ines',
    deviceId: 'd',
    supersedes,
    body,
  } as StockFact;
}
const mix = (
  mixId: string,
  atMs: number,
  aMl: number,
  bMl: number,
  thinnerMl: number,
  aTinId = 'A1',
): StockFact =>
  fact('mixed', atMs, {
    mixId,
    sheetId: 'epoxy.1',
    colour: null,
    aTinId,
    bTinId: 'B1',
    thinnerTinId: 'T1',
    aMl,
    bMl,
    thinnerMl,
    placeId: null,
  });
const coat = (
  factId: string,
  atMs: number,
  usedMl: number,
  filmMl: number | null,
  over: Partial<CoatUse> = {},
): CoatUse => ({
  factId,
  partId: 'p1',
  atMs,
  mixId: 'm1',
  usedMl,
  filmMl,
  isMeasured: false,
  ...over,
});
const bought = (): StockFact[] => [
  fact('tin-received', 1, { tinId: 'A1', ml: 4000 }),
  fact('tin-received', 1, { tinId: 'B1', ml: 1000 }),
  fact('tin-received', 1, { tinId: 'T1', ml: 2000 }),
];
const ledger = (facts: readonly StockFact[], coats: readonly CoatUse[] = []) =>
  ledgerOf(TINS, standingStock(facts), coats);
const near = (got: number, want: number): void => expect(Math.abs(got - want)).toBeLessThan(1e-6);

describe('a ledger worked by hand', () => {
  // 400 A + 100 B + 50 thinner; 330 mL go through the gun, of which 300 are paint and hardener; the film holds 195.
  const l = ledger([...bought(), mix('m1', 10, 400, 100, 50)], [coat('c1', 20, 330, 195)]);
  it('tins fall by what was mixed', () => {
    expect(l.tins.get('A1')!.levelMl).toBe(3600);
    expect(l.tins.get('B1')!.levelMl).toBe(900);
    expect(l.tins.get('T1')!.levelMl).toBe(1950);
  });
  it('the cup keeps the rest, in its shares', () => {
    near(l.mixes.get('m1')!.leftMl, 220);
    near(l.accounts.paint.mixedMl, 160);
    near(l.accounts.hardener.mixedMl, 40);
    near(l.accounts.thinner.mixedMl, 20);
  });
  it('what is not on the part is overspray, and all thinner leaves', () => {
    near(l.accounts.paint.onPartsMl, 156);
    near(l.accounts.paint.oversprayMl, 84);
    near(l.accounts.hardener.onPartsMl, 39);
    near(l.accounts.thinner.oversprayMl, 30);
    expect(l.accounts.thinner.onPartsMl).toBe(0);
  });
  it('what is left and gone off is waste in the same shares', () => {
    const w = ledger(
      [
        ...bought(),
        mix('m1', 10, 400, 100, 50),
        fact('wasted', 30, { mixId: 'm1', ml: 220, why: 'gone-off' }),
      ],
      [coat('c1', 20, 330, 195)],
    );
    near(w.accounts.paint.wasteMl, 160);
    near(w.mixes.get('m1')!.leftMl, 0);
    for (const c of CONTENTS) near(imbalanceMl(w.accounts[c]), 0);
  });
});

describe('what cannot be true together is shown', () => {
  it('a measured film above what was poured', () => {
    const l = ledger(
      [...bought(), mix('m1', 10, 400, 100, 0)],
      [coat('c1', 20, 200, 260, { isMeasured: true })],
    );
    expect(l.conflicts).toEqual([
      { code: 'film-above-pour', factId: 'c1', partId: 'p1', filmMl: 260, pouredMl: 200 },
    ]);
    // Never balanced away: no more is on the part than was poured.
    near(l.accounts.paint.onPartsMl, 160);
    expect(l.accounts.paint.oversprayMl).toBe(0);
  });
  it('a logged film above it is an estimate, and no conflict', () =>
    expect(ledger([...bought(), mix('m1', 10, 400, 100, 0)], [coat('c1', 20, 200, 260)]).conflicts).toEqual(
      [],
    ));
  it('more used than was mixed', () =>
    expect(ledger([...bought(), mix('m1', 10, 80, 20, 0)], [coat('c1', 20, 130, 50)]).conflicts).toEqual([
      { code: 'used-more-than-mixed', mixId: 'm1', overMl: 30 },
    ]));
  it('two people pour from one tin: both pours stand, it shows nothing, and asks to be weighed', () => {
    const facts = [
      fact('tin-received', 1, { tinId: 'A1', ml: 500 }),
      fact('tin-received', 1, { tinId: 'B1', ml: 500 }),
      mix('m1', 10, 400, 100, 0),
      mix('m2', 11, 400, 100, 0),
    ];
    const l = ledger(facts);
    expect(l.tins.get('A1')).toMatchObject({ levelMl: 0, asksWeighing: true });
    expect([...l.mixes.keys()]).toEqual(['m1', 'm2']);
    expect(l.conflicts).toEqual([{ code: 'poured-more-than-held', tinId: 'A1', overMl: 300 }]);
    near(l.accounts.paint.unexplainedMl, -300);
    near(imbalanceMl(l.accounts.paint), 0);
    const weighed = ledger([...facts, fact('tin-weighed', 12, { tinId: 'A1', ml: 20, by: 'weighed' })]);
    expect(weighed.tins.get('A1')).toMatchObject({ levelMl: 20, asksWeighing: false });
    near(weighed.accounts.paint.unexplainedMl, -320);
  });
  it('a coat of a mix nobody logged, and a tin nobody has', () => {
    const l = ledger(
      [...bought(), fact('tin-received', 2, { tinId: 'A9', ml: 10 })],
      [coat('c1', 20, 100, 50, { mixId: 'm9' })],
    );
    expect(l.conflicts.map((c) => c.code)).toEqual(['no-such-tin', 'no-such-mix']);
  });
  it('a part without an area: all of the pour counts as on it, and it is said', () => {
    const l = ledger([...bought(), mix('m1', 10, 400, 100, 0)], [coat('c1', 20, 200, null)]);
    expect(l.unsplit).toEqual(['c1']);
    near(l.accounts.paint.onPartsMl, 160);
  });
});

describe('tins', () => {
  it('a stock-take goes to the unexplained, in words of its own', () => {
    const l = ledger([...bought(), fact('tin-weighed', 5, { tinId: 'A1', ml: 3700, by: 'guessed' })]);
    expect(l.tins.get('A1')!.levelMl).toBe(3700);
    near(l.accounts.paint.unexplainedMl, 300);
  });
  it('is opened by the first pour, unless it was said before; binned is wasted', () => {
    const facts = [...bought(), mix('m1', 10, 40, 10, 0)];
    expect(ledger(facts).tins.get('A1')!.openedMs).toBe(10);
    expect(ledger([...facts, fact('tin-opened', 4, { tinId: 'A1' })]).tins.get('A1')!.openedMs).toBe(4);
    const l = ledger([...facts, fact('tin-binned', 20, { tinId: 'A1' })]);
    near(l.accounts.paint.wasteMl, 3960);
    expect(l.tins.get('A1')).toMatchObject({ levelMl: 0, isBinned: true });
  });
  it('a correction re-derives all that follows; a voided pour never was', () => {
    const first = mix('m1', 10, 400, 100, 0);
    const right = { ...mix('m1', 10, 300, 75, 0), supersedes: first.factId } as StockFact;
    near(ledger([...bought(), first, right]).tins.get('A1')!.levelMl, 3700);
    const voided = fact('stock-voided', 30, {}, first.factId);
    expect(ledger([...bought(), first, voided]).tins.get('A1')!.levelMl).toBe(4000);
  });
});

/** A random life of a shelf: buying, mixing, coating, wasting, weighing, binning, and corrections of any of it. */
function history(random: Random): { facts: StockFact[]; coats: CoatUse[] } {
  const facts: StockFact[] = [];
  const coats: CoatUse[] = [];
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  for (let at = 1; at < 60; at++) {
    const roll = random();
    const m = `m${at}`;
    if (roll < 0.2) facts.push(fact('tin-received', at, { tinId: pick(TINS).tinId, ml: random() * 4000 }));
    else if (roll < 0.45)
      facts.push(
        mix(
          m,
          at,
          random() * 700,
          random() * 200,
          random() < 0.5 ? 0 : random() * 90,
          pick(['A1', 'A2', 'A9']),
        ),
      );
    else if (roll < 0.7)
      coats.push(
        coat(`c${at}`, at, random() * 400, random() < 0.1 ? null : random() * 500, {
          mixId: `m${1 + Math.floor(random() * at)}`,
          isMeasured: random() < 0.4,
        }),
      );
    else if (roll < 0.8)
      facts.push(fact('tin-weighed', at, { tinId: pick(TINS).tinId, ml: random() * 3000, by: 'weighed' }));
    else if (roll < 0.9)
      facts.push(
        fact(
          'wasted',
          at,
          random() < 0.5
            ? { tinId: pick(TINS).tinId, ml: random() * 300, why: 'cleaning' }
            : { mixId: `m${1 + Math.floor(random() * at)}`, ml: random() * 300, why: 'gone-off' },
        ),
      );
    else if (roll < 0.93) facts.push(fact('tin-binned', at, { tinId: pick(TINS).tinId }));
    else if (facts.length > 0) {
      const target = pick(facts);
      if (facts.some((f) => f.supersedes === target.factId)) continue;
      if (random() < 0.5) facts.push(fact('stock-voided', at, {}, target.factId));
      else if (target.kind === 'mixed')
        facts.push(
          fact('mixed', target.happenedAtMs, { ...target.body, aMl: random() * 500 }, target.factId),
        );
    }
  }
  return { facts, coats };
}

describe('laws of the ledger', () => {
  it('nothing is ever lost: litres balance to a billionth in 400 random histories with corrections', () => {
    for (let seed = 1; seed <= 400; seed++) {
      const { facts, coats } = history(seededRandom(seed));
      const l = ledger(facts, coats);
      for (const c of CONTENTS) {
        // Below a millionth of a millilitre is below a billionth of a litre.
        if (Math.abs(imbalanceMl(l.accounts[c])) > 1e-6)
          throw new Error(`seed ${seed}: ${c} is out by ${imbalanceMl(l.accounts[c])} mL`);
        for (const part of ['inTinsMl', 'mixedMl', 'onPartsMl', 'wasteMl', 'oversprayMl'] as const)
          expect([seed, part, l.accounts[c][part] >= -1e-9]).toEqual([seed, part, true]);
      }
      // What was bought is what the standing deliveries say, added up here.
      const deliveries = standingStock(facts).flatMap((f) =>
        f.kind === 'tin-received' && f.body.tinId.startsWith('A') ? [f.body.ml] : [],
      );
      near(
        l.accounts.paint.boughtMl,
        deliveries.reduce((s, x) => s + x, 0),
      );
    }
  });
  it('the order in which facts arrive does not matter', () => {
    for (let seed = 1; seed <= 60; seed++) {
      const { facts, coats } = history(seededRandom(seed));
      const there = ledger(facts, coats);
      const back = ledger([...facts].reverse(), [...coats].reverse());
      expect(back.accounts).toEqual(there.accounts);
      expect([...back.tins.values()].sort((a, b) => (a.tinId < b.tinId ? -1 : 1))).toEqual(
        [...there.tins.values()].sort((a, b) => (a.tinId < b.tinId ? -1 : 1)),
      );
    }
  });
  it('voiding a fact gives the ledger as if it had never been', () => {
    for (let seed = 1; seed <= 60; seed++) {
      const { facts, coats } = history(seededRandom(seed));
      const free = facts.filter(
        (f) => f.supersedes === null && !facts.some((g) => g.supersedes === f.factId),
      );
      const target = free[Math.floor(free.length / 2)];
      if (!target) continue;
      const voided = ledger([...facts, fact('stock-voided', 99, {}, target.factId)], coats);
      expect(voided.accounts).toEqual(
        ledger(
          facts.filter((f) => f !== target),
          coats,
        ).accounts,
      );
    }
  });
});
