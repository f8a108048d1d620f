import { Router } from 'express';
import { inspectList, inspectOf, learnedHere, lessonsHere, paceBy, usualSizes } from '@calvetta/core';
import type { Deps } from '../deps.ts';
import { AppError } from '../http/errors.ts';
import { needSnapshot } from '../shop/needShop.ts';

export function inspectRoutes(deps: Deps): Router {
  const router = Router();
  router.get('/inspect', async (_req, res) => {
    res.json(inspectList(await needSnapshot(deps)));
  });
  router.get('/learned', async (_req, res) => {
    const snapshot = await needSnapshot(deps);
    res.json({
      learned: learnedHere(snapshot),
      lessons: lessonsHere(snapshot),
      pace: paceBy(snapshot),
      sizes: usualSizes(snapshot),
    });
  });
  router.get('/parts/:partId/inspect', async (req, res) => {
    const snapshot = await needSnapshot(deps);
    const part = snapshot.parts.get(req.params.partId);
    if (!part) throw new AppError('not-found', { what: 'part', id: req.params.partId });
    res.json(inspectOf(snapshot, part));
  });
  return router;
}
