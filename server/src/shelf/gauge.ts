import { normal, seededRandom, UM_PER_MIL, type DerivedPart } from '@calvetta/core';

/** Spread of a hand-sprayed film, as a share of it (common practice, no published source). */
const SPREAD = 0.09;

/** Repeatable for a part and its film, and different once another coat is on. */
function seedOf(text: string): number {
  let hash = 2166136261;
  for (const c of text) hash = Math.imul(hash ^ c.charCodeAt(0), 16777619);
  return hash >>> 0;
}

/**
 * The simulated film gauge: what a gauge set on smooth plate would store on this part's lead face, as the CSV it would
 * give. It reads into the profile, as real ones do. `none` leaves the unit out, as some do.
 */
export function gaugeCsv(part: DerivedPart, n: number, unit: 'um' | 'mil' | 'none'): string {
  const face = part.state.lead;
  const filmUm = face.coats.reduce((s, c) => s + (c.measuredUm ?? c.dftUm), 0);
  const random = seededRandom(seedOf(`${part.row.partId} ${face.coats.length} ${Math.round(filmUm)}`));
  const heading = unit === 'none' ? 'Thickness' : unit === 'mil' ? 'Thickness mil' : 'Thickness µm';
  const lines = [`Reading,Spot,${heading}`];
  for (let i = 0; i < n; i++) {
    const um = Math.max(0, filmUm * (1 + SPREAD * normal(random)) + (face.coats.length > 0 ? 20 : 0));
    lines.push(
      `${i + 1},${Math.floor(i / 3) + 1},${unit === 'um' ? um.toFixed(0) : (um / UM_PER_MIL).toFixed(2)}`,
    );
  }
  return `${lines.join('\n')}\n`;
}
