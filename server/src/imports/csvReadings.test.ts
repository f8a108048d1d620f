import { describe, expect, it } from '@jest/globals';
import { columnsOf, delimiterOf, readRow, readTime, type Columns } from './csvReadings.ts';

describe('the heading of a logger’s file', () => {
  it.each([
    ['time;air;rh', ';'],
    ['time\tair\trh', '\t'],
    ['time,air,rh', ','],
    ['Zeit;Temp, innen;Humidity', ';'],
  ])('%j is split at %j', (heading, want) => expect(delimiterOf(heading)).toBe(want));
  it('finds time, air, humidity and surface whatever their order and unit', () => {
    expect(columnsOf(['RH %', 'Surface °F', 'Timestamp', 'Temperature (C)'])).toEqual({
      time: 2,
      air: 3,
      rh: 0,
      surface: 1,
      count: 4,
      airUnit: 'C',
      surfaceUnit: 'F',
    });
    expect(columnsOf(['date', 'air_f', 'humidity'])).toMatchObject({ airUnit: 'F', surface: null });
  });
  it.each([[['air', 'rh']], [['time', 'rh']], [['time', 'air']], [[]]])('%j is not enough', (headings) =>
    expect(columnsOf(headings)).toBeNull(),
  );
});

describe('a time as a logger writes it', () => {
  const London = 'Europe/London';
  it.each([
    ['2026-07-01T12:00:00Z', '2026-07-01T12:00:00.000Z'],
    ['2026-07-01 14:00:00+02:00', '2026-07-01T12:00:00.000Z'],
    ['2026-07-01 12:00', '2026-07-01T11:00:00.000Z'],
    ['01.07.2026 12:00', '2026-07-01T11:00:00.000Z'],
    ['2026-12-01 12:00:30', '2026-12-01T12:00:30.000Z'],
    ['2026-07-01T14:00+0200', '2026-07-01T12:00:00.000Z'],
  ])('%s is %s in London', (text, iso) => {
    const r = readTime(text, London, null);
    expect(r.ok && new Date(r.atMs).toISOString()).toBe(iso);
  });
  it.each(['yesterday', '2026-13-01 10:00', '31.02.2026 10:00', ''])(
    '%j is none, and says what is',
    (text) => {
      const r = readTime(text, London, null);
      expect(r).toMatchObject({ ok: false, code: 'not-a-time' });
    },
  );
  it('the hour that comes twice goes by what came before it, on both sides', () => {
    const before = Date.parse('2025-10-26T00:00:00Z');
    const between = Date.parse('2025-10-26T00:59:00Z');
    const first = readTime('2025-10-26 01:30', London, before);
    const second = readTime('2025-10-26 01:30', London, between);
    expect(first.ok && new Date(first.atMs).toISOString()).toBe('2025-10-26T00:30:00.000Z');
    // 01:30 summer time still follows 00:59 UTC only as winter time.
    expect(second.ok && new Date(second.atMs).toISOString()).toBe('2025-10-26T01:30:00.000Z');
  });
});

describe('a row', () => {
  const columns: Columns = { time: 0, air: 1, rh: 2, surface: 3, count: 4, airUnit: 'C', surfaceUnit: 'C' };
  const read = (...cells: string[]) => readRow(cells, columns, 'UTC', { atMs: null, isDescending: false }, 7);
  it('with everything', () =>
    expect(read('2026-03-05 10:00', '9,5', '71', '8.25')).toEqual({
      ok: true,
      line: 7,
      atMs: Date.parse('2026-03-05T10:00:00Z'),
      airC: 9.5,
      rhPct: 71,
      surfaceC: 8.25,
    }));
  it('an empty surface is not measured; a missing cell is not zero', () => {
    expect(read('2026-03-05 10:00', '9.5', '71', '')).toMatchObject({ ok: true, surfaceC: null });
    expect(read('2026-03-05 10:00', '9.5')).toMatchObject({
      ok: false,
      problem: { line: 7, field: 'rhPct' },
    });
  });
  it.each([
    ['-300', '71', '', 'airC', '-40 to 50'],
    ['9', '140', '', 'rhPct', '1 to 100'],
    ['9', '71', '400', 'surfaceC', '-40 to 120'],
    ['warm', '71', '', 'airC', 'a number in °C'],
  ])('air %s, humidity %s, surface %s: wrong at %s', (air, rh, surface, field, accepts) =>
    expect(read('2026-03-05 10:00', air, rh, surface)).toMatchObject({
      ok: false,
      problem: { field, accepts: expect.stringContaining(accepts) },
    }),
  );
});
