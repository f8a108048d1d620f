import { DAY_MS } from '../base/time.ts';
import { isoDay, localDay, type LocalDay } from '../base/zone.ts';
import { standingStock, type StockFact } from '../facts/stock.ts';
import { comesOn, type Comes } from './attendance.ts';

/** Somebody of whom nothing is known stays away once in ten times (common practice, no published source). */
export const USUAL_ABSENT = 0.1;
/** What is usual weighs as much as so many days of their own. */
const USUAL_WEIGHT_DAYS = 10;
/** Days longer ago say nothing of today. */
const LOOK_BACK_DAYS = 180;

/** Who came on which day, as far as the list was kept. */
export interface CameBook {
  /** Days on which anybody was written down, oldest first, with who was. */
  readonly days: readonly { readonly day: LocalDay; readonly personIds: ReadonlySet<string> }[];
}

/** The list of who came, of the last half year but today: a day on which nobody is written down was not kept. Pure. */
export function cameBook(stock: readonly StockFact[], zone: string, nowMs: number): CameBook {
  const byDay = new Map<string, { readonly day: LocalDay; readonly personIds: Set<string> }>();
  const today = isoDay(localDay(zone, nowMs));
  for (const s of standingStock(stock)) {
    if (s.kind !== 'came' || s.happenedAtMs < nowMs - LOOK_BACK_DAYS * DAY_MS) continue;
    const day = localDay(zone, s.happenedAtMs);
    const key = isoDay(day);
    if (key >= today) continue;
    const there = byDay.get(key) ?? { day, personIds: new Set<string>() };
    there.personIds.add(s.body.whoId);
    byDay.set(key, there);
  }
  return { days: [...byDay.keys()].sort().map((k) => byDay.get(k)!) };
}

/**
 * How often somebody who was to come does not: by the days of theirs on which the list was kept, together with what is usual, which weighs as
 * much as ten of them (a beta prior; its mean is the usual share). Pure.
 */
export function absentShare(
  { days }: CameBook,
  person: { readonly personId: string; readonly comes: Comes | null },
): number {
  const theirs = days.filter((d) => comesOn(person.comes, d.day));
  const missed = theirs.filter((d) => !d.personIds.has(person.personId)).length;
  return (missed + USUAL_ABSENT * USUAL_WEIGHT_DAYS) / (theirs.length + USUAL_WEIGHT_DAYS);
}
