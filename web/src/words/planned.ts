import { nextPlanned } from '@calvetta/core';
import type { PartCard } from '@calvetta/contract';
import { usePlan } from '../api/queries.ts';
import { clockTime, moment } from '../ui/time.ts';

/** What the kept plan says of a part, in a line, and when. */
export interface PlannedWords {
  readonly words: string;
  /** The same where there is little room: the moment, or what is the matter with it. */
  readonly short: string;
  /** Gone by, or too late for the part's window. */
  readonly isTrouble: boolean;
  readonly atMs: number;
}

/** What the kept plan says of a part; null where there is none or it has nothing of it. */
export function usePlanned(): (card: PartCard, nowMs: number, zone: string) => PlannedWords | null {
  const plan = usePlan().data?.plan?.plan;
  return (card, nowMs, zone) => {
    const next = plan ? nextPlanned(plan, card, nowMs) : null;
    if (!next) return null;
    const day = moment(next.fromMs, nowMs, zone);
    const time = clockTime(next.fromMs, zone);
    const at = `planned ${day.includes(time) ? day : `${day} ${time}`}`;
    const others = next.others === null || next.others === 0 ? '' : ` with ${next.others} more`;
    const more = next.isLate ? ': gone by, plan again' : next.lostMs !== null ? ': too late for it' : others;
    return {
      words: `${at}${more}`,
      short: next.isLate ? 'gone by' : next.lostMs !== null ? `${day}, late` : day,
      isTrouble: next.isLate || next.lostMs !== null,
      atMs: next.fromMs,
    };
  };
}
