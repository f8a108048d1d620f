import { nextPlanned } from '@calvetta/core';
import type { PartCard } from '@calvetta/contract';
import { usePlan } from '../api/queries.ts';
import { clockTime, moment } from '../ui/time.ts';

/** What the kept plan says of a part, in a line; null where there is none or it has nothing of it. */
export function usePlanned(): (card: PartCard, nowMs: number, zone: string) => string | null {
  const plan = usePlan().data?.plan?.plan;
  return (card, nowMs, zone) => {
    const next = plan ? nextPlanned(plan, card, nowMs) : null;
    if (!next) return null;
    const day = moment(next.fromMs, nowMs, zone);
    const time = clockTime(next.fromMs, zone);
    const at = `planned ${day.includes(time) ? day : `${day} ${time}`}`;
    if (next.isLate) return `${at}: gone by, plan again`;
    if (next.lostMs !== null) return `${at}: too late for it`;
    const others = next.others === null || next.others === 0 ? '' : ` with ${next.others} more`;
    return `${at}${others}`;
  };
}
