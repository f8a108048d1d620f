import { vapourHpa } from '../../air/humidity.ts';
import type { AirReading } from '../../air/reading.ts';
import { esOverWaterHpa } from '../../air/saturation.ts';
import { fitLag, MIN_FIT_READINGS, type LagFit } from './calibrate.ts';
import { lumpAfterC } from './response.ts';
import { sliceAir, type AirStretch } from './track.ts';

/** How a place follows the outdoor air: its temperature by a lag and an offset, its moisture by a mean offset. */
export interface PlaceFit extends LagFit {
  /** Mean of the place's vapour pressure less the outdoor one, hPa: people, wet floors and open pits add to it. */
  readonly vapourOffsetHpa: number;
}

/** What a place without enough readings is taken to do. */
export const UNFITTED: Pick<PlaceFit, 'tauS' | 'offsetK' | 'vapourOffsetHpa'> = {
  tauS: 3 * 3600,
  offsetK: 0,
  vapourOffsetHpa: 0,
};

/** Fits a place to the outdoor air. Null with fewer than five readings inside the outdoor span. Both ascend. */
export function fitPlace(outdoor: readonly AirStretch[], readings: readonly AirReading[]): PlaceFit | null {
  const lag = fitLag(
    outdoor,
    readings.map((r) => ({ atMs: r.atMs, surfaceC: r.airC })),
  );
  if (!lag) return null;
  const excess = vapourExcessHpa(outdoor, readings);
  const vapourOffsetHpa =
    excess.length < MIN_FIT_READINGS ? 0 : excess.reduce((sum, e) => sum + e, 0) / excess.length;
  return { ...lag, vapourOffsetHpa };
}

/** Own less outdoor vapour pressure at every reading that the outdoor air covers, hPa. */
function vapourExcessHpa(outdoor: readonly AirStretch[], readings: readonly AirReading[]): number[] {
  const out: number[] = [];
  let s = 0;
  for (const r of readings) {
    while (s < outdoor.length && outdoor[s]!.toMs < r.atMs) s++;
    const over = outdoor[s];
    if (!over || over.fromMs > r.atMs || over.fromVapourHpa === null || over.toVapourHpa === null) continue;
    const share = (r.atMs - over.fromMs) / (over.toMs - over.fromMs);
    const outside = over.fromVapourHpa + (over.toVapourHpa - over.fromVapourHpa) * share;
    out.push(vapourHpa(r.airC, r.rhPct) - outside);
  }
  return out;
}

/** Where a prediction starts: the place's air now; vapour null when its humidity is not known. */
export interface PlaceStart {
  readonly airC: number;
  readonly vapourHpa: number | null;
}

const PIECE_MS = 1_800_000;

/**
 * Air of a place predicted from outdoor air: temperature lagged and offset (a heated place never falls below its
 * setpoint); vapour pressure carried in, plus the place's own offset, which relaxes from what is measured now to its mean
 * with the same lag, never above saturation. The prediction joins the last reading without a jump.
 */
export function placeAirFromOutdoor(
  outdoor: readonly AirStretch[],
  fit: Pick<PlaceFit, 'tauS' | 'offsetK' | 'vapourOffsetHpa'>,
  start: PlaceStart,
  setpointC: number | null,
): AirStretch[] {
  const warm = (t: number): number => (setpointC === null ? t : Math.max(t, setpointC));
  const vapourOf = carriedVapour(outdoor[0], fit, start);
  let tempC = start.airC - fit.offsetK;
  const out: AirStretch[] = [];
  for (const s of outdoor) {
    const pieces = Math.max(1, Math.round((s.toMs - s.fromMs) / PIECE_MS));
    for (let i = 0; i < pieces; i++) {
      const fromMs = s.fromMs + ((s.toMs - s.fromMs) * i) / pieces;
      const toMs = s.fromMs + ((s.toMs - s.fromMs) * (i + 1)) / pieces;
      const piece = sliceAir(s, fromMs, toMs);
      const elapsedS = (toMs - fromMs) / 1000;
      const next = lumpAfterC(tempC, piece.fromC, (piece.toC - piece.fromC) / elapsedS, fit.tauS, elapsedS);
      const fromC = warm(tempC + fit.offsetK);
      const toC = warm(next + fit.offsetK);
      out.push({
        fromMs,
        toMs,
        fromC,
        toC,
        fromVapourHpa: vapourOf(piece.fromVapourHpa, fromC, fromMs),
        toVapourHpa: vapourOf(piece.toVapourHpa, toC, toMs),
        source: 'forecast',
      });
      tempC = next;
    }
  }
  return out;
}

function carriedVapour(
  first: AirStretch | undefined,
  fit: Pick<PlaceFit, 'tauS' | 'vapourOffsetHpa'>,
  start: PlaceStart,
): (outsideHpa: number | null, airC: number, atMs: number) => number | null {
  const outsideNow = first?.fromVapourHpa ?? null;
  const startOffset =
    start.vapourHpa === null || outsideNow === null ? fit.vapourOffsetHpa : start.vapourHpa - outsideNow;
  return (outsideHpa, airC, atMs) => {
    if (outsideHpa === null) return null;
    const left = Math.exp(-(atMs - first!.fromMs) / 1000 / fit.tauS);
    const offset = fit.vapourOffsetHpa + (startOffset - fit.vapourOffsetHpa) * left;
    return Math.min(Math.max(outsideHpa + offset, 0.05), esOverWaterHpa(airC));
  };
}
