import { execFile } from 'node:child_process';
import { createHash } from 'node:crypto';
import { promisify } from 'node:util';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { ChainVerdict } from '@calvetta/contract';
import type { Db } from '../db/db.ts';
import { program } from '../test/program.ts';
import { factInput, startTestApp, type TestApp } from '../test/testApp.ts';

const PART = 'quarry.main-frame-left';
let app: TestApp;
beforeAll(async () => {
  app = await startTestApp();
});
afterAll(() => app.close());

const note = (text: string) => factInput('noted', PART, 0, { text });
const write = async (text: string): Promise<string> => {
  const fact = note(text);
  expect((await app.post('/api/facts', { facts: [fact] })).status).toBe(201);
  return fact.factId;
};
const head = async () => (await app.call('GET', '/api/ledger/head')).body as ChainVerdict['head'];
const verify = async (known = ''): Promise<ChainVerdict> =>
  (await app.call('GET', `/api/ledger/verify${known === '' ? '' : `?head=${known}`}`)).body;
const links = async () =>
  (
    await app.db.query<{ seq: number; entry: string; entry_hash: string; prev: string; hash: string }>(
      'select seq::int as seq, entry, entry_hash, prev, hash from chain order by seq',
    )
  ).rows;
const sha = (text: string): string => createHash('sha256').update(text).digest('hex');

/** What somebody with the keys of the house does: the guards off, then back on. Undone afterwards by `mend`. */
const tamper = (sql: string, mend: string) =>
  app.asOwner(async (db) => {
    const free = (work: (tx: Db) => Promise<unknown>) =>
      db.transaction(async (tx) => {
        for (const t of ['fact', 'sheet', 'picture', 'chain'])
          await tx.query(`alter table ${t} disable trigger user`);
        await work(tx);
        for (const t of ['fact', 'sheet', 'picture', 'chain'])
          await tx.query(`alter table ${t} enable trigger user`);
      });
    await free((tx) => tx.query(sql));
    const seen = await verify();
    await free((tx) => tx.query(mend));
    return seen;
  });

describe('the chain', () => {
  it('has one link for every entry and sheet, each over the one before (SHA-256, FIPS 180-4, worked out here by node)', async () => {
    const before = await head();
    const id = await write('one more');
    const all = await links();
    expect(all.map((l) => l.seq)).toEqual(all.map((_, i) => i + 1));
    all.forEach((l, i) => {
      expect(l.prev).toBe(i === 0 ? '0'.repeat(64) : all[i - 1]!.hash);
      expect(l.entry_hash).toBe(sha(l.entry));
      expect(l.hash).toBe(sha(`${l.prev}\n${l.seq}\n${l.entry_hash}`));
    });
    const last = all[all.length - 1]!;
    expect(await head()).toMatchObject({ seq: before.seq + 1, hash: last.hash });
    expect(JSON.parse(last.entry)).toMatchObject({
      v: 1,
      kind: 'fact',
      id,
      row: { kind: 'noted', part_id: PART, body: { text: 'one more' } },
    });
    const { rows } = await app.db.query<{ n: number }>(
      'select ((select count(*) from fact) + (select count(*) from sheet) + (select count(*) from picture) + (select count(*) from person) + (select count(*) from event))::int as n',
    );
    expect(all).toHaveLength(rows[0]!.n);
  });
  it('grows by nothing for what was refused or sent twice', async () => {
    const fact = note('once');
    await app.post('/api/facts', { facts: [fact] });
    const { seq } = await head();
    expect((await app.post('/api/facts', { facts: [fact] })).status).toBe(200);
    expect(
      (await app.post('/api/facts', { facts: [note('good'), { ...note('bad'), partId: 'none' }] })).status,
    ).toBe(422);
    expect((await head()).seq).toBe(seq);
  });
  it('has no gap and no fork though forty write at once', async () => {
    const { seq } = await head();
    const answers = await Promise.all(
      Array.from({ length: 40 }, (_, i) => app.post('/api/facts', { facts: [note(`at once ${i}`)] })),
    );
    const stored = answers.filter((a) => a.status === 201).length;
    expect(stored).toBeGreaterThan(30);
    expect(await verify()).toMatchObject({ isWhole: true, faults: [], head: { seq: seq + stored } });
  });
  it('is added to by nobody but the guards of the tables', async () => {
    for (const sql of [
      `insert into chain values ('saltmarsh', 999999, 'fact', 'x', '{}', '${'0'.repeat(64)}', '${'1'.repeat(64)}', '${'2'.repeat(64)}')`,
      `update chain set entry = '{}'`,
      'delete from chain',
      'truncate chain',
      `select chain_append('saltmarsh', 'fact', 'x', '{}'::jsonb, false)`,
      'alter table fact disable trigger chain_fact',
    ])
      await expect(app.db.query(sql)).rejects.toThrow(/permission denied|must be owner/);
  });
});

describe('verify', () => {
  it('finds an entry that was changed, taken out or put in, and names it', async () => {
    const id = await write('as it was');
    const at = (await head()).seq;
    const row = `where fact_id = '${id}'`;
    expect(
      await tamper(
        `update fact set body = '{"text":"as it suits"}' ${row}`,
        `update fact set body = '{"text":"as it was"}' ${row}`,
      ),
    ).toMatchObject({ isWhole: false, faults: [{ seq: at, kind: 'fact', id, what: 'row-changed' }] });
    // Evidence and who wrote it count as much as the body.
    expect(
      (await tamper(`update fact set person_id = 'tom' ${row}`, `update fact set person_id = 'ines' ${row}`))
        .faults,
    ).toMatchObject([{ id, what: 'row-changed' }]);
    expect(
      await tamper(
        `create table kept as select * from fact ${row}; delete from fact ${row}`,
        `insert into fact overriding system value select * from kept; drop table kept`,
      ),
    ).toMatchObject({ isWhole: false, faults: [{ seq: at, id, what: 'row-missing' }] });
    const forged = '00000000-0000-4000-8000-00000000f04e';
    expect(
      await tamper(
        `insert into fact select workshop_id, '${forged}', kind, part_id, face, happened_at, ended_at, recorded_at, person_id, device_id, null, body, evidence, subject from fact ${row}`,
        `delete from fact where fact_id = '${forged}'`,
      ),
    ).toMatchObject({ isWhole: false, faults: [{ seq: 0, id: forged, what: 'row-unchained' }] });
    expect(await verify()).toMatchObject({ isWhole: true, faults: [] });
  });
  it('finds a link whose text was changed, that was taken out, or that changed places', async () => {
    await write('first of two');
    await write('second of two');
    const b = (await head()).seq;
    const a = b - 1;
    expect(
      await tamper(
        `update chain set entry = replace(entry, 'first of two', 'first of all') where seq = ${a}`,
        `update chain set entry = replace(entry, 'first of all', 'first of two') where seq = ${a}`,
      ),
    ).toMatchObject({
      isWhole: false,
      faults: expect.arrayContaining([expect.objectContaining({ seq: a, what: 'text-changed' })]),
    });
    expect(
      await tamper(
        `create table kept as select * from chain where seq = ${a}; delete from chain where seq = ${a}`,
        `insert into chain select * from kept; drop table kept`,
      ),
    ).toMatchObject({
      isWhole: false,
      faults: expect.arrayContaining([expect.objectContaining({ seq: b, what: 'links-missing' })]),
    });
    const swap = `update chain set seq = 1000000 where seq = ${a}; update chain set seq = ${a} where seq = ${b}; update chain set seq = ${b} where seq = 1000000`;
    expect(await tamper(swap, swap)).toMatchObject({
      isWhole: false,
      faults: expect.arrayContaining([expect.objectContaining({ seq: a, what: 'link-broken' })]),
    });
    expect((await verify()).isWhole).toBe(true);
  });
  it('a chain that was cut off, or made anew from end to end, is whole in itself: only a head from elsewhere shows it', async () => {
    const id = await write('to be cut off');
    const known = (await head()).hash;
    expect(await verify(known.slice(0, 32))).toMatchObject({ isWhole: true, known: (await head()).seq });
    expect(await verify(known.toUpperCase())).toMatchObject({ isWhole: true });
    const seen = await app.asOwner(async (db) => {
      for (const t of ['fact', 'chain']) await db.query(`alter table ${t} disable trigger user`);
      await db.query(`delete from chain where id = '${id}'`);
      await db.query(`delete from fact where fact_id = '${id}'`);
      for (const t of ['fact', 'chain']) await db.query(`alter table ${t} enable trigger user`);
      return [await verify(), await verify(known)] as const;
    });
    expect(seen[0]).toMatchObject({ isWhole: true });
    expect(seen[1]).toMatchObject({ isWhole: false, faults: [], known: 'missing' });
  });
  it('a head that is none is refused with what one looks like', async () => {
    expect(await app.call('GET', '/api/ledger/verify?head=abc')).toMatchObject({
      status: 400,
      body: {
        code: 'invalid-input',
        details: { problems: [{ field: 'head', accepts: expect.stringMatching(/32 or 64/) }] },
      },
    });
  });
});

describe('bin/verify', () => {
  /** The program behind it: what it prints, and its exit code. */
  const cli = async (...args: string[]): Promise<readonly [code: number, said: string]> => {
    const node = [program('ledger/cli')];
    const env = { ...process.env, NODE_OPTIONS: '', OWNER_URL: app.url };
    try {
      return [0, (await promisify(execFile)(process.execPath, [...node, ...args], { env })).stdout];
    } catch (error) {
      const { code, stdout } = error as { readonly code: number; readonly stdout: string };
      return [code, stdout];
    }
  };
  it('says whole, finds a head, and ends with 1 where it finds none', async () => {
    const { seq, hash } = await head();
    expect(await cli(hash.slice(0, 32))).toEqual([
      0,
      `saltmarsh: ${seq} links, whole; your head is link ${seq}, nothing before it was changed; head ${hash.slice(0, 32)}\n`,
    ]);
    const [code, said] = await cli('0123456789abcdef0123456789abcdef');
    expect([code, said]).toEqual([1, expect.stringContaining('no chain holds the head 0123456789abcdef')]);
  });
});
