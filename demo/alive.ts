/** The demo as it is at any moment, without a server: its scenario, its simulated instruments and its weather. */
import {
  DAY_MS,
  HOUR_MS,
  NO_CAPACITY,
  SMALL_SHOP,
  stretchesFrom,
  type AirData,
  type AirReading,
  type ShopRecord,
} from '@calvetta/core';
import type { ShopFile } from '@calvetta/contract';
import { demoProbes } from '../server/src/simulators/demoProbes.ts';
import { probeSample } from '../server/src/simulators/probe.ts';
import { simulatedForecast } from '../server/src/simulators/run.ts';
import { outdoorAt } from '../server/src/simulators/weather.ts';

const HISTORY_DAYS = 14;
const STEP_MS = 600_000;
const NEW = { version: 1, isAway: false } as const;

/** A shop file moved to a moment, as the record that clocks and lists are derived from. */
export function recordAt(file: ShopFile, nowMs: number): ShopRecord {
  const by = nowMs - Date.parse(file.asOf);
  const at = (iso: string): number => Date.parse(iso) + by;
  const { workshopId, name, zone, volumeSystem, facilities, schools, capacity, putAway } = file.workshop;
  const parts = file.machines.flatMap((m) =>
    m.assemblies.flatMap((a) => a.parts.map((p) => ({ ...p, machineId: m.machineId, assembly: a }))),
  );
  return {
    workshop: {
      workshopId,
      name,
      zone,
      volumeSystem,
      currency: 'EUR',
      hourCents: null,
      isDemo: true,
      version: 1,
      means: {
        facilities: facilities ?? SMALL_SHOP.facilities,
        schools: schools ?? SMALL_SHOP.schools,
        capacity: capacity ?? NO_CAPACITY,
        putAway: putAway ?? [],
        version: 1,
        isDefault: facilities === undefined,
      },
    },
    attendance: { weekly: file.attendance, exceptions: [] },
    people: file.people.map((p) => ({ comes: null, minorUntil: null, isNamed: false, ...p, ...NEW })),
    places: file.places.map((p) => ({ airOfId: null, ...p, ...NEW })),
    probes: file.probes.map((p) => ({ ...p, ...NEW })),
    sheets: file.sheets,
    machines: file.machines.map((m) => ({ accession: null, ...m, ...NEW })),
    assemblies: file.machines.flatMap((m) =>
      m.assemblies.map((a) => ({ ...a, machineId: m.machineId, ...NEW })),
    ),
    parts: parts.map((p) => ({
      ...p,
      assemblyId: p.assembly.assemblyId,
      assemblyName: p.assembly.name,
      faceCount: p.faces,
      comesFrom: p.comesFrom ?? null,
      isAwayItself: false,
      ...NEW,
    })),
    steps: parts.flatMap((p) => p.route.map((s, i) => ({ ...s, partId: p.partId, seq: i + 1 }))),
    facts: file.facts.map((f) => ({
      ...f,
      happenedAtMs: at(f.happenedAt),
      endedAtMs: f.endedAt === null ? null : at(f.endedAt),
      recordedAtMs: at(f.endedAt ?? f.happenedAt),
      deviceId: 'demo',
    })),
    tins: [],
    packs: [],
    cups: [],
    gauges: [],
    stock: [],
  };
}

/** Readings and forecast as the instruments and the service of the demo would have given them. */
export function airAt(file: ShopFile, nowMs: number): AirData {
  const weather = { zone: file.workshop.zone, anchorMs: nowMs };
  const places: Record<string, { thinned: AirReading[]; recent: AirReading[] }> = {};
  for (const probe of demoProbes(nowMs)) {
    const of = (places[probe.place] ??= { thinned: [], recent: [] });
    const first = Math.floor((nowMs - HISTORY_DAYS * DAY_MS) / STEP_MS) * STEP_MS;
    for (let ms = first; ms <= nowMs; ms += STEP_MS) {
      const s = probeSample(probe, ms, weather);
      if (!s) continue;
      const reading = {
        probeId: probe.probeId,
        atMs: ms,
        airC: s.airC,
        rhPct: s.rhPct,
        surfaceC: null,
        byHand: false,
      };
      of.thinned.push(reading);
      if (ms > nowMs - 3 * HOUR_MS) of.recent.push(reading);
    }
  }
  const past = Array.from({ length: HISTORY_DAYS * 24 }, (_, i) => {
    const atMs = (Math.floor(nowMs / HOUR_MS) - HISTORY_DAYS * 24 + i) * HOUR_MS;
    return { atMs, ...outdoorAt(atMs, weather) };
  });
  const ahead = simulatedForecast(nowMs, weather).map((f) => ({ ...f, atMs: Date.parse(f.at) }));
  const forecast = [...past, ...ahead];
  return {
    places,
    contacts: {},
    outdoor: stretchesFrom(forecast, 'forecast', 3 * HOUR_MS),
    forecastEndMs: forecast[forecast.length - 1]!.atMs,
  };
}
