import type { Fact } from '../facts/part.ts';
import type { Substrate } from '../part/substrate.ts';
/** Depth of profile taken under the film, µm: by how the metal was last prepared (common practice, not measured). */
export function profileUmOf(facts: readonly Fact[], substrate: Substrate): number {
  const strips = facts.filter((f) => f.kind === 'stripped');
  const last = strips[strips.length - 1];
  if (last?.body.method === 'blast') return 50;
  if (substrate === 'grey-iron') return 60;
  return last?.body.method === 'bead' ? 15 : 10;
}
