import type { ProductSheet } from '../products/sheet.ts';
import type { SurfaceStretch } from '../part/thermal/track.ts';
import { crossing } from './clock.ts';
import type { Lean } from './lean.ts';
import { stageTable } from './tables.ts';
import { maxEdge, minEdge, worstEdge, type Edge, type Film } from './windows.ts';

/** When a mix may first be used and when it must be gone. */
export interface MixClock {
  /** End of induction; the mixing itself when the sheet asks none. */
  readonly usable: Edge;
  /** End of pot life; null for one-packs. */
  readonly gone: Edge | null;
}

/**
 * Clock of a mix: starts when A meets B, induction runs inside it, and the mix's own temperature drives it — here the
 * air it stands in. Never later than the sheet's longest listed pot life.
 */
export function mixClock(
  sheet: ProductSheet,
  mixedAtMs: number,
  mixTrack: readonly SurfaceStretch[],
): MixClock {
  const film = mixed(sheet, mixedAtMs, mixTrack);
  const at: Edge = { nominalMs: mixedAtMs, worstMs: mixedAtMs, bestMs: mixedAtMs, isUnknown: false };
  return {
    usable: sheet.stages.induction ? minEdge(film, INDUCTION) : at,
    gone: sheet.stages.potLife ? maxEdge(film, POT_LIFE) : null,
  };
}
const INDUCTION = { stage: 'induction', p: 1, type: 'min' } as const;
const POT_LIFE = { stage: 'potLife', p: 1, type: 'max' } as const;

/** A mix as its clocks see it. */
const mixed = (sheet: ProductSheet, t0Ms: number, track: readonly SurfaceStretch[]): Film => ({
  sheet,
  t0Ms,
  track,
  slowBy: 1,
  speedBy: 1,
  minRecoatTests: [],
  isOutdoors: false,
});

/** When a mix may be used at the worst; null: not within the track, or not known. */
export const usableWorstMs = (
  sheet: ProductSheet,
  mixedAtMs: number,
  mixTrack: readonly SurfaceStretch[],
): number | null =>
  sheet.stages.induction ? worstEdge(mixed(sheet, mixedAtMs, mixTrack), INDUCTION).worstMs : mixedAtMs;

/** When a mix must be gone at the worst; Infinity: it lasts; null: not within the track, or not known. */
export const goneWorstMs = (
  sheet: ProductSheet,
  mixedAtMs: number,
  mixTrack: readonly SurfaceStretch[],
): number | null =>
  sheet.stages.potLife ? worstEdge(mixed(sheet, mixedAtMs, mixTrack), POT_LIFE).worstMs : Infinity;

/** Hours a stage takes on a track under a lean, for showing a sheet's time at today's temperature. Null when unknown. */
export function stageEndMs(
  sheet: ProductSheet,
  stage: 'touch' | 'flash',
  t0Ms: number,
  track: readonly SurfaceStretch[],
  lean: Lean,
): number | null {
  const table = stageTable(sheet, stage);
  return table ? crossing({ table, track, t0Ms, lean, slowBy: 1, speedBy: 1, tests: [] }, 1).atMs : null;
}
