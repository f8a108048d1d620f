import type { ShopMeans } from '../part/shopMeans.ts';
import type { Survey } from '../part/survey.ts';
import type { Family } from '../products/catalogue/index.ts';
import type { Tool } from '../products/traits.ts';
import { stripStepOf } from './build.ts';
import { coatSteps } from './coats.ts';
import {
  abradeHours,
  degreaseHours,
  glueHours,
  maskHours,
  pretreatHours,
  warmOutHours,
  washHours,
} from './hours.ts';
import type { Method, RouteStep, StepKind } from './route.ts';
import { ACTS } from './surface/actsTable.ts';
import { coatKindOf } from './systems.ts';

/** A step as a hand takes it from the box: its kind and what exactly. */
export interface HandStep {
  readonly kind: StepKind;
  readonly what?: string;
}
export const hand = (kind: StepKind, what?: string): HandStep =>
  what === undefined ? { kind } : { kind, what };

/** Steps that a hand may put in: every act, and what goes with them. Coats are put in by their product. */
export const HAND_STEPS: readonly HandStep[] = [
  ...ACTS.map((a) => hand(a.way === null ? 'pretreat' : 'strip', a.actId)),
  hand('degrease'),
  hand('degrease', 'again'),
  hand('degrease', 'warm-out'),
  hand('degrease', 'glue'),
  hand('wash', 'rinse'),
  hand('wash', 'dust'),
  hand('wash', 'wipe'),
  hand('wash', 'steam'),
  hand('dry'),
  hand('abrade', 'after-strip'),
  hand('abrade', 'key'),
  hand('abrade', 'key-wet'),
  hand('test', 'salt'),
  hand('mask', 'before-strip'),
  hand('mask', 'before-paint'),
  hand('stripe'),
  hand('test-fit'),
];

const CAUTIONS: Readonly<Partial<Record<StepKind, readonly string[]>>> = {
  degrease: ['solvent'],
  abrade: ['dust'],
  pretreat: ['acid'],
  dry: ['flash-rust'],
};
function hoursOf(s: Survey, { kind, what }: HandStep): number {
  switch (kind) {
    case 'degrease':
      return what === 'glue' ? glueHours(s) : what === 'warm-out' ? warmOutHours(s) : degreaseHours(s);
    case 'wash':
      return what === 'wipe' ? 0.1 : washHours(s);
    case 'abrade':
      return abradeHours(s);
    case 'pretreat':
      return pretreatHours(s);
    case 'mask':
      return maskHours(s);
    case 'dry':
      return 0.2;
    case 'stripe':
      return 0.3;
    case 'test-fit':
      return 0.5;
    default:
      return 0.4;
  }
}
const methodsIn = (steps: readonly RouteStep[]): Method[] =>
  steps.flatMap((s) => (s.kind === 'strip' ? [s.what as Method] : []));

/** A step with the hours, waits and cautions it has on this part, as it would stand after `before`. Pure. */
export function handStep(
  s: Survey,
  means: ShopMeans,
  step: HandStep,
  before: readonly RouteStep[],
): RouteStep {
  if (step.kind === 'strip') return stripStepOf(s, means, step.what as Method, methodsIn(before));
  return {
    stepId: '',
    ...step,
    coats: 0,
    dftUm: null,
    hours: hoursOf(s, step),
    waitHours: 0,
    cautions:
      step.what === 'wipe' ? ['solvent'] : step.what === 'warm-out' ? ['fire'] : (CAUTIONS[step.kind] ?? []),
  };
}

export interface EditContext {
  readonly survey: Survey;
  readonly means: ShopMeans;
  readonly families: ReadonlyMap<string, Family>;
}
/** Coats of a family as this shop would lay them on this part; `over`: the coats below it. */
export function handCoat(c: EditContext, familyId: string, coats: number, tool?: Tool): RouteStep {
  const kind = coatKindOf(c.families.get(familyId)!);
  // Another tool is asked for as this part’s own practice, so that its hours are those of the tool.
  const survey =
    tool === 'gun' || tool === 'brush' ? { ...c.survey, practice: { ...c.survey.practice, tool } } : c.survey;
  const means =
    tool === 'gun' || tool === 'brush' ? { ...c.means, schools: { ...c.means.schools, tool } } : c.means;
  const steps = coatSteps(survey, means, [{ kind, familyId, coats }], c.families);
  const step = steps.find((x) => x.familyId === familyId)!;
  return tool === undefined ? step : { ...step, tool };
}
