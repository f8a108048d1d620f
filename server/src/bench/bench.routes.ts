import { Router } from 'express';
import { machinesOf, type Snapshot } from '@calvetta/core';
import type { Deps } from '../deps.ts';
import { AppError } from '../http/errors.ts';
import { needSnapshot } from '../shop/needShop.ts';
import { benchTicks } from './benchTicks.ts';

/** The serialised machines of one snapshot are kept with it: forty tablets asking cost one. */
const serialised = new WeakMap<Snapshot, string>();
function machinesOnce(snapshot: Snapshot): string {
  let text = serialised.get(snapshot);
  if (text === undefined) serialised.set(snapshot, (text = JSON.stringify(machinesOf(snapshot))));
  return text;
}

export function benchRoutes(deps: Deps): Router {
  const router = Router();
  const ticks = benchTicks(deps.newId);
  router.get('/bench', async (req, res) => {
    const snapshot = await needSnapshot(deps);
    const { since } = req.query;
    res.type('json').send(typeof since === 'string' ? ticks.since(snapshot, since) : ticks.whole(snapshot));
  });
  router.get('/machines', async (_req, res) => {
    res.type('json').send(machinesOnce(await needSnapshot(deps)));
  });
  /** What all of it is derived from: whoever has this can derive it without the server. */
  router.get('/source', async (_req, res) => {
    const source = await deps.model.source();
    if (!source) throw new AppError('not-found', { what: 'workshop' });
    res.json(source);
  });
  return router;
}
