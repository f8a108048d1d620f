import { describe, expect, it } from '@jest/globals';
import { DateTime } from 'luxon';
import { DAY_MS, HOUR_MS, MINUTE_MS } from '../base/time.ts';
import { NO_CAPACITY, type Capacity } from '../part/shopMeans.ts';
import { checkPlan } from './check.ts';
import { costOf } from './cost.ts';
import { Decoder } from './decode.ts';
import { unnamed } from './hands.ts';
import { makePlans, placedLike, plannedBefore, replaced } from './make.ts';
import type { Plan, PlanOp, PlanProblem, PlanSession } from './problem.ts';
import { readPlan } from './reading.ts';
import { air, coatOp, op, part, problem, surface, ZONE } from './test/shop.ts';
import { sheet } from '../test/build.ts';
import { smallShop } from './test/exact.ts';
import { GUN_HOLDS, heldBy, liftOf } from './things.ts';
import { PlanWeather } from './weather.ts';

const at = (text: string): number => DateTime.fromISO(text, { zone: ZONE }).toMillis();
const NOW = at('2026-03-05T17:00');
const END = NOW + 28 * DAY_MS;
const TRACK = surface(air(NOW, END, () => ({ airC: 18, rhPct: 50 })).track, END);
const session = (day: string, from: string, to: string, people = 2): PlanSession => ({
  fromMs: at(`${day}T${from}`),
  toMs: at(`${day}T${to}`),
  people,
  who: unnamed(people, people),
});
const shop = (parts: Readonly<Record<string, readonly PlanOp[]>>, capacity: Partial<Capacity>, days = DAYS) =>
  problem(
    NOW,
    Object.entries(parts).map(([id, ops]) => part(id, TRACK, ops)),
    days,
    { capacity: { ...NO_CAPACITY, ...capacity } },
  );
const DAYS = [5, 6, 7, 8, 9].map((d) => session(`2026-03-0${d}`, '18:00', '22:00'));
const plan = (p: PlanProblem): Plan => new Decoder(p, new PlanWeather(p)).plan(p.parts);
const spanOf = (made: Plan, opId: string) => made.items.find((i) => i.opId === opId)?.spans[0];
const codes = (p: PlanProblem, made: Plan): string[] => [...new Set(checkPlan(p, made).map((b) => b.code))];

describe('lifting: one up to 25 kg, then the hoist or as many as it takes (common practice; local lifting rules go before)', () => {
  it.each([
    [12, 0, 1, 0],
    [25, 0, 1, 0],
    [26, 0, 2, 0],
    [76, 0, 4, 0],
    [34, 1, 1, 1],
    [310, 1, 2, 1],
    [310, null, 2, 0],
    [null, 0, 1, 0],
  ])('%p kg with hoists %p: %p people, %p on the hoist', (kg, hoists, people, hoist) => {
    const lift = liftOf(kg, hoists);
    expect([lift?.people, lift?.holds.length]).toEqual([people, hoist]);
  });
  it('what four cannot lift and no hoist is there for is not moved', () => expect(liftOf(101, 0)).toBeNull());
});

describe('what work holds', () => {
  const size = { massKg: 14, areaM2: 1.2 };
  it.each([
    ['chelating-bath', [{ thing: 'bath chelating-bath', amount: 14, until: 'next' }]],
    ['electrolysis', [{ thing: 'bath electrolysis', amount: 14, until: 'next' }]],
    ['grit-blast', [{ thing: 'air', amount: 1, until: 'end' }]],
    ['disc', []],
  ])('%s', (what, holds) => expect(heldBy({ kind: 'strip', what }, size)).toEqual(holds));
  it('a bead blast takes the cabinet and the air', () =>
    expect(heldBy({ kind: 'strip', what: 'bead-blast' }, size).map((h) => h.thing)).toEqual([
      'cabinet',
      'air',
    ]));
  it('a bake keeps its area in the oven until it is over', () =>
    expect(heldBy({ kind: 'bake', what: null }, size)).toEqual([
      { thing: 'oven', amount: 1.2, until: 'waited' },
    ]));
  it('a part nobody weighed counts in a tub as the most that one lifts', () =>
    expect(heldBy({ kind: 'strip', what: 'citric-bath' }, { ...size, massKg: null })[0]?.amount).toBe(25));
});

describe('a tub of 30 kg and two parts of 20 kg, a day each', () => {
  const bathed = (id: string): readonly PlanOp[] => [
    op(id, 1, {
      kind: 'strip',
      what: 'chelating-bath',
      handsMin: 20,
      waitHours: 24,
      bares: { kind: 'hours', hours: 8 },
      holds: [{ thing: 'bath chelating-bath', amount: 20, until: 'next' }],
    }),
    op(id, 2, { kind: 'wash', handsMin: 20 }),
    coatOp(id, 3, [{ kind: 'bare' }]),
  ];
  const two = { a: bathed('a'), b: bathed('b') };
  it('the second goes in when the first is pulled out, and not before', () => {
    const p = shop(two, { bathKg: 30 });
    const made = plan(p);
    expect(made.left).toEqual([]);
    expect(checkPlan(p, made)).toEqual([]);
    expect(spanOf(made, 'b/s1')!.fromMs).toBeGreaterThanOrEqual(spanOf(made, 'a/s2')!.fromMs);
    // The first is in it for a day at least, so it is another evening.
    expect(spanOf(made, 'b/s1')!.fromMs - spanOf(made, 'a/s1')!.fromMs).toBeGreaterThanOrEqual(24 * HOUR_MS);
  });
  it('a tub of 40 kg takes both the same evening; nothing said, too', () => {
    for (const bathKg of [40, null]) {
      const made = plan(shop(two, { bathKg }));
      expect(spanOf(made, 'b/s1')!.toMs).toBeLessThan(at('2026-03-05T22:00') + 1);
    }
  });
  it('both at once in the small tub are caught, with what is in it and what it takes', () => {
    const made = plan(shop(two, { bathKg: null }));
    const found = checkPlan(shop(two, { bathKg: 30 }), made).find((b) => b.code === 'thing');
    expect([found?.figure, found?.limit]).toEqual([40, 30]);
  });
  it('one placed anew finds the other in the tub', () => {
    const p = shop(two, { bathKg: 30 });
    const made = plannedBefore(p, plan(p));
    const anew = replaced(p, made, new Set(['a']));
    expect(spanOf(anew.plan, 'b/s1')).toEqual(spanOf(made.plan, 'b/s1'));
    expect(anew.plan.left).toEqual([]);
    expect(checkPlan(p, anew.plan)).toEqual([]);
  });
});

describe('one compressor', () => {
  const blast = op('a', 1, {
    kind: 'strip',
    what: 'grit-blast',
    handsMin: 60,
    bares: { kind: 'none' },
    holds: [{ thing: 'air', amount: 1, until: 'end' }],
  });
  const coat = { ...coatOp('b', 1, [{ kind: 'bare' }], { handsMin: 30 }), holds: GUN_HOLDS };
  // In two places, so that dust has nothing to do with it.
  const p = (airTools: number | null): PlanProblem => {
    const both = shop({ a: [blast], b: [coat] }, { airTools });
    return { ...both, parts: both.parts.map((x, i) => (i === 0 ? { ...x, placeId: 'yard' } : x)) };
  };
  const shareAir = (made: Plan): boolean => {
    const [a, b] = [spanOf(made, 'a/s1')!, spanOf(made, 'b/s1')!];
    return a.fromMs < b.toMs && b.fromMs < a.toMs;
  };
  it('does not blast and spray at once; two tools do', () => {
    expect(shareAir(plan(p(1)))).toBe(false);
    expect(shareAir(plan(p(2)))).toBe(true);
    expect(codes(p(1), plan(p(2)))).toEqual(['thing']);
  });
});

describe('who it takes', () => {
  const turn = op('a', 1, { kind: 'turn', handsMin: 30, mostPeople: 2, leastPeople: 2 });
  it('two who are needed wait for an evening on which two are there', () => {
    const days = [session('2026-03-05', '18:00', '22:00', 1), session('2026-03-07', '09:00', '12:00', 2)];
    const p = shop({ a: [turn] }, {}, days);
    const made = plan(p);
    expect(spanOf(made, 'a/s1')).toEqual({ fromMs: at('2026-03-07T09:00'), toMs: at('2026-03-07T09:15') });
    const alone = { ...made, items: made.items.map((i) => ({ ...i, people: 1, spans: [LONG] })) };
    expect(codes(p, alone)).toEqual(['too-few']);
  });
  const LONG = { fromMs: at('2026-03-07T09:00'), toMs: at('2026-03-07T09:00') + 30 * MINUTE_MS };
  it('the hoist turns one at a time', () => {
    const hoisted = (id: string): PlanOp => ({
      ...op(id, 1, { kind: 'turn', handsMin: 15 }),
      holds: [{ thing: 'hoist', amount: 1, until: 'end' }],
    });
    const made = plan(shop({ a: [hoisted('a')], b: [hoisted('b')] }, { hoists: 1 }));
    expect(spanOf(made, 'b/s1')!.fromMs).toBe(spanOf(made, 'a/s1')!.toMs);
  });
});

describe('a part’s own days', () => {
  const work = (id: string): readonly PlanOp[] => [op(id, 1, { handsMin: 60 })];
  const p = shop({ a: work('a'), b: work('b') }, {});
  const later = at('2026-03-07T00:00');
  const held: PlanProblem = {
    ...p,
    parts: p.parts.map((x) => (x.partId === 'a' ? { ...x, notBeforeMs: later } : x)),
  };
  it('nothing of it is begun before, and a plan that does is caught with both days', () => {
    expect(spanOf(plan(held), 'a/s1')!.fromMs).toBe(at('2026-03-07T18:00'));
    expect(spanOf(plan(held), 'b/s1')!.fromMs).toBe(at('2026-03-05T18:00'));
    expect(checkPlan(held, plan(p))).toEqual([
      { code: 'pin', opIds: ['a/s1'], figure: at('2026-03-05T18:00'), limit: later },
    ]);
  });
  it('done after its day it costs 480 points a day begun (docs/plan.md 11), whatever its machine is', () => {
    const due = (dueMs: number | null): number => {
      const asked = {
        ...held,
        parts: held.parts.map((x) => ({ ...x, dueMs: x.partId === 'a' ? dueMs : null })),
      };
      const made = plan(asked);
      return costOf(asked, made, readPlan(asked, new PlanWeather(asked), made)).total;
    };
    // Done on the 7th at 19:00; due when the 5th was over it is two days late and begins the second.
    expect(due(at('2026-03-06T00:00')) - due(null)).toBe(2 * 480);
    expect(due(at('2026-03-08T00:00')) - due(null)).toBe(0);
  });
});

describe('a plan made of less', () => {
  const coated = (id: string): readonly PlanOp[] => [
    op(id, 1, { handsMin: 60 }),
    coatOp(id, 2, [{ kind: 'bare' }], { handsMin: 30 }),
  ];
  const p = shop({ a: coated('a'), b: coated('b') }, {});
  const good = plannedBefore(p, plan(p));
  it('is where the search begins: what took hundreds of tries is there at once', () => {
    const { problem: small } = smallShop(1);
    const plans = makePlans(small);
    const first = plans.next().value.best;
    let found = first;
    for (let n = 0; n < 400; n++) found = plans.next().value.best;
    expect(found.cost.total).toBeLessThan(first.cost.total);
    expect(makePlans(small, [], found.plan).next().value.best.cost.total).toBe(found.cost.total);
  });
  it('still holds with more hands, and nothing dearer comes after it', () => {
    const more = { ...p, sessions: p.sessions.map((s) => ({ ...s, people: 3, who: unnamed(3, 3) })) };
    expect(makePlans(more, [], good.plan).next().value.best.cost.total).toBeLessThanOrEqual(good.cost.total);
  });
  it('does not count where it breaks something, nor where it says nothing of a part', () => {
    const fewer = { ...p, sessions: p.sessions.slice(1) };
    const made = makePlans(fewer, [], good.plan).next().value.best;
    expect(checkPlan(fewer, made.plan)).toEqual([]);
    const silent = { ...good.plan, items: [], runs: [] };
    expect(makePlans(p, [], silent).next().value.best.plan.items.length).toBeGreaterThan(0);
  });
});

describe('places that share their air', () => {
  const poison = sheet({ sheetId: 'gloss', productId: 'gloss', cautions: ['isocyanate'] });
  const gloss = coatOp('a', 1, [{ kind: 'bare' }], { sheet: poison, handsMin: 30 });
  const wipe = op('b', 1, { handsMin: 30 });
  const grind = op('c', 1, { kind: 'abrade', handsMin: 30, makesDust: true });
  const where = (airs: Readonly<Record<string, string>>, other: PlanOp): PlanProblem => {
    const p = shop({ a: [gloss], [other.partId]: [other] }, {});
    return { ...p, airs, parts: p.parts.map((x, i) => (i === 0 ? x : { ...x, placeId: 'bay' })) };
  };
  const ONE = { booth: 'hall', bay: 'hall' };
  it('nobody works in the bay of the booth where isocyanate is sprayed, nor for half an hour after', () => {
    const apart = plan(where({}, wipe));
    expect(spanOf(apart, 'b/s1')!.fromMs).toBe(at('2026-03-05T18:00'));
    const coat = spanOf(plan(where(ONE, wipe)), 'a/s1')!;
    const work = spanOf(plan(where(ONE, wipe)), 'b/s1')!;
    expect(work.toMs <= coat.fromMs || work.fromMs >= coat.toMs + 30 * MINUTE_MS).toBe(true);
    // What is right where there are walls is caught where there are none: moved under the gun.
    const under = {
      ...apart,
      items: apart.items.map((i) => (i.opId === 'b/s1' ? { ...i, spans: [coat] } : i)),
    };
    expect(codes(where({}, wipe), under)).toEqual([]);
    expect(codes(where(ONE, wipe), under)).toEqual(['isocyanate']);
  });
  it('dust of the bay settles on the film in the booth', () => {
    const [apart, one] = [plan(where({}, grind)), plan(where(ONE, grind))];
    expect(spanOf(apart, 'c/s1')!.fromMs).toBe(at('2026-03-05T18:00'));
    expect(checkPlan(where(ONE, grind), one)).toEqual([]);
    // The coat is touch-dry long after the evening: the dust is another day's.
    expect(spanOf(one, 'c/s1')!.fromMs - spanOf(one, 'a/s1')!.toMs).toBeGreaterThan(2 * HOUR_MS);
  });
});

describe('a gun-load pinned to a time', () => {
  const coat = coatOp('a', 1, [{ kind: 'bare' }], { handsMin: 30 });
  const session = at('2026-03-06T18:00');
  const pinned = (fromMs: number): PlanProblem => {
    const p = shop({ a: [coat] }, {});
    return { ...p, ask: { ...p.ask, pins: [{ opId: 'a/s1', sessionMs: session, fromMs }] } };
  };
  it('is laid no sooner than then, set up before; sooner is caught with both times', () => {
    const p = pinned(at('2026-03-06T19:45'));
    const made = plan(p);
    expect(spanOf(made, 'a/s1')!.fromMs).toBe(at('2026-03-06T19:45'));
    expect(made.runs[0]!.fromMs).toBe(at('2026-03-06T19:15'));
    expect(
      checkPlan(p, plan(pinned(at('2026-03-06T19:00')))).map((b) => [b.code, b.figure, b.limit]),
    ).toEqual([['pin', at('2026-03-06T19:00'), at('2026-03-06T19:45')]]);
  });
  it('too late in the session to be done in it, it holds nowhere, and that is said', () => {
    const made = plan(pinned(at('2026-03-06T21:40')));
    expect(made.left.map((l) => l.lack)).toEqual(['pin']);
  });
});

describe('sparks, wet film and open solvent in one air', () => {
  const grind = op('a', 1, { kind: 'strip', what: 'disc', handsMin: 30, isHot: true });
  const wipe = op('b', 1, { handsMin: 30, usesSolvent: true });
  it('a disc waits half an hour after solvent, and solvent until nobody grinds any more', () => {
    for (const order of [
      { b: [wipe], a: [grind] },
      { a: [grind], b: [wipe] },
    ]) {
      const p = shop(order, {});
      const made = plan(p);
      expect(checkPlan(p, made)).toEqual([]);
      const [hot, open] = [spanOf(made, 'a/s1')!, spanOf(made, 'b/s1')!];
      expect(hot.toMs <= open.fromMs || hot.fromMs >= open.toMs + 30 * MINUTE_MS).toBe(true);
    }
  });
  it('side by side they are caught; in a place of its own neither minds the other', () => {
    const p = shop({ a: [grind], b: [wipe] }, {});
    const cold = {
      ...p,
      parts: p.parts.map((x) => ({ ...x, ops: x.ops.map((o) => ({ ...o, isHot: false })) })),
    };
    expect(codes(p, plan(cold))).toEqual(['fire']);
    const apart = { ...p, parts: p.parts.map((x, i) => (i === 0 ? { ...x, placeId: 'yard' } : x)) };
    expect(spanOf(plan(apart), 'a/s1')!.fromMs).toBe(spanOf(plan(apart), 'b/s1')!.fromMs);
  });
  it('nor is there a flame near a film that is not dry to the touch', () => {
    const flame = op('a', 1, { what: 'warm-out', handsMin: 30, isHot: true });
    const p = shop({ b: [coatOp('b', 1, [{ kind: 'bare' }], { handsMin: 30 })], a: [flame] }, {});
    const made = plan(p);
    expect(checkPlan(p, made)).toEqual([]);
    const [hot, coat] = [spanOf(made, 'a/s1')!, spanOf(made, 'b/s1')!];
    // Two hours at 20 °C, more at 18: not the same evening after it, or before it is laid.
    expect(hot.toMs <= coat.fromMs || hot.fromMs >= coat.toMs + 2 * HOUR_MS).toBe(true);
  });
});

describe('wax and oil in the air of what is still to be coated', () => {
  const bared: PlanOp[] = [
    op('a', 1, { kind: 'strip', what: 'grit-blast', handsMin: 30, bares: { kind: 'hours', hours: 6 } }),
    coatOp('a', 2, [{ kind: 'bare' }], { handsMin: 30 }),
  ];
  const oil = op('b', 1, { kind: 'preserve', handsMin: 15, oils: true });
  const isApart = (p: PlanProblem, oilId: string): void => {
    const made = plan(p);
    expect(checkPlan(p, made)).toEqual([]);
    const [strip, coat, mist] = [spanOf(made, 'a/s1')!, spanOf(made, 'a/s2')!, spanOf(made, oilId)!];
    // Half an hour before the metal is bare, or two hours after the coat at 20 °C, more at 18.
    expect(mist.toMs + 30 * MINUTE_MS <= strip.toMs || mist.fromMs >= coat.toMs + 2 * HOUR_MS).toBe(true);
  };
  it('oil waits until the bare metal is coated and dry, and metal is not laid bare beside it', () => {
    isApart(shop({ a: bared, b: [oil] }, {}), 'b/s1');
    isApart(shop({ b: [oil], a: bared }, {}), 'b/s1');
  });
  it('so does cavity wax out of a can, which is a coat itself', () => {
    const wax = coatOp('b', 1, [], { handsMin: 15 });
    isApart(shop({ a: bared, b: [{ ...wax, oils: true }] }, {}), 'b/s1');
  });
  it('over bare metal it is caught; in another air nobody minds', () => {
    const p = shop({ a: bared, b: [oil] }, {});
    const made = plan(p);
    const { toMs } = spanOf(made, 'a/s1')!;
    const beside = {
      ...made,
      items: made.items.map((i) =>
        i.opId === 'b/s1' ? { ...i, spans: [{ fromMs: toMs, toMs: toMs + 15 * MINUTE_MS }] } : i,
      ),
    };
    expect(codes(p, beside)).toContain('oil');
    const apart = { ...p, parts: p.parts.map((x) => (x.partId === 'b' ? { ...x, placeId: 'yard' } : x)) };
    expect(codes(apart, beside)).not.toContain('oil');
    expect(spanOf(plan(apart), 'b/s1')!.fromMs).toBeLessThan(spanOf(plan(apart), 'a/s2')!.toMs);
  });
});

describe('all placed anew after a pin', () => {
  it('coats that shared a gun-load share one again, which an order alone does not say', () => {
    const coat = (id: string): PlanOp => coatOp(id, 1, [{ kind: 'bare' }], { handsMin: 30 });
    const p = shop({ a: [coat('a')], b: [coat('b')] }, {});
    // One of the two is not there before the third evening.
    const late = {
      ...p,
      parts: p.parts.map((x) => (x.partId === 'b' ? { ...x, notBeforeMs: DAYS[2]!.fromMs } : x)),
    };
    const waits = new Map([['a/s1', DAYS[2]!.fromMs]]);
    const gathered = new Decoder(late, new PlanWeather(late), new Map(), waits).plan(late.parts);
    expect([plan(late).runs.length, gathered.runs.length]).toEqual([2, 1]);
    expect(placedLike(late, ['b', 'a'], gathered).plan.runs.map((r) => r.opIds.length)).toEqual([2]);
  });
});
