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

/** When a mix was made by its standing entry, epoch ms; null when there is none. */
export async function findMixedAt(db: Db, workshopId: string, mixId: string): Promise<number | null> {
  const { rows } = await db.query<{ ms: number }>(
    `select (extract(epoch from happened_at) * 1000)::float8 as ms from stock_fact f
     where workshop_id = $1 and kind = 'mixed' and body ->> 'mixId' = $2
     and not exists (select 1 from stock_fact s where s.workshop_id = f.workshop_id and s.supersedes = f.fact_id)`,
    [workshopId, mixId],
  );
  return rows[0]?.ms ?? null;
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
