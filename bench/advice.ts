import {
  advise,
  coatSteps,
  familiesOf,
  FULL_SHOP,
  prepSteps,
  RULES,
  seededRandom,
  systemsOf,
  layersOf,
  viewOf,
  type RouteView,
  type Rule,
} from '@calvetta/core';
import { randomMeans, randomSurvey } from '../core/src/route/test/surveys.ts';
import { PLAIN } from '../core/src/route/test/given.ts';
import { bestMs, type Line } from './print.ts';

const SURVEYS = 20_000;
/** A page judges at every touch and the server for months: what counts is the warm engine. */
const WARM_UP = 3000;

/** Against one pass over the same rules with empty bodies, for each route the advisor looks at. */
export function benchAdvice(): Line[] {
  const families = familiesOf([]);
  const empty: readonly Rule[] = RULES.map((r) => ({ ...r, check: () => null }));
  const views: RouteView[] = [['grit-blast'] as const].flatMap((acts) => {
    const steps = prepSteps(PLAIN, FULL_SHOP, acts);
    return systemsOf(families).map((s) =>
      viewOf(
        PLAIN,
        FULL_SHOP,
        [...steps, ...coatSteps(PLAIN, FULL_SHOP, layersOf(s, PLAIN, families), families)],
        families,
      ),
    );
  });
  let sink = 0;
  for (let k = 0; k < WARM_UP; k++)
    sink += advise({ survey: PLAIN, means: FULL_SHOP, families }).routes.length;
  const bare = bestMs(20, () => {
    for (let k = 0; k < 20; k++)
      for (const v of views) for (const r of empty) if (r.check(v) !== null) sink += 1;
  });
  const ours = bestMs(20, () => {
    for (let k = 0; k < 20; k++) sink += advise({ survey: PLAIN, means: FULL_SHOP, families }).routes.length;
  });
  const random = seededRandom(1);
  const start = performance.now();
  let advised = 0;
  for (let i = 0; i < SURVEYS; i++)
    if (advise({ survey: randomSurvey(random), means: randomMeans(random), families }).routes.length > 0)
      advised += 1;
  const seconds = (performance.now() - start) / 1000;
  return [
    { what: `baseline: empty rules over ${views.length} routes`, value: `${(bare / 20).toFixed(3)} ms` },
    {
      what: 'one advice',
      value: `${(ours / 20).toFixed(2)} ms (aim ≤ 3), ${(ours / bare).toFixed(0)} × the baseline${Number.isFinite(sink) ? '' : ' !'}`,
    },
    {
      what: `${SURVEYS} surveys`,
      value: `${seconds.toFixed(0)} s on one core (aim ≤ 60), ${advised} with a route`,
    },
  ];
}
