import { Router } from 'express';
import ical, { ICalEventTransparency } from 'ical-generator';
import { careView, type CareView } from '@calvetta/core';
import { CARE_WORDS } from '@calvetta/contract/words';
import type { Deps } from '../deps.ts';
import { needSnapshot } from '../shop/needShop.ts';

/** What finished parts ask for, and when; and the same as a calendar of whole days. */
export function careRoutes(deps: Deps): Router {
  const router = Router();
  router.get('/aftercare', async (_req, res) => {
    res.json(careView(await needSnapshot(deps)));
  });
  router.get('/aftercare.ics', async (_req, res) => {
    const snapshot = await needSnapshot(deps);
    const { name, workshopId, zone } = snapshot.shop.workshop;
    const calendar = ical({
      name: `${name}: aftercare`,
      prodId: '//Calvetta//Aftercare//EN',
      timezone: zone,
    });
    for (const e of eventsOf(careView(snapshot)))
      calendar.createEvent({
        id: `${e.id}@${workshopId}.calvetta`,
        start: e.start,
        allDay: true,
        // It takes no time that others need.
        transparency: ICalEventTransparency.TRANSPARENT,
        summary: e.summary,
        description: e.description,
      });
    res
      .type('text/calendar')
      .set('Content-Disposition', 'inline; filename="calvetta-aftercare.ics"')
      .send(calendar.toString());
  });
  return router;
}

interface CareEvent {
  readonly id: string;
  readonly start: Date;
  readonly summary: string;
  readonly description: string;
}
const midday = (day: string): Date => new Date(`${day}T12:00:00Z`);
/** One event for a job of care on a part, under an id that stays while the job stays; one for each decision that comes back. */
function eventsOf(view: CareView): CareEvent[] {
  return [
    ...view.lines.map((l) => ({
      id: `care-${l.partId}-${l.job}`,
      start: midday(l.dueDay),
      summary: `${l.partName}: ${CARE_WORDS[l.job].name}`,
      description: `${l.machineName}. ${CARE_WORDS[l.job].how}${CARE_WORDS[l.job].caution ? ` ${CARE_WORDS[l.job].caution}` : ''}`,
    })),
    ...view.reminders.map((r) => ({
      id: `reminder-${r.factId}`,
      start: midday(r.onDay),
      summary: `${r.partName}: ${r.text}`,
      description: r.machineName,
    })),
  ];
}
