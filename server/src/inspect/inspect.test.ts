import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { candidatesOf, weigh, weighable, type FindingView, type InspectView } from '@calvetta/core';
import { AS_OF_MS, factInput, startTestApp, steadyAir, type TestApp } from '../test/testApp.ts';

const FRAME = 'quarry.main-frame-left';
const CAB = 'quarry.cab-side-left';
const BLOCK = 'pump.cylinder-block';
const EPOXY = 'epoxy-primer.1';

let app: TestApp;
beforeAll(async () => {
  app = await startTestApp();
  await steadyAir(app, 'booth', 9, 60, 200);
  const begun = await app.post('/api/facts', {
    facts: [
      factInput('moved', FRAME, -190, { placeId: 'booth' }),
      factInput('moved', CAB, -190, { placeId: 'booth' }),
      factInput('stripped', FRAME, -101, { method: 'blast' }),
    ],
  });
  expect(begun.status).toBe(201);
});
afterAll(() => app.close());

const post = (...facts: unknown[]) => app.post('/api/facts', { facts });
const inspect = async (partId: string): Promise<InspectView> =>
  (await app.call('GET', `/api/parts/${partId}/inspect`)).body;
const findingOf = async (partId: string, id: string): Promise<FindingView> =>
  (await inspect(partId)).findings.find((f) => f.findingId === id)!;
const found = (partId: string, hours: number, body: Record<string, unknown>) =>
  factInput('found', partId, hours, body);

describe('a sag found on a coat with a record', () => {
  it('is weighed from what the part really had, and an answer moves it', async () => {
    const coat = factInput('coated', FRAME, -100, {
      sheetId: EPOXY,
      dftUm: 60,
      tool: 'gun',
      thinnerGrade: 'slow',
      reason: 'cold on purpose',
    });
    const sag = found(FRAME, -90, {
      what: 'fault',
      fault: 'sag',
      coatFactId: coat.factId,
      seenAfter: 'days',
      x: 0.5,
      y: 0.5,
    });
    expect((await post(coat, sag)).status).toBe(201);
    const f = await findingOf(FRAME, sag.factId);
    expect(f.coat).toMatchObject({ factId: coat.factId, coatNo: 1, packs: 2 });
    const cold = f.evidence.find((e) => e.code === 'cold-when-laid');
    expect(cold).toMatchObject({ says: 'yes', from: 'record', figure: { unit: '°C' } });
    expect(cold!.figure!.value).toBeCloseTo(9, 0);
    const input = { faults: ['sag'] as const, cannotBe: new Set(f.cannotBe), seenAfter: 'days' as const };
    const before = weigh({ ...input, evidence: weighable(f.evidence) });
    expect(before.causes[0]!.causeId).toBe('slow-thinner-for-the-cold');
    expect(candidatesOf(input).length).toBe(6);
    const said = factInput('finding-answered', FRAME, -89, {
      findingId: sag.factId,
      code: 'gun-near',
      says: 'yes',
    });
    expect((await post(said)).status).toBe(201);
    const after = await findingOf(FRAME, sag.factId);
    expect(after.answers).toEqual([{ code: 'gun-near', says: 'yes' }]);
    const moved = weigh({ ...input, evidence: weighable(after.evidence) });
    const share = (w: typeof moved, id: string): number => w.causes.find((c) => c.causeId === id)!.share;
    expect(share(moved, 'gun-near-or-slow')).toBeGreaterThan(share(before, 'gun-near-or-slow'));
    // Taken back, it is as it was.
    expect(
      (
        await post(
          factInput('finding-answered', FRAME, -88, {
            findingId: sag.factId,
            code: 'gun-near',
            says: 'unknown',
          }),
        )
      ).status,
    ).toBe(201);
    expect((await findingOf(FRAME, sag.factId)).evidence).toEqual(f.evidence);
  });

  it('its remedy waits for the coat to be hard enough to sand, leads the Bench, and is done step by step', async () => {
    const sag = (await inspect(FRAME)).findings[0]!;
    const set = factInput('remedy-set', FRAME, -80, { findingId: sag.findingId, remedy: 'flat-and-polish' });
    expect((await post(set)).status).toBe(201);
    const row = async () =>
      (await app.call('GET', `/api/parts/${FRAME}`)).body.card as {
        headline: string;
        act: Record<string, unknown>;
      };
    const f = await findingOf(FRAME, sag.findingId);
    expect(f.steps.map((s) => [s.step, s.isDone])).toEqual([
      ['blade-off', false],
      ['flat-fine', false],
      ['polish', false],
    ]);
    expect(f.steps[0]!.from!.worstMs).toBeGreaterThan(AS_OF_MS - 100 * 3_600_000);
    expect((await row()).act).toMatchObject({ code: 'mend', step: 'blade-off', remedy: 'flat-and-polish' });
    expect((await post(factInput('abraded', FRAME, -0.5, { how: 'wet', gritP: 1500 }))).status).toBe(201);
    expect((await row()).act).toMatchObject({ code: 'mend', step: 'polish' });
    const closed = factInput('finding-closed', FRAME, 0, { findingId: sag.findingId, how: 'repaired' });
    expect((await post(closed)).status).toBe(201);
    expect((await row()).act['code']).not.toBe('mend');
  });

  it('two people close it at once: the second is told who was first', async () => {
    const sag = (await inspect(FRAME)).findings[0]!;
    const again = await post(
      factInput('finding-closed', FRAME, 0, { findingId: sag.findingId, how: 'not-so' }),
    );
    expect(again).toMatchObject({
      status: 409,
      body: { code: 'closed-already', details: { stored: { body: { how: 'repaired' } } } },
    });
    const nibs = found(FRAME, -1, { what: 'fault', fault: 'nibs' });
    await post(nibs);
    const both = await Promise.all(
      ['repaired', 'not-so'].map((how) =>
        post(factInput('finding-closed', FRAME, 0, { findingId: nibs.factId, how })),
      ),
    );
    expect(both.map((r) => r.status).sort()).toEqual([201, 409]);
  });
});

describe('what a licensed person has to answer', () => {
  it('a sign that is not paint keeps every coat off that face, and no reason lifts it', async () => {
    const sign = found(BLOCK, -1, { what: 'sign', sign: 'bulge' });
    expect((await post(sign)).status).toBe(201);
    expect((await app.call('GET', `/api/parts/${BLOCK}`)).body.card).toMatchObject({
      headline: 'referred',
      act: { code: 'refer', findingId: sign.factId },
    });
    const coat = factInput('coated', BLOCK, 0, {
      sheetId: EPOXY,
      dftUm: 60,
      tool: 'gun',
      reason: 'all the same',
    });
    expect(await post(coat)).toMatchObject({
      status: 422,
      body: { code: 'coat-refused', details: { why: 'referred' } },
    });
    const close = (body: Record<string, unknown>) =>
      post(factInput('finding-closed', BLOCK, 0, { findingId: sign.factId, ...body }));
    expect(await close({ how: 'accepted', reason: 'it is nothing' })).toMatchObject({
      status: 422,
      body: { code: 'finding-holds', details: { holds: 'sign' } },
    });
    expect(await close({ how: 'licensed-answer', reason: 'sound' })).toMatchObject({
      status: 400,
      body: { details: { problems: [{ field: 'body.by' }] } },
    });
    expect(
      (await close({ how: 'licensed-answer', by: 'M. Ashdown, boiler inspector', reason: 'sound, tested' }))
        .status,
    ).toBe(201);
    expect((await app.call('GET', `/api/parts/${BLOCK}`)).body.card.headline).not.toBe('referred');
  });
  it('on one face it leaves the other free', async () => {
    const crack = { ...found(CAB, -1, { what: 'sign', sign: 'crack-over-weld' }), face: 'A' };
    const cut = { ...factInput('stripped', CAB, -2, { method: 'blast' }), face: null };
    expect((await post(cut, crack)).status).toBe(201);
    const coat = (face: 'A' | 'B') => ({
      ...factInput('coated', CAB, -0.2, { sheetId: EPOXY, dftUm: 60, tool: 'gun', reason: 'cold' }),
      face,
    });
    expect(await post(coat('A'))).toMatchObject({
      status: 422,
      body: { details: { why: 'referred', face: 'A' } },
    });
    expect((await post(coat('B'))).status).toBe(201);
  });
});

describe('bad input is refused with what would be accepted', () => {
  it.each([
    ['a fault without its look', 'found', { what: 'fault' }, 'body.fault'],
    ['a sign without which', 'found', { what: 'sign' }, 'body.sign'],
    [
      'a pit of 400 mm',
      'pits-measured',
      { deepestMm: [0.4, 400], wholeOverPatch: 10, isThrough: false },
      'body.deepestMm.1',
    ],
    [
      'more than all still showing',
      'levelled',
      { what: 'surfacer', gritP: 180, showingPct: 140 },
      'body.showingPct',
    ],
    [
      'an evidence nobody knows',
      'finding-answered',
      { findingId: '00000000-0000-4000-8000-000000000000', code: 'moon', says: 'yes' },
      'body.code',
    ],
  ] as const)('%s', async (_, kind, body, field) => {
    const r = await post(factInput(kind, FRAME, 0, body));
    expect(r).toMatchObject({ status: 400, body: { code: 'invalid-input' } });
    expect(r.body.details.problems.map((p: { field: string }) => p.field)).toContain(field);
  });
  it('a finding of another part, and a coat that is not there', async () => {
    const nibs = found(CAB, -1, { what: 'fault', fault: 'nibs' });
    await post(nibs);
    expect(
      await post(factInput('remedy-set', FRAME, 0, { findingId: nibs.factId, remedy: 'another-coat' })),
    ).toMatchObject({
      status: 422,
      body: { code: 'unknown-reference', details: { fields: ['body.findingId'] } },
    });
    expect(
      await post(found(FRAME, 0, { what: 'fault', fault: 'sag', coatFactId: nibs.factId })),
    ).toMatchObject({
      status: 422,
      body: { details: { fields: ['body.coatFactId'] } },
    });
  });
});

describe('pits on a plate that holds pressure', () => {
  it('filler is refused and the part is referred', async () => {
    const surveys = (await app.call('GET', '/api/source')).body.shop.facts as {
      kind: string;
      partId: string;
      body: { survey: object };
    }[];
    const { survey } = surveys.find((f) => f.kind === 'surveyed' && f.partId === BLOCK)!.body;
    const pits = {
      deepestMm: [0.3, 0.45, 0.52, 0.38, 0.61, 0.47, 0.55, 0.41],
      wholeOverPatch: 40,
      isThrough: false,
      soundMm: 8,
      leastMm: 7.5,
    };
    const r = await post(
      factInput('surveyed', BLOCK, -0.5, { survey: { ...survey, criticality: ['pressure'] } }),
      factInput('pits-measured', BLOCK, -0.4, pits),
    );
    expect(r.status).toBe(201);
    const view = await inspect(BLOCK);
    const [measured] = view.pits;
    expect(measured!.leftMm).toBeLessThan(7);
    expect(measured!.options[0]!.repair).toBe('refer');
    expect(measured!.options.find((o) => o.repair === 'fill')!.forbidden).toEqual(
      expect.arrayContaining(['wall-below-least', 'pressure']),
    );
  });
});

describe('the list of the shop', () => {
  it('has what holds first, and counts what is closed', async () => {
    const sign = found(FRAME, 0, { what: 'sign', sign: 'scorched' });
    await post(sign);
    const list = (await app.call('GET', '/api/inspect')).body;
    expect(list.open[0].finding).toMatchObject({ findingId: sign.factId, holds: 'sign' });
    expect(list.closed).toBeGreaterThanOrEqual(3);
    expect((await app.call('GET', '/api/parts/nobody/inspect')).status).toBe(404);
  });
});

describe('one part and another', () => {
  it('what is logged about another part moves no evidence of this one', async () => {
    const lift = found(FRAME, -1, { what: 'fault', fault: 'lifting' });
    await post(lift);
    const before = (await findingOf(FRAME, lift.factId)).evidence;
    const other = await post(
      factInput('contaminated', CAB, -0.3, { by: 'oil' }),
      factInput('abraded', CAB, -0.2, { how: 'dry', gritP: 60 }),
    );
    expect(other.status).toBe(201);
    expect((await findingOf(FRAME, lift.factId)).evidence).toEqual(before);
  });
});

describe('learned here', () => {
  it('a fault closed with its cause is said of its product', async () => {
    const view = await inspect(FRAME);
    const coat = view.coats[0]!;
    const sag = found(FRAME, -0.6, { what: 'fault', fault: 'sag', coatFactId: coat.factId });
    const body = { findingId: sag.factId, how: 'repaired', causeId: 'sag:gap-short' };
    const unknown = { ...body, causeId: 'sag:no-such-cause' };
    expect((await post(sag, factInput('finding-closed', FRAME, -0.5, body))).status).toBe(201);
    const other = found(FRAME, -0.6, { what: 'fault', fault: 'sag', coatFactId: coat.factId });
    await post(other, factInput('finding-closed', FRAME, -0.5, { ...unknown, findingId: other.factId }));
    const { lessons } = (await app.call('GET', '/api/learned')).body;
    expect(lessons).toEqual([
      expect.objectContaining({ productId: 'epoxy-primer', fault: 'sag', causeId: 'gap-short', times: 1 }),
    ]);
  });
  it('trials count by product and metal: two that fail and none that holds', async () => {
    for (const hours of [-0.3, -0.2])
      await post(
        factInput('adhesion-tried', FRAME, hours, { by: 'cross-cut', sheetId: 'etch-2k.1', detachedPct: 40 }),
      );
    await post(factInput('adhesion-tried', FRAME, -0.1, { by: 'thumbnail', sheetId: EPOXY, isSound: true }));
    const { learned } = (await app.call('GET', '/api/learned')).body;
    expect(learned).toContainEqual({
      productId: 'etch-2k',
      substrate: 'steel-plate',
      prep: 'blast',
      held: 0,
      failed: 2,
    });
    expect(learned).toContainEqual({
      productId: 'epoxy-primer',
      substrate: 'steel-plate',
      prep: 'blast',
      held: 1,
      failed: 0,
    });
  });
});
