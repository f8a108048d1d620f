import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { readFileSync } from 'node:fs';
import {
  benchOf,
  deriveShop,
  machinesOf,
  partDetail,
  placeAirView,
  shelfResponse,
  shopStateOf,
  type Fact,
  type Snapshot,
  type SnapshotSource,
} from '@calvetta/core';
import type { ShopFile } from '@calvetta/contract';
import { startTestApp, type TestApp } from '../test/testApp.ts';

/** The demo with its machines, mixes and surveys: everything that is derived occurs in it. */
const demo = JSON.parse(
  readFileSync(new URL('../../../demo/scenario/shop.json', import.meta.url), 'utf8'),
) as ShopFile;

describe('the same shop, derived without the server', () => {
  let app: TestApp;
  let snapshot: Snapshot;
  beforeAll(async () => {
    app = await startTestApp({ shop: null });
    app.clock.nowMs = Date.parse(demo.asOf);
    expect((await app.post('/api/import/shop', demo)).status).toBe(201);
    for (const [i, p] of demo.places.entries())
      await app.post(`/api/places/${p.placeId}/readings`, {
        at: new Date(app.clock.nowMs - 600_000).toISOString(),
        airC: 14 + i,
        rhPct: 60 + 3 * i,
      });
    // As a page would: JSON over the wire, and nothing else of the server.
    const { body } = await app.call('GET', '/api/source');
    const source = body as SnapshotSource;
    snapshot = deriveShop(shopStateOf(source.shop), source.air, source.nowMs);
  }, 60_000);
  afterAll(() => app.close());

  const asJson = (x: unknown): unknown => JSON.parse(JSON.stringify(x));
  it('has parts to compare', () => {
    expect(snapshot.parts.size).toBeGreaterThan(60);
  });
  it('says the same of the Bench and of every machine', async () => {
    expect(asJson(benchOf(snapshot))).toEqual((await app.call('GET', '/api/bench')).body);
    expect(asJson(machinesOf(snapshot))).toEqual((await app.call('GET', '/api/machines')).body);
  });
  it('says the same of every part', async () => {
    for (const part of snapshot.parts.values())
      expect(asJson(partDetail(snapshot, part))).toEqual(
        (await app.call('GET', `/api/parts/${part.row.partId}`)).body,
      );
  });
  it('parts at rest are taken from the moment before, and everything is said of them that would be', async () => {
    const { shop, air, nowMs } = (await app.call('GET', '/api/source')).body as SnapshotSource;
    const state = shopStateOf(shop);
    const before = deriveShop(state, air, nowMs);
    const laterMs = nowMs + 4 * 60_000;
    const [fresh, kept] = [deriveShop(state, air, laterMs), deriveShop(state, air, laterMs, before)];
    const taken = [...kept.parts].filter(([id, p]) => before.parts.get(id) === p).map(([id]) => id);
    expect(taken.length).toBeGreaterThan(15);
    // What moves is derived again; what stands, stands as it would.
    const says = (s: Snapshot, id: string): unknown =>
      s.parts
        .get(id)!
        .state.faces.map((f) => [f.headline, f.act.code, f.spans.map((x) => [x.state, x.fromMs])]);
    for (const id of kept.parts.keys()) {
      if (!taken.includes(id)) expect(kept.parts.get(id)!.atMs).toBe(laterMs);
      expect(says(kept, id)).toEqual(says(fresh, id));
    }
    // Not for longer than a quarter of an hour, and not where something happened.
    expect(
      [...deriveShop(state, air, nowMs + 16 * 60_000, before).parts.values()].some((p) => p.atMs === nowMs),
    ).toBe(false);
    const noted = {
      ...state.facts.get(taken[0]!)?.[0],
      factId: 'x',
      kind: 'noted',
      body: { text: 'y' },
      supersedes: null,
    } as Fact;
    const changed = {
      ...state,
      facts: new Map([...state.facts, [taken[0]!, [...(state.facts.get(taken[0]!) ?? []), noted]]]),
    };
    expect(deriveShop(changed, air, laterMs, before).parts.get(taken[0]!)!.atMs).toBe(laterMs);
  });
  it('says the same of the shelf and of every place', async () => {
    expect(asJson(shelfResponse(snapshot))).toEqual((await app.call('GET', '/api/shelf')).body);
    for (const p of snapshot.shop.places)
      expect(asJson(placeAirView(snapshot, p.placeId, { fromMs: null, toMs: null, points: 400 }))).toEqual(
        (await app.call('GET', `/api/places/${p.placeId}/air?points=400`)).body,
      );
  });
});
