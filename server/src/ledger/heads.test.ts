import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { createPublicKey, verify as check } from 'node:crypto';
import { mkdtempSync, readFileSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ChainVerdict, SignedHead } from '@calvetta/contract';
import { readSecrets } from '../door/secrets.ts';
import { factInput, startTestApp, type TestApp } from '../test/testApp.ts';
import { createHeads, isSigned, readHeads } from './heads.ts';

let app: TestApp;
beforeAll(async () => {
  app = await startTestApp();
});
afterAll(() => app.close());

const PART = 'quarry.main-frame-left';
const note = async (): Promise<string> => {
  const fact = factInput('noted', PART, 0, { text: 'x' });
  expect((await app.post('/api/facts', { facts: [fact] })).status).toBe(201);
  return fact.factId;
};
const verify = async (): Promise<ChainVerdict> => (await app.call('GET', '/api/ledger/verify')).body;

describe('an end of the chain', () => {
  it('is signed with Ed25519 over what its page says (RFC 8032; the text put together here)', async () => {
    const h = (await app.call('GET', '/api/ledger/head')).body as SignedHead;
    const text = `calvetta-head/1\n${h.chain}\n${h.seq}\n${h.hash}\n${new Date(h.atMs).toISOString()}`;
    const jwk = { kty: 'OKP', crv: 'Ed25519', x: Buffer.from(h.publicKey, 'hex').toString('base64url') };
    const key = createPublicKey({ key: jwk, format: 'jwk' });
    expect(check(null, Buffer.from(text), key, Buffer.from(h.signature, 'hex'))).toBe(true);
    expect(isSigned(h)).toBe(true);
    for (const over of [
      { seq: h.seq + 1 },
      { atMs: h.atMs + 1 },
      { chain: 'other' },
      { hash: '0'.repeat(64) },
    ])
      expect(isSigned({ ...h, ...over })).toBe(false);
    expect(isSigned({ ...h, publicKey: 'zz' })).toBe(false);
  });

  it('kept in a file of mode 600, a line each; one that was changed there, or cut off by a fall, counts for nothing', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'heads-'));
    const heads = createHeads(readSecrets(folder).headKey, folder, () => 5);
    const [one, two] = [1, 2].map((seq) => heads.sign('shop', { seq, hash: String(seq).repeat(64) }));
    await heads.keep(one!);
    await heads.keep(two!);
    const path = join(folder, 'heads.jsonl');
    expect(statSync(path).mode & 0o777).toBe(0o600);
    expect(readHeads(path)).toEqual([one, two]);
    const { writeFileSync } = await import('node:fs');
    const text = readFileSync(path, 'utf8');
    writeFileSync(path, `${text.replace('"seq":1', '"seq":7')}${text.slice(0, 40)}`);
    expect(readHeads(path)).toEqual([two]);
    // The same key after a start anew: what was signed before still is.
    const again = createHeads(readSecrets(folder).headKey, folder, () => 6);
    expect(again.sign('shop', { seq: 3, hash: 'a'.repeat(64) }).publicKey).toBe(two!.publicKey);
    await again.forget('shop');
    expect(readHeads(path)).toEqual([]);
  });

  it('that the server kept shows that the chain was cut off, though it is whole in itself; a backup that was put back explains it', async () => {
    const before = await verify();
    const factId = await note();
    // A dossier leaves the machine with the end of the chain: that end is kept.
    const res = await fetch(`${app.base}/api/parts/${PART}/dossier.pdf`);
    await res.arrayBuffer();
    expect(await verify()).toMatchObject({ isWhole: true, kept: before.kept + 1, lost: [] });
    await app.asOwner((db) =>
      db.query(
        `set session_replication_role = replica;
         delete from chain where kind = 'fact' and id = '${factId}'; delete from fact where fact_id = '${factId}'`,
      ),
    );
    const cut = await verify();
    expect(cut).toMatchObject({
      isWhole: false,
      faults: [],
      lost: [{ seq: before.head.seq + 1, isRestored: false }],
    });
    // As bin/restore writes it.
    await app.asOwner((db) =>
      db.query(
        `insert into event (workshop_id, kind, at, body) select workshop_id, 'restored', $1, $2 from workshop`,
        [new Date(app.clock.nowMs + 1000), { asOf: new Date(app.clock.nowMs - 1000).toISOString() }],
      ),
    );
    expect(await verify()).toMatchObject({ isWhole: true, lost: [{ isRestored: true }] });
  });

  it('what came in as a file is a link of its own, and so is what was put back', async () => {
    const { rows } = await app.db.query<{ id: string; entry: string }>(
      `select id, entry from chain where kind = 'event' order by seq`,
    );
    expect(rows.map((r) => JSON.parse(r.entry).row.kind)).toEqual(['imported', 'restored']);
    await expect(app.db.query('delete from event')).rejects.toThrow();
    await app.asOwner((db) =>
      db.query(
        `set session_replication_role = replica; update event set body = '{}' where kind = 'imported'`,
      ),
    );
    expect((await verify()).faults).toMatchObject([{ kind: 'event', id: rows[0]!.id, what: 'row-changed' }]);
  });
});
