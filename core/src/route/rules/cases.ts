import type { Given } from '../testing/given.ts';

/** Cases of a rule: where it fires, where it is clear (a near miss), and where it must ask; `never` when it decides on the route alone. */
export interface Cases {
  readonly fires: readonly Given[];
  readonly clear: readonly Given[];
  readonly unknown: readonly Given[] | 'never';
}

const NO_FACILITY: Given['has'] = [];
const OLD = { coating: 'sound', coatKind: 'two-pack', rust: 'A' } as const;
const ETCH = 'etch-2k surfacer-2k gloss-2k*2';
const ZINC = 'zinc-epoxy gloss-2k*2';
const HOT = { heatC: 400 } as const;
const coat = (familyId: string, over = {}) => ({
  stepId: 'x',
  kind: 'topcoat' as const,
  familyId,
  coats: 1,
  dftUm: 40,
  hours: 1,
  waitHours: 0,
  cautions: [],
  ...over,
});

export const CASES: Readonly<Record<string, Cases>> = {
  'strip.blast-thin': {
    fires: [{ s: { thicknessMm: 1.9 } }, { s: { substrate: 'steel-sheet', thicknessMm: null } }],
    clear: [{ s: { thicknessMm: 2 } }, { s: { thicknessMm: 1 }, m: ['disc'] }],
    unknown: [{ s: { thicknessMm: null } }],
  },
  'strip.blast-machined': {
    fires: [{ s: { features: ['threads'] }, drop: 'mask:before-strip' }],
    clear: [{ s: { features: ['threads'] } }],
    unknown: 'never',
  },
  'strip.blast-assembled': {
    fires: [{ s: { assembled: 'yes' } }],
    clear: [{ s: { assembled: 'yes' }, m: ['hand'] }],
    unknown: [{ s: { assembled: 'unknown' } }],
  },
  'strip.white-metal-mask': {
    fires: [{ s: { features: ['white-metal'] }, drop: 'mask:before-strip' }],
    clear: [{ s: { features: ['white-metal'] } }],
    unknown: 'never',
  },
  'strip.seals-bath': {
    fires: [{ s: { features: ['seals'] }, m: ['chelating-bath'] }],
    clear: [{ s: { features: ['seals'] }, m: ['hand'] }],
    unknown: 'never',
  },
  'strip.iron-media': {
    fires: [{ s: { substrate: 'aluminium-cast', rust: 'none' } }],
    clear: [{ s: { substrate: 'aluminium-cast', rust: 'none' }, m: ['bead-blast'] }],
    unknown: 'never',
  },
  'strip.dry-ice-rust': {
    fires: [{ s: { rust: 'C' }, m: ['dry-ice'] }],
    clear: [{ s: { rust: 'none' }, m: ['dry-ice'] }],
    unknown: [{ s: { rust: 'unknown' }, m: ['dry-ice'] }],
  },
  'strip.bath-metals': {
    fires: [{ s: { substrate: 'zinc-diecast' }, m: ['citric-bath'] }],
    clear: [{ m: ['citric-bath'] }],
    unknown: 'never',
  },
  'strip.bath-size': {
    fires: [{ s: { massKg: 26 }, m: ['chelating-bath'] }],
    clear: [{ s: { massKg: 25 }, m: ['chelating-bath'] }],
    unknown: [{ s: { massKg: null }, m: ['chelating-bath'] }],
  },
  'strip.caustic-seams': {
    fires: [{ s: { features: ['seams'] }, m: ['hot-caustic'] }],
    clear: [{ m: ['hot-caustic'] }],
    unknown: 'never',
  },
  'strip.solvent-plastics': {
    fires: [{ s: { substrate: 'glass-fibre' }, m: ['solvent-stripper'] }],
    clear: [{ s: { substrate: 'glass-fibre' }, m: ['disc'] }],
    unknown: 'never',
  },
  'strip.solvent-seams': {
    fires: [{ s: { features: ['seams'] }, m: ['solvent-stripper'] }],
    clear: [{ m: ['solvent-stripper'] }],
    unknown: 'never',
  },
  'strip.hydrogen': {
    fires: [
      { s: { hardened: 'yes' }, m: ['electrolysis'] },
      { s: { hardened: 'yes' }, p: 'phosphate' },
    ],
    clear: [{ s: { hardened: 'yes' } }],
    unknown: [{ s: { hardened: 'unknown' }, m: ['citric-bath'] }],
  },
  'strip.needle-thin': {
    fires: [{ s: { thicknessMm: 2.5 }, m: ['needle-gun'] }],
    clear: [{ s: { thicknessMm: 3 }, m: ['needle-gun'] }],
    unknown: [{ s: { thicknessMm: null }, m: ['needle-gun'] }],
  },
  'strip.heat-gun-lead': {
    fires: [{ s: { ...OLD, legacy: 'lead' }, m: ['heat-gun'] }],
    clear: [{ s: { ...OLD, legacy: 'none' }, m: ['heat-gun'] }],
    unknown: [{ s: { ...OLD, legacy: 'unknown' }, m: ['heat-gun'] }],
  },
  'strip.disc-edges': {
    fires: [{ s: { features: ['thin-edges'] }, m: ['disc'] }],
    clear: [{ s: { features: ['thin-edges'] }, m: ['hand'] }],
    unknown: 'never',
  },
  'strip.disc-clad': {
    fires: [{ s: { substrate: 'aluminium-wrought', thicknessMm: 0.8 }, m: ['disc'] }],
    clear: [{ s: { substrate: 'aluminium-wrought', thicknessMm: 3 }, m: ['disc'] }],
    unknown: [{ s: { substrate: 'aluminium-wrought', thicknessMm: null }, m: ['disc'] }],
  },
  'strip.wire-burnish': {
    fires: [{ m: ['wire-wheel'], drop: 'abrade' }],
    clear: [{ m: ['wire-wheel'] }],
    unknown: 'never',
  },
  'strip.wire-aluminium': {
    fires: [{ s: { substrate: 'aluminium-cast' }, m: ['wire-wheel'] }],
    clear: [{ m: ['wire-wheel'] }],
    unknown: 'never',
  },
  'strip.legacy-test': {
    fires: [{ s: { ...OLD, legacy: 'lead' }, m: ['disc'], drop: 'test:legacy' }],
    clear: [{ s: { ...OLD, legacy: 'unknown' }, m: ['disc'] }],
    unknown: [{ s: { ...OLD, legacy: 'unknown' }, m: ['disc'], drop: 'test:legacy' }],
  },
  'strip.legacy-dust': {
    fires: [{ s: { ...OLD, legacy: 'lead' }, m: ['disc'], drop: 'refer:legacy-removal' }],
    clear: [{ s: { ...OLD, legacy: 'lead' }, m: ['solvent-stripper'] }],
    unknown: 'never',
  },
  'strip.keep-unsound': {
    fires: [{ s: { ...OLD, coating: 'unsound' }, m: ['keep'] }],
    clear: [{ s: OLD, m: ['keep'] }],
    unknown: [{ s: { ...OLD, coating: 'unknown' }, m: ['keep'] }],
  },
  'strip.keep-show': {
    fires: [{ s: { ...OLD, finish: 'show' }, m: ['keep'] }],
    clear: [{ s: { ...OLD, finish: 'as-built' }, m: ['keep'] }],
    unknown: 'never',
  },
  'strip.keep-rust': {
    fires: [{ s: { ...OLD, rust: 'D' }, m: ['keep'] }],
    clear: [{ s: OLD, m: ['keep'] }],
    unknown: 'never',
  },
  'strip.facility': {
    fires: [{ has: ['gun', 'air-fed-mask'] }, { has: ['gun'], m: ['chelating-bath'] }],
    clear: [{ has: ['gun', 'contractor'] }, { has: NO_FACILITY, m: ['disc'] }],
    unknown: 'never',
  },
  'strip.lagging': {
    fires: [{ s: { lagging: 'yes' }, drop: 'refer:asbestos' }],
    clear: [{ s: { lagging: 'yes' } }],
    unknown: [{ s: { lagging: 'unknown' } }],
  },
  'strip.fuel-tank': {
    fires: [{ s: { criticality: ['fuel'] }, drop: 'refer:gas-free' }],
    clear: [{ s: { criticality: ['fuel'] } }],
    unknown: 'never',
  },
  'strip.scale-hand': {
    fires: [{ s: { scale: 'yes' }, m: ['disc'] }],
    clear: [{ s: { scale: 'yes' } }],
    unknown: [{ s: { scale: 'unknown' }, m: ['disc'] }],
  },
  'strip.wheel-school': {
    fires: [{ schools: { wireWheel: 'no' }, m: ['wire-wheel'] }],
    clear: [{ m: ['wire-wheel'] }],
    unknown: 'never',
  },
  'strip.blast-first': { fires: [{}], clear: [{ m: ['disc'] }], unknown: 'never' },
  'strip.keep-school': {
    fires: [{ s: OLD, m: ['keep'], schools: { oldPaint: 'keep' } }],
    clear: [{ s: OLD, m: ['keep'] }],
    unknown: 'never',
  },
  'strip.strip-school': {
    fires: [{ s: OLD }],
    clear: [{ s: OLD, schools: { oldPaint: 'keep' } }],
    unknown: 'never',
  },

  'prep.degrease-first': {
    fires: [{ drop: 'degrease' }, { move: ['strip', 'degrease'] }],
    clear: [{}, { m: ['chelating-bath'], drop: 'degrease' }],
    unknown: 'never',
  },
  'prep.oil-soaked': {
    fires: [{ s: { oil: 'soaked' }, drop: 'degrease:again' }],
    clear: [{ s: { oil: 'soaked' } }],
    unknown: [{ s: { substrate: 'grey-iron', oil: 'unknown' }, drop: 'degrease:again' }],
  },
  'prep.warm-out': {
    fires: [{ s: { oil: 'soaked', features: ['seals'] } }],
    clear: [{ s: { oil: 'soaked' } }],
    unknown: 'never',
  },
  'prep.phosphate-metals': {
    fires: [{ s: { substrate: 'aluminium-cast' }, p: 'phosphate' }],
    clear: [{ p: 'phosphate' }],
    unknown: 'never',
  },
  'prep.conversion-metals': {
    fires: [{ p: 'conversion' }],
    clear: [{ s: { substrate: 'aluminium-cast' }, p: 'conversion' }],
    unknown: 'never',
  },
  'prep.conversion-first': {
    fires: [{ s: { substrate: 'aluminium-wrought' }, m: ['hand'], p: 'conversion' }],
    clear: [{ s: { substrate: 'aluminium-wrought', category: 'C1' }, m: ['hand'], p: 'conversion' }],
    unknown: 'never',
  },
  'prep.galvanised': {
    fires: [{ s: { substrate: 'galvanised' }, m: ['disc'], drop: 'abrade' }],
    clear: [{ s: { substrate: 'galvanised' }, m: ['disc'], p: 't-wash' }],
    unknown: 'never',
  },
  'prep.salt-test': {
    fires: [{ s: { salt: 'yes' }, drop: 'test:salt' }],
    clear: [{ s: { salt: 'yes' } }],
    unknown: [{ s: { salt: 'unknown' }, drop: 'test:salt' }],
  },
  'prep.flash-rust': {
    fires: [
      {
        edit: (x) =>
          x.flatMap((s) => (s.kind === 'wash' ? [s, { ...s, kind: 'repair' as const, waitHours: 0 }] : [s])),
      },
    ],
    clear: [{}],
    unknown: 'never',
  },
  'prep.inspect-bare': {
    fires: [{ s: { criticality: ['pressure'] }, drop: 'refer:inspection' }],
    clear: [{ s: { criticality: ['pressure'] } }],
    unknown: 'never',
  },
  'prep.record-first': { fires: [{ s: OLD, drop: 'record' }], clear: [{ s: OLD }], unknown: 'never' },
  'prep.test-fit': {
    fires: [{ s: { features: ['close-fit'] }, drop: 'test-fit' }],
    clear: [{ s: { features: ['close-fit'] } }],
    unknown: 'never',
  },
  'prep.blast-dust': { fires: [{ drop: 'wash' }], clear: [{ m: ['disc'] }], unknown: 'never' },
  'prep.key-old': {
    fires: [{ s: OLD, m: ['keep'], drop: 'abrade' }],
    clear: [{ s: OLD, m: ['keep'] }],
    unknown: 'never',
  },

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
  'metal.magnesium': {
    fires: [
      { s: { substrate: 'magnesium' }, m: ['hand'], drop: 'refer:magnesium' },
      { s: { substrate: 'magnesium' }, m: ['disc'] },
    ],
    clear: [{ s: { substrate: 'magnesium' }, m: ['hand'] }],
    unknown: 'never',
  },
  'metal.direct': {
    fires: [{ l: 'enamel*3' }, { s: { substrate: 'grey-iron', category: 'C3' }, l: 'enamel*3' }],
    clear: [{ s: { substrate: 'grey-iron', category: 'C1' }, l: 'enamel*3' }],
    unknown: [{ s: { substrate: 'grey-iron', category: 'unknown' }, l: 'enamel*3' }],
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

  'etch.over-paint': { fires: [{ s: OLD, m: ['keep'], l: ETCH }], clear: [{ l: ETCH }], unknown: 'never' },
  'etch.over-phosphate': {
    fires: [
      { p: 'phosphate', l: ETCH },
      { s: { phosphated: 'yes' }, m: ['disc'], l: ETCH },
    ],
    clear: [{ s: { phosphated: 'yes' }, l: ETCH }],
    unknown: [{ s: { phosphated: 'unknown' }, m: ['disc'], l: ETCH }],
  },
  'etch.over-conversion': {
    fires: [{ s: { substrate: 'aluminium-wrought' }, m: ['hand'], p: 'conversion', l: ETCH }],
    clear: [{ s: { substrate: 'aluminium-wrought' }, m: ['hand'], l: ETCH }],
    unknown: 'never',
  },
  'etch.over-filler': {
    fires: [
      { l: 'body-filler etch-2k surfacer-2k gloss-2k*2' },
      { s: { oldFiller: 'yes' }, m: ['disc'], l: ETCH },
    ],
    clear: [{ s: { oldFiller: 'yes' }, l: ETCH }],
    unknown: [{ s: { oldFiller: 'unknown' }, m: ['disc'], l: ETCH }],
  },
  'etch.follower': {
    fires: [{ l: 'etch-2k epoxy-primer gloss-2k*2' }],
    clear: [{ l: 'etch-2k epoxy-aero gloss-2k*2' }],
    unknown: 'never',
  },
  'etch.filler-on': {
    fires: [{ l: 'etch-2k body-filler gloss-2k*2' }],
    clear: [{ l: ETCH }],
    unknown: 'never',
  },
  'etch.alone': { fires: [{ l: 'etch-2k' }], clear: [{ l: ETCH }], unknown: 'never' },
  'etch.total-film': {
    fires: [{ l: 'etch-2k*2 surfacer-2k gloss-2k*2' }],
    clear: [{ l: ETCH }],
    unknown: 'never',
  },
  'etch.school': {
    fires: [{ l: ETCH }, { l: ETCH, schools: { etch: 'harden-scuff' } }],
    clear: [{ l: 'etch-1k surfacer-2k gloss-2k*2' }],
    unknown: 'never',
  },
  'etch.wet-on-wet-listed': {
    fires: [
      {
        edit: (x) => x.map((s) => (s.familyId === 'gloss-2k' ? { ...s, policy: 'wet-on-wet' as const } : s)),
      },
    ],
    clear: [{ l: ETCH }],
    unknown: 'never',
  },

  'zinc.steel-only': {
    fires: [{ s: { substrate: 'grey-iron' }, l: ZINC }],
    clear: [{ l: ZINC }],
    unknown: 'never',
  },
  'zinc.blasted': { fires: [{ m: ['disc'], l: ZINC }], clear: [{ l: ZINC }], unknown: 'never' },
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
      { s: HOT, l: 'heat-black*3' },
      { s: { ...OLD, ...HOT }, m: ['keep'], l: 'heat-black*2' },
    ],
    clear: [{ s: HOT, l: 'heat-black*2' }],
    unknown: 'never',
  },

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
  'finish.hold-primer': {
    fires: [{ s: { colourUndecided: true }, l: 'epoxy-mastic*2' }],
    clear: [{ l: 'epoxy-mastic*2' }],
    unknown: 'never',
  },

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

  'work.isocyanate': {
    fires: [
      {
        has: ['grit', 'gun'],
        edit: (x) => x.map((s) => (s.familyId === 'gloss-2k' ? { ...s, tool: 'gun' as const } : s)),
      },
    ],
    clear: [{ has: ['grit', 'gun'] }, {}],
    unknown: 'never',
  },
  'work.tool': {
    fires: [
      { edit: (x) => [...x, coat('cellulose', { tool: 'roller' })] },
      { s: { reach: 'brush' }, l: ZINC },
    ],
    clear: [{}],
    unknown: 'never',
  },
  'work.sand-cured': { fires: [{ l: 'epoxy-mastic surfacer-2k gloss-2k*2' }], clear: [{}], unknown: 'never' },
  'work.powder': {
    fires: [
      { l: 'powder', s: { assembled: 'yes' } },
      { l: 'powder', has: ['grit', 'gun', 'oven'] },
    ],
    clear: [{ l: 'powder' }],
    unknown: 'never',
  },
  'work.legacy-product': {
    fires: [{ l: 'red-lead linseed*3' }],
    clear: [{ l: 'red-lead linseed*3', has: ['grit', 'legacy-licence'] }],
    unknown: 'never',
  },
  'work.control-surface': {
    fires: [{ s: { criticality: ['control-surface'] }, drop: 'refer:re-balance' }],
    clear: [{ s: { criticality: ['control-surface'] } }],
    unknown: 'never',
  },
  'work.tool-school': {
    fires: [{}],
    clear: [{ schools: { tool: 'brush' }, s: { finish: 'show' } }],
    unknown: 'never',
  },
  'work.assembly-school': {
    fires: [{}],
    clear: [{ s: { assembled: 'yes' }, m: ['hand'] }],
    unknown: 'never',
  },
  'work.cure-before-use': {
    fires: [{ edit: (x) => [...x.filter((s) => s.kind !== 'cure'), coat('', { kind: 'reassemble' })] }],
    clear: [{ edit: (x) => [...x, coat('', { kind: 'reassemble' })] }],
    unknown: 'never',
  },
  'work.unknown-product': {
    fires: [{ edit: (x) => [...x, coat('nobody-knows')] }],
    clear: [{}],
    unknown: 'never',
  },
};
