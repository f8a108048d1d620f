import { DAY_MS } from '../base/time.ts';
import { wettingPointOf } from '../air/dewPoint.ts';
import { firstEndingAfter, reach, sliceSurface, type SurfaceStretch } from '../part/thermal/track.ts';

export type SuspectCause = 'stalled-24h' | 'dew' | 'frost';

export interface Suspicion {
  readonly atMs: number;
  readonly cause: SuspectCause;
}

/**
 * The first thing that makes an uncured film suspect between two instants (docs/clocks.md 7): more than 24 h
 * contiguous below the cure minimum, or dew or frost by measured air (own or lagged surface; never by forecast or
 * assumption). `fromMs` is the coat, or the last logged test; `untilMs` the earlier of `handle` and now.
 */
export function firstSuspicion(
  track: readonly SurfaceStretch[],
  fromMs: number,
  untilMs: number,
  cureMinC: number | null,
): Suspicion | null {
  let stalledSinceMs: number | null = null;
  reach(track, untilMs);
  for (let i = firstEndingAfter(track, fromMs); i < track.length && track[i]!.fromMs < untilMs; i++) {
    const whole = track[i]!;
    const s = sliceSurface(whole, Math.max(whole.fromMs, fromMs), Math.min(whole.toMs, untilMs));
    const wet = wetAtEnd(s);
    if (wet) return { atMs: s.toMs, cause: wet };
    if (cureMinC === null) continue;
    const below = coldSpan(s, cureMinC);
    if (!below) {
      stalledSinceMs = null;
      continue;
    }
    if (stalledSinceMs === null || below.fromMs > s.fromMs) stalledSinceMs = below.fromMs;
    if (below.toMs - stalledSinceMs > DAY_MS) return { atMs: stalledSinceMs + DAY_MS, cause: 'stalled-24h' };
    if (below.toMs < s.toMs) stalledSinceMs = null;
  }
  return null;
}

function wetAtEnd(s: SurfaceStretch): SuspectCause | null {
  if (s.source !== 'surface' && s.source !== 'lag') return null;
  if (s.toVapourHpa === null || s.toVapourHpa <= 0) return null;
  const point = wettingPointOf(s.toVapourHpa);
  if (s.toC > point.tempC) return null;
  return point.kind;
}

/** The part of a linear stretch that lies below the minimum, or null. */
function coldSpan(s: SurfaceStretch, cureMinC: number): { fromMs: number; toMs: number } | null {
  const fromCold = s.fromC < cureMinC;
  const toCold = s.toC < cureMinC;
  if (!fromCold && !toCold) return null;
  if (fromCold && toCold) return { fromMs: s.fromMs, toMs: s.toMs };
  const crossMs = s.fromMs + ((cureMinC - s.fromC) / (s.toC - s.fromC)) * (s.toMs - s.fromMs);
  return fromCold ? { fromMs: s.fromMs, toMs: crossMs } : { fromMs: crossMs, toMs: s.toMs };
}
