import { plainAsk, type Person, type PlanAsk } from '@calvetta/core';
import type { MachinesResponse, PlaceInfo } from '@calvetta/contract';

/** What a plan is asked for where nobody said anything yet: the machine with most left to do, in the warmest place there is. */
export function defaultAsk(
  machines: MachinesResponse['machines'],
  places: readonly PlaceInfo[],
  people: readonly Person[],
): PlanAsk {
  const inUse = machines.filter((m) => !m.isAway);
  const most = [...inUse].sort((a, b) => b.hoursAll - b.hoursDone - (a.hoursAll - a.hoursDone))[0];
  const warm = [...places].sort((a, b) => (b.setpointC ?? -Infinity) - (a.setpointC ?? -Infinity))[0];
  return plainAsk(most ? [most.machineId] : [], {
    // Where somebody has said when they come, that counts; else two as a rule.
    people: people.some((p) => p.comes !== null) ? null : Math.max(1, Math.min(people.length, 2)),
    coatPlaceId: warm?.setpointC == null ? null : warm.placeId,
  });
}
