import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { execFileSync } from 'node:child_process';
import { createHash, randomUUID } from 'node:crypto';
import { factInput, startTestApp, type TestApp } from '../test/testApp.ts';
import { comeIn, firstOwner, PHRASE, type Visitor } from '../test/door.ts';

let app: TestApp;
let owner: Visitor;
let hand: Visitor;
let inspector: Visitor;
const PART = 'pump.cylinder-block';
beforeAll(async () => {
  app = await startTestApp();
  owner = await firstOwner(app, 'ines');
  hand = await comeIn(app, owner, { role: 'hand', personId: 'joe' });
  // An inspector who otherwise only looks.
  inspector = await comeIn(app, owner, { role: 'viewer', personId: 'vera', isInspector: true });
});
afterAll(() => app.close());

const log = (kind: 'stripped' | 'noted', hours: number, body: object, over: object = {}) =>
  hand.post('/api/facts', {
    facts: [factInput(kind, PART, hours, { ...body }, { personId: 'joe', ...over })],
  });
const shown = async (by = inspector) => (await by.call('GET', `/api/to-sign?part=${PART}`)).body[0];
const signOf = (s: { facts: string[]; stock: string[] }, over: object = {}) => ({
  scope: 'part',
  words: 'coating as specified, seen on the bench',
  phrase: PHRASE,
  deviceId: 'tablet-1',
  parts: [{ factId: randomUUID(), partId: PART, facts: s.facts, stock: s.stock }],
  ...over,
});
const newest = async () => (await owner.call('GET', `/api/parts/${PART}`)).body.signOffs[0];

describe('a sign-off', () => {
  it('is by an inspector, by phrase, of exactly what was shown; a correction makes it invalid', async () => {
    await log('stripped', -30, { method: 'bead' });
    const seen = await shown();
    expect(seen).toMatchObject({ isOwnWork: false, partId: PART });
    expect(await hand.post('/api/sign-offs', signOf(seen))).toMatchObject({
      status: 403,
      body: { details: { least: 'inspector' } },
    });
    expect((await inspector.post('/api/sign-offs', signOf(seen, { phrase: 'something else' }))).status).toBe(
      401,
    );

    // Something was written down meanwhile: refused, and it says what.
    const more = await log('stripped', -29, { method: 'scraper' });
    const late = await inspector.post('/api/sign-offs', signOf(seen));
    expect(late).toMatchObject({
      status: 409,
      body: {
        code: 'signed-changed',
        details: { parts: [{ partId: PART, factIds: [more.body.facts[0].factId] }] },
      },
    });
    const now = await shown();
    const done = await inspector.post('/api/sign-offs', signOf(now));
    expect(done.status).toBe(201);
    const [fact] = done.body.facts;
    expect(fact).toMatchObject({
      kind: 'signed-off',
      personId: 'vera',
      body: { sha256: now.sha256, openFindings: 0 },
    });
    expect((await inspector.call('GET', `/api/ledger/entries/${fact.factId}`)).body).toMatchObject({
      how: 'phrase',
      enteredBy: 'vera',
    });
    expect(await newest()).toMatchObject({ state: 'standing', endedBy: null, personName: 'vera' });

    await log('noted', -1, { text: 'a fine afternoon' });
    expect((await newest()).state).toBe('standing');
    const fix = await log('stripped', -29, { method: 'disc' }, { supersedes: more.body.facts[0].factId });
    expect(fix.status).toBe(201);
    expect(await newest()).toMatchObject({
      state: 'invalidated',
      endedBy: { factId: fix.body.facts[0].factId, kind: 'stripped' },
    });
  });
  it('its hash is made again by anybody from what is exported (RFC 8785 and SHA-256, worked out here)', async () => {
    const now = await shown();
    const { body: whole } = await owner.call('GET', '/api/export');
    const sorted = (v: any): any =>
      Array.isArray(v)
        ? v.map(sorted)
        : v !== null && typeof v === 'object'
          ? Object.fromEntries(
              Object.keys(v)
                .sort()
                .map((k) => [k, sorted(v[k])]),
            )
          : v;
    const iso = (t: string | null) => (t === null ? null : new Date(t).toISOString());
    const text = [...now.facts]
      .sort()
      .map((id: string) => whole.facts.find((f: any) => f.factId === id))
      .map((f: any) => ({
        at: iso(f.happenedAt),
        body: f.body,
        by: f.personId,
        ended: iso(f.endedAt),
        face: f.face,
        id: f.factId,
        kind: f.kind,
        part: f.partId,
      }))
      .map((line) => JSON.stringify(sorted(line)))
      .join('\n');
    expect(createHash('sha256').update(text).digest('hex')).toBe(now.sha256);
  });
  it('nobody signs for their own work, nor past its own door, nor takes back another’s', async () => {
    const both = await comeIn(app, owner, { role: 'lead', personId: 'max', isInspector: true });
    await both.post('/api/facts', { facts: [factInput('degreased', PART, -3, {}, { personId: 'max' })] });
    const seen = await shown(both);
    expect(seen.isOwnWork).toBe(true);
    expect(await both.post('/api/sign-offs', signOf(seen))).toMatchObject({
      status: 422,
      body: { code: 'own-work', details: { partIds: [PART] } },
    });
    const body = { scope: 'part', words: 'x', facts: [], stock: [], sha256: 'x', openFindings: 0 };
    expect(
      (await owner.post('/api/facts', { facts: [factInput('signed-off', PART, -1, body)] })).body.code,
    ).toBe('not-allowed');
    const mine = await inspector.post('/api/sign-offs', signOf(await shown()));
    expect(mine.status).toBe(201);
    const takeBack = (by: Visitor, personId: string) =>
      by.post('/api/facts', {
        facts: [factInput('voided', PART, 0, {}, { personId, supersedes: mine.body.facts[0].factId })],
      });
    const withdraw = (by: Visitor) =>
      by.post(`/api/sign-offs/${mine.body.facts[0].factId}/withdrawal`, {
        factId: randomUUID(),
        reason: 'the wrong part',
        deviceId: 'tablet-1',
      });
    expect((await takeBack(owner, 'ines')).body.details).toMatchObject({ least: 'signer' });
    expect((await withdraw(both)).body.details).toMatchObject({ least: 'signer' });
    // She only looks otherwise; what she signed she takes back all the same.
    expect((await withdraw(inspector)).status).toBe(201);
    expect((await newest()).state).toBe('withdrawn');
  });
  it('of a machine is one act, all parts or none', async () => {
    const { body: parts } = await inspector.call('GET', '/api/to-sign?machine=quarry');
    expect(parts.length).toBeGreaterThan(1);
    const all = parts.map((p: any) => ({
      factId: randomUUID(),
      partId: p.partId,
      facts: p.facts,
      stock: p.stock,
    }));
    const short = all.map((p: any, i: number) => (i === 1 ? { ...p, facts: p.facts.slice(1) } : p));
    const no = await inspector.post('/api/sign-offs', signOf(parts[0], { scope: 'machine', parts: short }));
    expect(no).toMatchObject({ status: 409, body: { details: { parts: [{ partId: all[1].partId }] } } });
    expect((await owner.call('GET', `/api/parts/${all[0].partId}`)).body.signOffs).toEqual([]);
    const yes = await inspector.post('/api/sign-offs', signOf(parts[0], { scope: 'machine', parts: all }));
    expect(yes.status).toBe(201);
    for (const p of all)
      expect((await owner.call('GET', `/api/parts/${p.partId}`)).body.signOffs).toMatchObject([
        { state: 'standing', body: { scope: 'machine' } },
      ]);
  });
  it('stand on paper with what they are worth', async () => {
    const res = await fetch(`${app.base}/api/parts/${PART}/dossier.pdf`, {
      headers: { cookie: owner.cookie() },
    });
    const text = execFileSync('pdftotext', ['-layout', '-', '-'], {
      input: Buffer.from(await res.arrayBuffer()),
      encoding: 'utf8',
    });
    expect(text).toContain('Signed off');
    expect(text).toContain('taken back by who signed');
    expect(text).toMatch(/no longer\s/);
    expect(text).toContain('electronic signature');
    // How it is known who did it.
    expect(text).toContain('by phrase');
  });
  it('what became of them is the same after the shop went out as a file and in again elsewhere', async () => {
    // Of before, written down only now: that it came late is what makes a signature invalid.
    const [first] = (await inspector.call('GET', '/api/to-sign?machine=quarry')).body;
    const late = factInput(
      'degreased',
      first.partId,
      -9,
      {},
      { personId: 'joe', evidence: { surfaceC: 11.5 } },
    );
    expect((await hand.post('/api/facts', { facts: [late] })).status).toBe(201);
    const { body: whole } = await owner.call('GET', '/api/export');
    const other = await startTestApp({ shop: null });
    expect((await other.post('/api/import/shop', whole)).status).toBe(201);
    const here = (await owner.call('GET', `/api/parts/${first.partId}`)).body.signOffs;
    expect(here).toMatchObject([{ state: 'invalidated', endedBy: { factId: late.factId } }]);
    expect((await other.call('GET', `/api/parts/${first.partId}`)).body.signOffs).toEqual(here);
    const again = (await other.call('GET', '/api/export')).body;
    expect({ ...again, asOf: '' }).toEqual({ ...whole, asOf: '' });
    expect(again.facts.find((f: any) => f.factId === late.factId)).toMatchObject({
      evidence: { surfaceC: 11.5 },
      deviceId: 'tablet-1',
    });
    await other.close();
  });
  it('in a shop without an owner nobody signs off', async () => {
    const open = await startTestApp();
    const seen = (await open.call('GET', `/api/to-sign?part=${PART}`)).body[0];
    expect(await open.post('/api/sign-offs', signOf(seen))).toMatchObject({
      status: 409,
      body: { code: 'no-owner' },
    });
    await open.close();
  });
});
