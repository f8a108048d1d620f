import { parentPort, workerData } from 'node:worker_threads';
import {
  deriveShop,
  makePlans,
  planProblem,
  shopStateOf,
  type Plan,
  type PlanAsk,
  type SnapshotSource,
} from '@calvetta/core';

/** What is planned, and how many plans are tried: always as many, so that it is always the same plan. */
export interface PlanJob {
  readonly source: SnapshotSource;
  readonly ask: PlanAsk;
  readonly tries: number;
}

const { source, ask, tries } = workerData as PlanJob;
const snapshot = deriveShop(shopStateOf(source.shop), source.air, source.nowMs);
const plans = makePlans(planProblem(snapshot, source.air, ask));
let { best } = plans.next().value;
for (let i = 1; i < tries; i++) ({ best } = plans.next().value);
parentPort!.postMessage(best.plan satisfies Plan);
