import { nextPlanned } from '@calvetta/core';
import type { PartCard } from '@calvetta/contract';
import { usePlan } from '../api/queries.ts';
import { clockTime, moment } from '../ui/time.ts';

export interface PlannedWords {
  readonly text: string;
  /** The plan would lose what stands open now, or its time has gone by. */
  readonly isUrgent: boolean;
}

/** What the kept plan says of a part, in a line; null where there is none or it has nothing of it. */
export function usePlanned(): (card: PartCard, nowMs: number, zone: string) => PlannedWords | null {
  const plan = usePlan().data?.plan?.plan;
  return (card, nowMs, zone) => {
    const next = plan ? nextPlanned(plan, card, nowMs) : null;
    if (!next) return null;
    const day = moment(next.fromMs, nowMs, zone);
    const time = clockTime(next.fromMs, zone);
    const at = `planned ${day.includes(time) ? day : `${day} ${time}`}`;
    if (next.isLate) return { text: `${at}: gone by, plan again`, isUrgent: true };
    if (next.lostMs !== null)
      return { text: `${at}, but lost ${moment(next.lostMs, nowMs, zone)}: plan again`, isUrgent: true };
    const others = next.others === null || next.others === 0 ? '' : ` with ${next.others} more`;
    return { text: `${at}${others}`, isUrgent: false };
  };
}
