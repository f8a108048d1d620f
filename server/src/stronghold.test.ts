import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { request } from 'node:http';
import { randomUUID } from 'node:crypto';
import { CATALOGUE_SHEETS, DAY_MS } from '@calvetta/core';
import { AS_OF_MS, factInput, smallShop, startTestApp, type TestApp } from './test/testApp.ts';

let app: TestApp;
beforeAll(async () => {
  app = await startTestApp();
});
afterAll(() => app.close());

/** A request as it stands: fetch forbids a foreign Host, and mends addresses. */
function raw(
  method: string,
  path: string,
  headers: Readonly<Record<string, string>>,
  body = '',
): Promise<{ status: number; body: any }> {
  const { hostname, port } = new URL(app.base);
  return new Promise((done, fail) => {
    const req = request({ hostname, port, method, path, headers }, (res) => {
      let text = '';
      res.on('data', (c: Buffer) => (text += c.toString()));
      res.on('end', () => done({ status: res.statusCode ?? 0, body: text === '' ? null : JSON.parse(text) }));
    });
    req.on('error', fail);
    req.end(body);
  });
}
const JSON_TYPE = { 'Content-Type': 'application/json' };
const OURS = { ...JSON_TYPE, 'X-Calvetta': '1' };

describe('a page of somebody else’s', () => {
  it('neither reads under a name of its own nor writes', async () => {
    expect(await raw('GET', '/api/shop', { Host: 'evil.example' })).toMatchObject({
      status: 421,
      body: { code: 'misdirected', details: { host: 'evil.example' } },
    });
    // The page itself too: a name that points here must not serve it.
    expect((await raw('GET', '/', { Host: 'evil.example:80' })).status).toBe(421);
    expect((await raw('GET', '/api/shop', { Host: 'localhost:9' })).status).toBe(200);
    expect((await raw('GET', '/api/shop', { Host: '[::1]:9' })).status).toBe(200);
  });
  it.each([
    ['a form of plain text, which needs no asking first', { 'Content-Type': 'text/plain' }, 403],
    ['JSON that says neither where it comes from nor that it is meant', JSON_TYPE, 403],
    ['our header, from a foreign origin', { ...OURS, Origin: 'https://evil.example' }, 403],
    ['a sandboxed frame', { ...OURS, Origin: 'null' }, 403],
    ['plain text with our header', { 'X-Calvetta': '1', 'Content-Type': 'text/plain' }, 415],
  ])('%s is refused', async (_, headers, status) => {
    const before = await app.db.query('select 1 from reading');
    const r = await raw(
      'POST',
      '/api/import/readings?place=shed',
      { Host: 'localhost', ...headers },
      'time,air,rh\n2026-03-05T10:00:00Z,9,70\n',
    );
    expect(r.status).toBe(status);
    expect((await app.db.query('select 1 from reading')).rows.length).toBe(before.rows.length);
  });
});

describe('a page of ours', () => {
  it('writes by its own origin; a page left open from before brought no header, and its writes are not refused', async () => {
    const { host } = new URL(app.base);
    const fact = factInput('noted', 'pump.cylinder-block', -1, { text: 'from an older page' });
    const headers = { Host: host, ...JSON_TYPE, Origin: `http://${host}` };
    expect((await raw('POST', '/api/facts', headers, JSON.stringify({ facts: [fact] }))).status).toBe(201);
  });
});

describe('bodies that are made to hurt', () => {
  it('a megabyte of empty objects is refused at once, and others are answered meanwhile', async () => {
    const heap = `{"facts":[${'{},'.repeat(320_000)}{}]}`;
    const started = performance.now();
    const [bad, ping] = await Promise.all([
      app.call('POST', '/api/facts', heap),
      app.call('GET', '/api/ping').then((r) => [r.status, performance.now() - started] as const),
    ]);
    expect(bad).toMatchObject({
      status: 400,
      body: { details: { problems: [{ field: 'facts', code: 'bounds' }] } },
    });
    expect(ping[0]).toBe(200);
    // It was 23 s; a walk is well under the 2 s that any answer may take.
    expect(performance.now() - started).toBeLessThan(2_000);
  });
  it('and so is the same heap as a shop file', async () => {
    const started = performance.now();
    const r = await app.call('POST', '/api/import/shop', { ...smallShop(), facts: Array(200_000).fill({}) });
    expect(r.status).toBe(400);
    expect(performance.now() - started).toBeLessThan(6_000);
  });
  it.each([
    ['nothing but depth', `${'{"a":'.repeat(3000)}1${'}'.repeat(3000)}`, 400],
    ['a zero character', JSON.stringify({ facts: [{ note: 'a\u0000b' }] }), 400],
    ['half a character', '{"facts":[{"note":"\\ud800"}]}', 400],
    ['half a JSON', '{"facts":[', 400],
  ])('%s', async (_, body, status) =>
    expect((await app.call('POST', '/api/facts', body)).status).toBe(status),
  );
  it('an address that is no UTF-8, and an encoding nobody knows', async () => {
    expect((await raw('GET', '/api/parts/%E0%A4%A', { Host: 'localhost' })).status).toBe(400);
    const odd = { Host: 'localhost', ...OURS, 'Content-Encoding': 'rot13' };
    expect((await raw('POST', '/api/facts', odd, '{}')).status).toBe(400);
  });
});

describe('times', () => {
  const note = (happenedAt: string) =>
    app.post('/api/facts', {
      facts: [factInput('noted', 'pump.cylinder-block', -1, { text: 'x' }, { happenedAt })],
    });
  it.each([
    '2026-03-05T10:00:00+00',
    '2026',
    '2026-02-30T10:00:00Z',
    '0000-01-01T00:00:00Z',
    '2026-03-05T10:00:00',
  ])('%s is refused by its field', async (at) =>
    expect(await note(at)).toMatchObject({
      status: 400,
      body: { details: { problems: [{ field: 'facts.0.happenedAt' }] } },
    }),
  );
  it('what is finer than a millisecond is cut off, and the same entry again is the same', async () => {
    const fact = factInput(
      'noted',
      'pump.cylinder-block',
      -1,
      { text: 'fine' },
      {
        happenedAt: '2026-03-05T10:00:00.123456789+01:00',
      },
    );
    const first = await app.post('/api/facts', { facts: [fact] });
    expect(first.status).toBe(201);
    expect(first.body.facts[0].happenedAtMs).toBe(Date.UTC(2026, 2, 5, 9, 0, 0, 123));
    expect((await app.post('/api/facts', { facts: [fact] })).status).toBe(200);
    expect(
      (await app.post('/api/facts', { facts: [{ ...fact, factId: fact.factId.toUpperCase() }] })).status,
    ).toBe(200);
  });
});

describe('a forecast for the end of days', () => {
  const far = { at: '9999-12-31T00:00:00Z', airC: 10, rhPct: 50 };
  it('is refused as JSON and by line as CSV', async () => {
    expect((await app.post('/api/import/forecast', [far])).status).toBe(400);
    const at = new Date(AS_OF_MS + 16 * DAY_MS).toISOString();
    expect(await app.post('/api/import/forecast', [{ ...far, at }])).toMatchObject({
      status: 400,
      body: { details: { problems: [{ field: '0.at', code: 'too-far' }] } },
    });
    const csv = `time,air,rh\n${at},10,50\n${new Date(AS_OF_MS + DAY_MS).toISOString()},9,60\n`;
    const { body } = await app.call('POST', '/api/import/forecast', csv, { 'Content-Type': 'text/csv' });
    let job: any;
    do job = (await app.call('GET', `/api/import/jobs/${body.jobId}`)).body;
    while (job.state === 'running');
    expect(job).toMatchObject({ state: 'done', rowsStored: 1, rowsRefused: 1, problems: [{ line: 2 }] });
  });
  it('one that stands in the database all the same stops nothing', async () => {
    await app.db.query(
      `insert into forecast_hour (workshop_id, at, issued_at, air_c, rh_pct) values ('saltmarsh', '9999-12-31', now(), 10, 50)`,
    );
    const again = await startTestApp({ url: app.url, shop: null });
    const started = performance.now();
    expect((await again.call('GET', '/api/bench')).status).toBe(200);
    expect((await again.call('GET', '/api/places/shed/air')).status).toBe(200);
    expect(performance.now() - started).toBeLessThan(10_000);
    await again.close();
  });
});

describe('the same id with other contents', () => {
  const sheet = { ...CATALOGUE_SHEETS[0]!, sheetId: 'own-sheet.9', productId: 'own-sheet', revision: 9 };
  it('twenty sheets at once: one is stored, the others see it', async () => {
    const all = await Promise.all(
      Array.from({ length: 20 }, (_, i) => app.post('/api/sheets', { ...sheet, name: `Own sheet ${i}` })),
    );
    const stored = all.filter((r) => r.status === 201);
    expect(stored.length).toBe(1);
    expect(new Set(all.filter((r) => r.status !== 201).map((r) => r.status))).toEqual(new Set([409]));
    const { body } = await app.call('GET', '/api/sheets/own-sheet.9');
    expect(body.name).toBe(stored[0]!.body.name);
    expect((await app.post('/api/sheets', body)).status).toBe(200);
  });
  it('twenty packs at once: the same', async () => {
    const pack = { packId: randomUUID(), productId: 'epoxy-primer', content: 'paint', sizeMl: 4321 };
    const all = await Promise.all(
      Array.from({ length: 20 }, (_, i) => app.post('/api/packs', { ...pack, priceCents: 100 + i })),
    );
    expect(all.filter((r) => r.status === 201).length).toBe(1);
    expect(all.filter((r) => r.status === 409).length).toBe(19);
  });
  it.each([
    ['humidity above all there is', { rhMaxPct: 101 }],
    ['a margin of minus a million', { dewMarginK: -1e6 }],
    ['metal hotter than any paint', { applySurfaceMinC: 5000 }],
  ])('a sheet with %s is refused', async (_, over) =>
    expect(
      (await app.post('/api/sheets', { ...sheet, sheetId: 'y.1', productId: 'y', ...over })).status,
    ).toBe(400),
  );
  it('a tin of one millilitre does not hold a cubic metre', async () => {
    const tin = {
      tinId: randomUUID(),
      productId: 'epoxy-primer',
      content: 'paint',
      batch: null,
      colour: null,
    };
    const printed = { sizeMl: 1, madeOn: null, priceCents: null, tareG: null };
    const r = await app.post('/api/tins', {
      tin: { ...tin, ...printed },
      receivedMl: 1_000_000,
      factId: randomUUID(),
      happenedAt: new Date(AS_OF_MS).toISOString(),
      personId: 'ines',
      deviceId: 'd',
    });
    expect(r).toMatchObject({ status: 400, body: { details: { problems: [{ field: 'receivedMl' }] } } });
  });
  it('a sheet whose least film is above its most is refused', async () =>
    expect(
      await app.post('/api/sheets', { ...sheet, sheetId: 'x.1', productId: 'x', dftMinUm: 90, dftMaxUm: 50 }),
    ).toMatchObject({
      status: 400,
    }));
});

describe('a shop file that contradicts itself', () => {
  const shop = smallShop();
  const part = shop.machines[0]!.assemblies[0]!.parts[0]!;
  const given = async (over: object, field: string): Promise<void> => {
    const r = await app.post('/api/import/shop', { ...shop, ...over });
    expect(r.status).toBe(400);
    expect(r.body.details.problems.map((p: any) => p.field)).toContain(field);
  };
  it('a zone that is none', () =>
    given({ workshop: { ...shop.workshop, zone: 'Nowhere/Land' } }, 'workshop.zone'));
  it('the same part twice', () => {
    const machine = shop.machines[0]!;
    const assembly = { ...machine.assemblies[0]!, assemblyId: 'again' };
    const machines = [
      { ...machine, assemblies: [...machine.assemblies, assembly] },
      ...shop.machines.slice(1),
    ];
    return given({ machines }, `machines.0.assemblies.${machine.assemblies.length}.parts.0`);
  });
  it('a coat over one that is not there', () =>
    given(
      {
        facts: [
          ...shop.facts,
          {
            factId: randomUUID(),
            kind: 'coated',
            partId: part.partId,
            face: null,
            happenedAt: shop.asOf,
            endedAt: null,
            personId: 'ines',
            supersedes: null,
            body: { sheetId: shop.sheets[0]!.sheetId, dftUm: 60, tool: 'gun', over: randomUUID() },
          },
        ],
      },
      `facts.${shop.facts.length}.body.over`,
    ));
  it('two imports at once make one workshop', async () => {
    const empty = await startTestApp({ shop: null });
    const all = await Promise.all(
      [1, 2, 3].map((n) =>
        empty.post('/api/import/shop', { ...shop, workshop: { ...shop.workshop, workshopId: `w${n}` } }),
      ),
    );
    expect(all.map((r) => r.status).sort()).toEqual([201, 409, 409]);
    expect((await empty.db.query('select 1 from workshop')).rows.length).toBe(1);
    await empty.close();
  });
});

describe('a disk that is nearly full', () => {
  const note = () =>
    app.post('/api/facts', { facts: [factInput('noted', 'pump.cylinder-block', 0, { text: 'room?' })] });
  it('holds writes back before the database falls, and goes on answering; with room again it takes them', async () => {
    app.clock.nowMs += 10_000;
    app.disk.freeBytes = 20_000_000;
    expect(await note()).toMatchObject({ status: 503, body: { code: 'busy' } });
    expect((await app.call('GET', '/api/bench')).status).toBe(200);
    app.disk.freeBytes = 5_000_000_000;
    app.clock.nowMs += 10_000;
    expect((await note()).status).toBe(201);
  });
  it('full all the same (PostgreSQL’s 53100) is not now, and no fault', async () => {
    await app.asOwner((db) =>
      db.query(`create function no_room() returns trigger language plpgsql as $$ begin raise exception 'disk full' using errcode = '53100'; end $$;
        create trigger no_room before insert on fact for each row execute function no_room()`),
    );
    expect(await note()).toMatchObject({ status: 503, body: { code: 'busy' } });
    expect((await app.call('GET', '/api/bench')).status).toBe(200);
    await app.asOwner((db) => db.query('drop trigger no_room on fact'));
    expect((await note()).status).toBe(201);
  });
});
