import { createReadStream } from 'node:fs';
import { open } from 'node:fs/promises';
import type { Deps } from '../deps.ts';
import { AppError } from '../http/errors.ts';
import { write } from '../write.ts';
import { insertReadings, type ReadingRow } from '../readings/readings.sql.ts';
import { readCsv } from './csvReadings.ts';
import type { RunningJob } from './jobs.ts';

const BATCH = 2000;

async function firstLine(path: string): Promise<string> {
  const file = await open(path);
  const { buffer, bytesRead } = await file.read(Buffer.alloc(4096), 0, 4096, 0);
  await file.close();
  return buffer.subarray(0, bytesRead).toString('utf8').split(/\r?\n/)[0] ?? '';
}

export interface ImportTarget {
  readonly workshopId: string;
  readonly zone: string;
  readonly placeId: string;
  readonly probeId: string;
}

/** Streams a CSV of readings into a place, in batches; the same row again is known, not stored twice. */
export async function importReadings(
  deps: Deps,
  path: string,
  to: ImportTarget,
  job: RunningJob,
): Promise<void> {
  const heading = await firstLine(path);
  let batch: ReadingRow[] = [];
  const nowMs = deps.nowMs();
  const flush = async (): Promise<void> => {
    if (batch.length === 0) return;
    const rows = [...new Map(batch.map((r) => [r.atMs, r])).values()];
    const stored = await insertReadings(deps.db, to.workshopId, rows);
    job.row('new', stored);
    job.row('known', batch.length - stored);
    batch = [];
  };
  for await (const row of readCsv(createReadStream(path), heading, to.zone, (bytes) => job.read(bytes))) {
    if (row.ok === null) throw new AppError('import-unreadable', { needs: ['time', 'air', 'humidity'] });
    if (!row.ok) {
      job.row('refused');
      job.problem(row.problem);
    } else if (row.atMs > nowMs + 120_000) {
      job.row('refused');
      job.problem({
        line: row.line,
        field: 'time',
        code: 'in-the-future',
        got: new Date(row.atMs).toISOString(),
        accepts: 'a time that has passed',
      });
    } else {
      batch.push({
        probeId: to.probeId,
        placeId: to.placeId,
        atMs: row.atMs,
        airC: row.airC,
        rhPct: row.rhPct,
        surfaceC: row.surfaceC,
        byHand: false,
      });
      if (batch.length >= BATCH) await flush();
    }
  }
  await flush();
  await write(deps, () => Promise.resolve(), { topic: 'readings', placeIds: [to.placeId], isPast: true });
}
