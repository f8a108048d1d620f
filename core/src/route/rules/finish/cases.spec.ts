import type { Cases } from '../../test/cases.ts';

/** Cases of the rules on this topic: each fires, is clear in a near miss, and asks where it can. */
export const CASES: Readonly<Record<string, Cases>> = {
  'finish.sun': {
    fires: [{ l: 'epoxy-mastic*2' }],
    clear: [
      { s: { sun: 'no' }, l: 'epoxy-mastic*2' },
      { s: { concealed: 'yes', sun: 'no' }, l: 'epoxy-mastic*2' },
    ],
    unknown: [{ s: { sun: 'unknown' }, l: 'epoxy-mastic*2' }],
  },
  'finish.stands-alone': {
    fires: [{ s: { sun: 'no' }, l: 'zp-alkyd*2' }],
    clear: [{ s: { sun: 'no' }, l: 'epoxy-mastic*2' }],
    unknown: 'never',
  },
  'finish.fuel': {
    fires: [{ s: { fuel: 'yes' }, l: 'epoxy-mastic enamel*3' }],
    clear: [{ s: { fuel: 'yes' } }],
    unknown: [{ s: { fuel: 'unknown' }, l: 'epoxy-mastic enamel*3' }],
  },
  'finish.brush-show': {
    fires: [{ s: { finish: 'show', reach: 'brush' } }],
    clear: [{ s: { finish: 'show' } }],
    unknown: 'never',
  },
  'finish.show-look': {
    fires: [{ s: { finish: 'show' }, l: 'epoxy-mastic enamel*3' }],
    clear: [{ s: { finish: 'show' } }],
    unknown: 'never',
  },
  'finish.level-pits': {
    fires: [{ s: { finish: 'as-built', pits: 'deep' } }, { s: { finish: 'show', pits: 'light' } }],
    clear: [
      { s: { finish: 'working', pits: 'deep' } },
      { s: { finish: 'show', pits: 'light' }, l: 'epoxy-mastic surfacer-2k gloss-2k*2' },
    ],
    unknown: [{ s: { finish: 'show', pits: 'unknown' } }],
  },
  'finish.too-much': { fires: [{}], clear: [{ l: 'epoxy-mastic surfacer-2k gloss-2k*2' }], unknown: 'never' },
  'finish.weathers': { fires: [{}], clear: [{ l: 'epoxy-mastic enamel*3' }], unknown: 'never' },
  'finish.chips': {
    fires: [{ s: { chips: 'yes' } }],
    clear: [{ s: { chips: 'yes' }, l: 'epoxy-mastic enamel*3' }],
    unknown: 'never',
  },
  'finish.one-batch': {
    fires: [{ s: { colourGroup: 'lining green' } }],
    clear: [{ s: { colourGroup: 'lining green', sun: 'no' }, l: 'epoxy-mastic*2 epoxy-build' }],
    unknown: 'never',
  },
  'finish.pair-alike': { fires: [{ s: { isPair: true } }], clear: [{}], unknown: 'never' },
  'finish.hold-school': {
    fires: [{ s: { colourUndecided: true } }],
    clear: [
      { s: { colourUndecided: true }, l: 'epoxy-mastic*2' },
      { s: { colourUndecided: true }, schools: { undecided: 'whole-system' } },
      { s: { colourUndecided: true, practice: { undecided: 'whole-system' } } },
    ],
    unknown: 'never',
  },
  'finish.hold-primer': {
    fires: [{ s: { colourUndecided: true }, l: 'epoxy-mastic*2' }],
    clear: [{ l: 'epoxy-mastic*2' }],
    unknown: 'never',
  },
  'finish.pressure-filler': {
    fires: [{ s: { criticality: ['pressure'] }, l: 'epoxy-mastic surfacer-2k gloss-2k*2' }],
    clear: [{ s: { criticality: ['pressure'] } }, { l: 'epoxy-mastic surfacer-2k gloss-2k*2' }],
    unknown: 'never',
  },
  'finish.unseen': {
    fires: [{ s: { concealed: 'yes', sun: 'no', category: 'C2' }, l: 'epoxy-mastic' }],
    clear: [{ s: { concealed: 'yes', sun: 'no', category: 'C2' } }, { s: { sun: 'no' }, l: 'epoxy-mastic' }],
    unknown: 'never',
  },
};
