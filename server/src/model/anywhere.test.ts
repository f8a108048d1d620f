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
  it('says the same of the shelf and of every place', async () => {
    expect(asJson(shelfResponse(snapshot))).toEqual((await app.call('GET', '/api/shelf')).body);
    for (const p of snapshot.shop.places)
      expect(asJson(placeAirView(snapshot, p.placeId, { fromMs: null, toMs: null, points: 400 }))).toEqual(
        (await app.call('GET', `/api/places/${p.placeId}/air?points=400`)).body,
      );
  });
});
