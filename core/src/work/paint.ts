import { firstOutOfRange, type OutOfRange } from '../base/failure.ts';
import { ok, type Result } from '../base/result.ts';
import type { ProductSheet } from '../products/sheet.ts';
import { MOST_THINNER_PCT, THICKEST_COAT_UM } from '../film/spreading.ts';
import { shapeFactorOf, TRANSFER, type Applicator, type WorkShape } from './transfer.ts';

/** Deepest profile taken, µm (Rz, peak to valley). */
export const DEEPEST_PROFILE_UM = 300;
/** Share of the profile's depth that is filled before film counts: two thirds of Rz (makers' handbooks, from memory: Rz 30 → 20, 75 → 50, 105 → 70 mL/m²). */
const DEAD_SHARE = 2 / 3;

export interface PaintJob {
  readonly areaM2: number;
  readonly dftUm: number;
  readonly coats: number;
  readonly vsPct: number;
  readonly by: Applicator;
  readonly shape: WorkShape;
  /** Rz of the bare metal when the first of these coats goes on it; 0 over paint or smooth metal. */
  readonly profileUm: number;
  readonly thinPct: number;
}

export interface PaintNeed {
  /** Mixed, unthinned, litres: nominal, and at the best and worst transfer met in the field. */
  readonly mixedL: number;
  readonly leastL: number;
  readonly mostL: number;
  /** What goes through the tool: mixed and thinner. */
  readonly sprayedL: number;
  readonly thinnerL: number;
  /** Mixed paint that stays on the part. */
  readonly onPartL: number;
  readonly transfer: number;
}

/**
 * Paint for coats on an area, litres: A·(DFT + ⅔·Rz on the first coat)/(10·VS·TE)·shape (docs/calculations.md D). Dead volume
 * is dry film. Refuses impossible areas, films, solids and thinner by field.
 */
export function paintNeed(job: PaintJob): Result<PaintNeed, OutOfRange> {
  const wrong = firstOutOfRange([
    ['areaM2', job.areaM2, 1e-5, 10_000, 'm²'],
    ['dftUm', job.dftUm, 0.1, THICKEST_COAT_UM, 'µm'],
    ['coats', job.coats, 1, 20, ''],
    ['vsPct', job.vsPct, 1, 100, '%'],
    ['profileUm', job.profileUm, 0, DEEPEST_PROFILE_UM, 'µm'],
    ['thinPct', job.thinPct, 0, MOST_THINNER_PCT, '%'],
  ]);
  if (wrong) return wrong;
  const filmUm = job.dftUm * job.coats + DEAD_SHARE * job.profileUm;
  // 1 µm on 1 m² is 1 mL of dry film.
  const onPartL = (job.areaM2 * filmUm) / (10 * job.vsPct);
  const { te, least, most } = TRANSFER[job.by];
  const factor = shapeFactorOf(job.shape, job.by);
  const mixedL = (onPartL / te) * factor;
  return ok({
    mixedL,
    leastL: (onPartL / most) * factor,
    mostL: (onPartL / least) * factor,
    sprayedL: mixedL * (1 + job.thinPct / 100),
    thinnerL: (mixedL * job.thinPct) / 100,
    onPartL,
    transfer: te / factor,
  });
}

/** Wet volume of mixed, unthinned paint that a measured or specified dry film holds, mL: area × film / solids. */
export const filmMl = (areaM2: number, dftUm: number, vsPct: number): number =>
  (areaM2 * dftUm) / (vsPct / 100);

/** A tenth more than the sum: what stays in cup, filter and gun (common practice, no published source). */
export const MARGIN_PCT = 10;
/** Whole millilitres read off a cup: up to the next ten, so that there is enough. */
const ROUND_UP_ML = 10;
export const roundedUp = (ml: number): number => Math.ceil(ml / ROUND_UP_ML - 1e-9) * ROUND_UP_ML;

/** The next coat of a part, on one face. */
export interface CoatJob {
  readonly areaM2: number | null;
  readonly faces: number;
  readonly sheet: ProductSheet;
  readonly dftUm: number;
  readonly by: Applicator;
  readonly shape: WorkShape;
  /** Rz of the metal where this is the first coat on it, else 0. */
  readonly profileUm: number;
  readonly thinPct: number;
}
/** Paint for it; null where the area is not known, which is said and never guessed. */
export const coatPaint = (job: CoatJob): Result<PaintNeed, OutOfRange> | null =>
  job.areaM2 === null
    ? null
    : paintNeed({
        areaM2: job.areaM2 / job.faces,
        dftUm: job.dftUm,
        coats: 1,
        vsPct: job.sheet.vsPct,
        by: job.by,
        shape: job.shape,
        profileUm: job.profileUm,
        thinPct: job.thinPct,
      });
