import type { PlanAsk } from './problem.ts';

/** Changes that may make a plan surer, each tried by the same replays (docs/plan.md 17). */
export const HELPS = ['person', 'painter', 'heat'] as const;
export type Help = (typeof HELPS)[number];

/** A place kept so warm holds most gates and cures most films; more is seldom to be had in a shed (CP). */
export const HELP_HEAT_C = 18;

/** What is asked with one change; null: it is no change here. */
export function askWith(ask: PlanAsk, help: Help, nowMs: number, endMs: number): PlanAsk | null {
  switch (help) {
    case 'person':
      return withExtra(ask, 1, 0);
    case 'painter':
      return withExtra(ask, 1, 1);
    case 'heat':
      return ask.coatPlaceId === null
        ? null
        : {
            ...ask,
            heat: [...ask.heat, { placeId: ask.coatPlaceId, fromMs: nowMs, toMs: endMs, airC: HELP_HEAT_C }],
          };
  }
}

const withExtra = (ask: PlanAsk, people: number, painters: number): PlanAsk => ({
  ...ask,
  extra: {
    people: (ask.extra?.people ?? 0) + people,
    painters: (ask.extra?.painters ?? 0) + painters,
  },
});
