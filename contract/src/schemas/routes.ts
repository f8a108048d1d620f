import Joi from 'joi';
import { accountPatch, inviteInput, ownKeyInput, pinActInput, redeemInput, signInInput } from './door.ts';
import { factsInput } from './facts.ts';
import {
  assemblyPatch,
  gaugePatch,
  machinePatch,
  newAssembly,
  newGauge,
  newMachine,
  newPerson,
  newPlace,
  newProbe,
  newShop,
  partPatch,
  personPatch,
  placePatch,
  probePatch,
  shopPatch,
} from './entities.ts';
import { signOffInput, withdrawInput } from './signOff.ts';
import { forecastHourInput, handReadingInput, readingsInput } from './readings.ts';
import { meansPatch, newParts, surveyTemplate } from './route.ts';
import { planInput } from './plan.ts';
import { productSheet, shopFile } from './shop.ts';
import { cup, newTin, pack, stockFactsInput, tinPatch } from './shelf.ts';

/** One door of the API. */
export interface ApiRoute {
  readonly method: 'get' | 'post' | 'patch' | 'delete';
  /** Below `/api`, with `:name` for what is filled in. */
  readonly path: string;
  /** What it is for, in a line. */
  readonly says: string;
  /** What must be sent, as JSON. */
  readonly body?: Joi.Schema;
  /** A file may be sent in its place. */
  readonly csv?: true;
  /** A form with one picture as `file`. */
  readonly picture?: true;
  readonly query?: readonly string[];
  /** What comes back, where that is not JSON. */
  readonly answers?:
    | 'image/jpeg'
    | 'text/csv'
    | 'text/calendar'
    | 'text/event-stream'
    | 'application/gzip'
    | 'application/pdf';
}

const get = (path: string, says: string, over: Partial<ApiRoute> = {}): ApiRoute => ({
  method: 'get',
  path,
  says,
  ...over,
});
const send = (
  method: 'post' | 'patch',
  path: string,
  says: string,
  body: Joi.Schema,
  over: Partial<ApiRoute> = {},
): ApiRoute => ({ method, path, says, body, ...over });
const drop = (path: string, says: string, over: Partial<ApiRoute> = {}): ApiRoute => ({
  method: 'delete',
  path,
  says,
  ...over,
});
const BY_VERSION = { query: ['version'] };
const GOES = 'deleted where it never had a record, else put away';

/** Every door there is: the description of the API is made from it, and a test holds it against what the server opens. */
export const API_ROUTES: readonly ApiRoute[] = [
  get('/door', 'Whether one signs in here, and who is signed in'),
  send('post', '/door/in', 'Signs in, by name and phrase', signInInput),
  { method: 'post', path: '/door/out', says: 'Signs out' },
  { method: 'post', path: '/door/here', says: 'A hand is at the page: it stays signed in' },
  send('patch', '/door/mine', 'One’s own phrase or pin, by the phrase', ownKeyInput),
  send('post', '/door/acts', 'A pin, for one act on a shop’s tablet', pinActInput),
  get('/door/accounts', 'Who may come in, as what'),
  send('post', '/door/invites', 'Invites a person or a tablet; the token is shown this once', inviteInput),
  send('post', '/door/redeem', 'Takes an invitation up', redeemInput),
  send('patch', '/door/accounts/:personId', 'Lets in, changes or ends an account, by version', accountPatch),
  drop('/door/tablets/:tabletId', 'Ends a tablet'),
  get('/shop', 'The workshop: its people, places, equipment and house practice'),
  send('post', '/shop', 'Begins a shop of one’s own, with the families of products that ship', newShop),
  send('patch', '/shop', 'Name, zone, units, currency, when people come; by version', shopPatch),
  {
    method: 'post',
    path: '/demo',
    says: 'Loads the demo to look round in, where there is no workshop yet; `plan=yes`: planned towards a gala',
    query: ['plan'],
  },
  drop('/demo', 'Removes the demo, whole'),
  send('post', '/people', 'A person', newPerson),
  send('patch', '/people/:personId', 'A person, by version', personPatch),
  drop('/people/:personId', `A person: ${GOES}`, BY_VERSION),
  send('post', '/gauges', 'A film gauge', newGauge),
  send('patch', '/gauges/:gaugeId', 'A film gauge, by version', gaugePatch),
  drop('/gauges/:gaugeId', `A film gauge: ${GOES}`, BY_VERSION),
  send('post', '/places', 'A place', newPlace),
  send('patch', '/places/:placeId', 'A place, by version', placePatch),
  drop('/places/:placeId', `A place: ${GOES}`, BY_VERSION),
  send('post', '/probes', 'A probe', newProbe),
  send('patch', '/probes/:probeId', 'A probe, by version', probePatch),
  drop('/probes/:probeId', `A probe: ${GOES}`, BY_VERSION),
  send('post', '/machines', 'A machine', newMachine),
  send('patch', '/machines/:machineId', 'A machine, by version', machinePatch),
  drop('/machines/:machineId', `A machine: ${GOES}`, BY_VERSION),
  send('post', '/assemblies', 'An assembly of a machine', newAssembly),
  send('patch', '/assemblies/:assemblyId', 'An assembly, by version', assemblyPatch),
  drop('/assemblies/:assemblyId', `An assembly: ${GOES}`, BY_VERSION),
  drop('/parts/:partId', `A part: ${GOES}`, BY_VERSION),
  send('patch', '/shop/means', 'Equipment and house practice, by version', meansPatch),
  get('/sheets', 'All product sheets'),
  get('/sheets/:sheetId', 'One product sheet, as a file'),
  send('post', '/sheets', 'Takes a sheet in', productSheet),
  get('/schemas/sheet.json', 'The format of a product sheet, as JSON Schema'),
  get('/openapi.json', 'This description'),
  get('/export', 'The whole shop as a file that can be imported again'),
  get('/backup', 'Everything as it stands at this instant, to be put back by bin/restore', {
    answers: 'application/gzip',
  }),
  get('/machines/:machineId/dossier.pdf', 'The dossier of a machine, on paper', {
    answers: 'application/pdf',
  }),
  get('/machines/:machineId/dossier.csv', 'The coats of a machine, for a spreadsheet', {
    answers: 'text/csv',
  }),
  get('/machines/:machineId/dossier.json', 'The dossier of a machine, as data'),
  get('/parts/:partId/card.pdf', 'The route of a part on one sheet', { answers: 'application/pdf' }),
  get('/parts/:partId/tag.pdf', 'A label of a part, to be scanned', { answers: 'application/pdf' }),
  get('/machines/:machineId/tags.pdf', 'Labels of all parts of a machine', { answers: 'application/pdf' }),
  get('/parts/:partId/dossier.pdf', 'The dossier of a part, on paper', { answers: 'application/pdf' }),
  get('/parts/:partId/dossier.csv', 'The coats of a part, for a spreadsheet', { answers: 'text/csv' }),
  get('/parts/:partId/dossier.json', 'The dossier of a part, as data'),
  get('/places/:placeId/climate', 'The months of a place’s own outdoor air, for how corrosive it is'),
  get('/aftercare', 'What finished parts are to be looked after by, and when; what comes back on its day'),
  get('/aftercare.ics', 'The same as a calendar', { answers: 'text/calendar' }),
  get('/ledger', 'The record as a river: lanes by machine, and the newest entries that match', {
    query: ['from', 'to', 'machine', 'part', 'person', 'product', 'batch', 'mark', 'words'],
  }),
  get('/ledger/entries/:factId', 'All that is stored of an entry, with its link'),
  get('/ledger/hours', 'Hours against what was reckoned, the shop’s own pace, what is left, and money'),
  get('/ledger/recall', 'Which parts carry a batch, and of which that cannot be excluded', {
    query: ['batch'],
  }),
  get(
    '/ledger/head',
    'The newest link of the chain: write it down to see later whether anything before it was changed',
  ),
  get(
    '/ledger/verify',
    'Works the whole chain out again; with `head`, whether it holds one that you wrote down',
    {
      query: ['head'],
    },
  ),
  get('/live', 'Says what changed, as it changes', { answers: 'text/event-stream' }),
  get('/health', 'Whether the database answers'),
  get('/ping', 'The barest answer there is, to measure others by'),
  get('/bench', 'Parts in motion, what is lost first at the top; with `since` only what has changed', {
    query: ['since'],
  }),
  get('/machines', 'Machines with their assemblies, parts and progress'),
  get('/source', 'All that is derived from, so that it can be derived without the server'),
  get('/parts/:partId', 'A part: windows, route, history, working'),
  send('patch', '/parts/:partId', 'What is known of a part, by version', partPatch),
  send('post', '/machines/:machineId/parts', 'Many parts at once', newParts),
  get('/places/:placeId/air', 'A place’s air, what fits in it, and what stands there', {
    query: ['from', 'to', 'points'],
  }),
  send('post', '/readings', 'A probe’s readings, with its token', readingsInput, { query: ['probe'] }),
  { method: 'post', path: '/probes/:probeId/token', says: 'A new token for a probe, shown this once' },
  send(
    'post',
    '/places/:placeId/readings',
    'A reading by hand',
    handReadingInput.fork('placeId', (s) => s.optional()),
  ),
  send('post', '/facts', 'What happened to parts', factsInput),
  get('/to-sign', 'What a sign-off would cover now, of a part or of a machine part by part', {
    query: ['part', 'machine'],
  }),
  send('post', '/sign-offs', 'An inspector signs for what was shown, by phrase', signOffInput),
  send('post', '/sign-offs/:factId/withdrawal', 'Its signer takes a sign-off back', withdrawInput),
  send('post', '/stock-facts', 'What happened to stock', stockFactsInput),
  get('/shelf', 'Tins, cups, needs and where the paint went'),
  get('/mixes/:mixId/leftover', 'What else a cup can paint'),
  get('/shopping', 'What to buy', { query: ['for'] }),
  get('/shopping.csv', 'What to buy, for a spreadsheet', { query: ['for'], answers: 'text/csv' }),
  get('/simulators/gauge.csv', 'What the simulated film gauge stores', {
    query: ['part', 'n', 'unit'],
    answers: 'text/csv',
  }),
  send('post', '/tins', 'A tin that came in', newTin),
  send('patch', '/tins/:tinId', 'What is printed on a tin, by version', tinPatch),
  send('post', '/packs', 'A pack a product is sold in', pack),
  drop('/packs/:packId', 'A pack no longer sold'),
  send('post', '/cups', 'A cup that was measured', cup),
  drop('/cups/:cupId', 'A cup put away'),
  get('/templates', 'Surveys kept under a name'),
  send('post', '/templates', 'Keeps a survey under a name', surveyTemplate),
  drop('/templates/:templateId', 'Takes a template off the list'),
  { method: 'post', path: '/pictures', says: 'A picture: JPEG, PNG or WebP of 25 MB at most', picture: true },
  get('/pictures/:pictureId', 'A picture, upright, without its position', { answers: 'image/jpeg' }),
  get('/pictures/:pictureId/thumb', 'A picture, small', { answers: 'image/jpeg' }),
  get('/people', 'Who may do what, who is in, what was left to the next, and when gauges were checked'),
  get('/inspect', 'What was found in the shop and is open, and what is being levelled'),
  get(
    '/learned',
    'How each product has held here, by metal and preparation; what went wrong with it, and why',
  ),
  get('/parts/:partId/inspect', 'What was found on a part, with all that its causes are weighed from'),
  get('/plan', 'The plan that holds: what was asked, and what came of it'),
  send('post', '/plan', 'Keeps a plan in place of the one before, by its version', planInput),
  get('/plan.ics', 'The sessions of the plan that holds, for a calendar', { answers: 'text/calendar' }),
  get('/plan/to-buy', 'What the plan that holds takes and the shelf does not have by then'),
  get('/feeds/:token/plan.ics', 'A person’s own sessions and work of it, at an address of their own', {
    answers: 'text/calendar',
  }),
  {
    method: 'post',
    path: '/people/:personId/feed',
    says: 'A new address for a person’s calendar, shown this once',
  },
  drop('/people/:personId/feed', 'Ends the address of a person’s calendar'),
  { method: 'post', path: '/door/mine/feed', says: 'The same for one’s own calendar' },
  drop('/door/mine/feed', 'Ends the address of one’s own calendar'),
  get('/import/jobs/:jobId', 'How an import stands'),
  send('post', '/import/readings', 'Readings of a place, as a file or as JSON', readingsInput, {
    query: ['place', 'probe'],
    csv: true,
  }),
  {
    method: 'post',
    path: '/import/forecast',
    says: 'The outdoor forecast, hourly',
    body: Joi.array().items(forecastHourInput),
    csv: true,
  },
  send('post', '/import/shop', 'A whole shop, into an empty database', shopFile, { query: ['shift'] }),
];
