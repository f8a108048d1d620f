import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { comesOn, type Comes } from '../people/attendance.ts';
import { capsOf, isManned, unnamed } from './hands.ts';
import type { Hand } from './problem.ts';

const day = (year: number, month: number, date: number) => ({ year, month, day: date });
// 5 March 2026 is a Thursday (any calendar).
const THURSDAY = day(2026, 3, 5);
const SATURDAY = day(2026, 3, 7);

describe('who comes', () => {
  it('whoever said nothing comes whenever the shop meets', () => expect(comesOn(null, THURSDAY)).toBe(true));
  const saturdays: Comes = {
    weekdays: [6],
    days: [
      { fromDay: '2026-03-02', toDay: '2026-03-08', comes: false },
      { fromDay: '2026-03-05', toDay: '2026-03-05', comes: true },
    ],
  };
  it.each([
    ['a Saturday of theirs', day(2026, 3, 14), true],
    ['a Thursday that is not', day(2026, 3, 12), false],
    ['a Saturday in their week away', SATURDAY, false],
    ['a Thursday for once, in that week', THURSDAY, true],
    ['the last day away', day(2026, 3, 8), false],
  ])('%s', (_, on, comes) => expect(comesOn(saturdays, on)).toBe(comes));
  it('who has no day at all comes only for once', () => {
    const visitor: Comes = {
      weekdays: [],
      days: [{ fromDay: '2026-03-07', toDay: '2026-03-07', comes: true }],
    };
    expect([THURSDAY, SATURDAY].map((d) => comesOn(visitor, d))).toEqual([false, true]);
  });
});

/** Whether every job finds somebody of its own, by trying every seating: slow, and plainly right. */
function seated(jobs: readonly ((h: Hand) => boolean)[], who: readonly Hand[]): boolean {
  const [first, ...rest] = jobs;
  if (!first) return true;
  return who.some((h, i) => first(h) && seated(rest, [...who.slice(0, i), ...who.slice(i + 1)]));
}

describe('hands for skills', () => {
  const hand = fc.tuple(fc.boolean(), fc.boolean(), fc.boolean()).map(([sprays, mask, blasts]): Hand => ({
    name: null,
    sprays,
    isMasked: sprays && mask,
    blasts,
  }));
  const few = fc.integer({ min: 0, max: 2 });
  it('five sets say the same as every seating tried', () => {
    fc.assert(
      fc.property(fc.array(hand, { maxLength: 5 }), few, few, few, (who, masked, spray, blast) => {
        const jobs = [
          ...Array.from({ length: masked }, () => (h: Hand) => h.isMasked),
          ...Array.from({ length: spray }, () => (h: Hand) => h.sprays),
          ...Array.from({ length: blast }, () => (h: Hand) => h.blasts),
        ];
        expect(isManned(capsOf(who), masked, spray, blast)).toBe(seated(jobs, who));
      }),
      { seed: 11, numRuns: 2000 },
    );
  });
  it('the one who sprays cannot blast at the same time, though each alone is manned', () => {
    const caps = capsOf([{ name: 'Ines', sprays: true, isMasked: true, blasts: true }]);
    expect([isManned(caps, 0, 1, 0), isManned(caps, 0, 0, 1), isManned(caps, 0, 1, 1)]).toEqual([
      true,
      true,
      false,
    ]);
  });
  it('asked for by number, so many spray and anybody blasts', () => {
    expect(capsOf(unnamed(3, 1))).toEqual({
      masked: 1,
      spray: 1,
      blast: 3,
      maskedOrBlast: 3,
      sprayOrBlast: 3,
    });
  });
});
