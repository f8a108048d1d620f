import type { Plan, PlanAsk } from '@calvetta/core';
import type { PlanInput, StoredPlan } from '@calvetta/contract';
import type { Db } from '../db/db.ts';

interface Row {
  readonly plan_id: string;
  readonly version: number;
  readonly person_id: string;
  readonly made_at: Date;
  readonly ask: PlanAsk;
  readonly plan: Plan;
}
const planOf = (r: Row): StoredPlan => ({
  planId: r.plan_id,
  version: r.version,
  personId: r.person_id,
  madeAtMs: r.made_at.getTime(),
  ask: r.ask,
  plan: r.plan,
});
const COLUMNS = 'plan_id, version, person_id, made_at, ask, plan';

/** The plan that holds. */
export async function newestPlan(db: Db, workshopId: string): Promise<StoredPlan | null> {
  const { rows } = await db.query<Row>(
    `select ${COLUMNS} from plan where workshop_id = $1 order by version desc limit 1`,
    [workshopId],
  );
  return rows[0] ? planOf(rows[0]) : null;
}

/** One that was kept under this id. */
export async function planById(db: Db, workshopId: string, planId: string): Promise<StoredPlan | null> {
  const { rows } = await db.query<Row>(
    `select ${COLUMNS} from plan where workshop_id = $1 and plan_id = $2`,
    [workshopId, planId],
  );
  return rows[0] ? planOf(rows[0]) : null;
}

/** Keeps one after the version it was made from; false when somebody else's came between. */
export async function insertPlan(
  db: Db,
  workshopId: string,
  input: PlanInput,
  madeAtMs: number,
): Promise<boolean> {
  const { planId, version, personId, ask, plan } = input;
  const r = await db.query(
    `insert into plan (workshop_id, version, plan_id, person_id, made_at, ask, plan)
     select $1, $2 + 1, $3, $4, $5, $6, $7
      where $2 = coalesce((select max(version) from plan where workshop_id = $1), 0)
     on conflict do nothing`,
    [workshopId, version, planId, personId, new Date(madeAtMs), JSON.stringify(ask), JSON.stringify(plan)],
  );
  return r.rowCount === 1;
}
