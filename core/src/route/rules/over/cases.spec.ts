import type { Cases } from '../../test/cases.ts';

const OLD = { coating: 'sound', coatKind: 'two-pack', rust: 'A' } as const;

/** Cases of the rules on this topic: each fires, is clear in a near miss, and asks where it can. */
export const CASES: Readonly<Record<string, Cases>> = {
  'over.two-over-one': {
    fires: [{ l: 'zp-alkyd gloss-2k*2' }],
    clear: [{ l: 'epoxy-primer enamel*3' }],
    unknown: 'never',
  },
  'over.old-one-pack': {
    fires: [
      { s: { ...OLD, coatKind: 'one-pack', solventRub: 'failed' }, m: ['keep'] },
      { s: OLD, m: ['keep'], l: 'gloss-2k*2' },
    ],
    clear: [{ s: { ...OLD, coatKind: 'one-pack', solventRub: 'passed' }, m: ['keep'] }],
    unknown: [{ s: { ...OLD, coatKind: 'unknown' }, m: ['keep'] }],
  },
  'over.bitumen': {
    fires: [{ s: { ...OLD, coatKind: 'bitumen' }, m: ['keep'] }, { l: 'bitumen gloss-2k*2' }],
    clear: [{ s: OLD, m: ['keep'] }],
    unknown: [{ s: { ...OLD, coatKind: 'unknown' }, m: ['keep'] }],
  },
  'over.sheet-forbids': { fires: [{ l: 'zp-alkyd gloss-2k*2' }], clear: [{}], unknown: 'never' },
  'over.strong-solvent': {
    fires: [{ l: 'zp-alkyd cellulose*4' }],
    clear: [{ l: 'epoxy-primer cellulose*4' }],
    unknown: 'never',
  },
  'over.noble-metal': {
    fires: [{ s: { substrate: 'aluminium-cast' }, m: ['bead-blast'], l: 'red-lead linseed*3' }],
    clear: [{ l: 'red-lead linseed*3' }],
    unknown: 'never',
  },
  'over.filler-place': {
    fires: [
      { s: { category: 'immersed' }, l: 'epoxy-primer body-filler tank-lining*2' },
      { s: { substrate: 'galvanised' }, m: ['bead-blast'], l: 'body-filler gloss-2k*2' },
    ],
    clear: [{ l: 'epoxy-primer body-filler gloss-2k*2' }],
    unknown: [{ s: { category: 'unknown' }, l: 'epoxy-primer body-filler gloss-2k*2' }],
  },
  'over.base-clear': {
    fires: [{ s: { metallic: 'yes' }, l: 'epoxy-primer metallic-base*2' }],
    clear: [{ s: { metallic: 'yes' }, l: 'epoxy-primer metallic-base*2 clear-2k*2' }],
    unknown: 'never',
  },
  'over.metallic': {
    fires: [{ s: { metallic: 'yes' } }, { l: 'epoxy-primer metallic-base*2 clear-2k*2' }],
    clear: [{ s: { metallic: 'yes' }, l: 'epoxy-primer metallic-base*2 clear-2k*2' }],
    unknown: [{ s: { metallic: 'unknown' }, l: 'epoxy-primer metallic-base*2 clear-2k*2' }],
  },
  'over.clear-alone': {
    fires: [{ l: 'epoxy-primer gloss-2k*2 clear-2k' }],
    clear: [{ l: 'epoxy-primer metallic-base*2 clear-2k*2' }],
    unknown: 'never',
  },
};
