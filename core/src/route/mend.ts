import { placeOfAct } from './facilities.ts';
import { hand, handStep } from './handSteps.ts';
import { judgeRoute, type JudgeInput, type Reason } from './judge.ts';
import { COAT_KINDS_OF_STEP, type RouteStep, type StepKind } from './route.ts';
import type { Act } from './surface/act.ts';
import { ACTS } from './surface/actsTable.ts';
import { shareOf } from './surface/acts.ts';
import { CLEANLINESS, type Cleanliness } from './surface/cleanliness.ts';
import type { Matter } from './surface/matter.ts';

/** A step put in where a refusal wants it. */
export interface Mend {
  readonly step: RouteStep;
  /** Index it goes in at. */
  readonly at: number;
}

const step = (kind: StepKind, what: string | undefined, hours: number): RouteStep => ({
  stepId: `mend-${kind}-${what ?? ''}`,
  kind,
  ...(what === undefined ? {} : { what }),
  coats: 0,
  dftUm: null,
  hours,
  waitHours: 0,
  cautions: [],
});

const named = (s: RouteStep): RouteStep => ({ ...s, stepId: `mend-${s.kind}-${s.what ?? ''}` });

/** A step that a rule misses, and whether it belongs first, before what strips, or before the first coat. */
const MISSING: Readonly<
  Record<string, readonly [StepKind, string | undefined, 'start' | 'strip' | 'coat', number]>
> = {
  'prep.record-first': ['record', undefined, 'start', 0.3],
  'prep.degrease-first': ['degrease', undefined, 'strip', 0.5],
  'prep.glue-first': ['degrease', 'glue', 'strip', 0.5],
  'prep.openings': ['mask', 'openings', 'start', 0.3],
  'prep.asbestos-test': ['test', 'asbestos', 'start', 0.3],
  'prep.salt-test': ['test', 'salt', 'coat', 0.4],
  'prep.test-fit': ['test-fit', undefined, 'coat', 0.5],
  'prep.inspect-bare': ['refer', 'inspection', 'coat', 0.5],
  'prep.zinc-salts': ['wash', 'zinc-salts', 'coat', 0.3],
  'strip.lagging': ['refer', 'asbestos', 'start', 0.5],
  'strip.fuel-tank': ['refer', 'gas-free', 'start', 0.5],
  'strip.tar': ['refer', 'tar', 'start', 0.5],
  'strip.blast-machined': ['mask', 'before-strip', 'strip', 0.3],
  'strip.white-metal-mask': ['mask', 'before-strip', 'strip', 0.3],
  'metal.magnesium': ['refer', 'magnesium', 'start', 0.5],
  'metal.diecast-trial': ['test', 'adhesion-trial', 'coat', 0.5],
  'fit.bare': ['mask', 'before-paint', 'coat', 0.3],
  'protect.stripe': ['stripe', undefined, 'coat', 0.3],
};

/** What a wash takes, as the step that does it. */
const WASHED: Readonly<Partial<Record<Matter, readonly [StepKind, string | undefined]>>> = {
  dust: ['wash', 'wipe'],
  chemical: ['wash', 'rinse'],
  salts: ['wash', 'rinse'],
  water: ['dry', undefined],
  oil: ['degrease', undefined],
  wax: ['degrease', undefined],
  silicone: ['degrease', undefined],
  'soaked-oil': ['degrease', 'again'],
  glue: ['degrease', 'glue'],
};

/** The one step that would mend a refusal on these steps; null: there is none that a hand can put in. Pure. */
export function mendFor(input: JudgeInput, reason: Reason): Mend | null {
  const { steps } = input;
  const zone = reason.zoneId === undefined ? {} : { zoneId: reason.zoneId };
  const first = (is: (x: RouteStep) => boolean): number => {
    const i = steps.findIndex(is);
    return i < 0 ? steps.length : i;
  };
  const coat = first((x) => COAT_KINDS_OF_STEP.includes(x.kind));
  const missing = MISSING[reason.ruleId];
  if (missing) {
    const [kind, what, where, hours] = missing;
    const strip = Math.min(
      first((x) => x.kind === 'strip' || x.kind === 'abrade'),
      coat,
    );
    return {
      step: { ...step(kind, what, hours), ...zone },
      at: where === 'start' ? 0 : where === 'strip' ? strip : coat,
    };
  }
  const candidates = mendersFor(input, reason, coat).map((m) => ({ ...m, step: { ...m.step, ...zone } }));
  return candidates.find((m) => helps(input, reason, m)) ?? null;
}

/** It ends this refusal, or this matter's, and calls up no other. */
function helps(input: JudgeInput, reason: Reason, m: Mend): boolean {
  const before = judgeRoute(input);
  const after = judgeRoute({ ...input, steps: mended(input.steps, m) });
  const known = new Set([...before.refusals, ...before.open].map((r) => r.ruleId));
  const isGone = !after.refusals.some(
    (r) => r.ruleId === reason.ruleId && r.data['matter'] === reason.data['matter'],
  );
  return isGone && [...after.refusals, ...after.open].every((r) => known.has(r.ruleId));
}

/** Steps that might help, the nearest first. */
function mendersFor(input: JudgeInput, reason: Reason, coat: number): Mend[] {
  const { survey: s, steps } = input;
  const strips = steps.findLastIndex((x, i) => i < coat && x.kind === 'strip') + 1;
  const inspect = steps.findIndex((x) => x.kind === 'inspect');
  // What is seen at the inspection is mended after it; what only should be so, where the stripping is.
  const place =
    input.seen && inspect >= 0
      ? inspect + 1
      : strips > 0
        ? strips
        : Math.min(inspect < 0 ? coat : inspect, coat);
  const acts = (fits: (a: Act) => boolean, at: number): Mend[] =>
    ACTS.filter((a) => fits(a) && placeOfAct(a, s, input.means) !== null && a.actId !== 'keep')
      .sort(
        (a, b) =>
          Number(placeOfAct(a, s, input.means) !== 'here') - Number(placeOfAct(b, s, input.means) !== 'here'),
      )
      .map((a) => ({
        step: named(
          handStep(s, input.means, hand(a.way === null ? 'pretreat' : 'strip', a.actId), steps.slice(0, at)),
        ),
        at,
      }));
  const matter = reason.data['matter'] as Matter | undefined;
  switch (reason.ruleId) {
    case 'surface.stands':
    case 'surface.first': {
      if (matter === undefined) return [];
      const at =
        reason.ruleId === 'surface.first' ? steps.findIndex((x) => x.what === reason.data['act']) : null;
      const washed = WASHED[matter];
      if (washed) {
        const own = named(handStep(s, input.means, hand(washed[0], washed[1]), steps));
        return [{ step: own, at: at ?? coat }];
      }
      return acts((a) => shareOf(a, matter, s) > 0, at ?? place);
    }
    case 'surface.clean': {
      const need = CLEANLINESS.indexOf(reason.data['need'] as Cleanliness);
      return acts((a) => CLEANLINESS.indexOf(a.clean) >= need || a.pickles, place);
    }
    case 'surface.key':
    case 'surface.burnished': {
      const keeps = steps.some((x) => x.kind === 'strip' && x.what === 'keep');
      const wet = s.legacy === 'none' ? 'key' : 'key-wet';
      const own = named(handStep(s, input.means, hand('abrade', keeps ? wet : 'after-strip'), steps));
      return [{ step: own, at: Math.max(strips, 0) }];
    }
    default:
      return [];
  }
}

/** The steps with a mend put in, each with its own id. */
export const mended = (steps: readonly RouteStep[], m: Mend): RouteStep[] => [
  ...steps.slice(0, m.at),
  { ...m.step, stepId: `${m.step.stepId}-${steps.length}` },
  ...steps.slice(m.at),
];
