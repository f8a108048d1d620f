import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { openDatabase, type Database } from './db.ts';

export interface Migration {
  readonly version: number;
  readonly name: string;
  readonly sql: string;
}

/** Numbered plain SQL files, in order; a gap in the numbers is refused. */
export function readMigrations(folder: string): Migration[] {
  const files = readdirSync(folder)
    .filter((f) => /^\d{4}_.+\.sql$/.test(f))
    .sort();
  return files.map((name, i) => {
    const version = Number(name.slice(0, 4));
    if (version !== i + 1) throw new Error(`migration ${name}: expected number ${i + 1}`);
    return { version, name, sql: readFileSync(join(folder, name), 'utf8') };
  });
}

/** Brings the database to the newest version, each migration in its own transaction; refuses a newer database. */
export async function migrate(db: Database, migrations: readonly Migration[]): Promise<number> {
  await db.query(
    'create table if not exists migration (version int primary key, name text not null, applied_at timestamptz not null default now())',
  );
  const { rows } = await db.query<{ version: number }>(
    'select coalesce(max(version), 0) as version from migration',
  );
  const at = rows[0]?.version ?? 0;
  if (at > migrations.length)
    throw new Error(
      `this database is at version ${at}, newer than this program's ${migrations.length}: use a newer Calvetta`,
    );
  for (const m of migrations.slice(at)) {
    await db.transaction(async (tx) => {
      // A migration of years of readings takes as long as it takes.
      await tx.query('set local statement_timeout = 0');
      await tx.query('set local lock_timeout = 0');
      await tx.query('select pg_advisory_xact_lock(727401)');
      const again = await tx.query<{ version: number }>('select version from migration where version = $1', [
        m.version,
      ]);
      if (again.rows.length > 0) return;
      await tx.query(m.sql);
      await tx.query('insert into migration (version, name) values ($1, $2)', [m.version, m.name]);
    });
  }
  return migrations.length;
}

/** Lays the tables out: as their owner, where that is another role than the server's, and then says what the server may do. */
export async function layOut(
  folder: string,
  urls: { readonly server: string; readonly owner: string | null },
): Promise<void> {
  const db = openDatabase(urls.owner ?? urls.server);
  try {
    await migrate(db, readMigrations(folder));
    if (urls.owner !== null) await grantServer(db, decodeURIComponent(new URL(urls.server).username));
  } finally {
    await db.close();
  }
}

/** What only grows: the server's own role may add to these and read them. */
const APPEND_ONLY = ['fact', 'sheet', 'picture', 'event', 'reading', 'reading_seal', 'chain', 'migration'];

/** What of a workshop may be changed. */
const WORKSHOP_CHANGES = [
  'name',
  'zone',
  'volume_system',
  'currency',
  'hour_cents',
  'facilities',
  'schools',
  'capacity',
  'put_away',
  'version',
];

/**
 * What the server's own role may do, after the owner has laid the tables out: read all, add to all, change what is no record. It owns
 * nothing, so that it can neither empty a table nor switch a guard off, whatever gets hold of it.
 */
export async function grantServer(owner: Database, role: string): Promise<void> {
  const name = `"${role.replaceAll('"', '""')}"`;
  await owner.transaction(async (tx) => {
    // Two servers that start together would write the same rows of the catalogue.
    await tx.query('select pg_advisory_xact_lock(727402)');
    await tx.query(`grant usage on schema public to ${name}`);
    await tx.query(`grant select, insert, update, delete on all tables in schema public to ${name}`);
    await tx.query(`grant usage, select on all sequences in schema public to ${name}`);
    await tx.query(`revoke update, delete on ${APPEND_ONLY.join(', ')} from ${name}`);
    // Links are added by the guards of the tables alone, in their owner's name.
    await tx.query(`revoke insert on migration, chain from ${name}`);
    // Whether a workshop is the demo is said when it is loaded and never after: only the demo's record can be removed.
    await tx.query(`revoke update, delete on workshop from ${name}`);
    await tx.query(`grant update (${WORKSHOP_CHANGES.join(', ')}) on workshop to ${name}`);
  });
}
