import { Router } from 'express';
import { benchOf, machinesOf, type Snapshot } from '@calvetta/core';
import type { Deps } from '../deps.ts';
import { AppError } from '../http/errors.ts';
import { needSnapshot } from '../shop/needShop.ts';

/** The serialised answers of one snapshot are kept with it: forty tablets asking cost one derivation. */
const serialised = new WeakMap<Snapshot, Map<string, string>>();

function jsonOnce(snapshot: Snapshot, key: string, make: () => unknown): string {
  let bySnapshot = serialised.get(snapshot);
  if (!bySnapshot) {
    bySnapshot = new Map<string, string>();
    serialised.set(snapshot, bySnapshot);
  }
  let text = bySnapshot.get(key);
  if (text === undefined) bySnapshot.set(key, (text = JSON.stringify(make())));
  return text;
}

export function benchRoutes(deps: Deps): Router {
  const router = Router();
  router.get('/bench', async (_req, res) => {
    const snapshot = await needSnapshot(deps);
    res.type('json').send(jsonOnce(snapshot, 'bench', () => benchOf(snapshot)));
  });
  router.get('/machines', async (_req, res) => {
    const snapshot = await needSnapshot(deps);
    res.type('json').send(jsonOnce(snapshot, 'machines', () => machinesOf(snapshot)));
  });
  /** What all of it is derived from: whoever has this can derive it without the server. */
  router.get('/source', async (_req, res) => {
    const source = await deps.model.source();
    if (!source) throw new AppError('not-found', { what: 'workshop' });
    res.json(source);
  });
  return router;
}
