import { execFile } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { afterAll, beforeAll, expect, it } from '@jest/globals';
import { factInput, freshDatabase, startTestApp, type FreshDatabase, type TestApp } from '../test/testApp.ts';

const ROOT = join(import.meta.dirname, '..', '..', '..');
const folder = mkdtempSync(join(tmpdir(), 'calvetta-cli-'));
const file = join(folder, 'whole.ndjson.gz');

/** The program of bin/backup and bin/restore: what it prints, or what it complains of. */
async function cli(ownerUrl: string, ...args: string[]): Promise<string> {
  const node = ['--import', 'tsx', '--conditions=@calvetta/source', join(ROOT, 'server/src/backup/cli.ts')];
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
  const written = await cli(here.ownerUrl, 'write', file);
  expect(written).toMatch(/^\d+ rows, \d+ of them entries; hash [0-9a-f]{64}\n$/);
  expect(await cli('', 'check', file)).toBe(written);
  const fresh = await freshDatabase();
  try {
    expect(await cli(fresh.ownerUrl, 'restore', file)).toBe(written);
    expect(await cli(fresh.ownerUrl, 'restore', file)).toMatch(/^refused: .*not empty/);
    // As the server's role, on tables that nobody laid out for it again.
    const other = await startTestApp({ url: fresh.url, shop: null });
    const facts = [factInput('noted', 'pump.cylinder-block', 0, { text: 'and after' })];
    expect((await other.post('/api/facts', { facts })).status).toBe(201);
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
