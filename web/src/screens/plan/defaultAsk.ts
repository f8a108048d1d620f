import type { PlanAsk } from '@calvetta/core';
import type { MachinesResponse, PlaceInfo } from '@calvetta/contract';

/** What a plan is asked for where nobody said anything yet: the machine with most left to do, in the warmest place there is. */
export function defaultAsk(
  machines: MachinesResponse['machines'],
  places: readonly PlaceInfo[],
  people: number,
): PlanAsk {
  const inUse = machines.filter((m) => !m.isAway);
  const most = [...inUse].sort((a, b) => b.hoursAll - b.hoursDone - (a.hoursAll - a.hoursDone))[0];
  const warm = [...places].sort((a, b) => (b.setpointC ?? -Infinity) - (a.setpointC ?? -Infinity))[0];
  return {
    machines: most ? [{ machineId: most.machineId, dueDay: null, weight: 1 }] : [],
    weeks: 12,
    people: Math.max(1, Math.min(people, 2)),
    painters: 1,
    coatPlaceId: warm?.setpointC == null ? null : warm.placeId,
    roomM2: null,
    goal: 'balanced',
    pins: [],
    lost: [],
    heat: [],
    seed: 1,
  };
}
