import { randomUUID } from 'node:crypto';
import { existsSync } from 'node:fs';
import { statfs } from 'node:fs/promises';
import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { setTimeout as after } from 'node:timers/promises';
import { setFlagsFromString } from 'node:v8';
import { pino } from 'pino';
import { createApp } from './app.ts';
import { createDoor } from './door/door.ts';
import { sweepSessions } from './door/sessionStore.ts';
import { readSecrets } from './door/secrets.ts';
import { isSameDisk, keepBackups } from './backup/nightly.ts';
import { keepWarm } from './model/keepWarm.ts';
import { createModel } from './model/model.ts';
import { openDatabase, type Database } from './db/db.ts';
import type { Deps } from './deps.ts';
import { layOut } from './db/migrate.ts';
import { sweepUploads } from './imports/imports.routes.ts';
import { HOUR_MS } from '@calvetta/core';
import { createHeads } from './ledger/heads.ts';
import { keepDaily } from './ledger/keepHeads.ts';
import { sealHourly } from './ledger/seals.ts';
import { startLive } from './live/live.ts';
import { keepSimulating } from './simulators/run.ts';

/** The only reader of the environment and the clock. */
const env = {
  databaseUrl: process.env['DATABASE_URL'] ?? '',
  /** The role that owns the tables, where the server's own is another. */
  migrateUrl: process.env['MIGRATE_URL'] ?? null,
  host: process.env['HOST'] ?? '127.0.0.1',
  port: Number(process.env['PORT'] ?? 0),
  publicOrigin: process.env['PUBLIC_ORIGIN'] ?? null,
  /** The folder of the database, where it is on this machine. */
  dataFolder: process.env['DATA_FOLDER'] ?? null,
  /** Whether simulated instruments report; 0 for measuring without them. */
  simulate: process.env['SIMULATE'] !== '0',
  /** Beside a certificate and its key the server speaks TLS itself. */
  tls: tlsOf(process.env['TLS_CERT'], process.env['TLS_KEY']),
  /** Which proxies before it are believed, as Express says it, such as 127.0.0.1. */
  trustProxy: process.env['TRUST_PROXY'] ?? null,
  /** A folder for what the database must not know; null: only for as long as it runs. */
  secretsFolder: process.env['SECRETS_FOLDER'] ?? null,
  /** Where a backup is written every day by itself; null: nowhere. */
  backupFolder: process.env['BACKUP_FOLDER'] ?? null,
  logLevel: process.env['LOG_LEVEL'] ?? 'info',
  demoFile:
    process.env['DEMO_FILE'] ?? join(import.meta.dirname, '..', '..', 'demo', 'scenario', 'shop.json'),
  webFolder: process.env['WEB_FOLDER'] ?? join(import.meta.dirname, '..', '..', 'web', 'dist'),
};
// Half of what a large shop took was garbage that V8 had not looked at: it looks sooner, and costs a tenth of the time.
setFlagsFromString('--heap-growing-percent=120');
const log = pino({ level: env.logLevel });
const here = import.meta.dirname;

/** A database that lets nobody listen is worked with all the same. */
const HEARD_MS = 3000;

async function migrateWhenAwake(): Promise<void> {
  const urls = { server: env.databaseUrl, owner: env.migrateUrl };
  for (let tries = 1; ; tries++) {
    try {
      await layOut(join(here, '..', 'migrations'), urls);
      return;
    } catch (error) {
      if (tries >= 10) throw error;
      log.warn({ err: String(error) }, 'waiting for the database');
      await after(1000);
    }
  }
}

async function main(): Promise<void> {
  if (env.databaseUrl === '')
    throw new Error('DATABASE_URL is not set: start with bin/demo, or name your own PostgreSQL database');
  const nowMs = (): number => Date.now();
  checkProxy();
  await migrateWhenAwake();
  const db = openDatabase(env.databaseUrl);
  const processId = randomUUID();
  const live = startLive(env.databaseUrl, log);
  const model = createModel(db, nowMs);
  live.onMessage((m, from) => {
    if (from !== processId) model.invalidate(m);
  });
  await sweepUploads();
  const secrets = readSecrets(env.secretsFolder);
  const door = createDoor(
    db,
    {
      secrets,
      isEncrypted: env.tls !== null || (env.publicOrigin?.startsWith('https:') ?? false),
      trustProxy: env.trustProxy,
    },
    nowMs,
  );
  live.onMessage((m) => {
    if (m.topic === 'door' || m.topic === 'entities') door.forget();
  });
  if (!isLoopback(env.host) && !(await door.hasOwner())) throw new NoOwner(env.host);
  // Else the shop would be worked out twice: once more as soon as others are heard.
  await Promise.race([live.heard, after(HEARD_MS, undefined, { ref: false })]);
  const webFolder = env.webFolder;
  const deps: Deps = {
    db,
    log,
    live,
    model,
    door,
    heads: createHeads(secrets.headKey, env.secretsFolder, nowMs),
    nowMs,
    newId: randomUUID,
    processId,
    publicOrigin: env.publicOrigin,
    demoFile: env.demoFile,
    freeBytes,
  };
  const app = createApp(deps, existsSync(webFolder) ? webFolder : null);
  const server = env.tls === null ? createServer(app) : createSecureServer(readTls(env.tls), app);
  await new Promise<void>((done, fail) => server.once('error', fail).listen(env.port, env.host, done));
  const { port } = server.address() as AddressInfo;
  if (!isLoopback(env.host) && !door.isEncrypted)
    log.warn(
      `open to the network on ${env.host} without TLS: anyone there can read phrases, pins and tokens; sign-in tells people apart, it keeps no attacker out`,
    );
  const hourly = setInterval(() => {
    void sealHourly(deps);
    void keepDaily(deps);
    void backUp(db, nowMs);
    sweepSessions(deps).catch((error: unknown) => log.warn({ err: String(error) }, 'sessions not swept'));
  }, HOUR_MS);
  void sealHourly(deps);
  void keepDaily(deps);
  void backUp(db, nowMs);
  const stopWarm = keepWarm(model, log);
  const stopSimulators = env.simulate ? keepSimulating(deps, 60_000) : (): void => undefined;
  console.log(`listening ${port}`);

  let stopping = false;
  const stop = (): void => {
    if (stopping) return;
    stopping = true;
    stopSimulators();
    stopWarm();
    clearInterval(hourly);
    void live.stop().then(() => {
      server.close(() => void db.close().then(() => process.exit(0)));
      server.closeIdleConnections();
      setTimeout(() => server.closeAllConnections(), 1500).unref();
    });
  };
  process.on('SIGTERM', stop);
  process.on('SIGINT', stop);
}

interface Tls {
  readonly cert: string;
  readonly key: string;
}
function tlsOf(cert: string | undefined, key: string | undefined): Tls | null {
  if (cert === undefined && key === undefined) return null;
  if (cert === undefined || key === undefined)
    throw new Error('TLS_CERT and TLS_KEY go together: name the files of both');
  return { cert, key };
}
const readTls = ({ cert, key }: Tls): { cert: Buffer; key: Buffer } => ({
  cert: readFileSync(cert),
  key: readFileSync(key),
});

const isLoopback = (host: string): boolean => ['localhost', '::1'].includes(host) || host.startsWith('127.');
/** Behind a proxy with TLS a browser is given a cookie for TLS only; the server sends it where it may believe that the proxy speaks TLS. */
function checkProxy(): void {
  if (env.publicOrigin?.startsWith('https:') && env.tls === null && env.trustProxy === null)
    throw new Misconfigured(
      `PUBLIC_ORIGIN is ${env.publicOrigin}: either name a certificate with TLS_CERT and TLS_KEY, or set TRUST_PROXY to the address of the proxy that speaks TLS, such as 127.0.0.1, and let it send X-Forwarded-Proto. Otherwise nobody could sign in.`,
    );
}
/** Something in the environment that cannot work: said in a line. */
class Misconfigured extends Error {}

/** Without an owner whoever reaches the server may do everything: so nobody else's machine may. */
class NoOwner extends Misconfigured {
  constructor(host: string) {
    super(
      `not opened on ${host}: this shop has no owner yet, so whoever reaches it could read and write everything. Run bin/owner on this computer first, then start it again.`,
    );
  }
}

/** Once a day, beside everything else; one that could not be written is said, and tried again within the hour. */
async function backUp(db: Database, nowMs: () => number): Promise<void> {
  const { backupFolder: folder, dataFolder } = env;
  if (folder === null) return;
  try {
    const file = await keepBackups(db, folder, nowMs());
    if (file === null) return;
    const where = (await isSameDisk(folder, dataFolder))
      ? ', on the same disk as the shop: copy it elsewhere'
      : '';
    log.warn(`backup of the day: ${file}${where}`);
  } catch (error) {
    log.error({ err: String(error) }, 'the backup of the day could not be written');
  }
}

/** Room on the disk of the database; null where nobody said which that is. */
async function freeBytes(): Promise<number | null> {
  if (env.dataFolder === null) return null;
  const disk = await statfs(env.dataFolder);
  return disk.bavail * disk.bsize;
}

main().catch((error: unknown) => {
  if (error instanceof Error && 'code' in error && error.code === 'EADDRINUSE') {
    console.error(`port ${env.port} is taken by another program: choose one with PORT=…`);
    process.exit(1);
  }
  if (error instanceof Misconfigured) {
    console.error(error.message);
    process.exit(1);
  }
  log.fatal({ err: error }, 'could not start');
  process.exit(1);
});
