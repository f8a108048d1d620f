import { describe, expect, it } from '@jest/globals';
import type { TinView } from '@calvetta/contract';
import { expiryWords, isSoon, tinName } from './tinWords.ts';

const DAY = 86_400_000;
const NOW = Date.UTC(2026, 2, 5);
const until = (days: number | null, by: TinView['expiry']['by'] = 'closed', isExpired = false) => ({
  expiry: { atMs: days === null ? null : NOW + days * DAY, by },
  isExpired,
  levelMl: 100,
});

describe('a tin in words', () => {
  it('says what it is, and nothing twice', () => {
    expect(tinName({ productName: 'Two-pack gloss', content: 'paint', colour: 'deep green' })).toBe(
      'Two-pack gloss, deep green',
    );
    expect(tinName({ productName: 'Two-pack gloss', content: 'hardener', colour: null })).toBe(
      'Two-pack gloss, hardener',
    );
  });
  it.each([
    [until(30), '30 d, closed'],
    [until(100, 'opened'), '3 months, opened'],
    [until(800), '2.2 years, closed'],
    [until(-40, 'opened', true), '40 d past, opened'],
    [until(null), 'keeps'],
    [until(null, 'unknown'), 'made when? not known'],
  ] as const)('%j: %s', (t, words) => expect(expiryWords(t, NOW)).toBe(words));
  it('is soon within six weeks, while there is something in it', () => {
    expect(isSoon(until(44), NOW)).toBe(true);
    expect(isSoon(until(46), NOW)).toBe(false);
    expect(isSoon({ ...until(10), levelMl: 0 }, NOW)).toBe(false);
    expect(isSoon(until(null), NOW)).toBe(false);
  });
});
