import { isDeepStrictEqual } from 'node:util';
import { Router } from 'express';
import { fitCurve, newestSheet, withActivation, type ProductSheet } from '@calvetta/core';
import type { SheetsResponse } from '@calvetta/contract';
import { productSheet, SHEET_JSON_SCHEMA } from '@calvetta/contract/schemas';
import type { Deps } from '../deps.ts';
import { AppError, invalidInput } from '../http/errors.ts';
import { valid } from '../http/validate.ts';
import { write } from '../write.ts';
import { needShop } from './needShop.ts';
import { insertSheet } from './shop.sql.ts';

export function sheetsRoutes(deps: Deps): Router {
  const router = Router();
  router.get('/sheets', async (_req, res) => {
    const shop = await needShop(deps);
    res.json({ sheets: [...shop.sheets.values()] } satisfies SheetsResponse);
  });
  router.get('/schemas/sheet.json', (_req, res) => {
    res.json(SHEET_JSON_SCHEMA);
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
  return router;
}
