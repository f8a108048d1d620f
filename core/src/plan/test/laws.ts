import { DAY_MS, MINUTE_MS } from '../../base/time.ts';
import { boundOf } from '../bound.ts';
import { orderOf } from '../pin.ts';
import { checkPlan } from '../check.ts';
import { isMend } from '../ids.ts';
import { makePlans, repaired, replaced, type MadePlan, type MakingStep } from '../make.ts';
import type { Plan, PlanProblem } from '../problem.ts';
import { LAW_NAMES, movedBy, type LawName, type LawsFound } from './lawNames.ts';
import { randomShop } from './shop.ts';

/** Two of five begin a few days before a night of clock change. */
const NOWS = [
  '2026-03-05T17:00Z',
  '2026-03-26T17:00Z',
  '2026-10-22T12:00Z',
  '2026-07-01T08:00Z',
  '2026-12-20T20:00Z',
];
const PLANS = 5;

const startOf = (plan: Plan, opId: string): number =>
  plan.items.find((i) => i.opId === opId)!.spans[0]!.fromMs;

function search(p: PlanProblem): MakingStep[] {
  const plans = makePlans(p);
  return Array.from({ length: PLANS }, () => plans.next().value);
}

/** A plan with a piece of work taken out, and one moved before the piece that it follows, are no plans. */
function spoil(p: PlanProblem, plan: Plan, where: (law: LawName) => void): void {
  for (const part of p.parts) {
    const placed = part.ops.filter((o) => plan.items.some((i) => i.opId === o.opId));
    const [first, next] = placed;
    if (!first || !next || part.ops[1] !== next) continue;
    const without = { ...plan, items: plan.items.filter((i) => i.opId !== first.opId) };
    if (!checkPlan(p, without).some((b) => b.code === 'order' || b.code === 'run'))
      where('work left out is caught');
    const by = startOf(plan, first.opId) - startOf(plan, next.opId) - 5 * MINUTE_MS;
    if (checkPlan(p, movedBy(plan, next.opId, by)).length === 0)
      where('work moved before what it waits for is caught');
    return;
  }
}

/** Places one part of a plan anew. */
function anew(p: PlanProblem, best: MadePlan, i: number, where: (law: LawName, what?: string) => void): void {
  const { partId } = p.parts[i % p.parts.length]!;
  const law = 'one part placed anew leaves the others where they are, and breaks nothing';
  const made = replaced(p, best, new Set([partId]));
  const breaches = checkPlan(p, made.plan);
  if (breaches.length > 0) where(law, JSON.stringify(breaches[0]));
  const others = (plan: Plan): string[] =>
    plan.items
      .filter((x) => !x.opId.startsWith(`${partId}/`))
      .map((x) => `${x.opId} ${JSON.stringify(x.spans)}`);
  if (others(made.plan).sort().join() !== others(best.plan).sort().join()) where(law, 'others moved');
}

/** Reads a plan nine days on, when nothing of it was done: everything of those days is late. */
function readLater(p: PlanProblem, plan: Plan, where: (law: LawName, what?: string) => void): void {
  const nowMs = p.nowMs + 9 * DAY_MS;
  const later = { ...p, nowMs, sessions: p.sessions.filter((s) => s.fromMs > nowMs) };
  const { made } = repaired(later, plan);
  const breaches = checkPlan(later, made.plan);
  if (breaches.length > 0)
    where('a plan read days later is mended so that it holds', JSON.stringify(breaches[0]));
}

/** Makes and judges plans of random shops from `first` on: which laws of docs/plan.md broke, and where. */
export function lawsOver(first: number, count: number): LawsFound {
  const broken = Object.fromEntries(LAW_NAMES.map((n) => [n, [] as string[]])) as Record<LawName, string[]>;
  let coats = 0;
  let mends = 0;
  let whole = 0;
  for (let i = first; i < first + count; i++) {
    const where = (law: LawName, what = ''): void => void broken[law].push(`shop ${i} ${what}`);
    const shop = (): PlanProblem => randomShop(i * 7919, Date.parse(NOWS[i % NOWS.length]!));
    const p = shop();
    const steps = search(p);
    for (const s of steps) {
      const breaches = checkPlan(p, s.last.plan);
      if (breaches.length > 0) where('no plan that is made breaks anything', JSON.stringify(breaches[0]));
    }
    if (steps.some((s, k) => k > 0 && s.best.cost.total > steps[k - 1]!.best.cost.total))
      where('a plan never gets worse as the search goes on');
    const { plan, reading, cost } = steps[PLANS - 1]!.best;
    if (i % 4 === 0 && JSON.stringify(search(shop())[PLANS - 1]!.best.plan) !== JSON.stringify(plan))
      where('the same shop and seed make the same plan');
    spoil(p, plan, where);
    readLater(p, plan, where);
    anew(p, steps[PLANS - 1]!.best, i, where);
    const bound = boundOf(p, 'm');
    if (reading.finishedMs.size === p.parts.length) {
      whole++;
      if (bound === null || Math.max(...reading.finishedMs.values()) < bound - 1)
        where('no machine is done before its bound', `${bound} ${cost.total}`);
    }
    const more = { ...p, sessions: p.sessions.map((s) => ({ ...s, people: s.people + 1 })) };
    if (checkPlan(more, plan).length > 0) where('more people in every session never break a plan that held');
    const then = makePlans(more, orderOf(plan), plan).next().value.best;
    if (then.cost.total > cost.total)
      where('more people in every session never make a plan dearer', `${then.cost.total} for ${cost.total}`);
    coats += reading.coats.size;
    mends += plan.items.filter((x) => isMend(x.opId)).length;
  }
  return { shops: count, coats, mends, whole, broken };
}
