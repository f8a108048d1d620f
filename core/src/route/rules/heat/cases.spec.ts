import type { Cases } from '../../test/cases.ts';

const OLD = { coating: 'sound', coatKind: 'two-pack', rust: 'A' } as const;
const HOT = { heatC: 400 } as const;

/** Cases of the rules on this topic: each fires, is clear in a near miss, and asks where it can. */
export const CASES: Readonly<Record<string, Cases>> = {
  'heat.limit': {
    fires: [{ s: { heatC: 121 } }],
    clear: [{ s: { heatC: 120 } }],
    unknown: [{ s: { heatC: null } }],
  },
  'heat.bake': {
    fires: [
      { s: HOT, l: 'heat-black*2', has: ['grit', 'gun'] },
      { s: HOT, l: 'heat-black*2', drop: 'bake' },
    ],
    clear: [{ s: HOT, l: 'heat-black*2' }],
    unknown: 'never',
  },
  'heat.only-hot': {
    fires: [{ s: { heatC: 149 }, l: 'heat-black*2' }],
    clear: [{ s: HOT, l: 'heat-black*2' }],
    unknown: [{ s: { heatC: null }, l: 'heat-black*2' }],
  },
  'heat.primer': {
    fires: [
      { s: HOT, m: ['fine-blast'], l: 'epoxy-primer heat-black*2' },
      { s: { ...OLD, ...HOT }, m: ['keep'], l: 'heat-black*2' },
    ],
    clear: [{ s: HOT, l: 'heat-black*2' }],
    unknown: 'never',
  },
};
