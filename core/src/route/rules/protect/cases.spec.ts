import type { Cases } from '../../test/cases.ts';

/** Cases of the rules on this topic: each fires, is clear in a near miss, and asks where it can. */
export const CASES: Readonly<Record<string, Cases>> = {
  'protect.min-film': {
    fires: [{ l: 'epoxy-primer gloss-2k' }],
    clear: [{ l: 'epoxy-primer gloss-2k*2' }, { m: ['disc'], l: 'epoxy-primer gloss-2k' }],
    unknown: [{ s: { category: 'unknown' } }],
  },
  'protect.thin-primer': {
    fires: [{ l: 'epoxy-aero gloss-2k*3' }],
    clear: [{ l: 'epoxy-primer gloss-2k*2' }],
    unknown: 'never',
  },
  'protect.stripe': {
    fires: [{ s: { features: ['welds-rivets'] }, drop: 'stripe' }],
    clear: [
      { s: { features: ['welds-rivets'] } },
      { s: { features: ['welds-rivets'], category: 'C2' }, drop: 'stripe' },
    ],
    unknown: [{ s: { features: ['welds-rivets'], category: 'unknown' }, drop: 'stripe' }],
  },
  'protect.water-traps': { fires: [{ s: { features: ['water-traps'] } }], clear: [{}], unknown: 'never' },
  'protect.cavity-last': {
    fires: [{ s: { features: ['box-section'] }, move: ['cavity', 'topcoat'] }],
    clear: [{ s: { features: ['box-section'] } }],
    unknown: 'never',
  },
  'protect.box-section': {
    fires: [{ s: { features: ['box-section'] }, drop: 'cavity' }],
    clear: [{ s: { features: ['box-section'] } }],
    unknown: 'never',
  },
  'protect.galvanic': {
    fires: [{ s: { otherMetal: 'copper-alloy' } }],
    clear: [{ s: { otherMetal: 'aluminium-wrought' } }],
    unknown: [{ s: { otherMetal: 'unknown' } }],
  },
  'protect.immersion': {
    fires: [{ s: { category: 'immersed' } }],
    clear: [{ s: { category: 'immersed', sun: 'no' }, l: 'epoxy-primer tank-lining*2' }],
    unknown: 'never',
  },
};
