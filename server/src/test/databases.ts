import { createHash, randomUUID } from 'node:crypto';
import pg from 'pg';

/** Databases in the tests' cluster; for tests only. */
export function urlOf(variable: 'DATABASE_URL' | 'MIGRATE_URL'): string {
  const url = process.env[variable];
  if (url === undefined) throw new Error(`${variable} is not set: run the server tests with bin/test`);
  return url;
}

/** The same database as its owner reaches it. */
export function ownerUrlOf(url: string): string {
  const owner = new URL(urlOf('MIGRATE_URL'));
  owner.pathname = new URL(url).pathname;
  return owner.href;
}

/** A database of one's own: as the server reaches it, as its owner does, and how to drop it. */
export interface FreshDatabase {
  readonly url: string;
  readonly ownerUrl: string;
  readonly drop: () => Promise<void>;
}

async function asAdmin<T>(work: (client: pg.Client) => Promise<T>): Promise<T> {
  const client = new pg.Client({ connectionString: urlOf('MIGRATE_URL') });
  await client.connect();
  try {
    return await work(client);
  } finally {
    await client.end();
  }
}

function named(name: string): FreshDatabase {
  const of = (variable: 'DATABASE_URL' | 'MIGRATE_URL'): string => {
    const url = new URL(urlOf(variable));
    url.pathname = `/${name}`;
    return url.href;
  };
  return {
    url: of('DATABASE_URL'),
    ownerUrl: of('MIGRATE_URL'),
    drop: async () => {
      await asAdmin((c) => c.query(`drop database if exists ${name} with (force)`));
    },
  };
}
const newName = (): string => `t_${randomUUID().replaceAll('-', '')}`;

/** Empty, without a table. */
export async function freshDatabase(): Promise<FreshDatabase> {
  const name = newName();
  await asAdmin((c) => c.query(`create database ${name}`));
  return named(name);
}

/**
 * A copy of the database called `like`, which whoever asks first fills; once in the life of a cluster, for all workers. A copy takes
 * a twentieth of laying the tables out and reading a shop in.
 */
export async function databaseLike(
  like: string,
  fill: (of: FreshDatabase) => Promise<void>,
): Promise<FreshDatabase> {
  const copy = newName();
  await asAdmin(async (c) => {
    const { rows } = await c.query('select pg_postmaster_start_time()::text as since');
    // Code changes from run to run, and a cluster that is kept still has what an earlier run made.
    const run = createHash('md5').update(String(rows[0].since)).digest('hex').slice(0, 8);
    const original = `like_${like}_${run}`;
    // One fills, the others wait. The lock is the session's, and goes with it.
    await c.query('select pg_advisory_lock(hashtext($1))', [original]);
    const known = await c.query('select 1 from pg_database where datname = $1', [original]);
    if (known.rows.length === 0) {
      const old = await c.query('select datname from pg_database where datname like $1', [
        `like\\_${like}\\_%`,
      ]);
      for (const { datname } of old.rows) await c.query(`drop database ${datname} with (force)`);
      const being = newName();
      await c.query(`create database ${being}`);
      await fill(named(being));
      await c.query(`alter database ${being} rename to ${original}`);
    }
    await c.query(`create database ${copy} template ${original} strategy file_copy`);
  });
  return named(copy);
}
