import type { Fluid } from '../part/survey.ts';
import type { Substrate } from '../part/substrate.ts';
import type { Cleanliness } from '../route/surface/cleanliness.ts';
import type { Matter } from '../route/surface/matter.ts';

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
  /** Least cleanliness of iron and steel under it as a first coat. */
  readonly leastClean: Exclude<Cleanliness, 'none'>;
  /** Profile it wants on iron and steel, µm; null: any. */
  readonly profileUm: { readonly min: number; readonly max: number } | null;
  /** Matter that may stand under it: as much as there is, or traces (a quarter). */
  readonly tolerates: Readonly<Partial<Record<Matter, 'all' | 'traces'>>>;
  /** Most dry film of it altogether, µm. */
  readonly totalMaxUm: number;
  readonly fuelProof: boolean;
  /** Fluids it stands for good, by its sheet; `splash`: above the waterline. */
  readonly fluids: readonly Fluid[];
  /** Least dry film under a fluid, µm. */
  readonly immersedLeastUm: number;
  /** A lining: for insides, never for the outside of anything. */
  readonly isLining: boolean;
  /** Thin enough for fins and radiators, and said so by its sheet. */
  readonly onFins: boolean;
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

/** Iron and steel: what rusts, and what grades of rust and of cleanliness are for. */
export const isFerrous = (m: Metal): boolean => m === 'steel' || m === 'iron';

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
