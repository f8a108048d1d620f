import { wallMsOf, type WrittenTime } from './instant.ts';

/** A day of the calendar, as people write it. */
export interface LocalDay {
  readonly year: number;
  /** 1…12. */
  readonly month: number;
  readonly day: number;
}

const formats = new Map<string, Intl.DateTimeFormat>();
/** Throws a `RangeError` where the zone is not an IANA name this machine knows. */
function formatOf(zone: string): Intl.DateTimeFormat {
  let format = formats.get(zone);
  if (!format) {
    format = new Intl.DateTimeFormat('en-US', {
      timeZone: zone,
      calendar: 'iso8601',
      hourCycle: 'h23',
      year: 'numeric',
      month: 'numeric',
      day: 'numeric',
      hour: 'numeric',
      minute: 'numeric',
      second: 'numeric',
    });
    formats.set(zone, format);
  }
  return format;
}

/** What the clocks of a zone show at an instant, read as if they were UTC, ms. */
function wallMs(zone: string, atMs: number): number {
  const at: Record<string, number> = {};
  for (const p of formatOf(zone).formatToParts(atMs)) if (p.type !== 'literal') at[p.type] = Number(p.value);
  return Date.UTC(at['year']!, at['month']! - 1, at['day'], at['hour'], at['minute'], at['second']);
}

/** How far the clocks of a zone are ahead of UTC, ms. */
export function offsetMs(zone: string, atMs: number): number {
  const whole = Math.floor(atMs / 1000) * 1000;
  return wallMs(zone, whole) - whole;
}

const byHour = new Map<string, Map<number, number>>();
/** The same, by the hour an instant lies in and kept: for whoever asks for thousands of instants of the same few months. */
export function offsetByHourMs(zone: string, atMs: number): number {
  let known = byHour.get(zone);
  if (!known) byHour.set(zone, (known = new Map<number, number>()));
  const hour = Math.floor(atMs / 3_600_000);
  let offset = known.get(hour);
  if (offset === undefined) known.set(hour, (offset = offsetMs(zone, hour * 3_600_000)));
  return offset;
}

/** The calendar day at an instant. */
export function localDay(zone: string, atMs: number): LocalDay {
  const d = new Date(wallMs(zone, atMs));
  return { year: d.getUTCFullYear(), month: d.getUTCMonth() + 1, day: d.getUTCDate() };
}

/** The day so many days on; the calendar has no clock changes. */
export function addDays(day: LocalDay, days: number): LocalDay {
  const d = new Date(Date.UTC(day.year, day.month - 1, day.day + days));
  return { year: d.getUTCFullYear(), month: d.getUTCMonth() + 1, day: d.getUTCDate() };
}

/** 1 Monday … 7 Sunday (ISO 8601). */
export const weekdayOf = (d: LocalDay): number =>
  new Date(Date.UTC(d.year, d.month - 1, d.day)).getUTCDay() || 7;

/** `2026-03-29`. */
export const isoDay = (d: LocalDay): string =>
  `${String(d.year).padStart(4, '0')}-${String(d.month).padStart(2, '0')}-${String(d.day).padStart(2, '0')}`;

/**
 * Every instant at which the clocks of a zone show a written time, ms, in order: none when they jump over it, two when they
 * show it twice.
 */
export function instantsOf(zone: string, written: WrittenTime): number[] {
  const wall = wallMsOf(written);
  const offsets = new Set([offsetMs(zone, wall - 24 * 3_600_000), offsetMs(zone, wall + 24 * 3_600_000)]);
  return [...offsets]
    .filter((offset) => offsetMs(zone, wall - offset) === offset)
    .map((offset) => wall - offset)
    .sort((a, b) => a - b);
}

/**
 * The instant at which the clocks of a zone show a time, ms. A time that the clocks jump over is taken as much later as they
 * jump; one they show twice, as the first.
 */
export function instantOf(zone: string, day: LocalDay, hour: number, minute = 0): number {
  const wall = Date.UTC(day.year, day.month - 1, day.day, hour, minute);
  const before = offsetMs(zone, wall - 24 * 3_600_000);
  const after = offsetMs(zone, wall + 24 * 3_600_000);
  // By the offset of the day before first: that is the earlier of two, and past the jump where there is none.
  for (const offset of [before, after]) if (offsetMs(zone, wall - offset) === offset) return wall - offset;
  return wall - before;
}

/** When a day of a zone's calendar begins, `2031-03-05`. */
export function startOfDay(zone: string, day: string): number {
  const [year, month, date] = day.split('-').map(Number);
  return instantOf(zone, { year: year!, month: month!, day: date! }, 0);
}

/** The instant at which a day, `2031-03-05`, is over where the shop is. */
export function endOfDay(zone: string, day: string): number {
  const [year, month, date] = day.split('-').map(Number);
  return instantOf(zone, addDays({ year: year!, month: month!, day: date! }, 1), 0);
}

/** The day so many days after the one that an instant lies in, `2031-03-05`. */
export const dayAfter = (zone: string, atMs: number, days: number): string =>
  isoDay(addDays(localDay(zone, atMs), days));
