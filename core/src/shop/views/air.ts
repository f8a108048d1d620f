import { rhPctOf } from '../../air/humidity.ts';
import { wettingPointOf } from '../../air/dewPoint.ts';
import { airFiguresOf } from '../../air/gate.ts';
import { type ReadingTrust, readingTrust } from '../../air/reading.ts';
import { DAY_MS, type Span } from '../../base/time.ts';
import { type SurfaceBasis, fitSpans, limitsOf } from '../../bench/air.ts';
import type { Headline } from '../../bench/headline.ts';
import { type AirSource, type AirStretch, surfaceTrack } from '../../part/thermal/track.ts';
import type { PlaceInfo } from '../state.ts';
import { partsInUse, type Snapshot } from '../snapshot.ts';
import { momentOf, type Moment } from './moment.ts';

export interface AirPoint {
  readonly atMs: number;
  readonly airC: number;
  readonly rhPct: number | null;
  readonly dewC: number | null;
  readonly source: AirSource;
}

export interface PlaceAirResponse extends Moment {
  readonly place: PlaceInfo;
  readonly points: readonly AirPoint[];
  /** Spans in which a part at air temperature keeps 3 K above the dew point. */
  readonly fit: readonly Span[];
  readonly parts: readonly {
    readonly partId: string;
    readonly name: string;
    readonly surfaceC: number;
    readonly basis: SurfaceBasis;
    readonly marginK: number | null;
    readonly headline: Headline;
    readonly tauS: number | null;
  }[];
  readonly probes: readonly {
    readonly probeId: string;
    readonly name: string;
    readonly trust: ReadingTrust;
    readonly lastMs: number | null;
    readonly isSimulated: boolean;
    readonly partId: string | null;
  }[];
  readonly fitToOutdoor: {
    readonly tauS: number;
    readonly offsetK: number;
    readonly vapourOffsetHpa: number;
    readonly rmsK: number;
    readonly n: number;
  } | null;
}

/** At most `points` points between two instants: thinned on the server, so that a month is as quick to draw as a day. */
function pointsOf(track: readonly AirStretch[], fromMs: number, toMs: number, points: number): AirPoint[] {
  const inside = track.filter((s) => s.toMs > fromMs && s.fromMs < toMs && s.source !== 'assumed');
  const every = Math.max(1, Math.ceil(inside.length / points));
  return inside
    .filter((_, i) => i % every === 0)
    .map((s) => ({
      atMs: s.fromMs,
      airC: s.fromC,
      source: s.source,
      rhPct: s.fromVapourHpa === null ? null : rhPctOf(s.fromVapourHpa, s.fromC),
      dewC: s.fromVapourHpa === null ? null : wettingPointOf(s.fromVapourHpa).tempC,
    }));
}

function partsIn(snapshot: Snapshot, placeId: string): PlaceAirResponse['parts'] {
  return partsInUse(snapshot).flatMap((p) => {
    const { conditions, headline } = p.state;
    if (p.placeId !== placeId || conditions.surfaceC === null || conditions.basis === 'none') return [];
    return [
      {
        partId: p.row.partId,
        name: p.row.name,
        surfaceC: conditions.surfaceC,
        basis: conditions.basis,
        marginK: airFiguresOf(conditions).marginK,
        headline,
        tauS: p.lagFit?.tauS ?? p.lag?.tauS ?? null,
      },
    ];
  });
}

/** What of a place's air is asked for. */
export interface AirAsk {
  readonly fromMs: number | null;
  readonly toMs: number | null;
  readonly points: number;
}

/** A place's air, what fits in it, and the parts and probes that stand there; null: no such place. */
export function placeAirView(snapshot: Snapshot, placeId: string, ask: AirAsk): PlaceAirResponse | null {
  const { nowMs, forecastEndMs, shop } = snapshot;
  const place = shop.places.find((p) => p.placeId === placeId);
  const air = snapshot.air.get(placeId);
  if (!place || !air) return null;
  const asAir = surfaceTrack({ air: air.track, tauS: 0, own: [], fromMs: nowMs, toMs: forecastEndMs });
  return {
    ...momentOf(snapshot),
    place,
    points: pointsOf(air.track, ask.fromMs ?? nowMs - 3 * DAY_MS, ask.toMs ?? forecastEndMs, ask.points),
    fit: fitSpans(asAir, limitsOf(null), nowMs, forecastEndMs),
    parts: partsIn(snapshot, placeId),
    fitToOutdoor: air.fit,
    probes: shop.probes
      .filter((p) => p.placeId === placeId)
      .map((p) => {
        const own = air.recent.filter((r) => r.probeId === p.probeId);
        return {
          probeId: p.probeId,
          name: p.name,
          isSimulated: p.isSimulated,
          partId: p.partId,
          trust: readingTrust(own, nowMs),
          lastMs: own[own.length - 1]?.atMs ?? null,
        };
      }),
  };
}
