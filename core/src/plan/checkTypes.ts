import { MINUTE_MS, type Span } from '../base/time.ts';
import type { Plan, PlanItem, PlanOp, PlanProblem } from './problem.ts';

/**
 * Judges any plan by itself: it knows nothing of how plans are made, and asks the clocks, the air and the sheets directly. A plan that
 * is shown, dragged or brought in passes here first.
 */
export const BREACHES = [
  'unknown-work',
  'twice',
  'order',
  'too-short',
  'split',
  'session',
  'people',
  'too-few',
  'painters',
  'stage',
  'opens',
  'shut',
  'air',
  'bare',
  'dust',
  'isocyanate',
  'fire',
  'oil',
  'room',
  'thing',
  'run',
  'pot-life',
  'pin',
] as const;
export type BreachCode = (typeof BREACHES)[number];
/** One thing that a plan does against a hard constraint: how it is, and how it would have to be, as instants or amounts. */
export interface Breach {
  readonly code: BreachCode;
  readonly opIds: readonly string[];
  readonly figure: number | null;
  readonly limit: number | null;
}

/** Edges are compared to the second: they are written to it. */
export const NEAR_MS = 1000;
export const SETTLES_MS = 30 * MINUTE_MS;

export const startOf = (i: PlanItem): number => i.spans[0]!.fromMs;
export const endOf = (i: PlanItem): number => i.spans[i.spans.length - 1]!.toMs;
export const overlap = (a: Span, b: Span): boolean => a.fromMs < b.toMs && b.fromMs < a.toMs;

/** A coat as laid by the plan. */
export interface Coated {
  readonly op: PlanOp;
  readonly item: PlanItem;
  readonly placeId: string;
  readonly touchMs: number;
  readonly handleMs: number;
}
export interface Worked {
  readonly item: PlanItem;
  readonly placeId: string;
  readonly isDust: boolean;
  readonly isHot: boolean;
  readonly usesSolvent: boolean;
  readonly oils: boolean;
}
/** Metal that lay bare in a place until it was coated, or carried away. */
export interface Bared extends Span {
  readonly opId: string;
  readonly placeId: string;
}
export interface Judged {
  readonly problem: PlanProblem;
  readonly plan: Plan;
  readonly items: ReadonlyMap<string, PlanItem>;
  readonly out: Breach[];
  readonly coats: Coated[];
  readonly works: Worked[];
  readonly bared: Bared[];
}

export function say(
  j: Judged,
  code: BreachCode,
  opIds: readonly string[],
  figure: number | null,
  limit: number | null,
) {
  j.out.push({ code, opIds, figure, limit });
}
