import type { Survey } from '../../part/survey.ts';
import { COAT_KINDS_OF_STEP, type RouteStep } from '../route.ts';
import { amountOf, MATTERS, OFF, type Matter } from './matter.ts';
import type { Surface } from './state.ts';
import { afterStep, startOf } from './walk.ts';

/** The metal at one moment of its preparation: what was done last, and what still stands. */
export interface SurfaceStage {
  /** The act before it; null: as found. */
  readonly what: string | null;
  readonly at: Surface;
  readonly standing: readonly Matter[];
}

/** What washes and dries off by the way is no stage of its own. */
const PASSING: readonly Matter[] = ['dust', 'chemical', 'water'];
const standing = (at: Surface): Matter[] =>
  MATTERS.filter((m) => !PASSING.includes(m) && amountOf(at.amounts, m) > OFF);

/** All that stands, in sixteenths: less of it is a stage of its own. */
const load = (at: Surface): number => standing(at).reduce((sum, m) => sum + amountOf(at.amounts, m), 0);

/** As found, after each act that takes something off, and as the first coat meets it: for drawing. Pure. */
export function stagesOf(s: Survey, steps: readonly RouteStep[]): SurfaceStage[] {
  let footing = startOf(s);
  const start = footing.surface;
  const out: SurfaceStage[] = [{ what: null, at: start, standing: standing(start) }];
  for (const step of steps) {
    if (COAT_KINDS_OF_STEP.includes(step.kind)) break;
    const at = footing.surface;
    footing = afterStep(footing, step, s);
    const next = footing.surface;
    const isAct =
      (step.kind === 'strip' && step.what !== 'keep') || step.kind === 'pretreat' || step.kind === 'abrade';
    if (isAct || load(next) < load(at))
      out.push({ what: step.what ?? step.kind, at: next, standing: standing(next) });
  }
  return out;
}
