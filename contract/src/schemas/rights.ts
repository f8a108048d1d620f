import type { FactKind, StockKind } from '@calvetta/core';
import { ROLES, type Role } from '../door.ts';

/** Who may go through a door at least. `anyone`: before signing in; `probe`: with a probe's own token; `self`: a person, not a tablet; `inspector`: a person who signs off, whatever his role. */
export type Least = Role | 'anyone' | 'probe' | 'self' | 'inspector';

/**
 * Who may do what, door by door: the one table. What does not stand here nobody may. Without an owner of the shop everybody may
 * everything, on its own machine.
 */
export const RIGHTS: Readonly<Record<string, Least>> = {
  // What is asked of the program, not of the shop.
  'get /health': 'anyone',
  'get /ping': 'anyone',
  'get /openapi.json': 'anyone',
  'get /schemas/sheet.json': 'anyone',
  // The door itself.
  'get /door': 'anyone',
  'post /door/in': 'anyone',
  'post /door/redeem': 'anyone',
  'post /door/out': 'viewer',
  'post /door/here': 'viewer',
  'patch /door/mine': 'self',
  'post /door/mine/feed': 'self',
  'delete /door/mine/feed': 'self',
  'post /door/acts': 'viewer',
  'get /door/accounts': 'owner',
  'post /door/invites': 'owner',
  'patch /door/accounts/:personId': 'owner',
  'delete /door/tablets/:tabletId': 'owner',
  // Looking.
  'get /shop': 'viewer',
  'get /people': 'viewer',
  'get /live': 'viewer',
  'get /bench': 'viewer',
  'get /machines': 'viewer',
  'get /source': 'viewer',
  'get /parts/:partId': 'viewer',
  'get /parts/:partId/inspect': 'viewer',
  'get /parts/:partId/card.pdf': 'viewer',
  'get /parts/:partId/tag.pdf': 'viewer',
  'get /machines/:machineId/tags.pdf': 'viewer',
  'get /parts/:partId/dossier.pdf': 'viewer',
  'get /parts/:partId/dossier.csv': 'viewer',
  'get /parts/:partId/dossier.json': 'viewer',
  'get /machines/:machineId/dossier.pdf': 'viewer',
  'get /machines/:machineId/dossier.csv': 'viewer',
  'get /machines/:machineId/dossier.json': 'viewer',
  'get /places/:placeId/air': 'viewer',
  'get /places/:placeId/climate': 'viewer',
  'get /sheets': 'viewer',
  'get /sheets/:sheetId': 'viewer',
  'get /shelf': 'viewer',
  'get /mixes/:mixId/leftover': 'viewer',
  'get /shopping': 'viewer',
  'get /shopping.csv': 'viewer',
  'get /simulators/gauge.csv': 'viewer',
  'get /templates': 'viewer',
  'get /pictures/:pictureId': 'viewer',
  'get /pictures/:pictureId/thumb': 'viewer',
  'get /inspect': 'viewer',
  'get /learned': 'viewer',
  'get /plan': 'viewer',
  'get /plan.ics': 'viewer',
  'get /plan/to-buy': 'viewer',
  // Calendars sign in nowhere: the address itself is the key.
  'get /feeds/:token/plan.ics': 'anyone',
  'get /aftercare': 'viewer',
  'get /aftercare.ics': 'viewer',
  'get /ledger': 'viewer',
  'get /ledger/entries/:factId': 'viewer',
  'get /ledger/recall': 'viewer',
  'get /ledger/head': 'viewer',
  'get /ledger/verify': 'viewer',
  // Hours are people's own matter.
  'get /ledger/hours': 'lead',
  // Signing for it.
  'get /to-sign': 'viewer',
  'post /sign-offs': 'inspector',
  'post /sign-offs/:factId/withdrawal': 'inspector',
  // Logging.
  'post /facts': 'hand',
  'post /stock-facts': 'hand',
  'post /pictures': 'hand',
  'post /tins': 'hand',
  'patch /tins/:tinId': 'hand',
  'post /cups': 'hand',
  'delete /cups/:cupId': 'hand',
  'post /places/:placeId/readings': 'hand',
  'post /templates': 'hand',
  'post /machines/:machineId/parts': 'hand',
  'patch /parts/:partId': 'hand',
  'get /import/jobs/:jobId': 'hand',
  'post /readings': 'probe',
  // Deciding.
  'post /people': 'lead',
  'patch /people/:personId': 'lead',
  'delete /people/:personId': 'lead',
  'post /people/:personId/feed': 'lead',
  'delete /people/:personId/feed': 'lead',
  'post /gauges': 'lead',
  'patch /gauges/:gaugeId': 'lead',
  'delete /gauges/:gaugeId': 'lead',
  'post /places': 'lead',
  'patch /places/:placeId': 'lead',
  'delete /places/:placeId': 'lead',
  'post /probes': 'lead',
  'patch /probes/:probeId': 'lead',
  'delete /probes/:probeId': 'lead',
  'post /probes/:probeId/token': 'lead',
  'post /machines': 'lead',
  'patch /machines/:machineId': 'lead',
  'delete /machines/:machineId': 'lead',
  'post /assemblies': 'lead',
  'patch /assemblies/:assemblyId': 'lead',
  'delete /assemblies/:assemblyId': 'lead',
  'delete /parts/:partId': 'lead',
  'patch /shop/means': 'lead',
  'post /sheets': 'lead',
  'post /packs': 'lead',
  'delete /packs/:packId': 'lead',
  'delete /templates/:templateId': 'lead',
  'post /plan': 'lead',
  'post /import/readings': 'lead',
  'post /import/forecast': 'lead',
  // The shop as a whole.
  'patch /shop': 'owner',
  'post /shop': 'owner',
  'post /demo': 'owner',
  'delete /demo': 'owner',
  'get /export': 'owner',
  'get /backup': 'owner',
  'post /import/shop': 'owner',
};

/** Entries that decide something: what may stay as it is, and what is done against a rule. All others a hand logs. */
export const KIND_RIGHTS: Readonly<Partial<Record<FactKind | StockKind, Role>>> = {
  'gate-accepted': 'lead',
  'repair-chosen': 'lead',
  conceded: 'lead',
  inducted: 'lead',
  'batch-certified': 'lead',
  'level-set': 'lead',
  // By its own door only, where it takes an inspector and his phrase.
  'signed-off': 'viewer',
};

export const leastOfKind = (kind: FactKind | StockKind): Role => KIND_RIGHTS[kind] ?? 'hand';
/** Whether a role is at least another. */
export const isAtLeast = (role: Role, least: Role): boolean => ROLES.indexOf(role) >= ROLES.indexOf(least);
