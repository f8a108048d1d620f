import { get } from 'node:http';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import {
  withTick,
  type BenchHeld,
  type BenchResponse,
  type BenchTick,
  type ShopFile,
} from '@calvetta/contract';
import { factInput, smallShop, startTestApp, steadyAir, type TestApp } from '../test/testApp.ts';

const PARTS = 230;
const idOf = (i: number): string => `plate-${i}`;

/** One machine of many plates, all blasted. */
function plates(): ShopFile {
  const small = smallShop();
  const machine = small.machines[0]!;
  const assembly = machine.assemblies[0]!;
  const parts = Array.from({ length: PARTS }, (_, i) => ({
    ...assembly.parts[0]!,
    partId: idOf(i),
    name: `Plate ${i}`,
  }));
  return { ...small, facts: [], machines: [{ ...machine, assemblies: [{ ...assembly, parts }] }] };
}

let app: TestApp;
beforeAll(async () => {
  app = await startTestApp({ shop: plates() });
  await steadyAir(app, 'booth', 18, 50, 24);
  const facts = Array.from({ length: PARTS }, (_, i) => [
    factInput('moved', idOf(i), -20, { placeId: 'booth' }),
    factInput('stripped', idOf(i), -1 - i / 1000, { method: 'blast' }),
  ]).flat();
  const r = await app.post('/api/facts', { facts });
  expect(r.status).toBe(201);
});
afterAll(() => app.close());

const tick = async (since: string): Promise<BenchTick> =>
  (await app.call('GET', `/api/bench?since=${since}`)).body as BenchTick;
const whole = async (): Promise<BenchResponse> => (await app.call('GET', '/api/bench')).body as BenchResponse;
/** A page that asks until it has everything; how many answers that took. */
async function page(held?: BenchHeld): Promise<{ held: BenchHeld; answers: number }> {
  for (let answers = 1; ; answers++) {
    held = withTick(held, await tick(held?.version ?? ''));
    if (held.isWhole) return { held, answers };
  }
}

describe('the Bench in pieces', () => {
  it('is, once it is whole, what it is in one piece', async () => {
    const { held, answers } = await page();
    expect(answers).toBe(3);
    expect(held.rows).toEqual((await whole()).rows);
    expect(held.partCount).toBe(PARTS);
  });
  it('begins with what is lost first', async () => {
    const first = await tick('');
    expect(first.isWhole).toBe(false);
    expect(first.rows).toEqual((await whole()).rows.slice(0, 100));
  });
  it('says afterwards only what has changed: one row after one write, none after none', async () => {
    const { held } = await page();
    const idle = await tick(held.version);
    expect([idle.rows, idle.order, idle.isWhole]).toEqual([[], null, true]);
    const wiped = factInput('wetted', idOf(7), 0, { by: 'rain' });
    expect((await app.post('/api/facts', { facts: [wiped] })).status).toBe(201);
    const after = await tick(idle.version);
    expect(after.rows.map((r) => r.partId)).toEqual([idOf(7)]);
    expect(withTick(withTick(held, idle), after).rows).toEqual((await whole()).rows);
    expect(JSON.stringify(after).length).toBeLessThan(20_000);
  });
  it('forty pages that have the same get one answer, and none of theirs is forgotten while the others ask', async () => {
    const { held } = await page();
    const ask = async (since: string): Promise<string> =>
      JSON.stringify((await app.call('GET', `/api/bench?since=${since}`)).body);
    const answers = await Promise.all(Array.from({ length: 120 }, () => ask(held.version)));
    expect(new Set(answers).size).toBe(1);
    for (let i = 0; i < 80; i++) await tick(`page-${i}`);
    const idle = await tick(held.version);
    expect([idle.rows, idle.order, idle.isWhole]).toEqual([[], null, true]);
  });
  it('a part that is done with leaves it', async () => {
    const { held } = await page();
    const facts = [{ ...factInput('voided', idOf(9), 0, {}), supersedes: await strippedOf(idOf(9)) }];
    expect((await app.post('/api/facts', { facts })).status).toBe(201);
    const after = (await page(held)).held;
    expect(after.rows.map((r) => r.partId)).not.toContain(idOf(9));
    expect(after.rows).toEqual((await whole()).rows);
  });
  it.each(['', 'never-heard-of', '../../etc'])(
    'who names %j has nothing, and gets the beginning',
    async (since) => {
      const t = await tick(encodeURIComponent(since));
      expect([t.rows.length, t.order?.length]).toEqual([100, (await whole()).rows.length]);
    },
  );
  it('goes over the line packed', async () => {
    const plain = JSON.stringify(await tick('')).length;
    const packed = await new Promise<number>((done) =>
      get(`${app.base}/api/bench?since=`, { headers: { 'Accept-Encoding': 'gzip' } }, (res) => {
        expect(res.headers['content-encoding']).toBe('gzip');
        let bytes = 0;
        res.on('data', (b: Buffer) => (bytes += b.length)).on('end', () => done(bytes));
      }),
    );
    expect(packed).toBeLessThan(plain / 4);
    expect(packed).toBeLessThan(60_000);
  });
});

async function strippedOf(partId: string): Promise<string> {
  const { facts } = (await app.call('GET', `/api/parts/${partId}`)).body as {
    facts: { factId: string; kind: string }[];
  };
  return facts.find((f) => f.kind === 'stripped')!.factId;
}
