/** Loads the demo into a running Calvetta through the same doors a user has: the shop file, CSV readings, a JSON forecast. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { HOUR_MS } from '@calvetta/core';
import { demoProbes } from '../server/src/simulators/demoProbes.ts';
import { probeSample } from '../server/src/simulators/probe.ts';
import { simulatedForecast } from '../server/src/simulators/run.ts';
import { outdoorAt } from '../server/src/simulators/weather.ts';

const HISTORY_DAYS = 14;
const STEP_MS = 600_000;

async function call(url: string, init: RequestInit): Promise<unknown> {
  const headers = new Headers(init.headers);
  headers.set('X-Calvetta', '1');
  const res = await fetch(url, { ...init, headers });
  const text = await res.text();
  if (!res.ok) throw new Error(`${url}: ${res.status} ${text.slice(0, 2000)}`);
  return JSON.parse(text) as unknown;
}

async function finished(base: string, jobId: string): Promise<void> {
  for (;;) {
    const job = (await call(`${base}/api/import/jobs/${jobId}`, {})) as {
      state: string;
      rowsRefused: number;
      error: unknown;
      problems: unknown[];
    };
    if (job.state === 'failed' || job.rowsRefused > 0)
      throw new Error(JSON.stringify(job.error ?? job.problems));
    if (job.state === 'done') return;
    await new Promise((done) => setTimeout(done, 100));
  }
}

/** Fourteen days of readings at ten minutes as a CSV a logger would write. */
function historyCsv(probe: ReturnType<typeof demoProbes>[number], nowMs: number, zone: string): string {
  const weather = { zone, anchorMs: nowMs };
  const lines = ['time,air °C,rh %,surface °C'];
  const first = Math.floor((nowMs - HISTORY_DAYS * 24 * HOUR_MS) / STEP_MS) * STEP_MS;
  for (let ms = first; ms <= nowMs; ms += STEP_MS) {
    const s = probeSample(probe, ms, weather);
    if (s) lines.push(`${s.at},${s.airC},${s.rhPct},${s.surfaceC}`);
  }
  return lines.join('\n');
}

/** Loads the demo once; false when a workshop is already there. `nowMs` is the anchor. */
export async function loadDemo(base: string, nowMs: number): Promise<boolean> {
  const health = (await call(`${base}/api/health`, {})) as { workshop: string | null };
  if (health.workshop !== null) return false;
  const scenario = readFileSync(join(import.meta.dirname, 'scenario', 'shop.json'), 'utf8');
  const { workshop } = JSON.parse(scenario) as { workshop: { zone: string } };
  const json = { 'Content-Type': 'application/json' };
  await call(`${base}/api/import/shop?shift=now`, { method: 'POST', headers: json, body: scenario });
  for (const probe of demoProbes(nowMs)) {
    const { jobId } = (await call(`${base}/api/import/readings?place=${probe.place}&probe=${probe.probeId}`, {
      method: 'POST',
      headers: { 'Content-Type': 'text/csv' },
      body: historyCsv(probe, nowMs, workshop.zone),
    })) as { jobId: string };
    await finished(base, jobId);
  }
  const weather = { zone: workshop.zone, anchorMs: nowMs };
  // Past hours of the forecast are the outdoor history that each place's lag is fitted on.
  const past = Array.from({ length: HISTORY_DAYS * 24 }, (_, i) => {
    const ms = (Math.floor(nowMs / HOUR_MS) - HISTORY_DAYS * 24 + i) * HOUR_MS;
    const s = outdoorAt(ms, weather);
    return {
      at: new Date(ms).toISOString(),
      airC: Number(s.airC.toFixed(2)),
      rhPct: Number(s.rhPct.toFixed(1)),
    };
  });
  await call(`${base}/api/import/forecast`, {
    method: 'POST',
    headers: json,
    body: JSON.stringify([...past, ...simulatedForecast(nowMs, weather)]),
  });
  return true;
}

const base = process.argv[2];
if (base !== undefined && process.argv[1]?.endsWith('load.ts')) {
  const loaded = await loadDemo(base, Date.now());
  console.log(loaded ? 'demo loaded' : 'demo already there');
}
