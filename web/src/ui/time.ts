import { dayAfter, instantOf } from '@calvetta/core';

/** What the clocks of a zone show at an instant, as it is written here: "Sat", "14", "Mar", "2026", "09", "30". */
export type Shown = Readonly<Record<'weekday' | 'day' | 'month' | 'year' | 'hour' | 'minute', string>>;

const formats = new Map<string, Intl.DateTimeFormat>();
function formatOf(zone: string): Intl.DateTimeFormat {
  let format = formats.get(zone);
  if (!format) {
    // American English has months of three letters throughout; the order is ours.
    format = new Intl.DateTimeFormat('en-US', {
      timeZone: zone,
      weekday: 'short',
      day: 'numeric',
      month: 'short',
      year: 'numeric',
      hour: '2-digit',
      minute: '2-digit',
      hourCycle: 'h23',
    });
    formats.set(zone, format);
  }
  return format;
}

/** Instants in the shop's zone, whatever the tablet's own is. */
export const shownAt = (ms: number, zone: string): Shown =>
  Object.fromEntries(
    formatOf(zone)
      .formatToParts(ms)
      .map((p) => [p.type, p.value]),
  ) as Shown;

/** "23:20". */
export function clockTime(ms: number, zone: string): string {
  const t = shownAt(ms, zone);
  return `${t.hour}:${t.minute}`;
}
/** "Sat 14". */
export function weekdayAndDate(ms: number, zone: string): string {
  const t = shownAt(ms, zone);
  return `${t.weekday} ${t.day}`;
}
/** "Sat 14 Mar". */
export function dayOf(ms: number, zone: string): string {
  const t = shownAt(ms, zone);
  return `${t.weekday} ${t.day} ${t.month}`;
}
/** "Sat 14 Mar 09:30". */
export const dayAndClock = (ms: number, zone: string): string => `${dayOf(ms, zone)} ${clockTime(ms, zone)}`;

/** So far away a day alone could be of another year. */
const isOtherYear = (ms: number, nowMs: number): boolean => Math.abs(ms - nowMs) > 300 * 86_400_000;

export function dayAndTime(ms: number, zone: string, nowMs = Date.now()): string {
  if (!isOtherYear(ms, nowMs)) return dayAndClock(ms, zone);
  const t = shownAt(ms, zone);
  return `${t.day} ${t.month} ${t.year} ${t.hour}:${t.minute}`;
}

/** "23:20", "Sat 09:30" or "14 Mar": as much as is needed to be sure which moment is meant. */
export function moment(ms: number, nowMs: number, zone: string): string {
  const at = shownAt(ms, zone);
  const now = shownAt(nowMs, zone);
  const clock = `${at.hour}:${at.minute}`;
  if (at.day === now.day && at.month === now.month && at.year === now.year) return clock;
  if (Math.abs(ms - nowMs) < 6 * 86_400_000) return `${at.weekday} ${clock}`;
  return isOtherYear(ms, nowMs) ? `${at.day} ${at.month} ${at.year}` : `${at.day} ${at.month}`;
}

/** "2 h 30", "45 min", "3 d 4 h". */
export function duration(ms: number): string {
  const minutes = Math.max(0, Math.round(ms / 60_000));
  if (minutes < 60) return `${minutes} min`;
  const hours = Math.floor(minutes / 60);
  if (hours < 48)
    return minutes % 60 === 0 || hours >= 10
      ? `${hours} h`
      : `${hours} h ${String(minutes % 60).padStart(2, '0')}`;
  const days = Math.floor(hours / 24);
  return hours % 24 === 0 || days >= 6 ? `${days} d` : `${days} d ${hours % 24} h`;
}

/** "just now", "12 min ago": how old a reading is. */
export function ago(ms: number): string {
  return ms < 45_000 ? 'just now' : `${duration(ms)} ago`;
}

/** For an `<input type="datetime-local">`, in the shop's zone. */
export const toLocalInput = (ms: number, zone: string): string =>
  `${dayAfter(zone, ms, 0)}T${clockTime(ms, zone)}`;
export function fromLocalInput(text: string, zone: string): number | null {
  const m = /^(\d{4})-(\d\d)-(\d\d)T(\d\d):(\d\d)$/.exec(text);
  if (!m) return null;
  const [year, month, day, hour, minute] = m.slice(1).map(Number) as [number, number, number, number, number];
  return instantOf(zone, { year, month, day }, hour, minute);
}
