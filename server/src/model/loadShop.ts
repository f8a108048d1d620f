import { groupBy, sheetsById, type Fact, type ShopRecord, type ShopState } from '@calvetta/core';
import type { Db } from '../db/db.ts';
import { lastSeq, listFacts, listStock } from '../ledger/ledger.sql.ts';
import { listCups, listPacks, listTins } from '../shelf/shelf.sql.ts';
import {
  findWorkshop,
  listAssemblies,
  listAttendance,
  listGauges,
  listMachines,
  listParts,
  listPeople,
  listPlaces,
  listProbes,
  listRouteSteps,
  listSheets,
} from '../shop/shop.sql.ts';

/** Reads the whole workshop; null when there is none yet. `readTo` is told how far in the ledger it has come at least. */
export async function loadShop(db: Db, readTo: (seq: number) => void): Promise<ShopRecord | null> {
  const workshop = await findWorkshop(db);
  if (!workshop) return null;
  const id = workshop.workshopId;
  const seq = await lastSeq(db, id);
  const [
    attendance,
    people,
    places,
    probes,
    sheets,
    machines,
    assemblies,
    parts,
    steps,
    facts,
    tins,
    packs,
    cups,
    gauges,
    stock,
  ] = await Promise.all([
    listAttendance(db, id),
    listPeople(db, id),
    listPlaces(db, id),
    listProbes(db, id),
    listSheets(db, id),
    listMachines(db, id),
    listAssemblies(db, id),
    listParts(db, id),
    listRouteSteps(db, id),
    listFacts(db, id),
    listTins(db, id),
    listPacks(db, id),
    listCups(db, id),
    listGauges(db, id),
    listStock(db, id),
  ]);
  if (seq !== null) readTo(seq);
  return {
    workshop,
    attendance,
    people,
    places,
    probes,
    sheets,
    machines,
    assemblies,
    parts,
    steps,
    facts,
    tins,
    packs,
    cups,
    gauges,
    stock,
  };
}

/** What of a shop was written since it was read. */
export interface Stale {
  readonly all: boolean;
  readonly partIds: ReadonlySet<string>;
  readonly stock: boolean;
  /** Parts and machines themselves, not what happened to them. */
  readonly rows: boolean;
  readonly sheets: boolean;
}
export const NOTHING_STALE: Stale = {
  all: false,
  partIds: new Set(),
  stock: false,
  rows: false,
  sheets: false,
};
export const ALL_STALE: Stale = { ...NOTHING_STALE, all: true };
export const isStale = (s: Stale): boolean => s.all || s.stock || s.rows || s.sheets || s.partIds.size > 0;
export const bothStale = (a: Stale, b: Stale): Stale => ({
  all: a.all || b.all,
  partIds: new Set([...a.partIds, ...b.partIds]),
  stock: a.stock || b.stock,
  rows: a.rows || b.rows,
  sheets: a.sheets || b.sheets,
});

/** The shop with only what was written read again. */
export async function reloadShop(db: Db, shop: ShopState, stale: Stale): Promise<ShopState> {
  const id = shop.workshop.workshopId;
  const partIds = [...stale.partIds];
  const [facts, stock, rows, sheets] = await Promise.all([
    partIds.length > 0 ? listFacts(db, id, partIds) : [],
    stale.stock ? reloadStock(db, id) : {},
    stale.rows ? reloadRows(db, id) : {},
    stale.sheets ? reloadSheets(db, id) : {},
  ]);
  const byPart = new Map<string, Fact[]>(partIds.map((partId) => [partId, []]));
  for (const f of facts) byPart.get(f.partId)?.push(f);
  return { ...shop, ...stock, ...rows, ...sheets, facts: new Map([...shop.facts, ...byPart]) };
}

async function reloadRows(
  db: Db,
  id: string,
): Promise<Pick<ShopState, 'machines' | 'assemblies' | 'parts' | 'steps'>> {
  const [machines, assemblies, parts, steps] = await Promise.all([
    listMachines(db, id),
    listAssemblies(db, id),
    listParts(db, id),
    listRouteSteps(db, id),
  ]);
  return { machines, assemblies, parts, steps: groupBy(steps, (s) => s.partId) };
}

const reloadSheets = async (db: Db, id: string): Promise<Pick<ShopState, 'sheets'>> => ({
  sheets: sheetsById(await listSheets(db, id)),
});

async function reloadStock(
  db: Db,
  id: string,
): Promise<Pick<ShopState, 'tins' | 'packs' | 'cups' | 'stock'>> {
  const [tins, packs, cups, stock] = await Promise.all([
    listTins(db, id),
    listPacks(db, id),
    listCups(db, id),
    listStock(db, id),
  ]);
  return { tins, packs, cups, stock };
}
