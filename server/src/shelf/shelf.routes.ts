import { Router, type Request } from 'express';
import Joi from 'joi';
import { leftoverFor, mixById, shelfResponse, shopping, type Snapshot } from '@calvetta/core';
import { newTin, stockFactsInput, tinPatch } from '@calvetta/contract/schemas';
import type { Deps } from '../deps.ts';
import { AppError } from '../http/errors.ts';
import { whoOf } from '../door/who.ts';
import { valid } from '../http/validate.ts';
import { needShop, needSnapshot } from '../shop/needShop.ts';
import { changeStock } from './changeStock.ts';
import { gaugeCsv } from './gauge.ts';
import { findTin, patchTin } from './shelf.sql.ts';
import { shoppingCsv } from './shoppingCsv.ts';
import { receiveTin, recordStock } from './stock.service.ts';

const gaugeQuery = Joi.object<{ part: string; n: number; unit: 'um' | 'mil' | 'none' }, true>({
  part: Joi.string().max(64).required(),
  n: Joi.number().integer().min(1).max(200).default(10),
  unit: Joi.string().valid('um', 'mil', 'none').default('um'),
});

export function shelfRoutes(deps: Deps): Router {
  const router = Router();
  /** What to buy for: every route, the work in hand, or a machine. */
  const asked = async (req: Request): Promise<[Snapshot, string]> => {
    const snapshot = await needSnapshot(deps);
    const scope = scopeOf(req.query['for']);
    if (!['all', 'in-hand', ...snapshot.shop.machines.map((m) => m.machineId)].includes(scope))
      throw new AppError('not-found', { what: 'machine', id: scope });
    return [snapshot, scope];
  };
  router.get('/shelf', async (_req, res) => {
    res.json(shelfResponse(await needSnapshot(deps)));
  });
  router.get('/mixes/:mixId/leftover', async (req, res) => {
    const snapshot = await needSnapshot(deps);
    const mix = mixById(snapshot, req.params.mixId);
    if (!mix) throw new AppError('not-found', { what: 'mix', id: req.params.mixId });
    res.json(leftoverFor(snapshot, mix));
  });
  router.get('/shopping', async (req, res) => {
    res.json(shopping(...(await asked(req))));
  });
  router.get('/shopping.csv', async (req, res) => {
    const [snapshot, scope] = await asked(req);
    const list = shopping(snapshot, scope);
    res
      .type('text/csv')
      .set('Content-Disposition', `attachment; filename="shopping-${list.scope}.csv"`)
      .send(shoppingCsv(list, snapshot.shop.packs));
  });
  router.get('/simulators/gauge.csv', async (req, res) => {
    const q = valid(gaugeQuery, req.query, true);
    const snapshot = await needSnapshot(deps);
    const part = snapshot.parts.get(q.part);
    if (!part) throw new AppError('not-found', { what: 'part', id: q.part });
    res.type('text/csv').send(gaugeCsv(part, q.n, q.unit));
  });
  router.post('/stock-facts', async (req, res) => {
    const { facts } = valid(stockFactsInput, req.body);
    const { workshopId } = (await needShop(deps)).workshop;
    const { isNew, ...stored } = await recordStock(deps, workshopId, whoOf(req), facts);
    res.status(isNew ? 201 : 200).json(stored);
  });
  router.post('/tins', async (req, res) => {
    const sent = valid(newTin, req.body);
    const { workshopId } = (await needShop(deps)).workshop;
    res.status(201).json(await receiveTin(deps, workshopId, whoOf(req), sent));
  });
  router.patch('/tins/:tinId', async (req, res) => {
    const patch = valid(tinPatch, req.body);
    const { tinId } = req.params;
    const stored = await changeStock(deps, async (tx, workshopId) => {
      const changed = await patchTin(tx, workshopId, tinId, patch);
      const now = await findTin(tx, workshopId, tinId);
      if (!now) throw new AppError('not-found', { what: 'tin', id: tinId });
      if (!changed) throw new AppError('version-conflict', { stored: now, sent: patch });
      return now;
    });
    res.json(stored);
  });
  return router;
}

const scopeOf = (value: unknown): string => (typeof value === 'string' && value !== '' ? value : 'all');
