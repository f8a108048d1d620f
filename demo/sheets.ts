import type { ProductSheet, StageTimes, WindowInterval } from '@calvetta/core';

/** Invented sheets of generic product families: no maker's figures, no real product. */
const SOURCE = 'invented sheet of a generic family; replace by your maker’s';

const at = (...pairs: readonly (readonly [number, number])[]): StageTimes => ({ points: pairs.map(([tempC, hours]) => ({ tempC, hours })) });
const base = {
  revision: 1, cureBy: 'time', maxRecoatUnlimited: false, followers: [], forbidden: [], listedFollowersOnly: false, applySurfaceMinC: 8, applySurfaceMaxC: 35, applyAirMinC: 8, applyAirMaxC: 35,
  cureMinC: 5, rhMaxPct: 85, rhMinPct: null, dewMarginK: 3, stackExponent: 1, outdoorLimitH: null, applyMinPerM2: 12, cautions: ['solvent'], source: SOURCE,
} as const;
const within = (to: StageTimes): WindowInterval => ({ from: { stage: 'minRecoat', p: 1, type: 'min' }, to: { times: to, p: 1, type: 'max' }, prep: 'none' });

export const SHEETS: readonly ProductSheet[] = [
  {
    ...base, sheetId: 'etch-2k.1', productId: 'etch-2k', name: 'Etch primer, two-pack', binder: 'etch-2k', packs: 2, role: 'etch', bandColour: '#9a9b4e', listedFollowersOnly: true, cautions: ['acid', 'solvent'],
    dftUm: 10, dftMinUm: 8, dftMaxUm: 13, vsPct: 10, applyMinPerM2: 6, applySurfaceMinC: 10, applyAirMinC: 10,
    stages: { flash: at([20, 0.15]), touch: at([10, 0.5], [20, 0.25], [30, 0.15]), minRecoat: at([10, 1], [20, 0.5], [30, 0.33]), handle: at([10, 4], [20, 2], [30, 1]), sand: at([10, 8], [20, 4], [30, 2]), service: at([10, 48], [20, 24], [30, 12]), potLife: at([10, 12], [20, 8], [30, 5]), induction: at([20, 0.25]) },
    followers: [
      { follower: 'epoxy-aero', intervals: [{ ...within(at([10, 20], [20, 14], [30, 8])), wetOnWet: true }, { from: { times: at([10, 72], [20, 48], [30, 30]), p: 1, type: 'min' }, to: { times: at([10, 240], [20, 168], [30, 120]), p: 1, type: 'max' }, prep: 'scuff' }] },
      { follower: 'surfacer-2k', intervals: [{ ...within(at([10, 24], [20, 16], [30, 10])), wetOnWet: true }] },
    ],
  },
  {
    ...base, sheetId: 'epoxy-primer.1', productId: 'epoxy-primer', name: 'Epoxy primer', binder: 'epoxy-2k', packs: 2, role: 'primer', bandColour: '#8d998f', cautions: ['epoxy', 'solvent'],
    dftUm: 60, dftMinUm: 40, dftMaxUm: 100, vsPct: 52, applySurfaceMinC: 10, applyAirMinC: 10,
    stages: { flash: at([20, 0.25]), touch: at([10, 6], [20, 3], [30, 1.5]), minRecoat: at([10, 16], [20, 7], [30, 3.5]), handle: at([10, 30], [20, 14], [30, 7]), sand: at([10, 48], [20, 24], [30, 12]), service: at([10, 336], [20, 168], [30, 84]), maxRecoat: at([10, 168], [20, 96], [30, 48]), potLife: at([10, 6], [20, 4], [30, 2]), induction: at([20, 0.5]) },
  },
  {
    ...base, sheetId: 'epoxy-aero.1', productId: 'epoxy-aero', name: 'Epoxy primer, aircraft', binder: 'epoxy-2k', packs: 2, role: 'primer', bandColour: '#b3a86a', cautions: ['epoxy', 'solvent'],
    dftUm: 25, dftMinUm: 15, dftMaxUm: 40, vsPct: 40, applySurfaceMinC: 13, applyAirMinC: 13,
    stages: { flash: at([20, 0.2]), touch: at([10, 4], [20, 2], [30, 1]), minRecoat: at([10, 10], [20, 4], [30, 2]), handle: at([10, 20], [20, 9], [30, 5]), sand: at([10, 36], [20, 18], [30, 10]), service: at([10, 336], [20, 168], [30, 96]), maxRecoat: at([10, 96], [20, 72], [30, 36]) },
  },
  {
    ...base, sheetId: 'epoxy-mastic.1', productId: 'epoxy-mastic', name: 'Epoxy mastic', binder: 'epoxy-2k', packs: 2, role: 'primer', bandColour: '#a7a08f', cautions: ['epoxy', 'solvent'], outdoorLimitH: 720,
    dftUm: 100, dftMinUm: 75, dftMaxUm: 200, vsPct: 80, applySurfaceMinC: 2, applyAirMinC: 2, cureMinC: 2, rhMaxPct: 95,
    stages: { flash: at([20, 0.3]), touch: at([10, 12], [20, 6], [30, 3]), minRecoat: at([10, 24], [20, 12], [30, 6]), handle: at([10, 40], [20, 20], [30, 10]), sand: at([10, 72], [20, 36], [30, 18]), service: at([10, 336], [20, 168], [30, 96]), maxRecoat: at([10, 720], [20, 600], [30, 336]), potLife: at([10, 3], [20, 2], [30, 1]) },
  },
  {
    ...base, sheetId: 'zinc-epoxy.1', productId: 'zinc-epoxy', name: 'Zinc-rich epoxy', binder: 'zinc-epoxy-2k', packs: 2, role: 'primer', bandColour: '#7d858f', cautions: ['epoxy', 'zinc', 'solvent'], forbidden: ['binder:alkyd-1k', 'binder:bitumen'],
    dftUm: 60, dftMinUm: 40, dftMaxUm: 90, vsPct: 58, applySurfaceMinC: 5,
    stages: { flash: at([20, 0.2]), touch: at([10, 2], [20, 1], [30, 0.5]), minRecoat: at([10, 12], [20, 6], [30, 4]), handle: at([10, 16], [20, 8], [30, 5]), sand: at([10, 48], [20, 24], [30, 14]), service: at([10, 336], [20, 168], [30, 96]), maxRecoat: at([10, 720], [20, 480], [30, 240]) },
  },
  {
    ...base, sheetId: 'zp-alkyd.1', productId: 'zp-alkyd', name: 'Zinc-phosphate primer', binder: 'alkyd-1k', packs: 1, role: 'primer', bandColour: '#a1522f', applySurfaceMinC: 5,
    dftUm: 45, dftMinUm: 30, dftMaxUm: 60, vsPct: 48, forbidden: ['binder:urethane-2k', 'binder:epoxy-2k'],
    stages: { flash: at([20, 0.2]), touch: at([20, 1.5]), minRecoat: at([10, 24], [20, 12], [30, 8]), handle: at([10, 24], [20, 12], [30, 8]), sand: at([10, 48], [20, 24], [30, 16]), service: at([10, 240], [20, 120], [30, 80]), maxRecoat: at([10, 480], [20, 336], [30, 240]) },
  },
  {
    ...base, sheetId: 'enamel.1', productId: 'enamel', name: 'Coach enamel', binder: 'alkyd-1k', packs: 1, role: 'finish', bandColour: '#1f4a3d', rhMaxPct: 80,
    dftUm: 35, dftMinUm: 25, dftMaxUm: 45, vsPct: 50,
    stages: { flash: at([20, 0.3]), touch: at([10, 4], [20, 2], [30, 1.2]), minRecoat: at([10, 3.5], [20, 2], [30, 1.2]), handle: at([10, 36], [20, 18], [30, 12]), sand: at([10, 60], [20, 36], [30, 24]), service: at([10, 336], [20, 168], [30, 110]) },
    followers: [{ follower: 'enamel', intervals: [within(at([10, 6], [20, 4], [30, 3])), { from: { times: at([10, 72], [20, 48], [30, 36]), p: 1, type: 'min' }, to: null, prep: 'scuff' }] }],
  },
  {
    ...base, sheetId: 'surfacer-2k.1', productId: 'surfacer-2k', name: 'High-build surfacer', binder: 'urethane-2k', packs: 2, role: 'filler', bandColour: '#c8b458', cautions: ['isocyanate', 'solvent'], cureMinC: 8, applySurfaceMinC: 10, applyAirMinC: 10,
    dftUm: 80, dftMinUm: 50, dftMaxUm: 150, vsPct: 55,
    stages: { flash: at([20, 0.25]), touch: at([10, 1.5], [20, 0.7], [30, 0.4]), minRecoat: at([10, 3], [20, 1.5], [30, 0.8]), handle: at([10, 10], [20, 5], [30, 3]), sand: at([10, 18], [20, 9], [30, 5]), service: at([10, 200], [20, 100], [30, 60]), maxRecoat: at([10, 100], [20, 72], [30, 40]) },
  },
  {
    ...base, sheetId: 'gloss-2k.1', productId: 'gloss-2k', name: 'Two-pack gloss', binder: 'urethane-2k', packs: 2, role: 'finish', bandColour: '#1d3b33', cautions: ['isocyanate', 'solvent'], cureMinC: 10, rhMaxPct: 80, applySurfaceMinC: 12, applyAirMinC: 12,
    dftUm: 45, dftMinUm: 35, dftMaxUm: 60, vsPct: 55,
    stages: { flash: at([20, 0.25]), touch: at([10, 5], [20, 2.5], [30, 1.3]), minRecoat: at([10, 12], [20, 6], [30, 3]), handle: at([10, 30], [20, 14], [30, 8]), sand: at([10, 48], [20, 24], [30, 12]), service: at([10, 300], [20, 168], [30, 96]), maxRecoat: at([10, 72], [20, 48], [30, 24]), potLife: at([10, 5], [20, 3], [30, 1.5]) },
  },
  {
    ...base, sheetId: 'heat-black.1', productId: 'heat-black', name: 'Heat black, baked', binder: 'silicone-heat', packs: 1, role: 'finish', bandColour: '#2c2b2a', cureBy: 'bake', cautions: ['heat', 'solvent'],
    dftUm: 22, dftMinUm: 18, dftMaxUm: 25, vsPct: 35, stages: { flash: at([20, 0.3]), touch: at([20, 1]) },
    followers: [{ follower: 'heat-black', intervals: [{ from: { times: at([10, 4], [20, 2], [30, 1]), p: 1, type: 'min' }, to: { times: at([10, 96], [20, 72], [30, 48]), p: 1, type: 'max' }, prep: 'none' }] }],
  },
  {
    ...base, sheetId: 'old-primer.1', productId: 'old-primer', name: 'Old-stock red primer', binder: 'alkyd-1k', packs: 1, role: 'primer', bandColour: '#8c3a2a', dftUm: 40, dftMinUm: 25, dftMaxUm: 60, vsPct: 45,
    stages: { touch: at([20, 3]), minRecoat: at([20, 16]) },
  },
];
