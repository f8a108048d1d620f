import type { BenchTick } from '@calvetta/contract';
import { freshDatabase } from '../server/src/test/databases.ts';
import { factInput } from '../server/src/test/testApp.ts';
import { firstBench, post, prepare, startServer } from './largeShop.ts';
import type { Line } from './print.ts';

const PARTS = 400;
/** Six tabs and forty tablets. A page waits so long for more before it asks again. */
const PAGES = 46;
const GATHERS_MS = 30;
/** And no sooner than this after the last time (`web/src/api/queries.ts`). */
const LEAST_APART_MS = 250;
const WRITES_A_SECOND = 20;
const SECONDS = 20;

const sleep = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));
const at = (list: readonly number[], p: number): number =>
  [...list].sort((a, b) => a - b)[Math.min(list.length - 1, Math.floor(list.length * p))] ?? NaN;

interface Crowd {
  readonly base: string;
  readonly tookMs: number[];
  readonly pingMs: number[];
  isOn: boolean;
}

/** One page: it listens, and asks for what has changed whenever it is told, never twice at once. */
async function page(crowd: Crowd): Promise<void> {
  const { base } = crowd;
  const lines = (await fetch(`${base}/api/live`)).body!.getReader();
  let isStale = true;
  const listening = (async () => {
    for (;;) {
      const { done } = await lines.read();
      if (done) return;
      isStale = true;
    }
  })();
  let version = '';
  while (crowd.isOn) {
    if (!isStale) {
      await sleep(GATHERS_MS);
      continue;
    }
    isStale = false;
    const start = performance.now();
    const tick = (await (await fetch(`${base}/api/bench?since=${version}`)).json()) as BenchTick;
    if (version !== '') crowd.tookMs.push(performance.now() - start);
    ({ version } = tick);
    isStale ||= !tick.isWhole;
    await sleep(LEAST_APART_MS);
  }
  await lines.cancel();
  await listening;
}

/** A probe says a reading every second. */
async function probe(crowd: Crowd, probeId: string, token: string): Promise<void> {
  for (let i = 0; crowd.isOn; i++) {
    const readings = [{ at: new Date().toISOString(), airC: 14 + (i % 5) / 10, rhPct: 61 }];
    await post(
      `${crowd.base}/api/readings?probe=${probeId}`,
      { readings },
      { Authorization: `Bearer ${token}` },
    );
    await sleep(1000);
  }
}

/** Writes that come whether those before were answered or not. */
async function writes(crowd: Crowd, partIds: readonly string[]): Promise<number[]> {
  const tookMs: number[] = [];
  const open: Promise<void>[] = [];
  for (let i = 0; i < WRITES_A_SECOND * SECONDS; i++) {
    const fact = factInput(
      'noted',
      partIds[i % partIds.length]!,
      0,
      { text: `${i}` },
      { happenedAt: new Date().toISOString() },
    );
    const start = performance.now();
    open.push(
      post(`${crowd.base}/api/facts`, { facts: [fact] }).then(
        () => void tookMs.push(performance.now() - start),
      ),
    );
    await sleep(1000 / WRITES_A_SECOND);
  }
  await Promise.all(open);
  return tookMs;
}

/** Forty tablets, six tabs and the probes while 20 writes a second arrive; the baseline is the bare route, asked in the same crowd. */
export async function benchCrowd(): Promise<Line[]> {
  const fresh = await freshDatabase();
  try {
    await prepare(fresh, PARTS);
    const { base, child } = await startServer(fresh);
    try {
      const { rows } = JSON.parse((await firstBench(base)).text) as { rows: { partId: string }[] };
      const crowd: Crowd = { base, tookMs: [], pingMs: [], isOn: true };
      const pings = async (): Promise<void> => {
        while (crowd.isOn) {
          const start = performance.now();
          await (await fetch(`${base}/api/ping`)).text();
          crowd.pingMs.push(performance.now() - start);
          await sleep(50);
        }
      };
      const probeIds = ['probe-booth', 'probe-shed', 'probe-leanto'];
      const tokens: string[] = [];
      for (const id of probeIds) {
        const r = await fetch(`${base}/api/probes/${id}/token`, {
          method: 'POST',
          headers: { 'Content-Type': 'application/json', 'X-Calvetta': '1' },
          body: '{}',
        });
        tokens.push(((await r.json()) as { token: string }).token);
      }
      // Ten probes: the demo's three, each as often as three.
      const all = Promise.all([
        ...Array.from({ length: PAGES }, () => page(crowd)),
        ...Array.from({ length: 10 }, (_, i) => probe(crowd, probeIds[i % 3]!, tokens[i % 3]!)),
        pings(),
      ]);
      await sleep(3000);
      crowd.tookMs.length = 0;
      crowd.pingMs.length = 0;
      const writeMs = await writes(
        crowd,
        rows.map((r) => r.partId),
      );
      crowd.isOn = false;
      await all;
      const show = (list: readonly number[]): string =>
        `p50 ${at(list, 0.5).toFixed(0)} p99 ${at(list, 0.99).toFixed(0)} ms (${list.length})`;
      return [
        { what: 'baseline: the bare route in the same crowd', value: show(crowd.pingMs) },
        {
          what: 'GET /api/bench?since',
          value: `${show(crowd.tookMs)}, p99 ${(at(crowd.tookMs, 0.99) / at(crowd.pingMs, 0.99)).toFixed(1)} ×`,
        },
        { what: 'a write until it is answered', value: show(writeMs) },
      ];
    } finally {
      child.removeAllListeners('exit').kill('SIGKILL');
    }
  } finally {
    await fresh.drop();
  }
}
