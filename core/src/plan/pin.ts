import { checkPlan } from './check.ts';
import { coatOpIdOf } from './ids.ts';
import { makePlans, placedLike, plannedBefore, replaced, type MadePlan } from './make.ts';
import type { Binding, Plan, PlanPin, PlanProblem } from './problem.ts';

/** What becomes of a pin: the plan with it, or why not and the nearest session that would do. */
export type PinAnswer =
  | { readonly holds: true; readonly made: MadePlan; readonly problem: PlanProblem }
  | { readonly holds: false; readonly binds: Binding | null; readonly nearestMs: number | null };

/** Sessions tried on either side of one that will not do. */
const NEAR = 8;

const partOf = (opId: string): string => opId.split('/')[0]!;

/** Parts in the order in which a plan begins them: what making it again starts from, so that as little as possible moves. */
export function orderOf(plan: Plan): string[] {
  const begun = new Map<string, number>();
  for (const i of plan.items) {
    const atMs = i.spans[0]!.fromMs;
    begun.set(partOf(i.opId), Math.min(begun.get(partOf(i.opId)) ?? Infinity, atMs));
  }
  return [...begun].sort((a, b) => a[1] - b[1] || (a[0] < b[0] ? -1 : 1)).map(([id]) => id);
}

const withPin = (problem: PlanProblem, pin: PlanPin): PlanProblem => ({
  ...problem,
  ask: { ...problem.ask, pins: [...problem.ask.pins.filter((p) => p.opId !== pin.opId), pin] },
});

/** Whether it holds: its part is wholly placed, nothing is left out that was in, and the checker has nothing against it. */
const isGood = (problem: PlanProblem, before: MadePlan, made: MadePlan, partId: string): boolean =>
  !made.plan.left.some((l) => l.partId === partId) &&
  made.plan.left.length <= before.plan.left.length &&
  checkPlan(problem, made.plan).length === 0;

/** The plan with one pin more: the part alone placed anew, else everything with the part first. Null: it does not hold. */
function pinned(problem: PlanProblem, before: MadePlan, pin: PlanPin, mayMoveAll: boolean): PinAnswer | null {
  const asked = withPin(problem, pin);
  const partId = partOf(pin.opId);
  const alone = replaced(asked, before, new Set([partId]));
  if (isGood(asked, before, alone, partId)) return { holds: true, made: alone, problem: asked };
  if (!mayMoveAll) return null;
  const order = orderOf(before.plan).filter((id) => id !== partId);
  const from = [partId, ...order];
  const all = [placedLike(asked, from, before.plan), makePlans(asked, from).next().value.best]
    .filter((made) => isGood(asked, before, made, partId))
    .sort((a, b) => a.cost.total - b.cost.total)[0];
  return all ? { holds: true, made: all, problem: asked } : null;
}

/**
 * Moves a piece of work to a session and keeps it there, with as little else moved as will do. A pin that cannot hold is not taken:
 * what binds the work is said, and the nearest session that would do. Pure.
 */
export function tryPin(problem: PlanProblem, plan: Plan, pin: PlanPin): PinAnswer {
  const before = plannedBefore(problem, plan);
  const held = pinned(problem, before, pin, true);
  if (held) return held;
  const at = problem.sessions.findIndex((s) => s.fromMs === pin.sessionMs);
  const near = problem.sessions
    .map((s, i) => ({ ms: s.fromMs, away: Math.abs(i - at) }))
    .filter((s) => s.away > 0 && s.away <= NEAR)
    .sort((a, b) => a.away - b.away || a.ms - b.ms);
  const nearest = near.find((s) => pinned(problem, before, { ...pin, sessionMs: s.ms }, false));
  const item = plan.items.find((i) => i.opId === coatOpIdOf(pin.opId));
  return { holds: false, binds: item?.binds ?? null, nearestMs: nearest?.ms ?? null };
}
