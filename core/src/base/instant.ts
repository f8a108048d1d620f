/** Moments a workshop's record can speak of: from 1900 to the end of 2199, ms. Anything else is a slip or an attack. */
export const FIRST_MS = Date.UTC(1900, 0, 1);
export const LAST_MS = Date.UTC(2200, 0, 1) - 1;

/** Day and time of day as written, without a zone. */
export interface WrittenTime {
  readonly year: number;
  readonly month: number;
  readonly day: number;
  readonly hour: number;
  readonly minute: number;
  readonly second: number;
}

/** Whether the calendar and the clock have such a time: no 30 February, no 24:00, no leap second. */
export function isTime({ year, month, day, hour, minute, second }: WrittenTime): boolean {
  const d = new Date(Date.UTC(year, month - 1, day));
  return (
    d.getUTCFullYear() === year &&
    d.getUTCMonth() === month - 1 &&
    d.getUTCDate() === day &&
    hour < 24 &&
    minute < 60 &&
    second < 60
  );
}

/** A written time read as if it were UTC, ms. */
export const wallMsOf = (t: WrittenTime): number =>
  Date.UTC(t.year, t.month - 1, t.day, t.hour, t.minute, t.second);

const RFC3339 =
  /^(\d{4})-(\d\d)-(\d\d)T(\d\d):(\d\d):(\d\d)(?:\.(\d{1,9}))?(?:Z|([+-])([01]\d|2[0-3]):([0-5]\d))$/;

/**
 * The one reader of times that come from outside: RFC 3339 with its offset, such as `2026-03-05T18:40:00Z`; finer than a
 * millisecond is cut off. Null for everything else, a time without an offset and one outside 1900…2199 among them.
 */
export function instantFrom(text: string): number | null {
  const m = RFC3339.exec(text);
  if (!m) return null;
  const [, year, month, day, hour, minute, second] = m.map(Number) as [
    number,
    ...[number, number, number, number, number, number],
  ];
  const written: WrittenTime = { year, month, day, hour, minute, second };
  if (!isTime(written)) return null;
  const sign = m[8] === '-' ? -1 : 1;
  const offsetMs = m[8] === undefined ? 0 : sign * (Number(m[9]) * 60 + Number(m[10])) * 60_000;
  const ms = wallMsOf(written) + Number((m[7] ?? '').padEnd(3, '0').slice(0, 3)) - offsetMs;
  return ms >= FIRST_MS && ms <= LAST_MS ? ms : null;
}
