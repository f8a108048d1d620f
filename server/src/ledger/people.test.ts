import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import {
  deriveShop,
  planProblem,
  shopStateOf,
  type PeopleView,
  plainAsk,
  type SnapshotSource,
} from '@calvetta/core';
import type { PartDetail, ShelfResponse } from '@calvetta/contract';
import { AS_OF_MS, factInput, startTestApp, steadyAir, type TestApp } from '../test/testApp.ts';
import { mixBody, postStock, receive, stockInput, tinOf } from '../test/shelf.ts';

/** Who may do what, what is measured with what, papers of batches, and what does not conform and may stay. */
const FRAME = 'quarry.main-frame-left';
const EPOXY = 'epoxy-primer.1';
const HOUR_MS = 3_600_000;

let app: TestApp;
beforeAll(async () => {
  app = await startTestApp();
  await steadyAir(app, 'booth', 18, 50, 48);
  const begun = await post(
    factInput('moved', FRAME, -40, { placeId: 'booth' }),
    factInput('stripped', FRAME, -1, { method: 'blast' }),
  );
  expect(begun.status).toBe(201);
});
afterAll(() => app.close());

const post = (...facts: unknown[]) => app.post('/api/facts', { facts });
const people = async (): Promise<PeopleView> => (await app.call('GET', '/api/people')).body;
const part = async (): Promise<PartDetail> => (await app.call('GET', `/api/parts/${FRAME}`)).body;
const shelf = async (): Promise<ShelfResponse> => (await app.call('GET', '/api/shelf')).body;
const coat = (over: object = {}) =>
  factInput('coated', FRAME, 0, { sheetId: EPOXY, dftUm: 60, tool: 'gun', ...over });

describe('inductions', () => {
  it('nobody is asked until the shop keeps them; then whoever is not down needs a reason, and it stands as not conforming', async () => {
    // Joss of the demo is under age, whatever is kept.
    const grown = (await people()).people.filter((p) => p.personId !== 'joss');
    expect(grown.every((p) => p.inductions.every((i) => i.may.state === 'not-kept'))).toBe(true);
    const shown = await postStock(app, stockInput('inducted', -24, { whoId: 'tom', to: 'spray' }));
    expect(shown.status).toBe(201);
    expect((await people()).people.find((p) => p.personId === 'ines')?.inductions[0]).toEqual({
      to: 'spray',
      may: { state: 'none' },
    });
    expect(await post(coat())).toMatchObject({
      status: 422,
      body: {
        code: 'coat-refused',
        details: { why: 'not-inducted', to: 'spray', personId: 'ines', may: { state: 'none' } },
      },
    });
    expect((await post({ ...coat(), personId: 'tom' })).status).toBe(201);
    // By brush nobody is asked; wet in wet of one product is a stack, and allowed.
    expect((await post(coat({ tool: 'brush' }))).status).toBe(201);
    expect((await post(coat({ reason: 'Tom stood beside me' }))).status).toBe(201);
    expect((await part()).nonConformances.map((n) => n.why)).toEqual([
      { what: 'against-rule', reason: 'Tom stood beside me' },
      { what: 'not-inducted', to: 'spray', may: { state: 'none' } },
    ]);
  });
  it('an induction of later excuses nothing of before; of somebody unknown, or to something unknown, is refused', async () => {
    app.clock.nowMs = AS_OF_MS + 0.2 * HOUR_MS;
    await postStock(app, stockInput('inducted', 0.2, { whoId: 'ines', to: 'spray', until: '2027-03-05' }));
    expect((await part()).nonConformances).toHaveLength(2);
    expect((await postStock(app, stockInput('inducted', 0, { whoId: 'nobody', to: 'spray' }))).status).toBe(
      422,
    );
    expect((await postStock(app, stockInput('inducted', 0, { whoId: 'ines', to: 'flying' }))).status).toBe(
      400,
    );
  });
  it('under age is kept with the person, and goes out and comes in with the shop file', async () => {
    const { people: all } = (await app.call('GET', '/api/shop')).body as {
      people: { personId: string; version: number }[];
    };
    const tom = all.find((p) => p.personId === 'tom')!;
    const bad = await app.call('PATCH', '/api/people/tom', { version: tom.version, minorUntil: 'next year' });
    expect([bad.status, bad.body.details.problems[0].field]).toEqual([400, 'minorUntil']);
    const set = await app.call('PATCH', '/api/people/tom', {
      version: tom.version,
      minorUntil: '2027-01-01',
    });
    expect(set.status).toBe(200);
    const file = (await app.call('GET', '/api/export')).body as {
      people: { personId: string; minorUntil?: string }[];
      stockFacts: { kind: string }[];
    };
    expect(file.people.find((p) => p.personId === 'tom')?.minorUntil).toBe('2027-01-01');
    const other = await startTestApp({ shop: null });
    other.clock.nowMs = app.clock.nowMs;
    expect((await other.post('/api/import/shop', file)).status).toBe(201);
    expect((await other.call('GET', '/api/people')).body.people).toEqual((await people()).people);
    await other.close();
  });
});

describe('who comes, for a plan', () => {
  const ask = plainAsk(['quarry'], { weeks: 2, people: null });
  const versionOf = async (personId: string): Promise<number> => {
    const { people: all } = (await app.call('GET', '/api/shop')).body as {
      people: { personId: string; version: number }[];
    };
    return all.find((p) => p.personId === personId)!.version;
  };
  it('each on their days, with what they were shown; a day of the shop’s own that is otherwise; bad days refused', async () => {
    const comes = { weekdays: [6], days: [{ fromDay: '2026-03-07', toDay: '2026-03-07', comes: false }] };
    const set = await app.call('PATCH', '/api/people/ines', { version: await versionOf('ines'), comes });
    expect(set.status).toBe(200);
    const backwards = { weekdays: [6], days: [{ fromDay: '2026-03-08', toDay: '2026-03-07', comes: false }] };
    for (const bad of [backwards, { weekdays: [8], days: [] }, { weekdays: [6] }])
      expect(
        (await app.call('PATCH', '/api/people/ines', { version: await versionOf('ines'), comes: bad }))
          .status,
      ).toBe(400);
    const { version } = (await app.call('GET', '/api/shop')).body as { version: number };
    const night = [{ day: '2026-03-11', from: '20:00', to: '02:00' }];
    expect((await app.call('PATCH', '/api/shop', { version, exceptions: night })).status).toBe(400);
    const painters = [
      { day: '2026-03-11', from: '10:00', to: '16:00' },
      { day: '2026-03-12', from: null, to: null },
    ];
    expect((await app.call('PATCH', '/api/shop', { version, exceptions: painters })).status).toBe(200);
    const source = (await app.call('GET', '/api/source')).body as SnapshotSource;
    const snapshot = deriveShop(shopStateOf(source.shop), source.air, source.nowMs);
    const { sessions } = planProblem(snapshot, source.air, ask);
    const on = (day: string) =>
      sessions.find((s) => new Date(s.fromMs).toISOString().startsWith(day))?.who.map((h) => h.name) ?? null;
    // 7 and 14 March 2026 are Saturdays, the 11th a Wednesday (any calendar).
    expect(on('2026-03-07')).not.toContain('Ines');
    expect(on('2026-03-14')).toContain('Ines');
    expect(on('2026-03-11')).toContain('Ruth');
    expect(on('2026-03-11')).not.toContain('Ines');
    expect(on('2026-03-12')).toBeNull();
    const who = sessions.find((s) => s.who.some((h) => h.name === 'Ines'))!.who;
    // Ines and Tom are down for spraying; nobody keeps a list of blasters. Tom is under age by now: he sprays, and with no mask.
    expect(who.filter((h) => h.sprays).map((h) => h.name)).toEqual(expect.arrayContaining(['Ines']));
    // A pin of work that is not asked for holds nothing.
    const pins = [{ opId: 'pump.cylinder-block/prime-1/1', sessionMs: sessions[0]!.fromMs }];
    expect(planProblem(snapshot, source.air, { ...ask, pins }).ask.pins).toEqual([]);
    expect(who.find((h) => h.name === 'Ruth')).toMatchObject({
      sprays: false,
      isMasked: false,
      blasts: true,
    });
  });
});

describe('who is in, and what is left to the next', () => {
  it('in, gone home, and a note that stands first', async () => {
    await postStock(
      app,
      stockInput('came', -0.5, { whoId: 'ines' }),
      stockInput('came', -0.4, { whoId: 'tom' }),
    );
    await postStock(app, stockInput('left', 0, { whoId: 'tom' }));
    await postStock(app, stockInput('handed-over', 0, { text: 'two frames hang in the booth' }));
    const view = await people();
    expect(view.people.filter((p) => p.inSinceMs !== null)).toMatchObject([
      { personId: 'ines', inSinceMs: AS_OF_MS - HOUR_MS / 2 },
    ]);
    expect(view.handovers[0]).toMatchObject({ text: 'two frames hang in the booth', personName: 'Ines' });
    // What is about people is no matter of the shelf.
    expect((await shelf()).facts.map((f) => f.kind)).toEqual([]);
  });
});

describe('papers and scales', () => {
  it('a certificate holds for the batch and puts its date off; without a batch it is refused with what to do', async () => {
    await receive(app, tinOf('A1', { madeOn: '2025-06-01' }));
    await receive(app, tinOf('A2', { madeOn: '2025-06-01', batch: 'batch b7' }));
    await receive(app, tinOf('A3', { batch: null }));
    const [before] = (await shelf()).tins;
    const kept = await postStock(
      app,
      stockInput('batch-certified', 0, { tinId: 'A1', certificate: 'C 118', goodUntil: '2029-12-31' }),
    );
    expect(kept.status).toBe(201);
    const tins = (await shelf()).tins;
    for (const id of ['A1', 'A2']) {
      const tin = tins.find((t) => t.tinId === id)!;
      expect(tin.certificates).toMatchObject([{ certificate: 'C 118', goodUntil: '2029-12-31' }]);
      // The last day counts whole where the shop is: it is over at midnight, in winter UTC's.
      expect(tin.expiry).toEqual({ atMs: Date.parse('2030-01-01T00:00:00Z'), by: 'vouched' });
      expect(tin.expiry.atMs).toBeGreaterThan(before!.expiry.atMs!);
    }
    const refused = await postStock(
      app,
      stockInput('batch-certified', 0, { tinId: 'A3', certificate: 'C 119' }),
    );
    expect(refused.body.details.problems).toMatchObject([{ field: 'body.tinId', code: 'no-batch' }]);
  });
  it('a scale is tried with masses and a gauge on foils; a scale that fails puts in doubt what was mixed by it', async () => {
    await app.post('/api/gauges', { gaugeId: 'bench', name: 'Bench scale', kind: 'scale' });
    const check = (readG: number, hours: number) =>
      stockInput('scale-checked', hours, {
        gaugeId: 'bench',
        masses: [{ massG: 500, readG }],
        tolG: 1,
        tolPct: 0.5,
      });
    const foils = stockInput('gauge-checked', 0, {
      gaugeId: 'bench',
      foils: [{ foilUm: 50, readUm: 50 }],
      tolUm: 2,
      tolPct: 3,
    });
    expect((await postStock(app, foils)).body.details.problems).toMatchObject([{ field: 'body.gaugeId' }]);
    expect((await postStock(app, check(500, -2))).status).toBe(201);
    app.clock.nowMs = AS_OF_MS + 0.2 * HOUR_MS;
    await receive(app, tinOf('B1', { content: 'hardener', batch: 'H3' }));
    expect((await postStock(app, stockInput('mixed', 0.1, mixBody('m1', { gaugeId: 'bench' })))).status).toBe(
      201,
    );
    const laid = factInput('coated', FRAME, 0.2, {
      sheetId: EPOXY,
      dftUm: 60,
      tool: 'brush',
      mixId: 'm1',
      usedMl: 200,
      reason: 'for the test',
    });
    const stored = await post(laid);
    expect([stored.status, stored.body.details ?? null]).toEqual([201, null]);
    const doubts = async (): Promise<string[]> =>
      (await part()).nonConformances.filter((n) => n.why.what === 'scale-in-doubt').map((n) => n.factId);
    expect(await doubts()).toEqual([]);
    app.clock.nowMs = AS_OF_MS + HOUR_MS;
    expect((await postStock(app, check(540, 0.9))).status).toBe(201);
    expect(await doubts()).toEqual([laid.factId]);
    expect((await people()).gauges.find((g) => g.gaugeId === 'bench')?.last).toEqual({
      atMs: AS_OF_MS + 0.9 * HOUR_MS,
      passed: false,
    });
  });
});

describe('a concession', () => {
  it('says who allowed what does not conform to stay; up to a day, it is over after it; of anything else it is refused', async () => {
    const [first] = (await part()).nonConformances;
    const concede = (over: object = {}) =>
      factInput('conceded', FRAME, 1, {
        aboutId: first!.factId,
        allowedBy: 'R. Field, for the owner',
        reason: 'working finish, hidden',
        ...over,
      });
    const elsewhere = factInput('noted', 'pump.cylinder-block', 0, { text: 'of another part' });
    await post(elsewhere);
    expect(await post(concede({ aboutId: elsewhere.factId }))).toMatchObject({
      status: 422,
      body: { code: 'unknown-reference', details: { fields: ['body.aboutId'] } },
    });
    expect((await post(concede({ until: '2026-03-05' }))).status).toBe(201);
    const now = async () =>
      (await part()).nonConformances.find((n) => n.factId === first!.factId)?.concession;
    expect(await now()).toMatchObject({ allowedBy: 'R. Field, for the owner', isOver: false });
    app.clock.nowMs = AS_OF_MS + 24 * HOUR_MS;
    expect(await now()).toMatchObject({ isOver: true });
    const paper = await fetch(`${app.base}/api/parts/${FRAME}/dossier.json`);
    const [own] = ((await paper.json()) as { parts: { detail: PartDetail }[] }).parts;
    expect(own!.detail.nonConformances).toEqual((await part()).nonConformances);
  });
});
