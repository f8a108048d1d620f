import { createHash, type Hash } from 'node:crypto';

/**
 * `calvetta-backup/1`: gzipped lines of JSON. First a header; then, table by table, each row as PostgreSQL writes it
 * (`{"fact":{…}}`, times in UTC to the microsecond); last the number of rows and the hash of every line between.
 * The header is outside the hash: two backups of the same data have the same hash, whenever they were made.
 */
export const BACKUP_FORMAT = 'calvetta-backup/1';

export interface BackupHeader {
  readonly format: typeof BACKUP_FORMAT;
  readonly asOf: string;
  /** The version of the database it was taken from: it is laid out like this before the rows are put back. */
  readonly migration: number;
  readonly workshop: string | null;
}
export interface BackupEnd {
  readonly rows: Readonly<Record<string, number>>;
  readonly sha256: string;
}

/** Counts rows and hashes lines as they pass. */
export class Tally {
  private readonly hash: Hash = createHash('sha256');
  private readonly rows: Record<string, number> = {};
  /** A line of the table, without its line feed. */
  add(table: string, line: string): void {
    this.hash.update(line).update('\n');
    this.rows[table] = (this.rows[table] ?? 0) + 1;
  }
  end(): BackupEnd {
    return { rows: this.rows, sha256: this.hash.copy().digest('hex') };
  }
}

/** Said of a file that is no whole backup: what is wrong, and where. */
export class BadBackup extends Error {}
