import type { Survey } from '../part/survey.ts';
import { isCasting } from '../part/substrate.ts';
import type { Tool } from '../products/traits.ts';
import type { Method } from './route.ts';

/** Area taken where none is known, m². */
export const UNKNOWN_AREA_M2 = 0.5;
const areaOf = (s: Survey): number => s.areaM2 ?? UNKNOWN_AREA_M2;
/** Ribs, fins and corners take longer than a flat sheet of the same area; so does what is still assembled. */
const shapeFactor = (s: Survey): number =>
  (isCasting(s.substrate) ? 2 : 1) * (s.assembled === 'yes' ? 1.5 : 1);
const OIL_FACTOR = { none: 0.5, surface: 1, soaked: 4, unknown: 1.5 } as const;
const RUST_FACTOR = { none: 0.7, A: 1, B: 1, C: 1.2, D: 1.5, unknown: 1.2 } as const;

/**
 * Minutes of hands a square metre (common practice, no published source), set so that the figures of trade.md T7–T9 come
 * out: degreasing a soaked head 2 h, a chassis by brush 6 h a coat, a single-engine aircraft about 200 h.
 */
const STRIP_MIN_PER_M2: Readonly<Record<Method, number>> = {
  'grit-blast': 15,
  'bead-blast': 25,
  'dry-ice': 12,
  'chelating-bath': 10,
  'citric-bath': 12,
  electrolysis: 15,
  'hot-caustic': 5,
  'solvent-stripper': 45,
  'wire-wheel': 40,
  disc: 30,
  hand: 70,
  'needle-gun': 50,
  'heat-gun': 45,
  keep: 0,
};
/** Hours that pass by themselves. A contractor's turnaround is usually two to three weeks (trade.md 2). */
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
export const stripHours = (s: Survey, m: Method): number =>
  hours(15 + STRIP_MIN_PER_M2[m] * dirtFactor(s) * shapeFactor(s) * areaOf(s));
/** Paint to come off is work of its own, however little the rust. */
const dirtFactor = (s: Survey): number => Math.max(RUST_FACTOR[s.rust], s.coating === 'none' ? 0 : 1.3);
export const abradeHours = (s: Survey): number => hours(10 + 25 * shapeFactor(s) * areaOf(s));
export const maskHours = (s: Survey): number => hours(10 + 8 * s.features.length + 6 * areaOf(s));
export const washHours = (s: Survey): number => hours(10 + 8 * areaOf(s));
export const pretreatHours = (s: Survey): number => hours(30 + 12 * areaOf(s));
/** One round of filling and blocking down. */
export const levelHours = (s: Survey): number => hours(30 + (s.pits === 'deep' ? 240 : 120) * areaOf(s));

/** Flatting P1200 to P3000 and polishing what is shown (trade.md T12). */
export const polishHours = (s: Survey): number => hours(20 + 25 * areaOf(s));

/** One coat: laying it on and cleaning up. A brush is slow over area and quick to clean. */
export function coatHours(s: Survey, tool: Tool): number {
  const [setup, perM2] = { gun: [20, 8], aerosol: [5, 12], brush: [5, 30], roller: [10, 14] }[tool] as [
    number,
    number,
  ];
  return hours(setup + perM2 * Math.sqrt(shapeFactor(s)) * areaOf(s));
}
