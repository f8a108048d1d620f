import type { Cases } from '../../test/cases.ts';

const WET = { category: 'immersed', fluids: ['fresh-water'], sun: 'no' } as const;
const CRANKCASE = {
  substrate: 'grey-iron',
  kind: 'engine-casting',
  category: 'immersed',
  fluids: ['mineral-oil'],
  sun: 'no',
} as const;

/** Cases of the rules on this topic: each fires, is clear in a near miss, and asks where it can. */
export const CASES: Readonly<Record<string, Cases>> = {
  'protect.min-film': {
    fires: [{ l: 'epoxy-primer gloss-2k' }],
    clear: [{ l: 'epoxy-primer gloss-2k*2' }, { m: ['disc'], l: 'epoxy-primer gloss-2k' }],
    unknown: [{ s: { category: 'unknown' } }],
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
  'protect.thin-primer': {
    // Grit aims at 40 µm at the least: 60 µm of primer; fine media at 15: 25 do.
    fires: [{ l: 'epoxy-aero gloss-2k*3' }],
    clear: [{ l: 'epoxy-primer gloss-2k*2' }, { m: ['fine-blast'], l: 'epoxy-aero gloss-2k*3' }],
    unknown: 'never',
  },
  'protect.immersion': {
    fires: [
      { s: { category: 'immersed', fluids: ['brine'], sun: 'no' } },
      { s: { category: 'immersed', fluids: ['acid'], sun: 'no' }, l: 'epoxy-primer tank-lining*2' },
    ],
    clear: [
      { s: { category: 'immersed', fluids: ['brine'], sun: 'no' }, l: 'epoxy-primer tank-lining*2' },
      // Above the waterline of a float the finish lists splash.
      { s: { category: 'immersed', fluids: ['brine'], sun: 'yes' }, l: 'epoxy-mastic*3 gloss-2k*2' },
    ],
    unknown: [{ s: { category: 'immersed', sun: 'no' }, l: 'tank-lining*2' }],
  },
  'protect.immersed-film': {
    fires: [
      { s: WET, l: 'epoxy-mastic' },
      { s: WET, l: 'epoxy-primer*4' },
    ],
    clear: [
      { s: WET, l: 'tank-lining*2' },
      { s: WET, l: 'epoxy-mastic*3' },
    ],
    unknown: 'never',
  },
  'protect.lining': {
    fires: [
      { s: { sun: 'no' }, l: 'tank-lining*2' },
      { s: { ...WET, kind: 'float-hull' }, l: 'tank-lining*2' },
    ],
    clear: [{ s: WET, l: 'tank-lining*2' }],
    unknown: 'never',
  },
  'protect.most-film': {
    fires: [
      { l: 'epoxy-mastic gloss-2k*12' },
      { edit: (x) => x.map((s) => (s.familyId === 'gloss-2k' ? { ...s, dftUm: 61 } : s)) },
      { s: { heatC: 400 }, m: ['fine-blast'], l: 'heat-black*3' },
    ],
    clear: [{}, { l: 'epoxy-mastic*4 gloss-2k*2' }],
    unknown: 'never',
  },
  'protect.form-cap': {
    fires: [
      { s: { kind: 'spring' }, m: ['fine-blast'], l: 'epoxy-mastic gloss-2k*2' },
      { s: { kind: 'fasteners' }, l: 'epoxy-mastic' },
      { s: { kind: 'spring' }, m: ['fine-blast'], l: 'zinc-silicate' },
    ],
    clear: [
      { s: { kind: 'spring' }, m: ['fine-blast'], l: 'epoxy-mastic gloss-2k' },
      { s: { kind: 'bracket' }, l: 'epoxy-mastic gloss-2k*2' },
    ],
    unknown: 'never',
  },
  'protect.fins-listed': {
    fires: [{ s: { kind: 'radiator' }, l: 'epoxy-aero' }],
    clear: [{ s: { kind: 'radiator' }, l: 'engine-enamel' }],
    unknown: 'never',
  },
  'protect.oil-space': {
    fires: [{ s: CRANKCASE, l: 'epoxy-mastic*3' }],
    clear: [
      { s: CRANKCASE, l: 'engine-enamel*2' },
      { s: WET, l: 'epoxy-mastic*3' },
    ],
    unknown: 'never',
  },
  'protect.bright-end': {
    fires: [{ s: { features: ['machined'] }, drop: 'preserve' }],
    clear: [{ s: { features: ['machined'] } }, {}],
    unknown: 'never',
  },
  'protect.pressure-inside': {
    fires: [{ s: { ...WET, criticality: ['pressure'] }, l: 'tank-lining*2' }],
    clear: [{ s: { criticality: ['pressure'] } }],
    unknown: 'never',
  },
  'protect.refer-fluid': {
    fires: [{ s: { ...WET, fluids: ['potable'] }, l: 'tank-lining*2' }],
    clear: [{ s: WET, l: 'tank-lining*2' }],
    unknown: 'never',
  },
  'protect.wear-face': { fires: [{ s: { features: ['wear-face'] } }], clear: [{}], unknown: 'never' },
};
