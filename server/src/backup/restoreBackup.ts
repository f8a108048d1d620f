import { Writable } from 'node:stream';
import type { Database, Db } from '../db/db.ts';
import { migrate, type Migration } from '../db/migrate.ts';
import { BadBackup, type BackupEnd, type BackupHeader } from './format.ts';
import { readBackup } from './readBackup.ts';
import { writeBackup } from './writeBackup.ts';
import { quoted, tablesOf } from './tables.ts';

/**
 * Puts a backup into an empty database: laid out as it was when the backup was made, filled in one transaction, then brought up to
 * date by the migrations since. All of it or nothing. Refuses a database that holds anything, and a backup from a newer program.
 */
export async function restoreBackup(
  db: Database,
  migrations: readonly Migration[],
  path: string,
): Promise<{ readonly header: BackupHeader; readonly end: BackupEnd }> {
  const there = await db.query<{ n: number }>(
    `select count(*)::int as n from pg_class where relnamespace = 'public'::regnamespace and relkind = 'r'`,
  );
  if (there.rows[0]!.n > 0)
    throw new BadBackup('this database is not empty: a backup is put into a new one only');
  const done = await db.transaction(async (tx) => {
    await tx.query('set local statement_timeout = 0');
    const fill = new Filling(tx, migrations);
    const read = await readBackup(path, (rows, header) => fill.add(rows.table, rows.rows, header));
    await fill.lay(read.header);
    await fill.setCounters();
    await fill.setGuards('enable');
    return read;
  });
  // Read out again it must be what was put in; one of an older version is another by then.
  if (done.header.migration === migrations.length) {
    const now = await writeBackup(db, new Writable({ write: (_chunk, _encoding, next) => next() }), 0);
    if (now.sha256 !== done.end.sha256)
      throw new BadBackup('what was put back is not what the file holds: do not use this database');
  }
  await migrate(db, migrations);
  return done;
}

class Filling {
  private readonly tx: Db;
  private readonly migrations: readonly Migration[];
  private known: ReadonlySet<string> | null = null;
  constructor(tx: Db, migrations: readonly Migration[]) {
    this.tx = tx;
    this.migrations = migrations;
  }

  /** The tables as they were at the backup's own version. */
  async lay(header: BackupHeader): Promise<ReadonlySet<string>> {
    if (this.known) return this.known;
    if (header.migration > this.migrations.length)
      throw new BadBackup(
        `this backup is of version ${header.migration}, newer than this program's ${this.migrations.length}: use a newer Calvetta`,
      );
    await this.tx.query(
      'create table migration (version int primary key, name text not null, applied_at timestamptz not null default now())',
    );
    for (const m of this.migrations.slice(0, header.migration)) {
      await this.tx.query(m.sql);
      await this.tx.query('insert into migration (version, name) values ($1, $2)', [m.version, m.name]);
    }
    this.known = new Set((await tablesOf(this.tx)).map((t) => t.name));
    await this.setGuards('disable');
    return this.known;
  }

  /** What a backup holds was chained when it came in, and its links are in the backup: they are not made a second time. */
  async setGuards(to: 'enable' | 'disable'): Promise<void> {
    const { rows } = await this.tx.query<{ table: string; name: string }>(
      `select c.relname as table, t.tgname as name from pg_trigger t join pg_class c on c.oid = t.tgrelid
        where t.tgdeferrable and not t.tgisinternal and c.relnamespace = 'public'::regnamespace`,
    );
    for (const { table, name } of rows)
      await this.tx.query(`alter table ${quoted(table)} ${to} trigger ${quoted(name)}`);
  }

  async add(table: string, rows: readonly string[], header: BackupHeader): Promise<void> {
    if (!(await this.lay(header)).has(table))
      throw new BadBackup(`version ${header.migration} has no table “${table}”`);
    const name = quoted(table);
    await this.tx.query(
      `insert into ${name} overriding system value select * from json_populate_recordset(null::${name}, $1::json)`,
      [`[${rows.join(',')}]`],
    );
  }

  /** What counts rows goes on behind the last. */
  async setCounters(): Promise<void> {
    for (const { name, counter } of await tablesOf(this.tx))
      if (counter !== null)
        await this.tx.query(
          `select setval(pg_get_serial_sequence($1, $2), coalesce((select max(${quoted(counter)}) from ${quoted(name)}), 0) + 1, false)`,
          [`public.${quoted(name)}`, counter],
        );
  }
}
