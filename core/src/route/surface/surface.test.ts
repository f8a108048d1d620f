import { describe, expect, it } from '@jest/globals';
import { FULL_SHOP } from '../../part/shopMeans.ts';
import { PLAIN } from '../test/given.ts';
import { prepSteps } from '../build.ts';
import { ACTS } from './actsTable.ts';
import { actOf, shareOf } from './acts.ts';
import { MATTERS, type Matter } from './matter.ts';
import { seedSurface } from './seed.ts';
import { afterAct } from './state.ts';
import { standsOn } from './asks.ts';
import { reseeded, surfacesThrough } from './walk.ts';

const left = (s: Partial<typeof PLAIN>, acts: readonly string[], m: Matter): number => {
  const survey = { ...PLAIN, ...s };
  return standsOn(
    acts.reduce((at, id) => afterAct(at, actOf(id)!, survey), seedSurface(survey)),
    m,
  );
};

/** Shares of docs/surface.md 2 (common practice, no published source), worked by hand in sixteenths. */
describe('what an act takes', () => {
  it.each([
    // Lye and stripper take paint and no rust.
    [{ coating: 'sound', coatKind: 'one-pack', rust: 'C' }, ['hot-caustic'], 'sound-paint', 0],
    [{ coating: 'sound', coatKind: 'one-pack', rust: 'C' }, ['hot-caustic'], 'tight-rust', 16],
    [{ coating: 'sound', coatKind: 'two-pack' }, ['solvent-stripper'], 'sound-paint', 4],
    [{ coating: 'sound', coatKind: 'two-pack' }, ['solvent-stripper', 'solvent-stripper'], 'sound-paint', 1],
    // By hand half the tight rust, and half of the rest again.
    [{ rust: 'C' }, ['hand'], 'tight-rust', 8],
    [{ rust: 'C' }, ['hand', 'hand'], 'tight-rust', 4],
    // A wire wheel does not get further by doing it again.
    [{ rust: 'C' }, ['wire-wheel', 'wire-wheel'], 'tight-rust', 8],
    [{ rust: 'D' }, ['grit-blast'], 'pit-rust', 0],
    [{ rust: 'D' }, ['disc'], 'pit-rust', 16],
    [{ rust: 'D' }, ['disc', 'phosphate', 'phosphate'], 'pit-rust', 4],
    [{ rust: 'A', scale: 'yes' }, ['disc'], 'scale', 8],
    [{ coating: 'sound', coatKind: 'one-pack' }, ['chelating-bath'], 'sound-paint', 16],
    [{ substrate: 'grey-iron', rust: 'C' }, ['disc'], 'tight-rust', 8],
  ] as const)('%j after %j: %s %d/16', (s, acts, m, want) => expect(left(s, acts, m)).toBe(want));

  it('the kind of paint not known counts as the worst of the three', () => {
    for (const a of ACTS)
      for (const m of ['sound-paint', 'loose-paint'] as const) {
        const of = (coatKind: typeof PLAIN.coatKind): number =>
          shareOf(a, m, { ...PLAIN, coating: 'sound', coatKind });
        expect(of('unknown')).toBe(Math.min(of('one-pack'), of('two-pack'), of('powder')));
      }
  });
  it('law: an act never adds what it is to take, and doing it again never leaves more', () => {
    for (const a of ACTS) {
      const survey = {
        ...PLAIN,
        rust: 'D',
        pits: 'deep',
        scale: 'yes',
        coating: 'unknown',
        oldFiller: 'yes',
        alsoOn: ['soot', 'underseal'],
      } as const;
      const start = seedSurface(survey);
      const once = afterAct(start, a, survey);
      const twice = afterAct(once, a, survey);
      for (let i = 0; i < MATTERS.length; i++) {
        if (a.leaves.includes(MATTERS[i] as never)) continue;
        expect(once.amounts[i]!).toBeLessThanOrEqual(start.amounts[i]!);
        expect(twice.amounts[i]!).toBeLessThanOrEqual(once.amounts[i]!);
      }
    }
  });
});

describe('what the survey puts there', () => {
  it.each([
    ['A', 4, 0, 0],
    ['B', 16, 16, 0],
    ['C', 16, 16, 0],
    ['D', 16, 16, 16],
  ] as const)(
    'grade %s: loose %d, tight %d, in pits %d sixteenths (docs/surface.md 11.1)',
    (rust, loose, tight, pits) => {
      const at = seedSurface({ ...PLAIN, rust, pits: rust === 'D' ? 'deep' : 'none' });
      expect([standsOn(at, 'loose-rust'), standsOn(at, 'tight-rust'), standsOn(at, 'pit-rust')]).toEqual([
        loose,
        tight,
        pits,
      ]);
    },
  );
  it('mill scale not looked for stands on grades A and B of rolled steel, never on a casting', () => {
    const scale = (s: Partial<typeof PLAIN>): number =>
      standsOn(seedSurface({ ...PLAIN, scale: 'unknown', ...s }), 'scale');
    expect(scale({ rust: 'B' })).toBe(16);
    expect(scale({ rust: 'C' })).toBe(0);
    expect(scale({ substrate: 'grey-iron', rust: 'B' })).toBe(0);
  });
  it('paint partly sound is split by its share', () => {
    const at = seedSurface({ ...PLAIN, coating: 'partly', coatKind: 'one-pack', soundShare: 0.75 });
    expect([standsOn(at, 'sound-paint'), standsOn(at, 'loose-paint')]).toEqual([12, 4]);
  });
  it('eyes decide: what is seen at the inspection takes the place of the shares', () => {
    const survey = { ...PLAIN, rust: 'D', pits: 'deep' } as const;
    const steps = prepSteps(survey, FULL_SHOP, ['grit-blast']);
    const clean = surfacesThrough(survey, steps).at(-1)!;
    const seen = reseeded(clean, { rust: 'pits', paint: 'none', water: 'sheets' });
    expect(standsOn(clean, 'pit-rust')).toBe(0);
    expect(standsOn(seen, 'pit-rust')).toBe(16);
    expect(standsOn(reseeded(clean, { rust: 'none', paint: 'none', water: 'breaks' }), 'oil')).toBe(16);
  });
});
