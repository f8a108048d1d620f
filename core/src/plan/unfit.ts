import { MINUTE_MS, type Span } from '../base/time.ts';
import type { Plan, PlanPart, PlanProblem, PlanSurface } from './problem.ts';
import { PlanWeather } from './weather.ts';

/** When the air of a place lets no coat be begun, as it is for the product that is laid there most. */
export interface Unfit {
  readonly placeId: string;
  readonly sheetName: string;
  readonly partName: string;
  readonly spans: readonly Span[];
}

const STEP_MS = 30 * MINUTE_MS;

/** A part's surface where it is coated. */
const surfaceIn = (part: PlanPart, placeId: string, atMs: number): PlanSurface =>
  part.carry?.placeId === placeId ? part.carry.surfaceFrom(atMs) : part.surface;

/**
 * Half hours of sessions in which the air keeps coats out: by place, for the sheet of most gun-loads there and the first part of them. Not
 * known counts as unfit. Pure.
 */
export function unfitOf(problem: PlanProblem, plan: Plan): readonly Unfit[] {
  const weather = new PlanWeather(problem);
  const ops = new Map(problem.parts.flatMap((p) => p.ops.map((o) => [o.opId, { part: p, op: o }] as const)));
  const placeIds = [...new Set(plan.runs.map((r) => r.placeId))];
  return placeIds.flatMap((placeId): Unfit[] => {
    const runs = plan.runs.filter((r) => r.placeId === placeId);
    const loads = (sheetId: string): number => runs.filter((r) => r.sheetId === sheetId).length;
    const most = [...runs].sort((a, b) => loads(b.sheetId) - loads(a.sheetId))[0]!;
    const first = ops.get(most.opIds[0]!);
    if (!first) return [];
    const { part, op } = first;
    const { sheet } = op.coat!;
    const surface = surfaceIn(part, placeId, problem.nowMs);
    const isOut = (fromMs: number): boolean =>
      !['pass', 'marginal'].includes(weather.verdict(surface, sheet, fromMs, fromMs + STEP_MS).status);
    const spans = problem.sessions.flatMap((s) => outIn(s, isOut));
    return [{ placeId, sheetName: sheet.name, partName: part.name, spans }];
  });
}

function outIn(session: Span, isOut: (fromMs: number) => boolean): Span[] {
  const out: { fromMs: number; toMs: number }[] = [];
  for (let fromMs = session.fromMs; fromMs < session.toMs; fromMs += STEP_MS) {
    if (!isOut(fromMs)) continue;
    const toMs = Math.min(fromMs + STEP_MS, session.toMs);
    const last = out[out.length - 1];
    if (last?.toMs === fromMs) last.toMs = toMs;
    else out.push({ fromMs, toMs });
  }
  return out;
}
