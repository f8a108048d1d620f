import { execFile } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { afterAll, beforeAll, expect, it } from '@jest/globals';
import { at, firstOwner, signIn } from '../test/door.ts';
import { program } from '../test/program.ts';
import { freshDatabase, type FreshDatabase } from '../test/databases.ts';
import { factInput, startTestApp, type TestApp } from '../test/testApp.ts';

const ROOT = join(import.meta.dirname, '..', '..', '..');
const folder = mkdtempSync(join(tmpdir(), 'calvetta-cli-'));
const file = join(folder, 'whole.ndjson.gz');

/** The program of bin/backup and bin/restore: what it prints, or what it complains of. */
async function cli(ownerUrl: string, ...args: string[]): Promise<string> {
  const node = [program('backup/cli')];
  const env = { ...process.env, NODE_OPTIONS: '', OWNER_URL: ownerUrl, SERVER_ROLE: 'server' };
  try {
    return (await promisify(execFile)(process.execPath, [...node, ...args], { cwd: ROOT, env })).stdout;
  } catch (error) {
    return `refused: ${(error as { readonly stderr: string }).stderr}`;
  }
}

let here: FreshDatabase;
let app: TestApp;
beforeAll(async () => {
  here = await freshDatabase();
  app = await startTestApp({ url: here.url, ownerUrl: here.ownerUrl });
  await app.post('/api/facts', { facts: [factInput('noted', 'pump.cylinder-block', 0, { text: 'kept' })] });
});
afterAll(async () => {
  await app.close();
  await here.drop();
  rmSync(folder, { recursive: true });
});

it('writes, checks and puts back; a server works on what was put back as it does on the first', async () => {
  const owner = await firstOwner(app, 'ines');
  const before = (await owner.call('GET', '/api/export')).body;
  const written = await cli(here.ownerUrl, 'write', file);
  expect(written).toMatch(/^\d+ rows, \d+ of them entries; hash [0-9a-f]{64}\n$/);
  expect(await cli('', 'check', file)).toBe(written);
  const fresh = await freshDatabase();
  try {
    expect(await cli(fresh.ownerUrl, 'restore', file)).toBe(written);
    expect(await cli(fresh.ownerUrl, 'restore', file)).toMatch(/^refused: .*not empty/);
    // As the server's role, on tables that nobody laid out for it again.
    const other = await startTestApp({ url: fresh.url, shop: null });
    // Nobody is signed in there; whoever could sign in still can.
    expect((await at(other, owner.cookie()).call('GET', '/api/shop')).status).toBe(401);
    const again = await signIn(other, 'ines');
    const after = (await again.call('GET', '/api/export')).body;
    expect({ ...after, asOf: '' }).toEqual({ ...before, asOf: '' });
    const verdict = (await again.call('GET', '/api/ledger/verify')).body;
    expect(verdict).toMatchObject({ isWhole: true, faults: [] });
    // The record says itself that it was put back, and from where.
    const { rows } = await other.db.query<{ entry: string }>(
      `select entry from chain where kind = 'event' order by seq desc limit 1`,
    );
    expect(JSON.parse(rows[0]!.entry).row).toMatchObject({
      kind: 'restored',
      body: { from: { seq: verdict.head.seq - 1 } },
    });
    const facts = [factInput('noted', 'pump.cylinder-block', 0, { text: 'and after' })];
    expect((await again.post('/api/facts', { facts })).status).toBe(201);
    await other.close();
  } finally {
    await fresh.drop();
  }
}, 60_000);
it('a file that is damaged, and a database that is away, are said in a line; no half file stands under its name', async () => {
  writeFileSync(join(folder, 'cut.gz'), readFileSync(file).subarray(0, 900));
  expect(await cli('', 'check', join(folder, 'cut.gz'))).toBe(
    'refused: the file ends too early: it was cut off\n',
  );
  const away = join(folder, 'away.gz');
  expect(await cli('postgres://app@127.0.0.1:1/none', 'write', away)).toMatch(/^refused: .+\n$/);
  expect(existsSync(away)).toBe(false);
}, 60_000);
