import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { setTimeout as after } from 'node:timers/promises';
import { isWhole, itInCi } from '../test/inCi.ts';
import { factInput, startTestApp, steadyAir, type TestApp } from '../test/testApp.ts';

let app: TestApp;
beforeAll(async () => {
  app = await startTestApp({ shop: null });
});
afterAll(() => app.close());

const patch = (path: string, body: object) => app.call('PATCH', path, body);
const remove = (path: string, version: number) => app.call('DELETE', `${path}?version=${version}`);
const shop = async () => (await app.call('GET', '/api/shop')).body;
const machines = async () => (await app.call('GET', '/api/machines')).body.machines;

const PLATE = {
  partId: 'own.plate',
  name: 'Plate',
  assemblyName: 'Frame',
  substrate: 'steel-plate',
  massKg: 12,
  areaM2: 0.5,
  thicknessMm: 6,
  faces: 2,
};

describe('a shop of one’s own, from nothing', () => {
  it('is not there before it is begun, and everything says so', async () => {
    for (const path of ['/api/shop', '/api/bench', '/api/machines', '/api/shelf'])
      expect(await app.call('GET', path)).toMatchObject({
        status: 404,
        body: { code: 'not-found', details: { what: 'workshop' } },
      });
  });
  it('is begun once: sent again it is the same, a second one is refused', async () => {
    const own = {
      workshopId: 'own',
      name: 'Quay shed',
      zone: 'Europe/Lisbon',
      volumeSystem: 'imperial',
      currency: 'EUR',
    };
    expect((await app.post('/api/shop', { ...own, zone: 'Nowhere/At-all' })).status).toBe(400);
    expect((await app.post('/api/shop', own)).status).toBe(201);
    expect((await app.post('/api/shop', own)).status).toBe(200);
    expect((await app.post('/api/shop', { ...own, workshopId: 'two' })).status).toBe(409);
    expect((await app.post('/api/demo', {})).status).toBe(409);
    expect(await shop()).toMatchObject({ name: 'Quay shed', isDemo: false, people: [], places: [] });
    expect((await app.call('GET', '/api/bench')).body).toMatchObject({ rows: [], partCount: 0 });
  });
  it('is renamed and told when people come, by the version that was seen', async () => {
    const { version } = await shop();
    const weekly = [
      { weekday: 2, from: '18:30', to: '22:00' },
      { weekday: 6, from: '09:00', to: '17:00' },
    ];
    expect((await patch('/api/shop', { version, name: 'Slip shed', currency: 'GBP', weekly })).status).toBe(
      200,
    );
    const now = await shop();
    expect(now).toMatchObject({ name: 'Slip shed', currency: 'GBP', zone: 'Europe/Lisbon' });
    expect(now.attendance.weekly).toHaveLength(2);
    expect(await patch('/api/shop', { version, name: 'Late' })).toMatchObject({
      status: 409,
      body: { details: { stored: { name: 'Slip shed' } } },
    });
    const backwards = [{ weekday: 2, from: '22:00', to: '18:30' }];
    expect((await patch('/api/shop', { version: now.version, weekly: backwards })).status).toBe(400);
  });
  it('takes people, places, probes, machines and parts, and then says what can be coated', async () => {
    for (const [path, body] of [
      ['people', { personId: 'rui', name: 'Rui' }],
      ['places', { placeId: 'shed', name: 'Shed', exposure: 'indoor-still', altitudeM: 3, setpointC: null }],
      ['machines', { machineId: 'own', name: 'Boat winch', kind: 'machine tool' }],
    ] as const) {
      expect((await app.post(`/api/${path}`, body)).status).toBe(201);
      expect((await app.post(`/api/${path}`, body)).status).toBe(200);
      expect((await app.post(`/api/${path}`, { ...body, name: 'Another' })).status).toBe(409);
    }
    expect((await machines())[0]).toMatchObject({ name: 'Boat winch', assemblies: [] });
    expect((await app.post('/api/machines/own/parts', { parts: [PLATE] })).status).toBe(201);
    await steadyAir(app, 'shed', 18, 50, 24);
    const by = { personId: 'rui' };
    const facts = [
      factInput('moved', 'own.plate', -2, { placeId: 'shed' }, by),
      factInput('stripped', 'own.plate', -1, { method: 'blast' }, by),
    ];
    expect((await app.post('/api/facts', { facts })).status).toBe(201);
    const { rows, partCount } = (await app.call('GET', '/api/bench')).body;
    expect([rows[0].partId, rows[0].headline, partCount]).toEqual(['own.plate', 'bare', 1]);
  });
});

describe('what is taken off the list', () => {
  it('is deleted where it never had a record, and made again by the same id', async () => {
    const spare = { personId: 'eva', name: 'Eva' };
    await app.post('/api/people', spare);
    expect(await remove('/api/people/eva', 1)).toMatchObject({ status: 200, body: { removed: 'deleted' } });
    expect((await shop()).people.map((p: any) => p.personId)).toEqual(['rui']);
    expect((await app.post('/api/people', spare)).status).toBe(201);
  });
  it.each([
    ['people', 'rui'],
    ['places', 'shed'],
    ['machines', 'own'],
    ['parts', 'own.plate'],
  ])('/%s/%s has a record: it is put away, keeps it, and comes back', async (path, id) => {
    const before = (await app.call('GET', '/api/export')).body.facts.length;
    expect(await remove(`/api/${path}/${id}`, 1)).toMatchObject({
      status: 200,
      body: { removed: 'put-away', version: 2 },
    });
    expect((await app.call('GET', '/api/export')).body.facts).toHaveLength(before);
    const onBench = (await app.call('GET', '/api/bench')).body;
    if (path === 'machines' || path === 'parts')
      expect([onBench.rows.length, onBench.partCount]).toEqual([0, 0]);
    if (path === 'places') expect(onBench.places).toEqual([]);
    // A part of a machine that was put away still has its page.
    expect((await app.call('GET', '/api/parts/own.plate')).status).toBe(200);
    expect((await patch(`/api/${path}/${id}`, { version: 2, isAway: false })).status).toBe(200);
    expect((await app.call('GET', '/api/bench')).body.rows).toHaveLength(1);
  });
  it('by the version that was seen, and never one that is not there', async () => {
    expect(await remove('/api/places/shed', 1)).toMatchObject({
      status: 409,
      body: { code: 'version-conflict' },
    });
    expect((await remove('/api/places/nowhere', 1)).status).toBe(404);
    expect((await app.call('DELETE', '/api/places/shed')).status).toBe(400);
    expect((await patch('/api/places/nowhere', { version: 1, name: 'X' })).status).toBe(404);
  });
  it('two tablets edit the same: the second sees both versions, nothing is lost', async () => {
    const { version } = (await shop()).places[0];
    expect((await patch('/api/places/shed', { version, name: 'Long shed' })).status).toBe(200);
    expect(await patch('/api/places/shed', { version, setpointC: 15 })).toMatchObject({
      status: 409,
      body: { details: { stored: { name: 'Long shed', setpointC: null } } },
    });
  });
});

describe('a probe of one’s own', () => {
  it('reports with a token that is made for it, and no more once it is put away', async () => {
    const probe = { probeId: 'p1', placeId: 'shed', partId: null, name: 'On the beam', isSimulated: false };
    expect((await app.post('/api/probes', { ...probe, placeId: 'nowhere' })).body.code).toBe(
      'unknown-reference',
    );
    expect((await app.post('/api/probes', probe)).status).toBe(201);
    const reading = { at: new Date(app.clock.nowMs - 60_000).toISOString(), airC: 12, rhPct: 60 };
    const send = (token: string) =>
      app.call(
        'POST',
        '/api/readings?probe=p1',
        { readings: [reading] },
        { Authorization: `Bearer ${token}` },
      );
    expect((await send('anything')).status).toBe(401);
    const { token } = (await app.post('/api/probes/p1/token', {})).body;
    expect((await send(token)).status).toBe(201);
    expect((await remove('/api/probes/p1', 1)).body.removed).toBe('put-away');
    expect((await send(token)).status).toBe(401);
    expect((await app.post('/api/probes/p1/token', {})).status).toBe(404);
  });
});

describe('order and where things belong', () => {
  it('a part is put before another, and into another assembly, without a word about its faces', async () => {
    const alone = { ...PLATE, partId: 'own.x', pairPartId: 'nowhere' };
    expect((await app.post('/api/machines/own/parts', { parts: [alone] })).body.details.fields).toEqual([
      'pairPartId',
    ]);
    const more = ['b', 'c', 'd'].map((x) => ({ ...PLATE, partId: `own.${x}`, name: `Part ${x}` }));
    await app.post('/api/machines/own/parts', { parts: more });
    const names = async () =>
      (await machines())[0].assemblies.map((a: any) => [a.name, a.parts.map((p: any) => p.name)]);
    expect(await names()).toEqual([['Frame', ['Plate', 'Part b', 'Part c', 'Part d']]]);
    const versionOf = async (id: string) => (await app.call('GET', `/api/parts/${id}`)).body.version;
    await patch('/api/parts/own.d', { version: await versionOf('own.d'), before: 'own.b' });
    expect(await names()).toEqual([['Frame', ['Plate', 'Part d', 'Part b', 'Part c']]]);
    await patch('/api/parts/own.d', { version: await versionOf('own.d'), before: null });
    expect((await names())[0][1].at(-1)).toBe('Part d');
    await app.post('/api/assemblies', { assemblyId: 'own.drum', machineId: 'own', name: 'Drum' });
    const to = { version: await versionOf('own.b'), assemblyId: 'own.drum' };
    expect((await patch('/api/parts/own.b', to)).status).toBe(200);
    expect(await names()).toEqual([
      ['Frame', ['Plate', 'Part c', 'Part d']],
      ['Drum', ['Part b']],
    ]);
    expect((await app.call('GET', '/api/parts/own.b')).body.card.assemblyName).toBe('Drum');
    const nowhere = { version: await versionOf('own.b'), assemblyId: 'none', pairPartId: 'none' };
    expect((await patch('/api/parts/own.b', nowhere)).body.details.fields).toEqual([
      'assemblyId',
      'pairPartId',
    ]);
  });
  it('a part keeps its back while something is recorded there', async () => {
    const turned = factInput('noted', 'own.plate', -1, { text: 'scratched' }, { personId: 'rui', face: 'B' });
    expect((await app.post('/api/facts', { facts: [turned] })).status).toBe(201);
    const { version } = (await app.call('GET', '/api/parts/own.plate')).body;
    expect(await patch('/api/parts/own.plate', { version, faceCount: 1 })).toMatchObject({
      status: 422,
      body: { code: 'contradicts-later', details: { later: [turned.factId] } },
    });
  });
  it('what was put away, empty assemblies and exceptions go out with the shop and come in again', async () => {
    await app.post('/api/assemblies', { assemblyId: 'own.empty', machineId: 'own', name: 'Nothing yet' });
    const { version } = (await app.call('GET', '/api/parts/own.c')).body;
    expect((await patch('/api/parts/own.c', { version, isAway: true })).status).toBe(200);
    const { body: out } = await app.call('GET', '/api/export');
    const other = await startTestApp({ shop: null });
    try {
      const came = await other.post('/api/import/shop', out);
      expect([came.status, came.body.details ?? null]).toEqual([201, null]);
      const { body: again } = await other.call('GET', '/api/export');
      expect({ ...again, asOf: null }).toEqual({ ...out, asOf: null });
      expect(out.machines[0].assemblies.map((a: any) => a.name)).toContain('Nothing yet');
      expect(out.machines[0].assemblies[0].parts.find((p: any) => p.partId === 'own.c').isAway).toBe(true);
    } finally {
      await other.close();
    }
  });
});

describe('the demo', () => {
  it('is loaded whole, removed whole, and loaded again; a shop of one’s own is never removed', async () => {
    expect(await app.call('DELETE', '/api/demo')).toMatchObject({
      status: 404,
      body: { details: { what: 'demo' } },
    });
    const trial = await startTestApp({ shop: null });
    try {
      for (let round = 0; round < (isWhole ? 2 : 1); round++) {
        expect((await trial.post('/api/demo', {})).status).toBe(201);
        expect((await trial.call('GET', '/api/shop')).body.isDemo).toBe(true);
        const { body } = await trial.call('GET', '/api/bench');
        expect(body.partCount).toBeGreaterThan(70);
        expect(body.places.every((p: any) => p.trust === 'fresh')).toBe(true);
        // What a person did in it meanwhile goes with it.
        const note = factInput('noted', body.rows[0].partId, 0, { text: 'tried' });
        expect((await trial.post('/api/facts', { facts: [note] })).status).toBe(201);
        expect((await trial.call('DELETE', '/api/demo')).status).toBe(204);
        expect((await trial.call('GET', '/api/shop')).status).toBe(404);
        const left = await trial.asOwner((db) =>
          db.query<{ n: number }>(
            'select (select count(*) from fact) + (select count(*) from reading) + (select count(*) from sheet) + (select count(*) from part) as n',
          ),
        );
        expect(String(left.rows[0]!.n)).toBe('0');
      }
    } finally {
      await trial.close();
    }
  }, 60_000);
  itInCi(
    'is planned towards its gala while somebody looks round already; taken away meanwhile, it is not planned',
    async () => {
      const trial = await startTestApp({ shop: null });
      const planned = async (): Promise<any> => (await trial.call('GET', '/api/plan')).body.plan;
      try {
        expect((await trial.post('/api/demo?plan=yes', {})).status).toBe(201);
        expect(await planned()).toBeNull();
        expect((await trial.call('DELETE', '/api/demo')).status).toBe(204);
        expect((await trial.post('/api/demo?plan=yes', {})).status).toBe(201);
        for (let i = 0; i < 300 && (await planned()) === null; i++) await after(200);
        const { plan, ask } = await planned();
        expect([ask.coatPlaceId, ask.machines.length, plan.items.length > 100]).toEqual(['booth', 5, true]);
        const { rows } = await trial.db.query<{ n: string }>('select count(*) as n from plan');
        expect(rows[0]!.n).toBe('1');
      } finally {
        await trial.close();
      }
    },
  );
  it('a shop begun after it breathes its own air, though its places are called the same', async () => {
    const trial = await startTestApp({ shop: null });
    try {
      expect((await trial.post('/api/demo', {})).status).toBe(201);
      const { body: demo } = await trial.call('GET', '/api/bench');
      expect(demo.forecastEndMs).toBeGreaterThan(trial.clock.nowMs);
      expect((await trial.call('DELETE', '/api/demo')).status).toBe(204);
      const own = { workshopId: 'own', name: 'Own', zone: 'UTC', volumeSystem: 'us', currency: 'USD' };
      expect((await trial.post('/api/shop', own)).status).toBe(201);
      const shed = { placeId: 'shed', name: 'Shed', exposure: 'indoor-still', altitudeM: 0, setpointC: null };
      expect((await trial.post('/api/places', shed)).status).toBe(201);
      // A bay of it shares its air; a place that is not there cannot, and one that others share is put away and not deleted.
      const bay = { ...shed, placeId: 'bay', name: 'Bay', airOfId: 'shed' };
      expect((await trial.post('/api/places', { ...bay, airOfId: 'nowhere' })).body.code).toBe(
        'unknown-reference',
      );
      expect((await trial.post('/api/places', bay)).status).toBe(201);
      expect((await trial.call('GET', '/api/shop')).body.places).toMatchObject([
        { placeId: 'shed', airOfId: null },
        { placeId: 'bay', airOfId: 'shed' },
      ]);
      expect((await trial.call('DELETE', '/api/places/shed?version=1')).body).toMatchObject({
        removed: 'put-away',
      });
      expect((await trial.call('PATCH', '/api/places/shed', { version: 2, isAway: false })).status).toBe(200);
      expect((await trial.call('DELETE', '/api/places/bay?version=1')).body).toMatchObject({
        removed: 'deleted',
      });
      const { body } = await trial.call('GET', '/api/bench');
      expect(body.places).toMatchObject([{ placeId: 'shed', trust: 'none', airC: null }]);
      expect(body.forecastEndMs).toBe(trial.clock.nowMs);
    } finally {
      await trial.close();
    }
  }, 60_000);
  it('the server’s own role cannot call a shop the demo, nor remove one that is not', async () => {
    await expect(app.db.query('update workshop set is_demo = true')).rejects.toThrow(/permission denied/);
    await expect(app.db.query('delete from workshop')).rejects.toThrow(/permission denied/);
    await expect(app.db.query('delete from fact')).rejects.toThrow(/permission denied/);
    await expect(app.db.query(`select remove_demo('own')`)).rejects.toThrow(/only the demo/);
    await expect(app.asOwner((db) => db.query('delete from fact'))).rejects.toThrow(
      /never changed or deleted/,
    );
  });
});
