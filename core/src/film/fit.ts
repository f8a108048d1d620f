/**
 * What paint takes from a fit, µm, by plain geometry. Two flat faces lose both films; a shaft in its bore loses both on
 * both sides.
 */
export const facesLossUm = (filmUm: number, otherFilmUm: number): number => filmUm + otherFilmUm;
export const boreLossUm = (shaftFilmUm: number, boreFilmUm: number): number => 2 * (shaftFilmUm + boreFilmUm);

export interface FitVerdict {
  readonly lostUm: number;
  readonly leftUm: number;
  readonly isLost: boolean;
}
/** Whether a clearance survives its film. `clearanceUm` is across the fit, bare. */
export function fitAfter(clearanceUm: number, lostUm: number): FitVerdict {
  return { lostUm, leftUm: clearanceUm - lostUm, isLost: lostUm >= clearanceUm };
}
