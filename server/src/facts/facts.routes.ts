import { Router } from 'express';
import { factsInput } from '@calvetta/contract/schemas';
import type { Deps } from '../deps.ts';
import { valid } from '../http/validate.ts';
import { needShop } from '../shop/needShop.ts';
import { recordFacts } from './facts.service.ts';

export function factsRoutes(deps: Deps): Router {
  const router = Router();
  router.post('/facts', async (req, res) => {
    const { facts } = valid(factsInput, req.body);
    const shop = await needShop(deps);
    const stored = await recordFacts(deps, shop.workshop.workshopId, facts);
    res.status(stored.some((s) => s.isNew) ? 201 : 200).json({ facts: stored.map((s) => s.fact) });
  });
  return router;
}
