import type { OutOfRange } from '../base/failure.ts';
import { rangeFailure } from '../base/failure.ts';
import { err, ok, type Result } from '../base/result.ts';
import { dryFilmUm } from './spreading.ts';

/** What a wet-film comb shows: the last tooth that is wet and the first that is not, µm. */
export interface CombReading {
  readonly wetToothUm: number;
  readonly dryToothUm: number;
}
export interface CombPrediction {
  readonly wetUm: number;
  readonly dftUm: number;
  readonly leastUm: number;
  readonly mostUm: number;
}

/** The wet film lies between the two teeth (ISO 2808 method 1A, comb gauge); so does what it dries to. Refuses teeth in the wrong order. */
export function combPrediction(
  r: CombReading,
  vsPct: number,
  thinPct: number,
): Result<CombPrediction, OutOfRange> {
  const order = rangeFailure('dryToothUm', r.dryToothUm, r.wetToothUm, 10_000, 'µm');
  if (order) return err(order);
  const wetUm = (r.wetToothUm + r.dryToothUm) / 2;
  const [mid, least, most] = [wetUm, r.wetToothUm, r.dryToothUm].map((w) => dryFilmUm(w, vsPct, thinPct));
  if (!mid!.ok) return mid!;
  if (!least!.ok) return least!;
  if (!most!.ok) return most!;
  return ok({ wetUm, dftUm: mid!.value, leastUm: least!.value, mostUm: most!.value });
}
