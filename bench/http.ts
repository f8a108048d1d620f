import { startTestApp, smallShop, type TestApp } from '../server/src/test/testApp.ts';
import type { ShopFile } from '@calvetta/contract';
import { factInput, AS_OF_MS } from '../server/src/test/testApp.ts';
import type { Line } from './print.ts';

const PARTS = 400;
const READINGS = 1_000_000;
const REQUESTS = 2000;
const AT_ONCE = 40;

function bigShop(): ShopFile {
  const small = smallShop();
  const machine = small.machines[0]!;
  const template = machine.assemblies[0]!.parts[0]!;
  const parts = Array.from({ length: PARTS }, (_, i) => ({
    ...template,
    partId: `part-${i}`,
    name: `Part ${i}`,
  }));
  return {
    ...small,
    facts: [],
    machines: [{ ...machine, assemblies: [{ ...machine.assemblies[0]!, parts }] }],
  };
}

/** A year and more of readings of three places, put in by one statement: the import is measured elsewhere. */
async function fill(app: TestApp): Promise<void> {
  await app.db.query(
    `insert into reading (workshop_id, probe_id, place_id, at, air_c, rh_pct, surface_c, by_hand)
     select 'saltmarsh', 'bench-' || p, p, to_timestamp($1::float8 / 1000) - (i * interval '2 minutes'),
            10 + 4 * sin(i / 230.0) + (i % 3) * 0.1, 60 + 10 * cos(i / 300.0), null, false
     from unnest(array['booth', 'shed', 'leanto']) p, generate_series(0, $2::int) i`,
    [AS_OF_MS, Math.floor(READINGS / 3)],
  );
  const facts = Array.from({ length: PARTS }, (_, i) => [
    factInput('moved', `part-${i}`, -200, { placeId: ['booth', 'shed', 'leanto'][i % 3]! }),
    factInput('stripped', `part-${i}`, -100, { method: 'blast' }),
    factInput('coated', `part-${i}`, -99 + (i % 90), {
      sheetId: 'epoxy-primer.1',
      dftUm: 60,
      reason: 'bench',
    }),
  ]).flat();
  for (let i = 0; i < facts.length; i += 300)
    await app.post('/api/facts', { facts: facts.slice(i, i + 300) });
}

async function timed(url: string): Promise<number[]> {
  const times: number[] = [];
  const one = async (): Promise<void> => {
    const start = performance.now();
    await (await fetch(url)).arrayBuffer();
    times.push(performance.now() - start);
  };
  for (let i = 0; i < REQUESTS; i += AT_ONCE) await Promise.all(Array.from({ length: AT_ONCE }, one));
  return times.sort((a, b) => a - b);
}

/** Against /api/ping, which asks the database `select 1` on the same server. */
export async function benchHttp(): Promise<Line[]> {
  const app = await startTestApp({ shop: bigShop() });
  try {
    await fill(app);
    const coldStart = performance.now();
    await app.call('GET', '/api/bench');
    const coldMs = performance.now() - coldStart;
    const ping = await timed(`${app.base}/api/ping`);
    const bench = await timed(`${app.base}/api/bench`);
    const at = (list: readonly number[], p: number): number => list[Math.floor(list.length * p)]!;
    const show = (list: readonly number[]): string =>
      `p50 ${at(list, 0.5).toFixed(1)} ms, p99 ${at(list, 0.99).toFixed(1)} ms`;
    return [
      { what: 'baseline: /api/ping (select 1)', value: show(ping) },
      {
        what: '/api/bench',
        value: `${show(bench)}; ratio p50 ${(at(bench, 0.5) / at(ping, 0.5)).toFixed(1)}, p99 ${(at(bench, 0.99) / at(ping, 0.99)).toFixed(1)}`,
      },
      { what: 'first answer after a start', value: `${coldMs.toFixed(0)} ms` },
    ];
  } finally {
    await app.close();
  }
}
