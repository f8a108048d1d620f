import { Router } from 'express';
import { factsInput } from '@calvetta/contract/schemas';
import type { Deps } from '../deps.ts';
import { whoOf } from '../door/who.ts';
import { valid } from '../http/validate.ts';
import { needShop } from '../shop/needShop.ts';
import { recordFacts } from './facts.service.ts';

export function factsRoutes(deps: Deps): Router {
  const router = Router();
  router.post('/facts', async (req, res) => {
    const { facts, each } = valid(factsInput, req.body);
    const shop = await needShop(deps);
    const { isNew, ...stored } = await recordFacts(deps, shop.workshop.workshopId, whoOf(req), facts, each);
    res.status(isNew ? 201 : 200).json(stored);
  });
  return router;
}
