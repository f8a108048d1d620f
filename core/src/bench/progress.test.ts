import { describe, expect, it } from '@jest/globals';
import { sheet } from '../test/build.ts';
import { progressOf, type ProgressInput } from './progress.ts';

const epoxy = sheet({ applyMinPerM2: 30 });
const coat = { sheet: epoxy } as ProgressInput['faces'][number]['coats'][number];
const part = (areaM2: number | null, on: number, planned: number): ProgressInput => ({
  areaM2,
  planned: Array.from({ length: planned }, (_, i) => ({
    stepId: `s${i}`,
    sheet: epoxy,
    dftUm: 75,
    coatNo: i + 1,
    ofCoats: planned,
  })),
  faces: [{ coats: Array.from({ length: on }, () => coat) }],
});

describe('progress along the routes', () => {
  it('goes by area, not by count: one frame of 4 m² half done outweighs ten finished brackets of 0.02 m²', () => {
    const brackets = Array.from({ length: 10 }, () => part(0.02, 2, 2));
    // By hand: (1·4 + 20·0.02) / (2·4 + 20·0.02) = 4.4 / 8.4.
    expect(progressOf([part(4, 1, 2), ...brackets]).byArea).toBeCloseTo(4.4 / 8.4, 9);
  });
  it('hours are minutes per m² of the sheet, at least ten a coat', () => {
    const p = progressOf([part(4, 1, 2), part(0.02, 0, 1)]);
    expect(p.hoursDone).toBeCloseTo((4 * 30) / 60, 9);
    expect(p.hoursAll).toBeCloseTo((2 * 4 * 30 + 10) / 60, 9);
  });
  it('shares the area between two faces, and nothing planned is no progress', () => {
    const two = { ...part(2, 0, 1), faces: [{ coats: [coat] }, { coats: [] }] };
    expect(progressOf([two]).byArea).toBeCloseTo(0.5, 9);
    expect(progressOf([])).toEqual({ byArea: 0, hoursDone: 0, hoursAll: 0 });
  });
});
