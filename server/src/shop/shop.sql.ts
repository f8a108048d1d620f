import {
  type Attendance,
  type MachineRow,
  type PartRow,
  type PlaceInfo,
  type Probe,
  type RouteStepRow,
  type Workshop,
  SMALL_SHOP,
  type Exposure,
  type Facility,
  type ProductSheet,
  type Schools,
  type VolumeSystem,
} from '@calvetta/core';
import type { MeansPatch } from '@calvetta/contract/schemas';
import type { Db } from '../db/db.ts';

/** The only workshop of this server; null before one was imported. */
export async function findWorkshop(db: Db): Promise<Workshop | null> {
  const { rows } = await db.query<{
    workshop_id: string;
    name: string;
    zone: string;
    volume_system: VolumeSystem;
    facilities: Facility[] | null;
    schools: Schools | null;
    version: number;
  }>(
    'select workshop_id, name, zone, volume_system, facilities, schools, version from workshop order by created_at limit 1',
  );
  const r = rows[0];
  if (!r) return null;
  return {
    workshopId: r.workshop_id,
    name: r.name,
    zone: r.zone,
    volumeSystem: r.volume_system,
    means: {
      facilities: r.facilities ?? SMALL_SHOP.facilities,
      schools: { ...SMALL_SHOP.schools, ...r.schools },
      version: r.version,
      isDefault: r.facilities === null,
    },
  };
}

/** Changes what the shop has and how it works; false when the version is not the one stored. */
export async function updateMeans(db: Db, workshopId: string, patch: MeansPatch): Promise<boolean> {
  const r = await db.query(
    'update workshop set facilities = $3, schools = $4, version = version + 1 where workshop_id = $1 and version = $2',
    [workshopId, patch.version, patch.facilities, JSON.stringify(patch.schools)],
  );
  return r.rowCount === 1;
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

export async function listPeople(db: Db, workshopId: string): Promise<{ personId: string; name: string }[]> {
  const { rows } = await db.query<{ personId: string; name: string }>(
    'select person_id as "personId", name from person where workshop_id = $1 order by name',
    [workshopId],
  );
  return rows;
}

export async function listPlaces(db: Db, workshopId: string): Promise<PlaceInfo[]> {
  const { rows } = await db.query<{
    place_id: string;
    name: string;
    exposure: Exposure;
    altitude_m: number;
    setpoint_c: number | null;
    version: number;
  }>(
    'select place_id, name, exposure, altitude_m, setpoint_c, version from place where workshop_id = $1 order by place_id',
    [workshopId],
  );
  return rows.map((r) => ({
    placeId: r.place_id,
    name: r.name,
    exposure: r.exposure,
    altitudeM: r.altitude_m,
    setpointC: r.setpoint_c,
    version: r.version,
  }));
}

export async function listProbes(db: Db, workshopId: string): Promise<Probe[]> {
  const { rows } = await db.query<Probe>(
    'select probe_id as "probeId", place_id as "placeId", part_id as "partId", name, is_simulated as "isSimulated" from probe where workshop_id = $1 order by probe_id',
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
  p.pair_part_id as "pairPartId", p.version`;

export async function listParts(db: Db, workshopId: string): Promise<PartRow[]> {
  const { rows } = await db.query<PartRow>(
    `select ${PART_COLUMNS} from part p join assembly a using (workshop_id, assembly_id) join machine m on m.workshop_id = a.workshop_id and m.machine_id = a.machine_id
     where p.workshop_id = $1 order by m.seq, a.seq, p.seq`,
    [workshopId],
  );
  return rows;
}

export async function findPart(db: Db, workshopId: string, partId: string): Promise<PartRow | null> {
  const { rows } = await db.query<PartRow>(
    `select ${PART_COLUMNS} from part p join assembly a using (workshop_id, assembly_id) where p.workshop_id = $1 and p.part_id = $2`,
    [workshopId, partId],
  );
  return rows[0] ?? null;
}

export async function listMachines(db: Db, workshopId: string): Promise<MachineRow[]> {
  const { rows } = await db.query<MachineRow>(
    'select machine_id as "machineId", name, kind from machine where workshop_id = $1 order by seq',
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
