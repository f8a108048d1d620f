import { rhPctOf } from '../air/humidity.ts';
import { HOUR_MS } from '../base/time.ts';
import type { AirStretch } from '../part/thermal/track.ts';
import type { Category, Feature, Survey } from '../part/survey.ts';
import { addMonths } from '../shelf/tins.ts';
import { CARE_JOBS, type CareJob } from './jobs.ts';

/** What a part is, as far as its care depends on it. */
export interface CareFor {
  readonly survey: Pick<Survey, 'features' | 'category'> | null;
  /** What the route says of cavities, waxes and bright faces. */
  readonly steps: readonly { readonly kind: string; readonly what?: string | null }[];
  readonly isBrightMetal: boolean;
}

const OUTDOORS: readonly Category[] = ['C3', 'C4', 'C5', 'CX', 'immersed'];
const EDGES: readonly Feature[] = ['seams', 'welds-rivets', 'bolted-joints', 'thin-edges', 'water-traps'];
const WATER_STANDS: readonly Feature[] = ['drains-ports', 'box-section', 'water-traps'];

/** Months between two goes of what a part needs; what it does not need is not there. Common practice, no published source. */
export function careJobs({ survey, steps, isBrightMetal }: CareFor): ReadonlyMap<CareJob, number> {
  const has = (list: readonly Feature[]): boolean => survey?.features.some((f) => list.includes(f)) ?? false;
  const isOutdoors = survey !== null && OUTDOORS.includes(survey.category);
  const says = (kind: string, what?: string): boolean =>
    steps.some((s) => s.kind === kind && (what === undefined || s.what === what));
  const months: Partial<Record<CareJob, number>> = {
    look: 12,
    ...(has(EDGES) ? { edges: 12 } : {}),
    ...(says('cavity') || says('care', 'wax-yearly') ? { 'cavity-wax': 12 } : {}),
    ...(isOutdoors && has(WATER_STANDS) ? { drains: 6 } : {}),
    ...(survey && ['C5', 'CX', 'immersed'].includes(survey.category)
      ? { 'wash-salt': 3 }
      : survey?.category === 'C4'
        ? { 'wash-salt': 6 }
        : {}),
    ...(isBrightMetal || says('care', 'renew-oil') ? { 'oil-bright': 3 } : {}),
  };
  return new Map(
    CARE_JOBS.flatMap((job): [CareJob, number][] => (months[job] === undefined ? [] : [[job, months[job]]])),
  );
}

/** Wet hours of a year that the usual intervals are meant for: the lower edge of τ4 in ISO 9223:1992, quoted from memory. */
export const REFERENCE_WET_H = 2500;
const HOURS_OF_YEAR = 8766;
/** With less than a month measured nothing is said of how wet a place is. */
const LEAST_MEASURED_H = 720;

/** Hours of a year in which a place is wet (over 80 % and above 0 °C, as ISO 9223:1992 counts), from what was measured; null: too little. */
export function wetHours(track: readonly AirStretch[], nowMs: number): number | null {
  let [wet, all] = [0, 0];
  for (const s of track) {
    if (s.source !== 'measured' || s.toMs > nowMs || s.fromVapourHpa === null || s.toVapourHpa === null)
      continue;
    const hours = (s.toMs - s.fromMs) / HOUR_MS;
    const c = (s.fromC + s.toC) / 2;
    const rh = rhPctOf((s.fromVapourHpa + s.toVapourHpa) / 2, c);
    all += hours;
    if (rh > 80 && c > 0) wet += hours;
  }
  return all < LEAST_MEASURED_H ? null : (wet / all) * HOURS_OF_YEAR;
}

/** How much sooner than usual: a place twice as wet halves the intervals, none more; a dry one does not stretch them. */
export const careFactor = (ownWetH: number | null): number =>
  ownWetH === null || ownWetH === 0 ? 1 : Math.min(1, Math.max(0.5, REFERENCE_WET_H / ownWetH));

/** Wax goes in before the wet half of the year: on the last first of October that is not later than it falls due. */
function beforeWinter(dueMs: number, sinceMs: number): number {
  const due = new Date(dueMs);
  const october = (year: number): number => Date.UTC(year, 9, 1);
  const at = october(due.getUTCFullYear());
  const last = at <= dueMs ? at : october(due.getUTCFullYear() - 1);
  return last > sinceMs ? last : dueMs;
}

/** When a job falls due, from when it was last done or the film had cured. */
export function careDueMs(job: CareJob, sinceMs: number, months: number, factor: number): number {
  const dueMs = addMonths(sinceMs, months * factor);
  return job === 'cavity-wax' ? beforeWinter(dueMs, sinceMs) : dueMs;
}
