import { firstOutOfRange } from '../../base/failure.ts';
import { ok, type Result } from '../../base/result.ts';
import { isCasting, MATERIALS, type Substrate } from '../substrate.ts';

/** How air moves over the part. */
export const EXPOSURES = ['indoor-still', 'indoor-fans', 'outdoors'] as const;
export type Exposure = (typeof EXPOSURES)[number];

/** Heat transfer to air, W/m² K: common practice, no published source. The low value is the safe side: a longer lag. */
export const FILM_COEFFICIENT_W_M2K: Readonly<Record<Exposure, number>> = {
  'indoor-still': 7,
  'indoor-fans': 20,
  outdoors: 20,
};
export const BRIGHT_METAL_W_M2K = 4;
/** Above this Biot number the inside lags the skin, and a lump is not sole evidence (Incropera & DeWitt ch. 5, from memory). */
export const BIOT_LIMIT = 0.1;

export interface ThermalBody {
  readonly substrate: Substrate;
  readonly massKg: number | null;
  /** The faces the air washes, m². */
  readonly areaM2: number | null;
  /** Thickest web or plate, mm. */
  readonly thicknessMm: number | null;
  readonly brightMetal: boolean;
}

export interface Lag {
  readonly tauS: number;
  readonly biot: number;
  /** Which formula gave it. */
  readonly by: 'mass-and-area' | 'thickest-web';
  readonly filmWM2K: number;
  /** Biot ≤ 0.1: the part may be judged as one lump. */
  readonly isLump: boolean;
}

/** Time constant of a lump, s: τ = m·c/(h·A). */
export function timeConstantS(
  massKg: number,
  specificHeatJKgK: number,
  filmWM2K: number,
  areaM2: number,
): number {
  return (massKg * specificHeatJKgK) / (filmWM2K * areaM2);
}

/** Biot number h·(V/A)/k. */
export function biot(filmWM2K: number, volumeToAreaM: number, conductivityWMK: number): number {
  return (filmWM2K * volumeToAreaM) / conductivityWMK;
}

/**
 * The lag of a part behind its air. A casting is judged at its thickest web, τ = ρ·c·t/(2h); otherwise by mass and
 * area; a part of which only the thickness is known, by that. Null when nothing is known (then it is assumed, and said).
 */
export function lagOf(body: ThermalBody, exposure: Exposure): Result<Lag | null> {
  const bad = firstOutOfRange([
    ['massKg', body.massKg ?? 1, 1e-4, 2e5, 'kg'],
    ['areaM2', body.areaM2 ?? 1, 1e-5, 1e4, 'm²'],
    ['thicknessMm', body.thicknessMm ?? 1, 0.1, 1000, 'mm'],
  ]);
  if (bad) return bad;
  const material = MATERIALS[body.substrate];
  const filmWM2K =
    body.brightMetal && exposure === 'indoor-still' ? BRIGHT_METAL_W_M2K : FILM_COEFFICIENT_W_M2K[exposure];
  const web =
    body.thicknessMm === null
      ? null
      : webLagS(body.thicknessMm, material.densityKgM3 * material.specificHeatJKgK, filmWM2K);
  const whole =
    body.massKg === null || body.areaM2 === null
      ? null
      : timeConstantS(body.massKg, material.specificHeatJKgK, filmWM2K, body.areaM2);
  const byWeb = web !== null && (isCasting(body.substrate) || whole === null);
  const tauS = byWeb ? web : whole;
  if (tauS === null) return ok(null);
  const volumeToAreaM = (tauS * filmWM2K) / (material.densityKgM3 * material.specificHeatJKgK);
  const bi = biot(filmWM2K, volumeToAreaM, material.conductivityWMK);
  return ok({
    tauS,
    biot: bi,
    by: byWeb ? 'thickest-web' : 'mass-and-area',
    filmWM2K,
    isLump: bi <= BIOT_LIMIT,
  });
}

function webLagS(thicknessMm: number, heatJM3K: number, filmWM2K: number): number {
  return (heatJM3K * thicknessMm) / 1000 / (2 * filmWM2K);
}
