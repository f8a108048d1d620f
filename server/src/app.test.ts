import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { LiveMessage } from '@calvetta/contract';
import { factInput, startTestApp, type TestApp } from './test/testApp.ts';

let app: TestApp;
beforeAll(async () => {
  app = await startTestApp();
});
afterAll(() => app.close());

/** Reads an SSE stream until `enough` says so or `ms` passed. `hears`: this server's line to the database is up. */
async function listen(base: string, enough: (seen: LiveMessage[]) => boolean, ms = 20_000) {
  const stop = new AbortController();
  const res = await fetch(`${base}/api/live`, { signal: stop.signal });
  const seen: LiveMessage[] = [];
  let heard = (): void => undefined;
  const hears = new Promise<void>((resolve) => (heard = resolve));
  const done = (async () => {
    const timer = setTimeout(() => stop.abort(), ms);
    try {
      let text = '';
      for await (const chunk of res.body as unknown as AsyncIterable<Uint8Array>) {
        text += Buffer.from(chunk).toString('utf8');
        for (let end = text.indexOf('\n\n'); end >= 0; end = text.indexOf('\n\n')) {
          const line = text.slice(0, end);
          text = text.slice(end + 2);
          if (line.startsWith(': hears')) heard();
          if (line.startsWith('data: ')) seen.push(JSON.parse(line.slice(6)) as LiveMessage);
        }
        if (enough(seen)) break;
      }
    } catch {
      // Stopped by the timer: what was seen is the answer.
    }
    clearTimeout(timer);
    stop.abort();
    return seen;
  })();
  return { res, hears, done };
}

describe('the application', () => {
  it('answers a wrong path with the one error body, not a page', async () => {
    const r = await app.call('GET', '/api/nowhere');
    expect(r).toMatchObject({ status: 404, body: { code: 'not-found', details: { path: '/nowhere' } } });
    expect(r.body.remedy).toEqual(expect.any(String));
  });
  it('answers JSON that is none, and JSON that is too long', async () => {
    expect(await app.call('POST', '/api/facts', '{"facts": [')).toMatchObject({
      status: 400,
      body: { code: 'invalid-input' },
    });
    const long = { facts: [], more: 'x'.repeat(1_100_000) };
    expect(await app.post('/api/facts', long)).toMatchObject({ status: 413, body: { code: 'too-large' } });
  });
  it('refuses fields nobody asked for and lists of nothing', async () => {
    expect((await app.post('/api/facts', { facts: [] })).status).toBe(400);
    expect((await app.post('/api/facts', { facts: [], sudo: true })).status).toBe(400);
  });
  it('says no more about itself than it must', async () => {
    const res = await fetch(`${app.base}/api/health`);
    expect(res.headers.get('x-powered-by')).toBeNull();
    expect(res.headers.get('content-security-policy')).toContain("default-src 'self'");
    expect(await res.json()).toMatchObject({ ok: true, database: 'answers', workshop: 'Saltmarsh Works' });
  });
  it('tells a page by SSE which part changed, and only that', async () => {
    const { res, hears, done } = await listen(app.base, (seen) => seen.some((m) => m.topic === 'facts'));
    await hears;
    expect(res.headers.get('content-type')).toBe('text/event-stream');
    const fact = factInput('noted', 'quarry.main-frame-left', 0, { text: 'number stamped under the horn' });
    expect((await app.post('/api/facts', { facts: [fact] })).status).toBe(201);
    expect((await done).filter((m) => m.topic === 'facts')).toEqual([
      { topic: 'facts', partIds: ['quarry.main-frame-left'], seq: expect.any(Number) },
    ]);
  });
  it('a second process on the same database hears of it too', async () => {
    const other = await startTestApp({ url: app.url, shop: null });
    try {
      const { hears, done } = await listen(other.base, (seen) => seen.some((m) => m.topic === 'facts'));
      await hears;
      const fact = factInput('noted', 'pump.cylinder-block', 0, { text: 'bore measured' });
      await app.post('/api/facts', { facts: [fact] });
      expect(await done).toContainEqual({
        topic: 'facts',
        partIds: ['pump.cylinder-block'],
        seq: expect.any(Number),
      });
      const part = await other.call('GET', '/api/parts/pump.cylinder-block');
      expect(JSON.stringify(part.body.facts)).toContain('bore measured');
    } finally {
      await other.close();
    }
  });
  it('gives every list its screens read', async () => {
    const bench = await app.call('GET', '/api/bench');
    expect(bench.body).toMatchObject({ zone: 'Europe/London', partCount: 3 });
    const machines = await app.call('GET', '/api/machines');
    expect(machines.body.machines.map((m: { machineId: string }) => m.machineId).sort()).toEqual([
      'pump',
      'quarry',
    ]);
    const sheets = await app.call('GET', '/api/sheets');
    expect(sheets.body.sheets.length).toBeGreaterThan(9);
    expect((await app.call('GET', '/api/ping')).body).toEqual({ one: 1 });
    expect((await app.call('GET', '/api/parts/none')).status).toBe(404);
    expect((await app.call('GET', '/api/import/jobs/none')).status).toBe(404);
  });
  it('without a workshop every list says so', async () => {
    const empty = await startTestApp({ shop: null });
    try {
      for (const path of ['/api/bench', '/api/shop', '/api/machines', '/api/export'])
        expect((await empty.call('GET', path)).status).toBe(404);
    } finally {
      await empty.close();
    }
  });
});
