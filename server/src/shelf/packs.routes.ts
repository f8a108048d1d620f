import { Router } from 'express';
import type { CupView, Pack } from '@calvetta/contract';
import { cup, pack } from '@calvetta/contract/schemas';
import type { Deps } from '../deps.ts';
import { createOnce } from '../http/createOnce.ts';
import { AppError, invalidInput } from '../http/errors.ts';
import { valid } from '../http/validate.ts';
import { needShop } from '../shop/needShop.ts';
import { changeStock } from './changeStock.ts';
import { deleteCup, deletePack, insertCup, insertPack, listCups, listPacks } from './shelf.sql.ts';

/** The sizes products are sold in, and the cups they are mixed in. */
export function packsRoutes(deps: Deps): Router {
  const router = Router();
  router.post('/packs', async (req, res) => {
    const sent: Pack = valid(pack, req.body);
    const shop = await needShop(deps);
    if (![...shop.sheets.values()].some((s) => s.productId === sent.productId))
      throw new AppError('unknown-reference', { fields: ['productId'] });
    const isNew = await changeStock(deps, (tx, workshopId) =>
      createOnce(
        sent,
        () => insertPack(tx, workshopId, sent),
        async () => (await listPacks(tx, workshopId)).find((p) => p.packId === sent.packId),
      ),
    );
    if (isNew === null)
      throw invalidInput([
        { field: 'sizeMl', code: 'taken', got: sent.sizeMl, accepts: 'a size not listed for it yet' },
      ]);
    res.status(isNew ? 201 : 200).json(sent);
  });
  router.delete('/packs/:packId', async (req, res) => {
    const { packId } = req.params;
    if (!(await changeStock(deps, (tx, workshopId) => deletePack(tx, workshopId, packId))))
      throw new AppError('not-found', { what: 'pack', id: packId });
    res.status(204).end();
  });
  router.post('/cups', async (req, res) => {
    const sent: CupView = valid(cup, req.body);
    const isNew = await changeStock(deps, (tx, workshopId) =>
      createOnce(
        sent,
        () => insertCup(tx, workshopId, sent),
        async () => (await listCups(tx, workshopId)).find((c) => c.cupId === sent.cupId),
      ),
    );
    if (isNew === null)
      throw invalidInput([
        { field: 'name', code: 'taken', got: sent.name, accepts: 'a name no other cup has' },
      ]);
    res.status(isNew ? 201 : 200).json(sent);
  });
  router.delete('/cups/:cupId', async (req, res) => {
    const { cupId } = req.params;
    if (!(await changeStock(deps, (tx, workshopId) => deleteCup(tx, workshopId, cupId))))
      throw new AppError('not-found', { what: 'cup', id: cupId });
    res.status(204).end();
  });
  return router;
}
