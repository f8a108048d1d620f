import { Router } from 'express';
import { newestSheet, type ProductSheet } from '@calvetta/core';
import type { SheetsResponse } from '@calvetta/contract';
import { productSheet, SHEET_JSON_SCHEMA } from '@calvetta/contract/schemas';
import type { Deps } from '../deps.ts';
import type { Db } from '../db/db.ts';
import { createOnce } from '../http/createOnce.ts';
import { AppError, invalidInput } from '../http/errors.ts';
import { valid } from '../http/validate.ts';
import { write } from '../write.ts';
import { needShop } from './needShop.ts';
import { sheetProblems } from './sheetProblems.ts';
import { findSheet, insertSheet } from './shop.sql.ts';

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
    const newest = newestSheet(shop.sheets.values(), sheet.productId)?.revision ?? 0;
    if (sheet.revision <= newest && !shop.sheets.has(sheet.sheetId))
      throw invalidInput([
        { field: 'revision', code: 'too-low', got: sheet.revision, accepts: `above ${newest}` },
      ]);
    const problems = sheetProblems(sheet);
    if (problems.length > 0) throw invalidInput(problems);
    const { workshopId } = shop.workshop;
    const store = (tx: Db): Promise<boolean | null> =>
      createOnce(
        sheet,
        () => insertSheet(tx, workshopId, sheet),
        () => findSheet(tx, workshopId, sheet.sheetId),
      );
    const isNew = await write(deps, store, (done) => (done ? { topic: 'sheets' } : null));
    if (isNew === null)
      throw invalidInput([
        { field: 'revision', code: 'taken', got: sheet.revision, accepts: 'a revision no other sheet has' },
      ]);
    res.status(isNew ? 201 : 200).json(sheet);
  });
  return router;
}
