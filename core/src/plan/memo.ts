import type { SurfaceStretch } from '../part/thermal/track.ts';

const kept = new WeakMap<readonly SurfaceStretch[], Map<string, unknown>>();

/** What was worked out along a track, kept as long as the track is: a maker asks the same of it a thousand times. */
export function alongTrack<V>(track: readonly SurfaceStretch[], key: string, workOut: () => V): V {
  let known = kept.get(track);
  if (!known) kept.set(track, (known = new Map<string, unknown>()));
  if (known.has(key)) return known.get(key) as V;
  const value = workOut();
  known.set(key, value);
  return value;
}

/** The same for one figure of a sheet at an instant: asked a million times, it is found by number. A product has one sheet and one pace in a shop. */
export function bySheetAndInstant(): (
  track: readonly SurfaceStretch[],
  sheetId: string,
  atMs: number,
  workOut: () => number,
) => number {
  const figures = new WeakMap<readonly SurfaceStretch[], Map<string, Map<number, number>>>();
  return (track, sheetId, atMs, workOut) => {
    let bySheet = figures.get(track);
    if (!bySheet) figures.set(track, (bySheet = new Map<string, Map<number, number>>()));
    let byInstant = bySheet.get(sheetId);
    if (!byInstant) bySheet.set(sheetId, (byInstant = new Map<number, number>()));
    let figure = byInstant.get(atMs);
    if (figure === undefined) byInstant.set(atMs, (figure = workOut()));
    return figure;
  };
}
