import type { Finish, Survey } from '../part/survey.ts';
import { UNKNOWN_AREA_M2 } from './hours.ts';
import { leastFilm } from './exposure.ts';
import type { Judgement } from './judge.ts';
import { isFerrous, paintOf, totalUm, uses, type RouteView } from './view.ts';

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
    protection: 3,
    days: 1,
    hours: 3,
    cost: 1,
    finish: 0.5,
    forgiveness: 1.5,
    reversibility: 0.5,
    practice: 2,
  },
  'as-built': {
    protection: 3,
    days: 1,
    hours: 2,
    cost: 1,
    finish: 1.5,
    forgiveness: 1,
    reversibility: 1,
    practice: 2,
  },
  show: {
    protection: 2,
    days: 0.5,
    hours: 1,
    cost: 0.5,
    finish: 4,
    forgiveness: 0.5,
    reversibility: 0.5,
    practice: 2,
  },
};

/** What a route takes and gives, in figures that can be compared. */
export interface Figures {
  readonly hours: number;
  /** Days to service: hands at two sessions of three hours a week's third, and what passes by itself. */
  readonly days: number;
  readonly cost: number;
  readonly filmUm: number;
}
/** Share of poured paint that lands on the part, by tool (common practice, no published source). */
const TRANSFER = { gun: 0.45, aerosol: 0.35, brush: 0.9, roller: 0.85 } as const;
/** A session is three hours, and there are three a week. */
const HOURS_PER_DAY = (3 * 3) / 7;
const CONTRACTOR_PER_M2 = 45;

export function figuresOf(v: RouteView): Figures {
  const areaM2 = v.survey.areaM2 ?? UNKNOWN_AREA_M2;
  const hours = v.steps.reduce((sum, s) => sum + s.hours, 0);
  const waitHours = v.steps.reduce((sum, s) => sum + s.waitHours, 0);
  const paint = v.coats.reduce((sum, c) => {
    const litres = (areaM2 * totalUm(c)) / (c.family.sheet.vsPct * 10) / TRANSFER[c.tool];
    return sum + litres * c.family.traits.costPerLitre;
  }, 0);
  const trips = v.steps.some((s) => s.kind === 'strip' && s.waitHours > 24 * 7)
    ? CONTRACTOR_PER_M2 * areaM2 + 30
    : 0;
  return {
    hours,
    days: hours / HOURS_PER_DAY + waitHours / 24,
    cost: paint + trips,
    filmUm: paintOf(v).reduce((sum, c) => sum + totalUm(c), 0),
  };
}

/** Each quality 0…1 and the weighted mean, so that the working can be shown. */
export interface Score {
  readonly total: number;
  readonly parts: Readonly<Record<Quality, number>>;
}

/** Outdoors a one-pack finish opens up sooner than a two-pack (common practice, no published source). */
function weathering(v: RouteView): number {
  const isOut = v.survey.sun === 'yes' || ['C3', 'C4', 'C5', 'CX'].includes(v.survey.category);
  const last = v.paint[v.paint.length - 1];
  return isOut && last && last.family.sheet.packs === 1 && last.family.sheet.binder !== 'silicone-heat'
    ? 0.85
    : 1;
}

const least = (list: readonly number[]): number => Math.min(...list);
const cap = (x: number): number => Math.max(0, Math.min(1, x));

export function scoreOf(v: RouteView, f: Figures, j: Judgement, survey: Survey, weights: Weights): Score {
  const paint = paintOf(v);
  const last = paint[paint.length - 1];
  const need = leastFilm(v);
  const neededUm = need.kind === 'scope' ? need.um : survey.concealed === 'yes' ? 80 : 120;
  const barrier =
    paint.length === 0
      ? 0
      : paint.reduce((sum, c) => sum + c.family.traits.barrier * totalUm(c), 0) / (3 * Math.max(1, f.filmUm));
  const baseGrip = v.keeps ? 0.7 : uses(v, 'grit-blast') || !isFerrous(v.metal) ? 1 : 0.85;
  const areaM2 = survey.areaM2 ?? UNKNOWN_AREA_M2;
  // Zinc protects where the film is broken, which is what a harsh place does to films.
  const isHarsh = ['C4', 'C5', 'CX'].includes(survey.category);
  const isZinc = v.coats[0]?.family.traits.pigment === 'zinc-metal';
  const parts: Record<Quality, number> = {
    protection:
      cap((f.filmUm / neededUm) * 0.6 + barrier * 0.4) *
      baseGrip *
      weathering(v) *
      (isHarsh && !isZinc ? 0.85 : 1),
    days: 1 / (1 + f.days / 21),
    hours: 1 / (1 + f.hours / (2 + 3 * areaM2)),
    cost: 1 / (1 + f.cost / (20 + 25 * areaM2)),
    finish: last ? last.family.traits.look / 3 : 0,
    forgiveness: paint.length === 0 ? 1 : least(paint.map((c) => c.family.traits.forgiving)) / 3,
    reversibility: last ? last.family.traits.removable / 3 : 1,
    practice: cap(j.preferences.length / 6),
  };
  const sum = QUALITIES.reduce((t, q) => t + weights[q], 0);
  return { total: QUALITIES.reduce((t, q) => t + weights[q] * parts[q], 0) / sum, parts };
}
