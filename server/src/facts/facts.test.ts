import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { FactKind } from '@calvetta/core';
import { factInput, startTestApp, steadyAir, type TestApp } from '../test/testApp.ts';

const FRAME = 'quarry.main-frame-left';
const CAB = 'quarry.cab-side-left';
const BLOCK = 'pump.cylinder-block';
const epoxy = { sheetId: 'epoxy-primer.1', dftUm: 60, tool: 'gun' };

let app: TestApp;
beforeAll(async () => {
  app = await startTestApp();
  await steadyAir(app, 'booth', 18, 50, 48);
  await steadyAir(app, 'leanto', -3, 75, 48);
  const placed = await app.post('/api/facts', {
    facts: [
      factInput('moved', FRAME, -40, { placeId: 'booth' }),
      factInput('moved', CAB, -40, { placeId: 'booth' }),
      factInput('moved', BLOCK, -40, { placeId: 'leanto' }),
    ],
  });
  expect(placed.status).toBe(201);
});
afterAll(() => app.close());

const post = (...facts: unknown[]) => app.post('/api/facts', { facts });

describe('a coat, from the touch to the Bench', () => {
  it('is stored once, and the Bench shows its early span', async () => {
    const blast = factInput('stripped', FRAME, -1, { method: 'blast' });
    expect((await post(blast)).status).toBe(201);
    const coat = factInput('coated', FRAME, 0, { ...epoxy, over: undefined });
    const first = await post(coat);
    expect(first.status).toBe(201);
    const again = await post(coat);
    expect(again.status).toBe(200);
    expect(again.body).toEqual(first.body);
    const { body } = await app.call('GET', '/api/bench');
    const row = body.rows.find((r: { partId: string }) => r.partId === FRAME);
    expect(row).toMatchObject({ headline: 'early', lastCoat: { name: 'Epoxy primer' } });
    const { rows } = await app.db.query<{ n: number }>(
      'select count(*)::int as n from fact where fact_id = $1',
      [coat.factId],
    );
    expect(rows[0]!.n).toBe(1);
  });
  it('the same id with other contents is a conflict that shows both', async () => {
    const note = factInput('noted', FRAME, 0, { text: 'weld at the left horn' });
    await post(note);
    const r = await post({ ...note, body: { text: 'other' } });
    expect(r.status).toBe(409);
    expect(r.body).toMatchObject({
      code: 'fact-conflict',
      details: { stored: { body: { text: 'weld at the left horn' } }, sent: { body: { text: 'other' } } },
    });
  });
  it('a batch is stored whole or not at all', async () => {
    const good = factInput('noted', FRAME, 0, { text: 'goes with the bad one' });
    const bad = factInput('noted', 'nobody.knows', 0, { text: 'x' });
    expect((await post(good, bad)).body.code).toBe('unknown-reference');
    const part = await app.call('GET', `/api/parts/${FRAME}`);
    expect(JSON.stringify(part.body)).not.toContain('goes with the bad one');
  });
});

describe('many parts in one act', () => {
  it('each part by itself: the one that is refused is named, the others are stored', async () => {
    const [a, b, lost] = [
      factInput('noted', FRAME, 0, { text: 'each: the frame' }),
      factInput('noted', BLOCK, 0, { text: 'each: the block' }),
      factInput('noted', BLOCK, 0, { text: 'each: by nobody' }, { personId: 'zoe' }),
    ];
    const r = await app.post('/api/facts', { facts: [a, b, lost], each: true });
    expect(r.status).toBe(201);
    expect(r.body.facts.map((f: { factId: string }) => f.factId)).toEqual([a.factId]);
    expect(r.body.refused).toEqual([
      {
        partId: BLOCK,
        factIds: [b.factId, lost.factId],
        error: expect.objectContaining({ code: 'unknown-reference', details: { fields: ['personId'] } }),
      },
    ]);
    const block = await app.call('GET', `/api/parts/${BLOCK}`);
    expect(JSON.stringify(block.body)).not.toContain('each: the block');
  });
  it('a body that cannot be, and a route without a survey, are that part’s own too', async () => {
    const route = factInput('route-set', FRAME, 0, { steps: [], origin: 'advised' });
    const good = factInput('noted', CAB, 0, { text: 'each: the cab' });
    const r = await app.post('/api/facts', {
      facts: [route, good, factInput('surface-read', BLOCK, 0, { surfaceC: -300 })],
      each: true,
    });
    expect(r.body.facts).toHaveLength(1);
    expect(r.body.refused.map((x: { partId: string }) => x.partId).sort()).toEqual([FRAME, BLOCK].sort());
  });
  it('sent again it is the same, and says the same', async () => {
    const facts = [FRAME, CAB].map((id) => factInput('noted', id, 0, { text: 'twice' }));
    const first = await app.post('/api/facts', { facts, each: true });
    const again = await app.post('/api/facts', { facts, each: true });
    expect([first.status, again.status]).toEqual([201, 200]);
    expect(again.body).toEqual(first.body);
  });
});

describe('an answer says how far the ledger goes', () => {
  const noted = (text: string) => post(factInput('noted', FRAME, 0, { text }));
  it('each write further than the one before', async () => {
    const [one, two] = [await noted('one'), await noted('two')];
    expect(two.body.seq).toBeGreaterThan(one.body.seq);
  });
  it('a read that names an entry is answered with it, also by a process that has not heard of it', async () => {
    const other = await startTestApp({ url: app.url, shop: null });
    try {
      await other.call('GET', '/api/bench');
      // Written past every process: nobody is told.
      const { rows } = await app.db.query<{ seq: number }>(
        `insert into fact (workshop_id, fact_id, subject, kind, part_id, happened_at, recorded_at, person_id, device_id, body)
         select workshop_id, $1, 'part', 'noted', part_id, happened_at, recorded_at, person_id, device_id, '{"text": "said to nobody"}'
         from fact where part_id = $2 and kind = 'noted' limit 1 returning seq::float8 as seq`,
        [randomUUID(), FRAME],
      );
      const read = (seq?: number) =>
        other.call(
          'GET',
          `/api/parts/${FRAME}`,
          undefined,
          seq === undefined ? {} : { 'x-calvetta-seq': String(seq) },
        );
      expect(JSON.stringify((await read()).body)).not.toContain('said to nobody');
      expect(JSON.stringify((await read(rows[0]!.seq)).body)).toContain('said to nobody');
    } finally {
      await other.close();
    }
  });
  it('an entry that nobody stored is not waited for', async () => {
    expect((await app.call('GET', '/api/bench', undefined, { 'x-calvetta-seq': '999999999' })).status).toBe(
      200,
    );
    expect((await app.call('GET', '/api/bench', undefined, { 'x-calvetta-seq': 'many' })).status).toBe(200);
  });
});

describe('bad input, each with what would be accepted', () => {
  it.each([
    ['a coat dated tomorrow', factInput('coated', CAB, 24, epoxy), 422, 'in-the-future'],
    ['a coat with no product', factInput('coated', CAB, 0, { dftUm: 60 }), 422, 'no-product'],
    ['a film of 5 000 µm', factInput('coated', CAB, 0, { ...epoxy, dftUm: 5000 }), 400, 'invalid-input'],
    [
      'a sheet that does not exist',
      factInput('coated', CAB, 0, { ...epoxy, sheetId: 'no.1' }),
      422,
      'unknown-reference',
    ],
    ['a surface of −300 °C', factInput('surface-read', CAB, 0, { surfaceC: -300 }), 400, 'invalid-input'],
    [
      'a person unknown here',
      factInput('noted', CAB, 0, { text: 'x' }, { personId: 'zoe' }),
      422,
      'unknown-reference',
    ],
    [
      'an end before its start',
      factInput('stripped', CAB, 0, { method: 'blast' }, { endedAt: '2026-03-01T00:00:00Z' }),
      400,
      'invalid-input',
    ],
    ['text for a number', factInput('coated', CAB, 0, { ...epoxy, dftUm: 'sixty' }), 400, 'invalid-input'],
  ])('%s', async (_what, fact, status, code) => {
    const r = await post(fact);
    expect(r.status).toBe(status);
    expect(r.body.code).toBe(code);
    expect(r.body.remedy.length).toBeGreaterThan(10);
  });
  it('names the field, what was got and what is accepted', async () => {
    const r = await post(factInput('surface-read', CAB, 0, { surfaceC: -300 }));
    expect(r.body.details.problems).toEqual([
      { field: 'body.surfaceC', code: 'number.min', got: -300, accepts: expect.stringContaining('-40') },
    ]);
  });
  it('a coat before the one it covers', async () => {
    const lower = factInput(
      'coated',
      CAB,
      -2,
      { sheetId: 'zp-alkyd.1', dftUm: 45, reason: 'trial piece' },
      { face: 'B' },
    );
    expect((await post(lower)).status).toBe(201);
    const upper = { sheetId: 'enamel.1', dftUm: 35, over: lower.factId, reason: 'trial piece' };
    const r = await post(factInput('coated', CAB, -3, upper, { face: 'B' }));
    expect(r.status).toBe(422);
    expect(r.body).toMatchObject({ code: 'before-covered', details: { field: 'happenedAt' } });
  });
});

describe('what the clocks forbid needs a reason that goes into the ledger', () => {
  it('a coat held by the air is refused, and stored with a reason', async () => {
    await post(factInput('stripped', BLOCK, -0.5, { method: 'blast' }));
    const coat = factInput('coated', BLOCK, 0, { sheetId: 'epoxy-mastic.1', dftUm: 100 });
    const refused = await post(coat);
    expect(refused.status).toBe(422);
    expect(refused.body).toMatchObject({ code: 'coat-refused', details: { why: 'held' } });
    const accepted = await post({ ...coat, body: { ...coat.body, reason: 'heat is on and rising' } });
    expect(accepted.status).toBe(201);
    expect(accepted.body.facts[0].body.reason).toBe('heat is on and rising');
  });
  it('is judged by what the same act said before it: enamel ten minutes after primer is early', async () => {
    const cab = (kind: FactKind, hours: number, body: Record<string, unknown>) =>
      factInput(kind, CAB, hours, body, { face: 'A' });
    const both = [
      cab('stripped', -0.4, { method: 'blast' }),
      cab('coated', -0.2, epoxy),
      cab('coated', -0.1, { sheetId: 'enamel.1', dftUm: 35, tool: 'gun' }),
    ];
    expect(await post(...both)).toMatchObject({
      status: 422,
      body: { code: 'coat-refused', details: { why: 'early' } },
    });
    // The same with one of them: the blasting just before it is what allows it.
    expect((await post(both[0], both[1])).status).toBe(201);
  });
  it('a correction is judged where it moves the coat, and not where it only says more of it', async () => {
    const noReason = { sheetId: 'epoxy-mastic.1', dftUm: 100 };
    const stored = await app.call('GET', `/api/parts/${BLOCK}`);
    const cold = stored.body.facts.find((f: { kind: string }) => f.kind === 'coated');
    const fix = (hours: number, body: Record<string, unknown>) =>
      post({ ...factInput('coated', BLOCK, hours, body), supersedes: cold.factId });
    // Ten minutes earlier it was as cold, and no reason goes with it now.
    expect(await fix(-10 / 60, noReason)).toMatchObject({ status: 422, body: { code: 'coat-refused' } });
    expect((await fix(0, { ...noReason, dftUm: 110 })).status).toBe(201);
  });
});

describe('corrections', () => {
  it('two tabs correcting one coat: the second sees both, nothing is overwritten', async () => {
    const coat = factInput(
      'coated',
      CAB,
      -1,
      { sheetId: 'zp-alkyd.1', dftUm: 45, reason: 'trial' },
      { face: 'A' },
    );
    await post(coat);
    const fix = (dftUm: number) => ({
      ...factInput('coated', CAB, -1, { sheetId: 'zp-alkyd.1', dftUm, reason: 'trial' }, { face: 'A' }),
      supersedes: coat.factId,
    });
    const answers = await Promise.all([post(fix(50)), post(fix(55))]);
    expect(answers.map((a) => a.status).sort()).toEqual([201, 409]);
    const lost = answers.find((a) => a.status === 409)!;
    expect(lost.body.code).toBe('superseded-already');
    const films = [lost.body.details.stored.body.dftUm, lost.body.details.sent.body.dftUm];
    expect(films.sort()).toEqual([50, 55]);
  });
  it('a coat that another covers cannot be voided first', async () => {
    const part = await app.call('GET', `/api/parts/${CAB}`);
    const lower = part.body.facts.find(
      (f: { kind: string; face: string }) => f.kind === 'coated' && f.face === 'B',
    );
    await post(
      factInput(
        'coated',
        CAB,
        0,
        { sheetId: 'enamel.1', dftUm: 35, over: lower.factId, reason: 'trial' },
        { face: 'B' },
      ),
    );
    const r = await post({ ...factInput('voided', CAB, 0, {}), supersedes: lower.factId });
    expect(r.status).toBe(422);
    expect(r.body.code).toBe('contradicts-later');
  });
  it('facts cannot be changed or deleted in the database itself', async () => {
    await expect(app.db.query("update fact set kind = 'noted'")).rejects.toThrow();
    await expect(app.db.query('delete from fact')).rejects.toThrow();
  });
});

describe('editing a part', () => {
  it('an older version is answered with both', async () => {
    const mine = await app.call('PATCH', `/api/parts/${FRAME}`, { version: 1, massKg: 470 });
    expect(mine.status).toBe(200);
    const late = await app.call('PATCH', `/api/parts/${FRAME}`, { version: 1, massKg: 490 });
    expect(late.status).toBe(409);
    expect(late.body.details).toMatchObject({ stored: { massKg: 470, version: 2 }, sent: { massKg: 490 } });
  });
  it.each([
    [{ version: 2, massKg: 0 }],
    [{ version: 2, areaM2: -1 }],
    [{ version: 2, substrate: 'unobtainium' }],
    [{ version: 2 }],
  ])('refuses %j', async (patch) => {
    const r = await app.call('PATCH', `/api/parts/${FRAME}`, patch);
    expect(r.status).toBe(400);
    expect(r.body.code).toBe('invalid-input');
  });
  it('an unknown part is not found', async () => {
    const r = await app.call('PATCH', `/api/parts/${randomUUID()}`, { version: 1, massKg: 3 });
    expect(r.status).toBe(404);
  });
});
