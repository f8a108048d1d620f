import type { Db } from '../db/db.ts';
import { AppError } from '../http/errors.ts';
import { THINGS, type Thing } from './things.ts';

/** A thing as it is stored: its fields, with the version an edit must name. */
export type StoredThing = Readonly<Record<string, unknown>> & {
  readonly version: number;
  readonly isAway: boolean;
};
type Values = Readonly<Record<string, unknown>>;

const fieldsOf = (t: Thing): (readonly [string, string])[] => [
  [t.id.field, t.id.column],
  ...Object.entries(t.columns),
];

export async function findThing(
  db: Db,
  t: Thing,
  workshopId: string,
  id: string,
): Promise<StoredThing | null> {
  const columns = fieldsOf(t).map(([field, column]) => `${column} as "${field}"`);
  const { rows } = await db.query<StoredThing>(
    `select ${columns.join(', ')}, version, put_away_at is not null as "isAway" from ${t.table} where workshop_id = $1 and ${t.id.column} = $2`,
    [workshopId, id],
  );
  return rows[0] ?? null;
}

/** Stores a new one, last in its order; false when its id is taken. */
export async function insertThing(db: Db, t: Thing, workshopId: string, sent: Values): Promise<boolean> {
  const fields = fieldsOf(t);
  const seq = `(select coalesce(max(seq), 0) + 1 from ${t.table} where workshop_id = $1)`;
  const columns = ['workshop_id', ...fields.map(([, c]) => c), ...(t.isOrdered ? ['seq'] : [])];
  const values = ['$1', ...fields.map((_, i) => `$${i + 2}`), ...(t.isOrdered ? [seq] : [])];
  const r = await db.query(
    `insert into ${t.table} (${columns.join(', ')}) values (${values.join(', ')}) on conflict do nothing`,
    [workshopId, ...fields.map(([f]) => sent[f])],
  );
  return r.rowCount === 1;
}

/** Changes the given fields where the version is still the one that was seen; false where somebody was first, or it is not there. */
export async function patchThing(
  db: Db,
  t: Thing,
  workshopId: string,
  id: string,
  patch: Values & { readonly version: number },
): Promise<boolean> {
  const fields = Object.entries(t.columns).filter(([f]) => patch[f] !== undefined);
  const sets = [...fields.map(([, column], i) => `${column} = $${i + 4}`), 'version = version + 1'];
  if (patch['isAway'] === true)
    sets.push('put_away_at = coalesce(put_away_at, now())', ...(t.away === undefined ? [] : [t.away]));
  if (patch['isAway'] === false) sets.push('put_away_at = null');
  const r = await db.query(
    `update ${t.table} set ${sets.join(', ')} where workshop_id = $1 and ${t.id.column} = $2 and version = $3`,
    [workshopId, id, patch.version, ...fields.map(([f]) => patch[f])],
  );
  if (r.rowCount !== 1) return false;
  const { before } = patch;
  if (typeof before === 'string' || before === null) await moveBefore(db, t, workshopId, id, before);
  return true;
}

/** Puts it before another of its kind; null: last. */
async function moveBefore(
  db: Db,
  t: Thing,
  workshopId: string,
  id: string,
  before: string | null,
): Promise<void> {
  if (before === id) return;
  const last = `select coalesce(max(seq), 0) + 1 as seq from ${t.table} where workshop_id = $1 and $2::text is null`;
  const at = `select seq from ${t.table} where workshop_id = $1 and ${t.id.column} = $2`;
  const { rows } = await db.query<{ seq: number }>(before === null ? last : at, [workshopId, before]);
  const seq = rows[0]?.seq;
  if (seq === undefined) throw new AppError('unknown-reference', { fields: ['before'] });
  await db.query(`update ${t.table} set seq = seq + 1 where workshop_id = $1 and seq >= $2`, [
    workshopId,
    seq,
  ]);
  await db.query(`update ${t.table} set seq = $3 where workshop_id = $1 and ${t.id.column} = $2`, [
    workshopId,
    id,
    seq,
  ]);
}

/** Whatever the values name must be there. */
export async function checkPoints(db: Db, t: Thing, workshopId: string, values: Values): Promise<void> {
  const unknown: string[] = [];
  for (const [field, what] of Object.entries(t.points)) {
    const id = values[field];
    if (typeof id === 'string' && !(await findThing(db, THINGS[what], workshopId, id))) unknown.push(field);
  }
  if (unknown.length > 0) throw new AppError('unknown-reference', { fields: unknown });
}

/** Deletes one of which nothing is recorded; false where something is. */
export async function deleteThing(db: Db, t: Thing, workshopId: string, id: string): Promise<boolean> {
  // Held first: what would be recorded of it meanwhile waits, and is then refused by what it points at.
  await db.query(`select 1 from ${t.table} where workshop_id = $1 and ${t.id.column} = $2 for update`, [
    workshopId,
    id,
  ]);
  const recorded = await db.query(`${t.record} limit 1`, [workshopId, id]);
  if (recorded.rows.length > 0) return false;
  for (const sql of t.goesWith ?? []) await db.query(sql, [workshopId, id]);
  await db.query(`delete from ${t.table} where workshop_id = $1 and ${t.id.column} = $2`, [workshopId, id]);
  return true;
}
