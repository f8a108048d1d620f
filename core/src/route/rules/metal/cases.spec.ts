import type { Cases } from '../../test/cases.ts';

/** Cases of the rules on this topic: each fires, is clear in a near miss, and asks where it can. */
export const CASES: Readonly<Record<string, Cases>> = {
  'metal.listed': {
    fires: [{ s: { substrate: 'aluminium-cast' }, m: ['bead-blast'], l: 'zp-alkyd enamel*3' }],
    clear: [{ l: 'zp-alkyd enamel*3' }],
    unknown: 'never',
  },
  'metal.diecast-trial': {
    fires: [{ s: { substrate: 'zinc-diecast' }, m: ['bead-blast'], drop: 'test:adhesion-trial' }],
    clear: [{ s: { substrate: 'zinc-diecast' }, m: ['bead-blast'] }],
    unknown: 'never',
  },
  'metal.casting-school': {
    fires: [
      { s: { substrate: 'grey-iron', category: 'C1' }, l: 'enamel*3', schools: { castings: 'direct' } },
      { s: { substrate: 'grey-iron' } },
    ],
    clear: [{ s: { substrate: 'grey-iron' }, schools: { castings: 'direct' } }],
    unknown: 'never',
  },
  'metal.aluminium-warn': {
    fires: [{ s: { substrate: 'aluminium-cast' }, m: ['bead-blast'] }],
    clear: [{}],
    unknown: 'never',
  },
  'metal.magnesium': {
    fires: [
      { s: { substrate: 'magnesium' }, m: [], drop: 'refer:magnesium' },
      { s: { substrate: 'magnesium' }, m: ['hand'], move: ['strip', 'refer'] },
    ],
    clear: [{ s: { substrate: 'magnesium' }, m: [] }, {}],
    unknown: 'never',
  },
  'metal.direct': {
    fires: [{ l: 'enamel*3' }, { s: { substrate: 'grey-iron', category: 'C3' }, l: 'enamel*3' }],
    clear: [
      { s: { substrate: 'grey-iron', category: 'C1' }, l: 'enamel*3' },
      { s: { kind: 'radiator' }, l: 'engine-enamel' },
      { s: { category: 'immersed', fluids: ['fresh-water'], sun: 'no' }, l: 'tank-lining*2' },
    ],
    unknown: [{ s: { substrate: 'grey-iron', category: 'unknown' }, l: 'enamel*3' }],
  },
};
