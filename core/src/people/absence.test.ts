import { describe, expect, it } from '@jest/globals';
import type { StockFact } from '../facts/stock.ts';
import { absentShare, cameBook } from './absence.ts';

const ZONE = 'Europe/London';
const NOW = Date.parse('2026-06-30T12:00Z');
let n = 0;
const came = (whoId: string, day: string): StockFact => {
  const atMs = Date.parse(`${day}T18:00Z`);
  return {
    factId: `c${(n += 1)}`,
    kind: 'came',
    happenedAtMs: atMs,
    recordedAtMs: atMs,
    personId: 'lead',
    deviceId: 'd',
    supersedes: null,
    body: { whoId },
  };
};
/** Saturdays of May and June 2026 (any calendar). */
const SATURDAYS = ['05-02', '05-09', '05-16', '05-23', '05-30', '06-06', '06-13', '06-20', '06-27'].map(
  (d) => `2026-${d}`,
);
const saturdays = { weekdays: [6], days: [] };
const ines = { personId: 'ines', comes: saturdays };
const tom = { personId: 'tom', comes: saturdays };

describe('how often somebody stays away, by their own record', () => {
  const kept = SATURDAYS.map((d) => came('ines', d));
  it('nobody wrote anything down: as usual, once in ten', () =>
    expect(absentShare(cameBook([], ZONE, NOW), ines)).toBeCloseTo(0.1, 12));
  it('who came on all nine days of theirs: one in nineteen', () =>
    // Beta prior of mean 1/10 and weight 10, by hand: (0 + 1) / (9 + 10).
    expect(absentShare(cameBook(kept, ZONE, NOW), ines)).toBeCloseTo(1 / 19, 12));
  it('who came on three of them: seven in nineteen', () => {
    const book = cameBook([...kept, ...SATURDAYS.slice(0, 3).map((d) => came('tom', d))], ZONE, NOW);
    expect(absentShare(book, tom)).toBeCloseTo(7 / 19, 12);
  });
  it('a day on which nobody was written down says nothing of anybody', () =>
    expect(cameBook(kept.slice(2), ZONE, NOW).days).toHaveLength(7));
  it('nor does a day of theirs off, nor today, nor a year ago', () => {
    const away = {
      ...ines,
      comes: { weekdays: [6], days: [{ fromDay: '2026-05-01', toDay: '2026-05-31', comes: false }] },
    };
    const book = cameBook([...kept, came('tom', '2026-06-30'), came('tom', '2025-06-28')], ZONE, NOW);
    expect(book.days).toHaveLength(9);
    // Four Saturdays of June are left, and she came on all.
    expect(absentShare(book, away)).toBeCloseTo(1 / 14, 12);
  });
  it('a day begins by the shop’s own clock', () => {
    // 23:30 UTC on a Friday in June is Saturday, half past midnight, in London.
    const late: StockFact = { ...came('ines', '2026-06-19'), happenedAtMs: Date.parse('2026-06-19T23:30Z') };
    expect(cameBook([late], ZONE, NOW).days.map((d) => d.day)).toEqual([{ year: 2026, month: 6, day: 20 }]);
  });
});
