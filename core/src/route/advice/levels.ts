import type { Survey } from '../../part/survey.ts';
import type { Family } from '../../products/catalogue/index.ts';
import { COAT_KINDS_OF_STEP, OPEN_COATS, type RouteStep } from '../route.ts';
import { figuresFrom, takesOf, type Figures, type Pace } from '../score.ts';
import type { AdvisedRoute } from '../advise.ts';

/** Where in a section something happens: in the preparation of the metal, or in the coats on it. */
export type Level = 'preparation' | 'coats';

/** What a route takes at each level: everything before the first coat, and the rest. */
export function levelsOf(
  s: Survey,
  steps: readonly RouteStep[],
  families: ReadonlyMap<string, Family>,
  pace: Pace = {},
): Readonly<Record<Level, Figures>> {
  const first = steps.findIndex((x) => COAT_KINDS_OF_STEP.includes(x.kind) || x.what === OPEN_COATS);
  const cut = first < 0 ? steps.length : first;
  return {
    preparation: figuresFrom(takesOf(s, steps.slice(0, cut), families, pace)),
    coats: figuresFrom(takesOf(s, steps.slice(cut), families, pace)),
  };
}

/** The level a rule speaks of, by its topic. */
export const levelOfRule = (ruleId: string): Level =>
  ['strip', 'prep', 'surface', 'metal'].includes(ruleId.split('.')[0] ?? '') ? 'preparation' : 'coats';

/**
 * How far the figures of a route may be out, either way: hands land within a third of the trade's own figures (docs/trade.md
 * T7–T9, held in `hours.test.ts`). The same share is taken for days and money, for want of a better one.
 */
export const FIGURE_SPREAD = 1 / 3;
export const spreadOf = (x: number): readonly [least: number, most: number] => [
  x * (1 - FIGURE_SPREAD),
  x * (1 + FIGURE_SPREAD),
];

/** Years of a published life as a stretch; open at its end where the table is. */
const YEARS: Readonly<Record<string, readonly [number, number | null]>> = {
  'up to 7': [0, 7],
  '7–15': [7, 15],
  '15–25': [15, 25],
  'over 25': [25, null],
};
export const lifeSpan = (r: Pick<AdvisedRoute, 'lifeYears'>): readonly [number, number | null] | null =>
  r.lifeYears === null ? null : (YEARS[r.lifeYears] ?? null);
