import { describe, expect, it } from '@jest/globals';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freshDatabase } from '../test/databases.ts';
import { MIGRATIONS } from '../test/testApp.ts';
import { openDatabase, type Database } from './db.ts';
import { migrate, readMigrations } from './migrate.ts';

async function withDatabase(work: (db: Database) => Promise<void>): Promise<void> {
  const fresh = await freshDatabase();
  const db = openDatabase(fresh.ownerUrl);
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
  const before5 = async (db: Database): Promise<void> => {
    await migrate(db, readMigrations(MIGRATIONS).slice(0, 4));
    await db.query(`
      insert into workshop (workshop_id, name, zone, volume_system) values ('w', 'W', 'UTC', 'us');
      insert into person (workshop_id, person_id, name) values ('w', 'ines', 'Ines');
      insert into machine (workshop_id, machine_id, name, kind, seq) values ('w', 'm', 'M', 'loco', 1);
      insert into assembly (workshop_id, assembly_id, machine_id, name, seq) values ('w', 'a', 'm', 'A', 1);
      insert into part (workshop_id, part_id, assembly_id, name, substrate, faces, seq) values ('w', 'p', 'a', 'P', 'steel-plate', 1, 1);
      insert into fact (workshop_id, fact_id, kind, part_id, happened_at, recorded_at, person_id, device_id, body) values
        ('w', '0b0e7c1a-5d0f-4a54-9b4e-7a4f5f1f2d11', 'degreased', 'p', '2026-03-01T10:00Z', '2026-03-01T10:01Z', 'ines', 'd', '{}');
      insert into stock_fact (workshop_id, fact_id, kind, happened_at, recorded_at, person_id, device_id, supersedes, body) values
        ('w', '1b0e7c1a-5d0f-4a54-9b4e-7a4f5f1f2d11', 'tin-opened', '2026-03-01T11:00Z', '2026-03-01T11:01Z', 'ines', 'd', null, '{"tinId":"t"}'),
        ('w', '2b0e7c1a-5d0f-4a54-9b4e-7a4f5f1f2d11', 'stock-voided', '2026-03-01T12:00Z', '2026-03-01T12:01Z', 'ines', 'd', '1b0e7c1a-5d0f-4a54-9b4e-7a4f5f1f2d11', '{}');`);
  };
  it('two ledgers become one: every entry with its time, its body and what it corrects', () =>
    withDatabase(async (db) => {
      await before5(db);
      await migrate(db, readMigrations(MIGRATIONS));
      const { rows } = await db.query<Record<string, unknown>>(
        "select left(fact_id::text, 1) as id, subject, kind, part_id, to_char(happened_at at time zone 'UTC', 'HH24:MI') as at, left(supersedes::text, 1) as over, body, time_known from fact order by seq",
      );
      const entry = (id: string, subject: string, kind: string, at: string, more: object) => ({
        id,
        subject,
        kind,
        at,
        part_id: null,
        over: null,
        body: {},
        time_known: true,
        ...more,
      });
      expect(rows).toEqual([
        entry('0', 'part', 'degreased', '10:00', { part_id: 'p' }),
        entry('1', 'stock', 'tin-opened', '11:00', { body: { tinId: 't' } }),
        entry('2', 'stock', 'stock-voided', '12:00', { over: '1' }),
      ]);
      await expect(db.query("update fact set kind = 'wiped'")).rejects.toThrow(/never changed/);
      await expect(
        db.query(
          "insert into fact (workshop_id, fact_id, subject, kind, part_id, happened_at, recorded_at, person_id, device_id, body) values ('w', gen_random_uuid(), 'stock', 'mixed', 'p', now(), now(), 'ines', 'd', '{}')",
        ),
      ).rejects.toThrow(/check/);
    }));
  it('an id that stands in both ledgers stops it, is named, and nothing is changed', () =>
    withDatabase(async (db) => {
      await before5(db);
      await db.query(
        `insert into stock_fact (workshop_id, fact_id, kind, happened_at, recorded_at, person_id, device_id, body)
         values ('w', '0b0e7c1a-5d0f-4a54-9b4e-7a4f5f1f2d11', 'tin-opened', now(), now(), 'ines', 'd', '{"tinId":"t"}')`,
      );
      await expect(migrate(db, readMigrations(MIGRATIONS))).rejects.toThrow(/0b0e7c1a-5d0f-4a54/);
      const { rows } = await db.query<{ n: number }>('select count(*)::int as n from stock_fact');
      expect(rows[0]!.n).toBe(3);
    }));
});
