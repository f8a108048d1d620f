import { Router } from 'express';
import { placeAirView } from '@calvetta/core';
import type { PlaceClimate } from '@calvetta/contract';
import { airQuery } from '@calvetta/contract/schemas';
import type { Deps } from '../deps.ts';
import { AppError } from '../http/errors.ts';
import { valid } from '../http/validate.ts';
import { monthsOfAir } from './readings.sql.ts';
import { needShop, needSnapshot } from '../shop/needShop.ts';

export function placesRoutes(deps: Deps): Router {
  const router = Router();
  router.get('/places/:placeId/air', async (req, res) => {
    const { placeId } = req.params;
    const { from, to, points } = valid(airQuery, req.query, true);
    const ask = { fromMs: from?.getTime() ?? null, toMs: to?.getTime() ?? null, points };
    const view = placeAirView(await needSnapshot(deps), placeId, ask);
    if (!view) throw new AppError('not-found', { what: 'place', id: placeId });
    res.json(view);
  });
  /** Outdoors only: what corrodes indoors is another matter. */
  router.get('/places/:placeId/climate', async (req, res) => {
    const { placeId } = req.params;
    const { places, workshop } = await needShop(deps);
    const place = places.find((p) => p.placeId === placeId);
    if (!place) throw new AppError('not-found', { what: 'place', id: placeId });
    const months =
      place.exposure === 'outdoors'
        ? await monthsOfAir(deps.db, workshop.workshopId, placeId, workshop.zone)
        : [];
    res.json({ isOutdoors: place.exposure === 'outdoors', months } satisfies PlaceClimate);
  });
  return router;
}
