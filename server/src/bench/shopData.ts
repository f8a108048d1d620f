import type { Fact, ProductSheet, StockFact } from '@calvetta/core';
import type { CupView, Pack, PlaceInfo, TinRow } from '@calvetta/contract';
import type { Db } from '../db/db.ts';
import { listCups, listPacks, listStock, listTins } from '../shelf/shelf.sql.ts';
import {
  findWorkshop,
  listAttendance,
  listFacts,
  listMachines,
  listParts,
  listPeople,
  listPlaces,
  listProbes,
  listRouteSteps,
  listSheets,
  type AttendanceExceptionRow,
  type AttendanceRow,
  type MachineRow,
  type PartRow,
  type Probe,
  type RouteStepRow,
  type Workshop,
} from '../shop/shop.sql.ts';

/** Everything of a workshop but its time series, as stored. */
export interface ShopData {
  readonly workshop: Workshop;
  readonly attendance: {
    readonly weekly: readonly AttendanceRow[];
    readonly exceptions: readonly AttendanceExceptionRow[];
  };
  readonly people: readonly { readonly personId: string; readonly name: string }[];
  readonly places: readonly PlaceInfo[];
  readonly probes: readonly Probe[];
  readonly sheets: ReadonlyMap<string, ProductSheet>;
  readonly machines: readonly MachineRow[];
  readonly parts: readonly PartRow[];
  readonly steps: ReadonlyMap<string, readonly RouteStepRow[]>;
  readonly facts: ReadonlyMap<string, readonly Fact[]>;
  readonly tins: readonly TinRow[];
  readonly packs: readonly Pack[];
  readonly cups: readonly CupView[];
  readonly stock: readonly StockFact[];
}

/** Reads the workshop in one consistent snapshot; null when there is none yet. */
export async function loadShop(db: Db): Promise<ShopData | null> {
  const workshop = await findWorkshop(db);
  if (!workshop) return null;
  const id = workshop.workshopId;
  const [
    attendance,
    people,
    places,
    probes,
    sheets,
    machines,
    parts,
    steps,
    facts,
    tins,
    packs,
    cups,
    stock,
  ] = await Promise.all([
    listAttendance(db, id),
    listPeople(db, id),
    listPlaces(db, id),
    listProbes(db, id),
    listSheets(db, id),
    listMachines(db, id),
    listParts(db, id),
    listRouteSteps(db, id),
    listFacts(db, id),
    listTins(db, id),
    listPacks(db, id),
    listCups(db, id),
    listStock(db, id),
  ]);
  return {
    workshop,
    attendance,
    people,
    places,
    probes,
    machines,
    parts,
    tins,
    packs,
    cups,
    stock,
    sheets: new Map(sheets.map((s) => [s.sheetId, s])),
    steps: groupBy(steps, (s) => s.partId),
    facts: groupBy(facts, (f) => f.partId),
  };
}

function groupBy<T>(items: readonly T[], key: (item: T) => string): Map<string, T[]> {
  const out = new Map<string, T[]>();
  for (const item of items) {
    const list = out.get(key(item));
    if (list) list.push(item);
    else out.set(key(item), [item]);
  }
  return out;
}
