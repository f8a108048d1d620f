import { dayAfter, makePlans, plainAsk, planProblem, type PlanAsk } from '@calvetta/core';
import type { Deps } from '../deps.ts';
import { insertPlan } from '../plan/plan.sql.ts';
import { write } from '../write.ts';

/** The gala is so many weeks away, and the plan looks a little further. */
const [GALA_WEEKS, WEEKS] = [15, 17];
/** So many plans are tried while somebody waits for the demo; always as many, so that it is always the same plan. */
const TRIED = 3;

/** The demo's machines planned towards a gala in the works: as each of its people comes, in the booth. Kept as a plan of theirs. */
export async function planDemo(deps: Deps): Promise<void> {
  const [snapshot, source] = [await deps.model.snapshot(), await deps.model.source()];
  if (!snapshot || !source) return;
  const { shop } = snapshot;
  const due = dayAfter(shop.workshop.zone, source.nowMs, 7 * GALA_WEEKS);
  const plain = plainAsk(shop.machines.map((m) => m.machineId));
  const ask: PlanAsk = {
    ...plain,
    machines: plain.machines.map((m) => ({ ...m, dueDay: due })),
    weeks: WEEKS,
    people: null,
    coatPlaceId: 'booth',
    roomM2: 14,
    seed: 7,
  };
  const plans = makePlans(planProblem(snapshot, source.air, ask));
  let { best } = plans.next().value;
  for (let i = 1; i < TRIED; i++, best = plans.next().value.best)
    // Whoever else asks has an answer between two plans.
    await new Promise((next) => setImmediate(next));
  const input = { planId: deps.newId(), version: 0, personId: 'ines', ask, plan: best.plan };
  await write(deps, (tx) => insertPlan(tx, shop.workshop.workshopId, input, deps.nowMs()), { topic: 'plan' });
}
