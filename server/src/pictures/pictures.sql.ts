import type { Db } from '../db/db.ts';
import type { Picture } from './readPicture.ts';

/** Stores a picture once; false when it was stored before. */
export async function insertPicture(
  db: Db,
  workshopId: string,
  p: Picture,
  takenAt: Date | null,
  storedAt: Date,
): Promise<boolean> {
  const { rows } = await db.query(
    `insert into picture (workshop_id, picture_id, width_px, height_px, taken_at, stored_at, jpeg, thumb)
     values ($1, $2, $3, $4, $5, $6, $7, $8) on conflict do nothing returning 1`,
    [workshopId, p.pictureId, p.widthPx, p.heightPx, takenAt, storedAt, p.jpeg, p.thumb],
  );
  return rows.length > 0;
}

/** The picture itself or its small one; null when there is none of that name. */
export async function findPicture(
  db: Db,
  pictureId: string,
  column: 'jpeg' | 'thumb',
): Promise<Buffer | null> {
  const { rows } = await db.query<{ bytes: Buffer }>(
    `select ${column} as bytes from picture where picture_id = $1`,
    [pictureId],
  );
  return rows[0]?.bytes ?? null;
}
