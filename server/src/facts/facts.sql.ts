import type { Fact } from '@calvetta/core';
import type { FactInput } from '@calvetta/contract';
import type { Db } from '../db/db.ts';
import { FACT_COLUMNS, toFact, type FactRow } from '../shop/shop.sql.ts';

/** Stores a fact once. False when the same id is already there. */
export async function insertFact(
  db: Db,
  workshopId: string,
  f: FactInput,
  recordedAt: Date,
): Promise<boolean> {
  const r = await db.query(
    `insert into fact (workshop_id, fact_id, kind, part_id, face, happened_at, ended_at, recorded_at, person_id, device_id, supersedes, body, evidence)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13) on conflict (workshop_id, fact_id) do nothing`,
    [
      workshopId,
      f.factId,
      f.kind,
      f.partId,
      f.face,
      f.happenedAt,
      f.endedAt,
      recordedAt,
      f.personId,
      f.deviceId,
      f.supersedes,
      f.body,
      f.evidence,
    ],
  );
  return r.rowCount === 1;
}

export async function findFact(db: Db, workshopId: string, factId: string): Promise<Fact | null> {
  const { rows } = await db.query<FactRow>(
    `select ${FACT_COLUMNS} from fact where workshop_id = $1 and fact_id = $2`,
    [workshopId, factId],
  );
  return rows[0] ? toFact(rows[0]) : null;
}

/** The fact that corrected another, if any. */
export async function findSuperseding(db: Db, workshopId: string, factId: string): Promise<Fact | null> {
  const { rows } = await db.query<FactRow>(
    `select ${FACT_COLUMNS} from fact where workshop_id = $1 and supersedes = $2`,
    [workshopId, factId],
  );
  return rows[0] ? toFact(rows[0]) : null;
}

/** Standing coats that say they cover this one. */
export async function findCoatsOver(db: Db, workshopId: string, factId: string): Promise<Fact[]> {
  const { rows } = await db.query<FactRow>(
    `select ${FACT_COLUMNS} from fact f where workshop_id = $1 and kind = 'coated' and body ->> 'over' = $2
     and not exists (select 1 from fact s where s.workshop_id = f.workshop_id and s.supersedes = f.fact_id)`,
    [workshopId, factId],
  );
  return rows.map(toFact);
}

/** When a mix was made by its standing entry, epoch ms, and of which product; null when there is none. */
export async function findMixed(
  db: Db,
  workshopId: string,
  mixId: string,
): Promise<{ readonly atMs: number; readonly productId: string } | null> {
  const { rows } = await db.query<{ atMs: number; productId: string }>(
    `select (extract(epoch from f.happened_at) * 1000)::float8 as "atMs", s.product_id as "productId" from stock_fact f
     join sheet s on s.workshop_id = f.workshop_id and s.sheet_id = f.body ->> 'sheetId'
     where f.workshop_id = $1 and f.kind = 'mixed' and f.body ->> 'mixId' = $2
     and not exists (select 1 from stock_fact n where n.workshop_id = f.workshop_id and n.supersedes = f.fact_id)`,
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

/** The part's, place's, sheet's or person's existence, checked together. */
export async function missingReferences(db: Db, workshopId: string, f: FactInput): Promise<string[]> {
  const { rows } = await db.query<{
    part: boolean;
    person: boolean;
    place: boolean;
    sheet: boolean;
    mix: boolean;
  }>(
    `select exists (select 1 from part where workshop_id = $1 and part_id = $2) as part,
            exists (select 1 from person where workshop_id = $1 and person_id = $3) as person,
            $4::text is null or exists (select 1 from place where workshop_id = $1 and place_id = $4) as place,
            $5::text is null or exists (select 1 from sheet where workshop_id = $1 and sheet_id = $5) as sheet,
            $6::text is null or exists (select 1 from stock_fact where workshop_id = $1 and kind = 'mixed' and body ->> 'mixId' = $6) as mix`,
    [
      workshopId,
      f.partId,
      f.personId,
      f.body['placeId'] ?? null,
      f.body['sheetId'] ?? null,
      f.body['mixId'] ?? null,
    ],
  );
  const found = rows[0]!;
  return [
    ['partId', found.part],
    ['personId', found.person],
    ['body.placeId', found.place],
    ['body.sheetId', found.sheet],
    ['body.mixId', found.mix],
  ]
    .filter(([, ok]) => ok !== true)
    .map(([name]) => String(name));
}
