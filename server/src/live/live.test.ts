import { afterAll, beforeAll, expect, it } from '@jest/globals';
import { EventEmitter } from 'node:events';
import type { Response } from 'express';
import { pino } from 'pino';
import { freshDatabase, type FreshDatabase } from '../test/databases.ts';
import { openDatabase } from '../db/db.ts';
import { announce, startLive } from './live.ts';

let fresh: FreshDatabase;
beforeAll(async () => {
  fresh = await freshDatabase();
});
afterAll(() => fresh.drop());

/** A page's end of the line: `unread` bytes that it has not taken. */
function page(unread: number) {
  const heard: string[] = [];
  const state = { isGone: false };
  const line = Object.assign(new EventEmitter(), {
    writableLength: unread,
    writeHead: () => undefined,
    write: (text: string) => heard.push(text),
    end: () => undefined,
    destroy() {
      state.isGone = true;
      line.emit('close');
    },
  });
  return { line: line as unknown as Response, heard, state };
}

it('a page that stopped reading is let go before it fills the memory; the others go on hearing', async () => {
  const live = startLive(fresh.url, pino({ level: 'silent' }));
  const db = openDatabase(fresh.url);
  await live.heard;
  const reads = page(0);
  const sleeps = page(5_000_000);
  live.attach(reads.line, null);
  live.attach(sleeps.line, null);
  const told = new Promise<void>((done) => live.onMessage((m) => m.topic === 'stock' && done()));
  await announce(db, 'another process', { topic: 'stock' });
  await told;
  await new Promise((done) => setImmediate(done));
  expect(sleeps.state.isGone).toBe(true);
  expect(sleeps.heard.join('')).not.toContain('"stock"');
  expect(reads.state.isGone).toBe(false);
  expect(reads.heard.join('')).toContain('data: {"topic":"stock"}');
  await db.close();
  await live.stop();
});
