import type { Substrate } from '../part/substrate.ts';

/** Anodic index, V (MIL-STD-889 as commonly tabulated, quoted from memory). Glass-fibre does not conduct. */
const ANODIC_V: Readonly<Partial<Record<Substrate, number>>> = {
  'copper-alloy': 0.4,
  stainless: 0.5,
  'grey-iron': 0.85,
  'ductile-iron': 0.85,
  'cast-steel': 0.85,
  'steel-plate': 0.85,
  'steel-sheet': 0.85,
  'timber-backed-steel': 0.85,
  'aluminium-wrought': 0.9,
  'aluminium-cast': 0.95,
  galvanised: 1.2,
  'zinc-diecast': 1.25,
  magnesium: 1.75,
};

/** Difference of anodic index between two metals, V; 0 where one does not conduct. The area ratio matters too, and is not in it. */
export function anodicGapV(a: Substrate, b: Substrate): number {
  const [va, vb] = [ANODIC_V[a], ANODIC_V[b]];
  return va === undefined || vb === undefined ? 0 : Number(Math.abs(va - vb).toFixed(2));
}
