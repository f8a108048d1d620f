import { Router } from 'express';
import type { Deps } from '../deps.ts';
import { signedHead } from '../ledger/keepHeads.ts';
import { needShop } from '../shop/needShop.ts';
import { writeBackup } from './writeBackup.ts';

export function backupRoutes(deps: Deps): Router {
  const router = Router();
  /** Everything, as it stood at this instant. A download that breaks off has no end, and is refused when it is put back. */
  router.get('/backup', async (_req, res) => {
    const { workshop } = await needShop(deps);
    await signedHead(deps, workshop.workshopId, true);
    const day = new Date(deps.nowMs()).toISOString().slice(0, 10);
    res.set({
      'Content-Type': 'application/gzip',
      'Content-Disposition': `attachment; filename="${workshop.workshopId}-${day}.ndjson.gz"`,
      'Cache-Control': 'no-store',
    });
    try {
      await writeBackup(deps.db, res, deps.nowMs());
    } catch (error) {
      if (!res.headersSent) throw error;
      deps.log.warn({ err: String(error) }, 'a backup broke off');
      res.destroy();
    }
  });
  return router;
}
