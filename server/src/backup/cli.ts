import { join } from 'node:path';
import { openDatabase } from '../db/db.ts';
import { grantServer, readMigrations } from '../db/migrate.ts';
import { headOf } from '../ledger/verify.ts';
import { BadBackup, type BackupEnd } from './format.ts';
import { writeWhole } from './nightly.ts';
import { readBackup } from './readBackup.ts';
import { restoreBackup } from './restoreBackup.ts';

/**
 * `write FILE` · `check FILE` · `restore FILE` · `hash`. Used by bin/backup and bin/restore; the database is OWNER_URL. Prints one line of
 * what was done; ends with 1 and one line of what is wrong.
 */
const url = process.env['OWNER_URL'] ?? '';
const [command = '', file = ''] = process.argv.slice(2);
const said = (end: BackupEnd): string =>
  `${Object.values(end.rows).reduce((a, n) => a + n, 0)} rows, ${end.rows['fact'] ?? 0} of them entries; hash ${end.sha256}`;

async function write(): Promise<string> {
  const db = openDatabase(url);
  try {
    const end = await writeWhole(db, file, Date.now());
    return said(end);
  } finally {
    await db.close();
  }
}

async function restore(): Promise<string> {
  const db = openDatabase(url);
  try {
    const { header, end } = await restoreBackup(
      db,
      readMigrations(join(import.meta.dirname, '..', '..', 'migrations')),
      file,
    );
    // The record itself says that it was put back, and where it stood: what came after that is not in it.
    const { rows } = await db.query<{ id: string }>('select workshop_id as id from workshop');
    for (const { id } of rows)
      await db.query(`insert into event (workshop_id, kind, at, body) values ($1, 'restored', now(), $2)`, [
        id,
        { asOf: header.asOf, from: await headOf(db, id), backup: end.sha256 },
      ]);
    const server = process.env['SERVER_ROLE'];
    if (server !== undefined) await grantServer(db, server);
    return said(end);
  } finally {
    await db.close();
  }
}

const check = async (): Promise<string> => said((await readBackup(file, () => Promise.resolve())).end);

const COMMANDS: Readonly<Record<string, () => Promise<string>>> = { write, check, restore };
try {
  const run = COMMANDS[command];
  if (!run || file === '') throw new BadBackup('write FILE, check FILE or restore FILE');
  console.log(await run());
} catch (error) {
  console.error(error instanceof Error ? error.message : String(error));
  process.exit(1);
}
