import { firstOutOfRange, type OutOfRange } from '../base/failure.ts';
import { ok, type Result } from '../base/result.ts';

/** Thickest coat taken, µm: 5 mm is a slip of the decimal point or a screed. */
export const THICKEST_COAT_UM = 2000;
/** Most thinner taken, % of the mixed paint by volume. */
export const MOST_THINNER_PCT = 100;

const checkVs = (vsPct: number) => ['vsPct', vsPct, 1, 100, '%'] as const;
const checkDft = (dftUm: number) => ['dftUm', dftUm, 0.1, THICKEST_COAT_UM, 'µm'] as const;
const checkThin = (thinPct: number) => ['thinPct', thinPct, 0, MOST_THINNER_PCT, '%'] as const;

/** Wet film that dries to `dftUm`, µm: DFT·(1 + r)/VS, r thinner share of A+B by volume. */
export function wetFilmUm(dftUm: number, vsPct: number, thinPct = 0): Result<number, OutOfRange> {
  return (
    firstOutOfRange([checkDft(dftUm), checkVs(vsPct), checkThin(thinPct)]) ??
    ok((dftUm * (1 + thinPct / 100)) / (vsPct / 100))
  );
}

/** Dry film that a wet film leaves, µm: the inverse of `wetFilmUm`. */
export function dryFilmUm(wetUm: number, vsPct: number, thinPct = 0): Result<number, OutOfRange> {
  return (
    firstOutOfRange([['wetUm', wetUm, 0.1, 10_000, 'µm'], checkVs(vsPct), checkThin(thinPct)]) ??
    ok((wetUm * (vsPct / 100)) / (1 + thinPct / 100))
  );
}
