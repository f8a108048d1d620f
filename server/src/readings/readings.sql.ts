import type { MonthOfAir, AirReading, ForecastHour, OwnReading, Span } from '@calvetta/core';
import type { Db } from '../db/db.ts';

export interface ReadingRow {
  readonly probeId: string;
  readonly placeId: string;
  readonly atMs: number;
  readonly airC: number;
  readonly rhPct: number;
  readonly surfaceC: number | null;
  readonly byHand: boolean;
}

/** Stores readings in one statement; the same probe and instant again is left as it was. Returns how many were new. */
export async function insertReadings(
  db: Db,
  workshopId: string,
  rows: readonly ReadingRow[],
): Promise<number> {
  if (rows.length === 0) return 0;
  const r = await db.query(
    `insert into reading (workshop_id, probe_id, place_id, at, air_c, rh_pct, surface_c, by_hand)
     select $1, * from unnest($2::text[], $3::text[], (select array_agg(to_timestamp(x / 1000.0)) from unnest($4::float8[]) x), $5::float8[], $6::float8[], $7::float8[], $8::bool[])
     on conflict do nothing`,
    [
      workshopId,
      rows.map((x) => x.probeId),
      rows.map((x) => x.placeId),
      rows.map((x) => x.atMs),
      rows.map((x) => x.airC),
      rows.map((x) => x.rhPct),
      rows.map((x) => x.surfaceC),
      rows.map((x) => x.byHand),
    ],
  );
  return r.rowCount ?? 0;
}

/**
 * The first reading of every ten minutes of each probe of a place between two instants, ascending: a real reading, not an average,
 * so that a stuck probe still shows.
 */
export async function thinnedReadings(
  db: Db,
  workshopId: string,
  placeId: string,
  { fromMs, toMs }: Span,
): Promise<AirReading[]> {
  // The bin orders them and is not sent: a time costs more to read than all the rest.
  const { rows } = await db.query<ReadingOut>(
    `select at_ms, air_c, rh_pct, surface_c, probe_id, by_hand from (
       select distinct on (probe_id, bin) (extract(epoch from at) * 1000)::float8 as at_ms, air_c, rh_pct, surface_c, probe_id, by_hand,
              date_bin('10 minutes', at, timestamptz '2000-01-01') as bin
       from reading where workshop_id = $1 and place_id = $2 and at >= to_timestamp($3 / 1000.0) and at < to_timestamp($4 / 1000.0)
       order by probe_id, bin, at
     ) thinned order by probe_id, bin`,
    [workshopId, placeId, fromMs, toMs],
  );
  return rows.map(toReading);
}

/** The first reading of every bin of a place between two instants, ascending: one look into the index a bin, however dense they are. */
export async function binnedReadings(
  db: Db,
  workshopId: string,
  placeId: string,
  fromMs: number,
  untilMs: number,
): Promise<AirReading[]> {
  const { rows } = await db.query<ReadingOut>(
    `with reach as (select greatest(to_timestamp($3 / 1000.0), min(at)) as since from reading where workshop_id = $1 and place_id = $2)
     select (extract(epoch from r.at) * 1000)::float8 as at_ms, r.air_c, r.rh_pct, r.surface_c, r.probe_id, r.by_hand
     from reach, generate_series(date_bin('3 hours', reach.since, timestamptz '2000-01-01'), to_timestamp($4 / 1000.0), interval '3 hours') bin
     cross join lateral (
       select * from reading where workshop_id = $1 and place_id = $2 and at >= bin and at < bin + interval '3 hours' order by at limit 1
     ) r where reach.since is not null order by r.at`,
    [workshopId, placeId, fromMs, untilMs],
  );
  return rows.map(toReading);
}

interface ReadingOut {
  readonly at_ms: number;
  readonly air_c: number;
  readonly rh_pct: number;
  readonly surface_c: number | null;
  readonly probe_id: string;
  readonly by_hand: boolean;
}
const toReading = (r: ReadingOut): AirReading => ({
  atMs: r.at_ms,
  airC: r.air_c,
  rhPct: r.rh_pct,
  surfaceC: r.surface_c,
  probeId: r.probe_id,
  byHand: r.by_hand,
});

/** Every reading of a place since an instant, ascending: what decides freshness and sticking. */
export async function recentReadings(
  db: Db,
  workshopId: string,
  placeId: string,
  sinceMs: number,
): Promise<AirReading[]> {
  const { rows } = await db.query<ReadingOut>(
    `select (extract(epoch from at) * 1000)::float8 as at_ms, air_c, rh_pct, surface_c, probe_id, by_hand
     from reading where workshop_id = $1 and place_id = $2 and at >= to_timestamp($3 / 1000.0) order by at`,
    [workshopId, placeId, sinceMs],
  );
  return rows.map(toReading);
}

/**
 * A place's months, as it was measured: hours count alike however often they were read, then the months over their hours. Days are those
 * with a reading, where the shop is.
 */
export async function monthsOfAir(
  db: Db,
  workshopId: string,
  placeId: string,
  zone: string,
): Promise<MonthOfAir[]> {
  const { rows } = await db.query<MonthOfAir>(
    `with hourly as (
       select date_trunc('hour', at at time zone $3) as hour, avg(air_c) as c, avg(rh_pct) as rh
         from reading where workshop_id = $1 and place_id = $2 group by 1)
     select to_char(hour, 'YYYY-MM') as month, count(distinct date_trunc('day', hour))::int as days,
       avg(c)::float8 as "meanC", avg(rh)::float8 as "meanRhPct"
       from hourly group by 1 order by 1`,
    [workshopId, placeId, zone],
  );
  return rows;
}

/** Contact readings of probes that sit on a part. */
export async function contactReadings(
  db: Db,
  workshopId: string,
  sinceMs: number,
): Promise<Map<string, OwnReading[]>> {
  const { rows } = await db.query<{ part_id: string; at_ms: number; surface_c: number }>(
    `select p.part_id, (extract(epoch from r.at) * 1000)::float8 as at_ms, r.surface_c
     from probe p join reading r using (workshop_id, probe_id)
     where p.workshop_id = $1 and p.part_id is not null and r.surface_c is not null and r.at >= to_timestamp($2 / 1000.0) order by r.at`,
    [workshopId, sinceMs],
  );
  const out = new Map<string, OwnReading[]>();
  for (const r of rows) {
    const list = out.get(r.part_id) ?? [];
    list.push({ atMs: r.at_ms, surfaceC: r.surface_c });
    out.set(r.part_id, list);
  }
  return out;
}

export async function listForecast(
  db: Db,
  workshopId: string,
  sinceMs: number,
  untilMs: number,
): Promise<ForecastHour[]> {
  const { rows } = await db.query<{ at_ms: number; air_c: number; rh_pct: number }>(
    `select (extract(epoch from at) * 1000)::float8 as at_ms, air_c, rh_pct from forecast_hour where workshop_id = $1 and at between to_timestamp($2 / 1000.0) and to_timestamp($3 / 1000.0) order by at`,
    [workshopId, sinceMs, untilMs],
  );
  return rows.map((r) => ({ atMs: r.at_ms, airC: r.air_c, rhPct: r.rh_pct }));
}

/** Stores forecast hours; a newer issue replaces an older one for the same hour. */
export async function upsertForecast(
  db: Db,
  workshopId: string,
  issuedMs: number,
  hours: readonly ForecastHour[],
): Promise<number> {
  if (hours.length === 0) return 0;
  const r = await db.query(
    `insert into forecast_hour (workshop_id, at, issued_at, air_c, rh_pct)
     select $1, to_timestamp(t.at_ms / 1000.0), to_timestamp($2 / 1000.0), t.air_c, t.rh_pct from unnest($3::float8[], $4::float8[], $5::float8[]) as t(at_ms, air_c, rh_pct)
     on conflict (workshop_id, at) do update set issued_at = excluded.issued_at, air_c = excluded.air_c, rh_pct = excluded.rh_pct
     where forecast_hour.issued_at <= excluded.issued_at`,
    [workshopId, issuedMs, hours.map((h) => h.atMs), hours.map((h) => h.airC), hours.map((h) => h.rhPct)],
  );
  return r.rowCount ?? 0;
}

export interface ProbeCredential {
  readonly probeId: string;
  readonly placeId: string;
  /** Null: it has no token yet, or was put away. */
  readonly tokenSha256: string | null;
}
/** Gives a probe another token, by its hash; false when there is no such probe, or it was put away. */
export async function setToken(
  db: Db,
  workshopId: string,
  probeId: string,
  tokenSha256: string,
): Promise<boolean> {
  const r = await db.query(
    'update probe set token_sha256 = $3 where workshop_id = $1 and probe_id = $2 and put_away_at is null',
    [workshopId, probeId, tokenSha256],
  );
  return r.rowCount === 1;
}

export async function findProbe(
  db: Db,
  workshopId: string,
  probeId: string,
): Promise<ProbeCredential | null> {
  const { rows } = await db.query<ProbeCredential>(
    'select probe_id as "probeId", place_id as "placeId", token_sha256 as "tokenSha256" from probe where workshop_id = $1 and probe_id = $2',
    [workshopId, probeId],
  );
  return rows[0] ?? null;
}
