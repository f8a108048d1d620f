import type { NewPart } from '@calvetta/contract/schemas';
import type { Db } from '../db/db.ts';

/** Makes parts in a machine, and the assemblies they name; a known id is left alone. Returns how many were new. */
export async function insertParts(
  tx: Db,
  workshopId: string,
  machineId: string,
  parts: readonly NewPart[],
): Promise<number> {
  const { rows } = await tx.query<{ seq: number }>(
    'select greatest((select coalesce(max(seq), 0) from part where workshop_id = $1), (select coalesce(max(seq), 0) from assembly where workshop_id = $1)) as seq',
    [workshopId],
  );
  let seq = rows[0]?.seq ?? 0;
  let made = 0;
  for (const p of parts) {
    const assemblyId = await assemblyNamed(tx, workshopId, machineId, p.assemblyName, ++seq);
    const r = await tx.query(
      `insert into part (workshop_id, part_id, assembly_id, name, substrate, mass_kg, area_m2, thickness_mm, faces, seq, colour_group, pair_part_id)
       values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12) on conflict (workshop_id, part_id) do nothing`,
      [
        workshopId,
        p.partId,
        assemblyId,
        p.name,
        p.substrate,
        p.massKg,
        p.areaM2,
        p.thicknessMm,
        p.faces,
        ++seq,
        p.colourGroup ?? null,
        p.pairPartId ?? null,
      ],
    );
    made += r.rowCount ?? 0;
  }
  return made;
}

async function assemblyNamed(
  tx: Db,
  workshopId: string,
  machineId: string,
  name: string,
  seq: number,
): Promise<string> {
  const found = await tx.query<{ id: string }>(
    'select assembly_id as id from assembly where workshop_id = $1 and machine_id = $2 and lower(name) = lower($3)',
    [workshopId, machineId, name],
  );
  if (found.rows[0]) return found.rows[0].id;
  const id = `${machineId}.a${seq}`;
  await tx.query(
    'insert into assembly (workshop_id, assembly_id, machine_id, name, seq) values ($1, $2, $3, $4, $5)',
    [workshopId, id, machineId, name, seq],
  );
  return id;
}
