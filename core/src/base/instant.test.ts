import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { DateTime } from 'luxon';
import { instantFrom, isTime } from './instant.ts';
import { instantsOf } from './zone.ts';

describe('a time from outside', () => {
  // Examples of RFC 3339, section 5.8 (the leap second of its fourth is refused here, and said so).
  it.each([
    ['1985-04-12T23:20:50.52Z', Date.UTC(1985, 3, 12, 23, 20, 50, 520)],
    ['1996-12-19T16:39:57-08:00', Date.UTC(1996, 11, 20, 0, 39, 57)],
    ['1937-01-01T12:00:27.87+00:20', Date.UTC(1937, 0, 1, 11, 40, 27, 870)],
    ['2026-03-05T18:40:00.123456789Z', Date.UTC(2026, 2, 5, 18, 40, 0, 123)],
  ])('%s', (text, ms) => expect(instantFrom(text)).toBe(ms));
  it.each([
    '2026-03-05T18:40:00+00',
    '2026',
    '2026-02-30T10:00:00Z',
    '2026-02-29T10:00:00Z',
    '0000-01-01T00:00:00Z',
    '-271821-04-20T00:00:00Z',
    '9999-12-31T23:59:59Z',
    '2026-03-05T18:40:00',
    '2026-03-05T24:00:00Z',
    '1990-12-31T23:59:60Z',
    '2026-03-05T18:40:00+24:00',
    '2026-03-05 18:40:00Z',
    ' 2026-03-05T18:40:00Z',
    '2026-03-05T18:40:00z',
    '２026-03-05T18:40:00Z',
    '',
  ])('%j is none', (text) => expect(instantFrom(text)).toBeNull());
  it('reads what luxon writes, in any offset, over three centuries', () => {
    const moment = fc.integer({ min: Date.UTC(1900, 0, 2), max: Date.UTC(2199, 11, 30) });
    const minutes = fc.integer({ min: -14 * 60, max: 14 * 60 });
    fc.assert(
      fc.property(moment, minutes, (ms, offset) => {
        const text = DateTime.fromMillis(ms)
          .setZone(`UTC${offset < 0 ? '-' : '+'}${toClock(offset)}`)
          .toISO()!;
        expect(instantFrom(text)).toBe(ms);
      }),
      { numRuns: 500, seed: 26 },
    );
  });
  it('knows the calendar: century years are leap only by four hundred', () => {
    const feb29 = (year: number) => isTime({ year, month: 2, day: 29, hour: 0, minute: 0, second: 0 });
    expect([1900, 2000, 2024, 2026, 2100].map(feb29)).toEqual([false, true, true, false, false]);
  });
});

const toClock = (minutes: number): string => {
  const m = Math.abs(minutes);
  return `${String(Math.floor(m / 60)).padStart(2, '0')}:${String(m % 60).padStart(2, '0')}`;
};

describe('the instants of a written time', () => {
  it.each(['Europe/Amsterdam', 'America/New_York', 'Australia/Lord_Howe', 'Asia/Kathmandu'])(
    '%s: every half hour of two years, as often as luxon says',
    (zone) => {
      for (let i = 0; i < 2 * 365; i++) {
        const d = new Date(Date.UTC(2025, 0, 1 + i));
        const day = { year: d.getUTCFullYear(), month: d.getUTCMonth() + 1, day: d.getUTCDate() };
        for (const hour of [0, 1, 2, 3]) {
          const written = { ...day, hour, minute: 30, second: 0 };
          const local = DateTime.fromObject(written, { zone });
          const exists = local.hour === hour && local.minute === 30;
          const theirs = exists
            ? local
                .getPossibleOffsets()
                .map((x) => x.toMillis())
                .sort((a, b) => a - b)
            : [];
          expect(instantsOf(zone, written)).toEqual(theirs);
        }
      }
    },
  );
});
