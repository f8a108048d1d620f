import { createHash } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { ChainVerdict } from '@calvetta/contract';
import { startTestApp, steadyAir, type TestApp } from '../test/testApp.ts';
import { sealReadings } from './seals.ts';

/** Readings sealed by the hour: what was changed, taken out or put in among them afterwards shows. */
let app: TestApp;
let shop: string;
beforeAll(async () => {
  app = await startTestApp();
  shop = ((await app.call('GET', '/api/shop')).body as { workshopId: string }).workshopId;
  await steadyAir(app, 'booth', 18, 50, 12);
});
afterAll(() => app.close());

const seal = (): Promise<boolean> => sealReadings(app.db, shop);
const verify = async (): Promise<ChainVerdict> => (await app.call('GET', '/api/ledger/verify')).body;
const seals = async () =>
  (
    await app.db.query<{ seal_id: string; n: string; sha256: string }>(
      'select seal_id, n::text as n, sha256 from reading_seal order by to_at',
    )
  ).rows;

describe('a seal', () => {
  it('is none before the first hour, then holds every reading that came in, and is chained', async () => {
    expect((await verify()).sealedToMs).toBeNull();
    const { rows } = await app.db.query<{ n: string }>('select count(*)::text as n from reading');
    expect(await seal()).toBe(true);
    expect((await seals()).map((s) => s.n)).toEqual([rows[0]!.n]);
    const seen = await verify();
    expect([seen.isWhole, seen.faults]).toEqual([true, []]);
    expect(seen.sealedToMs).toBeGreaterThan(Date.now() - 60_000);
    expect(await seal()).toBe(false);
  });
  it('is one hash (SHA-256, FIPS 180-4) over lines that anybody with the readings can write, made here by node', async () => {
    const { rows } = await app.db.query<Record<'probe' | 'us' | 'place' | 'c' | 'rh' | 's' | 'hand', string>>(
      `select probe_id as probe, (extract(epoch from at) * 1000000)::bigint::text as us, place_id as place, air_c::text as c, rh_pct::text as rh,
         coalesce(surface_c::text, '-') as s, case when by_hand then 't' else 'f' end as hand
       from reading order by probe_id collate "C", at`,
    );
    const sha = (lines: readonly string[]): string =>
      createHash('sha256').update(lines.join('\n')).digest('hex');
    const days = new Map<string, string[]>();
    for (const r of rows) {
      const day = `${r.probe} ${Math.floor(Number(r.us) / 86_400e6)}`;
      const line = [r.probe, r.us, r.place, r.c, r.rh, r.s, r.hand].join('\t');
      days.set(day, [...(days.get(day) ?? []), line]);
    }
    expect((await seals())[0]!.sha256).toBe(sha([...days.values()].map(sha)));
  });
  it('another one holds what came in since, also of long before', async () => {
    await app.post('/api/places/shed/readings', {
      airC: 9,
      rhPct: 80,
      surfaceC: null,
      at: new Date(app.clock.nowMs - 3_600_000).toISOString(),
    });
    expect(await seal()).toBe(true);
    expect((await seals()).map((s) => s.n).at(-1)).toBe('1');
    expect((await verify()).isWhole).toBe(true);
  });
  it('made at once by two servers it is made once', async () => {
    await app.post('/api/places/shed/readings', {
      airC: 9.5,
      rhPct: 80,
      surfaceC: null,
      at: new Date(app.clock.nowMs - 1_800_000).toISOString(),
    });
    const both = await Promise.all([seal(), seal()]);
    expect(both.filter((made) => made)).toHaveLength(1);
    expect((await verify()).isWhole).toBe(true);
  });
  it('shows a reading that was changed, taken out or put in, by the hour it belongs to; the rest stays whole', async () => {
    const [first, second] = await seals();
    const tampered = async (sql: string, mend: string): Promise<ChainVerdict> =>
      app.asOwner(async (db) => {
        await db.query(sql);
        const seen = await verify();
        await db.query(mend);
        return seen;
      });
    const one = `where place_id = 'booth' and at = (select min(at) from reading where place_id = 'booth')`;
    const faults = (v: ChainVerdict) => v.faults.map((f) => [f.kind, f.id, f.what]);
    expect(
      faults(
        await tampered(
          `update reading set rh_pct = rh_pct - 20 ${one}`,
          `update reading set rh_pct = rh_pct + 20 ${one}`,
        ),
      ),
    ).toEqual([['reading_seal', first!.seal_id, 'readings-changed']]);
    expect(
      faults(
        await tampered(
          `create table kept as select * from reading where air_c = 9; delete from reading where air_c = 9`,
          `insert into reading select * from kept; drop table kept`,
        ),
      ),
    ).toEqual([['reading_seal', second!.seal_id, 'readings-changed']]);
    // Put in as if it had come with the first.
    expect(
      faults(
        await tampered(
          `insert into reading (workshop_id, probe_id, place_id, at, air_c, rh_pct, received_at)
             select workshop_id, probe_id, place_id, at + interval '7 seconds', 20, 40, received_at from reading ${one}`,
          `delete from reading where rh_pct = 40 and air_c = 20`,
        ),
      ),
    ).toEqual([['reading_seal', first!.seal_id, 'readings-changed']]);
    expect((await verify()).isWhole).toBe(true);
  });
  it('is changed by nobody, nor are readings, in the server’s own name', async () => {
    for (const sql of [
      'update reading_seal set n = 1',
      'delete from reading_seal',
      'truncate reading_seal',
      'update reading set air_c = 20',
      'delete from reading',
    ])
      await expect(app.db.query(sql)).rejects.toThrow(/permission denied/);
  });
});
