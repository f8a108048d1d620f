import { describe, expect, it } from '@jest/globals';
import { FULL_SHOP } from '../part/shopMeans.ts';
import { advise } from '../route/advise.ts';
import type { RouteStep } from '../route/route.ts';
import type { PartDetail } from './views/partView.ts';
import { FAMILIES, PLAIN } from '../route/test/given.ts';
import { stepsAlike, surveyAlike } from './alike.ts';

const other = {
  card: { substrate: 'steel-plate', areaM2: 8 },
  thicknessMm: 4,
  massKg: 120,
  colourGroup: 'lining green',
  pairPartId: 'left',
} as unknown as PartDetail;

describe('one survey for many alike', () => {
  it('keeps each part’s own thickness, mass, area, group and pair, and shares the rest', () => {
    const s = surveyAlike(other, PLAIN);
    expect(s).toMatchObject({
      thicknessMm: 4,
      massKg: 120,
      areaM2: 8,
      colourGroup: 'lining green',
      isPair: true,
    });
    expect(s.category).toBe(PLAIN.category);
  });
  it('ten times the area takes more hands on the same route', () => {
    const route = advise({ survey: PLAIN, means: FULL_SHOP, families: FAMILIES }).routes[0]!;
    const hours = (steps: readonly RouteStep[]): number => steps.reduce((sum, s) => sum + s.hours, 0);
    const big = stepsAlike(surveyAlike(other, PLAIN), FULL_SHOP, FAMILIES, route, route.steps);
    expect(hours(big)).toBeGreaterThan(hours(route.steps));
    expect(big.map((s) => s.kind)).toEqual(route.steps.map((s) => s.kind));
    // Steps set by hand take the part’s own hands as well, and keep their products, films and order.
    const byHand = stepsAlike(surveyAlike(other, PLAIN), FULL_SHOP, FAMILIES, undefined, route.steps);
    expect(hours(byHand)).toBeCloseTo(hours(big), 6);
    const what = (steps: readonly RouteStep[]) =>
      steps.map(({ hours: _h, waitHours: _w, cautions: _c, ...s }) => s);
    expect(what(byHand)).toEqual(what(route.steps));
    expect(stepsAlike(PLAIN, FULL_SHOP, FAMILIES, undefined, route.steps)).toEqual(route.steps);
  });
});
