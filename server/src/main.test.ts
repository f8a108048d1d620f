import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { spawn, type ChildProcess } from 'node:child_process';
import { join } from 'node:path';
import { program } from './test/program.ts';
import { freshDatabase } from './test/databases.ts';
import { factInput, smallShop } from './test/testApp.ts';
import { itInCi } from './test/inCi.ts';

const ROOT = join(import.meta.dirname, '..', '..');
let url: string;
let ownerUrl: string;
let drop: () => Promise<void>;
const running = new Set<ChildProcess>();

/** Starts the program itself, as bin/demo does; resolves when it listens. */
async function start(
  env: Record<string, string> = {},
): Promise<{ base: string; child: ChildProcess; exit: Promise<number | null> }> {
  const child = spawn(process.execPath, [program('main')], {
    cwd: ROOT,
    env: {
      ...process.env,
      NODE_OPTIONS: '',
      DATABASE_URL: url,
      MIGRATE_URL: ownerUrl,
      PORT: '0',
      SIMULATE: '0',
      LOG_LEVEL: 'warn',
      ...env,
    },
  });
  running.add(child);
  const exit = new Promise<number | null>((done) => child.on('exit', (code) => done(code)));
  const base = await new Promise<string>((done, fail) => {
    let text = '';
    child.stdout.on('data', (b: Buffer) => {
      text += b.toString();
      const m = /listening (\d+)/.exec(text);
      if (m) done(`http://127.0.0.1:${m[1]}`);
    });
    child.stderr.on('data', (b: Buffer) => (text += b.toString()));
    void exit.then((code) => fail(new Error(`exited with ${code}: ${text}`)));
  });
  return { base, child, exit };
}

beforeAll(async () => {
  const fresh = await freshDatabase();
  url = fresh.url;
  ownerUrl = fresh.ownerUrl;
  drop = fresh.drop;
  const first = await start();
  expect((await send(first.base, '/api/import/shop?shift=now', smallShop())).status).toBe(201);
  first.child.kill('SIGTERM');
  expect(await first.exit).toBe(0);
});
afterAll(async () => {
  for (const child of running) child.kill('SIGKILL');
  await drop();
});

const send = (base: string, path: string, body: unknown) =>
  fetch(base + path, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', 'X-Calvetta': '1' },
    body: JSON.stringify(body),
  });

describe('the program', () => {
  itInCi(
    'killed between two touches leaves nothing half-written, and the same touch sent again is stored once',
    async () => {
      const first = await start();
      const now = new Date().toISOString();
      const facts = Array.from({ length: 300 }, (_, i) =>
        factInput('noted', 'pump.cylinder-block', 0, { text: `line ${i}` }, { happenedAt: now }),
      );
      const lost = send(first.base, '/api/facts', { facts }).catch(() => null);
      await new Promise((done) => setTimeout(done, 60));
      first.child.kill('SIGKILL');
      await first.exit;
      await lost;

      const second = await start();
      const part = (await (await fetch(`${second.base}/api/parts/pump.cylinder-block`)).json()) as {
        facts: { kind: string }[];
      };
      expect([0, 300]).toContain(part.facts.filter((f) => f.kind === 'noted').length);
      expect([200, 201]).toContain((await send(second.base, '/api/facts', { facts })).status);
      const after = (await (
        await fetch(`${second.base}/api/parts/pump.cylinder-block`)
      ).json()) as typeof part;
      expect(after.facts.filter((f) => f.kind === 'noted').length).toBe(300);
      second.child.kill('SIGTERM');
      expect(await second.exit).toBe(0);
    },
    60_000,
  );
  it('is not opened to others’ machines before it has an owner; bin/owner’s program makes one, and then everyone signs in', async () => {
    await expect(start({ HOST: '0.0.0.0' })).rejects.toThrow(/no owner yet.*bin\/owner/);
    const owner = async (name: string): Promise<string> => {
      const child = spawn(process.execPath, [program('door/cli'), name], {
        cwd: ROOT,
        env: { ...process.env, NODE_OPTIONS: '', OWNER_URL: ownerUrl, ADDRESS: 'http://shed' },
      });
      let said = '';
      for (const out of [child.stdout, child.stderr]) out.on('data', (b: Buffer) => (said += b.toString()));
      await new Promise((done) => child.on('exit', done));
      return said;
    };
    expect(await owner('Nobody At All')).toMatch(/Nobody here is called “Nobody At All”.*Ines/);
    const token = /http:\/\/shed\/in#(\S+)/.exec(await owner('ines'))?.[1] ?? '';
    const first = await start();
    const phrase = 'tide over the slip at noon';
    expect((await send(first.base, '/api/door/redeem', { token, phrase })).status).toBe(201);
    expect((await fetch(`${first.base}/api/shop`)).status).toBe(401);
    first.child.kill('SIGTERM');
    await first.exit;
    const opened = await start({ HOST: '0.0.0.0' });
    expect((await fetch(`${opened.base}/api/shop`)).status).toBe(401);
    const signedIn = await send(opened.base, '/api/door/in', { name: 'Ines', phrase });
    expect(signedIn.status).toBe(200);
    const cookie = signedIn.headers.getSetCookie()[0]!;
    expect(cookie).toMatch(/HttpOnly; SameSite=Strict/);
    const shop = await fetch(`${opened.base}/api/shop`, { headers: { cookie: cookie.split(';')[0]! } });
    expect(shop.status).toBe(200);
    opened.child.kill('SIGTERM');
    await opened.exit;
  }, 60_000);
  it('behind a proxy that speaks TLS: says what it must be told, and then gives a cookie for TLS only', async () => {
    const PUBLIC_ORIGIN = 'https://shed.example';
    await expect(start({ PUBLIC_ORIGIN })).rejects.toThrow(/TRUST_PROXY/);
    const { base, child, exit } = await start({ PUBLIC_ORIGIN, TRUST_PROXY: '127.0.0.1' });
    const signIn = (headers: Record<string, string>) =>
      fetch(`${base}/api/door/in`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json', 'X-Calvetta': '1', ...headers },
        body: JSON.stringify({ name: 'Ines', phrase: 'tide over the slip at noon' }),
      });
    const through = await signIn({ 'X-Forwarded-Proto': 'https', 'X-Forwarded-For': '10.0.0.7' });
    expect(through.status).toBe(200);
    expect(through.headers.getSetCookie()[0]).toMatch(
      /^__Host-calvetta=.*; Path=\/;.*; HttpOnly; Secure; SameSite=Strict$/,
    );
    // Past the proxy, in the clear: no cookie that would travel so.
    expect((await signIn({})).headers.getSetCookie()).toEqual([]);
    child.kill('SIGTERM');
    await exit;
  }, 60_000);
  it('says what is missing when there is no database to use', async () => {
    await expect(start({ DATABASE_URL: '' })).rejects.toThrow(/DATABASE_URL is not set/);
  }, 30_000);
});
