import { describe, expect, it } from '@jest/globals';
import { CATALOGUE_SHEETS } from '../products/catalogue/index.ts';
import { contentDensityKgL } from './density.ts';

describe('how heavy its content is', () => {
  it('paint by what the mix weighs without its hardener, hardener and thinner by the sheet; unknown products by nothing', () => {
    // Epoxy: 1.45 kg/L mixed of 4:1 with 1.0 kg/L hardener, so A is (5·1.45 − 1)/4.
    expect(contentDensityKgL(CATALOGUE_SHEETS, 'epoxy-primer', 'paint')).toBeCloseTo(1.5625, 9);
    expect(contentDensityKgL(CATALOGUE_SHEETS, 'epoxy-primer', 'hardener')).toBe(1);
    expect(contentDensityKgL(CATALOGUE_SHEETS, 'gloss-2k', 'thinner')).toBe(0.87);
    expect(contentDensityKgL(CATALOGUE_SHEETS, 'nothing', 'paint')).toBeNull();
  });
});
