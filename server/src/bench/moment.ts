import { DateTime } from 'luxon';
import { DAY_MS, mergeSpans, type Span } from '@calvetta/core';
import type { ShopData } from './shopData.ts';

/** Night, for shading and for open-sky cooling: 20:00 to 06:00 by the shop's clock. */
const NIGHT_FROM_H = 20;
const NIGHT_TO_H = 6;

/** Nights between two instants, by the workshop's zone: a clock change makes one night an hour longer or shorter. */
export function nightsBetween(zone: string, fromMs: number, toMs: number): Span[] {
  const out: Span[] = [];
  let day = DateTime.fromMillis(fromMs, { zone }).startOf('day').minus({ days: 1 });
  for (; day.toMillis() < toMs; day = day.plus({ days: 1 })) {
    const span = {
      fromMs: day.set({ hour: NIGHT_FROM_H }).toMillis(),
      toMs: day.plus({ days: 1 }).set({ hour: NIGHT_TO_H }).toMillis(),
    };
    if (span.toMs > fromMs && span.fromMs < toMs) out.push(span);
  }
  return out;
}

function atLocal(day: DateTime, time: string): number {
  const [hour, minute] = time.split(':').map(Number);
  return day.set({ hour: hour ?? 0, minute: minute ?? 0, second: 0, millisecond: 0 }).toMillis();
}

/** When people are there over the coming weeks: the weekly pattern with its exceptions. */
export function sessionsAhead(
  shop: Pick<ShopData, 'attendance' | 'workshop'>,
  nowMs: number,
  days = 21,
): Span[] {
  const { weekly, exceptions } = shop.attendance;
  const out: Span[] = [];
  const first = DateTime.fromMillis(nowMs - DAY_MS, { zone: shop.workshop.zone }).startOf('day');
  for (let i = 0; i < days; i++) {
    const day = first.plus({ days: i });
    const exception = exceptions.find((e) => e.day === day.toISODate());
    const times = exception
      ? exception.from !== null && exception.to !== null
        ? [{ from: exception.from, to: exception.to }]
        : []
      : weekly.filter((w) => w.weekday === day.weekday);
    for (const t of times) out.push({ fromMs: atLocal(day, t.from), toMs: atLocal(day, t.to) });
  }
  return mergeSpans(out.filter((s) => s.toMs > nowMs));
}
