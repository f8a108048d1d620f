import { DAY_MS, HOUR_MS, MINUTE_MS } from '../base/time.ts';
import { isMend } from './ids.ts';
import type { Plan, PlanGoal, PlanPart, PlanProblem } from './problem.ts';
import type { PlanReading } from './reading.ts';

/** What a plan costs, in points of a quarter of a mending minute: every line of the sum (docs/plan.md 11). */
export interface PlanCost {
  readonly total: number;
  readonly lines: readonly { readonly what: CostKind; readonly count: number; readonly points: number }[];
}
export const COST_KINDS = [
  'mends',
  'runs',
  'late',
  'unplanned',
  'part-days',
  'machine-days',
  'risk',
  'narrow',
] as const;
export type CostKind = (typeof COST_KINDS)[number];

const MEND_POINTS_A_MIN = 4;
const LEAST_MEND_POINTS = 120;
const RUN_POINTS = { gun: 40, roller: 15, brush: 15, aerosol: 2 } as const;
const LATE_POINTS_A_DAY = 480;
const PART_DAY_POINTS = 5;
const MACHINE_DAY_POINTS = 40;
const MARGINAL_POINTS = 15;
const MOST_RISK_POINTS = 60;
const NARROW_MS = 4 * HOUR_MS;
const NARROW_POINTS = 15;
/** What is not finished counts as finished so long after the plan's end: else leaving work undone would pay. */
const UNFINISHED_MS = 30 * DAY_MS;

/** A part that is not wholly planned: so much that doing it with losses is always cheaper than leaving it. */
const UNPLANNED_POINTS = 2400;

const BY_GOAL: Readonly<Record<PlanGoal, Partial<Record<CostKind, number>>>> = {
  balanced: {},
  soonest: { 'part-days': 3, 'machine-days': 3 },
  'fewest-cleanings': { runs: 3 },
  calmest: { risk: 4 },
};

/** When a part is done: its last work, and what its last coat takes until it may be handled. */
const finishMs = (part: PlanPart, reading: PlanReading, endMs: number): number =>
  reading.finishedMs.get(part.partId) ?? endMs + UNFINISHED_MS;

/** The cost of a plan with its working. Whole points; the same plan always costs the same. */
export function costOf(problem: PlanProblem, plan: Plan, reading: PlanReading): PlanCost {
  const { nowMs, endMs, machines, parts, ask } = problem;
  const sums = new Map<CostKind, { count: number; points: number }>(
    COST_KINDS.map((k) => [k, { count: 0, points: 0 }]),
  );
  const add = (what: CostKind, points: number): void => {
    const sum = sums.get(what)!;
    sum.count++;
    sum.points += points;
  };
  for (const i of plan.items) {
    if (!isMend(i.opId)) continue;
    const minutes = i.spans.reduce((m, s) => m + ((s.toMs - s.fromMs) / MINUTE_MS) * i.people, 0);
    add('mends', Math.max(LEAST_MEND_POINTS, MEND_POINTS_A_MIN * minutes));
  }
  for (const r of plan.runs) add('runs', RUN_POINTS[r.tool]);
  for (const part of parts) {
    const doneMs = finishMs(part, reading, endMs);
    add('part-days', PART_DAY_POINTS * Math.ceil((doneMs - nowMs) / DAY_MS));
    if (part.dueMs !== null && doneMs > part.dueMs)
      add('late', LATE_POINTS_A_DAY * Math.ceil((doneMs - part.dueMs) / DAY_MS));
    if (!reading.finishedMs.has(part.partId)) add('unplanned', UNPLANNED_POINTS);
  }
  for (const m of machines) {
    const own = parts.filter((p) => p.machineId === m.machineId);
    if (own.length === 0) continue;
    const doneMs = Math.max(...own.map((p) => finishMs(p, reading, endMs)));
    add('machine-days', MACHINE_DAY_POINTS * m.weight * Math.ceil((doneMs - nowMs) / DAY_MS));
    if (m.dueMs !== null && doneMs > m.dueMs)
      add('late', LATE_POINTS_A_DAY * m.weight * Math.ceil((doneMs - m.dueMs) / DAY_MS));
  }
  for (const { air, slackMs } of reading.coats.values()) {
    if (air.odds !== null && air.odds < 1) add('risk', Math.round(MOST_RISK_POINTS * (1 - air.odds)));
    else if (air.status === 'marginal') add('risk', MARGINAL_POINTS);
    if (slackMs !== null && slackMs < NARROW_MS) add('narrow', NARROW_POINTS);
  }
  const by = BY_GOAL[ask.goal];
  const lines = COST_KINDS.map((what) => {
    const { count, points } = sums.get(what)!;
    return { what, count, points: Math.round(points * (by[what] ?? 1)) };
  });
  return { lines, total: lines.reduce((sum, l) => sum + l.points, 0) };
}
