import type { WorkOp } from '../ledger/kinds.ts';
import { OP_OF_STEP } from '../ledger/marks.ts';
import type { Finish, Survey } from '../part/survey.ts';
import type { Family } from '../products/catalogue/index.ts';
import { leastUm } from './exposure.ts';
import { UNKNOWN_AREA_M2 } from '../work/area.ts';
import { applicatorOf, TRANSFER } from '../work/transfer.ts';
import { COAT_KINDS_OF_STEP, type RouteStep } from './route.ts';
import { standsOn } from './surface/asks.ts';
import type { Surface } from './surface/state.ts';
import type { CoatView } from './view.ts';

export const QUALITIES = [
  'protection',
  'days',
  'hours',
  'cost',
  'finish',
  'forgiveness',
  'reversibility',
  'practice',
] as const;
export type Quality = (typeof QUALITIES)[number];
export type Weights = Readonly<Record<Quality, number>>;

/** What each standard of finish asks first (common practice, no published source); a shop may set its own. */
export const WEIGHTS: Readonly<Record<Finish, Weights>> = {
  working: {
    protection: 4,
    days: 1,
    hours: 2.5,
    cost: 1,
    finish: 0.5,
    forgiveness: 1.5,
    reversibility: 0.5,
    practice: 2,
  },
  'as-built': {
    protection: 4,
    days: 1,
    hours: 2,
    cost: 1,
    finish: 1.5,
    forgiveness: 1,
    reversibility: 1,
    practice: 2,
  },
  show: {
    protection: 3,
    days: 0.5,
    hours: 1,
    cost: 0.5,
    finish: 3,
    forgiveness: 0.5,
    reversibility: 0.5,
    practice: 2,
  },
};

/** Outdoors a look never outweighs what keeps the metal. */
export const isOutdoors = (s: Survey): boolean =>
  s.sun === 'yes' || ['C3', 'C4', 'C5', 'CX', 'immersed'].includes(s.category);
export function weightsFor(s: Survey): Weights {
  const w = WEIGHTS[s.finish];
  return isOutdoors(s) ? { ...w, finish: Math.min(w.finish, w.protection / 2) } : w;
}

/** What a route takes and gives, in figures that can be compared. */
export interface Figures {
  readonly hours: number;
  /** Days to service: hands at two sessions of three hours a week's third, and what passes by itself. */
  readonly days: number;
  readonly cost: number;
  readonly filmUm: number;
}
/** A session is three hours, and there are three a week. */
const HOURS_PER_DAY = (3 * 3) / 7;
const CONTRACTOR_PER_M2 = 45;
const TRIP_COST = 30;

/** Part of a route's figures: the preparation's or the coats'. */
export interface Takes {
  readonly hours: number;
  readonly waitHours: number;
  readonly cost: number;
  readonly filmUm: number;
}

/** What reckoned hours are multiplied by, by the kind of work: how long it takes this shop. What is left out takes as long as is usual. */
export type Pace = Readonly<Partial<Record<WorkOp, number>>>;
const AS_USUAL: Pace = {};

/** Hands, waits, money and film of some steps. A trip to a contractor is one, however many acts he does. */
export function takesOf(
  s: Survey,
  steps: readonly RouteStep[],
  families: ReadonlyMap<string, Family>,
  pace: Pace = AS_USUAL,
): Takes {
  const areaM2 = s.areaM2 ?? UNKNOWN_AREA_M2;
  let [hours, waitHours, cost, filmUm] = [0, 0, 0, 0];
  for (const step of steps) {
    const on = OP_OF_STEP[step.kind];
    hours += step.hours * (on === null ? 1 : (pace[on] ?? 1));
    waitHours += step.waitHours;
    if ((step.kind === 'strip' || step.kind === 'send') && step.waitHours > 24 * 7)
      cost += CONTRACTOR_PER_M2 * areaM2 + TRIP_COST;
    const family = step.familyId === undefined ? undefined : families.get(step.familyId);
    if (!family || !COAT_KINDS_OF_STEP.includes(step.kind)) continue;
    const um = step.coats * (step.dftUm ?? family.sheet.dftUm);
    cost +=
      ((areaM2 * um) / (family.sheet.vsPct * 10) / TRANSFER[applicatorOf(step.tool ?? 'gun')].te) *
      family.traits.costPerLitre;
    if (step.kind !== 'cavity') filmUm += um;
  }
  return { hours, waitHours, cost, filmUm };
}

const NOTHING: Takes = { hours: 0, waitHours: 0, cost: 0, filmUm: 0 };
export const figuresFrom = (a: Takes, b: Takes = NOTHING): Figures => {
  const hours = a.hours + b.hours;
  return {
    hours,
    days: hours / HOURS_PER_DAY + (a.waitHours + b.waitHours) / 24,
    cost: a.cost + b.cost,
    filmUm: a.filmUm + b.filmUm,
  };
};

export const figuresOf = (
  s: Survey,
  steps: readonly RouteStep[],
  families: ReadonlyMap<string, Family>,
  pace: Pace = AS_USUAL,
): Figures => figuresFrom(takesOf(s, steps, families, pace));

/** Each quality 0…1 and the weighted mean, so that the working can be shown. */
export interface Score {
  readonly total: number;
  readonly parts: Readonly<Record<Quality, number>>;
}

/**
 * How well paint holds to what the preparation reached, 0…1 (common practice, no published source): blasted best, then
 * pickled and keyed, power tools, hand tools; what still stands lowers it further.
 */
export function gripOf(at: Surface, keeps: boolean, isFerrous: boolean): number {
  if (keeps) return 0.72;
  if (!isFerrous) return at.isConverted || at.isSwept ? 1 : 0.88;
  const clean = at.isPickled ? 0.95 : ([0.6, 0.7, 0.82, 0.88, 1][at.clean] ?? 0.6);
  const left = standsOn(at, 'tight-rust') + standsOn(at, 'pit-rust') + standsOn(at, 'scale');
  return clean * (1 - 0.1 * Math.min(1, left / 16));
}

/** Outdoors some finishes open up sooner than a two-pack (common practice, no published source). */
function weathering(s: Survey, last: CoatView | undefined): number {
  if (!last || !isOutdoors(s)) return 1;
  switch (last.family.sheet.binder) {
    case 'cellulose-1k':
    case 'bitumen':
      return 0.6;
    case 'oil-1k':
      return 0.75;
    case 'silicone-heat':
    case 'wax':
      return 1;
    default:
      return last.family.sheet.packs === 1 ? 0.85 : 1;
  }
}
/** Old families are for where heritage practice asks for them; by default a sound modern route comes first. */
const isHeritage = (c: CoatView): boolean =>
  c.family.traits.isLegacy || c.family.sheet.binder === 'bitumen' || c.family.sheet.binder === 'oil-1k';

const least = (list: readonly number[]): number => Math.min(...list);
const cap = (x: number): number => Math.max(0, Math.min(1, x));

/** What the coats alone decide, whatever is under them: one set of coats goes over many preparations. */
export interface CoatMerits {
  /** Before grip. */
  readonly protection: number;
  readonly finish: number;
  readonly forgiveness: number;
  readonly removable: number;
}
export function meritsOf(survey: Survey, paint: readonly CoatView[]): CoatMerits {
  const last = paint[paint.length - 1];
  const filmUm = paint.reduce((sum, c) => sum + c.coats * c.dftUm, 0);
  const barrier =
    paint.reduce((sum, c) => sum + c.family.traits.barrier * c.coats * c.dftUm, 0) /
    (3 * Math.max(1, filmUm));
  // Zinc protects where the film is broken, which is what a harsh place does to films.
  const isHarsh = ['C4', 'C5', 'CX'].includes(survey.category);
  const isZinc = paint[0]?.family.traits.pigment === 'zinc-metal';
  return {
    protection:
      cap(Math.min(1, filmUm / wantedUm(survey, paint)) * 0.6 + barrier * 0.4) *
      weathering(survey, last) *
      (paint.some(isHeritage) ? 0.8 : 1) *
      (isHarsh && !isZinc ? 0.85 : 1),
    finish: survey.concealed === 'yes' ? 1 : last ? last.family.traits.look / 3 : 0,
    forgiveness: paint.length === 0 ? 1 : least(paint.map((c) => c.family.traits.forgiving)) / 3,
    removable: last ? last.family.traits.removable / 3 : 1,
  };
}

export interface ScoreInput {
  readonly survey: Survey;
  readonly merits: CoatMerits;
  readonly figures: Figures;
  readonly grip: number;
  readonly keeps: boolean;
  /** How much it is done as this house does it: preferences that spoke. */
  readonly preferences: number;
  readonly weights: Weights;
}

/** The film that is wanted here, µm: the published table's where there is one, else by analogy. */
function wantedUm(s: Survey, paint: readonly CoatView[]): number {
  const isZinc = paint[0]?.family.traits.pigment === 'zinc-metal';
  const isAlkyd = paint.some((c) => ['alkyd-1k', 'oil-1k'].includes(c.family.sheet.binder));
  const system = isAlkyd ? 'alkyd' : isZinc ? 'zinc-epoxy-urethane' : 'epoxy-urethane';
  const um = leastUm(system, s.category, s.durability);
  return um ?? (s.category === 'immersed' ? 300 : s.concealed === 'yes' ? 80 : 120);
}

export function scoreOf(input: ScoreInput): Score {
  const { survey, merits, figures: f, weights } = input;
  const areaM2 = survey.areaM2 ?? UNKNOWN_AREA_M2;
  const parts: Record<Quality, number> = {
    protection: merits.protection * input.grip,
    days: 1 / (1 + f.days / 21),
    hours: 1 / (1 + f.hours / (2 + 3 * areaM2)),
    cost: 1 / (1 + f.cost / (20 + 25 * areaM2)),
    finish: merits.finish,
    forgiveness: merits.forgiveness,
    reversibility: merits.removable * 0.5 + (input.keeps ? 0.5 : 0),
    practice: cap(input.preferences / 6),
  };
  let sum = 0;
  let total = 0;
  for (const q of QUALITIES) {
    sum += weights[q];
    total += weights[q] * parts[q];
  }
  return { total: total / sum, parts };
}
