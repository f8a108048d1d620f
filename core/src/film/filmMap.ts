import { judgeFilm, type FilmReadBody } from './judgeFilm.ts';

/** A reading against what the film was to be: under 80 % of it no reading may be (ISO 19840, from memory), over the most none either. */
export type FilmLevel = 'thin' | 'low' | 'right' | 'thick';
/** A point of a face, 0…1 from its upper left corner. */
export interface Spot {
  readonly x: number;
  readonly y: number;
}
/** A reading where it was taken, corrected as the set of readings is. */
export interface MappedReading extends Spot {
  readonly um: number;
  readonly level: FilmLevel;
}

const LEAST_SHARE = 0.8;
/** Without a most of its own: three times what was specified (ISO 19840, from memory). */
const MOST_TIMES = 3;

/** How a corrected reading stands against a specified film and its most, µm. */
export function filmLevel(um: number, nominalUm: number, maxUm: number | null): FilmLevel {
  if (um > (maxUm ?? MOST_TIMES * nominalUm)) return 'thick';
  // In tenths, so that exactly 80 % passes.
  if (um * 10 < nominalUm * LEAST_SHARE * 10 - 1e-9) return 'thin';
  return um < nominalUm ? 'low' : 'right';
}

/** The readings of a set whose place somebody noted, each with how it stands. */
export function filmMap(body: FilmReadBody): MappedReading[] {
  const { correctedUm } = judgeFilm(body, null);
  return (body.spots ?? []).flatMap((spot, i) => {
    const um = correctedUm[i];
    return spot === null || um === undefined
      ? []
      : [{ ...spot, um, level: filmLevel(um, body.nominalUm, body.maxUm) }];
  });
}

/** How many places a set should name; null: it names none, or as many as it has readings. */
export const spotsWanted = (body: Pick<FilmReadBody, 'readingsUm' | 'spots'>): number | null =>
  body.spots === undefined || body.spots.length === body.readingsUm.length ? null : body.readingsUm.length;
