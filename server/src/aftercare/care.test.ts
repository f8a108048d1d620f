import ICAL from 'ical.js';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { CareView } from '@calvetta/core';
import { AS_OF_MS, factInput, startTestApp, steadyAir, type TestApp } from '../test/testApp.ts';

const FRAME = 'quarry.main-frame-left';
const DAY_H = 24;
/** Four hundred days after the works’ moment: 9 April 2027. */
const LATER_H = 400 * DAY_H;
const NOW_MS = AS_OF_MS + LATER_H * 3_600_000;
let app: TestApp;
const care = async (): Promise<CareView> => (await app.call('GET', '/api/aftercare')).body;
const post = async (...facts: unknown[]): Promise<void> => {
  const r = await app.post('/api/facts', { facts });
  expect([r.status, r.body.details ?? null]).toEqual([201, null]);
};

beforeAll(async () => {
  app = await startTestApp();
  await steadyAir(app, 'booth', 20, 50, 24);
  const detail = (await app.call('GET', `/api/parts/${FRAME}`)).body as {
    route: { sheetId: string | null; coats: number; dftUm: number | null }[];
  };
  const coats = detail.route.flatMap((s) =>
    s.sheetId === null ? [] : Array.from({ length: s.coats }, () => ({ sheetId: s.sheetId, dftUm: s.dftUm })),
  );
  await post(
    factInput('moved', FRAME, -20, { placeId: 'booth' }),
    factInput('stripped', FRAME, -3, { method: 'blast' }),
  );
  // A coat a day, and then four hundred days pass.
  for (const [i, c] of coats.entries()) {
    app.clock.nowMs = AS_OF_MS + i * DAY_H * 3_600_000;
    await post(
      factInput('coated', FRAME, i * DAY_H - 1, { ...c, tool: 'gun', reason: 'as it was done then' }),
    );
  }
  app.clock.nowMs = NOW_MS;
});
afterAll(() => app.close());

describe('a part that is finished', () => {
  it('has its care from when its film had cured, and is due a year later; the others have none', async () => {
    const { lines, lives } = await care();
    expect(new Set(lines.map((l) => l.partId))).toEqual(new Set([FRAME]));
    const look = lines.find((l) => l.job === 'look')!;
    expect(look).toMatchObject({ months: 12, lastMs: null });
    // Cured somewhere in the season after the last coat, and a year on from there.
    const days = (look.dueMs - AS_OF_MS) / 86_400_000;
    expect(days).toBeGreaterThan(365 + 3);
    expect(days).toBeLessThan(365 + 4 + 91);
    expect(lives).toMatchObject([{ partId: FRAME }]);
  });
  it('logged, it falls due a year from then; taken back, it is as it was', async () => {
    const before = (await care()).lines.find((l) => l.job === 'look')!;
    const done = factInput('cared', FRAME, LATER_H, { job: 'look', found: 'nothing' });
    await post(done);
    expect((await care()).lines.find((l) => l.job === 'look')).toMatchObject({
      lastMs: NOW_MS,
      lastFound: 'nothing',
      dueMs: Date.parse('2028-04-09T18:45:00Z'),
      status: 'later',
    });
    await post(factInput('voided', FRAME, LATER_H, {}, { supersedes: done.factId }));
    expect((await care()).lines.find((l) => l.job === 'look')).toEqual(before);
  });
});

describe('a decision that comes back', () => {
  it('stands until it is seen to, and is due from its day', async () => {
    const set = factInput('reminder-set', FRAME, 0, { text: 'given five years', onDay: '2031-03-01' });
    const now = factInput('reminder-set', FRAME, 0, { text: 'look at the seal', onDay: '2027-04-09' });
    await post(set, now);
    expect((await care()).reminders.map((r) => [r.text, r.isDue])).toEqual([
      ['look at the seal', true],
      ['given five years', false],
    ]);
    await post(factInput('reminder-done', FRAME, 0, { reminderId: now.factId }));
    expect((await care()).reminders.map((r) => r.factId)).toEqual([set.factId]);
  });
  it('on a day that does not exist, or of a decision nobody made, is refused', async () => {
    const bad = factInput('reminder-set', FRAME, 0, { text: 'x', onDay: '2031-02-30' });
    expect((await app.post('/api/facts', { facts: [bad] })).status).toBe(400);
    const none = factInput('reminder-done', FRAME, 0, { reminderId: '0b0e7c1a-5d0f-4a54-9b4e-7a4f5f1f2d11' });
    expect((await app.post('/api/facts', { facts: [none] })).status).toBe(422);
  });
});

it('as a calendar: read by another parser, whole days, ids that stay', async () => {
  const text = await (await fetch(`${app.base}/api/aftercare.ics`)).text();
  const calendar = new ICAL.Component(ICAL.parse(text));
  expect(calendar.getFirstPropertyValue('prodid')).toBe('-//Calvetta//Aftercare//EN');
  const events = calendar.getAllSubcomponents('vevent').map((e) => new ICAL.Event(e));
  const { lines, reminders } = await care();
  expect(events).toHaveLength(lines.length + reminders.length);
  for (const e of events) expect(e.startDate.isDate).toBe(true);
  const roof = events.find((e) => e.summary.includes('given five years'))!;
  expect(roof.startDate.toString()).toBe('2031-03-01');
  const again = await (await fetch(`${app.base}/api/aftercare.ics`)).text();
  const uids = (ics: string) => [...ics.matchAll(/^UID:(.*)$/gm)].map((m) => m[1]);
  expect(uids(again)).toEqual(uids(text));
});
