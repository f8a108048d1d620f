import type { Survey } from '../part/survey.ts';
import { isCasting } from '../part/substrate.ts';
import type { ProductSheet } from '../products/sheet.ts';
import type { Tool } from '../products/traits.ts';
import { UNKNOWN_AREA_M2 } from '../work/area.ts';
import { layMinutes, SET_UP_MIN } from '../work/minutes.ts';
import type { Method } from './route.ts';

const areaOf = (s: Survey): number => s.areaM2 ?? UNKNOWN_AREA_M2;
/** Ribs, ports and corners of a casting take longer than a flat sheet of the same area; so does what is still assembled. */
const shapeFactor = (s: Survey): number =>
  (isCasting(s.substrate) ? 1.7 : 1) * (s.assembled === 'yes' ? 1.3 : 1);
/** Oil in the pores comes out slowly: solvent, brush, wait, again. */
const OIL_FACTOR = { none: 0.5, surface: 1, soaked: 4, unknown: 1.5 } as const;
const RUST_FACTOR = { none: 0.7, A: 1, B: 1, C: 1.2, D: 1.5, unknown: 1.2 } as const;

/**
 * Minutes of hands a square metre of plain plate: rates a workshop counts with (common practice, no published source). What
 * comes of them is compared with figures of the trade in `hours.test.ts`, not fitted to them.
 */
const STRIP_MIN_PER_M2: Readonly<Record<Method, number>> = {
  'grit-blast': 15,
  'fine-blast': 20,
  'spot-blast': 45,
  'bead-blast': 25,
  'vapour-blast': 20,
  sweep: 10,
  'plastic-media': 25,
  'dry-ice': 12,
  'rotary-bristle': 60,
  'needle-gun': 70,
  'wire-wheel': 35,
  disc: 30,
  'spot-disc': 15,
  'spot-wet': 20,
  hand: 70,
  scrape: 40,
  pad: 25,
  'chelating-bath': 10,
  'citric-bath': 12,
  electrolysis: 15,
  'hot-caustic': 8,
  'solvent-stripper': 45,
  'heat-gun': 45,
  keep: 0,
};
/** Hours that pass by themselves. A contractor's turnaround is usually two to three weeks (docs/trade.md 2). */
export const BATH_WAIT_H: Readonly<Partial<Record<Method, number>>> = {
  'chelating-bath': 18,
  'citric-bath': 48,
  electrolysis: 24,
};
export const CONTRACTOR_WAIT_H = 17 * 24;
export const TRIAL_WAIT_H = 48;

const hours = (minutes: number): number => Math.round((minutes / 60) * 100) / 100;

export const degreaseHours = (s: Survey): number =>
  hours(10 + 30 * OIL_FACTOR[s.oil] * shapeFactor(s) * areaOf(s));
/** Scraping and wiping glue off: two minutes to look where it is not known, a tenth of the face where it is (common practice). */
export const glueHours = (s: Survey): number => hours(s.glue === 'yes' ? 10 + 30 * areaOf(s) : 2);
/** Warming a casting through and wiping what sweats out of it. */
export const warmOutHours = (s: Survey): number => hours(30 + 30 * shapeFactor(s) * areaOf(s));
/** A second pass finds less to take off than the first. */
const AGAIN = 0.6;
export const stripHours = (s: Survey, m: Method, isAgain = false): number =>
  hours(15 + STRIP_MIN_PER_M2[m] * dirtFactor(s) * shapeFactor(s) * areaOf(s) * (isAgain ? AGAIN : 1));
/** Paint to come off is work of its own, however little the rust. */
const dirtFactor = (s: Survey): number => Math.max(RUST_FACTOR[s.rust], s.coating === 'none' ? 0 : 1.3);
export const abradeHours = (s: Survey): number => hours(10 + 25 * shapeFactor(s) * areaOf(s));
export const maskHours = (s: Survey): number => hours(10 + 8 * s.features.length + 6 * areaOf(s));
export const washHours = (s: Survey): number => hours(10 + 8 * areaOf(s));
export const pretreatHours = (s: Survey): number => hours(30 + 12 * areaOf(s));

/** Rounds of filling, blocking down and priming, by the pits and what the finish asks (common practice). */
export const levelRounds = (s: Survey): number =>
  s.pits === 'deep' ? (s.finish === 'show' ? 6 : 4) : s.finish === 'show' ? 2 : 1;
/** All rounds of levelling: each twenty minutes to mix and clean up, and three hours a square metre to lay, block and wipe. */
export const levelHours = (s: Survey): number => hours(levelRounds(s) * (20 + 180 * areaOf(s)));

/** Flatting P1200 to P3000 and polishing what is shown (docs/trade.md T12). */
export const polishHours = (s: Survey): number => hours(20 + 25 * areaOf(s));

/** One coat: setting up, laying it on, cleaning up. A brush is slow over area and quick to clean. */
export const coatHours = (s: Survey, tool: Tool, sheet: ProductSheet | null = null): number =>
  hours(SET_UP_MIN[tool] + layMinutes(sheet, tool, Math.sqrt(shapeFactor(s)) * areaOf(s)));
