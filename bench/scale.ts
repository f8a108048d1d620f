import type { ChildProcess } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import type { BenchResponse, BenchTick } from '@calvetta/contract';
import { freshDatabase } from '../server/src/test/databases.ts';
import { factInput } from '../server/src/test/testApp.ts';
import { firstBench, post, prepare, startServer } from './largeShop.ts';
import type { Line } from './print.ts';

const WRITES = 30;

export interface Scale {
  /** Until anything is said: the Bench, or how far a large shop is. */
  readonly saidMs: number;
  readonly firstMs: number;
  readonly answerKb: number;
  readonly gzKb: number;
  readonly seenP50Ms: number;
  readonly seenP95Ms: number;
  /** Packed: what a page is sent after a write. */
  readonly tickKb: number;
  readonly memoryMb: number;
}
const at = (list: readonly number[], p: number): number =>
  [...list].sort((a, b) => a - b)[Math.min(list.length - 1, Math.floor(list.length * p))]!;

/** A write of one page until another that listens has it on its Bench. */
async function seen(base: string): Promise<{ times: number[]; tickKb: number[] }> {
  const tickKb: number[] = [];
  let version = '';
  for (let isWhole = false; !isWhole;)
    ({ version, isWhole } = (await (await fetch(`${base}/api/bench?since=${version}`)).json()) as BenchTick);
  const lines = (await fetch(`${base}/api/live`)).body!.getReader();
  let told = (): void => undefined;
  const listening = (async () => {
    for (;;) {
      const { done, value } = await lines.read();
      if (done) return;
      if (Buffer.from(value).toString().includes('"facts"')) told();
    }
  })();
  const times: number[] = [];
  for (let i = 0; i < WRITES; i++) {
    const word = new Promise<void>((resolve) => (told = resolve));
    const start = performance.now();
    const now = new Date().toISOString();
    await post(`${base}/api/facts`, {
      facts: [factInput('noted', 'quarry.main-frame-left', 0, { text: `${i}` }, { happenedAt: now })],
    });
    await word;
    const tick = (await (await fetch(`${base}/api/bench?since=${version}`)).json()) as BenchTick;
    times.push(performance.now() - start);
    tickKb.push(gzipSync(JSON.stringify(tick)).length / 1000);
    ({ version } = tick);
    await new Promise((done) => setTimeout(done, 200));
  }
  await lines.cancel();
  await listening;
  return { times, tickKb };
}

function memoryMb(child: ChildProcess): number {
  const status = readFileSync(`/proc/${child.pid}/status`, 'utf8');
  return Number(/VmRSS:\s+(\d+)/.exec(status)?.[1]) / 1024;
}

export async function measureScale(parts: number): Promise<Scale> {
  const fresh = await freshDatabase();
  try {
    await prepare(fresh, parts);
    const { base, child } = await startServer(fresh);
    try {
      const { saidMs, firstMs, text } = await firstBench(base);
      if ((JSON.parse(text) as BenchResponse).partCount !== parts)
        throw new Error('not the parts that were asked for');
      const { times, tickKb } = await seen(base);
      return {
        saidMs,
        firstMs,
        answerKb: text.length / 1000,
        gzKb: gzipSync(text).length / 1000,
        seenP50Ms: at(times, 0.5),
        seenP95Ms: at(times, 0.95),
        tickKb: at(tickKb, 0.95),
        memoryMb: memoryMb(child),
      };
    } finally {
      child.removeAllListeners('exit').kill('SIGKILL');
    }
  } finally {
    await fresh.drop();
  }
}

/** The largest takes minutes to grow: `bin/bench --long`. */
const SIZES = process.env['BENCH_LONG'] === '1' ? [400, 2_000, 4_000] : [400, 2_000];
const show = (s: Scale): string =>
  `first word ${s.saidMs.toFixed(0)} ms, Bench ${s.firstMs.toFixed(0)} ms after the start, of ${s.answerKb.toFixed(0)} kB (${s.gzKb.toFixed(0)} gz), tick ${s.tickKb.toFixed(1)} kB gz, seen p50 ${s.seenP50Ms.toFixed(0)} p95 ${s.seenP95Ms.toFixed(0)} ms, memory ${s.memoryMb.toFixed(0)} MB`;

/** The same shop at 400, 2 000 and by `--long` 4 000 parts; how each figure grows from the first to the last (1: with the parts). */
export async function benchScale(): Promise<Line[]> {
  const all: Scale[] = [];
  for (const n of SIZES) all.push(await measureScale(n));
  const [small, large] = [all[0]!, all[all.length - 1]!];
  const growth = (key: keyof Scale): string =>
    `${(large[key] / small[key]).toFixed(1)} × (exponent ${(Math.log(large[key] / small[key]) / Math.log(SIZES[SIZES.length - 1]! / SIZES[0]!)).toFixed(2)})`;
  return [
    ...all.map((s, i) => ({
      what: i === 0 ? `baseline: ${SIZES[i]} parts` : `${SIZES[i]} parts`,
      value: show(s),
    })),
    {
      what: `${SIZES[SIZES.length - 1]} against ${SIZES[0]}`,
      value: `first answer ${growth('firstMs')}, seen ${growth('seenP95Ms')}, memory ${growth('memoryMb')}`,
    },
  ];
}
