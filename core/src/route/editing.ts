import { judgeRoute, type JudgeInput, type OpenQuestion, type Reason } from './judge.ts';
import { hand, HAND_STEPS, handCoat, handStep, type EditContext } from './handSteps.ts';
import { mendFor } from './mend.ts';
import { COAT_KINDS_OF_STEP, type RouteStep } from './route.ts';

/** An id that no step has yet. */
function freshId(steps: readonly RouteStep[], of: string): string {
  const taken = new Set(steps.map((s) => s.stepId));
  let n = steps.length;
  while (taken.has(`${of}-${n}`)) n++;
  return `${of}-${n}`;
}
const at = <T>(list: readonly T[], i: number, ...put: readonly T[]): T[] => [
  ...list.slice(0, i),
  ...put,
  ...list.slice(i),
];
/** The steps with one put in before the `index`th, under an id of its own. */
export const stepIn = (steps: readonly RouteStep[], step: RouteStep, index: number): RouteStep[] =>
  at(steps, index, { ...step, stepId: freshId(steps, `own-${step.familyId ?? step.what ?? step.kind}`) });
export const stepOut = (steps: readonly RouteStep[], index: number): RouteStep[] =>
  steps.filter((_, i) => i !== index);
/** The same step twice in a row. */
export const stepTwice = (steps: readonly RouteStep[], index: number): RouteStep[] =>
  stepIn(steps, steps[index]!, index + 1);
export function stepMoved(steps: readonly RouteStep[], from: number, to: number): RouteStep[] {
  return at(stepOut(steps, from), to, steps[from]!);
}
/** Another act, product, film or tool in place of what stands there; hours, waits and cautions follow. */
export function stepChanged(
  c: EditContext,
  steps: readonly RouteStep[],
  index: number,
  over: Pick<Partial<RouteStep>, 'what' | 'familyId' | 'coats' | 'dftUm' | 'tool'>,
): RouteStep[] {
  const old = steps[index]!;
  const isCoat = COAT_KINDS_OF_STEP.includes(old.kind) && old.familyId !== undefined;
  const familyId = over.familyId ?? old.familyId;
  const made = isCoat
    ? handCoat(
        c,
        familyId!,
        over.coats ?? old.coats,
        // Another product is laid on as this shop lays it on; another film or count keeps the tool.
        over.tool ?? (over.familyId === undefined ? old.tool : undefined),
      )
    : over.what !== undefined
      ? handStep(c.survey, c.means, hand(old.kind, over.what), steps.slice(0, index))
      : old;
  const dftUm = over.dftUm ?? (over.familyId === undefined ? old.dftUm : made.dftUm);
  const next: RouteStep = {
    ...old,
    ...made,
    dftUm,
    policy: old.policy ?? made.policy ?? 'in-window',
    stepId: old.stepId,
  };
  if (!isCoat) delete (next as { policy?: unknown }).policy;
  return steps.map((s, i) => (i === index ? next : s));
}

/**
 * Steps set by hand as they come on another part: hours, waits and cautions are that part’s; products, films, tools and what was
 * looked at stay. Pure.
 */
export function stepsOn(c: EditContext, steps: readonly RouteStep[]): RouteStep[] {
  return steps.reduce<RouteStep[]>((done, s) => {
    const isCoat = COAT_KINDS_OF_STEP.includes(s.kind) && s.familyId !== undefined;
    const isByHand = HAND_STEPS.some((h) => h.kind === s.kind && h.what === s.what);
    const own =
      isCoat && c.families.has(s.familyId)
        ? handCoat(c, s.familyId, s.coats, s.tool)
        : isByHand
          ? handStep(c.survey, c.means, s, done)
          : s;
    return [...done, { ...s, hours: own.hours, waitHours: own.waitHours, cautions: own.cautions }];
  }, []);
}

/** What a rule said, told apart from what it says elsewhere. */
export const reasonKey = (r: Reason | OpenQuestion): string =>
  'data' in r ? `${r.ruleId} ${r.zoneId ?? ''} ${String(r.data['matter'] ?? '')}` : `${r.ruleId} ?`;

/** Rules about what is missing: they belong where it goes in, not at a coat that suffers from it. */
const isAboutMissing = (ruleId: string): boolean =>
  ruleId.startsWith('surface.') || ruleId.startsWith('prep.');

/** The coat or act that a reason names. */
function namedBy(input: JudgeInput, r: Reason): number {
  const { product, act } = r.data;
  return input.steps.findIndex(
    (s) =>
      (product !== undefined &&
        s.familyId !== undefined &&
        input.families.get(s.familyId)?.sheet.name === product) ||
      (act !== undefined && s.what === act),
  );
}

/**
 * Where each refusal and open question belongs: what is missing, where it goes in; else the coat or act it names; else the first
 * step without which it would not be said. What belongs to no step is left out. One judgement a step at most. Pure.
 */
export function placesOf(input: JudgeInput): ReadonlyMap<string, number> {
  const now = judgeRoute(input);
  const all = [...now.refusals, ...now.open];
  const places = new Map<string, number>();
  const last = input.steps.length - 1;
  for (const r of now.refusals) {
    const mend = isAboutMissing(r.ruleId) ? mendFor(input, r) : null;
    const at = mend ? Math.min(mend.at, last) : namedBy(input, r);
    if (at >= 0) places.set(reasonKey(r), at);
  }
  for (let i = 0; i <= last && places.size < all.length; i++) {
    const v = judgeRoute({ ...input, steps: stepOut(input.steps, i) });
    const rest = new Set([...v.refusals, ...v.open].map(reasonKey));
    for (const key of all.map(reasonKey)) if (!places.has(key) && !rest.has(key)) places.set(key, i);
  }
  return places;
}
