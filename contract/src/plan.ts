import type { NamedBuyLine, Plan, PlanAsk } from '@calvetta/core';

/** A plan as it was made and kept: what was asked, what came of it, by whom and when. The newest holds. */
export interface StoredPlan {
  readonly planId: string;
  readonly version: number;
  readonly madeAtMs: number;
  readonly personId: string;
  readonly ask: PlanAsk;
  readonly plan: Plan;
}
export interface PlanResponse {
  readonly plan: StoredPlan | null;
}
/** What the plan that holds takes and the shelf does not have by then; none: there is no plan, or nothing is short. */
export interface PlanBuyResponse {
  readonly nowMs: number;
  readonly lines: readonly NamedBuyLine[];
}
/** Where a person's own calendar asks, shown this once. */
export interface FeedToken {
  readonly path: string;
}
/** A plan as a page sends it. `version`: of the plan it takes the place of; 0: there was none. */
export interface PlanInput {
  readonly planId: string;
  readonly version: number;
  readonly personId: string;
  readonly ask: PlanAsk;
  readonly plan: Plan;
}
