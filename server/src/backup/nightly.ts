import { createWriteStream } from 'node:fs';
import { mkdir, open, readdir, rename, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { DAY_MS } from '@calvetta/core';
import type { Database } from '../db/db.ts';
import { BadBackup } from './format.ts';
import { readBackup } from './readBackup.ts';
import { writeBackup } from './writeBackup.ts';

/** Two weeks of days. */
const KEPT = 14;
const NAME = /^auto-\d{8}T\d{6}Z\.ndjson\.gz$/;

/** Writes a backup under its name only when it is whole, on the disk, and can be read back. */
export async function writeWhole(db: Database, file: string, nowMs: number) {
  const part = `${file}.part`;
  const end = await writeBackup(db, createWriteStream(part, { mode: 0o600 }), nowMs);
  const handle = await open(part, 'r+');
  await handle.sync();
  await handle.close();
  const back = await readBackup(part, () => Promise.resolve());
  if (back.end.sha256 !== end.sha256) throw new BadBackup('what was read back is not what was written');
  await rename(part, file);
  return end;
}

/**
 * Nothing of a shop that has not begun: it would stand in for the first day's work. One backup a day by itself, the newest fourteen kept: whole each, and only in a folder of its own, where nothing else is touched. Comes
 * back with what was written; null: the last one is not a day old, or there is no shop yet.
 */
export async function keepBackups(db: Database, folder: string, nowMs: number): Promise<string | null> {
  if ((await db.query('select 1 from workshop limit 1')).rows.length === 0) return null;
  await mkdir(folder, { recursive: true, mode: 0o700 });
  // By what each says of when it was made: a copied file's own time is when it was copied.
  const own = (await readdir(folder)).filter((f) => NAME.test(f)).sort();
  const newest = own.at(-1);
  if (newest !== undefined && nowMs - madeMs(newest) < DAY_MS) return null;
  const stamp = new Date(nowMs).toISOString().replace(/[-:]|\.\d+/g, '');
  const file = join(folder, `auto-${stamp}.ndjson.gz`);
  await writeWhole(db, file, nowMs);
  for (const old of [...own, `auto-${stamp}.ndjson.gz`].slice(0, -KEPT)) await rm(join(folder, old));
  return file;
}

const madeMs = (name: string): number =>
  Date.parse(name.replace(/^auto-(\d{4})(\d\d)(\d\d)T(\d\d)(\d\d)(\d\d)Z.*$/, '$1-$2-$3T$4:$5:$6Z'));

/** Whether the backups lie on the disk that they are to be a remedy for. */
export async function isSameDisk(folder: string, dataFolder: string | null): Promise<boolean> {
  if (dataFolder === null) return false;
  const [a, b] = await Promise.all([stat(folder), stat(dataFolder)]);
  return a.dev === b.dev;
}
