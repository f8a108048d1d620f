import type { Binder } from '../binder.ts';
import type { ProductSheet } from '../sheet.ts';
import { at, within } from './sheetParts.ts';
import type { SheetTraits } from '../traits.ts';

interface Heir {
  readonly productId: string;
  readonly name: string;
  readonly binder: Binder;
  readonly role: ProductSheet['role'];
  readonly bandColour: string;
  readonly over?: Partial<ProductSheet>;
  readonly traits?: Partial<SheetTraits>;
}

/** Families whose sheets inherit their times from the family of their binder class; only what differs is written here. */
const HEIRS: readonly Heir[] = [
  {
    productId: 'mio-epoxy',
    name: 'Micaceous-iron epoxy',
    binder: 'epoxy-2k',
    role: 'intermediate',
    bandColour: '#5d6165',
    over: { dftUm: 100, dftMinUm: 75, dftMaxUm: 150, vsPct: 65 },
    traits: { pigment: 'mio', costPerLitre: 42 },
  },
  {
    productId: 'tie-coat',
    name: 'Epoxy tie-coat',
    binder: 'epoxy-2k',
    role: 'intermediate',
    bandColour: '#9fa6a2',
    over: { dftUm: 25, dftMinUm: 20, dftMaxUm: 40, vsPct: 45 },
  },
  {
    productId: 'epoxy-sealer',
    name: 'Epoxy sealer',
    binder: 'epoxy-2k',
    role: 'intermediate',
    bandColour: '#b8bbb3',
    over: { dftUm: 30, dftMinUm: 20, dftMaxUm: 50, vsPct: 45 },
  },
  {
    productId: 'metal-filler',
    name: 'Epoxy metal filler',
    binder: 'epoxy-2k',
    role: 'filler',
    bandColour: '#6f767b',
    over: { dftUm: 1000, dftMinUm: 200, dftMaxUm: 5000, vsPct: 100 },
    traits: { totalMaxUm: 6000, standsAlone: false },
  },
  {
    productId: 'heat-primer',
    name: 'High-temperature primer',
    binder: 'alkyd-1k',
    role: 'primer',
    bandColour: '#6b5f58',
    over: {
      maxRecoatUnlimited: true,
      dftUm: 20,
      dftMinUm: 15,
      dftMaxUm: 25,
      vsPct: 38,
      cautions: ['solvent'],
      // It sets hard by heat and drying, and carries the finishes its sheet lists, one-pack and two-pack.
      followers: [
        { follower: 'engine-enamel', intervals: [within(at([10, 48], [20, 24], [30, 16]))] },
        { follower: 'engine-2k', intervals: [within(at([10, 48], [20, 24], [30, 16]))] },
      ],
    },
    traits: {
      heatMaxC: 200,
      fuelProof: true,
      bareMetals: ['steel', 'iron', 'aluminium'],
      leastClean: 'St 3',
      profileUm: { min: 0, max: 40 },
      tolerates: {},
      overOldPaint: false,
      overFiller: false,
      totalMaxUm: 50,
      barrier: 1.5,
      costPerLitre: 46,
    },
  },
  {
    productId: 'tank-lining',
    name: 'Epoxy tank lining',
    binder: 'epoxy-2k',
    role: 'finish',
    bandColour: '#8b2f28',
    over: { dftUm: 150, dftMinUm: 125, dftMaxUm: 250, vsPct: 80 },
    traits: {
      needsBlast: true,
      leastClean: 'Sa 2½',
      profileUm: { min: 50, max: 75 },
      tolerates: {},
      isLining: true,
      tools: ['gun', 'brush'],
    },
  },
  {
    productId: 'sealer-2k',
    name: 'Two-pack sealer',
    binder: 'urethane-2k',
    role: 'intermediate',
    bandColour: '#a7aba5',
    over: { dftUm: 25, dftMinUm: 20, dftMaxUm: 40 },
  },
  {
    productId: 'engine-2k',
    name: 'Single-stage engine urethane',
    binder: 'urethane-2k',
    role: 'finish',
    bandColour: '#27513b',
    over: { dftUm: 45 },
    traits: { heatMaxC: 150, costPerLitre: 75 },
  },
  {
    productId: 'moisture-primer',
    name: 'Moisture-cured urethane primer',
    binder: 'moisture-urethane',
    role: 'primer',
    bandColour: '#80756a',
    over: {
      cureBy: 'moisture',
      packs: 1,
      rhMinPct: 40,
      rhMaxPct: 90,
      dftUm: 60,
      dftMinUm: 50,
      dftMaxUm: 90,
      cautions: ['isocyanate', 'solvent'],
    },
  },
  {
    productId: 'moisture-finish',
    name: 'Moisture-cured urethane finish',
    binder: 'moisture-urethane',
    role: 'finish',
    bandColour: '#3c3a38',
    over: {
      cureBy: 'moisture',
      packs: 1,
      rhMinPct: 40,
      rhMaxPct: 90,
      dftUm: 50,
      dftMinUm: 40,
      dftMaxUm: 75,
      cautions: ['isocyanate', 'solvent'],
    },
    traits: { holdsSun: true },
  },
  {
    productId: 'zinc-silicate',
    name: 'Inorganic zinc silicate',
    binder: 'inorganic-zinc',
    role: 'primer',
    bandColour: '#88919a',
    over: {
      cureBy: 'moisture',
      rhMinPct: 50,
      rhMaxPct: 90,
      dftUm: 75,
      dftMinUm: 50,
      dftMaxUm: 100,
      cautions: ['zinc', 'solvent'],
      forbidden: ['binder:alkyd-1k', 'binder:oil-1k'],
    },
  },
  {
    productId: 'chromate-primer',
    name: 'Zinc chromate primer (legacy)',
    binder: 'alkyd-1k',
    role: 'primer',
    bandColour: '#a8a237',
    over: {
      maxRecoatUnlimited: true,
      dftUm: 20,
      dftMinUm: 15,
      dftMaxUm: 30,
      cautions: ['chromate', 'solvent'],
    },
    traits: { pigment: 'zinc-chromate', isLegacy: true, bareMetals: ['steel', 'aluminium', 'magnesium'] },
  },
  {
    productId: 'red-lead',
    name: 'Red lead in linseed (heritage)',
    binder: 'oil-1k',
    role: 'primer',
    bandColour: '#b0472c',
    over: { maxRecoatUnlimited: true, packs: 1, dftUm: 40, dftMinUm: 30, dftMaxUm: 50, cautions: ['lead'] },
    traits: { pigment: 'red-lead', isLegacy: true },
  },
  {
    productId: 'linseed',
    name: 'Linseed oil paint',
    binder: 'oil-1k',
    role: 'finish',
    bandColour: '#5b3a2e',
    over: {
      maxRecoatUnlimited: true,
      packs: 1,
      dftUm: 35,
      dftMinUm: 25,
      dftMaxUm: 45,
      cautions: ['oily-rags'],
    },
  },
  {
    productId: 'cellulose',
    name: 'Cellulose finish',
    binder: 'cellulose-1k',
    role: 'finish',
    bandColour: '#26425c',
    over: { packs: 1, dftUm: 20, dftMinUm: 12, dftMaxUm: 30, vsPct: 22 },
  },
  {
    productId: 'acrylic',
    name: 'Acrylic lacquer',
    binder: 'acrylic-1k',
    role: 'finish',
    bandColour: '#6d2730',
    over: { packs: 1, dftUm: 20, dftMinUm: 12, dftMaxUm: 30, vsPct: 25 },
  },
  {
    productId: 'putty-1k',
    name: 'Glazing putty, one-pack',
    binder: 'cellulose-1k',
    role: 'filler',
    bandColour: '#a9787a',
    over: { packs: 1, dftUm: 80, dftMinUm: 30, dftMaxUm: 150, vsPct: 55 },
  },
  {
    productId: 'waterborne',
    name: 'Waterborne finish',
    binder: 'waterborne-1k',
    role: 'finish',
    bandColour: '#46706c',
    over: {
      packs: 1,
      dftUm: 40,
      dftMinUm: 30,
      dftMaxUm: 60,
      vsPct: 38,
      applySurfaceMinC: 10,
      applyAirMinC: 10,
      rhMaxPct: 75,
      cautions: ['frost-kills'],
    },
  },
  {
    productId: 'heat-aluminium',
    name: 'Silicone aluminium',
    binder: 'silicone-heat',
    role: 'finish',
    bandColour: '#a5a9ab',
    over: { dftUm: 20, dftMinUm: 15, dftMaxUm: 25, cureBy: 'bake' },
    traits: { pigment: 'aluminium', heatMaxC: 600 },
  },
  {
    productId: 'powder',
    name: 'Powder coating (contractor)',
    binder: 'powder',
    role: 'finish',
    bandColour: '#33424d',
    over: { packs: 1, cureBy: 'bake', dftUm: 80, dftMinUm: 60, dftMaxUm: 120, vsPct: 98, cautions: ['heat'] },
  },
  {
    productId: 'bitumen',
    name: 'Bitumen paint',
    binder: 'bitumen',
    role: 'finish',
    bandColour: '#1b1a19',
    over: { packs: 1, dftUm: 75, dftMinUm: 50, dftMaxUm: 150, vsPct: 50 },
  },
  {
    productId: 'lanolin',
    name: 'Lanolin film',
    binder: 'wax',
    role: 'cavity',
    bandColour: '#bfae86',
    over: { packs: 1, dftUm: 60, dftMinUm: 30, dftMaxUm: 200 },
  },
];

/** The class sheet a binder inherits from; binders without one of their own take the nearest. */
const CLASS_OF: Readonly<Partial<Record<Binder, string>>> = {
  'epoxy-2k': 'epoxy-primer',
  'urethane-2k': 'gloss-2k',
  'moisture-urethane': 'gloss-2k',
  'inorganic-zinc': 'zinc-epoxy',
  'alkyd-1k': 'zp-alkyd',
  'oil-1k': 'enamel',
  'cellulose-1k': 'metallic-base',
  'acrylic-1k': 'metallic-base',
  'waterborne-1k': 'enamel',
  'silicone-heat': 'heat-black',
  powder: 'heat-black',
  bitumen: 'zp-alkyd',
  wax: 'cavity-wax',
};

export function inheritedSheets(deep: readonly ProductSheet[]): ProductSheet[] {
  return HEIRS.map((h) => {
    const from = deep.find((s) => s.productId === CLASS_OF[h.binder])!;
    const plain: Partial<ProductSheet> & ProductSheet = { ...from };
    // Traits are the heir's own or its class's, never the model sheet's.
    delete (plain as { traits?: unknown }).traits;
    return {
      ...plain,
      // Followers and refusals belong to the product that says them.
      followers: [],
      forbidden: [],
      listedFollowersOnly: false,
      ...h.over,
      sheetId: `${h.productId}.1`,
      productId: h.productId,
      name: h.name,
      binder: h.binder,
      role: h.role,
      bandColour: h.bandColour,
      ...(h.traits ? { traits: h.traits } : {}),
      source: `times inherited from the class of ${from.name.toLowerCase()}; replace by your maker’s sheet`,
    };
  });
}
