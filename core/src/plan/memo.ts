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
