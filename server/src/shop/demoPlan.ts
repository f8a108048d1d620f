import { once } from 'node:events';
import { extname } from 'node:path';
import { Worker } from 'node:worker_threads';
import { dayAfter, plainAsk, type Plan, type PlanAsk } from '@calvetta/core';
import type { Deps } from '../deps.ts';
import { insertPlan } from '../plan/plan.sql.ts';
import { write } from '../write.ts';
import type { PlanJob } from './demoPlan.worker.ts';

/** The gala is so many weeks away, and the plan looks a little further. */
const [GALA_WEEKS, WEEKS] = [15, 17];
/** So many plans are tried. */
const TRIES = 3;

/** Its file beside this one: of the sources where they run, of the build where that does. */
const WORKER = new URL(`./demoPlan.worker${extname(import.meta.url)}`, import.meta.url);

export interface DemoPlanner {
  /** Begins to plan the demo that was loaded; whoever loaded it looks round meanwhile. */
  begin(): Promise<void>;
  /** The demo is gone: its plan is nobody's. */
  stop(): Promise<void>;
}

/**
 * Plans the demo's machines towards a gala in the works: as each of its people comes, in the booth. Kept as a plan of theirs. It takes
 * some seconds of a processor, so it goes on beside the server, which answers all the while.
 */
export function demoPlanner(deps: Deps): DemoPlanner {
  let running: Worker | null = null;
  const keep = async (workshopId: string, ask: PlanAsk, plan: Plan): Promise<void> => {
    const input = { planId: deps.newId(), version: 0, personId: 'ines', ask, plan };
    await write(deps, (tx) => insertPlan(tx, workshopId, input, deps.nowMs()), { topic: 'plan' });
  };
  return {
    async begin() {
      const source = await deps.model.source();
      if (!source) return;
      const { workshop, machines } = source.shop;
      const due = dayAfter(workshop.zone, source.nowMs, 7 * GALA_WEEKS);
      const plain = plainAsk(machines.map((m) => m.machineId));
      const ask: PlanAsk = {
        ...plain,
        machines: plain.machines.map((m) => ({ ...m, dueDay: due })),
        weeks: WEEKS,
        people: null,
        coatPlaceId: 'booth',
        roomM2: 14,
        seed: 7,
      };
      const worker = new Worker(WORKER, { workerData: { source, ask, tries: TRIES } satisfies PlanJob });
      running = worker;
      // A server that is told to end does not wait for it.
      worker.unref();
      // A demo without its plan is a demo still.
      once(worker, 'message')
        .then(([plan]) => (running === worker ? keep(workshop.workshopId, ask, plan as Plan) : undefined))
        .catch((error: unknown) => deps.log.warn({ err: String(error) }, 'the demo could not be planned'));
    },
    async stop() {
      await running?.terminate();
      running = null;
    },
  };
}
