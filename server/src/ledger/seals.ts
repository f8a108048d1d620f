import type { Database, Db } from '../db/db.ts';
import { findWorkshop } from '../shop/shop.sql.ts';
import type { Deps } from '../deps.ts';

/** Readings between two instants of their coming in, as one hash that is chained. */
interface Seal {
  readonly sealId: string;
  readonly toMs: number;
}
interface Hashed {
  readonly stretch: number;
  readonly n: string;
  readonly sha256: string;
}

/** Seals what came in since the last seal; true: there was something. Two servers that do it at once make one seal. */
export async function sealReadings(db: Database, workshopId: string): Promise<boolean> {
  // Whoever is writing has finished before this answers, and what comes after it is later: it ends before anything is counted.
  const settled = await db.query<{ upto: string }>('select readings_settled()::text as upto');
  const upto = settled.rows[0]!.upto;
  return db.transaction(async (tx) => {
    await tx.query('set local statement_timeout = 0');
    const { rows } = await tx.query<{ since: string | null }>(
      'select max(to_at)::text as since from reading_seal where workshop_id = $1',
      [workshopId],
    );
    const since = rows[0]?.since ?? null;
    const hashed = await tx.query<Hashed>(
      `select stretch, n::text as n, sha256 from readings_hashed($1, array[$2::timestamptz], $3::timestamptz) where stretch = 0`,
      [workshopId, upto, since],
    );
    const found = hashed.rows[0];
    if (!found) return false;
    const made = await tx.query(
      `insert into reading_seal (workshop_id, from_at, to_at, n, sha256) values ($1, $2, $3, $4, $5) on conflict do nothing`,
      [workshopId, since, upto, found.n, found.sha256],
    );
    return made.rowCount === 1;
  });
}

/** Every hour, whatever happens in the shop. */
export async function sealHourly(deps: Pick<Deps, 'db' | 'log'>): Promise<void> {
  try {
    const workshop = await findWorkshop(deps.db);
    if (workshop) await sealReadings(deps.db, workshop.workshopId);
  } catch (error) {
    deps.log.warn({ err: String(error) }, 'readings could not be sealed this hour');
  }
}

/** Seals whose readings are not what they were when it was made, and up to when readings are sealed at all. */
export async function brokenSeals(
  tx: Db,
  workshopId: string,
): Promise<{ readonly broken: readonly string[]; readonly sealedToMs: number | null }> {
  const { rows: seals } = await tx.query<Seal & { readonly n: string; readonly sha256: string }>(
    `select seal_id as "sealId", (extract(epoch from to_at) * 1000)::float8 as "toMs", n::text as n, sha256
       from reading_seal where workshop_id = $1 order by to_at`,
    [workshopId],
  );
  if (seals.length === 0) return { broken: [], sealedToMs: null };
  const { rows } = await tx.query<Hashed>(
    `select stretch, n::text as n, sha256 from readings_hashed($1,
       (select array_agg(to_at order by to_at) from reading_seal where workshop_id = $1), null)`,
    [workshopId],
  );
  const by = new Map(rows.map((r) => [r.stretch, r]));
  return {
    // Each begins where the one before it ends, so the stretch before the first bound is the first seal's, and so on.
    broken: seals.flatMap((s, i) => {
      const now = by.get(i);
      return now?.n === s.n && now.sha256 === s.sha256 ? [] : [s.sealId];
    }),
    sealedToMs: seals.at(-1)!.toMs,
  };
}
