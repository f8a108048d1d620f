import { describe, expect, it } from '@jest/globals';
import { STOCK_KINDS, type StockKind } from '@calvetta/core';
import { problemsOf } from './check.ts';
import { FACT_BODIES } from './facts.ts';
import { cup, newTin, pack, STOCK_BODIES, tinPatch } from './shelf.ts';

const GOOD: { readonly [K in StockKind]: Record<string, unknown> } = {
  'tin-received': { tinId: 't1', ml: 4000 },
  'tin-opened': { tinId: 't1' },
  'tin-weighed': { tinId: 't1', ml: 0, by: 'guessed' },
  'tin-binned': { tinId: 't1' },
  mixed: {
    mixId: 'm1',
    sheetId: 'epoxy.1',
    colour: null,
    aTinId: 't1',
    bTinId: 't2',
    thinnerTinId: null,
    aMl: 400,
    bMl: 100,
    thinnerMl: 0,
    placeId: 'booth',
  },
  wasted: { mixId: 'm1', ml: 20, why: 'spilt' },
  'gauge-checked': { gaugeId: 'red', foils: [{ foilUm: 0, readUm: 1 }], tolUm: 2, tolPct: 3 },
  'scale-checked': { gaugeId: 'bench', masses: [{ massG: 500, readG: 500.4 }], tolG: 1, tolPct: 0.5 },
  'batch-certified': { tinId: 't1', certificate: 'C 118', goodUntil: '2027-03-01' },
  inducted: { whoId: 'ines', to: 'air-fed', until: '2027-03-01' },
  came: { whoId: 'ines' },
  left: { whoId: 'ines' },
  'handed-over': { text: 'two frames hang in the booth' },
  'stock-voided': {},
};
const firstField = (kind: StockKind, body: unknown): string | null => {
  const r = STOCK_BODIES[kind].validate(body, { abortEarly: false, convert: false });
  return r.error ? (problemsOf(r.error)[0]?.field ?? '') : null;
};

describe('what may be said about stock', () => {
  it.each(STOCK_KINDS)('%s as a tablet sends it', (kind) => expect(firstField(kind, GOOD[kind])).toBeNull());
  it.each([
    ['tin-received', { ml: -1 }, 'ml'],
    ['tin-received', { ml: '4 L' }, 'ml'],
    ['tin-received', { tinId: 'two words' }, 'tinId'],
    ['tin-weighed', { ml: -0.1 }, 'ml'],
    ['tin-weighed', { by: 'smell' }, 'by'],
    ['mixed', { aMl: 0 }, 'aMl'],
    ['mixed', { aMl: 50_000 }, 'aMl'],
    ['mixed', { bMl: -5 }, 'bMl'],
    ['mixed', { thinnerMl: Number.NaN }, 'thinnerMl'],
    ['mixed', { aTinId: null }, 'aTinId'],
    ['mixed', { gloss: 90 }, 'gloss'],
    ['wasted', { ml: 0 }, 'ml'],
    ['wasted', { why: 'drunk' }, 'why'],
    ['wasted', { tinId: 't1' }, ''],
    ['wasted', { mixId: undefined }, ''],
    ['scale-checked', { masses: [] }, 'masses'],
    ['batch-certified', { goodUntil: '2027-02-30' }, 'goodUntil'],
    ['inducted', { to: 'juggling' }, 'to'],
    ['handed-over', { text: ' ' }, 'text'],
    ['stock-voided', { reason: '' }, 'reason'],
  ] as const)('%s with %j is refused at %s', (kind, over, field) =>
    expect(firstField(kind, { ...GOOD[kind], ...over })).toBe(field),
  );
});

describe('labels, packs and cups', () => {
  const tin = {
    tinId: 't1',
    productId: 'epoxy',
    content: 'paint',
    batch: null,
    colour: null,
    sizeMl: 4000,
    madeOn: '2025-06-01',
    priceCents: null,
    tareG: null,
  };
  const sent = {
    tin,
    receivedMl: 4000,
    factId: '11111111-1111-4111-8111-111111111111',
    happenedAt: '2026-03-05T18:45:00Z',
    personId: 'ines',
    deviceId: 'd',
  };
  const isGood = (
    schema: { validate: (x: unknown, o: object) => { error?: unknown } },
    x: unknown,
  ): boolean => schema.validate(x, { convert: false }).error === undefined;
  it('a tin as it comes in', () => expect(isGood(newTin, sent)).toBe(true));
  it.each([
    { content: 'water' },
    { sizeMl: 0 },
    { madeOn: '1 June' },
    { priceCents: 12.5 },
    { tareG: -3 },
    { batch: '' },
  ])('a tin with %j is refused', (over) =>
    expect(isGood(newTin, { ...sent, tin: { ...tin, ...over } })).toBe(false),
  );
  it('a label is corrected with its version and something to correct', () => {
    expect(isGood(tinPatch, { version: 1, batch: 'B8' })).toBe(true);
    expect(isGood(tinPatch, { version: 1 })).toBe(false);
    expect(isGood(tinPatch, { batch: 'B8' })).toBe(false);
    expect(isGood(tinPatch, { version: 1, sizeMl: 5 })).toBe(false);
  });
  it('packs in whole millilitres and cents, cups in millimetres a hand can hold', () => {
    const p = { packId: 'k', productId: 'epoxy', content: 'paint', sizeMl: 1000, priceCents: 4600 };
    expect(isGood(pack, p)).toBe(true);
    expect(isGood(pack, { ...p, sizeMl: 0.5 })).toBe(false);
    expect(isGood(pack, { ...p, priceCents: -1 })).toBe(false);
    const c = { cupId: 'c', name: 'beaker', bottomMm: 70, topMm: 90, heightMm: 110 };
    expect(isGood(cup, c)).toBe(true);
    expect(isGood(cup, { ...c, heightMm: 2 })).toBe(false);
    expect(isGood(cup, { ...c, topMm: 5000 })).toBe(false);
  });
});

describe('film readings as a fact', () => {
  const body = {
    scope: 'system',
    by: 'gauge',
    readingsUm: [81, 79],
    perSpot: 1,
    zero: 'smooth',
    profile: 'fine',
    baseUm: null,
    rule: 'iso-19840',
    nominalUm: 80,
    minUm: null,
    maxUm: null,
  };
  const field = (over: object): string | null => {
    const r = FACT_BODIES['film-read'].validate({ ...body, ...over }, { abortEarly: false, convert: false });
    return r.error ? (problemsOf(r.error)[0]?.field ?? '') : null;
  };
  it('is taken whole', () => expect(field({})).toBeNull());
  it.each([
    [{ readingsUm: [] }, 'readingsUm'],
    [{ readingsUm: [81, -1] }, 'readingsUm.1'],
    [{ readingsUm: [9000] }, 'readingsUm.0'],
    [{ perSpot: 2 }, 'perSpot'],
    [{ rule: 'by eye' }, 'rule'],
    [{ nominalUm: 0 }, 'nominalUm'],
    [{ zero: 'maybe' }, 'zero'],
  ])('%j is refused at %s', (over, at) => expect(field(over)).toBe(at));
  it('a coat of 5 000 µm is refused', () => {
    const r = FACT_BODIES.coated.validate({ sheetId: 'epoxy.1', dftUm: 5000 }, { convert: false });
    expect(problemsOf(r.error!)[0]).toMatchObject({ field: 'dftUm', accepts: 'at most 2000' });
  });
});
