import pg from 'pg';

/** What a query needs: the pool, or a client inside a transaction. */
export interface Db {
  // R is the caller's promise about the row, checked nowhere: each sql module keeps its own row type and mapper.
  // oxlint-disable-next-line typescript/no-unnecessary-type-parameters
  query<R extends object>(
    text: string,
    values?: readonly unknown[],
  ): Promise<{ rows: R[]; rowCount: number | null }>;
}

export interface Database extends Db {
  /** Runs `work` in one transaction: all of it or none. */
  transaction<T>(work: (db: Db) => Promise<T>): Promise<T>;
  close(): Promise<void>;
  readonly url: string;
}

/** Connects lazily; a database that is away fails the query, not the process. */
export function openDatabase(url: string): Database {
  const pool = new pg.Pool({
    connectionString: url,
    max: 8,
    connectionTimeoutMillis: 4000,
    idleTimeoutMillis: 30_000,
    // Nothing hangs: a statement that takes this long, or a lock that is not let go, ends as "busy".
    statement_timeout: 20_000,
    lock_timeout: 5_000,
    idle_in_transaction_session_timeout: 30_000,
  });
  // An idle client that loses its server emits here; the next query opens a new one.
  pool.on('error', () => undefined);
  const on = (client: pg.Pool | pg.PoolClient): Db => ({
    // oxlint-disable-next-line typescript/no-unnecessary-type-parameters
    query: async <R extends object>(text: string, values: readonly unknown[] = []) => {
      const r = await client.query<R & pg.QueryResultRow>(text, [...values]);
      return { rows: r.rows as R[], rowCount: r.rowCount };
    },
  });
  return {
    ...on(pool),
    url,
    async transaction(work) {
      const client = await pool.connect();
      // A client that loses its server mid-transaction must not bring the process down.
      const swallow = (): void => undefined;
      client.on('error', swallow);
      let broken: Error | undefined;
      try {
        await client.query('begin');
        const result = await work(on(client));
        await client.query('commit');
        return result;
      } catch (error) {
        await client.query('rollback').catch((e: unknown) => {
          broken = e instanceof Error ? e : new Error(String(e));
        });
        throw error;
      } finally {
        client.off('error', swallow);
        client.release(broken);
      }
    },
    close: () => pool.end(),
  };
}

/** Errors that mean the database is away, not that the request was wrong: the client keeps the write and tries again. */
export function isDatabaseAway(error: unknown): boolean {
  if (!(error instanceof Error)) return false;
  const code = 'code' in error ? String(error.code) : '';
  if (/^(ECONNREFUSED|ECONNRESET|EPIPE|ENOENT|ETIMEDOUT|57P0[123]|08\w{3}|53300)$/.test(code)) return true;
  return /Connection terminated|timeout exceeded when trying to connect|Client has encountered a connection error|server closed the connection/i.test(
    error.message,
  );
}

/**
 * Errors that mean "not now": a lock or a statement that took too long (55P03, 57014), a deadlock (40P01), the disk full (53100),
 * no memory or no connection left (53200, 53400). The client keeps the write and tries again.
 */
export const isBusy = (error: unknown): boolean =>
  /^(55P03|57014|40P01|40001|53[1245]00|58030|25P03)$/.test(sqlState(error));

/** What was sent does not fit the column it goes to (class 22): the schemas should have said so; it is a no all the same. */
export const isDataFault = (error: unknown): boolean => /^22\w{3}$/.test(sqlState(error));

/** PostgreSQL's SQLSTATE, or an empty string. */
export function sqlState(error: unknown): string {
  return error instanceof Error && 'code' in error ? String(error.code) : '';
}
