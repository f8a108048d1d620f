import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { randomUUID } from 'node:crypto';
import ICAL from 'ical.js';
import { comesOn, type Plan, type PlanAsk, type SnapshotSource } from '@calvetta/core';
import type { FeedToken } from '@calvetta/contract';
import { askFor, DEMO, firstPlan, startPlanned } from '../test/planned.ts';
import type { TestApp } from '../test/testApp.ts';

const ASK = askFor({ weeks: 5, people: null });

/** March and early April of 2026: London keeps UTC until the 29th, and its evenings never reach another day. */
const londonDay = (ms: number) => {
  const d = new Date(ms);
  return { year: d.getUTCFullYear(), month: d.getUTCMonth() + 1, day: d.getUTCDate() };
};

describe('a calendar of one’s own', () => {
  let app: TestApp;
  let source: SnapshotSource;
  let plan: Plan;
  const keep = async (ask: PlanAsk, version: number): Promise<void> => {
    plan = firstPlan(source, ask);
    const sent = { planId: randomUUID(), version, personId: 'ines', ask, plan };
    expect((await app.post('/api/plan', sent)).status).toBe(201);
  };
  beforeAll(async () => {
    ({ app, source } = await startPlanned());
    await keep(ASK, 0);
  }, 120_000);
  afterAll(() => app.close());

  const made = async (personId: string): Promise<string> =>
    ((await app.post(`/api/people/${personId}/feed`, {})).body as FeedToken).path;
  const events = async (path: string) => {
    const res = await fetch(`${app.base}${path}`);
    expect([res.status, res.headers.get('content-type')]).toEqual([200, 'text/calendar; charset=utf-8']);
    return new ICAL.Component(ICAL.parse(await res.text())).getAllSubcomponents('vevent').map((v) => {
      const e = new ICAL.Event(v);
      return { atMs: e.startDate.toJSDate().getTime(), text: e.description };
    });
  };
  const worked = () =>
    plan.sessions.filter((s) =>
      plan.items.some((i) => i.spans.some((x) => x.fromMs >= s.fromMs && x.fromMs < s.toMs)),
    );

  it('has the sessions that its owner comes to, and no other', async () => {
    for (const id of ['ruth', 'nell', 'tom']) {
      const { comes = null } = DEMO.people.find((p) => p.personId === id)!;
      const theirs = worked().filter((s) => comesOn(comes, londonDay(s.fromMs)));
      expect((await events(await made(id))).map((e) => e.atMs)).toEqual(theirs.map((s) => s.fromMs));
    }
  });
  it('what all of them do is what there is to do: every line of the plan is somebody’s', async () => {
    const whole = await events('/api/plan.ics');
    const own = (await Promise.all(DEMO.people.map(async (p) => events(await made(p.personId))))).flat();
    for (const e of whole) {
      const lines = e.text.split('\n').slice(0, -1);
      const said = new Set(own.filter((o) => o.atMs === e.atMs).flatMap((o) => o.text.split('\n')));
      expect(lines.filter((l) => !said.has(l))).toEqual([]);
    }
    // And nobody does all of it, on an evening with two and more.
    expect(own.some((o) => o.text.length < whole.find((w) => w.atMs === o.atMs)!.text.length)).toBe(true);
  });
  it('who may not spray is given no gun-load', async () => {
    const nell = await events(await made('nell'));
    const coats = plan.runs.flatMap((r) => r.opIds).length;
    expect(coats).toBeGreaterThan(3);
    const names = source.shop.sheets.map((s) => s.name);
    for (const e of nell) for (const n of names) expect(e.text).not.toContain(`: ${n}`);
  });
  it('a new address ends the one before, and an ended one is nobody’s', async () => {
    const first = await made('ines');
    const second = await made('ines');
    expect((await fetch(app.base + first)).status).toBe(404);
    expect((await fetch(app.base + second)).status).toBe(200);
    expect((await app.call('DELETE', '/api/people/ines/feed')).status).toBe(204);
    expect((await fetch(app.base + second)).status).toBe(404);
    expect((await fetch(`${app.base}/api/feeds/${'x'.repeat(32)}/plan.ics`)).status).toBe(404);
    expect((await app.post('/api/people/nobody/feed', {})).status).toBe(404);
  });
  it('the database keeps no address', async () => {
    const path = await made('ines');
    const { rows } = await app.db.query<{ row: string }>('select feed::text as row from feed');
    expect(rows.length).toBeGreaterThan(0);
    expect(rows.some((r) => r.row.includes(path.split('/')[3]!))).toBe(false);
  });
  it('planned for so many, whoever it is, everybody has the whole of it', async () => {
    await keep({ ...ASK, people: 2 }, 1);
    expect(await events(await made('nell'))).toEqual(await events('/api/plan.ics'));
  });
  it('of somebody who is put away it ends', async () => {
    const path = await made('ravi');
    const { version } = (
      (await app.call('GET', '/api/shop')).body as { people: { personId: string; version: number }[] }
    ).people.find((p) => p.personId === 'ravi')!;
    expect((await app.call('DELETE', `/api/people/ravi?version=${version}`)).status).toBe(200);
    expect((await fetch(app.base + path)).status).toBe(404);
  });
});
