import type { PartPatch } from '@calvetta/contract/schemas';
import type { Db } from '../db/db.ts';

const COLUMNS: Readonly<Record<Exclude<keyof PartPatch, 'version'>, string>> = {
  name: 'name',
  massKg: 'mass_kg',
  areaM2: 'area_m2',
  thicknessMm: 'thickness_mm',
  substrate: 'substrate',
  colourGroup: 'colour_group',
};

/** Changes the given fields when the version is still the one the person saw. False when someone was first. */
export async function patchPart(
  db: Db,
  workshopId: string,
  partId: string,
  patch: PartPatch,
): Promise<boolean> {
  const fields = (Object.keys(COLUMNS) as (keyof typeof COLUMNS)[]).filter((k) => patch[k] !== undefined);
  const sets = fields.map((k, i) => `${COLUMNS[k]} = $${i + 4}`).join(', ');
  const r = await db.query(
    `update part set ${sets}, version = version + 1 where workshop_id = $1 and part_id = $2 and version = $3`,
    [workshopId, partId, patch.version, ...fields.map((k) => patch[k])],
  );
  return r.rowCount === 1;
}
