import { describe, expect, it } from '@jest/globals';
import { FULL_SHOP, type ShopMeans } from '../part/shopMeans.ts';
import type { Survey } from '../part/survey.ts';
import { advise } from './advise.ts';
import { abradeHours, coatHours, degreaseHours, levelHours } from './hours.ts';
import { FAMILIES, PLAIN } from './test/given.ts';

/** A third either way: as near as a workshop's own count comes (docs/trade.md T7–T9, common practice, no published source). */
const withinAThird = (got: number, want: number): void => {
  expect(got).toBeGreaterThan((want * 2) / 3);
  expect(got).toBeLessThan((want * 4) / 3);
};
describe('hours against the figures of the trade (common practice, no published source)', () => {
  const chassis: Survey = { ...PLAIN, areaM2: 12, assembled: 'no' };
  it('T7: brushing a whole vehicle chassis is about 6 h a coat', () =>
    withinAThird(coatHours(chassis, 'brush'), 6));
  it('T8: degreasing one cylinder head is about 2 h', () =>
    withinAThird(degreaseHours({ ...PLAIN, substrate: 'grey-iron', areaM2: 0.5, oil: 'soaked' }), 2));
  it('T8: cleaning and keying an assembled engine is 6 to 7 h', () => {
    const engine: Survey = {
      ...PLAIN,
      substrate: 'grey-iron',
      kind: 'engine-assembled',
      areaM2: 2.4,
      assembled: 'yes',
      oil: 'surface',
    };
    withinAThird(degreaseHours(engine) + abradeHours(engine), 6.5);
  });
  it('T8: reshaping a pitted tractor bonnet is about 50 h of fill, sand and prime', () => {
    // Top and two sides, outside: about 2.8 m².
    const bonnet: Survey = {
      ...PLAIN,
      substrate: 'steel-sheet',
      thicknessMm: 1,
      areaM2: 2.8,
      pits: 'deep',
      finish: 'show',
    };
    withinAThird(levelHours(bonnet), 50);
  });
  it('T9: a single-engine aircraft is about 200 man-hours', () => {
    const skin: Survey = {
      ...PLAIN,
      substrate: 'aluminium-wrought',
      kind: 'aircraft-skin',
      thicknessMm: 0.8,
      rust: 'none',
      areaM2: 65,
      massKg: null,
      finish: 'show',
      coating: 'unsound',
      coatKind: 'two-pack',
      criticality: ['airworthy'],
    };
    const means: ShopMeans = { ...FULL_SHOP, facilities: ['gun', 'booth', 'air-fed-mask'] };
    const painted = advise({ survey: skin, means, families: FAMILIES }).routes.find(
      (r) => r.answer.kind === 'paint',
    );
    withinAThird(painted!.figures.hours, 200);
  });
});
