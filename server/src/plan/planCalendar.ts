import ical, { ICalEventTransparency } from 'ical-generator';
import type { AgendaSession } from '@calvetta/core';
import { agendaText, agendaTitle } from '@calvetta/contract/words';

/** A calendar of planned sessions: one event each, with its work in order. */
export function planCalendar(
  shop: { readonly workshopId: string; readonly zone: string },
  name: string,
  sessions: readonly (AgendaSession & { readonly of?: number })[],
): string {
  const { workshopId, zone } = shop;
  const calendar = ical({ name, prodId: '//Calvetta//Plan//EN', timezone: zone });
  for (const s of sessions)
    calendar.createEvent({
      id: `${s.fromMs}.plan@${workshopId}.calvetta`,
      start: new Date(s.fromMs),
      end: new Date(s.toMs),
      summary: agendaTitle(s),
      description: agendaText(s, zone),
      transparency: ICalEventTransparency.OPAQUE,
    });
  return calendar.toString();
}
