import type { PlanAsk } from './problem.ts';

/** What a plan is asked for where nothing else is said: two who come as a rule, one of whom sprays, and each part where it stands. */
export const plainAsk = (machineIds: readonly string[], over: Partial<PlanAsk> = {}): PlanAsk => ({
  machines: machineIds.map((machineId) => ({ machineId, dueDay: null, weight: 1 })),
  weeks: 12,
  people: 2,
  painters: 1,
  coatPlaceId: null,
  roomM2: null,
  goal: 'balanced',
  pins: [],
  lost: [],
  heat: [],
  seed: 1,
  ...over,
});
