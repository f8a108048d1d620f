import { isDeepStrictEqual } from 'node:util';
import { Router } from 'express';
import { fitCurve, newestSheet, withActivation, type MeansInfo, type ProductSheet } from '@calvetta/core';
import type { SheetsResponse, ShopInfo } from '@calvetta/contract';
import type { Deps } from '../deps.ts';
import { AppError, invalidInput } from '../http/errors.ts';
import { meansPatch, openApi, productSheet, SHEET_JSON_SCHEMA } from '@calvetta/contract/schemas';
import { valid } from '../http/validate.ts';
import type { Db } from '../db/db.ts';
import { write } from '../write.ts';
import { needShop } from './needShop.ts';
import { findWorkshop, insertSheet, updateMeans } from './shop.sql.ts';
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
  router.get('/sheets', async (_req, res) => {
    const shop = await needShop(deps);
    res.json({ sheets: [...shop.sheets.values()] } satisfies SheetsResponse);
  });
  router.get('/schemas/sheet.json', (_req, res) => {
    res.json(SHEET_JSON_SCHEMA);
  });
  router.get('/openapi.json', (_req, res) => {
    res.json(openApi());
  });
  router.get('/sheets/:sheetId', async (req, res) => {
    const sheet = (await needShop(deps)).sheets.get(req.params.sheetId);
    if (!sheet) throw new AppError('not-found', { what: 'sheet', id: req.params.sheetId });
    res.set('Content-Disposition', `attachment; filename="${sheet.sheetId}.json"`).json(sheet);
  });
  /** Takes a sheet in, as its maker's or the shop's own. Sheets never change: another content needs a new revision. */
  router.post('/sheets', async (req, res) => {
    const sheet = valid(productSheet, req.body) as ProductSheet;
    const shop = await needShop(deps);
    const known = shop.sheets.get(sheet.sheetId);
    if (known) {
      if (!isDeepStrictEqual(known, sheet))
        throw new AppError('version-conflict', { stored: known, sent: sheet });
      res.json(known);
      return;
    }
    const newest = newestSheet(shop.sheets.values(), sheet.productId)?.revision ?? 0;
    if (sheet.revision <= newest)
      throw invalidInput([
        { field: 'revision', code: 'too-low', got: sheet.revision, accepts: `above ${newest}` },
      ]);
    for (const times of Object.entries(sheet.stages)) {
      const fitted = fitCurve(withActivation(times[1], sheet.binder));
      if (!fitted.ok)
        throw invalidInput([
          {
            field: `stages.${times[0]}`,
            code: fitted.error.code,
            got: times[1],
            accepts: 'times that get shorter as it gets warmer',
          },
        ]);
    }
    await write(deps, (tx) => insertSheet(tx, shop.workshop.workshopId, sheet), { topic: 'entities' });
    res.status(201).json(sheet);
  });
  router.get('/export', async (_req, res) => {
    const shop = await needShop(deps);
    res
      .set('Content-Disposition', `attachment; filename="${shop.workshop.workshopId}.json"`)
      .json(exportShop(shop, await listTemplates(deps.db, shop.workshop.workshopId), deps.nowMs()));
  });
  router.get('/live', (_req, res) => deps.live.attach(res));
  /** Says what is wrong, in words a person can act on. */
  router.get('/health', async (_req, res) => {
    const startedMs = deps.nowMs();
    try {
      await deps.db.query('select 1');
      const shop = await deps.model.shop();
      res.json({
        ok: true,
        database: 'answers',
        databaseMs: deps.nowMs() - startedMs,
        workshop: shop?.workshop.name ?? null,
      });
    } catch {
      throw new AppError('database-away', {});
    }
  });
  /** The bare route that the bench of speed compares with. */
  router.get('/ping', async (_req, res) => {
    const { rows } = await deps.db.query<{ one: number }>('select 1 as one');
    res.json(rows[0]);
  });
  return router;
}
