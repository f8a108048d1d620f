import { DAY_MS, mergeSpans, type Span } from '../base/time.ts';
import { recent, recentByKey } from '../base/recent.ts';
import { addDays, instantOf, isoDay, localDay, weekdayOf, type LocalDay } from '../base/zone.ts';

/** Night, for shading and for open-sky cooling: 20:00 to 06:00 by the shop's clock. */
const NIGHT_FROM_H = 20;
const NIGHT_TO_H = 6;

/** Nights between two instants, by the workshop's zone: a clock change makes one night an hour longer or shorter. */
export function nightsBetween(zone: string, fromMs: number, toMs: number): Span[] {
  const first = addDays(localDay(zone, fromMs), -1);
  const last = localDay(zone, toMs);
  const all = nightsOf(`${zone}|${isoDay(first)}|${isoDay(last)}`, () => {
    const out: Span[] = [];
    for (let day = first; isoDay(day) <= isoDay(last); day = addDays(day, 1))
      out.push({
        fromMs: instantOf(zone, day, NIGHT_FROM_H),
        toMs: instantOf(zone, addDays(day, 1), NIGHT_TO_H),
      });
    return out;
  });
  return all.filter((s) => s.toMs > fromMs && s.fromMs < toMs);
}
/** Days by a zone's clock cost more than all else that a moment is made of, and change once a day. */
const nightsOf = recentByKey<Span[]>();

/** When people are usually there, by the shop's clock: `09:30`. Weekdays are 1 Monday … 7 Sunday. */
export interface Attendance {
  readonly weekly: readonly { readonly weekday: number; readonly from: string; readonly to: string }[];
  /** Days that are otherwise; null: nobody comes. */
  readonly exceptions: readonly {
    readonly day: string;
    readonly from: string | null;
    readonly to: string | null;
  }[];
}

/** Sessions of the coming days: the weekly pattern with its exceptions. */
export function sessionsAhead(attendance: Attendance, zone: string, nowMs: number, days = 21): Span[] {
  const first = localDay(zone, nowMs - DAY_MS);
  const all = sessionsOf(attendance)(`${zone}|${isoDay(first)}|${days}`, () =>
    sessionsFrom(attendance, zone, first, days),
  );
  return mergeSpans(all.filter((s) => s.toMs > nowMs));
}
const sessionsOf = recent((_attendance: Attendance) => recentByKey<Span[]>());

function sessionsFrom(attendance: Attendance, zone: string, first: LocalDay, days: number): Span[] {
  const out: Span[] = [];
  for (let i = 0; i < days; i++) {
    const day = addDays(first, i);
    const date = isoDay(day);
    const exception = attendance.exceptions.find((e) => e.day === date);
    const times = exception
      ? exception.from !== null && exception.to !== null
        ? [{ from: exception.from, to: exception.to }]
        : []
      : attendance.weekly.filter((w) => w.weekday === weekdayOf(day));
    for (const t of times) out.push({ fromMs: atTime(zone, day, t.from), toMs: atTime(zone, day, t.to) });
  }
  return out;
}

function atTime(zone: string, day: LocalDay, time: string): number {
  const [hour, minute] = time.split(':').map(Number);
  return instantOf(zone, day, hour ?? 0, minute ?? 0);
}
