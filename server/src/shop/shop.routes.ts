import { Router } from 'express';
import { type MeansInfo } from '@calvetta/core';
import type { ShopInfo } from '@calvetta/contract';
import type { Deps } from '../deps.ts';
import { AppError } from '../http/errors.ts';
import { meansPatch } from '@calvetta/contract/schemas';
import { valid } from '../http/validate.ts';
import type { Db } from '../db/db.ts';
import { write } from '../write.ts';
import { needShop } from './needShop.ts';
import { findWorkshop, updateMeans } from './shop.sql.ts';
import { listTemplates } from '../templates/templates.sql.ts';
import { exportShop } from './exportShop.ts';

export function shopRoutes(deps: Deps): Router {
  const router = Router();
  router.get('/shop', async (_req, res) => {
    const shop = await needShop(deps);
    const body: ShopInfo = { ...shop.workshop, people: shop.people, places: shop.places };
    res.json(body);
  });
  router.patch('/shop/means', async (req, res) => {
    const patch = valid(meansPatch, req.body);
    const { workshopId } = (await needShop(deps)).workshop;
    const change = async (tx: Db): Promise<MeansInfo> => {
      const changed = await updateMeans(tx, workshopId, patch);
      const now = (await findWorkshop(tx))!.means;
      if (!changed) throw new AppError('version-conflict', { stored: now, sent: patch });
      return now;
    };
    res.json(await write(deps, change, { topic: 'entities' }));
  });
  router.get('/export', async (_req, res) => {
    const shop = await needShop(deps);
    res
      .set('Content-Disposition', `attachment; filename="${shop.workshop.workshopId}.json"`)
      .json(exportShop(shop, await listTemplates(deps.db, shop.workshop.workshopId), deps.nowMs()));
  });
  return router;
}
