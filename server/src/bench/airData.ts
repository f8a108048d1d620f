import {
  DAY_MS,
  dropStuckRuns,
  esOverWaterHpa,
  fitPlace,
  HOUR_MS,
  placeAirFromOutdoor,
  placeAirTrack,
  readingTrust,
  sliceAir,
  stretchesFrom,
  type AirReading,
  type AirStretch,
  type OwnReading,
  type PlaceFit,
  type PlaceNow,
  type PlaceStart,
  type ReadingTrust,
  UNFITTED,
} from '@calvetta/core';
import type { PlaceInfo } from '@calvetta/contract';
import type { Db } from '../db/db.ts';
import { contactReadings, listForecast, recentReadings, thinnedReadings } from '../readings/readings.sql.ts';

/** Readings older than this are not loaded: clocks that reach back farther run on the place's median and say so. */
export const KEEP_DAYS = 45;
const FIT_DAYS = 14;

/** A place's readings as the clocks use them. */
export interface PlaceReadings {
  readonly thinned: readonly AirReading[];
  readonly recent: readonly AirReading[];
}

export interface AirData {
  readonly places: ReadonlyMap<string, PlaceReadings>;
  readonly contacts: ReadonlyMap<string, readonly OwnReading[]>;
  /** Outdoor hours, past and to come. */
  readonly outdoor: readonly AirStretch[];
  readonly forecastEndMs: number;
}

export async function loadAir(
  db: Db,
  workshopId: string,
  places: readonly PlaceInfo[],
  nowMs: number,
): Promise<AirData> {
  const sinceMs = nowMs - KEEP_DAYS * DAY_MS;
  const read = async (p: PlaceInfo): Promise<[string, PlaceReadings]> => {
    const [thinned, recent] = await Promise.all([
      thinnedReadings(db, workshopId, p.placeId, sinceMs),
      recentReadings(db, workshopId, p.placeId, nowMs - 3 * HOUR_MS),
    ]);
    return [p.placeId, { thinned, recent }];
  };
  const [entries, contacts, forecast] = await Promise.all([
    Promise.all(places.map(read)),
    contactReadings(db, workshopId, sinceMs),
    listForecast(db, workshopId, sinceMs),
  ]);
  return {
    places: new Map(entries),
    contacts,
    outdoor: stretchesFrom(forecast, 'forecast', 3 * HOUR_MS),
    forecastEndMs: forecast[forecast.length - 1]?.atMs ?? nowMs,
  };
}

/** A place's air over the clocks' whole reach, with the reading that speaks now. */
export interface PlaceAir {
  readonly track: readonly AirStretch[];
  readonly now: PlaceNow;
  readonly fit: PlaceFit | null;
}

/** Joins a place's readings, its share of the outdoor forecast and its median into one track without holes. */
export function placeAir(
  place: PlaceInfo,
  readings: PlaceReadings,
  outdoor: readonly AirStretch[],
  fromMs: number,
  nowMs: number,
  toMs: number,
): PlaceAir {
  const good = oneSeries(readings.thinned.filter((r) => r.atMs <= nowMs));
  const now = speakingNow(
    readings.recent.filter((r) => r.atMs <= nowMs),
    good,
    nowMs,
  );
  const fit = fitToOutdoor(good, outdoor, nowMs);
  const forecast = forecastOf(place, good, outdoor, fit, nowMs);
  return { fit, track: placeAirTrack({ readings: good, forecast, fromMs, nowMs, toMs }), now };
}

function byProbe(readings: readonly AirReading[]): AirReading[][] {
  const groups = new Map<string, AirReading[]>();
  for (const r of readings) {
    const group = groups.get(r.probeId);
    if (group) group.push(r);
    else groups.set(r.probeId, [r]);
  }
  return [...groups.values()];
}

const BIN_MS = 600_000;

/** One series for a place with several probes: stuck runs left out probe by probe, then one reading every ten minutes. */
function oneSeries(readings: readonly AirReading[]): AirReading[] {
  const taken = new Set<number>();
  const out: AirReading[] = [];
  for (const r of byProbe(readings).flatMap(dropStuckRuns)) {
    const bin = Math.floor(r.atMs / BIN_MS);
    if (taken.has(bin)) continue;
    taken.add(bin);
    out.push(r);
  }
  return out.sort((a, b) => a.atMs - b.atMs);
}

const TRUST_ORDER: readonly ReadingTrust[] = ['fresh', 'stale', 'stuck', 'none'];

/** The reading that speaks for the place now: the newest of the most trustworthy probes. */
function speakingNow(recent: readonly AirReading[], good: readonly AirReading[], nowMs: number): PlaceNow {
  const candidates = byProbe(recent.length > 0 ? recent : good.slice(-1)).map((own) => ({
    trust: readingTrust(own, nowMs),
    newest: own[own.length - 1]!,
  }));
  candidates.sort(
    (a, b) => TRUST_ORDER.indexOf(a.trust) - TRUST_ORDER.indexOf(b.trust) || b.newest.atMs - a.newest.atMs,
  );
  const best = candidates[0];
  return best
    ? { trust: best.trust, atMs: best.newest.atMs, airC: best.newest.airC, rhPct: best.newest.rhPct }
    : { trust: 'none', atMs: null, airC: null, rhPct: null };
}

/** How the place follows the outdoor air, fitted on the last 14 days, one reading an hour. */
function fitToOutdoor(
  readings: readonly AirReading[],
  outdoor: readonly AirStretch[],
  nowMs: number,
): PlaceFit | null {
  const sinceMs = nowMs - FIT_DAYS * DAY_MS;
  return fitPlace(
    outdoor.filter((s) => s.toMs > sinceMs && s.fromMs < nowMs),
    readings.filter((r, i) => r.atMs >= sinceMs && i % 6 === 0),
  );
}

function forecastOf(
  place: PlaceInfo,
  readings: readonly AirReading[],
  outdoor: readonly AirStretch[],
  fit: PlaceFit | null,
  nowMs: number,
): AirStretch[] {
  const use = fit ?? UNFITTED;
  const past = outdoor.filter((s) => s.toMs <= nowMs);
  const ahead = outdoor
    .filter((s) => s.toMs > nowMs)
    .map((s) => (s.fromMs < nowMs ? sliceAir(s, nowMs, s.toMs) : s));
  const newest = readings[readings.length - 1];
  const unread = (s: AirStretch | undefined): PlaceStart => ({
    airC: (s?.fromC ?? 10) + use.offsetK,
    vapourHpa: null,
  });
  const start =
    newest && nowMs - newest.atMs < 3 * HOUR_MS
      ? { airC: newest.airC, vapourHpa: (newest.rhPct / 100) * esOverWaterHpa(newest.airC) }
      : unread(ahead[0]);
  return [
    ...placeAirFromOutdoor(past, use, unread(past[0]), place.setpointC),
    ...placeAirFromOutdoor(ahead, use, start, place.setpointC),
  ];
}
