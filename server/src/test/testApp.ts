import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { pino } from 'pino';
import type { FactKind } from '@calvetta/core';
import type { FactInput, ShopFile } from '@calvetta/contract';
import { createApp } from '../app.ts';
import type { Deps } from '../deps.ts';
import { createDoor } from '../door/door.ts';
import { readSecrets } from '../door/secrets.ts';
import { createModel } from '../model/model.ts';
import { openDatabase, type Database } from '../db/db.ts';
import { layOut } from '../db/migrate.ts';
import { createHeads } from '../ledger/heads.ts';
import { startLive } from '../live/live.ts';
import { databaseLike, ownerUrlOf, type FreshDatabase } from './databases.ts';

/** For tests only: the real application on a database of its own, with a clock that the test holds. */
export interface TestApp {
  readonly base: string;
  readonly db: Database;
  readonly deps: Deps;
  readonly url: string;
  /** Works on its database as the owner of the tables. */
  asOwner<T>(work: (db: Database) => Promise<T>): Promise<T>;
  readonly clock: { nowMs: number };
  /** What the server is told of its disk. */
  readonly disk: { freeBytes: number | null };
  /** Fetches JSON: status and body. */
  call(method: string, path: string, body?: unknown, headers?: Record<string, string>): Promise<Answer>;
  post(path: string, body: unknown): Promise<Answer>;
  close(): Promise<void>;
}
export interface Answer {
  readonly status: number;
  /** Tests read what they expect of it and fail when it is not there. */
  readonly body: any;
}

/** The moment the demo's scenario file describes. */
export const AS_OF_MS = Date.parse('2026-03-05T18:45:00Z');
export const MIGRATIONS = join(import.meta.dirname, '..', '..', 'migrations');
const SCENARIO = join(import.meta.dirname, '..', '..', '..', 'demo', 'scenario', 'shop.json');

const ROUTED: readonly FactKind[] = ['surveyed', 'route-set'];
/** Three parts of the demo with their sheets and routes, and no other history: a frame, a two-faced cab side, a heavy block. */
export function smallShop(): ShopFile {
  const whole = JSON.parse(readFileSync(SCENARIO, 'utf8')) as ShopFile;
  const keep = ['quarry.main-frame-left', 'quarry.cab-side-left', 'pump.cylinder-block'];
  return {
    ...whole,
    facts: whole.facts.filter((f) => keep.includes(f.partId) && ROUTED.includes(f.kind)),
    tins: [],
    packs: [],
    cups: [],
    stockFacts: [],
    machines: whole.machines
      .map((m) => ({
        ...m,
        assemblies: m.assemblies
          .map((a) => ({
            ...a,
            parts: a.parts.filter((p) => keep.includes(p.partId)).map((p) => ({ ...p, pairPartId: null })),
          }))
          .filter((a) => a.parts.length > 0),
      }))
      .filter((m) => m.assemblies.length > 0),
    probes: whole.probes.filter((p) => p.partId === null),
  };
}

/** A database as an app on it begins: a shop that many tests begin with is read in once and copied. */
function databaseWith(shop: ShopFile | 'demo' | null | undefined): Promise<FreshDatabase> {
  if (shop === undefined) return databaseLike('small', (d) => fillWith(d, '/api/import/shop', smallShop()));
  if (shop === 'demo') return databaseLike('demo', (d) => fillWith(d, '/api/demo', {}));
  return databaseLike('laid_out', (d) => layOut(MIGRATIONS, { server: d.url, owner: d.ownerUrl }));
}
async function fillWith(at: FreshDatabase, path: string, body: unknown): Promise<void> {
  const app = await startTestApp({ url: at.url, ownerUrl: at.ownerUrl, shop: null });
  try {
    await mustPost(app, path, body);
  } finally {
    await app.close();
  }
}
async function mustPost(app: TestApp, path: string, body: unknown): Promise<void> {
  const r = await app.post(path, body);
  if (r.status !== 201) throw new Error(JSON.stringify(r.body));
}

export async function startTestApp(
  options: {
    readonly url?: string;
    /** Where that database is not laid out yet. */
    readonly ownerUrl?: string;
    /** What is in it at the start: the small shop, without a word; null for nothing. */
    readonly shop?: ShopFile | 'demo' | null;
    /** The built page, for browser tests. */
    readonly webFolder?: string;
    /** The clock runs, this far from the wall's: the browser is given the same. Without it the test moves the clock itself. */
    readonly runsAheadMs?: number;
  } = {},
): Promise<TestApp> {
  const own = options.url === undefined ? await databaseWith(options.shop) : null;
  const url = options.url ?? own!.url;
  const clock = { nowMs: AS_OF_MS };
  const disk: { freeBytes: number | null } = { freeBytes: null };
  const { runsAheadMs } = options;
  const nowMs = (): number => (runsAheadMs === undefined ? clock.nowMs : Date.now() + runsAheadMs);
  const db = openDatabase(url);
  const { ownerUrl } = options;
  if (ownerUrl !== undefined) await layOut(MIGRATIONS, { server: url, owner: ownerUrl });
  const log = pino({ level: 'silent' });
  const processId = randomUUID();
  const live = startLive(url, log);
  const model = createModel(db, nowMs);
  live.onMessage((m, from) => {
    if (from !== processId) model.invalidate(m);
  });
  const secrets = readSecrets(null);
  const door = createDoor(db, { secrets, isEncrypted: false, trustProxy: null }, nowMs);
  live.onMessage((m) => {
    if (m.topic === 'door' || m.topic === 'entities') door.forget();
  });
  const deps: Deps = {
    db,
    log,
    live,
    model,
    door,
    heads: createHeads(secrets.headKey, null, nowMs),
    nowMs,
    newId: randomUUID,
    processId,
    publicOrigin: null,
    demoFile: SCENARIO,
    freeBytes: () => Promise.resolve(disk.freeBytes),
  };
  const server: Server = createServer(createApp(deps, options.webFolder ?? null));
  // A test that computes for a while must not find its line closed.
  server.keepAliveTimeout = 60_000;
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const call: TestApp['call'] = async (method, path, body, headers = {}) => {
    const res = await fetch(base + path, {
      method,
      headers: { 'Content-Type': 'application/json', 'X-Calvetta': '1', ...headers },
      ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
    });
    const text = await res.text();
    return { status: res.status, body: text === '' ? null : JSON.parse(text) };
  };
  const app: TestApp = {
    base,
    db,
    deps,
    url,
    async asOwner(work) {
      const asOwner = openDatabase(own?.ownerUrl ?? ownerUrl ?? ownerUrlOf(url));
      try {
        return await work(asOwner);
      } finally {
        await asOwner.close();
      }
    },
    clock,
    disk,
    call,
    post: (path, body) => call('POST', path, body),
    async close() {
      await live.stop();
      server.closeAllConnections();
      await new Promise((done) => server.close(done));
      await db.close();
      await own?.drop();
    },
  };
  // A copy has its shop already; what comes into a database that was brought along, or a shop of one's own, is read in.
  const shop = options.shop === undefined && own === null ? smallShop() : options.shop;
  if (shop && shop !== 'demo') await mustPost(app, '/api/import/shop', shop);
  return app;
}

/** A fact as a tablet sends it; `hours` from the clock's start. */
export function factInput(
  kind: FactKind,
  partId: string,
  hours: number,
  body: Record<string, unknown>,
  over: Partial<FactInput> = {},
): FactInput {
  return {
    factId: randomUUID(),
    kind,
    partId,
    face: null,
    happenedAt: new Date(AS_OF_MS + hours * 3_600_000).toISOString(),
    endedAt: null,
    personId: 'ines',
    deviceId: 'tablet-1',
    supersedes: null,
    body,
    evidence: null,
    ...over,
    // Tests send bodies that no client would.
  } as FactInput;
}

/** Posts a probe's readings at ten minutes over the last `hours`, steady. */
export async function steadyAir(
  app: TestApp,
  place: string,
  airC: number,
  rhPct: number,
  hours: number,
): Promise<void> {
  const readings = Array.from({ length: hours * 6 }, (_, i) => ({
    at: new Date(app.clock.nowMs - (hours * 6 - 1 - i) * 600_000).toISOString(),
    // A tenth up and down: a probe that never moves is taken for stuck.
    airC: airC + (i % 2) / 10,
    rhPct,
  }));
  for (let i = 0; i < readings.length; i += 500) {
    const r = await app.post(`/api/import/readings?place=${place}&probe=test-${place}`, {
      readings: readings.slice(i, i + 500),
    });
    if (r.status !== 201) throw new Error(JSON.stringify(r.body));
  }
}
