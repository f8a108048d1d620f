import type { Facility, ShopMeans } from '../part/shopMeans.ts';
import type { Survey } from '../part/survey.ts';
import { MOST_LIFT_KG } from '../work/minutes.ts';
import type { Act, Way } from './surface/act.ts';

/** What one person lifts into a bath, kg. */
export const MOST_BATH_KG = MOST_LIFT_KG;

const isTooBig = (a: Act, s: Survey): boolean =>
  (a.needs === 'bead' && s.tooBigFor.includes('cabinet')) ||
  (a.needs === 'bath' && (s.tooBigFor.includes('bath') || (s.massKg ?? 0) > MOST_BATH_KG));

/** Where an act is done: here, at a contractor, or nowhere with what the shop has. */
export function placeOfAct(a: Act, s: Survey, means: ShopMeans): 'here' | 'contractor' | null {
  if (a.needs === null) return 'here';
  if (a.needs !== 'none' && means.facilities.includes(a.needs) && !isTooBig(a, s)) return 'here';
  return a.goesOut && means.facilities.includes('contractor') ? 'contractor' : null;
}

/** What would make an act possible. */
export const needsOf = (a: Act): readonly Facility[] => [
  ...(a.needs === null || a.needs === 'none' ? [] : [a.needs]),
  ...(a.goesOut ? (['contractor'] as const) : []),
];

/** The way of a sequence is the first of these that it has. */
export const WAY_ORDER = ['contractor', 'blast', 'bath', 'chemical', 'hand', 'keep'] as const;
/** Where an act's way stands in `WAY_ORDER`; a wash has none and stands past the end. */
export function rankOf(a: Act, s: Survey, means: ShopMeans): number {
  if (placeOfAct(a, s, means) === 'contractor') return 0;
  return a.way === null ? WAY_ORDER.length : WAY_ORDER.indexOf(a.way);
}
/** The way by the first of its ranks; washes alone are work of hands. */
export const wayAt = (rank: number): Way => WAY_ORDER[rank] ?? 'hand';
