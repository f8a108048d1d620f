import { crossingAt, fitLine } from '../base/line.ts';
import { DAY_MS } from '../base/time.ts';

/** Rusted share of a face at a look, from a picture whose mask somebody approved. */
export interface RustLook {
  readonly atMs: number;
  readonly sharePct: number;
}
/** Years from the first look to a share of rust, as the looks have it. */
export interface RustTrend {
  readonly looks: number;
  readonly toPct: number;
  readonly years: number;
  readonly fromYears: number;
  readonly toYears: number;
}

/** At one per cent (Ri 3 of ISO 4628-3, quoted from memory) a coating is usually renewed (ISO 12944-1 leaves it to agreement). */
export const RENEW_AT_PCT = 1;
const LEAST_LOOKS = 3;
const LEAST_YEARS = 2;
const YEAR_MS = 365.25 * DAY_MS;
/** A share of nothing is counted as the least that a picture tells: its logarithm has to be something. */
const LEAST_PCT = 0.01;

/**
 * Where the rusted share gets to one per cent: log₁₀ of it on years, from three looks over two years on, with its 90 % interval. Null: too few
 * looks, too short a time, or it does not surely grow. Never a promise.
 */
export function rustTrend(looks: readonly RustLook[]): RustTrend | null {
  const sorted = [...looks].sort((a, b) => a.atMs - b.atMs);
  const first = sorted[0];
  const last = sorted[sorted.length - 1];
  if (!first || !last || sorted.length < LEAST_LOOKS) return null;
  if ((last.atMs - first.atMs) / YEAR_MS < LEAST_YEARS - 1e-9) return null;
  const line = fitLine(
    sorted.map((l) => [(l.atMs - first.atMs) / YEAR_MS, Math.log10(Math.max(LEAST_PCT, l.sharePct))]),
  );
  if (!line || line.slope <= 0) return null;
  const at = crossingAt(line, Math.log10(RENEW_AT_PCT));
  return (
    at && {
      looks: sorted.length,
      toPct: RENEW_AT_PCT,
      years: at.at,
      fromYears: at.from,
      toYears: at.to,
    }
  );
}
