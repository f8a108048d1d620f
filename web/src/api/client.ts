import type {
  BenchResponse,
  CupView,
  ErrorBody,
  FactInput,
  ImportJob,
  LeftoverResponse,
  MachinesResponse,
  NewTinInput,
  Pack,
  PartDetail,
  PlaceAirResponse,
  ReadingInput,
  SheetsResponse,
  ShelfResponse,
  ShoppingResponse,
  StockFactInput,
  ShopInfo,
  SurveyTemplate,
  TemplatesResponse,
} from '@calvetta/contract';

/** A refusal of the server, with the one error body. */
export class ApiError extends Error {
  readonly status: number;
  readonly body: ErrorBody;
  constructor(status: number, body: ErrorBody) {
    super(body.code);
    this.status = status;
    this.body = body;
  }
}

const AWAY: ErrorBody = {
  code: 'database-away',
  details: {},
  remedy: 'Calvetta does not answer. What you enter waits here and is sent again by itself.',
};

async function call<T>(path: string, init?: RequestInit): Promise<T> {
  const res = await fetch(`/api${path}`, init).catch(() => null);
  if (!res) throw new ApiError(503, AWAY);
  if (res.status === 204) return undefined as T;
  const body: unknown = await res.json().catch(() => null);
  if (!res.ok) throw new ApiError(res.status, isErrorBody(body) ? body : AWAY);
  return body as T;
}

function isErrorBody(body: unknown): body is ErrorBody {
  return typeof body === 'object' && body !== null && 'code' in body && 'remedy' in body;
}

const json = (method: string, body: unknown): RequestInit => ({
  method,
  headers: { 'Content-Type': 'application/json' },
  body: JSON.stringify(body),
});

export const getShop = (): Promise<ShopInfo> => call('/shop');
export const getBench = (): Promise<BenchResponse> => call('/bench');
export const getMachines = (): Promise<MachinesResponse> => call('/machines');
export const getPart = (partId: string): Promise<PartDetail> => call(`/parts/${encodeURIComponent(partId)}`);
export const getPlaceAir = (placeId: string): Promise<PlaceAirResponse> =>
  call(`/places/${encodeURIComponent(placeId)}/air?points=500`);
export const getSheets = (): Promise<SheetsResponse> => call('/sheets');
export const getTemplates = (): Promise<TemplatesResponse> => call('/templates');
export const keepTemplate = (t: SurveyTemplate): Promise<unknown> => call('/templates', json('POST', t));
export const dropTemplate = (templateId: string): Promise<unknown> =>
  call(`/templates/${encodeURIComponent(templateId)}`, { method: 'DELETE' });
export const getJob = (jobId: string): Promise<ImportJob> => call(`/import/jobs/${jobId}`);
export const sendFacts = (facts: readonly FactInput[]): Promise<unknown> =>
  call('/facts', json('POST', { facts }));
export const sendStock = (facts: readonly StockFactInput[]): Promise<unknown> =>
  call('/stock-facts', json('POST', { facts }));
export const getShelf = (): Promise<ShelfResponse> => call('/shelf');
export const getLeftover = (mixId: string): Promise<LeftoverResponse> =>
  call(`/mixes/${encodeURIComponent(mixId)}/leftover`);
export const getShopping = (scope: string): Promise<ShoppingResponse> =>
  call(`/shopping?for=${encodeURIComponent(scope)}`);
export const sendTin = (tin: NewTinInput): Promise<unknown> => call('/tins', json('POST', tin));
export const patchTin = (tinId: string, patch: object): Promise<unknown> =>
  call(`/tins/${encodeURIComponent(tinId)}`, json('PATCH', patch));
export const sendPack = (pack: Pack): Promise<unknown> => call('/packs', json('POST', pack));
export const dropPack = (packId: string): Promise<unknown> =>
  call(`/packs/${encodeURIComponent(packId)}`, { method: 'DELETE' });
export const sendCup = (cup: CupView): Promise<unknown> => call('/cups', json('POST', cup));
export const dropCup = (cupId: string): Promise<unknown> =>
  call(`/cups/${encodeURIComponent(cupId)}`, { method: 'DELETE' });
/** What the simulated film gauge stores on a part, as the CSV it gives. */
export const getGaugeCsv = async (
  partId: string,
  n: number,
  unit: 'um' | 'mil' | 'none',
): Promise<string> => {
  const res = await fetch(`/api/simulators/gauge.csv?part=${encodeURIComponent(partId)}&n=${n}&unit=${unit}`);
  if (!res.ok) throw new ApiError(res.status, AWAY);
  return res.text();
};
export const sendReading = (placeId: string, reading: ReadingInput): Promise<unknown> =>
  call(`/places/${encodeURIComponent(placeId)}/readings`, json('POST', reading));
export const patchPart = (partId: string, patch: object): Promise<unknown> =>
  call(`/parts/${encodeURIComponent(partId)}`, json('PATCH', patch));
export const sendSheet = (sheet: object): Promise<unknown> => call('/sheets', json('POST', sheet));
export const patchMeans = (patch: object): Promise<unknown> => call('/shop/means', json('PATCH', patch));
export const makeParts = (
  machineId: string,
  parts: readonly object[],
): Promise<{ made: number; known: number }> =>
  call(`/machines/${encodeURIComponent(machineId)}/parts`, json('POST', { parts }));
export const importFile = (
  kind: 'readings' | 'forecast',
  placeId: string,
  file: File,
): Promise<{ jobId: string }> =>
  call(`/import/${kind}?place=${encodeURIComponent(placeId)}`, {
    method: 'POST',
    headers: { 'Content-Type': 'text/csv' },
    body: file,
  });
