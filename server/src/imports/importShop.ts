import { DAY_MS, type Comes, type ProductSheet } from '@calvetta/core';
import type {
  FactInput,
  PutAway,
  ShopFact,
  ShopFile,
  ShopPart,
  ShopStockFact,
  WrittenDown,
} from '@calvetta/contract';
import { shopFile } from '@calvetta/contract/schemas';
import type { Db } from '../db/db.ts';
import type { Deps } from '../deps.ts';
import { entryOf } from '../facts/facts.service.ts';
import { checkEntry, CLOCK_SLACK_MS } from '../ledger/ledger.ts';
import { checkShop } from './checkShop.ts';
import { insertEntry } from '../ledger/ledger.sql.ts';
import { insertCup, insertPack, insertTin } from '../shelf/shelf.sql.ts';
import { stockEntryOf } from '../shelf/stock.service.ts';
import { insertTemplate } from '../templates/templates.sql.ts';
import { AppError } from '../http/errors.ts';
import { valid } from '../http/validate.ts';
import { write } from '../write.ts';
import { sha256 } from '../readings/tokens.ts';
import { insertSheet } from '../shop/shop.sql.ts';

/** Checks a `calvetta-shop` file, of this format or the one before; with a shift, every instant moves by now − asOf. */
export function readShopFile(value: unknown, shiftTo: number | null): ShopFile {
  const file = valid(shopFile, value) as ShopFile;
  if (shiftTo === null) return file;
  const by = shiftTo - Date.parse(file.asOf);
  const move = (at: string): string => new Date(Date.parse(at) + by).toISOString();
  const wholeDays = Math.round(by / DAY_MS) * DAY_MS;
  const moveDay = (day: string): string =>
    new Date(Date.parse(`${day}T00:00:00Z`) + wholeDays).toISOString().slice(0, 10);
  const movedRecording = ({ recordedAt }: WrittenDown): WrittenDown =>
    recordedAt === undefined ? {} : { recordedAt: move(recordedAt) };
  return {
    ...file,
    asOf: move(file.asOf),
    people: file.people.map((p) =>
      p.comes ? { ...p, comes: { ...p.comes, days: p.comes.days.map((d) => movedDays(d, moveDay)) } } : p,
    ),
    ...(file.exceptions ? { exceptions: file.exceptions.map((e) => ({ ...e, day: moveDay(e.day) })) } : {}),
    facts: file.facts.map((f) => ({
      ...f,
      ...movedRecording(f),
      happenedAt: move(f.happenedAt),
      endedAt: f.endedAt === null ? null : move(f.endedAt),
    })),
    ...(file.stockFacts
      ? {
          stockFacts: file.stockFacts.map((f) => ({
            ...f,
            ...movedRecording(f),
            happenedAt: move(f.happenedAt),
          })),
        }
      : {}),
    ...(file.tins
      ? {
          tins: file.tins.map((t) => ({
            ...t,
            madeOn: t.madeOn === null ? null : move(`${t.madeOn}T00:00:00Z`).slice(0, 10),
          })),
        }
      : {}),
  };
}

const movedDays = (d: Comes['days'][number], moveDay: (day: string) => string): Comes['days'][number] => ({
  ...d,
  fromDay: moveDay(d.fromDay),
  toDay: moveDay(d.toDay),
});

/** A lock of our own choosing for "there is one workshop". */
const ONE_WORKSHOP = 7_401_001;

/** Holds "there is one workshop" until the transaction ends; refuses where there is one. */
export async function needNoShop(tx: Db, id: string): Promise<void> {
  // Two at once: the second waits here, and finds the first one's workshop.
  await tx.query('select pg_advisory_xact_lock($1)', [ONE_WORKSHOP]);
  const there = await tx.query('select 1 from workshop');
  if (there.rows.length > 0) throw new AppError('version-conflict', { what: 'workshop', id });
}

/**
 * Stores a whole shop in one transaction: all of it, or nothing. Refuses to write over a workshop that exists. `also` stores what
 * goes with it, in the same transaction.
 */
export async function importShop(
  deps: Deps,
  file: ShopFile,
  { isDemo = false, also }: { readonly isDemo?: boolean; readonly also?: (tx: Db) => Promise<void> } = {},
): Promise<{ parts: number; facts: number }> {
  for (const f of file.facts) checkEntry(entryOf(asInput(f)), deps.nowMs());
  for (const f of file.stockFacts ?? []) checkEntry(stockAsInput(f), deps.nowMs());
  checkShop(file);
  const nowMs = deps.nowMs();
  const store = async (tx: Db): Promise<{ parts: number; facts: number }> => {
    const id = file.workshop.workshopId;
    await needNoShop(tx, id);
    await insertFrame(tx, file, isDemo);
    await insertProducts(tx, id, file.sheets);
    await insertMachines(tx, file);
    for (const p of file.probes) {
      await tx.query(
        `insert into probe (workshop_id, probe_id, place_id, part_id, name, is_simulated, token_sha256, put_away_at) values ($1, $2, $3, $4, $5, $6, $7, ${AWAY('$8')})`,
        [
          id,
          p.probeId,
          p.placeId,
          p.partId,
          p.name,
          p.isSimulated,
          p.token === undefined ? null : sha256(p.token),
          isAway(p),
        ],
      );
    }
    await insertStockFacts(tx, file, nowMs);
    for (const f of file.facts)
      await insertEntry(tx, id, entryOf(asInput(f)), recordedAt(f, f.endedAt ?? f.happenedAt, nowMs), null);
    await insertShelf(tx, file);
    await also?.(tx);
    await tx.query(`insert into event (workshop_id, kind, at, body) values ($1, 'imported', $2, $3)`, [
      id,
      new Date(nowMs),
      { format: file.format, asOf: file.asOf, entries: file.facts.length + (file.stockFacts ?? []).length },
    ]);
    return {
      parts: file.machines.flatMap((m) => m.assemblies.flatMap((a) => a.parts)).length,
      facts: file.facts.length,
    };
  };
  return write(deps, store, { topic: 'entities' });
}

/** Tins before what happened to them, and mixes before the coats that name them. */
async function insertStockFacts(tx: Db, file: ShopFile, nowMs: number): Promise<void> {
  const id = file.workshop.workshopId;
  for (const t of file.tins ?? []) await insertTin(tx, id, t);
  for (const f of file.stockFacts ?? []) {
    await insertEntry(tx, id, stockAsInput(f), recordedAt(f, f.happenedAt, nowMs), null);
  }
}

async function insertShelf(tx: Db, file: ShopFile): Promise<void> {
  const id = file.workshop.workshopId;
  for (const p of file.packs ?? []) await insertPack(tx, id, p);
  for (const g of file.gauges ?? [])
    await tx.query(
      `insert into gauge (workshop_id, gauge_id, name, put_away_at, kind) values ($1, $2, $3, ${AWAY('$4')}, $5)`,
      [id, g.gaugeId, g.name, isAway(g), g.kind ?? 'film'],
    );
  for (const c of file.cups ?? []) await insertCup(tx, id, c);
  for (const t of file.templates ?? []) await insertTemplate(tx, id, t);
}

/** As the file says, and never later than now, but for what two clocks may differ by; a file made by hand says nothing, and then it is when it happened. */
const recordedAt = (f: WrittenDown, happenedAt: string, nowMs: number): Date =>
  new Date(Math.min(Date.parse(f.recordedAt ?? happenedAt), nowMs + CLOCK_SLACK_MS));

const stockAsInput = ({ recordedAt: _, evidence: _e, deviceId = 'import', ...f }: ShopStockFact) =>
  stockEntryOf({ ...f, deviceId });

const asInput = ({ recordedAt: _, evidence, deviceId = 'import', ...f }: ShopFact): FactInput => ({
  ...f,
  deviceId,
  evidence: evidence ?? null,
});

/** A file says only that something was put away; when it came in again is as good as when it was. */
const AWAY = (param: string): string => `case when ${param} then now() end`;
const isAway = (x: PutAway): boolean => x.isAway === true;

async function insertFrame(tx: Db, file: ShopFile, isDemo: boolean): Promise<void> {
  const { workshopId: id, name, zone, volumeSystem } = file.workshop;
  const { currency = 'EUR', hourCents, facilities, schools, capacity, putAway } = file.workshop;
  await tx.query(
    'insert into workshop (workshop_id, name, zone, volume_system, currency, is_demo, facilities, schools, hour_cents, capacity, put_away) values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11)',
    [
      id,
      name,
      zone,
      volumeSystem,
      currency,
      isDemo,
      facilities ?? null,
      schools ? JSON.stringify(schools) : null,
      hourCents ?? null,
      capacity ? JSON.stringify(capacity) : null,
      putAway ?? [],
    ],
  );
  for (const a of file.attendance)
    await tx.query(
      'insert into attendance (workshop_id, weekday, from_local, to_local) values ($1, $2, $3, $4)',
      [id, a.weekday, a.from, a.to],
    );
  for (const e of file.exceptions ?? [])
    await tx.query(
      'insert into attendance_exception (workshop_id, day, from_local, to_local) values ($1, $2, $3, $4)',
      [id, e.day, e.from, e.to],
    );
  for (const p of file.people)
    await tx.query(
      `insert into person (workshop_id, person_id, name, put_away_at, is_named, minor_until, comes) values ($1, $2, $3, ${AWAY('$4')}, $5, $6, $7)`,
      [id, p.personId, p.name, isAway(p), p.isNamed ?? false, p.minorUntil ?? null, p.comes ?? null],
    );
  for (const [i, p] of file.places.entries())
    await tx.query(
      `insert into place (workshop_id, place_id, name, exposure, altitude_m, setpoint_c, seq, put_away_at, air_of_id) values ($1, $2, $3, $4, $5, $6, $7, ${AWAY('$8')}, $9)`,
      [id, p.placeId, p.name, p.exposure, p.altitudeM, p.setpointC, i + 1, isAway(p), p.airOfId ?? null],
    );
}

export async function insertProducts(tx: Db, id: string, sheets: readonly ProductSheet[]): Promise<void> {
  for (const sheet of sheets) await insertSheet(tx, id, sheet);
}

async function insertMachines(tx: Db, file: ShopFile): Promise<void> {
  const id = file.workshop.workshopId;
  let seq = 0;
  for (const m of file.machines) {
    await tx.query(
      `insert into machine (workshop_id, machine_id, name, kind, seq, put_away_at, accession) values ($1, $2, $3, $4, $5, ${AWAY('$6')}, $7)`,
      [id, m.machineId, m.name, m.kind, ++seq, isAway(m), m.accession ?? null],
    );
    for (const a of m.assemblies) {
      await tx.query(
        `insert into assembly (workshop_id, assembly_id, machine_id, name, seq, put_away_at) values ($1, $2, $3, $4, $5, ${AWAY('$6')})`,
        [id, a.assemblyId, m.machineId, a.name, ++seq, isAway(a)],
      );
      for (const p of a.parts) await insertPart(tx, id, a.assemblyId, p, ++seq);
    }
  }
}

async function insertPart(tx: Db, id: string, assemblyId: string, p: ShopPart, seq: number): Promise<void> {
  await tx.query(
    `insert into part (workshop_id, part_id, assembly_id, name, substrate, mass_kg, area_m2, thickness_mm, is_bright_metal, faces, colour_group, pair_part_id, seq, put_away_at, comes_from)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, ${AWAY('$14')}, $15)`,
    [
      id,
      p.partId,
      assemblyId,
      p.name,
      p.substrate,
      p.massKg,
      p.areaM2,
      p.thicknessMm,
      p.isBrightMetal,
      p.faces,
      p.colourGroup,
      p.pairPartId,
      seq,
      isAway(p),
      p.comesFrom ?? null,
    ],
  );
  await tx.query(`insert into route (workshop_id, part_id, source) values ($1, $2, 'typed')`, [id, p.partId]);
  for (const [i, s] of p.route.entries()) {
    await tx.query(
      'insert into route_step (workshop_id, part_id, seq, step_id, kind, sheet_id, coats, dft_um) values ($1, $2, $3, $4, $5, $6, $7, $8)',
      [id, p.partId, i + 1, s.stepId, s.kind, s.sheetId, s.coats, s.dftUm],
    );
  }
}
