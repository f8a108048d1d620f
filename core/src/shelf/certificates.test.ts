import { describe, expect, it } from '@jest/globals';
import type { StockFact } from '../facts/stock.ts';
import { certificatesOf, vouchedUntil } from './certificates.ts';
import { expiryOf } from './tins.ts';

const tin = (tinId: string, batch: string | null, content: 'paint' | 'hardener' = 'paint') => ({
  tinId,
  productId: 'epoxy-primer',
  content,
  batch,
});
let n = 0;
const paper = (tinId: string, certificate: string, goodUntil?: string): StockFact => ({
  factId: `c${(n += 1)}`,
  kind: 'batch-certified',
  happenedAtMs: n,
  recordedAtMs: n,
  personId: 'p',
  deviceId: 'd',
  supersedes: null,
  body: { tinId, certificate, ...(goodUntil === undefined ? {} : { goodUntil }) },
});
const day = (d: string): number => Date.parse(`${d}T00:00:00Z`);

describe('papers of a batch', () => {
  const tins = [
    tin('a', 'B7'),
    tin('b', 'batch b-7'),
    tin('c', 'B8'),
    tin('h', 'B7', 'hardener'),
    tin('x', null),
  ];
  it('hold for every tin of the same product, content and batch, however the batch is written', () => {
    const stock = [paper('a', 'C 1')];
    const has = (id: string): number =>
      certificatesOf(
        tins.find((t) => t.tinId === id)!,
        tins,
        stock,
      ).length;
    expect(['a', 'b', 'c', 'h', 'x'].map(has)).toEqual([1, 1, 0, 0, 0]);
  });
  it('of several days the latest counts', () => {
    const stock = [paper('a', 'C 1', '2027-01-01'), paper('b', 'C 2', '2027-06-01'), paper('a', 'C 3')];
    expect(vouchedUntil(certificatesOf(tins[0]!, tins, stock))).toBe('2027-06-01');
    expect(vouchedUntil(certificatesOf(tins[2]!, tins, stock))).toBeNull();
  });
});

describe('a batch its maker vouches for again', () => {
  const traits = { shelfClosedMonths: 12, shelfOpenedMonths: 6, hardenerOpenedMonths: 3 };
  const full = {
    ...tin('a', 'B7'),
    colour: null,
    sizeMl: 4000,
    madeMs: day('2026-01-10'),
    priceCents: null,
  };
  it('keeps longer closed than its label says, and no longer once it is open', () => {
    expect(expiryOf(full, null, traits, day('2027-09-01'))).toEqual({
      atMs: day('2027-09-01'),
      by: 'vouched',
    });
    expect(expiryOf(full, day('2026-12-01'), traits, day('2028-01-01'))).toEqual({
      atMs: day('2027-06-01'),
      by: 'opened',
    });
  });
  it('a day before the label’s takes nothing from it', () =>
    expect(expiryOf(full, null, traits, day('2026-06-01'))).toEqual({
      atMs: day('2027-01-10'),
      by: 'closed',
    }));
  it('a tin without a date is good up to that day', () =>
    expect(expiryOf({ ...full, madeMs: null }, null, traits, day('2027-09-01')).by).toBe('vouched'));
});
