import type { Score, Figures, Quality, Weights } from '../score.ts';
import { QUALITIES } from '../score.ts';
import type { Way } from '../surface/act.ts';

export const BESTS = [
  'lasts-longest',
  'least-hands',
  'soonest',
  'cheapest',
  'keeps-original',
  'no-contractor',
  'most-forgiving',
] as const;
/** What a rival is better at than all the others shown. */
export type Best = (typeof BESTS)[number];

/** What a rival gives up against the advised one; more hours and days are positive. */
export interface GivesUp {
  readonly hours: number;
  readonly days: number;
  readonly cost: number;
  readonly filmUm: number;
  /** Share of protection lost (positive) or gained. */
  readonly protection: number;
}

interface Shown {
  readonly way: Way;
  readonly figures: Figures;
  readonly score: Score | null;
}

/** What each of the shown is best at; a tie says nothing. */
export function bestsOf(shown: readonly Shown[]): Best[][] {
  const out = shown.map((): Best[] => []);
  const give = (best: Best, value: (r: Shown) => number): void => {
    const values = shown.map(value);
    const top = Math.max(...values);
    const winners = values.filter((x) => x >= top - 1e-9).length;
    if (winners === 1 && shown.length > 1) out[values.indexOf(top)]!.push(best);
  };
  give('lasts-longest', (r) => r.score?.parts.protection ?? 0);
  give('least-hands', (r) => -r.figures.hours);
  give('soonest', (r) => -r.figures.days);
  give('cheapest', (r) => -r.figures.cost);
  give('keeps-original', (r) => (r.way === 'keep' ? 1 : 0));
  const trips = shown.filter((r) => r.way === 'contractor' || r.way === 'send').length;
  if (trips > 0 && shown.length - trips === 1)
    out[shown.findIndex((r) => r.way !== 'contractor' && r.way !== 'send')]!.push('no-contractor');
  give('most-forgiving', (r) => r.score?.parts.forgiveness ?? 0);
  return out;
}

export const givesUp = (r: Shown, advised: Shown): GivesUp => ({
  hours: r.figures.hours - advised.figures.hours,
  days: r.figures.days - advised.figures.days,
  cost: r.figures.cost - advised.figures.cost,
  filmUm: r.figures.filmUm - advised.figures.filmUm,
  protection: (advised.score?.parts.protection ?? 0) - (r.score?.parts.protection ?? 0),
});

/** The quality that cost a route that holds its place among the shown. */
export function lostBy(r: Score, advised: Score, weights: Weights): Quality {
  return QUALITIES.reduce((worst, q) =>
    weights[q] * (advised.parts[q] - r.parts[q]) > weights[worst] * (advised.parts[worst] - r.parts[worst])
      ? q
      : worst,
  );
}
