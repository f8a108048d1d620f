import { afterAll, beforeAll, expect, it } from '@jest/globals';
import { startTestApp, type TestApp } from '../server/src/test/testApp.ts';

// A tablet on a workshop's network: the aim of the brief.
const MOST_BYTES = 150_000;
/** Each costs a round trip, and six go at once: two rounds, document and style among them. */
const MOST_FILES = 6;

let app: TestApp;
beforeAll(async () => {
  app = await startTestApp({ webFolder: process.env['WEB_FOLDER']! });
});
afterAll(() => app.close());

/** The scripts that the page's document asks for before the Bench is drawn. */
async function firstScripts(): Promise<string[]> {
  const html = await (await fetch(app.base)).text();
  return [...html.matchAll(/(?:src|href)="(\/assets\/[^"]+\.js)"/g)].map((m) => m[1]!);
}

it('sends no more than 150 kB of scripts, in few files, before the Bench is drawn', async () => {
  const scripts = await firstScripts();
  expect(scripts.length).toBeGreaterThan(1);
  expect(scripts.length).toBeLessThanOrEqual(MOST_FILES);
  let sent = 0;
  for (const path of scripts) {
    const res = await fetch(app.base + path, { headers: { 'accept-encoding': 'gzip' } });
    const whole = (await res.arrayBuffer()).byteLength;
    expect([path, res.headers.get('content-type')?.split(';')[0]]).toEqual([path, 'text/javascript']);
    const bytes = Number(res.headers.get('content-length'));
    // What a browser unpacks is more than what comes: but for what is too small to be worth it.
    if (whole > 1000) expect(res.headers.get('content-encoding')).toBe('gzip');
    expect(bytes).toBeGreaterThan(0);
    sent += bytes;
  }
  expect(sent).toBeLessThanOrEqual(MOST_BYTES);
});

it('lets a tablet keep them, but asks for the document anew', async () => {
  const [script] = await firstScripts();
  const kept = await fetch(app.base + script!);
  expect(kept.headers.get('cache-control')).toBe('public, max-age=31536000, immutable');
  expect((await fetch(app.base + '/ledger')).headers.get('cache-control')).toBe('no-cache');
});

it('sends a browser that takes nothing packed the file as it is', async () => {
  const [script] = await firstScripts();
  const plain = await fetch(app.base + script!, { headers: { 'accept-encoding': 'identity' } });
  expect(plain.headers.get('content-encoding')).toBeNull();
  const packed = await fetch(app.base + script!, { headers: { 'accept-encoding': 'gzip' } });
  expect(await plain.text()).toBe(await packed.text());
});

it('refuses a script of another version, and does not send the document in its place', async () => {
  const gone = await fetch(app.base + '/assets/BenchScreen-gone.js');
  expect([gone.status, gone.headers.get('content-type')]).toEqual([404, 'text/plain; charset=utf-8']);
});
