import type { Db } from '../db/db.ts';

/** Gives a person an address of their own in place of the one before; false: there is no such person, or they were put away. */
export async function setFeed(
  db: Db,
  of: { readonly workshopId: string; readonly personId: string },
  tokenSha256: string,
  madeAtMs: number,
): Promise<boolean> {
  const r = await db.query(
    `insert into feed (workshop_id, person_id, token_sha256, made_at)
     select workshop_id, person_id, $3, $4 from person where workshop_id = $1 and person_id = $2 and put_away_at is null
     on conflict (workshop_id, person_id) do update set token_sha256 = excluded.token_sha256, made_at = excluded.made_at`,
    [of.workshopId, of.personId, tokenSha256, new Date(madeAtMs)],
  );
  return r.rowCount === 1;
}

/** Ends a person's address. */
export const endFeed = (db: Db, workshopId: string, personId: string): Promise<unknown> =>
  db.query('delete from feed where workshop_id = $1 and person_id = $2', [workshopId, personId]);

/** Whose address it is; null: nobody's, not any more, or of somebody who was put away. */
export async function feedOwner(db: Db, workshopId: string, tokenSha256: string): Promise<string | null> {
  const { rows } = await db.query<{ person_id: string }>(
    `select person_id from feed join person using (workshop_id, person_id)
     where workshop_id = $1 and token_sha256 = $2 and put_away_at is null`,
    [workshopId, tokenSha256],
  );
  return rows[0]?.person_id ?? null;
}
