import { Router } from 'express';
import { partDetail } from '@calvetta/core';
import { newParts } from '@calvetta/contract/schemas';
import type { Deps } from '../deps.ts';
import { AppError } from '../http/errors.ts';
import { valid } from '../http/validate.ts';
import { write } from '../write.ts';
import { needShop, needSnapshot } from '../shop/needShop.ts';
import type { Db } from '../db/db.ts';
import { checkPoints } from '../things/things.sql.ts';
import { THINGS } from '../things/things.ts';
import { insertParts } from './parts.sql.ts';

export function partsRoutes(deps: Deps): Router {
  const router = Router();
  router.get('/parts/:partId', async (req, res) => {
    const snapshot = await needSnapshot(deps);
    const part = snapshot.parts.get(req.params.partId);
    if (!part) throw new AppError('not-found', { what: 'part', id: req.params.partId });
    // One at rest was derived some minutes ago: its air is said as it is now, or not at all.
    const then = part.atMs < snapshot.nowMs ? await deps.model.partsThen() : null;
    const now = then?.partAt(part.row.partId, part.facts, snapshot.nowMs) ?? part;
    res.json(partDetail(snapshot, now));
  });
  /** Many parts at once, as from a pasted list. Sent again it makes none twice. */
  router.post('/machines/:machineId/parts', async (req, res) => {
    const { parts } = valid(newParts, req.body);
    const shop = await needShop(deps);
    const { machineId } = req.params;
    if (!shop.machines.some((m) => m.machineId === machineId))
      throw new AppError('not-found', { what: 'machine', id: machineId });
    const store = async (tx: Db): Promise<number> => {
      const n = await insertParts(tx, shop.workshop.workshopId, machineId, parts);
      // A hand may come in the same list as its other.
      for (const { pairPartId = null } of parts)
        await checkPoints(tx, THINGS.part, shop.workshop.workshopId, { pairPartId });
      return n;
    };
    const made = await write(deps, store, { topic: 'parts', partIds: parts.map((p) => p.partId) });
    res.status(made > 0 ? 201 : 200).json({ made, known: parts.length - made });
  });
  return router;
}
