import { randomUUID } from 'node:crypto';
import {
  createWriteStream,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { openDatabase, type Database } from '../db/db.ts';
import { migrate, readMigrations } from '../db/migrate.ts';
import { freshDatabase } from '../test/databases.ts';
import { factInput, MIGRATIONS, startTestApp, steadyAir, type TestApp } from '../test/testApp.ts';
import { insertPicture } from '../pictures/pictures.sql.ts';
import { isSameDisk, keepBackups } from './nightly.ts';
import { readBackup } from './readBackup.ts';
import { restoreBackup } from './restoreBackup.ts';
import { writeBackup } from './writeBackup.ts';

const ALL = readMigrations(MIGRATIONS);
const BLOCK = 'pump.cylinder-block';
const folder = mkdtempSync(join(tmpdir(), 'calvetta-backup-'));
const fileOf = (name: string): string => join(folder, `${name}.ndjson.gz`);
const linesOf = (path: string): string[] => gunzipSync(readFileSync(path)).toString().trimEnd().split('\n');

/** Puts a file into a new database, and gives back what was made of it. */
async function restored<T>(path: string, work: (url: string, ownerUrl: string) => Promise<T>): Promise<T> {
  const fresh = await freshDatabase();
  const db = openDatabase(fresh.ownerUrl);
  try {
    await restoreBackup(db, ALL, path);
    return await work(fresh.url, fresh.ownerUrl);
  } finally {
    await db.close();
    await fresh.drop();
  }
}
const hashIn = async (db: Database, name: string): Promise<string> =>
  (await writeBackup(db, createWriteStream(fileOf(name)), 0)).sha256;
const hashOf = async (url: string, name: string): Promise<string> => {
  const db = openDatabase(url);
  try {
    return await hashIn(db, name);
  } finally {
    await db.close();
  }
};

let app: TestApp;
let whole: string;
beforeAll(async () => {
  app = await startTestApp();
  await steadyAir(app, 'booth', 18, 50, 24);
  const at = new Date(app.clock.nowMs + 3_600_000).toISOString();
  await app.post('/api/import/forecast', [{ at, airC: 6.25, rhPct: 81 }]);
  const note = factInput(
    'noted',
    BLOCK,
    -1,
    { text: 'bore “Ø 90” — naïve café 🚂' },
    { evidence: { airC: 9.1, seen: ['x'] } },
  );
  await app.post('/api/facts', { facts: [note] });
  // Bytes of every value, as a picture has them.
  const bytes = Buffer.from(Array.from({ length: 256 }, (_, i) => i));
  const picture = { widthPx: 4, heightPx: 3, taken: null, jpeg: bytes, thumb: bytes };
  for (const k of ['a', 'b', 'c', 'd', 'e', 'f'])
    await insertPicture(
      app.db,
      'saltmarsh',
      { ...picture, pictureId: k.repeat(64) },
      null,
      new Date(app.clock.nowMs),
    );
  const fix = { ...factInput('noted', BLOCK, -1, { text: 'bore 91' }), supersedes: note.factId };
  await app.post('/api/facts', { facts: [fix] });
  await app.asOwner(async (db) => {
    await db.query(`insert into attendance_exception select workshop_id, '2026-03-07' from workshop`);
    await db.query(
      `insert into assembly select workshop_id, 'pump.empty', 'pump', 'Nothing yet', 900 from workshop`,
    );
  });
  whole = fileOf('whole');
  const res = await fetch(`${app.base}/api/backup`);
  expect(res.headers.get('content-disposition')).toMatch(
    /attachment; filename="saltmarsh-2026-03-05.ndjson.gz"/,
  );
  writeFileSync(whole, Buffer.from(await res.arrayBuffer()));
});
afterAll(async () => {
  await app.close();
  rmSync(folder, { recursive: true });
});

describe('a backup', () => {
  it('holds what the open shop file does not: readings, forecast, evidence, devices, days off, empty assemblies', () => {
    const text = linesOf(whole).join('\n');
    expect(text.match(/^\{"reading":/gm)).toHaveLength(24 * 6);
    for (const held of [
      '"forecast_hour":',
      '"airC": 9.1',
      '"device_id":"tablet-1"',
      '{"attendance_exception":',
      'pump.empty',
      '🚂',
    ])
      expect(text).toContain(held);
  });
  it('put back into a new database it is the same to the last byte, and the shop answers as before', async () => {
    const before = await app.asOwner((db) => hashIn(db, 'before'));
    await restored(whole, async (url, ownerUrl) => {
      expect(await hashOf(ownerUrl, 'after')).toBe(before);
      expect(linesOf(fileOf('after')).slice(1)).toEqual(linesOf(whole).slice(1));
      // Both read what stands there: what this test wrote past the program, its caches do not know.
      const again = await startTestApp({ url: app.url, shop: null });
      const other = await startTestApp({ url, ownerUrl, shop: null });
      try {
        const [here, there] = await Promise.all(
          [again, other].map((a) => a.call('GET', `/api/parts/${BLOCK}`)),
        );
        expect(there!.body).toEqual(here!.body);
        // What comes in afterwards comes in behind what was there.
        const next = await other.post('/api/facts', {
          facts: [factInput('noted', BLOCK, 0, { text: 'later' })],
        });
        const last = await app.db.query<{ seq: number }>('select max(seq)::float8 as seq from fact');
        expect(next.body.seq).toBeGreaterThan(last.rows[0]!.seq);
      } finally {
        await other.close();
        await again.close();
      }
    });
  });
  it('taken while others write is of one instant: every correction has its original', async () => {
    const state = { isWriting: true };
    const writer = (async () => {
      for (let i = 0; state.isWriting; i++) {
        const note = factInput('noted', BLOCK, 0, { text: `while it is written ${i}` });
        await app.post('/api/facts', { facts: [note] });
        await app.post('/api/facts', {
          facts: [{ ...factInput('voided', BLOCK, 0, {}), supersedes: note.factId }],
        });
      }
    })();
    await app.asOwner((db) => hashIn(db, 'busy'));
    state.isWriting = false;
    await writer;
    await restored(fileOf('busy'), (_url, ownerUrl) => hashOf(ownerUrl, 'busy-again'));
    expect(linesOf(fileOf('busy-again')).slice(1)).toEqual(linesOf(fileOf('busy')).slice(1));
  });
  it('is written once a day by itself, whole, the newest fourteen kept, and nothing else in its folder touched', async () => {
    const daily = join(folder, 'daily');
    // Of a shop that has not begun there is nothing to keep.
    const fresh = await freshDatabase();
    const empty = openDatabase(fresh.ownerUrl);
    await migrate(empty, ALL);
    expect(await keepBackups(empty, daily, Date.UTC(2026, 1, 28))).toBeNull();
    await empty.close();
    await fresh.drop();
    const day = (n: number): number => Date.UTC(2026, 2, 1, 3) + n * 86_400_000;
    await app.asOwner(async (db) => {
      const first = await keepBackups(db, daily, day(0));
      expect(first).toMatch(/auto-20260301T030000Z\.ndjson\.gz$/);
      expect(statSync(first!).mode & 0o777).toBe(0o600);
      expect((await readBackup(first!, () => Promise.resolve())).end.rows['workshop']).toBe(1);
      expect(await keepBackups(db, daily, day(0.9))).toBeNull();
      writeFileSync(join(daily, 'mine.ndjson.gz'), 'kept');
      for (let n = 1; n <= 15; n++) await keepBackups(db, daily, day(n));
    });
    const files = readdirSync(daily).sort();
    expect(files).toHaveLength(15);
    expect(files[0]).toBe('auto-20260303T030000Z.ndjson.gz');
    expect(files.at(-1)).toBe('mine.ndjson.gz');
    expect(await isSameDisk(daily, folder)).toBe(true);
    expect(await isSameDisk(daily, null)).toBe(false);
    // A clock that was set back writes none over and over.
    expect(await app.asOwner((db) => keepBackups(db, daily, day(3)))).toBeNull();
  });
  it('of an older version is laid out as it was and brought up to date', async () => {
    const fresh = await freshDatabase();
    const old = openDatabase(fresh.ownerUrl);
    await migrate(old, ALL.slice(0, 4));
    const mixId = randomUUID();
    await old.query(
      `insert into workshop (workshop_id, name, zone, volume_system) values ('w', 'Old shed', 'UTC', 'us')`,
    );
    await old.query(`insert into person values ('w', 'ines', 'Ines')`);
    await old.query(
      `insert into stock_fact (workshop_id, fact_id, kind, happened_at, recorded_at, person_id, device_id, body)
       values ('w', $1, 'mixed', '2025-06-01T10:00:00Z', '2025-06-01T10:00:01Z', 'ines', 't', $2)`,
      [randomUUID(), { mixId }],
    );
    await writeBackup(old, createWriteStream(fileOf('old')), 0);
    await old.close();
    await fresh.drop();
    const stock = await restored(fileOf('old'), async (url) => {
      const db = openDatabase(url.replace('server@', 'app@'));
      const { rows } = await db.query<{ mix: string }>(
        `select body ->> 'mixId' as mix from fact where subject = 'stock'`,
      );
      await db.close();
      return rows;
    });
    expect(stock).toEqual([{ mix: mixId }]);
  });
});

describe('a file that is not a whole backup is refused, in words, and nothing is stored', () => {
  const cut = (lines: string[], change: (lines: string[]) => string[]): Buffer =>
    gzipSync(`${change(lines).join('\n')}\n`);
  const isFact = (l: string): boolean => l.startsWith('{"fact":');
  const firstFact = (l: string[]): number => l.findIndex(isFact);
  it.each<[string, RegExp, (lines: string[], raw: Buffer) => Buffer]>([
    ['cut off', /cut off/, (_l, raw) => raw.subarray(0, raw.length / 2)],
    ['without its end', /cut off/, (l) => cut(l, (x) => x.slice(0, -1))],
    [
      'with an entry changed',
      /a row was changed/,
      (l) => cut(l, (x) => x.map((y) => y.replace('bore 91', 'bore 19'))),
    ],
    [
      'with an entry taken out',
      /fact: \d+ rows, and its end says \d+/,
      (l) => cut(l, (x) => x.filter((_y, i) => i !== firstFact(x))),
    ],
    [
      'with two entries in each other’s place',
      /./,
      (l) =>
        cut(l, (x) => {
          const i = firstFact(x);
          return [...x.slice(0, i), x[i + 1]!, x[i]!, ...x.slice(i + 2)];
        }),
    ],
    ['that goes on behind its end', /behind the end/, (l) => cut(l, (x) => [...x, x[firstFact(x)]!])],
    ['that is plain text', /no gzipped backup/, () => Buffer.from('hello')],
    [
      'that is something else',
      /no header of calvetta-backup\/1/,
      () => gzipSync('{"format":"calvetta-shop/2"}\n'),
    ],
    [
      'with a table that does not exist',
      /no table “pg_authid”/,
      (l) => cut(l, (x) => [x[0]!, '{"pg_authid":{"rolname":"root"}}', ...x.slice(1)]),
    ],
    [
      'of a newer version',
      /newer than this program/,
      (l) => cut(l, (x) => [x[0]!.replace(/"migration":\d+/, '"migration":99'), ...x.slice(1)]),
    ],
  ])('%s', async (_what, why, change) => {
    const path = fileOf('bad');
    writeFileSync(path, change(linesOf(whole), readFileSync(whole)));
    const fresh = await freshDatabase();
    const db = openDatabase(fresh.ownerUrl);
    try {
      await expect(restoreBackup(db, ALL, path)).rejects.toThrow(why);
      const { rows } = await db.query<{ n: number }>(
        `select count(*)::int as n from pg_class where relnamespace = 'public'::regnamespace`,
      );
      expect(rows[0]!.n).toBe(0);
    } finally {
      await db.close();
      await fresh.drop();
    }
  });
  it('a database that holds something is not written over', async () => {
    await app.asOwner((db) => expect(restoreBackup(db, ALL, whole)).rejects.toThrow(/not empty/));
  });
  it('read through, it is checked without a database', async () => {
    expect((await readBackup(whole, () => Promise.resolve())).end.rows['reading']).toBe(24 * 6);
  });
});

describe('the role that the server works as', () => {
  it.each([
    'update fact set kind = kind',
    'delete from fact',
    'truncate fact cascade',
    'alter table fact disable trigger all',
    'drop trigger fact_is_append_only on fact',
    `update sheet set body = '{}'`,
    'delete from migration',
    `copy (select 1) to '/tmp/calvetta-copy'`,
    `copy (select 1) to program 'true'`,
    'create table mine (x int)',
    'set session authorization app',
    'set role app',
  ])('cannot: %s', (sql) =>
    expect(app.db.query(sql)).rejects.toThrow(/permission denied|must be owner|must be superuser/),
  );
  it('is not refused what its work needs', async () => {
    expect((await app.call('PATCH', `/api/parts/${BLOCK}`, { version: 1, massKg: 80 })).status).toBe(200);
  });
});

it.each(['update fact set kind = kind', 'delete from fact', 'truncate fact cascade', 'delete from sheet'])(
  'the tables themselves stop their owner: %s',
  (sql) => app.asOwner((db) => expect(db.query(sql)).rejects.toThrow(/never changed or deleted/)),
);
