import { airFiguresOf } from '../../air/gate.ts';
import type { ReadingTrust } from '../../air/reading.ts';
import type { Span } from '../../base/time.ts';
import type { Exposure } from '../../part/thermal/lag.ts';
import type { Snapshot } from '../snapshot.ts';

export interface PlaceNowView {
  readonly placeId: string;
  readonly name: string;
  readonly exposure: Exposure;
  readonly trust: ReadingTrust;
  readonly atMs: number | null;
  readonly airC: number | null;
  readonly rhPct: number | null;
  readonly dewPointC: number | null;
  readonly wettingKind: 'dew' | 'frost' | null;
  /** Temperature, K, the place's own surface stands above the wetting point; null without one. */
  readonly absoluteGM3: number | null;
}

/** The shop's moment: what every screen shares. */
export interface Moment {
  readonly nowMs: number;
  readonly zone: string;
  readonly horizonMs: number;
  readonly forecastEndMs: number;
  readonly nights: readonly Span[];
  readonly sessions: readonly Span[];
  readonly places: readonly PlaceNowView[];
}

/** Ribbons are cut to this much of the past; the page shows less. */
export const PAST_MS = 36 * 3_600_000;
export const AHEAD_MS = 21 * 24 * 3_600_000;

export function placeViews(snapshot: Snapshot): PlaceNowView[] {
  return snapshot.shop.places.flatMap((p) => {
    if (p.isAway) return [];
    const now = snapshot.air.get(p.placeId)?.now ?? {
      trust: 'none' as const,
      atMs: null,
      airC: null,
      rhPct: null,
    };
    const figures = airFiguresOf({ airC: now.airC, rhPct: now.rhPct, surfaceC: null });
    return {
      placeId: p.placeId,
      name: p.name,
      exposure: p.exposure,
      ...now,
      dewPointC: figures.wettingC,
      wettingKind: figures.wettingKind,
      absoluteGM3: figures.absoluteGM3,
    };
  });
}

/** What every answer about parts carries: the moment and the places. */
export function momentOf(snapshot: Snapshot): Moment {
  const { nowMs, horizonMs, forecastEndMs, nights, sessions, shop } = snapshot;
  return {
    nowMs,
    horizonMs,
    forecastEndMs,
    nights: nights.filter((n) => n.toMs > nowMs - PAST_MS),
    sessions,
    zone: shop.workshop.zone,
    places: placeViews(snapshot),
  };
}
