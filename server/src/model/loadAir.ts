import {
  DAY_MS,
  FORECAST_REACH_MS,
  HOUR_MS,
  KEEP_DAYS,
  stretchesFrom,
  type AirData,
  type AirReading,
  type PlaceInfo,
  type PlaceReadings,
  type Span,
} from '@calvetta/core';
import type { Db } from '../db/db.ts';
import {
  binnedReadings,
  contactReadings,
  listForecast,
  recentReadings,
  thinnedReadings,
} from '../readings/readings.sql.ts';

/** No reading is later: PostgreSQL's own times go farther than these. */
const END_MS = Date.UTC(9999, 0);

/** What readings only change when old ones come in late. */
export interface Kept {
  /** By the third hour. */
  readonly past: ReadonlyMap<string, readonly AirReading[]>;
  /** By the ten minutes, until `settledUntilMs`. */
  readonly settled: ReadonlyMap<string, readonly AirReading[]>;
  readonly settledUntilMs: number;
}

/** Each place's readings of long ago, as far back as anything happened: they change only where old readings come in late. */
export async function loadPast(
  db: Db,
  workshopId: string,
  places: readonly PlaceInfo[],
  fromMs: number,
  untilMs: number,
): Promise<Map<string, readonly AirReading[]>> {
  const all = new Map<string, readonly AirReading[]>();
  for (const { placeId } of places)
    all.set(placeId, await binnedReadings(db, workshopId, placeId, fromMs, untilMs));
  return all;
}

/** Each place's readings by the ten minutes between two instants. */
export async function loadThinned(
  db: Db,
  workshopId: string,
  places: readonly PlaceInfo[],
  span: Span,
): Promise<Map<string, readonly AirReading[]>> {
  const read = async ({ placeId }: PlaceInfo): Promise<[string, AirReading[]]> => [
    placeId,
    await thinnedReadings(db, workshopId, placeId, span),
  ];
  return new Map(await Promise.all(places.map(read)));
}

/** The time series that clocks run on: what is kept of before, and what is read anew since `sinceMs`. */
export async function loadAir(
  db: Db,
  workshopId: string,
  places: readonly PlaceInfo[],
  nowMs: number,
  kept: Kept,
): Promise<AirData> {
  const fromMs = nowMs - KEEP_DAYS * DAY_MS;
  const [fresh, recents, contacts, forecast] = await Promise.all([
    loadThinned(db, workshopId, places, { fromMs: kept.settledUntilMs, toMs: END_MS }),
    Promise.all(places.map((p) => recentReadings(db, workshopId, p.placeId, nowMs - 3 * HOUR_MS))),
    contactReadings(db, workshopId, fromMs),
    listForecast(db, workshopId, fromMs, nowMs + FORECAST_REACH_MS),
  ]);
  const readingsOf = ({ placeId }: PlaceInfo, i: number): [string, PlaceReadings] => [
    placeId,
    {
      past: kept.past.get(placeId) ?? [],
      thinned: [...(kept.settled.get(placeId) ?? []), ...(fresh.get(placeId) ?? [])],
      recent: recents[i] ?? [],
    },
  ];
  return {
    places: Object.fromEntries(places.map(readingsOf)),
    contacts: Object.fromEntries(contacts),
    outdoor: stretchesFrom(forecast, 'forecast', 3 * HOUR_MS),
    forecastEndMs: forecast[forecast.length - 1]?.atMs ?? nowMs,
  };
}
