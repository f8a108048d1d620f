import type { Facility, ShopMeans } from '../part/shopMeans.ts';
import type { Survey } from '../part/survey.ts';
import type { Act, Way } from './surface/acts.ts';

/** What one person lifts into a bath, kg (common practice). */
export const MOST_BATH_KG = 25;

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

/** The way of a sequence: the first of `WAYS` that it has. */
export function wayOf(acts: readonly Act[], s: Survey, means: ShopMeans): Way {
  if (acts.some((a) => placeOfAct(a, s, means) === 'contractor')) return 'contractor';
  for (const way of ['blast', 'bath', 'chemical', 'hand', 'keep'] as const)
    if (acts.some((a) => a.way === way)) return way;
  return 'hand';
}
