import type { Cases } from '../../test/cases.ts';

const OLD = { coating: 'sound', coatKind: 'two-pack', rust: 'none' } as const;

/** Cases of the rules on this topic: each fires, is clear in a near miss, and asks where it can. */
export const CASES: Readonly<Record<string, Cases>> = {
  'surface.stands': {
    fires: [
      // Lye and stripper take paint and never rust.
      { s: { ...OLD, rust: 'C' }, m: ['hot-caustic'] },
      {
        s: { ...OLD, rust: 'C' },
        m: ['solvent-stripper', 'solvent-stripper'],
        l: 'epoxy-primer gloss-2k*2',
      },
      // A disc leaves mill scale; the strip step taken out leaves everything.
      { s: { scale: 'yes' }, m: ['disc'] },
      { drop: 'strip' },
      { drop: 'wash' },
      {
        s: { substrate: 'grey-iron', oil: 'soaked', assembled: 'yes' },
        m: ['wire-wheel'],
        drop: 'degrease:again',
      },
      { p: 'phosphate', l: 'etch-2k surfacer-2k gloss-2k*2' },
      { s: { ...OLD, rust: 'none' }, m: ['keep'], l: 'etch-2k surfacer-2k gloss-2k*2' },
      {
        s: { ...OLD, oldFiller: 'yes' },
        m: ['solvent-stripper', 'solvent-stripper'],
        l: 'etch-2k surfacer-2k gloss-2k*2',
      },
      { m: ['chelating-bath'], drop: 'dry' },
    ],
    clear: [
      {},
      { s: { scale: 'yes' } },
      { m: ['disc'] },
      { s: { rust: 'D', category: 'C2' }, m: ['hand', 'hand'] },
      { s: OLD, m: ['keep'] },
    ],
    // Scale under mastic is for dry places; where it lives is not known.
    unknown: [{ s: { scale: 'yes', category: 'unknown' }, m: ['disc'] }],
  },
  'surface.clean': {
    fires: [
      { m: ['disc'], l: 'zinc-epoxy gloss-2k*2' },
      { m: ['hand', 'hand'], l: 'epoxy-primer gloss-2k*2' },
      { m: ['chelating-bath'], l: 'zinc-epoxy gloss-2k*2' },
      { s: { heatC: 400 }, m: ['disc'], l: 'heat-black*2' },
    ],
    clear: [
      { l: 'zinc-epoxy gloss-2k*2' },
      { m: ['chelating-bath'], l: 'epoxy-primer gloss-2k*2' },
      { s: { heatC: 240 }, m: ['disc'], l: 'heat-black*2' },
      { s: { category: 'C2' }, m: ['hand'] },
    ],
    unknown: [{ s: { category: 'unknown' }, m: ['hand', 'hand'] }],
  },
  'surface.profile': {
    fires: [
      { s: { heatC: 400 }, l: 'heat-black*2' },
      { s: { category: 'immersed', fluids: ['brine'], sun: 'no' }, m: ['disc'], l: 'tank-lining*2' },
    ],
    clear: [{ s: { heatC: 400 }, m: ['fine-blast'], l: 'heat-black*2' }, {}],
    unknown: 'never',
  },
  'surface.burnished': {
    fires: [{ m: ['wire-wheel'], drop: 'abrade' }],
    clear: [{ m: ['wire-wheel'] }, { m: ['wire-wheel', 'disc'] }],
    unknown: 'never',
  },
  'surface.key': {
    fires: [
      { s: OLD, m: ['keep'], drop: 'abrade' },
      { s: { substrate: 'galvanised', ...OLD }, m: ['solvent-stripper', 'solvent-stripper'], drop: 'abrade' },
      {
        s: { substrate: 'aluminium-wrought', category: 'immersed', fluids: ['brine'] },
        m: ['pad'],
        l: 'epoxy-mastic*3 gloss-2k*2',
      },
    ],
    clear: [
      { s: OLD, m: ['keep'] },
      { s: { substrate: 'galvanised' }, m: ['sweep'] },
      {
        s: { substrate: 'aluminium-wrought', category: 'immersed', fluids: ['brine'] },
        m: ['pad'],
        p: 'conversion',
        l: 'epoxy-mastic*3 gloss-2k*2',
      },
    ],
    unknown: 'never',
  },
  'surface.first': {
    fires: [
      { s: { ...OLD, rust: 'C' }, m: ['chelating-bath'] },
      { drop: 'degrease' },
      { s: { glue: 'yes' }, drop: 'degrease' },
    ],
    clear: [{ s: { ...OLD, rust: 'C' }, m: ['solvent-stripper', 'solvent-stripper', 'chelating-bath'] }, {}],
    unknown: 'never',
  },
};
