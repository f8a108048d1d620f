import { firstOutOfRange, type OutOfRange } from '../base/failure.ts';
import { ok, type Result } from '../base/result.ts';
import { MOST_THINNER_PCT, THICKEST_COAT_UM } from './spreading.ts';
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
