import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { AS_OF_MS, startTestApp, steadyAir, type TestApp } from '../test/testApp.ts';

let app: TestApp;
beforeAll(async () => {
  app = await startTestApp();
  TOKEN = await tokenOf('probe-shed');
});
afterAll(() => app.close());

const tokenOf = async (probeId: string) => ({
  Authorization: `Bearer ${(await app.post(`/api/probes/${probeId}/token`, {})).body.token}`,
});
let TOKEN = { Authorization: '' };
const reading = (minutesAgo: number, over = {}) => ({
  at: new Date(AS_OF_MS - minutesAgo * 60_000).toISOString(),
  airC: 9.4,
  rhPct: 71,
  surfaceC: 8.8,
  ...over,
});
const probe = (readings: unknown, headers: Record<string, string> = TOKEN, id = 'probe-shed') =>
  app.call('POST', `/api/readings?probe=${id}`, { readings }, headers);

describe('a probe reports', () => {
  it('once: the same batch again is known, not stored twice', async () => {
    const batch = [reading(20), reading(10)];
    expect(await probe(batch)).toMatchObject({ status: 201, body: { stored: 2, known: 0 } });
    expect(await probe(batch)).toMatchObject({ status: 200, body: { stored: 0, known: 2 } });
  });
  it('by a token that is shown once: a new one ends the one before, and no file carries any', async () => {
    const first = await tokenOf('probe-booth');
    expect((await probe([reading(30)], first, 'probe-booth')).status).toBe(201);
    const second = await tokenOf('probe-booth');
    expect(second).not.toEqual(first);
    expect((await probe([reading(29)], first, 'probe-booth')).status).toBe(401);
    expect((await probe([reading(29)], second, 'probe-booth')).status).toBe(201);
    const { body } = await app.call('GET', '/api/export');
    expect(body.probes.length).toBeGreaterThan(0);
    for (const p of body.probes) expect(Object.keys(p)).not.toContain('token');
    const other = await startTestApp({ shop: body });
    expect(
      (await other.call('POST', '/api/readings?probe=probe-booth', { readings: [] }, second)).status,
    ).toBe(401);
    await other.close();
  });
  it('whatever a stranger sends in its name', async () => {
    const wrong = { Authorization: 'Bearer guess' };
    const all = await Promise.all(Array.from({ length: 60 }, () => probe([reading(4)], wrong)));
    expect(new Set(all.map((r) => r.status))).toEqual(new Set([401]));
    expect((await probe([reading(4)])).status).toBe(201);
  });
  it('with its own token only', async () => {
    const r = await probe([reading(5)], { Authorization: 'Bearer guess' });
    expect(r).toMatchObject({ status: 401, body: { code: 'bad-token' } });
    expect((await probe([reading(5)], {}, 'probe-nowhere')).status).toBe(401);
  });
  it.each([
    ['humidity of 140 %', [reading(5, { rhPct: 140 })], 'readings.0.rhPct', '100'],
    ['−300 °C', [reading(5), reading(4, { airC: -300 })], 'readings.1.airC', '-40'],
    ['a time that is none', [reading(5, { at: 'yesterday' })], 'readings.0.at', ''],
    ['text in a number', [reading(5, { airC: 'warm' })], 'readings.0.airC', ''],
    ['a list that is none', 'garbage', 'readings', ''],
  ])(
    '%s is refused at its field and nothing of the batch is stored',
    async (_what, batch, field, accepts) => {
      app.clock.nowMs += 5000;
      const before = await app.db.query('select 1 from reading');
      const r = await probe(batch);
      expect(r.status).toBe(400);
      expect(r.body.details.problems[0]).toMatchObject({ field, accepts: expect.stringContaining(accepts) });
      const after = await app.db.query('select 1 from reading');
      expect(after.rows.length).toBe(before.rows.length);
    },
  );
  it('not from tomorrow', async () => {
    app.clock.nowMs += 5000;
    const r = await probe([reading(-24 * 60)]);
    expect(r).toMatchObject({
      status: 422,
      body: { code: 'in-the-future', details: { field: 'readings.0.at' } },
    });
  });
  it('bytes that are no JSON get the one error body', async () => {
    app.clock.nowMs += 5000;
    const r = await app.call('POST', '/api/readings?probe=probe-shed', '\u0000{{{', TOKEN);
    expect(r).toMatchObject({ status: 400, body: { code: 'invalid-input' } });
  });
  it('a thousand times a second: told to slow down, other probes are heard', async () => {
    app.clock.nowMs += 60_000;
    const answers = await Promise.all(Array.from({ length: 200 }, () => probe([reading(5)])));
    const limited = answers.filter((a) => a.status === 429);
    expect(limited.length).toBeGreaterThanOrEqual(150);
    expect(limited[0]!.body.code).toBe('rate-limited');
    const other = await probe([reading(5)], await tokenOf('probe-booth'), 'probe-booth');
    expect(other.status).toBe(201);
    app.clock.nowMs += 10_000;
    expect((await probe([reading(5)])).status).not.toBe(429);
  });
});

describe('a reading by hand', () => {
  it('speaks for its place at once', async () => {
    const r = await app.post('/api/places/leanto/readings', reading(0, { airC: 4.2, rhPct: 88 }));
    expect(r.status).toBe(201);
    const air = await app.call('GET', '/api/places/leanto/air');
    const now = air.body.places.find((p: { placeId: string }) => p.placeId === 'leanto');
    // Dew point of 4.2 °C at 88 %: 2.4 °C by psychrolib 1.1.1 (GetTDewPointFromRelHum), rounded.
    expect(now).toMatchObject({ airC: 4.2, rhPct: 88, trust: 'fresh' });
    expect(Math.abs(now.dewPointC - 2.4)).toBeLessThan(0.1);
  });
  it('of 140 % is refused', async () => {
    const r = await app.post('/api/places/leanto/readings', reading(0, { rhPct: 140 }));
    expect(r.body.details.problems[0]).toMatchObject({ field: 'rhPct', got: 140 });
  });
  it('for a place that is not there is not found', async () =>
    expect((await app.post('/api/places/attic/readings', reading(0))).status).toBe(404));
});

describe('a place’s air', () => {
  it('is thinned to the points asked, and says where the measured ends', async () => {
    await steadyAir(app, 'booth', 18, 50, 72);
    // Older than a snapshot may be served.
    app.clock.nowMs += 100_000;
    const r = await app.call('GET', '/api/places/booth/air?points=60');
    expect(r.status).toBe(200);
    expect(r.body.points.length).toBeGreaterThan(20);
    expect(r.body.points.length).toBeLessThanOrEqual(62);
    expect(new Set(r.body.points.map((p: { source: string }) => p.source)).has('measured')).toBe(true);
  });
  it.each([30, 26 * 60, 3 * 1440])(
    'knows what a logger brings in late, %d minutes old, whatever had been read before',
    async (minutesAgo) => {
      const from = new Date(app.clock.nowMs - 4 * 86_400_000).toISOString();
      const measured = async (): Promise<number> => {
        const { body } = await app.call('GET', `/api/places/shed/air?points=2000&from=${from}`);
        return body.points.filter((p: any) => p.source === 'measured' && p.airC === 33.3).length;
      };
      expect(await measured()).toBe(0);
      const hot = [0, 10, 20].map((m) => reading(minutesAgo + m, { airC: 33.3 }));
      expect((await probe(hot)).status).toBe(201);
      // A snapshot may be served for some seconds more.
      app.clock.nowMs += 6_000;
      for (let i = 0; i < 100 && (await measured()) === 0; i++)
        await new Promise((done) => setTimeout(done, 50));
      expect(await measured()).toBeGreaterThan(0);
      app.clock.nowMs += 100_000;
      const off = await app.asOwner((db) => db.query('delete from reading where air_c = 33.3'));
      expect(off.rowCount).toBe(3);
      expect(
        (await app.call('POST', '/api/places/shed/readings', { ...reading(3 * 1440 + minutesAgo), airC: 9 }))
          .status,
      ).toBe(201);
    },
  );
  it.each(['points=5', 'points=many', 'from=never'])('refuses %s', async (query) =>
    expect((await app.call('GET', `/api/places/booth/air?${query}`)).status).toBe(400),
  );
});
