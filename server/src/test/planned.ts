import { readFileSync } from 'node:fs';
import {
  deriveShop,
  makePlans,
  planProblem,
  shopStateOf,
  type Plan,
  plainAsk,
  type PlanAsk,
  type SnapshotSource,
} from '@calvetta/core';
import type { ShopFile } from '@calvetta/contract';
import { startTestApp, type TestApp } from './testApp.ts';

/** Builders for tests only: the demo with so many readings that plans can be made of it. */
export const DEMO = JSON.parse(
  readFileSync(new URL('../../../demo/scenario/shop.json', import.meta.url), 'utf8'),
) as ShopFile;

/** The crawler of the demo in the booth, as two people who are only counted. */
export const askFor = (over: Partial<PlanAsk> = {}): PlanAsk =>
  plainAsk(['fenland'], { weeks: 8, coatPlaceId: 'booth', ...over });

export async function startPlanned(): Promise<{ readonly app: TestApp; readonly source: SnapshotSource }> {
  const app = await startTestApp({ shop: null });
  app.clock.nowMs = Date.parse(DEMO.asOf);
  const sent = [await app.post('/api/import/shop', DEMO)];
  // Three weeks of a booth that hardly changes, a reading an hour: what a plan needs of the weeks to come. One that is the same for two
  // hours is a stuck probe.
  const readings = Array.from({ length: 21 * 24 }, (_, h) => ({
    at: new Date(app.clock.nowMs - h * 3_600_000).toISOString(),
    airC: 18 + 0.2 * Math.sin(h),
    rhPct: 50 + Math.sin(h / 5),
  }));
  for (const place of ['booth', 'shed'])
    sent.push(await app.post(`/api/import/readings?place=${place}`, { readings }));
  const refused = sent.find((s) => s.status >= 300);
  if (refused) throw new Error(`the demo does not come in: ${JSON.stringify(refused.body)}`);
  return { app, source: (await app.call('GET', '/api/source')).body as SnapshotSource };
}

/** The first plan of a shop. */
export const firstPlan = ({ shop, air, nowMs }: SnapshotSource, ask: PlanAsk): Plan =>
  makePlans(planProblem(deriveShop(shopStateOf(shop), air, nowMs), air, ask)).next().value.best.plan;
