import { describe, expect, it } from '@jest/globals';
import { DateTime } from 'luxon';
import { addDays, instantOf, isoDay, localDay, offsetMs, weekdayOf } from './zone.ts';

/** luxon is the outside here: the same questions, asked of a library that many others trust. */
const ZONES = ['Europe/Amsterdam', 'America/New_York', 'Australia/Lord_Howe', 'Asia/Kathmandu', 'UTC'];
const DAY_MS = 86_400_000;

describe('clocks of a zone', () => {
  it.each(ZONES)(
    '%s: day, weekday, offset and instants of every day of two years agree with luxon',
    (zone) => {
      const start = Date.UTC(2025, 0, 1, 3, 17);
      for (let i = 0; i < 731; i++) {
        const atMs = start + i * DAY_MS + ((i * 7919) % 86_400) * 1000;
        const l = DateTime.fromMillis(atMs, { zone });
        const day = localDay(zone, atMs);
        expect(isoDay(day)).toBe(l.toISODate());
        expect(weekdayOf(day)).toBe(l.weekday);
        expect(offsetMs(zone, atMs)).toBe(l.offset * 60_000);
        for (const [hour, minute] of [
          [20, 0],
          [6, 0],
          [9, 30],
        ] as const)
          expect(instantOf(zone, day, hour, minute)).toBe(l.startOf('day').set({ hour, minute }).toMillis());
        expect(isoDay(addDays(day, 40))).toBe(l.plus({ days: 40 }).toISODate());
      }
    },
  );
  it('a time that is jumped over is as much later, one shown twice is the first', () => {
    // Amsterdam, 29 March 2026: 02:00 → 03:00. 25 October 2026: 03:00 → 02:00 (EU directive 2000/84/EC).
    const spring = { year: 2026, month: 3, day: 29 };
    expect(new Date(instantOf('Europe/Amsterdam', spring, 2, 30)).toISOString()).toBe(
      '2026-03-29T01:30:00.000Z',
    );
    const autumn = { year: 2026, month: 10, day: 25 };
    expect(new Date(instantOf('Europe/Amsterdam', autumn, 2, 30)).toISOString()).toBe(
      '2026-10-25T00:30:00.000Z',
    );
  });
  it('a zone that is none is refused', () => {
    expect(() => localDay('Mars/Olympus', 0)).toThrow(RangeError);
  });
});
