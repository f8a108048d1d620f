import { readFileSync } from 'node:fs';
import highsLoader from 'highs';
import {
  deriveShop,
  dragLimit,
  makePlans,
  passOrder,
  plainAsk,
  planProblem,
  planView,
  shopStateOf,
  type PlanAsk,
  type PlanProblem,
  type Snapshot,
} from '@calvetta/core';
import type { ShopFile } from '@calvetta/contract';
import { asProgramme, smallShop } from '../core/src/plan/test/exact.ts';
import { airAt, recordAt } from '../demo/alive.ts';
import { bestMs, type Line } from './print.ts';

const FLEET = ['quarry', 'saltern', 'fenland', 'pump', 'van'];
const ask = (machineIds: readonly string[], weeks: number, people: number): PlanAsk =>
  plainAsk(machineIds, { weeks, people, painters: Math.ceil(people / 2), coatPlaceId: 'booth' });
/** A gun-load of eleven parts, three passes each, after its greedy order alone. */
const LOAD = Array.from({ length: 11 }, (_, k) => ({
  id: `p${k}`,
  left: 3,
  minutes: 3 + (k % 5),
  readyMs: 0,
}));

/** Against deriving the whole demo once: what every change of the shop costs anyhow. */
export async function benchPlan(): Promise<Line[]> {
  const file = JSON.parse(
    readFileSync(new URL('../demo/scenario/shop.json', import.meta.url), 'utf8'),
  ) as ShopFile;
  const nowMs = Date.parse(file.asOf);
  const air = airAt(file, nowMs);
  const shop = shopStateOf(recordAt(file, nowMs));
  const derive = bestMs(3, () => void deriveShop(shop, air, nowMs));
  const snapshot = deriveShop(shop, air, nowMs);
  const over = (ms: number): string => `${ms.toFixed(1)} ms, ${(ms / derive).toFixed(2)} × a derivation`;
  const loco = planProblem(snapshot, air, ask(['quarry'], 12, 2));
  const cold = bestMs(3, () => {
    makePlans(planProblem(snapshot, air, ask(['quarry'], 12, 2))).next();
  });
  const view = planView(snapshot, loco, makePlans(loco).next().value.best);
  const coat = view.lanes.flatMap((l) => l.blocks).find((b) => b.coat)!;
  const drag = bestMs(20, () => {
    for (const s of view.sessions) dragLimit(view, coat.opId, s);
  });
  const passes = bestMs(5, () => void passOrder(LOAD, 0, 600_000));
  return [
    { what: 'deriving the demo once (baseline)', value: `${derive.toFixed(0)} ms` },
    { what: `one locomotive, ${sizeOf(loco)}: first plan, nothing known yet`, value: over(cold) },
    ...search('the five machines', planProblem(snapshot, air, ask(FLEET, 16, 3)), snapshot, over),
    ...search(
      'six such works in one',
      many(planProblem(snapshot, air, ask(FLEET, 26, 10)), 6),
      snapshot,
      over,
    ),
    {
      what: `a drag: what speaks against one of ${view.sessions.length} sessions`,
      value: `${((drag * 1000) / view.sessions.length).toFixed(1)} µs of a frame of 16 667`,
    },
    { what: 'order of the passes of eleven parts, three each', value: over(passes) },
    { what: 'sixty small shops, 1.5 s each, against an exact solver', value: await againstExact() },
  ];
}

const sizeOf = ({ parts }: PlanProblem): string =>
  `${parts.length} parts, ${parts.reduce((sum, p) => sum + p.ops.length, 0)} pieces of work`;

/** So many copies of all parts under names of their own. */
function many(p: PlanProblem, n: number): PlanProblem {
  const parts = Array.from({ length: n }, (_, k) => k).flatMap((k) =>
    p.parts.map((part) => ({
      ...part,
      partId: `${part.partId}-${k}`,
      ops: part.ops.map((o) => ({
        ...o,
        opId: copyId(o.opId, k),
        partId: `${part.partId}-${k}`,
        coat: o.coat && {
          ...o.coat,
          on: o.coat.on.map((u) => (u.kind === 'op' ? { ...u, opId: copyId(u.opId, k) } : u)),
        },
      })),
    })),
  );
  return { ...p, parts };
}
const copyId = (opId: string, k: number): string => opId.replace(/^[^/]+/, (partId) => `${partId}-${k}`);

/** The search on one shop: when there is a first plan, how it gets on, and what judging it costs. */
function search(
  name: string,
  problem: PlanProblem,
  snapshot: Snapshot,
  over: (ms: number) => string,
): Line[] {
  const begun = performance.now();
  const plans = makePlans(problem);
  let step = plans.next().value;
  const firstMs = performance.now() - begun;
  const first = step.best;
  const from = performance.now();
  const costs: string[] = [];
  for (const seconds of [1, 5, 30]) {
    while (performance.now() - from < seconds * 1000) step = plans.next().value;
    costs.push(`${seconds} s ${step.best.cost.total}`);
  }
  const each = (performance.now() - from) / Math.max(1, step.tried - 1);
  const drawn = bestMs(3, () => void planView(snapshot, problem, step.best));
  const view = planView(snapshot, problem, step.best);
  const days = view.machines.flatMap((m) =>
    m.doneMs === null || m.boundMs === null
      ? []
      : [
          `${((m.doneMs - view.nowMs) / 86_400_000).toFixed(0)} (${((m.boundMs - view.nowMs) / 86_400_000).toFixed(0)})`,
        ],
  );
  return [
    { what: `${name}, ${sizeOf(problem)}: first plan`, value: over(firstMs) },
    { what: `${name}: one more plan`, value: over(each) },
    {
      what: `${name}: cost as the search goes on`,
      value: `first ${first.cost.total}, ${costs.join(', ')}; parts left out ${first.plan.left.length} -> ${step.best.plan.left.length}`,
    },
    {
      what: `${name}: days until machines wholly planned are done (no plan can before)`,
      value: days.length === 0 ? 'none is wholly planned' : days.join(', '),
    },
    { what: `${name}: judging and drawing up a plan (checker, bound)`, value: over(drawn) },
  ];
}

/** How often a plan of a second and a half is as cheap as can be, and how much dearer it is at most. */
async function againstExact(): Promise<string> {
  const highs = await highsLoader();
  let [equal, worst, solverMs] = [0, 0, 0];
  for (let seed = 1; seed <= 60; seed++) {
    const shop = smallShop(seed);
    const begun = performance.now();
    const exact = Math.round(highs.solve(asProgramme(shop), { mip_rel_gap: 0 }).ObjectiveValue);
    solverMs += performance.now() - begun;
    const plans = makePlans(shop.problem);
    let step = plans.next().value;
    const until = performance.now() + 1500;
    while (performance.now() < until && step.best.cost.total > exact) step = plans.next().value;
    const by = step.best.cost.total / exact - 1;
    if (by <= 0) equal++;
    worst = Math.max(worst, by);
  }
  return `${equal} of 60 equal, at most ${(worst * 100).toFixed(1)} % dearer; the solver took ${(solverMs / 60).toFixed(0)} ms each`;
}
