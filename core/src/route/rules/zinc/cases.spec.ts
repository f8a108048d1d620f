import type { Cases } from '../../test/cases.ts';

const ZINC = 'zinc-epoxy gloss-2k*2';

/** Cases of the rules on this topic: each fires, is clear in a near miss, and asks where it can. */
export const CASES: Readonly<Record<string, Cases>> = {
  'zinc.steel-only': {
    fires: [{ s: { substrate: 'grey-iron' }, l: ZINC }],
    clear: [{ l: ZINC }],
    unknown: 'never',
  },
  'zinc.phosphate': {
    fires: [
      { p: 'phosphate', l: ZINC },
      { s: { phosphated: 'yes' }, l: ZINC },
    ],
    clear: [{ l: ZINC }, { s: { phosphated: 'yes' } }],
    unknown: [{ s: { phosphated: 'unknown' }, l: ZINC }],
  },
  'zinc.old-paint': {
    fires: [{ l: 'epoxy-primer zinc-epoxy gloss-2k*2' }],
    clear: [{ l: ZINC }],
    unknown: 'never',
  },
  'zinc.gun': { fires: [{ s: { reach: 'brush' }, l: ZINC }], clear: [{ l: ZINC }], unknown: 'never' },
  'zinc.alkyd-over': {
    fires: [
      { s: { substrate: 'galvanised' }, m: ['bead-blast'], l: 'enamel*3' },
      { l: 'zinc-epoxy enamel*3' },
    ],
    clear: [{ s: { substrate: 'galvanised' }, m: ['bead-blast'] }],
    unknown: 'never',
  },
  'zinc.not-the-same': {
    fires: [{ l: ZINC }, { l: 'chromate-primer enamel*3' }],
    clear: [{}],
    unknown: 'never',
  },
  'zinc.mist': { fires: [{ l: ZINC }], clear: [{}], unknown: 'never' },
  'zinc.exposed': {
    fires: [{ s: { category: 'C5' }, l: ZINC }],
    clear: [{ s: { category: 'C2' }, l: ZINC }],
    unknown: 'never',
  },
};
