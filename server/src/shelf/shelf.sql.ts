import type { CupView, NewTin, Pack, TinRow } from '@calvetta/contract';
import type { TinPatch } from '@calvetta/contract/schemas';
import type { Db } from '../db/db.ts';

const TIN_COLUMNS = `tin_id as "tinId", product_id as "productId", content, batch, colour, size_ml as "sizeMl",
  (extract(epoch from made_on::timestamp at time zone 'UTC') * 1000)::float8 as "madeMs", price_cents as "priceCents", tare_g as "tareG", version`;

export async function listTins(db: Db, workshopId: string): Promise<TinRow[]> {
  const { rows } = await db.query<TinRow>(
    `select ${TIN_COLUMNS} from tin where workshop_id = $1 order by product_id, content, tin_id`,
    [workshopId],
  );
  return rows;
}
export async function findTin(db: Db, workshopId: string, tinId: string): Promise<TinRow | null> {
  const { rows } = await db.query<TinRow>(
    `select ${TIN_COLUMNS} from tin where workshop_id = $1 and tin_id = $2`,
    [workshopId, tinId],
  );
  return rows[0] ?? null;
}

/** Stores a tin's label once. False when the id is taken. */
export async function insertTin(db: Db, workshopId: string, t: NewTin): Promise<boolean> {
  const r = await db.query(
    `insert into tin (workshop_id, tin_id, product_id, content, batch, colour, size_ml, made_on, price_cents, tare_g)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10) on conflict (workshop_id, tin_id) do nothing`,
    [
      workshopId,
      t.tinId,
      t.productId,
      t.content,
      t.batch,
      t.colour,
      t.sizeMl,
      t.madeOn,
      t.priceCents,
      t.tareG,
    ],
  );
  return r.rowCount === 1;
}

const PATCHED: Readonly<Record<Exclude<keyof TinPatch, 'version'>, string>> = {
  batch: 'batch',
  colour: 'colour',
  madeOn: 'made_on',
  priceCents: 'price_cents',
  tareG: 'tare_g',
};
/** Changes a label when its version is still the one the person saw. */
export async function patchTin(db: Db, workshopId: string, tinId: string, patch: TinPatch): Promise<boolean> {
  const fields = (Object.keys(PATCHED) as (keyof typeof PATCHED)[]).filter((k) => patch[k] !== undefined);
  const sets = fields.map((k, i) => `${PATCHED[k]} = $${i + 4}`).join(', ');
  const r = await db.query(
    `update tin set ${sets}, version = version + 1 where workshop_id = $1 and tin_id = $2 and version = $3`,
    [workshopId, tinId, patch.version, ...fields.map((k) => patch[k])],
  );
  return r.rowCount === 1;
}

export async function listPacks(db: Db, workshopId: string): Promise<Pack[]> {
  const { rows } = await db.query<Pack>(
    `select pack_id as "packId", product_id as "productId", content, size_ml as "sizeMl", price_cents as "priceCents"
     from pack where workshop_id = $1 order by product_id, content, size_ml`,
    [workshopId],
  );
  return rows;
}
/** Stores a pack, or its new size and price under the same id. */
export async function insertPack(db: Db, workshopId: string, p: Pack): Promise<boolean> {
  const r = await db.query(
    `insert into pack (workshop_id, pack_id, product_id, content, size_ml, price_cents) values ($1, $2, $3, $4, $5, $6)
     on conflict do nothing`,
    [workshopId, p.packId, p.productId, p.content, p.sizeMl, p.priceCents],
  );
  return r.rowCount === 1;
}
export async function deletePack(db: Db, workshopId: string, packId: string): Promise<boolean> {
  const r = await db.query('delete from pack where workshop_id = $1 and pack_id = $2', [workshopId, packId]);
  return r.rowCount === 1;
}

export async function listCups(db: Db, workshopId: string): Promise<CupView[]> {
  const { rows } = await db.query<CupView>(
    `select cup_id as "cupId", name, bottom_mm as "bottomMm", top_mm as "topMm", height_mm as "heightMm"
     from cup where workshop_id = $1 order by name`,
    [workshopId],
  );
  return rows;
}
/** Stores a cup; false when its name or id is taken. */
export async function insertCup(db: Db, workshopId: string, c: CupView): Promise<boolean> {
  const r = await db.query(
    'insert into cup (workshop_id, cup_id, name, bottom_mm, top_mm, height_mm) values ($1, $2, $3, $4, $5, $6) on conflict do nothing',
    [workshopId, c.cupId, c.name, c.bottomMm, c.topMm, c.heightMm],
  );
  return r.rowCount === 1;
}
export async function deleteCup(db: Db, workshopId: string, cupId: string): Promise<boolean> {
  const r = await db.query('delete from cup where workshop_id = $1 and cup_id = $2', [workshopId, cupId]);
  return r.rowCount === 1;
}
