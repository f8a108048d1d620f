import type { PartKind } from './kinds.ts';
import { CASTINGS, isCasting, type Substrate } from './substrate.ts';
import type { Answer, Survey } from './survey.ts';

/** Shapes that stand more media than a flat sheet of the same thickness: webs, tubes, folded sections. */
const STIFF: readonly PartKind[] = [
  'rough-casting',
  'machined-casting',
  'bracket',
  'tube-frame',
  'chassis-rail',
  'engine-casting',
  'engine-assembled',
  'gearbox-axle',
  'shaft-pin-rod',
  'wheel-brake',
];
/** A stiff shape; a part of unknown kind counts as flat, which is the safe side, unless it is cast. */
export const isStiff = (s: Pick<Survey, 'kind' | 'substrate'>): boolean =>
  STIFF.includes(s.kind) || isCasting(s.substrate);

/** Kinds whose steel may be hardened or of high strength: asked, never assumed. */
const MAY_BE_HARD: readonly PartKind[] = ['spring', 'shaft-pin-rod', 'fasteners', 'gearbox-axle', 'unknown'];
const SOFT_METALS: readonly Substrate[] = [
  'grey-iron',
  'ductile-iron',
  'steel-plate',
  'steel-sheet',
  'galvanised',
];
/**
 * Whether the steel is hard, where the metal itself answers: plain plate, sheet and unhardened iron of a known kind are not
 * (common practice). A part of unknown kind stays unknown.
 */
export const hardnessOf = (s: Pick<Survey, 'hardened' | 'kind' | 'substrate'>): Answer =>
  s.hardened === 'unknown' && !MAY_BE_HARD.includes(s.kind) && SOFT_METALS.includes(s.substrate)
    ? 'no'
    : s.hardened;

/** Metals a kind is ever made of; an empty list: any. What does not fit is asked. */
export const METALS_OF_KIND: Readonly<Partial<Record<PartKind, readonly Substrate[]>>> = {
  'rough-casting': CASTINGS,
  'machined-casting': CASTINGS,
  'aircraft-skin': ['aluminium-wrought', 'magnesium', 'stainless'],
  'diecast-fitting': ['zinc-diecast', 'aluminium-cast', 'magnesium'],
  'brass-fitting': ['copper-alloy'],
  'galvanised-sheet': ['galvanised'],
  fairing: ['glass-fibre', 'aluminium-wrought', 'steel-sheet'],
  'timber-panel': ['timber-backed-steel'],
  spring: ['steel-plate', 'cast-steel', 'stainless', 'copper-alloy'],
};
