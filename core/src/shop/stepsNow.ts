import type { Face } from '../facts/part.ts';
import { standingFacts } from '../facts/part.ts';
import type { DerivedPart } from './part.ts';
import type { RouteStepRow } from './state.ts';
import { stepRecords, type StepRecord } from './stepRecords.ts';

/** A step of a part's route with how far it is: for its page and for a plan. */
export interface StepNow {
  readonly step: RouteStepRow;
  /** The face its coats are counted on: a zone with paint of its own is on the second. */
  readonly face: Face;
  readonly coatsDone: number;
  /** What is recorded of a step that is no coat; null: it is one. */
  readonly record: StepRecord | null;
}

/** The steps of a part's route in order, each with what is recorded of it. Pure. */
export function stepsNow(part: DerivedPart): readonly StepNow[] {
  const before = part.planned.filter((c) => c.stepId.startsWith('on-')).length;
  const left = new Map(part.state.faces.map((f) => [f.face, Math.max(0, f.coats.length - before)] as const));
  const isZoned = part.planned.some((c) => c.face !== undefined);
  const counted = part.steps.map((step) => {
    const face: Face = isZoned ? (step.zoneId === undefined ? 'A' : 'B') : part.state.lead.face;
    const coatsDone = step.sheetId === null ? 0 : Math.min(left.get(face) ?? 0, step.coats);
    left.set(face, (left.get(face) ?? 0) - coatsDone);
    return { step, face, coatsDone };
  });
  const coatsDone = new Map(counted.map((c) => [c.step.stepId, c.coatsDone]));
  const records = stepRecords(part.steps, standingFacts(part.facts), (id) => coatsDone.get(id) ?? 0);
  return counted.map((c) => ({ ...c, record: records.get(c.step.stepId) ?? null }));
}
