import { createReadStream } from 'node:fs';
import { createInterface } from 'node:readline';
import { createGunzip } from 'node:zlib';
import { BACKUP_FORMAT, BadBackup, Tally, type BackupEnd, type BackupHeader } from './format.ts';

/** Longer than any row that the doors let in. */
const LONGEST_LINE = 4_000_000;
/** Handed on before it is more than this, however few rows it is. */
const MOST_CHARS = 8_000_000;
/** Rows handed on at a time. */
const AT_A_TIME = 1_000;

export interface Rows {
  readonly table: string;
  /** Each as it stands in the file: a JSON object. */
  readonly rows: readonly string[];
}

/**
 * Reads a backup through, handing on its rows as they come, and checks it whole: header, order, counts, hash. Throws `BadBackup` that
 * says what is wrong; nothing read from it counts until this has returned.
 */
export async function readBackup(
  path: string,
  take: (rows: Rows, header: BackupHeader) => Promise<void>,
): Promise<{ readonly header: BackupHeader; readonly end: BackupEnd }> {
  const tally = new Tally();
  let header: BackupHeader | null = null;
  let end: BackupEnd | null = null;
  let held: { table: string; rows: string[]; chars: number } | null = null;
  let lineNumber = 0;
  const flush = async (): Promise<void> => {
    if (held && header) await take(held, header);
    held = null;
  };
  for await (const line of linesOf(path)) {
    lineNumber += 1;
    if (end) throw new BadBackup(`line ${lineNumber}: something stands behind the end`);
    if (!header) header = headerIn(line);
    else if (line.startsWith('{"rows":')) end = JSON.parse(line) as BackupEnd;
    else {
      const m = /^\{"([a-z_]+)":(\{.*\})\}$/.exec(line);
      if (!m || line.length > LONGEST_LINE) throw new BadBackup(`line ${lineNumber} is no row of a table`);
      const [, table, row] = m as unknown as [string, string, string];
      tally.add(table, line);
      if (held && (held.table !== table || held.rows.length >= AT_A_TIME || held.chars > MOST_CHARS))
        await flush();
      held ??= { table, rows: [], chars: 0 };
      held.rows.push(row);
      held.chars += row.length;
    }
  }
  await flush();
  if (!header || !end) throw new BadBackup('the file ends too early: it was cut off');
  compare(tally.end(), end);
  return { header, end };
}

async function* linesOf(path: string): AsyncGenerator<string> {
  const file = createReadStream(path);
  const plain = createGunzip();
  file.on('error', (error) => plain.destroy(error));
  try {
    yield* createInterface({ input: file.pipe(plain), crlfDelay: Infinity });
  } catch (error) {
    const code = String((error as { readonly code?: unknown }).code);
    if (code === 'Z_BUF_ERROR') throw new BadBackup('the file ends too early: it was cut off');
    if (code.startsWith('Z_')) throw new BadBackup('this is no gzipped backup, or it is damaged');
    throw error;
  }
}

function headerIn(line: string): BackupHeader {
  try {
    const header = JSON.parse(line) as { readonly [K in keyof BackupHeader]?: unknown };
    if (header.format === BACKUP_FORMAT && Number.isInteger(header.migration)) return header as BackupHeader;
  } catch {
    // Said below.
  }
  throw new BadBackup(`line 1 is no header of ${BACKUP_FORMAT}`);
}

function compare(found: BackupEnd, said: BackupEnd): void {
  for (const table of new Set([...Object.keys(found.rows), ...Object.keys(said.rows)])) {
    const [is, should] = [found.rows[table] ?? 0, said.rows[table] ?? 0];
    if (is !== should) throw new BadBackup(`${table}: ${is} rows, and its end says ${should}`);
  }
  if (found.sha256 !== said.sha256)
    throw new BadBackup('a row was changed: the hash of the rows is not the one at its end');
}
