import type { ProductSheet } from '../products/sheet.ts';
import type { SurfaceStretch } from '../part/thermal/track.ts';
import { crossing } from './clock.ts';
import type { Lean } from './lean.ts';
import { stageTable } from './tables.ts';
import { maxEdge, minEdge, type Edge } from './windows.ts';

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
  const film = {
    sheet,
    t0Ms: mixedAtMs,
    track: mixTrack,
    slowBy: 1,
    speedBy: 1,
    minRecoatTests: [],
    isOutdoors: false,
  };
  const at: Edge = { nominalMs: mixedAtMs, worstMs: mixedAtMs, bestMs: mixedAtMs, isUnknown: false };
  return {
    usable: sheet.stages.induction ? minEdge(film, { stage: 'induction', p: 1, type: 'min' }) : at,
    gone: sheet.stages.potLife ? maxEdge(film, { stage: 'potLife', p: 1, type: 'max' }) : null,
  };
}

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
