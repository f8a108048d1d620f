import type { Cases } from '../../test/cases.ts';

/** Cases of the rules on this topic: each fires, is clear in a near miss, and asks where it can. */
export const CASES: Readonly<Record<string, Cases>> = {
  'fit.clearance': {
    fires: [{ s: { features: ['close-fit'], clearanceUm: 379 }, drop: 'mask' }],
    clear: [{ s: { features: ['close-fit'], clearanceUm: 380 }, drop: 'mask' }],
    unknown: [{ s: { features: ['close-fit'], clearanceUm: null }, drop: 'mask' }],
  },
  'fit.bare': {
    fires: [{ s: { features: ['bores'] }, m: ['hand'], drop: 'mask' }],
    clear: [{ s: { features: ['bores'] }, m: ['hand'] }],
    unknown: 'never',
  },
  'fit.bolt-faces': { fires: [{ s: { features: ['bolted-joints'] } }], clear: [{}], unknown: 'never' },
  'fit.unmask': {
    fires: [{ s: { features: ['bores'] }, drop: 'unmask' }],
    clear: [{ s: { features: ['bores'] } }],
    unknown: 'never',
  },
};
