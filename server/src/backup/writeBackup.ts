import { once } from 'node:events';
import { finished } from 'node:stream/promises';
import { createGzip } from 'node:zlib';
import type { Writable } from 'node:stream';
import type { Database, Db } from '../db/db.ts';
import { BACKUP_FORMAT, Tally, type BackupEnd, type BackupHeader } from './format.ts';
import { quoted, tablesOf, type Table } from './tables.ts';

/** Rows fetched at a time: memory stays flat however many years there are. */
const AT_A_TIME = 2_000;
const HEAVY_AT_A_TIME = 4;

/**
 * Writes every row of the shop, as all of them stood at one instant, while the shop goes on being used. Waits for `out` where that is
 * slow. `out` is ended; a reader that goes away ends the writing with an error.
 */
export async function writeBackup(db: Database, out: Writable, nowMs: number): Promise<BackupEnd> {
  const gzip = createGzip();
  gzip.pipe(out);
  gzip.on('error', () => undefined);
  out.on('close', () => gzip.destroy());
  const put = async (text: string): Promise<void> => {
    if (gzip.destroyed) throw new Error('nobody reads the backup any more');
    if (!gzip.write(text)) await once(gzip, 'drain');
  };
  const end = await db.transaction(async (tx) => {
    await tx.query('set transaction isolation level repeatable read, read only');
    await tx.query(`set local timezone to 'UTC'`);
    await tx.query('set local statement_timeout = 0');
    await put(`${JSON.stringify(await headerOf(tx, nowMs))}\n`);
    const tally = new Tally();
    for (const table of await tablesOf(tx)) await putTable(tx, table, tally, put);
    return tally.end();
  });
  gzip.end(`${JSON.stringify(end)}\n`);
  await finished(out);
  return end;
}

async function headerOf(tx: Db, nowMs: number): Promise<BackupHeader> {
  const { rows } = await tx.query<{ migration: number; workshop: string | null }>(
    'select (select max(version) from migration) as migration, (select name from workshop limit 1) as workshop',
  );
  return {
    format: BACKUP_FORMAT,
    asOf: new Date(nowMs).toISOString(),
    migration: rows[0]!.migration,
    workshop: rows[0]!.workshop,
  };
}

async function putTable(
  tx: Db,
  table: Table,
  tally: Tally,
  put: (text: string) => Promise<void>,
): Promise<void> {
  const name = quoted(table.name);
  const order = table.orderBy.map(quoted).join(', ');
  await tx.query(
    `declare rows_of no scroll cursor for select row_to_json(t)::text as line from ${name} t order by ${order}`,
  );
  const head = `{${JSON.stringify(table.name)}:`;
  for (;;) {
    const { rows } = await tx.query<{ line: string }>(
      `fetch ${table.isHeavy ? HEAVY_AT_A_TIME : AT_A_TIME} from rows_of`,
    );
    if (rows.length === 0) break;
    const lines = rows.map((r) => `${head}${r.line}}`);
    for (const line of lines) tally.add(table.name, line);
    await put(`${lines.join('\n')}\n`);
  }
  await tx.query('close rows_of');
}
