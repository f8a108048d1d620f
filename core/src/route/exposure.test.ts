import { describe, expect, it } from '@jest/globals';
import { coatsFor, leastCoats, leastFilm, LEAST_FILM_UM, LIFE_YEARS, lifeOf } from './exposure.ts';
import { anodicGapV } from './galvanic.ts';
import { given } from './test/given.ts';

/** ISO 12944-5:2018 tables C.2–C.5 for blast-cleaned carbon steel, quoted from memory (docs/calculations.md D). */
const TABLE: readonly (readonly [
  system: keyof typeof LEAST_FILM_UM,
  category: 'C2' | 'C3' | 'C4' | 'C5',
  row: Readonly<Record<string, number>>,
])[] = [
  ['epoxy-urethane', 'C2', { H: 120, VH: 180 }],
  ['epoxy-urethane', 'C3', { M: 120, H: 180, VH: 240 }],
  ['epoxy-urethane', 'C4', { L: 120, M: 180, H: 240, VH: 300 }],
  ['epoxy-urethane', 'C5', { L: 180, M: 240, H: 300, VH: 360 }],
  ['zinc-epoxy-urethane', 'C2', { H: 60, VH: 160 }],
  ['zinc-epoxy-urethane', 'C3', { M: 60, H: 160, VH: 200 }],
  ['zinc-epoxy-urethane', 'C4', { L: 60, M: 160, H: 200, VH: 260 }],
  ['zinc-epoxy-urethane', 'C5', { L: 160, M: 200, H: 260, VH: 320 }],
  ['alkyd', 'C2', { L: 100, M: 100, H: 160, VH: 200 }],
  ['alkyd', 'C3', { L: 100, M: 160, H: 200, VH: 260 }],
  ['alkyd', 'C4', { L: 160, M: 200, H: 260 }],
  ['alkyd', 'C5', { L: 200, M: 260 }],
];

describe('exposure to thickness', () => {
  it.each(TABLE)('%s in %s', (system, category, row) => expect(LEAST_FILM_UM[system][category]).toEqual(row));
  // Least coats: 1 at ≤ 120, 2 at 160–300 (zinc 160/200 two, 260/320 three), 3 at 360 (from memory).
  it.each([
    [120, 'epoxy-urethane', 1],
    [180, 'epoxy-urethane', 2],
    [300, 'epoxy-urethane', 2],
    [360, 'epoxy-urethane', 3],
    [160, 'zinc-epoxy-urethane', 2],
    [200, 'zinc-epoxy-urethane', 2],
    [260, 'zinc-epoxy-urethane', 3],
    [320, 'zinc-epoxy-urethane', 3],
  ] as const)('%d µm of %s takes at least %d', (um, system, want) =>
    expect(leastCoats(um, system)).toBe(want),
  );
  it('coats = max(least, ceil(film ÷ a coat)); with zinc 1 + max(least − 1, ceil((film − zinc) ÷ next))', () => {
    expect(coatsFor(240, 60, 'epoxy-urethane')).toBe(4);
    expect(coatsFor(180, 100, 'epoxy-urethane')).toBe(2);
    expect(coatsFor(200, 100, 'zinc-epoxy-urethane', 60)).toBe(3);
    expect(coatsFor(160, 120, 'zinc-epoxy-urethane', 60)).toBe(2);
  });
  it('durability in years: L up to 7, M 7–15, H 15–25, VH over 25 (ISO 12944-1:2018, from memory)', () =>
    expect(Object.values(LIFE_YEARS)).toEqual(['up to 7', '7–15', '15–25', 'over 25']));
});

describe('where the table speaks, and where it does not', () => {
  it('blasted steel in C3 for 7–15 years: 120 µm, and a thicker film lives longer', () => {
    expect(leastFilm(given({}))).toEqual({ kind: 'scope', um: 120, system: 'epoxy-urethane' });
    expect(lifeOf(given({ l: 'epoxy-mastic gloss-2k*2' }))).toBe('15–25');
    expect(lifeOf(given({ l: 'epoxy-primer gloss-2k*2' }))).toBe('7–15');
    expect(lifeOf(given({ l: 'epoxy-mastic*2 gloss-2k*2' }))).toBe('over 25');
  });
  it('C1 is designed as C2', () =>
    expect(leastFilm(given({ s: { category: 'C1', durability: 'H' } }))).toMatchObject({ um: 120 }));
  it('an alkyd anywhere in it makes it an alkyd system; zinc below makes it a zinc one', () => {
    expect(leastFilm(given({ l: 'epoxy-mastic enamel*3' }))).toMatchObject({ system: 'alkyd', um: 160 });
    expect(leastFilm(given({ l: 'zinc-epoxy gloss-2k*2' }))).toMatchObject({
      system: 'zinc-epoxy-urethane',
      um: 60,
    });
  });
  it.each([
    ['hand-prepared', { m: ['disc'] }],
    ['cast iron', { s: { substrate: 'grey-iron' } }],
    ['aluminium', { s: { substrate: 'aluminium-cast' }, m: ['bead-blast'] }],
    ['galvanised', { s: { substrate: 'galvanised' }, m: ['sweep'] }],
    ['a spring, thin because it flexes', { s: { kind: 'spring' }, m: ['fine-blast'] }],
    ['hot', { s: { heatC: 200 } }],
    ['offshore', { s: { category: 'CX' } }],
    ['under water', { s: { category: 'immersed' } }],
    ['kept paint', { s: { coating: 'sound' }, m: ['keep'] }],
  ] as const)('%s: no published life', (_what, g) => {
    expect(leastFilm(given(g))).toEqual({ kind: 'no-published-life' });
    expect(lifeOf(given(g))).toBeNull();
  });
  it('category not known on blasted steel is asked', () =>
    expect(leastFilm(given({ s: { category: 'unknown' } }))).toEqual({ kind: 'ask' }));
});

describe('two metals (anodic index of MIL-STD-889, from memory)', () => {
  it.each([
    ['steel-plate', 'copper-alloy', 0.45],
    ['steel-plate', 'aluminium-wrought', 0.05],
    ['magnesium', 'steel-plate', 0.9],
    ['stainless', 'galvanised', 0.7],
    ['grey-iron', 'steel-sheet', 0],
    ['glass-fibre', 'magnesium', 0],
  ] as const)('%s against %s: %d V', (a, b, want) => {
    expect(anodicGapV(a, b)).toBeCloseTo(want, 9);
    expect(anodicGapV(b, a)).toBeCloseTo(want, 9);
  });
});
