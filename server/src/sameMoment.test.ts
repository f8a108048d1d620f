import type { Db } from './db/db.ts';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { factInput, startTestApp, type TestApp } from './test/testApp.ts';
import { isWhole } from './test/inCi.ts';

let app: TestApp;
beforeAll(async () => {
  app = await startTestApp();
});
afterAll(() => app.close());

describe('two acts at the same moment', () => {
  it('batches in opposite order over the same parts both go through', async () => {
    const ids = ['quarry.main-frame-left', 'quarry.cab-side-left', 'pump.cylinder-block'];
    const notes = (order: readonly string[]) =>
      app.post('/api/facts', { facts: order.map((p) => factInput('noted', p, -1, { text: 'both' })) });
    const rounds = Array.from({ length: 12 }, (_, i) => notes(i % 2 === 0 ? ids : [...ids].reverse()));
    expect(new Set((await Promise.all(rounds)).map((r) => r.status))).toEqual(new Set([201]));
  });
  it('a table that is locked ends as "busy, again by itself", and health answers meanwhile', async () => {
    const hold = async (tx: Db): Promise<void> => {
      await tx.query('lock table fact in access exclusive mode');
      const r = await app.post('/api/facts', {
        facts: [factInput('noted', 'pump.cylinder-block', -1, { text: 'waits' })],
      });
      expect(r).toMatchObject({ status: 503, body: { code: 'busy' } });
      expect((await app.call('GET', '/api/health')).status).toBe(200);
    };
    await app.asOwner((owner) => owner.transaction(hold));
  }, 30_000);
  it('readers see their own writes and are not held up by writers that go on', async () => {
    let isOn = true;
    let written = 0;
    const writer = async (): Promise<void> => {
      while (isOn) {
        await app.post('/api/facts', {
          facts: [factInput('noted', 'pump.cylinder-block', -1, { text: 'w' })],
        });
        written += 1;
      }
    };
    const writers = Array.from({ length: 37 }, writer);
    const tookMs: number[] = [];
    for (let i = 0; i < (isWhole ? 12 : 5); i++) {
      const fact = factInput('noted', 'quarry.main-frame-left', -1, { text: `mine ${i}` });
      expect((await app.post('/api/facts', { facts: [fact] })).status).toBe(201);
      const started = performance.now();
      const { body } = await app.call('GET', '/api/parts/quarry.main-frame-left');
      tookMs.push(performance.now() - started);
      expect(body.facts.map((f: any) => f.factId)).toContain(fact.factId);
    }
    isOn = false;
    await Promise.all(writers);
    expect(written).toBeGreaterThan(37);
    // They waited for ever; a second is the aim on a quiet machine.
    expect(Math.max(...tookMs)).toBeLessThan(4_000);
  }, 60_000);
});

describe('the ledger of a coat', () => {
  const coat = (hours: number, over: object = {}) =>
    factInput('coated', 'quarry.cab-side-left', hours, {
      sheetId: 'epoxy-primer.1',
      dftUm: 60,
      tool: 'gun',
      reason: 'to try the ledger',
      ...over,
    });
  it('cannot be corrected to later than what covers it, nor have a correction taken back from under it', async () => {
    const lower = { ...coat(-40), face: 'A' as const };
    const upper = { ...coat(-10, { over: lower.factId.toUpperCase() }), face: 'A' as const };
    expect((await app.post('/api/facts', { facts: [lower, upper] })).status).toBe(201);
    const corrected = (hours: number, supersedes: string) => ({
      ...coat(hours),
      face: 'A' as const,
      supersedes,
    });
    expect(await app.post('/api/facts', { facts: [corrected(-5, lower.factId)] })).toMatchObject({
      status: 422,
      body: { code: 'contradicts-later' },
    });
    const better = corrected(-41, lower.factId);
    expect((await app.post('/api/facts', { facts: [better] })).status).toBe(201);
    const takenBack = factInput('voided', 'quarry.cab-side-left', -1, {}, { supersedes: better.factId });
    expect(await app.post('/api/facts', { facts: [takenBack] })).toMatchObject({
      status: 422,
      body: { code: 'contradicts-later' },
    });
    // What covers it first, then itself.
    const top = factInput('voided', 'quarry.cab-side-left', -1, {}, { supersedes: upper.factId });
    expect((await app.post('/api/facts', { facts: [top, takenBack] })).status).toBe(201);
  });
  it('is taken back or covered, never both, whoever comes first', async () => {
    for (let i = 0; i < 8; i++) {
      const lower = { ...coat(-60 - i), face: 'B' as const };
      await app.post('/api/facts', { facts: [lower] });
      const upper = { ...coat(-50 - i, { over: lower.factId }), face: 'B' as const };
      const takenBack = factInput('voided', 'quarry.cab-side-left', -1, {}, { supersedes: lower.factId });
      const [a, b] = await Promise.all([
        app.post('/api/facts', { facts: [upper] }),
        app.post('/api/facts', { facts: [takenBack] }),
      ]);
      expect([a.status, b.status].filter((s) => s === 201).length).toBe(1);
    }
  });
});

describe('two servers on one database', () => {
  it('read their own writes from each other, store the same entry once, and both go on hearing', async () => {
    const other = await startTestApp({ url: app.url, shop: null });
    try {
      const servers = [app, other];
      const part = '/api/parts/pump.cylinder-block';
      for (let i = 0; i < 16; i++) {
        const fact = factInput('noted', 'pump.cylinder-block', -1, { text: `by turns ${i}` });
        const [here, there] = [servers[i % 2]!, servers[(i + 1) % 2]!];
        const stored = await here.post('/api/facts', { facts: [fact] });
        const { body } = await there.call('GET', part, undefined, {
          'x-calvetta-seq': String(stored.body.seq),
        });
        expect(body.facts.map((f: any) => f.factId)).toContain(fact.factId);
      }
      const same = factInput('noted', 'pump.cylinder-block', -1, { text: 'sent to both' });
      const both = await Promise.all(servers.map((s) => s.post('/api/facts', { facts: [same] })));
      expect(both.map((r) => r.status).sort()).toEqual([200, 201]);
      const seen = await Promise.all(servers.map((s) => s.call('GET', part)));
      for (const { body } of seen)
        expect(body.facts.filter((f: any) => f.factId === same.factId)).toHaveLength(1);
      // An edit on one is a conflict on the other, not a silent second.
      const { version } = seen[0]!.body;
      const edits = await Promise.all(
        servers.map((s, i) => s.call('PATCH', part, { version, name: `Block ${i}` })),
      );
      expect(edits.map((r) => r.status).sort()).toEqual([200, 409]);
    } finally {
      await other.close();
    }
  });
});

describe('a clock that is set back', () => {
  it('freezes nothing: what is shown is of the new now, and probes go on reporting', async () => {
    await app.call('GET', '/api/bench');
    app.clock.nowMs -= 3 * 3_600_000;
    await app.call('GET', '/api/bench');
    const { body } = await app.call('GET', '/api/bench');
    expect(body.nowMs).toBe(app.clock.nowMs);
    const { body: made } = await app.post('/api/probes/probe-shed/token', {});
    const send = (minutesAgo: number) =>
      app.call(
        'POST',
        '/api/readings?probe=probe-shed',
        {
          readings: [
            { at: new Date(app.clock.nowMs - minutesAgo * 60_000).toISOString(), airC: 9, rhPct: 70 },
          ],
        },
        { Authorization: `Bearer ${made.token}` },
      );
    expect((await send(3)).status).toBe(201);
    app.clock.nowMs -= 3_600_000;
    expect((await send(2)).status).toBe(201);
  });
});
