import { describe, expect, it } from '@jest/globals';
import type { FactKind } from '@calvetta/core';
import { FACT_BODIES, factInput, factsInput, handReadingInput, partPatch, readingsInput } from './index.ts';

const strict = { abortEarly: false, convert: false } as const;
const fits = (kind: FactKind, body: object): boolean =>
  FACT_BODIES[kind].validate(body, strict).error === undefined;

describe('what each kind of fact may say', () => {
  it.each([
    ['stripped', { method: 'blast' }],
    ['pretreated', { method: 'phosphate', limitHours: 24 }],
    ['degreased', {}],
    ['abraded', { how: 'dry', gritP: 180 }],
    ['contaminated', { by: 'bare-hand' }],
    ['wetted', { by: 'rain' }],
    ['coated', { sheetId: 'epoxy-primer.1', dftUm: 60, tool: 'gun', thinnerPct: 5, batch: 'B4' }],
    ['turned', { faceUp: 'B' }],
    ['baked', { tempC: 180, minutes: 60 }],
    ['tested', { test: 'thumbnail', reached: true }],
    ['moved', { placeId: 'booth' }],
    ['surface-read', { surfaceC: 12.5 }],
    ['gate-accepted', { gate: 'dew-margin', reason: 'felt dry' }],
    ['noted', { text: 'weld at the horn' }],
    ['voided', {}],
  ] as const)('%s takes %j', (kind, body) => expect(fits(kind, body)).toBe(true));

  it.each([
    ['stripped', { method: 'magic' }],
    ['stripped', {}],
    ['pretreated', { method: 'phosphate', limitHours: 0 }],
    ['degreased', { with: 'love' }],
    ['abraded', { how: 'dry', gritP: 7 }],
    ['coated', { dftUm: 60 }],
    ['coated', { sheetId: 'x.1', dftUm: 0 }],
    ['coated', { sheetId: 'x.1', dftUm: 5000 }],
    ['coated', { sheetId: 'x.1', dftUm: '60' }],
    ['coated', { sheetId: 'x.1', dftUm: 60, thinnerPct: 300 }],
    ['coated', { sheetId: 'x.1', dftUm: 60, tool: 'spoon' }],
    ['coated', { sheetId: 'x.1', dftUm: 60, over: 'not-an-id' }],
    ['coated', { sheetId: 'x.1', dftUm: 60, reason: '   ' }],
    ['baked', { tempC: 20, minutes: 60 }],
    ['tested', { test: 'taste', reached: true }],
    ['tested', { test: 'tack' }],
    ['surface-read', { surfaceC: -300 }],
    ['noted', { text: '' }],
    ['noted', { text: 'x'.repeat(2001) }],
    ['turned', { faceUp: 'C' }],
  ] as const)('%s refuses %j', (kind, body) => expect(fits(kind, body)).toBe(false));
});

describe('a fact on the wire', () => {
  const fact = {
    factId: '3ecd3acb-7d35-4039-a6db-d36c041f5794',
    kind: 'noted',
    partId: 'quarry.frame',
    face: null,
    happenedAt: '2026-11-25T10:00:00Z',
    endedAt: null,
    personId: 'ines',
    deviceId: 'tablet-1',
    supersedes: null,
    body: { text: 'x' },
    evidence: null,
  };
  const ok = (over: object): boolean => factInput.validate({ ...fact, ...over }, strict).error === undefined;
  it('needs its own id, a part, a moment, a person and a device', () => {
    expect(ok({})).toBe(true);
    for (const field of ['factId', 'kind', 'partId', 'happenedAt', 'personId', 'deviceId'])
      expect(ok({ [field]: undefined })).toBe(false);
  });
  it.each([
    [{ factId: '42' }],
    [{ kind: 'painted' }],
    [{ face: 'C' }],
    [{ happenedAt: 'yesterday' }],
    [{ partId: '../etc/passwd' }],
    [{ partId: "x'; drop table fact; --" }],
    [{ partId: 'x'.repeat(65) }],
    [{ supersedes: 'the last one' }],
    [{ colour: 'green' }],
  ])('refuses %j', (over) => expect(ok(over)).toBe(false));
  it('comes alone or with others, never none and never more than five hundred', () => {
    const many = (n: number): boolean =>
      factsInput.validate({ facts: Array.from({ length: n }, () => fact) }, strict).error === undefined;
    expect([many(0), many(1), many(500), many(501)]).toEqual([false, true, true, false]);
  });
});

describe('readings and edits on the wire', () => {
  it.each([
    [{ at: '2026-11-25T10:00:00Z', airC: 9, rhPct: 70 }, true],
    [{ at: '2026-11-25T10:00:00Z', airC: 9, rhPct: 70, surfaceC: null }, true],
    [{ at: '2026-11-25T10:00:00Z', airC: 9, rhPct: 140 }, false],
    [{ at: '2026-11-25T10:00:00Z', airC: 51, rhPct: 70 }, false],
    [{ at: '2026-11-25T10:00:00Z', airC: 9 }, false],
  ])('%j: %s', (r, good) => {
    expect(readingsInput.validate({ readings: [r] }, strict).error === undefined).toBe(good);
    expect(handReadingInput.validate({ ...r, placeId: 'shed' }, strict).error === undefined).toBe(good);
  });
  it('an edit names the version it was made from, and changes something', () => {
    const ok = (p: object): boolean => partPatch.validate(p, strict).error === undefined;
    expect(ok({ version: 1, massKg: 4 })).toBe(true);
    expect(ok({ version: 1, massKg: null })).toBe(true);
    expect(ok({ massKg: 4 })).toBe(false);
    expect(ok({ version: 1 })).toBe(false);
    expect(ok({ version: 0, massKg: 4 })).toBe(false);
  });
});
