import { plannedFor } from '../bench/face.ts';
import { standingFacts } from '../facts/part.ts';
import { seenSinceStripped } from '../facts/prep.ts';
import { familiesOf } from '../products/catalogue/index.ts';
import { stepChanged } from '../route/editing.ts';
import { judgeRoute } from '../route/judge.ts';
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

type Against = Pick<KeptProduct, 'refusals' | 'asks'>;

/** What the rules have against these steps that they do not have against the route as it is. A question nobody has answered is no pass. */
function newlyAgainst(snapshot: Snapshot, part: DerivedPart, steps: readonly RouteStep[]): Against {
  const { shop } = snapshot;
  const standing = standingFacts(part.facts);
  const seen = seenSinceStripped(standing);
  const input = {
    survey: newestSurvey(part)!,
    means: shop.workshop.means,
    families: familiesOf([...shop.sheets.values()]),
    rules: RULES,
    ...(seen ? { seen } : {}),
  };
  const was = judgeRoute({ ...input, steps: routeSetOf(standing)!.body.steps });
  const is = judgeRoute({ ...input, steps });
  const known = new Set([...was.refusals, ...was.open].map((r) => r.ruleId));
  const isNew = (r: { readonly ruleId: string }): boolean => !known.has(r.ruleId);
  return {
    refusals: is.refusals.filter(isNew),
    asks: [...new Set(is.open.filter(isNew).flatMap((q) => q.asks))],
  };
}

interface Changed {
  readonly part: DerivedPart;
  readonly kept: KeptProduct | null;
}
/** A plan is lived through in nine cases of the air, and none changes what the rules say. */
const judged = new WeakMap<DerivedPart, Map<string, Changed>>();

/**
 * A part as it would be with another product in its coats to come; as it is where nothing of the one is to come; or why it keeps what it
 * has. The route is judged by the same rules as one that is edited by hand. Pure.
 */
export function withProduct(
  snapshot: Snapshot,
  part: DerivedPart,
  product: NonNullable<PlanAsk['product']>,
): Changed {
  let known = judged.get(part);
  if (!known) judged.set(part, (known = new Map<string, Changed>()));
  const key = `${product.from}>${product.to}`;
  let changed = known.get(key);
  if (!changed) known.set(key, (changed = change(snapshot, part, product)));
  return changed;
}

function change(
  snapshot: Snapshot,
  part: DerivedPart,
  { from, to }: NonNullable<PlanAsk['product']>,
): Changed {
  const { shop } = snapshot;
  const standing = standingFacts(part.facts);
  const route = routeSetOf(standing)?.body.steps ?? null;
  const { partId, name } = part.row;
  const survey = newestSurvey(part);
  if (!route || !survey) {
    const isAsked = part.planned.some((c) => c.sheet.productId === from);
    return { part, kept: isAsked ? { partId, name, refusals: [], asks: [], isUnjudged: true } : null };
  }
  const at = openSteps(part, route, from);
  if (at.length === 0) return { part, kept: null };
  const families = familiesOf([...shop.sheets.values()]);
  const context = { survey, means: shop.workshop.means, families };
  const steps = at.reduce<readonly RouteStep[]>(
    (done, i) => stepChanged(context, done, i, { familyId: to }),
    route,
  );
  const against = newlyAgainst(snapshot, part, steps);
  if (against.refusals.length + against.asks.length > 0)
    return { part, kept: { partId, name, ...against, isUnjudged: false } };
  const rows = stepRows(partId, steps, shop.sheets);
  const planned = [...coatsBeforeRoute(standing, shop.sheets), ...plannedCoats(rows, shop.sheets)];
  return { part: { ...part, steps: rows, planned }, kept: null };
}
