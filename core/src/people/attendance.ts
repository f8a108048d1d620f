import { isoDay, weekdayOf, type LocalDay } from '../base/zone.ts';

/** When somebody comes of the days on which the shop meets. */
export interface Comes {
  /** Their days of the week, 1 Monday … 7 Sunday; null: whenever the shop meets. */
  readonly weekdays: readonly number[] | null;
  /** Days that are otherwise, both ends with them: away, or there though it is not their day. The last that fits counts. */
  readonly days: readonly { readonly fromDay: string; readonly toDay: string; readonly comes: boolean }[];
}

/** Whether somebody comes on a day; `comes` null: nobody has said, so whenever the shop meets. Days in ISO order compare as text. */
export function comesOn(comes: Comes | null, day: LocalDay): boolean {
  if (comes === null) return true;
  const iso = isoDay(day);
  const otherwise = comes.days.findLast((d) => d.fromDay <= iso && iso <= d.toDay);
  if (otherwise) return otherwise.comes;
  return comes.weekdays === null || comes.weekdays.includes(weekdayOf(day));
}
