import {
  PART_FACTS,
  type Face,
  type Fact,
  type FactKind,
  type Ref,
  type StockFact,
  type StockKind,
} from '@calvetta/core';
import type { EntryWhole, KnownHow } from '@calvetta/contract';
import type { Db } from '../db/db.ts';

export type EntryKind = FactKind | StockKind;
/** An entry of the ledger as a client sends it, about a part or about stock. */
export interface EntryInput {
  readonly factId: string;
  readonly kind: EntryKind;
  readonly partId: string | null;
  readonly face: Face | null;
  readonly happenedAt: string;
  readonly endedAt: string | null;
  readonly personId: string;
  readonly deviceId: string;
  readonly supersedes: string | null;
  readonly body: Readonly<Record<string, unknown>>;
  readonly evidence: Readonly<Record<string, unknown>> | null;
}
/** An entry as stored. */
export type Entry = Fact | StockFact;

interface EntryRow {
  readonly fact_id: string;
  readonly kind: EntryKind;
  readonly part_id: string | null;
  readonly face: Face | null;
  readonly happened_ms: number;
  readonly ended_ms: number | null;
  readonly recorded_ms: number;
  readonly person_id: string;
  readonly device_id: string;
  readonly supersedes: string | null;
  readonly body: unknown;
}
const COLUMNS = `fact_id, kind, part_id, face, (extract(epoch from happened_at) * 1000)::float8 as happened_ms,
  (extract(epoch from ended_at) * 1000)::float8 as ended_ms, (extract(epoch from recorded_at) * 1000)::float8 as recorded_ms, person_id, device_id, supersedes, body`;

/** The one place a row becomes an entry. Its body was checked by its kind's shape when it was stored. */
function toEntry(r: EntryRow): Entry {
  const about = r.part_id === null ? {} : { partId: r.part_id, face: r.face, endedAtMs: r.ended_ms };
  return {
    factId: r.fact_id,
    kind: r.kind,
    ...about,
    happenedAtMs: r.happened_ms,
    recordedAtMs: r.recorded_ms,
    personId: r.person_id,
    deviceId: r.device_id,
    supersedes: r.supersedes,
    body: r.body,
  } as Entry;
}

/** Who wrote it down, and how it is known that the person it names did it. */
export interface Entered {
  /** Null: nobody was signed in. */
  readonly by: string | null;
  readonly how: KnownHow;
}

/** Stores an entry once. False when the same id is already there. */
export async function insertEntry(
  db: Db,
  workshopId: string,
  e: EntryInput,
  recordedAt: Date,
  entered: Entered | null,
): Promise<boolean> {
  const r = await db.query(
    `insert into fact (workshop_id, fact_id, subject, kind, part_id, face, happened_at, ended_at, recorded_at, person_id, device_id, supersedes, body, evidence, entered_by, how)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15, $16) on conflict (workshop_id, fact_id) do nothing`,
    [
      workshopId,
      e.factId,
      e.kind in PART_FACTS ? 'part' : 'stock',
      e.kind,
      e.partId,
      e.face,
      e.happenedAt,
      e.endedAt,
      recordedAt,
      e.personId,
      e.deviceId,
      e.supersedes,
      e.body,
      e.evidence,
      entered?.by ?? null,
      entered?.how ?? null,
    ],
  );
  return r.rowCount === 1;
}

async function entries(db: Db, where: string, values: readonly unknown[]): Promise<Entry[]> {
  const { rows } = await db.query<EntryRow>(
    `select ${COLUMNS} from fact f where workshop_id = $1 and ${where}`,
    values,
  );
  return rows.map(toEntry);
}
const STANDS =
  'not exists (select 1 from fact s where s.workshop_id = f.workshop_id and s.supersedes = f.fact_id)';

export async function findEntry(db: Db, workshopId: string, factId: string): Promise<Entry | null> {
  return (await entries(db, 'fact_id = $2', [workshopId, factId]))[0] ?? null;
}
/** Place in the ledger of the last of these entries, or of all; null where there is none. */
export async function lastSeq(
  db: Db,
  workshopId: string,
  factIds: readonly string[] | null = null,
): Promise<number | null> {
  const { rows } = await db.query<{ seq: number | null }>(
    'select max(seq)::float8 as seq from fact where workshop_id = $1 and ($2::uuid[] is null or fact_id = any($2))',
    [workshopId, factIds],
  );
  return rows[0]?.seq ?? null;
}
/** Who wrote an entry down; null: nobody was signed in, or there is none. */
export async function enteredBy(db: Db, workshopId: string, factId: string): Promise<string | null> {
  const { rows } = await db.query<{ by: string | null }>(
    'select entered_by as by from fact where workshop_id = $1 and fact_id = $2',
    [workshopId, factId],
  );
  return rows[0]?.by ?? null;
}
/** How it is known who did what was done to some parts, by entry. */
export async function howKnownOf(
  db: Db,
  workshopId: string,
  partIds: readonly string[],
): Promise<Map<string, KnownHow>> {
  const { rows } = await db.query<{ id: string; how: KnownHow }>(
    'select fact_id as id, how from fact where workshop_id = $1 and part_id = any($2) and how is not null',
    [workshopId, partIds],
  );
  return new Map(rows.map((r) => [r.id, r.how]));
}
/** What stood on the page when entries were made, by their ids. */
export async function evidenceOf(
  db: Db,
  workshopId: string,
): Promise<Map<string, Readonly<Record<string, unknown>>>> {
  const { rows } = await db.query<{ id: string; evidence: Record<string, unknown> }>(
    'select fact_id as id, evidence from fact where workshop_id = $1 and evidence is not null',
    [workshopId],
  );
  return new Map(rows.map((r) => [r.id, r.evidence]));
}
/** The entry that corrected another, if any. */
export async function findSuperseding(db: Db, workshopId: string, factId: string): Promise<Entry | null> {
  return (await entries(db, 'supersedes = $2', [workshopId, factId]))[0] ?? null;
}
/** What became of an entry: itself, its last correction, or what took it back. */
export async function findStanding(db: Db, workshopId: string, entry: Entry): Promise<Entry> {
  let at = entry;
  for (;;) {
    const next = await findSuperseding(db, workshopId, at.factId);
    if (!next) return at;
    at = next;
  }
}
/** Facts of all parts, or of some. */
export async function listFacts(
  db: Db,
  workshopId: string,
  partIds: readonly string[] | null = null,
): Promise<Fact[]> {
  const where = `subject = 'part' and ($2::text[] is null or part_id = any($2)) order by happened_at, seq`;
  return (await entries(db, where, [workshopId, partIds])) as Fact[];
}
export async function listStock(db: Db, workshopId: string): Promise<StockFact[]> {
  const where = `subject = 'stock' order by happened_at, seq`;
  return (await entries(db, where, [workshopId])) as StockFact[];
}
/**
 * Locks parts, then mixes (by what made them, and by what is taken back), then tins, each in the order of their ids. Held to the
 * end of the transaction.
 */
export async function lockRows(
  tx: Db,
  workshopId: string,
  rows: {
    readonly parts: readonly string[];
    readonly mixes: readonly string[];
    readonly tins: readonly string[];
    readonly superseded: readonly string[];
  },
): Promise<void> {
  if (rows.parts.length > 0)
    await tx.query(
      'select 1 from part where workshop_id = $1 and part_id = any($2) order by part_id for no key update',
      [workshopId, rows.parts],
    );
  // A mix has no row of its own: its id is locked as a number.
  const taken = await tx.query<{ mix: string }>(
    `select body ->> 'mixId' as mix from fact where workshop_id = $1 and fact_id = any($2) and body ? 'mixId'`,
    [workshopId, rows.superseded],
  );
  const mixes = [...new Set([...rows.mixes, ...taken.rows.map((r) => r.mix)])].sort();
  for (const mix of mixes) await tx.query('select pg_advisory_xact_lock(7401002, hashtext($1))', [mix]);
  if (rows.tins.length > 0)
    await tx.query(
      'select 1 from tin where workshop_id = $1 and tin_id = any($2) order by tin_id for no key update',
      [workshopId, rows.tins],
    );
}

/** Standing coats that say they cover this one, or one that it corrected: a later coat names whichever stood when it was laid. */
export const findCoatsOver = async (db: Db, workshopId: string, factId: string): Promise<Fact[]> =>
  (await entries(
    db,
    `kind = 'coated' and ${STANDS} and body ->> 'over' in (
       with recursive chain as (
         select c.fact_id, c.supersedes from fact c where c.workshop_id = $1 and c.fact_id = $2
         union
         select c.fact_id, c.supersedes from fact c join chain on c.workshop_id = $1 and c.fact_id = chain.supersedes
       ) select fact_id::text from chain)`,
    [workshopId, factId],
  )) as Fact[];
/** Standing coats that came from a mix. */
export const findCoatsFrom = async (db: Db, workshopId: string, mixId: string): Promise<Fact[]> =>
  (await entries(db, `kind = 'coated' and body ->> 'mixId' = $2 and ${STANDS}`, [
    workshopId,
    mixId,
  ])) as Fact[];

/** When a mix was made by its standing entry, epoch ms, and of which product; null when there is none. */
export async function findMixed(
  db: Db,
  workshopId: string,
  mixId: string,
): Promise<{ readonly atMs: number; readonly productId: string } | null> {
  const { rows } = await db.query<{ atMs: number; productId: string }>(
    `select (extract(epoch from f.happened_at) * 1000)::float8 as "atMs", s.product_id as "productId" from fact f
     join sheet s on s.workshop_id = f.workshop_id and s.sheet_id = f.body ->> 'sheetId'
     where f.workshop_id = $1 and f.kind = 'mixed' and f.body ->> 'mixId' = $2 and ${STANDS}`,
    [workshopId, mixId],
  );
  return rows[0] ?? null;
}

/** The product a sheet is of; null when there is no such sheet. */
export async function productOf(db: Db, workshopId: string, sheetId: string): Promise<string | null> {
  const { rows } = await db.query<{ id: string }>(
    'select product_id as id from sheet where workshop_id = $1 and sheet_id = $2',
    [workshopId, sheetId],
  );
  return rows[0]?.id ?? null;
}

/** Where each thing that an entry may point at is found. */
const FOUND: Readonly<Record<Ref, string>> = {
  part: 'select 1 from part where workshop_id = $1 and part_id = $2',
  place: 'select 1 from place where workshop_id = $1 and place_id = $2',
  person: 'select 1 from person where workshop_id = $1 and person_id = $2',
  sheet: 'select 1 from sheet where workshop_id = $1 and sheet_id = $2',
  tin: 'select 1 from tin where workshop_id = $1 and tin_id = $2',
  gauge: 'select 1 from gauge where workshop_id = $1 and gauge_id = $2',
  picture: 'select 1 from picture where workshop_id = $1 and picture_id = $2',
  fact: 'select 1 from fact where workshop_id = $1 and fact_id::text = $2',
  mix: `select 1 from fact where workshop_id = $1 and kind = 'mixed' and body ->> 'mixId' = $2`,
};
export const isThere = async (db: Db, workshopId: string, of: Ref, id: string): Promise<boolean> =>
  (await db.query(FOUND[of], [workshopId, id])).rows.length > 0;

/** All that is stored of an entry, with its link and what became of it. */
export async function entryWhole(db: Db, workshopId: string, factId: string): Promise<EntryWhole | null> {
  const { rows } = await db.query<Omit<EntryWhole, 'corrects' | 'correctedBy'>>(
    `select f.fact_id as "factId", f.kind, f.person_id as "personId", f.entered_by as "enteredBy", f.how, f.device_id as "deviceId", f.evidence,
       (extract(epoch from f.happened_at) * 1000)::float8 as "happenedAtMs",
       (extract(epoch from f.recorded_at) * 1000)::float8 as "recordedAtMs",
       c.seq::float8 as "linkSeq", c.hash as "linkHash", coalesce((c.entry::jsonb ->> 'adopted')::boolean, false) as "isAdopted"
     from fact f left join chain c on c.workshop_id = f.workshop_id and c.kind = 'fact' and c.id = f.fact_id::text
     where f.workshop_id = $1 and f.fact_id = $2`,
    [workshopId, factId],
  );
  const found = rows[0];
  if (!found) return null;
  const near = await db.query<{ fact_id: string; supersedes: string | null }>(
    'select fact_id, supersedes from fact where workshop_id = $1 and (supersedes = $2 or fact_id = $2)',
    [workshopId, factId],
  );
  return {
    ...found,
    corrects: near.rows.find((r) => r.fact_id === factId)?.supersedes ?? null,
    correctedBy: near.rows.find((r) => r.supersedes === factId)?.fact_id ?? null,
  };
}
