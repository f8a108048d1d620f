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
} from '@calvetta/core';
import type { Db } from '../db/db.ts';
import {
  binnedReadings,
  contactReadings,
  listForecast,
  recentReadings,
  thinnedReadings,
} from '../readings/readings.sql.ts';

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

/** The time series that clocks run on. */
export async function loadAir(
  db: Db,
  workshopId: string,
  places: readonly PlaceInfo[],
  nowMs: number,
  past: ReadonlyMap<string, readonly AirReading[]>,
): Promise<AirData> {
  const sinceMs = nowMs - KEEP_DAYS * DAY_MS;
  const read = async (p: PlaceInfo): Promise<[string, PlaceReadings]> => {
    const [thinned, recent] = await Promise.all([
      thinnedReadings(db, workshopId, p.placeId, sinceMs),
      recentReadings(db, workshopId, p.placeId, nowMs - 3 * HOUR_MS),
    ]);
    return [p.placeId, { past: past.get(p.placeId) ?? [], thinned, recent }];
  };
  const [entries, contacts, forecast] = await Promise.all([
    Promise.all(places.map(read)),
    contactReadings(db, workshopId, sinceMs),
    listForecast(db, workshopId, sinceMs, nowMs + FORECAST_REACH_MS),
  ]);
  return {
    places: Object.fromEntries(entries),
    contacts: Object.fromEntries(contacts),
    outdoor: stretchesFrom(forecast, 'forecast', 3 * HOUR_MS),
    forecastEndMs: forecast[forecast.length - 1]?.atMs ?? nowMs,
  };
}
