import type { Substrate } from '../part/substrate.ts';
import type { Binder } from './binder.ts';

export const TOOLS = ['gun', 'brush', 'roller', 'aerosol'] as const;
export type Tool = (typeof TOOLS)[number];
/** What a primer's sheet means by "bare metal". */
export const METALS = [
  'steel',
  'iron',
  'aluminium',
  'zinc',
  'copper',
  'stainless',
  'magnesium',
  'glass-fibre',
] as const;
export type Metal = (typeof METALS)[number];
export const PIGMENTS = [
  'plain',
  'zinc-metal',
  'zinc-phosphate',
  'zinc-chromate',
  'red-lead',
  'mio',
  'aluminium',
  'copper',
  'graphite',
] as const;
export type Pigment = (typeof PIGMENTS)[number];

/** What the rules of a route ask of a product. A family's own, or its binder class's where the family is silent. */
export interface SheetTraits {
  readonly pigment: Pigment;
  /** Dry heat it stands, °C. */
  readonly heatMaxC: number;
  /** May be the last coat in sunlight. */
  readonly holdsSun: boolean;
  /** May be the last coat at all; an etch or a plain primer may not. */
  readonly standsAlone: boolean;
  /** 0 (none) to 3 (best), by comparison within the catalogue (common practice, no published source). */
  readonly barrier: number;
  readonly look: number;
  readonly chipProof: number;
  readonly forgiving: number;
  readonly removable: number;
  readonly tools: readonly Tool[];
  readonly bareMetals: readonly Metal[];
  readonly overOldPaint: boolean;
  readonly overPhosphate: boolean;
  readonly overFiller: boolean;
  readonly needsBlast: boolean;
  /** Most dry film of it altogether, µm. */
  readonly totalMaxUm: number;
  readonly fuelProof: boolean;
  readonly immersion: boolean;
  /** Legacy hazard: licensed use only. */
  readonly isLegacy: boolean;
  /** Needs another named product over it: a metallic ground coat wants its clear. */
  readonly needsOver: 'clear' | null;
  readonly costPerLitre: number;
  /** Mixing ratio A:B, and by what; null for one-packs. */
  readonly mix: { readonly a: number; readonly b: number; readonly by: 'volume' | 'mass' } | null;
  /** Most thinner the sheet allows, % of the mixed paint by volume, sprayed and brushed. */
  readonly thinMaxPct: { readonly gun: number; readonly brush: number };
  readonly densityKgL: number;
  /** Of its hardener and of its thinner, kg/L: what a scale needs beside the mixed density. */
  readonly hardenerDensityKgL: number;
  readonly thinnerDensityKgL: number;
  /** Of the dry film, kg/L. */
  readonly dryDensityKgL: number;
  readonly vocGL: number;
  readonly shelfClosedMonths: number;
  readonly shelfOpenedMonths: number | null;
  /** Of the hardener, once opened; it dies by damp air before its paint does. */
  readonly hardenerOpenedMonths: number;
}

const ANY_TOOL: readonly Tool[] = ['gun', 'brush', 'roller'];
const EPOXY_METALS: readonly Metal[] = [
  'steel',
  'iron',
  'aluminium',
  'zinc',
  'copper',
  'stainless',
  'magnesium',
  'glass-fibre',
];

const PLAIN: SheetTraits = {
  pigment: 'plain',
  heatMaxC: 90,
  holdsSun: false,
  standsAlone: false,
  barrier: 1,
  look: 1,
  chipProof: 1,
  forgiving: 1,
  removable: 1,
  tools: ANY_TOOL,
  bareMetals: [],
  overOldPaint: false,
  overPhosphate: true,
  overFiller: true,
  needsBlast: false,
  totalMaxUm: 300,
  fuelProof: false,
  immersion: false,
  isLegacy: false,
  needsOver: null,
  costPerLitre: 30,
  mix: null,
  thinMaxPct: { gun: 15, brush: 5 },
  densityKgL: 1.3,
  hardenerDensityKgL: 1,
  thinnerDensityKgL: 0.87,
  dryDensityKgL: 1.4,
  vocGL: 450,
  shelfClosedMonths: 24,
  shelfOpenedMonths: 12,
  hardenerOpenedMonths: 9,
};
const two = (a: number, b: number) => ({ a, b, by: 'volume' }) as const;

/** Traits by binder class (common practice, no published source): what a sheet that says no more inherits. */
export const TRAITS_BY_BINDER: Readonly<Record<Binder, SheetTraits>> = {
  'epoxy-2k': {
    ...PLAIN,
    heatMaxC: 120,
    standsAlone: true,
    barrier: 3,
    chipProof: 2,
    bareMetals: EPOXY_METALS,
    overOldPaint: true,
    totalMaxUm: 400,
    fuelProof: true,
    immersion: true,
    costPerLitre: 38,
    mix: two(4, 1),
    densityKgL: 1.45,
    forgiving: 2,
    shelfOpenedMonths: 9,
  },
  'urethane-2k': {
    ...PLAIN,
    heatMaxC: 120,
    holdsSun: true,
    standsAlone: true,
    barrier: 2,
    look: 3,
    chipProof: 3,
    fuelProof: true,
    costPerLitre: 55,
    mix: two(3, 1),
    densityKgL: 1.2,
    hardenerDensityKgL: 1.08,
    shelfOpenedMonths: 12,
    hardenerOpenedMonths: 4,
    removable: 0,
  },
  'polyester-2k': {
    ...PLAIN,
    heatMaxC: 80,
    barrier: 0,
    look: 2,
    bareMetals: ['steel', 'iron'],
    tools: ['gun', 'brush'],
    costPerLitre: 35,
    mix: { a: 100, b: 2, by: 'mass' },
    densityKgL: 1.6,
    totalMaxUm: 3000,
    shelfOpenedMonths: 9,
  },
  'zinc-epoxy-2k': {
    ...PLAIN,
    pigment: 'zinc-metal',
    heatMaxC: 150,
    barrier: 3,
    tools: ['gun'],
    bareMetals: ['steel'],
    overPhosphate: false,
    overFiller: false,
    needsBlast: true,
    totalMaxUm: 120,
    forgiving: 0,
    costPerLitre: 62,
    mix: two(9, 1),
    densityKgL: 2.8,
    dryDensityKgL: 4.5,
    thinMaxPct: { gun: 5, brush: 0 },
  },
  'inorganic-zinc': {
    ...PLAIN,
    pigment: 'zinc-metal',
    heatMaxC: 400,
    barrier: 3,
    tools: ['gun'],
    bareMetals: ['steel'],
    overPhosphate: false,
    overFiller: false,
    needsBlast: true,
    totalMaxUm: 120,
    forgiving: 0,
    costPerLitre: 70,
    mix: { a: 1, b: 2.5, by: 'mass' },
    densityKgL: 2.6,
    // Its second part is the zinc dust.
    hardenerDensityKgL: 7.1,
    dryDensityKgL: 5,
    thinMaxPct: { gun: 5, brush: 0 },
  },
  'etch-2k': {
    ...PLAIN,
    heatMaxC: 90,
    barrier: 0,
    tools: ['gun', 'aerosol', 'brush'],
    bareMetals: ['steel', 'iron', 'aluminium', 'zinc', 'copper'],
    overPhosphate: false,
    overFiller: false,
    totalMaxUm: 13,
    forgiving: 0,
    costPerLitre: 34,
    mix: two(1, 1),
    densityKgL: 0.95,
    vocGL: 720,
  },
  'etch-1k': {
    ...PLAIN,
    heatMaxC: 90,
    barrier: 0,
    tools: ['gun', 'aerosol'],
    bareMetals: ['steel', 'aluminium', 'zinc'],
    overPhosphate: false,
    overFiller: false,
    totalMaxUm: 25,
    costPerLitre: 40,
    densityKgL: 0.95,
    vocGL: 700,
  },
  'alkyd-1k': {
    ...PLAIN,
    holdsSun: true,
    standsAlone: true,
    bareMetals: ['steel', 'iron'],
    overOldPaint: true,
    look: 2,
    forgiving: 3,
    removable: 2,
    totalMaxUm: 200,
    costPerLitre: 24,
    densityKgL: 1.1,
  },
  'oil-1k': {
    ...PLAIN,
    holdsSun: true,
    standsAlone: true,
    barrier: 1,
    bareMetals: ['steel', 'iron'],
    tools: ['brush'],
    overOldPaint: true,
    forgiving: 3,
    removable: 3,
    totalMaxUm: 150,
    costPerLitre: 32,
    densityKgL: 1.2,
  },
  'cellulose-1k': {
    ...PLAIN,
    holdsSun: true,
    standsAlone: true,
    barrier: 0,
    look: 3,
    chipProof: 0,
    tools: ['gun', 'aerosol'],
    removable: 3,
    totalMaxUm: 150,
    costPerLitre: 28,
    densityKgL: 0.95,
    vocGL: 750,
  },
  'acrylic-1k': {
    ...PLAIN,
    holdsSun: true,
    standsAlone: true,
    barrier: 0,
    look: 3,
    tools: ['gun', 'aerosol'],
    removable: 2,
    totalMaxUm: 120,
    costPerLitre: 40,
    densityKgL: 1.0,
    vocGL: 680,
  },
  'waterborne-1k': {
    ...PLAIN,
    holdsSun: true,
    standsAlone: true,
    look: 2,
    overOldPaint: true,
    removable: 2,
    totalMaxUm: 150,
    costPerLitre: 34,
    vocGL: 60,
  },
  'silicone-heat': {
    ...PLAIN,
    heatMaxC: 500,
    holdsSun: true,
    standsAlone: true,
    barrier: 1,
    look: 1,
    bareMetals: ['steel', 'iron', 'aluminium'],
    overPhosphate: false,
    overFiller: false,
    tools: ['gun', 'aerosol', 'brush'],
    totalMaxUm: 50,
    forgiving: 0,
    costPerLitre: 52,
    densityKgL: 1.3,
  },
  'moisture-urethane': {
    ...PLAIN,
    heatMaxC: 110,
    holdsSun: false,
    standsAlone: true,
    barrier: 2,
    chipProof: 2,
    bareMetals: ['steel', 'iron'],
    overOldPaint: true,
    overPhosphate: false,
    totalMaxUm: 300,
    costPerLitre: 48,
    forgiving: 2,
    shelfOpenedMonths: 1,
  },
  powder: {
    ...PLAIN,
    heatMaxC: 150,
    holdsSun: true,
    standsAlone: true,
    barrier: 2,
    look: 2,
    chipProof: 2,
    tools: ['gun'],
    bareMetals: ['steel', 'aluminium'],
    overFiller: false,
    totalMaxUm: 150,
    forgiving: 1,
    removable: 0,
    costPerLitre: 30,
    densityKgL: 1.5,
    vocGL: 0,
  },
  bitumen: {
    ...PLAIN,
    heatMaxC: 60,
    standsAlone: true,
    barrier: 2,
    look: 0,
    bareMetals: ['steel', 'iron'],
    overOldPaint: true,
    forgiving: 3,
    removable: 0,
    costPerLitre: 14,
    densityKgL: 1.0,
  },
  wax: {
    ...PLAIN,
    heatMaxC: 80,
    standsAlone: true,
    barrier: 2,
    look: 0,
    tools: ['gun', 'aerosol'],
    bareMetals: ['steel', 'iron', 'aluminium'],
    overOldPaint: true,
    forgiving: 3,
    removable: 3,
    costPerLitre: 18,
    densityKgL: 0.9,
    shelfOpenedMonths: 24,
  },
};

/** A sheet's traits: its own where it has them, else its binder class's. */
export function traitsOf(sheet: {
  readonly binder: Binder;
  readonly role: string;
  readonly traits?: Partial<SheetTraits>;
}): SheetTraits {
  const byClass = TRAITS_BY_BINDER[sheet.binder];
  // A primer or surfacer of a finish's binder is still no finish.
  const asRole =
    sheet.role === 'finish' || sheet.role === 'clear' || sheet.role === 'cavity' ? {} : ROLE_TRAITS;
  return { ...byClass, ...(sheet.binder === 'epoxy-2k' ? {} : asRole), ...sheet.traits };
}
const ROLE_TRAITS: Partial<SheetTraits> = { holdsSun: false, standsAlone: false };

/** The metal class of a substrate. */
export function metalOf(substrate: Substrate): Metal {
  switch (substrate) {
    case 'grey-iron':
    case 'ductile-iron':
      return 'iron';
    case 'cast-steel':
    case 'steel-plate':
    case 'steel-sheet':
    case 'timber-backed-steel':
      return 'steel';
    case 'galvanised':
    case 'zinc-diecast':
      return 'zinc';
    case 'aluminium-wrought':
    case 'aluminium-cast':
      return 'aluminium';
    case 'copper-alloy':
      return 'copper';
    default:
      return substrate;
  }
}
