import { Router, type Request } from 'express';
import { ownAgenda } from '@calvetta/core';
import type { FeedToken } from '@calvetta/contract';
import type { Deps } from '../deps.ts';
import { whoOf } from '../door/who.ts';
import { AppError } from '../http/errors.ts';
import { newToken, sha256 } from '../readings/tokens.ts';
import { needShop, needSnapshot } from '../shop/needShop.ts';
import { endFeed, feedOwner, setFeed } from './feed.sql.ts';
import { newestPlan } from './plan.sql.ts';
import { planCalendar } from './planCalendar.ts';

/** A calendar of one's own: an address that nobody can guess, since a calendar signs in nowhere. */
export function feedRoutes(deps: Deps): Router {
  const router = Router();
  /** A new address for a person, shown this once: the one before is worth nothing any more. */
  const make = async (personId: string): Promise<FeedToken> => {
    const { workshopId } = (await needShop(deps)).workshop;
    const token = newToken();
    if (!(await setFeed(deps.db, { workshopId, personId }, sha256(token), deps.nowMs())))
      throw new AppError('not-found', { what: 'person', id: personId });
    return { path: `/api/feeds/${token}/plan.ics` };
  };
  const end = async (personId: string): Promise<void> => {
    await endFeed(deps.db, (await needShop(deps)).workshop.workshopId, personId);
  };
  router.post('/people/:personId/feed', async (req, res) => {
    res
      .set('Cache-Control', 'no-store')
      .status(201)
      .json(await make(req.params.personId));
  });
  router.delete('/people/:personId/feed', async (req, res) => {
    await end(req.params.personId);
    res.status(204).end();
  });
  /** One's own: whoever signed in is somebody. */
  router.post('/door/mine/feed', async (req, res) => {
    res
      .set('Cache-Control', 'no-store')
      .status(201)
      .json(await make(ownId(req)));
  });
  router.delete('/door/mine/feed', async (req, res) => {
    await end(ownId(req));
    res.status(204).end();
  });
  /** Their sessions of the plan that holds then, with their own part of the work. */
  router.get('/feeds/:token/plan.ics', async (req, res) => {
    const snapshot = await needSnapshot(deps);
    const { workshop, people } = snapshot.shop;
    const personId = await feedOwner(deps.db, workshop.workshopId, sha256(req.params.token));
    const name = people.find((p) => p.personId === personId)?.name;
    if (name === undefined) throw new AppError('not-found', { what: 'plan' });
    const stored = await newestPlan(deps.db, workshop.workshopId);
    const own = stored ? ownAgenda(snapshot, stored, name) : [];
    res
      .type('text/calendar')
      .set('Content-Disposition', 'inline; filename="calvetta-plan.ics"')
      .set('Cache-Control', 'private, no-store')
      .send(planCalendar(workshop, `${workshop.name}: ${name}`, own));
  });
  return router;
}

function ownId(req: Request): string {
  const { personId, role } = whoOf(req);
  if (personId === null) throw new AppError('not-allowed', { role, least: 'self' });
  return personId;
}
