import { Router } from 'express';
import type { CupView, Pack } from '@calvetta/contract';
import { cup, pack } from '@calvetta/contract/schemas';
import type { Deps } from '../deps.ts';
import { AppError, invalidInput } from '../http/errors.ts';
import { valid } from '../http/validate.ts';
import { needShop } from '../shop/needShop.ts';
import { changeStock } from './changeStock.ts';
import { deleteCup, deletePack, insertCup, putPack } from './shelf.sql.ts';

/** The sizes products are sold in, and the cups they are mixed in. */
export function packsRoutes(deps: Deps): Router {
  const router = Router();
  router.post('/packs', async (req, res) => {
    const sent: Pack = valid(pack, req.body);
    const shop = await needShop(deps);
    if (![...shop.sheets.values()].some((s) => s.productId === sent.productId))
      throw new AppError('unknown-reference', { fields: ['productId'] });
    await changeStock(deps, (tx, workshopId) => putPack(tx, workshopId, sent));
    res.status(201).json(sent);
  });
  router.delete('/packs/:packId', async (req, res) => {
    const { packId } = req.params;
    if (!(await changeStock(deps, (tx, workshopId) => deletePack(tx, workshopId, packId))))
      throw new AppError('not-found', { what: 'pack', id: packId });
    res.status(204).end();
  });
  router.post('/cups', async (req, res) => {
    const sent: CupView = valid(cup, req.body);
    if (!(await changeStock(deps, (tx, workshopId) => insertCup(tx, workshopId, sent))))
      throw invalidInput([
        { field: 'name', code: 'taken', got: sent.name, accepts: 'a name no other cup has' },
      ]);
    res.status(201).json(sent);
  });
  router.delete('/cups/:cupId', async (req, res) => {
    const { cupId } = req.params;
    if (!(await changeStock(deps, (tx, workshopId) => deleteCup(tx, workshopId, cupId))))
      throw new AppError('not-found', { what: 'cup', id: cupId });
    res.status(204).end();
  });
  return router;
}
