import { FORECAST_REACH_MS, HOUR_MS, type Probe, type ShopState } from '@calvetta/core';
import type { Db } from '../db/db.ts';
import type { Deps } from '../deps.ts';
import { insertReadings, upsertForecast } from '../readings/readings.sql.ts';
import { write } from '../write.ts';
import { demoProbes } from './demoProbes.ts';
import { probeSample, type SimulatedProbe } from './probe.ts';
import { forecastAt, type SimulatedPlace, type Weather } from './weather.ts';

/** How often the stand-ins look whether it is their turn: a probe that was just made is heard soon. */
const LOOK_MS = 5_000;

/** Hourly outdoor forecast for 72 h from the hour that has begun. */
export function simulatedForecast(
  issuedMs: number,
  weather: Weather,
  hours = 72,
  fromMs = issuedMs,
): { at: string; airC: number; rhPct: number }[] {
  const first = Math.floor(fromMs / HOUR_MS) * HOUR_MS;
  return Array.from({ length: hours + 1 }, (_, i) => {
    const ms = first + i * HOUR_MS;
    const s = forecastAt(ms, issuedMs, weather);
    return {
      at: new Date(ms).toISOString(),
      airC: Number(s.airC.toFixed(2)),
      rhPct: Number(s.rhPct.toFixed(1)),
    };
  });
}

/** The demo's instruments by their faults; one of a shop's own is a good one, in the nearest of the simulated places. */
function standInFor(shop: ShopState, probe: Probe, anchorMs: number): SimulatedProbe {
  const known = shop.workshop.isDemo && demoProbes(anchorMs).find((p) => p.probeId === probe.probeId);
  if (known) return known;
  const place = shop.places.find((p) => p.placeId === probe.placeId);
  const like: SimulatedPlace =
    place?.setpointC != null ? 'booth' : place?.exposure === 'indoor-still' ? 'shed' : 'leanto';
  return { probeId: probe.probeId, place: like, contactLagMin: 30, fault: {} };
}

async function anchorOf(db: Db, workshopId: string): Promise<number> {
  const { rows } = await db.query<{ at_ms: number }>(
    'select (extract(epoch from created_at) * 1000)::float8 as at_ms from workshop where workshop_id = $1',
    [workshopId],
  );
  return rows[0]?.at_ms ?? 0;
}

/**
 * Keeps the stand-ins going: every simulated probe of the shop reports each `everyMs`, and the demo's forecast is renewed by the
 * hour. Whatever shop there is at the moment: one that is loaded, begun or removed meanwhile needs no new start. Returns how to stop.
 */
export function keepSimulating(deps: Deps, everyMs: number): () => void {
  const lastMs = new Map<string, number>();
  const isDue = (what: string, each: number): boolean =>
    deps.nowMs() - (lastMs.get(what) ?? -Infinity) >= each;

  const report = async (shop: ShopState, probe: Probe, weather: Weather): Promise<void> => {
    const { workshopId } = shop.workshop;
    const sample = probeSample(standInFor(shop, probe, weather.anchorMs), deps.nowMs(), weather);
    if (!sample) return;
    const { probeId, placeId } = probe;
    const row = { ...sample, atMs: Date.parse(sample.at), probeId, placeId, byHand: false };
    await write(deps, (tx) => insertReadings(tx, workshopId, [row]), {
      topic: 'readings',
      placeIds: [placeId],
    });
  };
  const look = async (): Promise<void> => {
    const shop = await deps.model.shop();
    if (!shop) return;
    const { workshopId, zone, isDemo } = shop.workshop;
    const weather = { zone, anchorMs: await anchorOf(deps.db, workshopId) };
    for (const probe of shop.probes) {
      if (!probe.isSimulated || probe.isAway || !isDue(`${workshopId} ${probe.probeId}`, everyMs)) continue;
      lastMs.set(`${workshopId} ${probe.probeId}`, deps.nowMs());
      await report(shop, probe, weather);
    }
    if (isDemo && isDue(workshopId, HOUR_MS)) {
      lastMs.set(workshopId, deps.nowMs());
      const nowMs = deps.nowMs();
      const hours = simulatedForecast(nowMs, weather)
        .map((h) => ({ ...h, atMs: Date.parse(h.at) }))
        .filter((h) => h.atMs <= nowMs + FORECAST_REACH_MS);
      await write(deps, (tx) => upsertForecast(tx, workshopId, nowMs, hours), { topic: 'forecast' });
    }
  };
  let isLooking = false;
  const timer = setInterval(() => {
    if (isLooking) return;
    isLooking = true;
    look()
      .catch((e: unknown) => deps.log.warn({ err: String(e) }, 'simulated instruments'))
      .finally(() => (isLooking = false));
  }, LOOK_MS);
  return () => clearInterval(timer);
}
