import type { Cases } from '../../test/cases.ts';
import type { Given } from '../../test/given.ts';

const NO_FACILITY: Given['has'] = [];
const OLD = { coating: 'sound', coatKind: 'two-pack', rust: 'A' } as const;

/** Cases of the rules on this topic: each fires, is clear in a near miss, and asks where it can. */
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
  'strip.keep-etch': {
    fires: [{ s: { ...OLD, priorPrimer: 'etch', primerDays: 3 }, m: ['keep'] }],
    clear: [
      { s: { ...OLD, priorPrimer: 'etch', primerDays: 2 }, m: ['keep'] },
      { s: { ...OLD, priorPrimer: 'etch', primerDays: 3 } },
    ],
    unknown: [
      { s: { ...OLD, priorPrimer: 'etch', primerDays: null }, m: ['keep'] },
      { s: { ...OLD, priorPrimer: 'unknown' }, m: ['keep'] },
    ],
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
};
