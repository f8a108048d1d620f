import type { Survey } from '../part/survey.ts';

/** A crankcase, gearbox or oilway: full of oil that goes round. */
export const isOilSpace = (s: Survey): boolean =>
  s.category === 'immersed' &&
  s.fluids.includes('mineral-oil') &&
  ['engine-assembled', 'engine-casting', 'gearbox-axle', 'machined-casting'].includes(s.kind);

/**
 * Most film a part's own form lets it carry, µm; null: no cap. Springs flex, fasteners must still go together, fins must
 * still give off heat, and thick film in an oil space flakes into the oilways (docs/surface.md 4; common practice).
 */
export function capUm(s: Survey): number | null {
  if (isOilSpace(s)) return 60;
  return s.kind === 'spring' ? 150 : s.kind === 'fasteners' ? 80 : s.kind === 'radiator' ? 60 : null;
}
