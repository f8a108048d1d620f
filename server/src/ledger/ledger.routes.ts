import { Router } from 'express';
import { hoursView, recall, riverOf } from '@calvetta/core';
import { recallQuery, riverQuery } from '@calvetta/contract/schemas';
import type { Deps } from '../deps.ts';
import { AppError, invalidInput } from '../http/errors.ts';
import { valid } from '../http/validate.ts';
import { needShop, needSnapshot } from '../shop/needShop.ts';
import { entryWhole } from './ledger.sql.ts';
import { signedHead } from './keepHeads.ts';
import { verifyChain } from './verify.ts';

/** Half of a hash is enough to name a link: that is what fits on paper. */
const HEAD = /^[0-9a-f]{32}([0-9a-f]{32})?$/i;

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;

export function ledgerRoutes(deps: Deps): Router {
  const router = Router();
  router.get('/ledger', async (req, res) => {
    const { from, to, machine, part, person, product, ...asked } = valid(riverQuery, req.query, true);
    res.json(
      riverOf(await needSnapshot(deps), {
        ...asked,
        ...(from === undefined ? {} : { fromMs: from.getTime() }),
        ...(to === undefined ? {} : { toMs: to.getTime() }),
        ...(machine === undefined ? {} : { machineId: machine }),
        ...(part === undefined ? {} : { partId: part }),
        ...(person === undefined ? {} : { personId: person }),
        ...(product === undefined ? {} : { productId: product }),
      }),
    );
  });
  router.get('/ledger/hours', async (_req, res) => {
    res.json(hoursView(await needSnapshot(deps)));
  });
  router.get('/ledger/recall', async (req, res) => {
    res.json(recall(await needSnapshot(deps), valid(recallQuery, req.query).batch));
  });
  router.get('/ledger/entries/:factId', async (req, res) => {
    const { workshop } = await needShop(deps);
    const { factId } = req.params;
    const whole = UUID.test(factId) ? await entryWhole(deps.db, workshop.workshopId, factId) : null;
    if (!whole) throw new AppError('not-found', { what: 'entry', id: factId });
    res.json(whole);
  });
  router.get('/ledger/head', async (_req, res) => {
    const { workshop } = await needShop(deps);
    res.json(await signedHead(deps, workshop.workshopId));
  });
  router.get('/ledger/verify', async (req, res) => {
    const { workshop } = await needShop(deps);
    const { head } = req.query;
    const known = typeof head === 'string' ? head.replace(/\s/g, '') : null;
    if (known !== null && !HEAD.test(known))
      throw invalidInput([
        { field: 'head', code: 'string.pattern', got: known, accepts: 'a head: 32 or 64 of 0…9 and a…f' },
      ]);
    res.json(await verifyChain(deps.db, workshop.workshopId, known, await deps.heads.kept()));
  });
  return router;
}
