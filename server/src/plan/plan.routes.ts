import { Router } from 'express';
import { agendaOf, buyListNow } from '@calvetta/core';
import type { PlanBuyResponse, PlanResponse } from '@calvetta/contract';
import { planInput } from '@calvetta/contract/schemas';
import type { Deps } from '../deps.ts';
import { AppError } from '../http/errors.ts';
import { valid } from '../http/validate.ts';
import { needShop, needSnapshot } from '../shop/needShop.ts';
import { write } from '../write.ts';
import { insertPlan, newestPlan, planById } from './plan.sql.ts';
import { planCalendar } from './planCalendar.ts';

/** Plans are made in the page; here they are kept, one after the other, and given out as a calendar. */
export function planRoutes(deps: Deps): Router {
  const router = Router();
  router.get('/plan', async (_req, res) => {
    const { workshopId } = (await needShop(deps)).workshop;
    res.json({ plan: await newestPlan(deps.db, workshopId) } satisfies PlanResponse);
  });
  router.post('/plan', async (req, res) => {
    const sent = valid(planInput, req.body);
    const { people, workshop } = await needShop(deps);
    if (!people.some((p) => p.personId === sent.personId))
      throw new AppError('unknown-reference', { fields: ['personId'] });
    const isNew = await write(
      deps,
      (tx) => insertPlan(tx, workshop.workshopId, sent, deps.nowMs()),
      (done) => (done ? { topic: 'plan' } : null),
    );
    const stored = await planById(deps.db, workshop.workshopId, sent.planId);
    if (!stored)
      throw new AppError('version-conflict', {
        stored: await newestPlan(deps.db, workshop.workshopId),
        sent: { version: sent.version },
      });
    res.status(isNew ? 201 : 200).json({ plan: stored } satisfies PlanResponse);
  });
  router.get('/plan/to-buy', async (_req, res) => {
    const snapshot = await needSnapshot(deps);
    const stored = await newestPlan(deps.db, snapshot.shop.workshop.workshopId);
    const lines = stored ? buyListNow(snapshot, stored) : [];
    res.json({ nowMs: snapshot.nowMs, lines } satisfies PlanBuyResponse);
  });
  /** One event a session, with its work in order. A calendar that asks again has the plan that holds then. */
  router.get('/plan.ics', async (_req, res) => {
    const snapshot = await needSnapshot(deps);
    const { workshop } = snapshot.shop;
    const stored = await newestPlan(deps.db, workshop.workshopId);
    const sessions = stored ? agendaOf(snapshot, stored.plan) : [];
    res
      .type('text/calendar')
      .set('Content-Disposition', 'inline; filename="calvetta-plan.ics"')
      .send(planCalendar(workshop, `${workshop.name}: the plan`, sessions));
  });
  return router;
}
