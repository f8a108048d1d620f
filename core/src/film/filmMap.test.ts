import { describe, expect, it } from '@jest/globals';
import { filmLevel, filmMap, spotsWanted } from './filmMap.ts';
import type { FilmReadBody } from './judgeFilm.ts';

const READ: FilmReadBody = {
  scope: 'system',
  by: 'gauge',
  readingsUm: [125, 105, 104, 385, 386],
  perSpot: 1,
  zero: 'smooth',
  profile: 'medium',
  baseUm: null,
  rule: 'iso-19840',
  nominalUm: 100,
  minUm: null,
  maxUm: 360,
};
const at = (x: number) => ({ x, y: 0.5 });

// ISO 19840:2012 (quoted from memory): exactly 80 % of nominal passes; without a most, three times nominal.
describe('film where it was read', () => {
  it('thin under 80 %, low under nominal, thick over the most', () => {
    expect([79.9, 80, 99.9, 100, 300, 300.1].map((um) => filmLevel(um, 100, null))).toEqual([
      'thin',
      'low',
      'low',
      'right',
      'right',
      'thick',
    ]);
    expect(filmLevel(181, 100, 180)).toBe('thick');
  });
  it('as corrected for the profile, 25 µm off each; a reading without its place is not drawn', () => {
    const map = filmMap({ ...READ, spots: [at(0.1), at(0.2), at(0.3), null, at(0.5)] });
    expect(map.map((m) => [m.x, m.um, m.level])).toEqual([
      [0.1, 100, 'right'],
      [0.2, 80, 'low'],
      [0.3, 79, 'thin'],
      [0.5, 361, 'thick'],
    ]);
  });
  it('as many places as readings, or none', () => {
    expect(spotsWanted(READ)).toBeNull();
    expect(filmMap(READ)).toEqual([]);
    expect(spotsWanted({ ...READ, spots: [at(0.1)] })).toBe(5);
    expect(spotsWanted({ ...READ, spots: [at(0.1), null, null, null, null] })).toBeNull();
  });
});
