import { Router } from 'express';
import { CATALOGUE_SHEETS, peopleView, type MeansInfo, type Workshop } from '@calvetta/core';
import type { ShopInfo } from '@calvetta/contract';
import type { Deps } from '../deps.ts';
import { AppError } from '../http/errors.ts';
import { meansPatch, newShop, shopPatch } from '@calvetta/contract/schemas';
import { insertProducts, needNoShop } from '../imports/importShop.ts';
import { valid } from '../http/validate.ts';
import type { Db } from '../db/db.ts';
import { write } from '../write.ts';
import { evidenceOf } from '../ledger/ledger.sql.ts';
import { needShop, needSnapshot } from './needShop.ts';
import { loadDemo } from './demo.ts';
import { demoPlanner } from './demoPlan.ts';
import { findWorkshop, insertWorkshop, updateMeans, updateShop } from './shop.sql.ts';
import { listTemplates } from '../templates/templates.sql.ts';
import { exportShop } from './exportShop.ts';

export function shopRoutes(deps: Deps): Router {
  const router = Router();
  const planner = demoPlanner(deps);
  router.get('/shop', async (_req, res) => {
    const shop = await needShop(deps);
    const { people, places, probes, gauges, attendance } = shop;
    const body: ShopInfo = { ...shop.workshop, people, places, probes, gauges, attendance };
    res.json(body);
  });
  /** Who may do what, who is in, what was left to the next, and what can be measured with. */
  router.get('/people', async (_req, res) => {
    res.json(peopleView(await needSnapshot(deps)));
  });
  /** A shop of one's own, with the families of products that ship. */
  router.post('/shop', async (req, res) => {
    const sent = valid(newShop, req.body);
    const store = async (tx: Db): Promise<boolean> => {
      const there = await findWorkshop(tx);
      if (there?.workshopId === sent.workshopId) return false;
      await needNoShop(tx, sent.workshopId);
      await insertWorkshop(tx, sent);
      await insertProducts(tx, sent.workshopId, CATALOGUE_SHEETS);
      return true;
    };
    const isNew = await write(deps, store, { topic: 'entities' });
    res.status(isNew ? 201 : 200).json(sent);
  });
  router.patch('/shop', async (req, res) => {
    const patch = valid(shopPatch, req.body);
    const { workshopId } = (await needShop(deps)).workshop;
    const change = async (tx: Db): Promise<Workshop> => {
      const changed = await updateShop(tx, workshopId, patch);
      const stored = (await findWorkshop(tx))!;
      if (!changed) throw new AppError('version-conflict', { stored, sent: patch });
      return stored;
    };
    res.json(await write(deps, change, { topic: 'entities' }));
  });
  router.post('/demo', async (req, res) => {
    const loaded = await loadDemo(deps);
    if (req.query['plan'] === 'yes') await planner.begin();
    res.status(201).json(loaded);
  });
  router.delete('/demo', async (_req, res) => {
    const { workshopId, isDemo } = (await needShop(deps)).workshop;
    if (!isDemo) throw new AppError('not-found', { what: 'demo' });
    await planner.stop();
    await write(deps, (tx) => tx.query('select remove_demo($1)', [workshopId]), { topic: 'entities' });
    await deps.heads.forget(workshopId);
    res.status(204).end();
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
    const { workshopId } = shop.workshop;
    const templates = await listTemplates(deps.db, workshopId);
    const evidence = await evidenceOf(deps.db, workshopId);
    res
      .set('Content-Disposition', `attachment; filename="${workshopId}.json"`)
      .json(exportShop(shop, templates, evidence, deps.nowMs()));
  });
  return router;
}
