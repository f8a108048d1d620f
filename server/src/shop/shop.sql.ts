import {
  type AssemblyRow,
  type Attendance,
  type GaugeInfo,
  type MachineRow,
  type PartRow,
  type Person,
  type PlaceInfo,
  type Probe,
  type RouteStepRow,
  type Workshop,
  NO_CAPACITY,
  SMALL_SHOP,
  type Facility,
  type ProductSheet,
  type Capacity,
  type Schools,
  type VolumeSystem,
} from '@calvetta/core';
import type { MeansPatch, NewShop, ShopPatch } from '@calvetta/contract/schemas';
import type { Db } from '../db/db.ts';

/** The only workshop of this server; null before one was imported. */
export async function findWorkshop(db: Db): Promise<Workshop | null> {
  const { rows } = await db.query<{
    workshop_id: string;
    name: string;
    zone: string;
    volume_system: VolumeSystem;
    currency: string;
    hour_cents: number | null;
    is_demo: boolean;
    facilities: Facility[] | null;
    schools: Schools | null;
    capacity: Partial<Capacity> | null;
    put_away: string[];
    version: number;
  }>(
    'select workshop_id, name, zone, volume_system, currency, hour_cents, is_demo, facilities, schools, capacity, put_away, version from workshop order by created_at limit 1',
  );
  const r = rows[0];
  if (!r) return null;
  return {
    workshopId: r.workshop_id,
    name: r.name,
    zone: r.zone,
    volumeSystem: r.volume_system,
    currency: r.currency,
    hourCents: r.hour_cents,
    isDemo: r.is_demo,
    version: r.version,
    means: {
      facilities: r.facilities ?? SMALL_SHOP.facilities,
      schools: { ...SMALL_SHOP.schools, ...r.schools },
      capacity: { ...NO_CAPACITY, ...r.capacity },
      putAway: r.put_away,
      version: r.version,
      isDefault: r.facilities === null,
    },
  };
}

/** Changes what the shop has and how it works; false when the version is not the one stored. */
export async function updateMeans(db: Db, workshopId: string, patch: MeansPatch): Promise<boolean> {
  const r = await db.query(
    'update workshop set facilities = $3, schools = $4, capacity = coalesce($5, capacity), put_away = coalesce($6, put_away), version = version + 1 where workshop_id = $1 and version = $2',
    [
      workshopId,
      patch.version,
      patch.facilities,
      JSON.stringify(patch.schools),
      patch.capacity ? JSON.stringify(patch.capacity) : null,
      patch.putAway ?? null,
    ],
  );
  return r.rowCount === 1;
}

export async function insertWorkshop(db: Db, shop: NewShop): Promise<void> {
  await db.query(
    'insert into workshop (workshop_id, name, zone, volume_system, currency) values ($1, $2, $3, $4, $5)',
    [shop.workshopId, shop.name, shop.zone, shop.volumeSystem, shop.currency],
  );
}

/** Changes what is given; false when the version is not the one stored. */
export async function updateShop(db: Db, workshopId: string, patch: ShopPatch): Promise<boolean> {
  const r = await db.query(
    `update workshop set name = coalesce($3, name), zone = coalesce($4, zone), volume_system = coalesce($5, volume_system),
       currency = coalesce($6, currency), hour_cents = case when $7 then $8 else hour_cents end, version = version + 1 where workshop_id = $1 and version = $2`,
    [
      workshopId,
      patch.version,
      patch.name,
      patch.zone,
      patch.volumeSystem,
      patch.currency,
      patch.hourCents !== undefined,
      patch.hourCents ?? null,
    ],
  );
  if (r.rowCount !== 1) return false;
  if (patch.weekly) {
    await db.query('delete from attendance where workshop_id = $1', [workshopId]);
    for (const w of patch.weekly)
      await db.query(
        'insert into attendance (workshop_id, weekday, from_local, to_local) values ($1, $2, $3, $4) on conflict do nothing',
        [workshopId, w.weekday, w.from, w.to],
      );
  }
  if (patch.exceptions) {
    await db.query('delete from attendance_exception where workshop_id = $1', [workshopId]);
    for (const e of patch.exceptions)
      await db.query(
        'insert into attendance_exception (workshop_id, day, from_local, to_local) values ($1, $2, $3, $4)',
        [workshopId, e.day, e.from, e.to],
      );
  }
  return true;
}

/** Stores a sheet that the shop does not have yet; a known id stays as it is, and false comes back. */
export async function insertSheet(db: Db, workshopId: string, sheet: ProductSheet): Promise<boolean> {
  await db.query('insert into product (workshop_id, product_id) values ($1, $2) on conflict do nothing', [
    workshopId,
    sheet.productId,
  ]);
  const r = await db.query(
    'insert into sheet (workshop_id, sheet_id, product_id, revision, body) values ($1, $2, $3, $4, $5) on conflict do nothing',
    [workshopId, sheet.sheetId, sheet.productId, sheet.revision, sheet],
  );
  return r.rowCount === 1;
}

/** One sheet as it is stored; null when it is not. */
export async function findSheet(db: Db, workshopId: string, sheetId: string): Promise<ProductSheet | null> {
  const { rows } = await db.query<{ body: ProductSheet }>(
    'select body from sheet where workshop_id = $1 and sheet_id = $2',
    [workshopId, sheetId],
  );
  return rows[0]?.body ?? null;
}

export async function listAttendance(db: Db, workshopId: string): Promise<Attendance> {
  const weekly = await db.query<Attendance['weekly'][number]>(
    'select weekday, from_local::text as "from", to_local::text as "to" from attendance where workshop_id = $1 order by weekday, from_local',
    [workshopId],
  );
  const exceptions = await db.query<Attendance['exceptions'][number]>(
    'select day::text, from_local::text as "from", to_local::text as "to" from attendance_exception where workshop_id = $1',
    [workshopId],
  );
  return { weekly: weekly.rows, exceptions: exceptions.rows };
}

const IS_AWAY = 'put_away_at is not null as "isAway"';

export async function listPeople(db: Db, workshopId: string): Promise<Person[]> {
  const { rows } = await db.query<Person>(
    `select person_id as "personId", name, is_named as "isNamed", to_char(minor_until, 'YYYY-MM-DD') as "minorUntil", comes, version, ${IS_AWAY} from person where workshop_id = $1 order by name`,
    [workshopId],
  );
  return rows;
}

export async function listPlaces(db: Db, workshopId: string): Promise<PlaceInfo[]> {
  const { rows } = await db.query<PlaceInfo>(
    `select place_id as "placeId", name, exposure, altitude_m as "altitudeM", setpoint_c as "setpointC", air_of_id as "airOfId", version, ${IS_AWAY}
     from place where workshop_id = $1 order by seq, place_id`,
    [workshopId],
  );
  return rows;
}

export async function listGauges(db: Db, workshopId: string): Promise<GaugeInfo[]> {
  const { rows } = await db.query<GaugeInfo>(
    `select gauge_id as "gaugeId", name, kind, version, ${IS_AWAY} from gauge where workshop_id = $1 order by name`,
    [workshopId],
  );
  return rows;
}

export async function listProbes(db: Db, workshopId: string): Promise<Probe[]> {
  const { rows } = await db.query<Probe>(
    `select probe_id as "probeId", place_id as "placeId", part_id as "partId", name, is_simulated as "isSimulated", version, ${IS_AWAY}
     from probe where workshop_id = $1 order by probe_id`,
    [workshopId],
  );
  return rows;
}

export async function listSheets(db: Db, workshopId: string): Promise<ProductSheet[]> {
  const { rows } = await db.query<{ body: ProductSheet }>(
    'select body from sheet where workshop_id = $1 order by product_id, revision',
    [workshopId],
  );
  return rows.map((r) => r.body);
}

const PART_COLUMNS = `p.part_id as "partId", p.name, p.assembly_id as "assemblyId", a.name as "assemblyName", a.machine_id as "machineId", p.substrate, p.mass_kg as "massKg",
  p.area_m2 as "areaM2", p.thickness_mm as "thicknessMm", p.is_bright_metal as "isBrightMetal", p.faces as "faceCount", p.colour_group as "colourGroup",
  p.pair_part_id as "pairPartId", p.comes_from as "comesFrom", p.version, p.put_away_at is not null as "isAwayItself",
  coalesce(p.put_away_at, a.put_away_at, m.put_away_at) is not null as "isAway"`;
const PART_TABLES =
  'part p join assembly a using (workshop_id, assembly_id) join machine m on m.workshop_id = a.workshop_id and m.machine_id = a.machine_id';

export async function listParts(db: Db, workshopId: string): Promise<PartRow[]> {
  const { rows } = await db.query<PartRow>(
    `select ${PART_COLUMNS} from ${PART_TABLES} where p.workshop_id = $1 order by m.seq, a.seq, p.seq`,
    [workshopId],
  );
  return rows;
}

export async function listMachines(db: Db, workshopId: string): Promise<MachineRow[]> {
  const { rows } = await db.query<MachineRow>(
    `select machine_id as "machineId", name, kind, accession, version, ${IS_AWAY} from machine where workshop_id = $1 order by seq`,
    [workshopId],
  );
  return rows;
}

export async function listAssemblies(db: Db, workshopId: string): Promise<AssemblyRow[]> {
  const { rows } = await db.query<AssemblyRow>(
    `select assembly_id as "assemblyId", machine_id as "machineId", name, version, ${IS_AWAY} from assembly where workshop_id = $1 order by seq`,
    [workshopId],
  );
  return rows;
}

export async function listRouteSteps(db: Db, workshopId: string): Promise<RouteStepRow[]> {
  const { rows } = await db.query<RouteStepRow>(
    'select part_id as "partId", seq, step_id as "stepId", kind, sheet_id as "sheetId", coats, dft_um as "dftUm" from route_step where workshop_id = $1 order by part_id, seq',
    [workshopId],
  );
  return rows;
}
