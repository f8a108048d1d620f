import { Router } from 'express';
import {
  airFiguresOf,
  fitSpans,
  limitsOf,
  readingTrust,
  surfaceTrack,
  wettingPointOf,
  esOverWaterHpa,
  type AirStretch,
} from '@calvetta/core';
import type { AirPoint, PlaceAirResponse } from '@calvetta/contract';
import { airQuery } from '@calvetta/contract/schemas';
import { momentOf } from '../bench/cards.ts';
import type { Snapshot } from '../bench/derive.ts';
import type { Deps } from '../deps.ts';
import { AppError } from '../http/errors.ts';
import { valid } from '../http/validate.ts';
import { needSnapshot } from '../shop/needShop.ts';
import { recentReadings } from './readings.sql.ts';

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
      rhPct:
        s.fromVapourHpa === null ? null : Math.min(100, (100 * s.fromVapourHpa) / esOverWaterHpa(s.fromC)),
      dewC: s.fromVapourHpa === null ? null : wettingPointOf(s.fromVapourHpa).tempC,
    }));
}

function partsIn(snapshot: Snapshot, placeId: string): PlaceAirResponse['parts'] {
  return [...snapshot.parts.values()].flatMap((p) => {
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

export function placesRoutes(deps: Deps): Router {
  const router = Router();
  router.get('/places/:placeId/air', async (req, res) => {
    const snapshot = await needSnapshot(deps);
    const { placeId } = req.params;
    const place = snapshot.shop.places.find((p) => p.placeId === placeId);
    const air = snapshot.air.get(placeId);
    if (!place || !air) throw new AppError('not-found', { what: 'place', id: placeId });
    const query = valid(airQuery, req.query, true);
    const fromMs = query.from?.getTime() ?? snapshot.nowMs - 3 * 86_400_000;
    const toMs = query.to?.getTime() ?? snapshot.forecastEndMs;
    const recent = await recentReadings(
      deps.db,
      snapshot.shop.workshop.workshopId,
      placeId,
      snapshot.nowMs - 3 * 3_600_000,
    );
    const asAir = surfaceTrack({
      air: air.track,
      tauS: 0,
      own: [],
      fromMs: snapshot.nowMs,
      toMs: snapshot.forecastEndMs,
    });
    const body: PlaceAirResponse = {
      ...momentOf(snapshot),
      place,
      points: pointsOf(air.track, fromMs, toMs, query.points),
      fit: fitSpans(asAir, limitsOf(null), snapshot.nowMs, snapshot.forecastEndMs),
      parts: partsIn(snapshot, placeId),
      fitToOutdoor: air.fit,
      probes: snapshot.shop.probes
        .filter((p) => p.placeId === placeId)
        .map((p) => {
          const own = recent.filter((r) => r.probeId === p.probeId);
          return {
            probeId: p.probeId,
            name: p.name,
            isSimulated: p.isSimulated,
            partId: p.partId,
            trust: readingTrust(own, snapshot.nowMs),
            lastMs: own[own.length - 1]?.atMs ?? null,
          };
        }),
    };
    res.json(body);
  });
  return router;
}
