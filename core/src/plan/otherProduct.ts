import { plannedFor } from '../bench/face.ts';
import { standingFacts } from '../facts/part.ts';
import { seenSinceStripped } from '../facts/prep.ts';
import { familiesOf } from '../products/catalogue/index.ts';
import { stepChanged } from '../route/editing.ts';
import { judgeRoute, type Reason } from '../route/judge.ts';
import type { RouteStep } from '../route/route.ts';
import { RULES } from '../route/rules/index.ts';
import type { DerivedPart } from '../shop/part.ts';
import { coatsBeforeRoute, plannedCoats, routeSetOf, stepRows } from '../shop/route.ts';
import type { Snapshot } from '../shop/snapshot.ts';
import { newestSurvey } from '../shop/survey.ts';
import type { KeptProduct, PlanAsk } from './problem.ts';

/** Steps of a product none of whose coats are on yet. */
function openSteps(part: DerivedPart, steps: readonly RouteStep[], familyId: string): number[] {
  const isBegun = (stepId: string): boolean =>
    part.state.faces.some((f) =>
      plannedFor(part.planned, f.face)
        .slice(0, f.coats.length)
        .some((c) => c.stepId === stepId),
    );
  return steps.flatMap((s, i) => (s.familyId === familyId && s.coats > 0 && !isBegun(s.stepId) ? [i] : []));
}

/** What the rules have against these steps that they do not have against the route as it is. */
function newRefusals(snapshot: Snapshot, part: DerivedPart, steps: readonly RouteStep[]): readonly Reason[] {
  const { shop } = snapshot;
  const survey = newestSurvey(part)!;
  const seen = seenSinceStripped(standingFacts(part.facts));
  const judged = (of: readonly RouteStep[]): readonly Reason[] => {
    const families = familiesOf([...shop.sheets.values()]);
    const input = { survey, means: shop.workshop.means, steps: of, families, rules: RULES };
    const { refusals, open } = judgeRoute({ ...input, ...(seen ? { seen } : {}) });
    // A question that nobody has answered is no pass.
    return [...refusals, ...open.map((q) => ({ ruleId: q.ruleId, data: {} }))];
  };
  const before = new Set(judged(routeSetOf(standingFacts(part.facts))!.body.steps).map((r) => r.ruleId));
  return judged(steps).filter((r) => !before.has(r.ruleId));
}

/**
 * A part as it would be with another product in its coats to come; as it is where nothing of the one is to come; or why it keeps what it
 * has. The route is judged by the same rules as one that is edited by hand. Pure.
 */
export function withProduct(
  snapshot: Snapshot,
  part: DerivedPart,
  { from, to }: NonNullable<PlanAsk['product']>,
): { readonly part: DerivedPart; readonly kept: KeptProduct | null } {
  const { shop } = snapshot;
  const standing = standingFacts(part.facts);
  const route = routeSetOf(standing)?.body.steps ?? null;
  const isTyped = part.planned.some((c) => c.sheet.productId === from);
  const { partId, name } = part.row;
  const survey = newestSurvey(part);
  if (!route || !survey) return { part, kept: isTyped ? { partId, name, refusals: [] } : null };
  const at = openSteps(part, route, from);
  if (at.length === 0) return { part, kept: null };
  const families = familiesOf([...shop.sheets.values()]);
  const context = { survey, means: shop.workshop.means, families };
  const steps = at.reduce<readonly RouteStep[]>(
    (done, i) => stepChanged(context, done, i, { familyId: to }),
    route,
  );
  const refusals = newRefusals(snapshot, part, steps);
  if (refusals.length > 0) return { part, kept: { partId, name, refusals } };
  const rows = stepRows(partId, steps, shop.sheets);
  const planned = [...coatsBeforeRoute(standing, shop.sheets), ...plannedCoats(rows, shop.sheets)];
  return { part: { ...part, steps: rows, planned }, kept: null };
}
