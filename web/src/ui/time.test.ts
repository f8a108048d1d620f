import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '@calvetta/core';
import { DateTime } from 'luxon';
import { ago, dayAndClock, dayAndTime, duration, fromLocalInput, moment, toLocalInput } from './time.ts';

const MIN = 60_000;

describe('times as people read them', () => {
  it.each([
    [0, '0 min'],
    [59 * MIN, '59 min'],
    [150 * MIN, '2 h 30'],
    [601 * MIN, '10 h'],
    [76 * 60 * MIN, '3 d 4 h'],
    [-5 * MIN, '0 min'],
  ])('%d ms is %s', (ms, want) => expect(duration(ms)).toBe(want));
  it('just now, then minutes', () => {
    expect(ago(10_000)).toBe('just now');
    expect(ago(12 * MIN)).toBe('12 min ago');
  });
  it('names as much of a moment as is needed', () => {
    const now = Date.parse('2026-11-25T20:00:00Z');
    expect(moment(now + 3 * 60 * MIN, now, 'Europe/London')).toBe('23:00');
    expect(moment(now + 24 * 60 * MIN, now, 'Europe/London')).toBe('Thu 20:00');
    expect(moment(now + 20 * 24 * 60 * MIN, now, 'Europe/London')).toBe('15 Dec');
    // Two years ago, on a day like today's: which year matters.
    const before = Date.parse('2024-11-26T20:00:00Z');
    expect(moment(before, now, 'Europe/London')).toBe('26 Nov 2024');
    expect(dayAndTime(before, 'Europe/London', now)).toBe('26 Nov 2024 20:00');
    expect(dayAndTime(now, 'Europe/London', now)).toBe('Wed 25 Nov 20:00');
  });
  it('shows what luxon shows, in every zone and over every change of clocks', () => {
    const random = seededRandom(7);
    for (const zone of ['Europe/London', 'America/St_Johns', 'Australia/Lord_Howe', 'Asia/Kathmandu', 'UTC'])
      for (let i = 0; i < 300; i++) {
        const ms = Date.parse('2019-01-01T00:00:00Z') + Math.floor(random() * 15 * 365 * 1440) * MIN;
        const by = DateTime.fromMillis(ms, { zone, locale: 'en-US' });
        expect(dayAndClock(ms, zone)).toBe(by.toFormat('EEE d MMM HH:mm'));
        expect(toLocalInput(ms, zone)).toBe(by.toFormat("yyyy-MM-dd'T'HH:mm"));
      }
  });
  it('goes into the shop’s zone and back, on both sides of a clock change', () => {
    for (const iso of [
      '2026-03-29T00:30:00Z',
      '2026-03-29T01:30:00Z',
      '2026-07-01T12:00:00Z',
      '2026-11-25T23:59:00Z',
    ]) {
      const ms = Date.parse(iso);
      expect(fromLocalInput(toLocalInput(ms, 'Europe/London'), 'Europe/London')).toBe(ms);
    }
    expect(fromLocalInput('soon', 'Europe/London')).toBeNull();
  });
});
