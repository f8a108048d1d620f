import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { spawn, type ChildProcess } from 'node:child_process';
import { join } from 'node:path';
import { factInput, freshDatabase, smallShop } from './test/testApp.ts';

const ROOT = join(import.meta.dirname, '..', '..');
let url: string;
let ownerUrl: string;
let drop: () => Promise<void>;
const running = new Set<ChildProcess>();

/** Starts the program itself, as bin/demo does; resolves when it listens. */
async function start(
  env: Record<string, string> = {},
): Promise<{ base: string; child: ChildProcess; exit: Promise<number | null> }> {
  const child = spawn(
    process.execPath,
    ['--import', 'tsx', '--conditions=@calvetta/source', join(ROOT, 'server', 'src', 'main.ts')],
    {
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
    },
  );
  running.add(child);
  const exit = new Promise<number | null>((done) => child.on('exit', (code) => done(code)));
  const base = await new Promise<string>((done, fail) => {
    let text = '';
    child.stdout.on('data', (b: Buffer) => {
      text += b.toString();
      const m = /listening (\d+)/.exec(text);
      if (m) done(`http://127.0.0.1:${m[1]}`);
    });
    void exit.then((code) => fail(new Error(`exited with ${code}: ${text}`)));
  });
  return { base, child, exit };
}

beforeAll(async () => {
  const fresh = await freshDatabase();
  url = fresh.url;
  ownerUrl = fresh.ownerUrl;
  drop = fresh.drop;
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
  it('killed between two touches leaves nothing half-written, and the same touch sent again is stored once', async () => {
    const first = await start();
    expect((await send(first.base, '/api/import/shop?shift=now', smallShop())).status).toBe(201);
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
    const after = (await (await fetch(`${second.base}/api/parts/pump.cylinder-block`)).json()) as typeof part;
    expect(after.facts.filter((f) => f.kind === 'noted').length).toBe(300);
    second.child.kill('SIGTERM');
    expect(await second.exit).toBe(0);
  }, 60_000);
  it('says what is missing when there is no database to use', async () => {
    await expect(start({ DATABASE_URL: '' })).rejects.toThrow(/DATABASE_URL is not set/);
  }, 30_000);
});
