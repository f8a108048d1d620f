import { ofKind, standingFacts, type FactOf } from '../facts/part.ts';
import { WORK_OPS, type WorkOp } from '../ledger/kinds.ts';
import { OP_OF_STEP } from '../ledger/marks.ts';
import { learnedRate, type LearnedRate } from '../ledger/rates.ts';
import { isCasting } from '../part/substrate.ts';
import type { StepKind } from '../route/route.ts';
import type { Pace } from '../route/score.ts';
import type { DerivedPart } from './part.ts';
import type { Snapshot } from './snapshot.ts';
import { stepsNow, type StepNow } from './stepsNow.ts';

/** How long work takes this shop against what its routes reckon, from the hours that were logged. Common to the Ledger and to plans. */

/** Conditions that jobs of one kind differ by: ribs and ports of a casting take longer than plate. */
export type JobShape = 'casting' | 'plate';
export const shapeOf = (part: DerivedPart): JobShape => (isCasting(part.row.substrate) ? 'casting' : 'plate');

/** What was reckoned and what it took, of one kind of work on one part. */
export interface Job {
  readonly partId: string;
  readonly partName: string;
  readonly machineId: string;
  readonly on: WorkOp;
  readonly shape: JobShape;
  /** By the route, hours; null: no route, or it has no such step. */
  readonly reckonedH: number | null;
  readonly workedH: number;
  /** All steps of that work are done: only then it says how long such work takes. */
  readonly isDone: boolean;
}
export interface RateView extends LearnedRate {
  readonly on: WorkOp;
  readonly shape: JobShape;
  /** Jobs left out, by the names of their parts. */
  readonly leftOut: readonly string[];
}

export const isStepDone = ({ step, coatsDone, record }: StepNow): boolean =>
  step.sheetId === null ? record?.status === 'recorded' : coatsDone >= step.coats;
export const opOf = (kind: string): WorkOp | null => OP_OF_STEP[kind as StepKind] ?? null;
export const workedOf = (part: DerivedPart): FactOf<'worked'>[] =>
  ofKind(standingFacts(part.facts), 'worked');
export const hoursOf = (facts: readonly FactOf<'worked'>[]): number =>
  facts.reduce((sum, f) => sum + f.body.minutes, 0) / 60;

/** Jobs of a part on which hours were logged. */
export function jobsOf(part: DerivedPart): Job[] {
  if (!part.facts.some((f) => f.kind === 'worked')) return [];
  const worked = workedOf(part);
  const steps = stepsNow(part);
  return WORK_OPS.flatMap((on): Job[] => {
    const own = worked.filter((f) => f.body.on === on);
    if (own.length === 0) return [];
    const asked = steps.filter((s) => opOf(s.step.kind) === on && s.step.hours !== undefined);
    const reckonedH = asked.reduce((sum, s) => sum + (s.step.hours ?? 0), 0);
    return [
      {
        partId: part.row.partId,
        partName: part.row.name,
        machineId: part.row.machineId,
        on,
        shape: shapeOf(part),
        reckonedH: reckonedH > 0 ? reckonedH : null,
        workedH: hoursOf(own),
        isDone: asked.length > 0 && asked.every(isStepDone),
      },
    ];
  });
}

/** What finished jobs say, by kind of work and shape. */
export function ratesOf(jobs: readonly Job[]): RateView[] {
  return WORK_OPS.flatMap((on) =>
    (['plate', 'casting'] as const).flatMap((shape): RateView[] => {
      const own = jobs.filter((j) => j.on === on && j.shape === shape && j.isDone && j.reckonedH !== null);
      const rate = learnedRate(own.map((j) => j.workedH / j.reckonedH!));
      return rate ? [{ ...rate, on, shape, leftOut: rate.outliers.map((i) => own[i]!.partName) }] : [];
    }),
  );
}

const known = new WeakMap<Snapshot, readonly RateView[]>();
/** The shop's pace, worked out once a snapshot. */
export function paceOf(snapshot: Snapshot): readonly RateView[] {
  let rates = known.get(snapshot);
  if (!rates) known.set(snapshot, (rates = ratesOf([...snapshot.parts.values()].flatMap(jobsOf))));
  return rates;
}

/** Steps in which a plan takes notice of a pace: an evening more in the log does not move every bar. */
const NOTICED_PER_ONE = 10;
/** A plan follows a pace no further than this: beyond it something else is wrong. */
const [LEAST_PACE, MOST_PACE] = [0.5, 3];
/** The shop's pace as routes and plans take it, by the shape of a part; what was never learned is left out. */
export const paceBy = (snapshot: Snapshot): Readonly<Record<JobShape, Pace>> => ({
  plate: paceOfShape(snapshot, 'plate'),
  casting: paceOfShape(snapshot, 'casting'),
});
const paceOfShape = (snapshot: Snapshot, shape: JobShape): Pace =>
  Object.fromEntries(
    paceOf(snapshot)
      .filter((r) => r.shape === shape)
      .map((r) => [r.on, noticed(r.factor)]),
  );
const noticed = (factor: number): number =>
  Math.min(MOST_PACE, Math.max(LEAST_PACE, Math.round(factor * NOTICED_PER_ONE) / NOTICED_PER_ONE));

/** What a reckoned time of a step is multiplied by, for a plan; 1 where nothing was learned. */
export function paceFor(snapshot: Snapshot, part: DerivedPart, stepKind: string): number {
  const on = opOf(stepKind);
  const shape = shapeOf(part);
  return noticed(paceOf(snapshot).find((r) => r.on === on && r.shape === shape)?.factor ?? 1);
}
