import { readFileSync } from 'node:fs';
import {
  deriveShop,
  makePlans,
  passOrder,
  planProblem,
  planView,
  shopStateOf,
  type PlanAsk,
} from '@calvetta/core';
import type { ShopFile } from '@calvetta/contract';
import { airAt, recordAt } from '../demo/alive.ts';
import { bestMs, type Line } from './print.ts';

const ASK: PlanAsk = {
  machines: [{ machineId: 'quarry', dueDay: null, weight: 1 }],
  weeks: 12,
  people: 2,
  painters: 1,
  coatPlaceId: 'booth',
  roomM2: null,
  goal: 'balanced',
  pins: [],
  lost: [],
  heat: [],
  seed: 1,
};
/** A gun-load of eleven parts, three passes each, after its greedy order alone. */
const LOAD = Array.from({ length: 11 }, (_, k) => ({
  id: `p${k}`,
  left: 3,
  minutes: 3 + (k % 5),
  readyMs: 0,
}));

/** Against deriving the whole demo once: what every change of the shop costs anyhow. */
export function benchPlan(): Line[] {
  const file = JSON.parse(
    readFileSync(new URL('../demo/scenario/shop.json', import.meta.url), 'utf8'),
  ) as ShopFile;
  const nowMs = Date.parse(file.asOf);
  const air = airAt(file, nowMs);
  const shop = shopStateOf(recordAt(file, nowMs));
  const derive = bestMs(3, () => void deriveShop(shop, air, nowMs));
  const snapshot = deriveShop(shop, air, nowMs);
  const cold = bestMs(3, () => {
    const problem = planProblem(snapshot, air, ASK);
    makePlans(problem).next();
  });
  const problem = planProblem(snapshot, air, ASK);
  const plans = makePlans(problem);
  const first = plans.next().value;
  const start = performance.now();
  const costs: string[] = [];
  let step = first;
  for (const seconds of [1, 5, 15]) {
    while (performance.now() - start < seconds * 1000) step = plans.next().value;
    costs.push(`${seconds} s ${step.best.cost.total}`);
  }
  const perPlan = (performance.now() - start) / (step.tried - 1);
  const view = bestMs(5, () => void planView(snapshot, problem, step.best));
  const passes = bestMs(5, () => void passOrder(LOAD, 0, 600_000));
  const ops = problem.parts.reduce((sum, p) => sum + p.ops.length, 0);
  const over = (ms: number): string => `${ms.toFixed(1)} ms, ${(ms / derive).toFixed(2)} × a derivation`;
  return [
    { what: 'deriving the demo once (baseline)', value: `${derive.toFixed(0)} ms` },
    {
      what: `first plan, nothing known yet: ${problem.parts.length} parts, ${ops} pieces of work`,
      value: over(cold),
    },
    { what: 'one more plan, once tracks are known', value: over(perPlan) },
    { what: 'judging and drawing up a plan (checker, bound)', value: over(view) },
    { what: 'order of the passes of eleven parts, three each', value: over(passes) },
    { what: 'cost as the search goes on', value: `first ${first.best.cost.total}, ${costs.join(', ')}` },
  ];
}
