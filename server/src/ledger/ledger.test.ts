import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { EntryWhole } from '@calvetta/contract';
import type { HoursView, RecallView, RiverView } from '@calvetta/core';
import { factInput, startTestApp, steadyAir, type TestApp } from '../test/testApp.ts';
import { mixBody, postStock, receive, stockInput, tinOf } from '../test/shelf.ts';

const FRAME = 'quarry.main-frame-left';
const SIDE = 'quarry.cab-side-left';
const BLOCK = 'pump.cylinder-block';
const EPOXY = 'epoxy-primer.1';
let app: TestApp;
const post = async (...facts: unknown[]): Promise<void> => {
  const r = await app.post('/api/facts', { facts });
  expect([r.status, r.body.details ?? null]).toEqual([201, null]);
};
const get = async <T>(path: string): Promise<T> => (await app.call('GET', `/api/ledger${path}`)).body as T;

beforeAll(async () => {
  app = await startTestApp();
  await steadyAir(app, 'booth', 18, 50, 24);
  await receive(app, tinOf('A1', { batch: 'EP-2217 / 04', priceCents: 8000, sizeMl: 4000 }));
  await receive(app, tinOf('B1', { content: 'hardener', sizeMl: 1000, batch: 'H2', priceCents: 4000 }));
  await postStock(app, stockInput('mixed', -0.9, mixBody('M1')));
  const strip = (part: string) => [
    factInput('moved', part, -20, { placeId: 'booth' }),
    factInput('stripped', part, -2, { method: 'blast' }),
  ];
  const coat = (part: string, body: object) =>
    factInput('coated', part, -0.5, {
      sheetId: EPOXY,
      dftUm: 60,
      tool: 'gun',
      reason: 'for the test',
      ...body,
    });
  await post(...strip(FRAME), ...strip(SIDE), ...strip(BLOCK));
  // From the cup; with its batch written in another way; and with nothing said.
  await post(coat(FRAME, { mixId: 'M1', usedMl: 200 }));
  await post(coat(SIDE, { batch: 'lot ep2217-04' }));
  await post(coat(BLOCK, {}));
});
afterAll(() => app.close());

describe('recall of a batch', () => {
  const asked = (batch: string) => get<RecallView>(`/recall?batch=${encodeURIComponent(batch)}`);
  it('finds it by the cup and by the coat, however it is written, and says of what it cannot be excluded', async () => {
    const r = await asked('ep 2217.04');
    expect(r.tins).toMatchObject([{ tinId: 'A1', content: 'paint' }]);
    expect(r.carriers.map((c) => [c.partId, c.as, c.by]).sort()).toEqual([
      [SIDE, 'paint', 'coat'],
      [FRAME, 'paint', 'tin'],
    ]);
    expect(r.cannotBeExcluded.map((c) => [c.partId, c.by])).toEqual([[BLOCK, 'nothing-else-known']]);
  });
  it('of a hardener too; the coats of which no cup is known cannot be excluded', async () => {
    const r = await asked('H2');
    expect(r.carriers.map((c) => [c.partId, c.as])).toEqual([[FRAME, 'hardener']]);
    expect(r.cannotBeExcluded.map((c) => c.partId).sort()).toEqual([BLOCK, SIDE]);
  });
  it('an unknown batch carries nothing and excludes nothing, with those that are known', async () => {
    const r = await asked('ZZ9');
    expect([r.carriers, r.cannotBeExcluded, r.tins]).toEqual([[], [], []]);
    expect(r.known).toEqual(expect.arrayContaining(['EP-2217 / 04', 'H2', 'lot ep2217-04']));
    expect((await app.call('GET', '/api/ledger/recall')).status).toBe(400);
  });
});

describe('the river', () => {
  it('has a lane a machine, every entry in it once, and the newest first', async () => {
    const all = await get<RiverView>('');
    expect(all.lanes.map((l) => l.machineId).sort()).toEqual(['pump', 'quarry']);
    for (const lane of all.lanes) expect(lane.bins.reduce((s, b) => s + b.n, 0)).toBe(lane.n);
    expect(all.lanes.reduce((s, l) => s + l.n, 0)).toBe(all.total);
    const at = all.entries.map((e) => e.atMs);
    expect(at).toEqual([...at].sort((a, b) => b - a));
  });
  it('is asked by mark, machine, product, batch and words, together', async () => {
    expect((await get<RiverView>('?mark=coat')).total).toBe(3);
    expect((await get<RiverView>('?mark=coat&machine=pump')).entries.map((e) => e.partId)).toEqual([BLOCK]);
    expect((await get<RiverView>('?product=epoxy-primer')).total).toBe(3);
    expect((await get<RiverView>('?batch=EP2217-04')).entries.map((e) => e.partId)).toEqual([SIDE]);
    expect((await get<RiverView>('?words=blast%20cab')).entries.map((e) => [e.partId, e.kind])).toEqual([
      [SIDE, 'stripped'],
    ]);
    expect((await get<RiverView>(`?from=2026-03-05T18:00:00Z&to=2026-03-05T18:30:00Z`)).total).toBe(3);
    expect((await app.call('GET', '/api/ledger?mark=colour')).status).toBe(400);
  });
  it('shows what was taken back as taken back, and what was written long after as late', async () => {
    const note = factInput('noted', SIDE, -72, { text: 'seen last week' });
    await post(note);
    await post(factInput('voided', SIDE, 0, {}, { supersedes: note.factId }));
    const { entries } = await get<RiverView>('?words=seen%20last%20week');
    expect(entries).toMatchObject([{ factId: note.factId, isStanding: false }]);
    expect(entries[0]!.lateMs).not.toBeNull();
  });
});

describe('hours and money', () => {
  it('add up by machine, person and month; paint at the price of its tins', async () => {
    await post(
      factInput('worked', FRAME, -2, { on: 'strip', minutes: 90 }),
      factInput('worked', FRAME, -1, { on: 'coat', minutes: 60, hands: 2 }, { personId: 'tom' }),
      factInput('spent', FRAME, -1, { on: 'consumables', cents: 1250 }),
    );
    const h = await get<HoursView>('/hours');
    const quarry = h.machines.find((m) => m.machineId === 'quarry')!;
    expect(quarry.workedH).toBeCloseTo(2.5, 9);
    expect(quarry.spentCents.consumables).toBe(1250);
    // 400 mL at 2 cents and 100 mL at 4 make 1200 cents for 500 mL; 200 of them went through the gun.
    expect(quarry.paintCents).toBe(480);
    // The cab side's coat names no cup: what it cost is not known, and that is said.
    expect(quarry.coatsNotPriced).toBe(1);
    expect(h.people.map((p) => [p.personId, p.hours])).toEqual(
      expect.arrayContaining([
        ['ines', 1.5],
        ['tom', 1],
      ]),
    );
    expect(h.months).toMatchObject([
      { month: '2026-03', hours: 2.5, byOp: { strip: 1.5, coat: 1, clean: 0 } },
    ]);
    expect(quarry.left.p80).toBeGreaterThan(quarry.left.p50);
  });
  it('a job whose steps are done says how long such work takes here; one that is not says nothing', async () => {
    const { jobs, rates } = await get<HoursView>('/hours');
    const strip = jobs.find((j) => j.partId === FRAME && j.on === 'strip')!;
    const coat = jobs.find((j) => j.partId === FRAME && j.on === 'coat')!;
    expect([strip.isDone, coat.isDone]).toEqual([true, false]);
    const rate = rates.find((r) => r.on === 'strip')!;
    const ratio = 1.5 / strip.reckonedH!;
    expect([rate.jobs, rate.shape]).toEqual([1, 'plate']);
    expect(rate.median).toBeCloseTo(ratio, 9);
    expect(rate.factor).toBeCloseTo(ratio ** (1 / 5), 9);
    expect(rates.some((r) => r.on === 'coat')).toBe(false);
  });
  it('hours count as money once somebody has said what an hour counts as, and not before', async () => {
    const machine = async () =>
      (await get<HoursView>('/hours')).machines.find((m) => m.machineId === 'quarry')!;
    const set = async (hourCents: number | null): Promise<number> => {
      const { version } = (await app.call('GET', '/api/shop')).body;
      return (await app.call('PATCH', '/api/shop', { version, hourCents })).status;
    };
    expect(await set(null)).toBe(200);
    const { workedH, workedCents } = await machine();
    expect(workedCents).toBeNull();
    expect(workedH).toBeGreaterThan(0);
    // 12.50 an hour (arithmetic by hand: hours times rate).
    expect(await set(1250)).toBe(200);
    expect((await machine()).workedCents).toBe(Math.round(workedH * 1250));
    expect((await app.call('GET', '/api/export')).body.workshop.hourCents).toBe(1250);
    for (const bad of [0, -1, 12.5, 1e9]) expect(await set(bad)).toBe(400);
    // A change of the name leaves it.
    const { version, name } = (await app.call('GET', '/api/shop')).body;
    await app.call('PATCH', '/api/shop', { version, name });
    expect((await machine()).workedCents).not.toBeNull();
  });
  it('hours without minutes, and money in parts of a coin, are refused', async () => {
    for (const body of [{ on: 'strip', minutes: 0 }, { on: 'strip' }, { on: 'dance', minutes: 5 }])
      expect((await app.post('/api/facts', { facts: [factInput('worked', FRAME, 0, body)] })).status).toBe(
        400,
      );
    const half = factInput('spent', FRAME, 0, { on: 'other', cents: 0.5 });
    expect((await app.post('/api/facts', { facts: [half] })).status).toBe(400);
  });
});

describe('one entry, whole', () => {
  it('with when it was written, its link, what stood on the page and what corrected it', async () => {
    const first = factInput('noted', SIDE, -10, { text: 'one' }, { evidence: { airC: 12 } });
    await post(first);
    const second = factInput('noted', SIDE, -10, { text: 'two' }, { supersedes: first.factId });
    await post(second);
    expect(await get<EntryWhole>(`/entries/${first.factId}`)).toMatchObject({
      kind: 'noted',
      personId: 'ines',
      deviceId: 'tablet-1',
      evidence: { airC: 12 },
      isAdopted: false,
      corrects: null,
      correctedBy: second.factId,
    });
    const head = (await app.call('GET', '/api/ledger/head')).body as { seq: number; hash: string };
    expect(await get<EntryWhole>(`/entries/${second.factId}`)).toMatchObject({
      corrects: first.factId,
      correctedBy: null,
      linkSeq: head.seq,
      linkHash: head.hash,
    });
  });
  it('that is not there is said so, and so is what is no id', async () => {
    for (const id of ['0b0e7c1a-5d0f-4a54-9b4e-7a4f5f1f2d11', 'x'])
      expect((await app.call('GET', `/api/ledger/entries/${id}`)).status).toBe(404);
  });
});
