import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { CONTENTS, imbalanceMl, type Account } from '@calvetta/core';
import { factInput, startTestApp, steadyAir, type TestApp } from '../test/testApp.ts';
import { mixBody, postStock, receive, stockInput, tinOf } from '../test/shelf.ts';

const FRAME = 'quarry.main-frame-left';
let app: TestApp;
beforeAll(async () => {
  app = await startTestApp();
  await steadyAir(app, 'booth', 18, 50, 24);
  await app.post('/api/facts', {
    facts: [
      factInput('moved', FRAME, -20, { placeId: 'booth' }),
      factInput('stripped', FRAME, -1, { method: 'blast' }),
    ],
  });
});
afterAll(() => app.close());

const shelf = async () => (await app.call('GET', '/api/shelf')).body;
const tin = async (tinId: string) => (await shelf()).tins.find((t: { tinId: string }) => t.tinId === tinId);
const problem = (r: { body: { details: { problems: { field: string; code: string }[] } } }) =>
  r.body.details.problems[0];

describe('tins', () => {
  it('come in with their delivery, once however often sent', async () => {
    expect((await receive(app, tinOf('A1'))).status).toBe(201);
    expect((await receive(app, tinOf('B1', { content: 'hardener', sizeMl: 1000, batch: 'H2' }))).status).toBe(
      201,
    );
    expect(await tin('A1')).toMatchObject({ levelMl: 4000, openedMs: null, turn: 0, isExpired: false });
    const twice = await receive(app, tinOf('A1'));
    expect(twice).toMatchObject({ status: 409, body: { code: 'version-conflict' } });
    expect((await tin('A1')).levelMl).toBe(4000);
  });
  it('of a product nobody knows, made after it came, or with a level below nothing are refused by field', async () => {
    expect(await receive(app, tinOf('X', { productId: 'nothing' }))).toMatchObject({
      status: 422,
      body: { details: { fields: ['tin.productId'] } },
    });
    expect(problem(await receive(app, tinOf('X', { madeOn: '2027-01-01' })))).toMatchObject({
      field: 'tin.madeOn',
    });
    expect(problem(await receive(app, tinOf('X'), -5))).toMatchObject({ field: 'receivedMl' });
    const weighed = stockInput('tin-weighed', 0, { tinId: 'A1', ml: -1, by: 'weighed' });
    expect(problem(await postStock(app, weighed))).toMatchObject({ field: 'body.ml' });
  });
  it('opened before it was made is refused, with the day it was made', async () => {
    const early = stockInput('tin-opened', 0, { tinId: 'A1' });
    const r = await postStock(app, { ...early, happenedAt: '2025-05-01T10:00:00Z' });
    expect(problem(r)).toMatchObject({ field: 'happenedAt', code: 'opened-before-made' });
    expect(JSON.stringify(r.body)).toContain('2025-06-01');
  });
  it('two tablets editing one label: the second sees both', async () => {
    expect((await app.call('PATCH', '/api/tins/A1', { version: 1, batch: 'B8' })).body).toMatchObject({
      batch: 'B8',
      version: 2,
    });
    const lost = await app.call('PATCH', '/api/tins/A1', { version: 1, batch: 'B9' });
    expect(lost).toMatchObject({ status: 409, body: { details: { stored: { batch: 'B8' } } } });
  });
});

describe('a mix', () => {
  it('draws its tins down, opens them, and has a clock on the booth’s air', async () => {
    const mixed = stockInput('mixed', 0, mixBody('m1'));
    expect((await postStock(app, mixed)).status).toBe(201);
    expect((await postStock(app, mixed)).status).toBe(200);
    const s = await shelf();
    const level = (id: string) => s.tins.find((t: { tinId: string }) => t.tinId === id).levelMl;
    expect([level('A1'), level('B1')]).toEqual([3600, 900]);
    expect(s.mixes[0]).toMatchObject({ mixId: 'm1', leftMl: 500, batch: 'B8', productId: 'epoxy-primer' });
    // The sheet: 6 h at 10 °C, 4 h at 20 °C; at 18 °C between, and its shut edge on the warm side of that.
    const hours = (s.mixes[0].gone.nominalMs - s.mixes[0].mixedMs) / 3_600_000;
    expect(hours).toBeGreaterThan(4);
    expect(hours).toBeLessThan(6);
    expect(s.mixes[0].gone.worstMs).toBeLessThanOrEqual(s.mixes[0].gone.nominalMs);
    expect(s.mixes[0].usable.nominalMs).toBeGreaterThan(s.mixes[0].mixedMs);
  });
  it('of another product’s tin, of nothing, or with its id taken, is refused', async () => {
    await receive(app, tinOf('G1', { productId: 'gloss-2k', colour: 'deep green' }));
    const other = await postStock(app, stockInput('mixed', 0, mixBody('m2', { aTinId: 'G1' })));
    expect(problem(other)).toMatchObject({ field: 'body.aTinId', code: 'other-tin' });
    const swapped = await postStock(
      app,
      stockInput('mixed', 0, mixBody('m2', { aTinId: 'B1', bTinId: 'A1' })),
    );
    expect(problem(swapped)).toMatchObject({ code: 'other-tin' });
    const nothing = await postStock(app, stockInput('mixed', 0, mixBody('m2', { aMl: 0 })));
    expect(problem(nothing)).toMatchObject({ field: 'body.aMl' });
    const soft = await postStock(app, stockInput('mixed', 0, mixBody('m2', { bMl: 0, bTinId: null })));
    expect(problem(soft)).toMatchObject({ field: 'body.bMl', code: 'needs-hardener' });
    const noHardener = await postStock(app, stockInput('mixed', 0, mixBody('m2', { bTinId: null })));
    expect(problem(noHardener)).toMatchObject({ field: 'body.bTinId' });
    expect(await postStock(app, stockInput('mixed', 0, mixBody('m1')))).toMatchObject({
      status: 409,
      body: { code: 'fact-conflict' },
    });
    const nowhere = await postStock(app, stockInput('mixed', 0, mixBody('m2', { placeId: 'moon' })));
    expect(nowhere).toMatchObject({ status: 422, body: { details: { fields: ['body.placeId'] } } });
  });
  it('is named by a coat, whose part then carries its batch, thinner and age', async () => {
    const unknown = factInput('coated', FRAME, 0, {
      sheetId: 'epoxy-primer.1',
      dftUm: 60,
      mixId: 'nope',
      usedMl: 10,
      reason: 'trial',
    });
    expect(await app.post('/api/facts', { facts: [unknown] })).toMatchObject({
      status: 422,
      body: { details: { fields: ['body.mixId'] } },
    });
    const early = factInput('coated', FRAME, -0.5, {
      sheetId: 'epoxy-primer.1',
      dftUm: 60,
      mixId: 'm1',
      usedMl: 10,
      reason: 'trial',
    });
    expect(problem(await app.post('/api/facts', { facts: [early] }))).toMatchObject({
      field: 'happenedAt',
      code: 'before-mixed',
    });
    app.clock.nowMs += 3_600_000;
    const coat = factInput('coated', FRAME, 0.9, {
      sheetId: 'epoxy-primer.1',
      dftUm: 60,
      mixId: 'm1',
      usedMl: 330,
      reason: 'trial',
    });
    expect((await app.post('/api/facts', { facts: [coat] })).status).toBe(201);
    const part = (await app.call('GET', `/api/parts/${FRAME}`)).body;
    const seen = part.facts.find((f: { factId: string }) => f.factId === coat.factId);
    expect(seen.mix).toMatchObject({ batch: 'B8', thinPct: 0 });
    expect(Math.round(seen.mix.ageMinutes)).toBe(54);
    const s = await shelf();
    expect(s.mixes[0]).toMatchObject({ leftMl: 170, uses: [{ partId: FRAME, ml: 330 }] });
  });
  it('of another product, or past its pot life without a reason, no coat is from it', async () => {
    const gloss = factInput('coated', FRAME, 0.95, {
      sheetId: 'gloss-2k.1',
      dftUm: 45,
      mixId: 'm1',
      usedMl: 10,
      reason: 'trial',
    });
    expect(problem(await app.post('/api/facts', { facts: [gloss] }))).toMatchObject({
      field: 'body.mixId',
      code: 'other-product',
    });
    const before = app.clock.nowMs;
    app.clock.nowMs = before + 7 * 3_600_000;
    const late = factInput('coated', FRAME, 7.5, {
      sheetId: 'epoxy-primer.1',
      dftUm: 60,
      mixId: 'm1',
      usedMl: 10,
    });
    expect(await app.post('/api/facts', { facts: [late] })).toMatchObject({
      status: 422,
      body: { code: 'coat-refused', details: { why: 'mix-gone' } },
    });
    app.clock.nowMs = before;
  });
  it('litres balance, and a measured film above the pour is shown as a conflict', async () => {
    const read = factInput('film-read', FRAME, 0.95, {
      scope: 'system',
      by: 'comb',
      readingsUm: [900, 900, 900, 900, 900],
      perSpot: 1,
      zero: 'on-profile',
      profile: 'none',
      baseUm: null,
      rule: 'iso-19840',
      nominalUm: 60,
      minUm: null,
      maxUm: 200,
    });
    expect((await app.post('/api/facts', { facts: [read] })).status).toBe(201);
    const s = await shelf();
    expect(s.conflicts).toMatchObject([{ code: 'film-above-pour', about: 'Main frame, left' }]);
    for (const c of CONTENTS) expect(Math.abs(imbalanceMl(s.accounts[c] as Account))).toBeLessThan(1e-6);
    // The section draws what was measured.
    const card = (await app.call('GET', `/api/parts/${FRAME}`)).body.card;
    expect(card.layers[0]).toMatchObject({ dftUm: 900, isMeasured: true });
  });
  it('a correction of its amounts re-derives the tins; voiding a mix that coats came from is refused', async () => {
    const [first] = (await shelf()).facts.filter((f: { kind: string }) => f.kind === 'mixed');
    const voided = await postStock(app, stockInput('stock-voided', 1, {}, first.factId));
    expect(voided).toMatchObject({ status: 422, body: { code: 'contradicts-later' } });
    const moved = stockInput('mixed', 1, mixBody('m1'), first.factId);
    expect(await postStock(app, moved)).toMatchObject({
      status: 422,
      body: { code: 'contradicts-later' },
    });
    const right = stockInput('mixed', 0, mixBody('m1', { aMl: 480, bMl: 120 }), first.factId);
    expect((await postStock(app, right)).status).toBe(201);
    expect((await tin('A1')).levelMl).toBe(3520);
    const late = stockInput('mixed', 0, mixBody('m1', { aMl: 440, bMl: 110 }), first.factId);
    expect(await postStock(app, late)).toMatchObject({ status: 409, body: { code: 'superseded-already' } });
  });
  it('two people pouring from one tin at once: both pours are kept, it shows nothing, and asks to be weighed', async () => {
    await receive(app, tinOf('A2', { batch: 'B9' }), 500);
    const pours = await Promise.all(
      ['m3', 'm4'].map((id) => postStock(app, stockInput('mixed', 0.5, mixBody(id, { aTinId: 'A2' })))),
    );
    expect(pours.map((p) => p.status)).toEqual([201, 201]);
    expect(await tin('A2')).toMatchObject({ levelMl: 0, asksWeighing: true, turn: null });
    expect((await shelf()).conflicts).toContainEqual(
      expect.objectContaining({ code: 'poured-more-than-held', overMl: 300 }),
    );
    await postStock(app, stockInput('tin-weighed', 1, { tinId: 'A2', ml: 40, by: 'weighed' }));
    expect(await tin('A2')).toMatchObject({ levelMl: 40, asksWeighing: false });
  });
  it('what is left is waste when it has gone off', async () => {
    expect(
      (await postStock(app, stockInput('wasted', 1, { mixId: 'm3', ml: 500, why: 'gone-off' }))).status,
    ).toBe(201);
    expect((await shelf()).accounts.paint.wasteMl).toBeCloseTo(400, 6);
    expect(
      problem(await postStock(app, stockInput('wasted', 1, { ml: 500, why: 'gone-off' }))),
    ).toMatchObject({ code: 'object.missing' });
    expect(await postStock(app, stockInput('wasted', 1, { mixId: 'm9', ml: 5, why: 'spilt' }))).toMatchObject(
      { status: 422 },
    );
  });
});

describe('the shelf as a whole', () => {
  it('says what the routes still ask for, and what to buy in packs, as JSON and CSV', async () => {
    const pack = { packId: 'k1', productId: 'gloss-2k', content: 'paint', sizeMl: 1000, priceCents: 5500 };
    expect((await app.post('/api/packs', pack)).status).toBe(201);
    const list = (await app.call('GET', '/api/shopping?for=all')).body;
    expect(list.lines.length).toBeGreaterThan(0);
    const res = await fetch(`${app.base}/api/shopping.csv?for=all`);
    const text = await res.text();
    expect(res.headers.get('content-type')).toContain('text/csv');
    expect(text.split('\r\n')[0]).toBe(
      'product,content,colour,need mL,have mL,short mL,pack mL,packs,price,left over mL',
    );
    expect((await app.call('GET', '/api/shopping?for=nowhere')).status).toBe(404);
    expect((await app.call('DELETE', '/api/packs/k1')).status).toBe(204);
    expect((await app.call('DELETE', '/api/packs/k1')).status).toBe(404);
    expect((await app.post('/api/packs', { ...pack, productId: 'no' })).status).toBe(422);
  });
  it('keeps cups that were measured, each name once', async () => {
    const cup = { cupId: 'c1', name: 'blue beaker', bottomMm: 70, topMm: 90, heightMm: 110 };
    expect((await app.post('/api/cups', cup)).status).toBe(201);
    expect(problem(await app.post('/api/cups', { ...cup, cupId: 'c2' }))).toMatchObject({ field: 'name' });
    expect(
      problem(await app.post('/api/cups', { ...cup, cupId: 'c3', name: 'x', heightMm: 0 })),
    ).toMatchObject({ field: 'heightMm' });
    expect((await shelf()).cups).toEqual([cup]);
    expect((await app.call('DELETE', '/api/cups/c1')).status).toBe(204);
  });
  it('facts about stock are never changed or deleted', async () => {
    await app.asOwner((db) =>
      expect(db.query("delete from fact where subject = 'stock'")).rejects.toThrow(/never changed/),
    );
  });
});

describe('the simulated film gauge', () => {
  const csv = async (query: string) => (await fetch(`${app.base}/api/simulators/gauge.csv?${query}`)).text();
  it('stores what a gauge would, the same each time, in µm, in mils, or without saying', async () => {
    const text = await csv(`part=${FRAME}&n=6`);
    expect(text.split('\n')[0]).toBe('Reading,Spot,Thickness µm');
    expect(text.trim().split('\n').length).toBe(7);
    expect(await csv(`part=${FRAME}&n=6`)).toBe(text);
    expect((await csv(`part=${FRAME}&n=2&unit=none`)).split('\n')[0]).toBe('Reading,Spot,Thickness');
  });
  it('refuses a part nobody has and a unit nobody reads', async () => {
    expect((await app.call('GET', '/api/simulators/gauge.csv?part=nope')).status).toBe(404);
    expect((await app.call('GET', `/api/simulators/gauge.csv?part=${FRAME}&unit=ell`)).status).toBe(400);
  });
});
