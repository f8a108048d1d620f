import type { Criticality, Survey } from '../part/survey.ts';
import { REPAIRS, type PitRepair } from './kinds.ts';
import { LEVEL_LIMITS } from './level.ts';

/** Fill, weld, patch, remake, buy, refer or leave: each with what it costs and keeps, and what forbids it (common practice, no published source). */

/** Why a way may not be gone. */
export type RepairForbidden =
  | 'through'
  | 'wall-below-least'
  | 'wall-not-known'
  | 'least-not-asked'
  | 'too-deep-for-filler'
  | 'machined'
  | 'fuel-wet'
  | 'pressure'
  | 'immersed'
  | 'control-surface'
  | 'magnesium'
  | 'white-metal-near'
  | 'lagging-near'
  | 'tank-not-gas-free'
  | 'not-sheet'
  | 'licensed-only'
  | 'critical-not-known';

export interface RepairOption {
  readonly repair: PitRepair;
  readonly hours: number;
  readonly moneyCents: number;
  readonly weeks: number;
  /** Share of the original part that stays, 0…1. */
  readonly keeps: number;
  readonly forbidden: readonly RepairForbidden[];
  /** Left so, it shows through a finish that was to be better than that. */
  readonly shows: boolean;
  /** Lower is better; by the shop's weights. */
  readonly score: number;
}

export interface RepairInput {
  /** Null: no survey: what the part is critical for is not known. */
  readonly survey: Survey | null;
  /** Depth to judge by, mm; null: not measured. */
  readonly depthMm: number | null;
  readonly isThrough: boolean;
  /** Sound wall and the least it needs, mm; null: not known, and not assumed. */
  readonly soundMm: number | null;
  readonly leastMm: number | null;
  readonly areaM2: number | null;
  readonly weights: RepairWeights;
}
export interface RepairWeights {
  readonly original: number;
  readonly hours: number;
  readonly money: number;
}
export const EVEN_WEIGHTS: RepairWeights = { original: 1, hours: 1, money: 1 };

/** Wall that is left under the deepest pit, mm; null where either is not known. */
export const wallLeftMm = (soundMm: number | null, depthMm: number | null): number | null =>
  soundMm === null || depthMm === null ? null : Math.max(0, soundMm - depthMm);

const LICENSED: readonly Criticality[] = [
  'pressure',
  'structural',
  'airworthy',
  'brakes-steering',
  'lifting',
];

/** What forbids leaving or covering it: wall that is gone, or that nobody has measured on a part where it matters. */
function wallTrouble(i: RepairInput): RepairForbidden[] {
  if (i.isThrough) return ['through'];
  const critical = i.survey?.criticality ?? null;
  if (critical === null) return ['critical-not-known'];
  const leftMm = wallLeftMm(i.soundMm, i.depthMm);
  if (leftMm !== null && i.leastMm !== null && leftMm < i.leastMm) return ['wall-below-least'];
  if (critical.length === 0) return [];
  if (leftMm === null) return ['wall-not-known'];
  return i.leastMm === null ? ['least-not-asked'] : [];
}

const isWet = (s: Survey, fluids: readonly string[]): boolean => s.fluids.some((f) => fluids.includes(f));
const isFuelWet = (s: Survey): boolean =>
  s.criticality.includes('fuel') || s.fuel === 'yes' || isWet(s, ['petrol', 'diesel']);

function fillForbidden(i: RepairInput): RepairForbidden[] {
  const out: RepairForbidden[] = [...wallTrouble(i)];
  const s = i.survey;
  if ((i.depthMm ?? 0) > LEVEL_LIMITS['body-filler'].allMm!) out.push('too-deep-for-filler');
  if (!s) return out;
  if (s.features.includes('machined') || s.features.includes('wear-face')) out.push('machined');
  if (isFuelWet(s)) out.push('fuel-wet');
  if (s.criticality.includes('pressure')) out.push('pressure');
  if (s.criticality.includes('control-surface')) out.push('control-surface');
  if (s.category === 'immersed') out.push('immersed');
  return out;
}

function hotForbidden(i: RepairInput): RepairForbidden[] {
  const s = i.survey;
  if (!s) return ['critical-not-known'];
  const out: RepairForbidden[] = [];
  if (s.criticality.some((c) => LICENSED.includes(c))) out.push('licensed-only');
  if (s.substrate === 'magnesium') out.push('magnesium');
  if (s.features.includes('white-metal')) out.push('white-metal-near');
  if (s.lagging !== 'no') out.push('lagging-near');
  if (isFuelWet(s)) out.push('tank-not-gas-free');
  return out;
}

const SHEET = ['steel-sheet', 'aluminium-wrought', 'galvanised'];
const isCritical = (i: RepairInput): boolean => i.survey === null || i.survey.criticality.length > 0;

/** Usual hours, money and weeks by the size of the face; a shop's own figures take their place. */
function usual(
  repair: PitRepair,
  areaM2: number,
): Pick<RepairOption, 'hours' | 'moneyCents' | 'weeks' | 'keeps'> {
  const m2 = Math.max(0.05, areaM2);
  switch (repair) {
    case 'leave':
      return { hours: 0, moneyCents: 0, weeks: 0, keeps: 1 };
    case 'fill':
      return { hours: 1 + 6 * m2, moneyCents: Math.round(1000 + 3000 * m2), weeks: 1, keeps: 1 };
    case 'weld':
      return { hours: 3 + 10 * m2, moneyCents: Math.round(3000 + 5000 * m2), weeks: 1, keeps: 0.95 };
    case 'patch':
      return { hours: 5 + 8 * m2, moneyCents: Math.round(3000 + 4000 * m2), weeks: 2, keeps: 0.8 };
    case 'remake':
      return { hours: 12 + 20 * m2, moneyCents: Math.round(6000 + 12_000 * m2), weeks: 4, keeps: 0 };
    case 'buy':
      return { hours: 2, moneyCents: Math.round(20_000 + 30_000 * m2), weeks: 6, keeps: 0 };
    case 'refer':
      return { hours: 1, moneyCents: 15_000, weeks: 3, keeps: 1 };
  }
}

function forbiddenOf(repair: PitRepair, i: RepairInput): readonly RepairForbidden[] {
  switch (repair) {
    case 'leave':
      return wallTrouble(i);
    case 'fill':
      return fillForbidden(i);
    case 'weld':
      return hotForbidden(i);
    case 'patch':
      return [
        ...hotForbidden(i),
        ...(i.survey && !SHEET.includes(i.survey.substrate) ? (['not-sheet'] as const) : []),
      ];
    case 'remake':
      return i.survey?.criticality.some((c) => LICENSED.includes(c)) ? ['licensed-only'] : [];
    default:
      return [];
  }
}

/** An hour of hands and a week of waiting, in the same coin, so that they can be set against originality. */
const HOUR_SCALE = 20;
/** What it costs that it shows, in the same coin. */
const SHOWS_COSTS = 0.3;
const MONEY_SCALE = 50_000;

/** Every way, the allowed ones first, each by the shop's weights; on a part that is critical, or may be, a licensed person comes first. */
export function repairOptions(i: RepairInput): RepairOption[] {
  const total = i.weights.original + i.weights.hours + i.weights.money || 1;
  const all = REPAIRS.map((repair): RepairOption => {
    const u = usual(repair, i.areaM2 ?? 0.3);
    const shows = repair === 'leave' && i.survey !== null && i.survey.finish !== 'working';
    const score =
      (shows ? SHOWS_COSTS : 0) +
      (i.weights.original * (1 - u.keeps) +
        i.weights.hours * Math.min(1, u.hours / HOUR_SCALE) +
        i.weights.money * Math.min(1, u.moneyCents / MONEY_SCALE)) /
        total;
    return { repair, ...u, shows, forbidden: forbiddenOf(repair, i), score };
  });
  const isReferredFirst = isCritical(i);
  const rank = (o: RepairOption): number =>
    o.forbidden.length > 0
      ? 2
      : isReferredFirst && o.repair !== 'refer'
        ? 1
        : !isReferredFirst && o.repair === 'refer'
          ? 1
          : 0;
  return all.sort((a, b) => rank(a) - rank(b) || a.score - b.score);
}
