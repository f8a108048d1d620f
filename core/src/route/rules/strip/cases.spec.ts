import type { Cases } from '../../test/cases.ts';
import type { Given } from '../../test/given.ts';

const NO_FACILITY: Given['has'] = [];
const OLD = { coating: 'sound', coatKind: 'two-pack', rust: 'A' } as const;

/** Cases of the rules on this topic: each fires, is clear in a near miss, and asks where it can. */
export const CASES: Readonly<Record<string, Cases>> = {
  'strip.blast-machined': {
    fires: [{ s: { features: ['threads'] }, drop: 'mask:before-strip' }],
    clear: [{ s: { features: ['threads'] } }],
    unknown: 'never',
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
  'strip.thin': {
    // Flat plate under grit from 3 mm, a stiff shape from 2; a needle gun from 4; unknown sheet counts as thin.
    fires: [
      { s: { thicknessMm: 2.9 } },
      { s: { thicknessMm: 1.9, kind: 'chassis-rail' } },
      { s: { thicknessMm: 3.5 }, m: ['needle-gun'] },
      { s: { substrate: 'steel-sheet', thicknessMm: null } },
    ],
    clear: [
      { s: { thicknessMm: 3 } },
      { s: { thicknessMm: 2, kind: 'chassis-rail' } },
      { s: { thicknessMm: 0.8 }, m: ['spot-blast'] },
      { s: { thicknessMm: 1 }, m: ['disc'] },
    ],
    unknown: [{ s: { thicknessMm: null } }],
  },
  'strip.metals': {
    fires: [
      { s: { substrate: 'aluminium-cast' } },
      { s: { substrate: 'aluminium-cast' }, m: ['wire-wheel'] },
      { s: { substrate: 'zinc-diecast' }, m: ['citric-bath'] },
      { s: { substrate: 'glass-fibre' }, m: ['solvent-stripper'] },
      { s: { substrate: 'glass-fibre' }, m: ['bead-blast'] },
      { s: { substrate: 'galvanised' }, m: ['bead-blast'] },
      { s: { substrate: 'timber-backed-steel' }, m: ['chelating-bath'] },
      { s: { substrate: 'aluminium-cast' }, m: ['hand'], p: 'phosphate' },
      { p: 'conversion' },
    ],
    clear: [
      {},
      { s: { substrate: 'aluminium-cast' }, m: ['bead-blast'], p: 'conversion' },
      { s: { substrate: 'galvanised' }, m: ['sweep'] },
      { s: { substrate: 'glass-fibre' }, m: ['disc'] },
      { m: ['citric-bath'], p: 'phosphate' },
    ],
    unknown: 'never',
  },
  'strip.blast-assembled': {
    fires: [{ s: { assembled: 'yes' } }, { s: { assembled: 'yes' }, m: ['hot-caustic'] }],
    clear: [{ s: { assembled: 'yes' }, m: ['hand'] }],
    unknown: [{ s: { assembled: 'unknown' } }],
  },
  'strip.white-metal-out': {
    fires: [
      { s: { features: ['white-metal'] }, m: ['chelating-bath'] },
      { s: { features: ['solder'] }, m: ['hot-caustic'] },
    ],
    clear: [{ s: { features: ['white-metal'] } }],
    unknown: 'never',
  },
  'strip.solvent-seams': {
    fires: [{ s: { features: ['seams'], seamsRinse: 'no' }, m: ['solvent-stripper'] }],
    clear: [
      { s: { features: ['seams'] }, m: ['solvent-stripper'] },
      { s: { features: ['seams'], seamsRinse: 'no' }, m: ['disc'] },
    ],
    unknown: [{ s: { features: ['seams'], seamsRinse: 'unknown' }, m: ['citric-bath'] }],
  },
  'strip.hydrogen': {
    fires: [
      { s: { hardened: 'yes' }, m: ['electrolysis'] },
      { s: { hardened: 'yes' }, p: 'phosphate' },
      { s: { kind: 'spring' }, m: ['citric-bath'] },
    ],
    // A plain bracket of plate answers by its metal; a part of unknown kind does not.
    clear: [
      { s: { hardened: 'yes' } },
      { s: { hardened: 'unknown', kind: 'bracket' }, m: ['citric-bath'] },
      { s: { hardened: 'yes' }, m: ['chelating-bath'] },
    ],
    unknown: [{ s: { hardened: 'unknown' }, m: ['citric-bath'] }],
  },
  'strip.springs': {
    fires: [{ s: { kind: 'spring' } }, { s: { kind: 'spring' }, m: ['disc'] }],
    clear: [{ s: { kind: 'spring' }, m: ['fine-blast'] }, {}],
    unknown: 'never',
  },
  'strip.hard-tools': {
    fires: [{ s: { hardened: 'yes' }, m: ['needle-gun'] }],
    clear: [{ m: ['rotary-bristle'] }, { s: { hardened: 'yes' } }],
    unknown: [{ s: { hardened: 'unknown' }, m: ['rotary-bristle'] }],
  },
  'strip.clad': {
    fires: [
      { s: { substrate: 'aluminium-wrought', thicknessMm: 0.8 }, m: ['disc'] },
      { s: { substrate: 'aluminium-wrought', thicknessMm: 0.8 }, m: ['bead-blast'] },
      { s: { substrate: 'aluminium-wrought', thicknessMm: 0.8, kind: 'aircraft-skin' }, m: ['hand'] },
    ],
    clear: [
      { s: { substrate: 'aluminium-wrought', thicknessMm: 3 }, m: ['disc'] },
      { s: { substrate: 'aluminium-wrought', thicknessMm: 0.8, kind: 'aircraft-skin' }, m: ['pad'] },
    ],
    unknown: [{ s: { substrate: 'aluminium-wrought', thicknessMm: null }, m: ['disc'] }],
  },
  'strip.cadmium': {
    fires: [
      { s: { plating: 'cadmium' }, m: ['hand'] },
      { s: { plating: 'cadmium' }, m: ['citric-bath'] },
    ],
    clear: [{ s: { plating: 'cadmium' }, m: ['solvent-stripper'] }, { s: { plating: 'chrome' } }],
    unknown: [{ s: { plating: 'unknown' }, m: ['disc'] }],
  },
  'strip.heat-thin': {
    fires: [
      { s: { ...OLD, thicknessMm: 1 }, m: ['heat-gun'] },
      { s: { ...OLD, criticality: ['fuel'] }, m: ['heat-gun'] },
    ],
    clear: [{ s: OLD, m: ['heat-gun'] }],
    unknown: 'never',
  },
  'strip.legacy-test': {
    // Dust of untested paint is asked, whatever the step is called: keying dry is sanding.
    fires: [],
    clear: [
      { s: { ...OLD, legacy: 'none' }, m: ['disc'] },
      { s: { ...OLD, legacy: 'unknown' }, m: ['solvent-stripper'] },
      { s: { ...OLD, legacy: 'unknown' }, m: ['keep'] },
    ],
    unknown: [
      { s: { ...OLD, legacy: 'unknown' }, m: ['disc'] },
      { s: { ...OLD, legacy: 'unknown' }, m: ['hand'] },
      {
        s: { ...OLD, legacy: 'unknown' },
        m: ['keep'],
        edit: (x) => x.map((s) => (s.what === 'key-wet' ? { ...s, what: 'key' } : s)),
      },
    ],
  },
  'strip.legacy-dust': {
    fires: [
      { s: { ...OLD, legacy: 'lead' }, m: ['disc'] },
      { s: { ...OLD, legacy: 'chromate' }, m: ['hand'] },
      { s: { ...OLD, legacy: 'lead' }, has: ['contractor'], drop: 'refer:legacy-removal' },
      {
        s: { ...OLD, legacy: 'lead' },
        m: ['keep'],
        edit: (x) => x.map((s) => (s.what === 'key-wet' ? { ...s, what: 'key' } : s)),
      },
    ],
    clear: [
      { s: { ...OLD, legacy: 'lead' }, m: ['solvent-stripper'] },
      { s: { ...OLD, legacy: 'lead' }, m: ['keep'] },
      { s: { ...OLD, legacy: 'lead' }, has: ['contractor'] },
    ],
    unknown: 'never',
  },
  'strip.keep-unsound': {
    fires: [{ s: { ...OLD, coating: 'unsound' }, m: ['keep'] }, { m: ['keep'] }],
    clear: [
      { s: OLD, m: ['keep'] },
      { s: { ...OLD, coating: 'partly' }, m: ['keep'] },
    ],
    unknown: [{ s: { ...OLD, coating: 'unknown' }, m: ['keep'] }],
  },
  'strip.facility': {
    fires: [
      { has: ['gun', 'air-fed-mask'] },
      { has: ['gun'], m: ['chelating-bath'] },
      { has: ['gun'], m: ['rotary-bristle'] },
    ],
    clear: [
      { has: ['gun', 'contractor'] },
      { has: NO_FACILITY, m: ['disc'] },
      { has: ['contractor'], m: ['citric-bath'] },
    ],
    unknown: 'never',
  },
  'strip.tar': {
    fires: [{ s: { alsoOn: ['tar'] }, m: ['scrape'], drop: 'refer:tar' }],
    clear: [{ s: { alsoOn: ['tar'] }, m: ['scrape'] }],
    unknown: 'never',
  },
};
