import { describe, expect, it } from '@jest/globals';
import { rubsResult, saltResult } from './cards.ts';

describe('salt on steel (ISO 8502-9 measures it; the edges are common practice, no published source)', () => {
  it.each([
    [0, 'good'],
    [20, 'good'],
    [20.1, 'unclear'],
    [50, 'unclear'],
    [50.1, 'bad'],
  ] as const)('%f mg/m²: %s', (mg, result) => expect(saltResult(mg)).toBe(result));
});

describe('double rubs with MEK (ASTM D5402 counts them; fifty is common practice, no published source)', () => {
  it.each([
    [1, 'bad'],
    [24, 'bad'],
    [25, 'unclear'],
    [49, 'unclear'],
    [50, 'good'],
  ] as const)('%i: %s', (rubs, result) => expect(rubsResult(rubs)).toBe(result));
});
