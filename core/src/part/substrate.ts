/** What a part is made of, in the trade's words. `old-paint` is a face that keeps its sound old coating. */
export const SUBSTRATES = [
  'grey-iron',
  'ductile-iron',
  'cast-steel',
  'steel-plate',
  'steel-sheet',
  'galvanised',
  'aluminium-wrought',
  'aluminium-cast',
  'magnesium',
  'zinc-diecast',
  'copper-alloy',
  'stainless',
  'glass-fibre',
  'timber-backed-steel',
] as const;
export type Substrate = (typeof SUBSTRATES)[number];

/** Specific heat J/kg K, density kg/m³, conductivity W/m K. Source: usual handbook values, quoted from memory. */
export interface Material {
  readonly specificHeatJKgK: number;
  readonly densityKgM3: number;
  readonly conductivityWMK: number;
}

const STEEL: Material = { specificHeatJKgK: 490, densityKgM3: 7850, conductivityWMK: 50 };
const IRON: Material = { specificHeatJKgK: 500, densityKgM3: 7200, conductivityWMK: 50 };
const ALUMINIUM: Material = { specificHeatJKgK: 900, densityKgM3: 2700, conductivityWMK: 160 };

export const MATERIALS: Readonly<Record<Substrate, Material>> = {
  'grey-iron': IRON,
  'ductile-iron': IRON,
  'cast-steel': STEEL,
  'steel-plate': STEEL,
  'steel-sheet': STEEL,
  galvanised: STEEL,
  'aluminium-wrought': ALUMINIUM,
  'aluminium-cast': ALUMINIUM,
  magnesium: { specificHeatJKgK: 1020, densityKgM3: 1800, conductivityWMK: 100 },
  'zinc-diecast': { specificHeatJKgK: 420, densityKgM3: 6600, conductivityWMK: 110 },
  'copper-alloy': { specificHeatJKgK: 380, densityKgM3: 8500, conductivityWMK: 110 },
  stainless: { specificHeatJKgK: 500, densityKgM3: 7900, conductivityWMK: 16 },
  'glass-fibre': { specificHeatJKgK: 1100, densityKgM3: 1800, conductivityWMK: 0.25 },
  'timber-backed-steel': STEEL,
};

export const CASTINGS: readonly Substrate[] = [
  'grey-iron',
  'ductile-iron',
  'cast-steel',
  'aluminium-cast',
  'magnesium',
  'zinc-diecast',
];
/** Castings have webs of uneven thickness: their lag is judged at the thickest. */
export function isCasting(substrate: Substrate): boolean {
  return CASTINGS.includes(substrate);
}
