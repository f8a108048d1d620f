import { Router } from 'express';
import { openApi } from '@calvetta/contract/schemas';
import type { Deps } from '../deps.ts';
import { sidHash } from '../door/sessionStore.ts';
import { maybeWho, whoOf } from '../door/who.ts';
import { AppError } from '../http/errors.ts';

/** What is asked of the program rather than of the shop: is it well, what can it do, what has changed. */
export function serviceRoutes(deps: Deps): Router {
  const router = Router();
  router.get('/openapi.json', (_req, res) => {
    res.json(openApi());
  });
  router.get('/live', (req, res) => deps.live.attach(res, whoOf(req).isOpen ? null : sidHash(req.sessionID)));
  /** Says what is wrong, in words a person can act on. */
  router.get('/health', async (req, res) => {
    const startedMs = deps.nowMs();
    try {
      await deps.db.query('select 1');
      const { rows } = await deps.db.query<{ name: string }>('select name from workshop limit 1');
      res.json({
        ok: true,
        database: 'answers',
        databaseMs: deps.nowMs() - startedMs,
        // Strangers learn that it is well, and not whose it is.
        workshop: maybeWho(req) === null ? null : (rows[0]?.name ?? null),
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
