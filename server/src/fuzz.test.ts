import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { seededRandom, type Random } from '@calvetta/core';
import { schemaValues, spoil } from './test/fuzz.ts';
import { smallShop, startTestApp, type TestApp } from './test/testApp.ts';

/** As many requests as `.ci/run` sends; `FUZZ=20000` sends more. */
/** `.ci/run` sends three thousand (`LONG=1`), `FUZZ=20000` twenty. */
const REQUESTS = Number(process.env['FUZZ'] ?? (process.env['LONG'] === '1' ? 3_000 : 500));
/** Longest any answer may take, ms. The machine that runs the tests is busy: it is given double. */
const LONGEST_MS = 4_000;

let app: TestApp;
beforeAll(async () => {
  app = await startTestApp();
});
afterAll(() => app.close());

interface Operation {
  readonly method: string;
  readonly path: string;
  readonly parameters: readonly { readonly name: string; readonly in: 'path' | 'query' }[];
  readonly body: Record<string, unknown> | null;
}

async function operations(): Promise<Operation[]> {
  const { body: doc } = await app.call('GET', '/api/openapi.json');
  return Object.entries<any>(doc.paths).flatMap(([path, methods]) =>
    Object.entries<any>(methods).map(([method, op]) => ({
      method: method.toUpperCase(),
      path,
      parameters: op.parameters ?? [],
      body: op.requestBody?.content?.['application/json']?.schema ?? null,
    })),
  );
}

/** Ids that stand in the shop, so that a request comes past the first look-up, among ones that do not. */
const idsOf = (): readonly string[] => {
  const shop = smallShop();
  return [
    ...shop.machines.flatMap((m) => [
      m.machineId,
      ...m.assemblies.flatMap((a) => a.parts.map((p) => p.partId)),
    ]),
    ...shop.places.map((p) => p.placeId),
    ...shop.people.map((p) => p.personId),
    ...shop.sheets.slice(0, 4).map((s) => s.sheetId),
    ...shop.probes.map((p) => p.probeId),
  ];
};

const ODD = [
  '',
  '%00',
  '..%2f..%2fetc',
  '%E0%A4%A',
  "';drop table fact;--",
  '9'.repeat(300),
  '__proto__',
  '%F0%9F%94%A5',
];

function addressOf(op: Operation, random: Random, ids: readonly string[]): string {
  const some = (): string =>
    random() < 0.75
      ? encodeURIComponent(ids[Math.floor(random() * ids.length)]!)
      : ODD[Math.floor(random() * ODD.length)]!;
  const path = op.path.replace(/\{\w+\}/g, some);
  const query = op.parameters
    .filter((p) => p.in === 'query' && random() < 0.6)
    .map(
      (p) =>
        `${p.name}=${random() < 0.5 ? some() : ['-1', '1e9', '2026-02-30', '1900-01-01T00:00:00Z', 'NaN'][Math.floor(random() * 5)]!}`,
    );
  return `${path}${query.length > 0 ? `?${query.join('&')}` : ''}`;
}

/** Whatever comes back, JSON or a table; a line that breaks is 599. */
async function ask(method: string, path: string, body: unknown): Promise<{ status: number; body: any }> {
  try {
    const res = await fetch(app.base + path, {
      method,
      headers: { 'Content-Type': 'application/json', 'X-Calvetta': '1' },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
    const text = await res.text();
    const isJson = (res.headers.get('content-type') ?? '').includes('json');
    return { status: res.status, body: isJson && text !== '' ? JSON.parse(text) : text };
  } catch (error) {
    return { status: 599, body: String(error) };
  }
}

describe('whatever comes in', () => {
  it(`${REQUESTS} requests made from the description of the API: a clear answer each, never a fault, never a hang`, async () => {
    const random = seededRandom(20_261_126);
    const ids = idsOf();
    // The line that stays open is tried in app.test.ts.
    const ops = (await operations()).filter((o) => o.path !== '/live' && !o.path.endsWith('/live'));
    expect(ops.length).toBeGreaterThan(30);
    const wrong: string[] = [];
    const seen = new Map<number, number>();
    for (let i = 0; i < REQUESTS; i++) {
      // Three quarters of them write: reads are tried by all that is read below.
      const writing = ops.filter((o) => o.body !== null);
      const from = random() < 0.75 ? writing : ops;
      const op = from[Math.floor(random() * from.length)]!;
      const clean = op.body === null ? undefined : schemaValues(op.body, random, ids);
      const body = clean === undefined ? undefined : random() < 0.5 ? clean : spoil(clean, random);
      const address = addressOf(op, random, ids);
      const started = performance.now();
      const r = await ask(op.method, `/api${address.replace(/^\/api/, '')}`, body);
      const tookMs = performance.now() - started;
      seen.set(r.status, (seen.get(r.status) ?? 0) + 1);
      const isFault = r.status >= 500 || (r.status >= 400 && typeof r.body?.code !== 'string');
      if (isFault || tookMs > LONGEST_MS)
        wrong.push(
          `${op.method} ${address} ${r.status} ${tookMs.toFixed(0)} ms ${JSON.stringify(body ?? null).slice(0, 300)}`,
        );
      if (wrong.length > 5) break;
    }
    expect(wrong).toEqual([]);
    // It came past the door often enough to mean something.
    const stored = (seen.get(200) ?? 0) + (seen.get(201) ?? 0) + (seen.get(204) ?? 0);
    expect(stored).toBeGreaterThan(REQUESTS / 50);
  }, 600_000);

  it('and nothing was stored that a second read does not take: every view answers, and the whole shop goes out and in again', async () => {
    const { body: machines } = await app.call('GET', '/api/machines');
    const partIds: string[] = machines.machines.flatMap((m: any) =>
      m.assemblies.flatMap((a: any) => a.parts.map((p: any) => p.partId)),
    );
    const views = [
      ...['/bench', '/shop', '/sheets', '/shelf', '/shopping', '/shopping.csv', '/templates', '/source'].map(
        (v) => `/api${v}`,
      ),
      ...smallShop().places.map((p) => `/api/places/${p.placeId}/air`),
      ...partIds.slice(0, 60).map((id) => `/api/parts/${encodeURIComponent(id)}`),
    ];
    for (const view of views) {
      const res = await fetch(app.base + view);
      await res.arrayBuffer();
      expect([view, res.status]).toEqual([view, 200]);
    }
    const { body: whole } = await app.call('GET', '/api/export');
    const other = await startTestApp({ shop: null });
    const r = await other.post('/api/import/shop', whole);
    expect([r.status, r.body.details?.problems?.slice(0, 3)]).toEqual([201, undefined]);
    await other.close();
  }, 120_000);
});
