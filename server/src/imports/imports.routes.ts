import { createWriteStream } from 'node:fs';
import { mkdtemp, readdir, readFile, rm, stat } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable, Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import express, { Router, type Request, type RequestHandler } from 'express';
import { FORECAST_REACH_MS } from '@calvetta/core';
import { forecastHourInput, readingsInput } from '@calvetta/contract/schemas';
import type { Deps } from '../deps.ts';
import { inBounds, WHOLE_SHOP } from '../http/bounds.ts';
import { AppError, invalidInput } from '../http/errors.ts';
import { valid } from '../http/validate.ts';
import { announce } from '../live/live.ts';
import { write } from '../write.ts';
import { insertReadings, upsertForecast } from '../readings/readings.sql.ts';
import { toRow } from '../readings/readings.routes.ts';
import { needShop } from '../shop/needShop.ts';
import { importReadings } from './importReadings.ts';
import { importShop, readShopFile } from './importShop.ts';
import { readCsv } from './csvReadings.ts';
import { createJobs, type RunningJob } from './jobs.ts';

const TOO_FAR = 'at most 15 days ahead';

/** Largest file taken, bytes: 200 000 rows are about 10 MB. */
const MAX_FILE = 200 * 1024 * 1024;

const UPLOAD = 'calvetta-import-';
/** What came in, in a file of its own. */
interface Spooled {
  readonly path: string;
  readonly bytes: number;
  readonly drop: () => Promise<void>;
}
/** Works on a file that came in, and takes it away however that ends. */
async function withFile<T>(file: Spooled, work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } finally {
    await file.drop();
  }
}

/** Writes the request's body to a file of its own, so that the upload and the reading of it do not wait for each other. */
async function spool(req: Request): Promise<Spooled> {
  const folder = await mkdtemp(join(tmpdir(), UPLOAD));
  const path = join(folder, 'body');
  const drop = (): Promise<void> => rm(folder, { recursive: true, force: true });
  try {
    if (Number(req.get('content-length') ?? 0) > MAX_FILE)
      throw new AppError('too-large', { maxBytes: MAX_FILE });
    await pipeline(req, atMost(MAX_FILE), createWriteStream(path));
    const { size } = await stat(path);
    return { path, bytes: size, drop };
  } catch (error) {
    await drop();
    throw error;
  }
}

/** Lets so many bytes through and no more, whether their number was announced or not. */
function atMost(maxBytes: number): Transform {
  let bytes = 0;
  return new Transform({
    transform(chunk: Buffer, _encoding, next) {
      bytes += chunk.length;
      if (bytes > maxBytes) next(new AppError('too-large', { maxBytes }));
      else next(null, chunk);
    },
  });
}

/** Uploads that a killed server left behind; another one's may still be on its way, so only old ones. Called at the start. */
export async function sweepUploads(olderMs = 3_600_000): Promise<void> {
  for (const name of await readdir(tmpdir())) {
    if (!name.startsWith(UPLOAD)) continue;
    const path = join(tmpdir(), name);
    const isOld = await stat(path).then(
      (s) => Date.now() - s.mtimeMs > olderMs,
      () => false,
    );
    if (isOld) await rm(path, { recursive: true, force: true }).catch(() => undefined);
  }
}

const isCsv = (req: Request): boolean => /^text\/csv/i.test(req.get('content-type') ?? '');

export function importsRoutes(deps: Deps): Router {
  const router = Router();
  const jobs = createJobs(deps.newId);
  const json: RequestHandler[] = [express.json({ limit: '20mb' }), inBounds(WHOLE_SHOP)];
  const told = (jobId: string): void =>
    void announce(deps.db, deps.processId, { topic: 'import', jobId }).catch(() => undefined);

  router.get('/import/jobs/:jobId', (req, res) => {
    const job = jobs.find(req.params.jobId);
    if (!job) throw new AppError('not-found', { what: 'import', id: req.params.jobId });
    res.json(job);
  });

  router.post('/import/readings', async (req, res, next) => {
    if (!isCsv(req)) {
      next();
      return;
    }
    const { placeId, target } = await targetOf(deps, req);
    const file = await spool(req);
    const jobId = jobs.start(
      'readings',
      file.bytes,
      (job) => withFile(file, () => importReadings(deps, file.path, target, job)),
      told,
    );
    res.status(202).json({ jobId, placeId });
  });
  router.post('/import/readings', ...json, async (req, res) => {
    const { target } = await targetOf(deps, req);
    const { readings } = valid(
      readingsInput,
      Array.isArray(req.body) ? { readings: req.body as unknown } : req.body,
    );
    const rows = readings.map((r) => toRow(r, target.probeId, target.placeId, false));
    const stored = await write(deps, (tx) => insertReadings(tx, target.workshopId, rows), {
      topic: 'readings',
      isPast: true,
      placeIds: [target.placeId],
    });
    res.status(201).json({ stored, known: readings.length - stored });
  });

  router.post('/import/forecast', async (req, res, next) => {
    if (!isCsv(req)) {
      next();
      return;
    }
    const shop = await needShop(deps);
    const { workshopId, zone } = shop.workshop;
    const file = await spool(req);
    const jobId = jobs.start(
      'forecast',
      file.bytes,
      (job) => withFile(file, () => importForecast(deps, workshopId, zone, file.path, job)),
      told,
    );
    res.status(202).json({ jobId });
  });
  router.post('/import/forecast', ...json, async (req, res) => {
    const shop = await needShop(deps);
    const hours = hoursIn(req.body, deps.nowMs());
    res.status(201).json({ stored: await storeForecast(deps, shop.workshop.workshopId, hours) });
  });

  router.post('/import/shop', ...json, async (req, res) => {
    const file = readShopFile(req.body, req.query['shift'] === 'now' ? deps.nowMs() : null);
    res.status(201).json(await importShop(deps, file));
  });
  return router;
}

/** The hours of a forecast sent as JSON, none of them further ahead than a forecast reaches. */
function hoursIn(sent: unknown, nowMs: number) {
  if (!Array.isArray(sent))
    throw invalidInput([
      { field: '', code: 'array', got: typeof sent, accepts: 'a list of hours {at, airC, rhPct}' },
    ]);
  const hours = (sent as unknown[])
    .map((h) => valid(forecastHourInput, h))
    .map((h) => ({ atMs: Date.parse(h.at), airC: h.airC, rhPct: h.rhPct }));
  const far = hours.findIndex((h) => h.atMs > nowMs + FORECAST_REACH_MS);
  if (far >= 0)
    throw invalidInput([
      {
        field: `${far}.at`,
        code: 'too-far',
        got: new Date(hours[far]!.atMs).toISOString(),
        accepts: TOO_FAR,
      },
    ]);
  return hours;
}

/** Reads a forecast's CSV whole; hours that will not do are named by line and left out. */
async function importForecast(
  deps: Deps,
  workshopId: string,
  zone: string,
  path: string,
  job: RunningJob,
): Promise<void> {
  const text = await readFile(path, 'utf8');
  const hours: { atMs: number; airC: number; rhPct: number }[] = [];
  for await (const row of readCsv(Readable.from([text]), text.split(/\r?\n/)[0] ?? '', zone)) {
    if (row.ok === null) throw new AppError('import-unreadable', { needs: ['time', 'air', 'humidity'] });
    if (row.ok && row.atMs > deps.nowMs() + FORECAST_REACH_MS) {
      job.row('refused');
      job.problem({
        line: row.line,
        field: 'time',
        code: 'too-far',
        got: new Date(row.atMs).toISOString(),
        accepts: TOO_FAR,
      });
    } else if (row.ok) hours.push(row);
    else {
      job.row('refused');
      job.problem(row.problem);
    }
  }
  await storeForecast(deps, workshopId, hours);
  job.row('new', hours.length);
}

async function storeForecast(
  deps: Deps,
  workshopId: string,
  hours: readonly { atMs: number; airC: number; rhPct: number }[],
): Promise<number> {
  return write(deps, (tx) => upsertForecast(tx, workshopId, deps.nowMs(), hours), { topic: 'forecast' });
}

async function targetOf(deps: Deps, req: Request) {
  const shop = await needShop(deps);
  const place = req.query['place'];
  const placeId = typeof place === 'string' ? place : '';
  if (!shop.places.some((p) => p.placeId === placeId)) {
    throw invalidInput([
      {
        field: 'place',
        code: 'any.only',
        got: placeId,
        accepts: `one of ${shop.places.map((p) => p.placeId).join(', ')}`,
      },
    ]);
  }
  const probeId =
    typeof req.query['probe'] === 'string' ? req.query['probe'].slice(0, 64) : `file:${placeId}`;
  return {
    placeId,
    target: { workshopId: shop.workshop.workshopId, zone: shop.workshop.zone, placeId, probeId },
  };
}
