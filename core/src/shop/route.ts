import type { PlannedCoat } from '../bench/face.ts';
import { originMs } from '../facts/envelope.ts';
import { ofKind, type Fact, type FactOf } from '../facts/part.ts';
import { newestSheet } from '../products/newest.ts';
import type { ProductSheet } from '../products/sheet.ts';
import type { RouteStep } from '../route/route.ts';
import type { RouteStepRow } from './state.ts';

/** The route chosen last, or null when none was: then the typed one holds. */
export function routeSetOf(standing: readonly Fact[]): FactOf<'route-set'> | null {
  const sets = ofKind(standing, 'route-set');
  return sets[sets.length - 1] ?? null;
}

/** The steps of the chosen route, each coat with the newest sheet of its family. */
export function routeOf(
  standing: readonly Fact[],
  sheets: ReadonlyMap<string, ProductSheet>,
): RouteStepRow[] | null {
  const set = routeSetOf(standing);
  return set && stepRows(set.partId, set.body.steps, sheets);
}

/** Steps of a route as a part has them. */
export const stepRows = (
  partId: string,
  steps: readonly RouteStep[],
  sheets: ReadonlyMap<string, ProductSheet>,
): RouteStepRow[] =>
  steps.map((s, i) => ({
    partId,
    seq: i + 1,
    stepId: s.stepId,
    kind: s.kind,
    sheetId: s.familyId === undefined ? null : (newestSheet(sheets.values(), s.familyId)?.sheetId ?? null),
    coats: s.coats,
    dftUm: s.dftUm,
    what: s.what ?? null,
    hours: s.hours,
    waitHours: s.waitHours,
    cautions: s.cautions,
    ...(s.tool === undefined ? {} : { tool: s.tool }),
    ...(s.zoneId === undefined ? {} : { zoneId: s.zoneId }),
    ...(s.gate === undefined ? {} : { gate: s.gate }),
  }));

/**
 * Coats that were on when the route was chosen, as laid: a route chosen in the middle of the work is for what remains.
 * Stripping after them takes them off again.
 */
export function coatsBeforeRoute(
  standing: readonly Fact[],
  sheets: ReadonlyMap<string, ProductSheet>,
): PlannedCoat[] {
  const set = routeSetOf(standing);
  if (!set) return [];
  const stripped = standing.findLast((f) => f.kind === 'stripped');
  const sinceMs = stripped ? originMs(stripped) : -Infinity;
  return ofKind(standing, 'coated').flatMap((c, i): PlannedCoat[] => {
    const sheet = sheets.get(c.body.sheetId);
    if (!sheet || originMs(c) >= set.happenedAtMs || originMs(c) < sinceMs) return [];
    return [{ stepId: `on-${i + 1}`, sheet, dftUm: c.body.dftUm, coatNo: 1, ofCoats: 1 }];
  });
}

/** Zones of a route with paint of their own, in order: each is a face to the clocks. */
const paintedZones = (steps: readonly RouteStepRow[]): readonly string[] => [
  ...new Set(
    steps.flatMap((s) =>
      s.zoneId !== undefined && s.sheetId !== null && s.kind !== 'cavity' ? [s.zoneId] : [],
    ),
  ),
];

/** Faces of a part with its route: a painted zone is one more, as far as the clocks have faces. */
export const facesWith = (steps: readonly RouteStepRow[], faceCount: 1 | 2): 1 | 2 =>
  paintedZones(steps).length > 0 ? 2 : faceCount;

/** The route's coats one by one; those of a zone of its own on the face that is its. */
export function plannedCoats(
  steps: readonly RouteStepRow[],
  sheets: ReadonlyMap<string, ProductSheet>,
): PlannedCoat[] {
  const zones = paintedZones(steps);
  return steps.flatMap((step) => {
    const zone = step.zoneId === undefined ? -1 : zones.indexOf(step.zoneId);
    // The clocks know two faces: the outside and the first zone. What is beyond is on the route, and not on a clock.
    if (zone > 0) return [];
    const face = zones.length === 0 ? {} : ({ face: zone === 0 ? 'B' : 'A' } as const);
    const sheet = step.sheetId === null ? undefined : sheets.get(step.sheetId);
    if (!sheet) return [];
    return Array.from({ length: step.coats }, (_, i) => ({
      stepId: step.stepId,
      sheet,
      dftUm: step.dftUm ?? sheet.dftUm,
      coatNo: i + 1,
      ofCoats: step.coats,
      ...face,
    }));
  });
}
