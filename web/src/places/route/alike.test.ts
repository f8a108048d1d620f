import { describe, expect, it } from '@jest/globals';
import { advise, FULL_SHOP, type RouteStep } from '@calvetta/core';
import type { PartDetail } from '@calvetta/contract';
import { FAMILIES, PLAIN } from '../../../../core/src/route/test/given.ts';
import { stepsFor, surveyFor } from './alike.ts';

const other = {
  card: { substrate: 'steel-plate', areaM2: 8 },
  thicknessMm: 4,
  massKg: 120,
  colourGroup: 'lining green',
  pairPartId: 'left',
} as unknown as PartDetail;

describe('one survey for many alike', () => {
  it('keeps each part’s own thickness, mass, area, group and pair, and shares the rest', () => {
    const s = surveyFor(other, PLAIN);
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
    const big = stepsFor(surveyFor(other, PLAIN), FULL_SHOP, FAMILIES, route, route.steps);
    expect(hours(big)).toBeGreaterThan(hours(route.steps));
    expect(big.map((s) => s.kind)).toEqual(route.steps.map((s) => s.kind));
    expect(stepsFor(PLAIN, FULL_SHOP, FAMILIES, undefined, route.steps)).toBe(route.steps);
  });
});
