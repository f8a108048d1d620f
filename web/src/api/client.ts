import {
  SEQ_HEADER,
  withTick,
  type BenchHeld,
  type BenchTick,
  type ChainVerdict,
  type EntryWhole,
  type ErrorBody,
  type ImportJob,
  type LeftoverResponse,
  type MachinesResponse,
  type PartDetail,
  type PlaceAirResponse,
  type PlaceClimate,
  type PlanResponse,
  type SheetsResponse,
  type ShelfResponse,
  type FeedToken,
  type PlanBuyResponse,
  type ShoppingResponse,
  type ShopInfo,
  type TemplatesResponse,
} from '@calvetta/contract';
import type {
  CareView,
  HoursView,
  InspectList,
  InspectView,
  Learned,
  Lesson,
  UsualSize,
  Pace,
  PeopleView,
  RecallView,
  RiverView,
  SnapshotSource,
  JobShape,
} from '@calvetta/core';
import type { Write } from '../record/write.ts';
import { takePin, usePin } from '../state/pin.ts';
import { useWorkingOut } from '../state/workingOut.ts';

/** The server said no, with the one error body. */
export class Refused extends Error {
  readonly status: number;
  readonly body: ErrorBody;
  constructor(status: number, body: ErrorBody) {
    super(body.code);
    this.status = status;
    this.body = body;
  }
}
/** Nobody answered, or the one who did could not: worth sending again. */
export class Away extends Error {}

/** The door is shut: nobody is signed in here any more. What was to be written waits until somebody is. */
export class SignedOut extends Away {}
const onShut = new Set<() => void>();
/** Called whenever the door turns out to be shut. Returns how to stop listening. */
export function whenShut(listener: () => void): () => void {
  onShut.add(listener);
  return () => onShut.delete(listener);
}

/** A large shop is being worked out after a start: asked again soon. */
export class WorkingOut extends Away {}

/** The server is there and cannot do it now. */
const isBusy = (status: number, body: unknown): boolean =>
  status >= 502 || (isErrorBody(body) && (body.code === 'database-away' || body.code === 'rate-limited'));

/** The last ledger entry that this page knows is stored: what it reads afterwards is no older, whichever process answers. */
let knownSeq = 0;
function learnSeq(answer: unknown): void {
  if (typeof answer === 'object' && answer !== null && 'seq' in answer && typeof answer.seq === 'number')
    knownSeq = Math.max(knownSeq, answer.seq);
}

/** What was asked and is being worked out. */
const comes = new Set<string>();

interface Request extends RequestInit {
  readonly headers?: Readonly<Record<string, string>>;
}
export async function call<T>(path: string, init: Request = {}): Promise<T> {
  const headers = { ...init.headers, ...(knownSeq === 0 ? {} : { [SEQ_HEADER]: String(knownSeq) }) };
  const res = await fetch(`/api${path}`, { ...init, headers }).catch(() => null);
  if (!res) throw new Away('no answer');
  if (res.status === 204) return undefined as T;
  const body: unknown = await res.json().catch(() => null);
  if (res.ok) {
    if (comes.delete(path)) useWorkingOut.getState().set(null);
    learnSeq(body);
    return body as T;
  }
  if (isErrorBody(body) && body.code === 'sign-in') {
    for (const listener of onShut) listener();
    throw new SignedOut('signed out');
  }
  if (isErrorBody(body) && body.code === 'working-out') {
    comes.add(path);
    useWorkingOut.getState().set(body.details);
    throw new WorkingOut('working out');
  }
  if (isBusy(res.status, body) || !isErrorBody(body)) throw new Away(`status ${res.status}`);
  throw new Refused(res.status, body);
}

function isErrorBody(body: unknown): body is ErrorBody {
  return typeof body === 'object' && body !== null && 'code' in body && 'remedy' in body;
}

const LONGEST_MS = 20_000;
/** A picture over a shed’s wireless takes its time. */
const LONGEST_FILE_MS = 180_000;
/** What only our own pages can send with a write (the server's `http/frontDoor.ts`). */
export const WRITES = { 'X-Calvetta': '1' };

/** The one door through which anything is sent to be stored: see record/. */
export const send = async (write: Write): Promise<unknown> => {
  const body = write.body === null ? null : JSON.stringify(write.body);
  return call(write.path, {
    method: write.method,
    // A line that stalls is nobody's answer; sent again, it is stored once.
    ...(typeof AbortSignal.timeout === 'function'
      ? { signal: AbortSignal.timeout(write.file ? LONGEST_FILE_MS : LONGEST_MS) }
      : {}),
    headers: {
      ...WRITES,
      ...(body === null ? {} : { 'Content-Type': 'application/json', ...(await signedByPin(body)) }),
    },
    ...(body === null ? {} : { body }),
    ...(write.file ? { body: formOf(write.file) } : {}),
  });
};

/** On a tablet of the shop: a pin that was given for the next entry is used for it, bound to what it says. */
async function signedByPin(body: string): Promise<Readonly<Record<string, string>>> {
  if (!usePin.getState().held) return {};
  // Few pages ever need it. Where it does not come the entry waits, and the pin was not used up.
  const { sha256Hex } = await import('./sha256.ts').catch(() => {
    throw new Away('no answer');
  });
  const held = takePin();
  if (!held) return {};
  const bodySha256 = sha256Hex(new TextEncoder().encode(body));
  await call('/door/acts', {
    method: 'POST',
    headers: { ...WRITES, 'Content-Type': 'application/json' },
    body: JSON.stringify({ ...held, bodySha256 }),
  });
  return { 'X-Calvetta-Act': '1' };
}

/** The browser writes the form’s own type, with what parts it. */
function formOf(file: Blob): FormData {
  const form = new FormData();
  form.set('file', file);
  return form;
}
export const pictureUrl = (pictureId: string): string => `/api/pictures/${encodeURIComponent(pictureId)}`;

/** A new token for a probe. It is shown once and never kept here, so it does not go the way of other writes. */
export const mintToken = (probeId: string): Promise<{ readonly token: string }> =>
  post(`/probes/${encodeURIComponent(probeId)}/token`, '{}');
/** The same of an address for a person's own calendar. */
const feedOf = (personId: string, isOwn: boolean): string =>
  isOwn ? '/door/mine/feed' : `/people/${encodeURIComponent(personId)}/feed`;
export const makeFeed = (personId: string, isOwn: boolean): Promise<FeedToken> =>
  post(feedOf(personId, isOwn), '{}');
export const endFeed = (personId: string, isOwn: boolean): Promise<unknown> =>
  call(feedOf(personId, isOwn), { method: 'DELETE', headers: WRITES });
const post = <T>(path: string, json: string): Promise<T> =>
  call(path, { method: 'POST', headers: { ...WRITES, 'Content-Type': 'application/json' }, body: json });

export const getPlanBuy = (): Promise<PlanBuyResponse> => call('/plan/to-buy');
export const getShop = (): Promise<ShopInfo> => call('/shop');
export const getBench = async (held: BenchHeld | undefined): Promise<BenchHeld> =>
  withTick(held, await call<BenchTick>(`/bench?since=${encodeURIComponent(held?.version ?? '')}`));
export const getMachines = (): Promise<MachinesResponse> => call('/machines');
export const getPart = (partId: string): Promise<PartDetail> => call(`/parts/${encodeURIComponent(partId)}`);
export const getInspect = (partId: string): Promise<InspectView> =>
  call(`/parts/${encodeURIComponent(partId)}/inspect`);
export const getLearned = (): Promise<{
  readonly learned: readonly Learned[];
  readonly lessons: readonly Lesson[];
  readonly pace: Readonly<Record<JobShape, Pace>>;
  readonly sizes: readonly UsualSize[];
}> => call('/learned');
export const getInspectList = (): Promise<InspectList> => call('/inspect');
export const getRiver = (query: string): Promise<RiverView> => call(`/ledger?${query}`);
export const getRecall = (batch: string): Promise<RecallView> =>
  call(`/ledger/recall?batch=${encodeURIComponent(batch)}`);
export const getCare = (): Promise<CareView> => call('/aftercare');
export const getEntry = (factId: string): Promise<EntryWhole> => call(`/ledger/entries/${factId}`);
export const getHours = (): Promise<HoursView> => call('/ledger/hours');
/** The chain worked out again; with an end that somebody wrote down, whether it is in it. */
export const verifyLedger = (head: string): Promise<ChainVerdict> =>
  call(`/ledger/verify${head === '' ? '' : `?head=${encodeURIComponent(head)}`}`);
export const getPlaceAir = (placeId: string): Promise<PlaceAirResponse> =>
  call(`/places/${encodeURIComponent(placeId)}/air?points=500`);
export const getClimate = (placeId: string): Promise<PlaceClimate> =>
  call(`/places/${encodeURIComponent(placeId)}/climate`);
export const getSheets = (): Promise<SheetsResponse> => call('/sheets');
export const getPlan = (): Promise<PlanResponse> => call('/plan');
/** All that is derived from: what a plan is made of beside the page. */
export const getSource = (): Promise<SnapshotSource> => call('/source');
export const getTemplates = (): Promise<TemplatesResponse> => call('/templates');
export const getJob = (jobId: string): Promise<ImportJob> => call(`/import/jobs/${jobId}`);
export const getPeopleView = (): Promise<PeopleView> => call('/people');
export const getShelf = (): Promise<ShelfResponse> => call('/shelf');
export const getLeftover = (mixId: string): Promise<LeftoverResponse> =>
  call(`/mixes/${encodeURIComponent(mixId)}/leftover`);
export const getShopping = (scope: string): Promise<ShoppingResponse> =>
  call(`/shopping?for=${encodeURIComponent(scope)}`);
/** The demo, loaded where there is no workshop, and removed again. */
export const loadDemo = (): Promise<unknown> => post('/demo?plan=yes', '{}');
export const removeDemo = (): Promise<unknown> => call('/demo', { method: 'DELETE', headers: WRITES });
/** A whole shop, as it was exported. */
export const importShop = (json: string): Promise<{ readonly parts: number; readonly facts: number }> =>
  post('/import/shop', json);
/** What the simulated film gauge stores on a part, as the CSV it gives. */
export const getGaugeCsv = async (
  partId: string,
  n: number,
  unit: 'um' | 'mil' | 'none',
): Promise<string> => {
  const res = await fetch(`/api/simulators/gauge.csv?part=${encodeURIComponent(partId)}&n=${n}&unit=${unit}`);
  if (!res.ok) throw new Away(`status ${res.status}`);
  return res.text();
};
export const importFile = (
  kind: 'readings' | 'forecast',
  placeId: string,
  file: File,
): Promise<{ jobId: string }> =>
  call(`/import/${kind}?place=${encodeURIComponent(placeId)}`, {
    method: 'POST',
    headers: { ...WRITES, 'Content-Type': 'text/csv' },
    body: file,
  });
