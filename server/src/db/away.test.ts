import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { connect, createServer, type Server, type Socket } from 'node:net';
import type { AddressInfo } from 'node:net';
import { freshDatabase } from '../test/databases.ts';
import { factInput, startTestApp, type TestApp } from '../test/testApp.ts';

/** A door in front of PostgreSQL that can be shut, as a cable that is pulled. */
function door(socket: string) {
  const sockets = new Set<Socket>();
  let isOpen = true;
  const server: Server = createServer((client) => {
    if (!isOpen) {
      client.destroy();
      return;
    }
    const upstream = connect(socket);
    for (const s of [client, upstream]) {
      sockets.add(s);
      s.on('error', () => undefined);
      s.on('close', () => {
        sockets.delete(s);
        client.destroy();
        upstream.destroy();
      });
    }
    client.pipe(upstream).pipe(client);
  });
  return {
    listen: () =>
      new Promise<number>((done) =>
        server.listen(0, '127.0.0.1', () => done((server.address() as AddressInfo).port)),
      ),
    shut(): void {
      isOpen = false;
      for (const s of sockets) s.destroy();
    },
    open(): void {
      isOpen = true;
    },
    close: () =>
      new Promise<void>((done) => {
        // A server closes when its last line has; one that was cut in the middle of its greeting never says goodbye.
        server.close(() => done());
        for (const s of sockets) s.destroy();
      }),
  };
}

let app: TestApp;
let drop: () => Promise<void>;
let cable: ReturnType<typeof door>;
beforeAll(async () => {
  const fresh = await freshDatabase();
  drop = fresh.drop;
  const url = new URL(fresh.url);
  cable = door(`${url.searchParams.get('host')}/.s.PGSQL.${url.port}`);
  url.searchParams.delete('host');
  url.hostname = '127.0.0.1';
  url.port = String(await cable.listen());
  app = await startTestApp({ url: url.href, ownerUrl: fresh.ownerUrl });
});
afterAll(async () => {
  await app.close();
  await cable.close();
  await drop();
});

describe('the database gone for a while', () => {
  it('refuses writes in words, loses none that were promised, and recovers by itself', async () => {
    const before = factInput('noted', 'pump.cylinder-block', 0, { text: 'before' });
    expect((await app.post('/api/facts', { facts: [before] })).status).toBe(201);
    cable.shut();
    const during = factInput('noted', 'pump.cylinder-block', 0, { text: 'during' });
    const refused = await app.post('/api/facts', { facts: [during] });
    expect(refused).toMatchObject({ status: 503, body: { code: 'database-away' } });
    expect(refused.body.remedy).toContain('sent again by itself');
    expect((await app.call('GET', '/api/health')).status).toBe(503);
    cable.open();
    // The page keeps the entry and sends the same id again.
    let again = await app.post('/api/facts', { facts: [during] });
    for (let tries = 0; again.status === 503 && tries < 50; tries++) {
      await new Promise((done) => setTimeout(done, 100));
      again = await app.post('/api/facts', { facts: [during] });
    }
    expect(again.status).toBe(201);
    const part = await app.call('GET', '/api/parts/pump.cylinder-block');
    const notes = part.body.facts.filter((f: { kind: string }) => f.kind === 'noted');
    expect(notes.map((f: { body: { text: string } }) => f.body.text).sort()).toEqual(['before', 'during']);
  }, 30_000);
  it('cut in the middle of a transaction, half of it is never there', async () => {
    const many = Array.from({ length: 200 }, (_, i) =>
      factInput('noted', 'pump.cylinder-block', 0, { text: `n${i}` }),
    );
    const sent = app.post('/api/facts', { facts: many });
    await new Promise((done) => setTimeout(done, 40));
    cable.shut();
    const answer = await sent;
    cable.open();
    let count = -1;
    for (let tries = 0; count < 0 && tries < 50; tries++) {
      count = await app.db
        .query<{ n: number }>("select count(*)::int as n from fact where body->>'text' ~ '^n[0-9]+$'")
        .then((r) => r.rows[0]!.n)
        .catch(() => -1);
      if (count < 0) await new Promise((done) => setTimeout(done, 100));
    }
    // Cut before the commit: nothing. Cut after it: all, and the answer may have said so or been lost.
    expect([0, many.length]).toContain(count);
    if (answer.status === 201) expect(count).toBe(many.length);
    const again = await app.post('/api/facts', { facts: many });
    expect([200, 201]).toContain(again.status);
  }, 30_000);
});
