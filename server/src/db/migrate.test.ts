import { describe, expect, it } from '@jest/globals';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freshDatabase, MIGRATIONS } from '../test/testApp.ts';
import { openDatabase, type Database } from './db.ts';
import { migrate, readMigrations } from './migrate.ts';

async function withDatabase(work: (db: Database) => Promise<void>): Promise<void> {
  const fresh = await freshDatabase();
  const db = openDatabase(fresh.url);
  try {
    await work(db);
  } finally {
    await db.close();
    await fresh.drop();
  }
}

describe('migrations', () => {
  it('bring an empty database to the newest, once, even when two processes start together', () =>
    withDatabase(async (db) => {
      const all = readMigrations(MIGRATIONS);
      await db.query(
        'create table if not exists migration (version int primary key, name text not null, applied_at timestamptz not null default now())',
      );
      await Promise.all([migrate(db, all), migrate(db, all)]);
      await migrate(db, all);
      const { rows } = await db.query<{ version: number }>('select version from migration order by version');
      expect(rows.map((r) => r.version)).toEqual(all.map((m) => m.version));
    }));
  it('one that fails leaves nothing of itself', () =>
    withDatabase(async (db) => {
      const half = { version: 1, name: 'half', sql: 'create table half (x int); select 1/0' };
      await expect(migrate(db, [half])).rejects.toThrow(/division by zero/);
      const { rows } = await db.query<{ t: string | null }>("select to_regclass('half')::text as t");
      expect(rows[0]!.t).toBeNull();
    }));
  it('a database newer than the program is refused, in words', () =>
    withDatabase(async (db) => {
      await migrate(db, []);
      await db.query("insert into migration (version, name) values (99, 'from the future')");
      await expect(migrate(db, readMigrations(MIGRATIONS))).rejects.toThrow(/version 99, newer than/);
    }));
  it('a gap in the numbers is refused', () => {
    const folder = mkdtempSync(join(tmpdir(), 'calvetta-gap-'));
    writeFileSync(join(folder, '0001_a.sql'), '');
    writeFileSync(join(folder, '0003_c.sql'), '');
    expect(() => readMigrations(folder)).toThrow(/0003_c.sql: expected number 2/);
    rmSync(folder, { recursive: true });
  });
  it('the schema itself refuses what no hygrometer can read', () =>
    withDatabase(async (db) => {
      await migrate(db, readMigrations(MIGRATIONS));
      await db.query(
        "insert into workshop (workshop_id, name, zone, volume_system) values ('w', 'W', 'UTC', 'us')",
      );
      await db.query(
        "insert into place (workshop_id, place_id, name, exposure, altitude_m) values ('w', 'p', 'P', 'outdoors', 0)",
      );
      await expect(
        db.query(
          "insert into place (workshop_id, place_id, name, exposure, altitude_m) values ('w', 'q', 'Q', 'cellar', 0)",
        ),
      ).rejects.toThrow(/check/);
    }));
});
