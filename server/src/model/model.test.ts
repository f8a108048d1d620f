import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { ShopFile } from '@calvetta/contract';
import { createModel } from './model.ts';
import { factInput, startTestApp, type TestApp } from '../test/testApp.ts';

const whole = JSON.parse(
  readFileSync(join(import.meta.dirname, '..', '..', '..', 'demo', 'scenario', 'shop.json'), 'utf8'),
) as ShopFile;
let app: TestApp;
beforeAll(async () => {
  app = await startTestApp({ shop: whole });
});
afterAll(() => app.close());

describe('the derived snapshot', () => {
  it('says how far its first derivation is, in parts, and nothing once it stands', async () => {
    const model = createModel(app.db, () => app.clock.nowMs);
    expect(model.progress()).toEqual({ done: 0, of: 0 });
    const coming = model.snapshot();
    const seen = new Set<number>();
    for (let isDone = false; !isDone;) {
      isDone = (await Promise.race([coming, new Promise<void>((done) => setTimeout(done, 4))])) !== undefined;
      const progress = model.progress();
      if (progress && progress.of > 0) {
        expect(progress.of).toBe(whole.machines.flatMap((m) => m.assemblies.flatMap((a) => a.parts)).length);
        seen.add(progress.done);
      }
    }
    expect(seen.size).toBeGreaterThan(1);
    expect(model.progress()).toBeNull();
  });
  // Found by a browser story: while the whole shop was being derived anew, others were still served what was before the write.
  it('is never served from before a write, to whomever asks while it is being derived', async () => {
    await app.call('GET', '/api/machines');
    for (const name of ['Bunker, first', 'Bunker, second']) {
      const { version } = (await app.call('GET', '/api/parts/quarry.bunker')).body;
      const r = await app.call('PATCH', '/api/parts/quarry.bunker', { version, name });
      expect(r.status).toBe(200);
      const seen = await Promise.all(
        Array.from(
          { length: 6 },
          async () => (await app.call('GET', '/api/parts/quarry.bunker')).body.card.name,
        ),
      );
      expect(seen).toEqual(seen.map(() => name));
    }
  });
  it('shows a mix and its tins at once', async () => {
    const levelOf = async () =>
      (await app.call('GET', '/api/shelf')).body.tins.find((t: { tinId: string }) => t.tinId === 'tin-05')
        .levelMl;
    const before = await levelOf();
    const body = {
      mixId: 'm1',
      sheetId: 'epoxy-mastic.1',
      colour: null,
      aTinId: 'tin-05',
      bTinId: 'tin-06',
      thinnerTinId: null,
      aMl: 200,
      bMl: 50,
      thinnerMl: 0,
      placeId: 'booth',
    };
    const fact = {
      factId: '11111111-1111-4111-8111-111111111111',
      kind: 'mixed',
      happenedAt: new Date(app.clock.nowMs).toISOString(),
      personId: 'ines',
      deviceId: 'tablet-1',
      supersedes: null,
      body,
    };
    expect((await app.post('/api/stock-facts', { facts: [fact] })).status).toBe(201);
    const after = await Promise.all([levelOf(), levelOf(), levelOf()]);
    expect(after).toEqual(after.map(() => before - 200));
  });
});

describe('what a leftover can still paint', () => {
  const ask = async (mixId: string) => (await app.call('GET', `/api/mixes/${mixId}/leftover`)).body;
  it('only parts of its product and colour whose area is known and fits, with why not for the others', async () => {
    // Air that passes every gate: without it nothing may be coated, and the list would be empty.
    for (const p of whole.places)
      await app.post(`/api/places/${p.placeId}/readings`, {
        at: new Date(app.clock.nowMs - 60_000).toISOString(),
        airC: 18,
        rhPct: 48,
      });
    const l = await ask('mix-black');
    expect(l.leftMl).toBe(200);
    expect(l.parts.length).toBeGreaterThan(0);
    expect(l.usedMl).toBeLessThanOrEqual(200);
    const machines = (await app.call('GET', '/api/machines')).body.machines;
    const cards = machines.flatMap((m: any) => m.assemblies.flatMap((a: any) => a.parts));
    for (const p of l.parts) {
      const card = cards.find((c: { partId: string }) => c.partId === p.partId);
      expect(card).toMatchObject({ act: { code: 'coat' }, colourGroup: 'chassis black' });
      expect(card.next.sheetId).toBe('gloss-2k.1');
    }
    const chosen = l.parts.filter((p: { isChosen: boolean }) => p.isChosen);
    expect(chosen.reduce((s: number, p: { needMl: number }) => s + Math.ceil(p.needMl), 0)).toBe(l.usedMl);
    const whys = new Set(l.passed.map((p: { why: string }) => p.why));
    expect(whys).toContain('other-colour');
    expect(whys).toContain('no-colour');
  });
  it('a mix nobody made is not found', async () =>
    expect((await app.call('GET', '/api/mixes/nope/leftover')).status).toBe(404));
  it('the whole shop goes out and comes in again with its shelf', async () => {
    await app.post('/api/templates', {
      templateId: 't1',
      name: 'as the bunker',
      survey: (await import('@calvetta/core')).blankSurvey('steel-plate'),
    });
    const { version, facilities, schools } = (await app.call('GET', '/api/shop')).body.means;
    await app.call('PATCH', '/api/shop/means', { version, facilities, schools, putAway: ['bitumen'] });
    const out = (await app.call('GET', '/api/export')).body as ShopFile;
    const other = await startTestApp({ shop: out });
    const again = (await other.call('GET', '/api/export')).body as ShopFile;
    expect(again.workshop).toEqual(out.workshop);
    expect(again.workshop.putAway).toEqual(['bitumen']);
    expect(again.tins).toEqual(out.tins);
    expect(again.packs).toEqual(out.packs);
    expect(again.cups).toEqual(out.cups);
    expect(again.templates).toEqual(out.templates);
    expect(again.stockFacts!.map((f) => f.factId).sort()).toEqual(
      out.stockFacts!.map((f) => f.factId).sort(),
    );
    const accounts = async (a: TestApp) => (await a.call('GET', '/api/shelf')).body.accounts;
    expect(await accounts(other)).toEqual(await accounts(app));
    await other.close();
  });
  it('a write to one part reads what happened to that part, and nothing else of the shop', async () => {
    await app.call('GET', '/api/bench');
    const seen: { text: string; values: readonly unknown[] }[] = [];
    const { db } = app;
    const query = db.query.bind(db);
    db.query = (text, values = []) => {
      seen.push({ text, values });
      return query(text, values);
    };
    try {
      const fact = factInput('degreased', 'quarry.bunker', 0, {});
      expect((await app.post('/api/facts', { facts: [fact] })).status).toBe(201);
      const { facts } = (await app.call('GET', '/api/parts/quarry.bunker')).body;
      expect(facts.map((f: { factId: string }) => f.factId)).toContain(fact.factId);
      await app.call('GET', '/api/bench');
      // Its own announcement comes back over the line as well; it makes nothing stale again.
      await new Promise((done) => setTimeout(done, 300));
      await app.call('GET', '/api/machines');
    } finally {
      db.query = query;
    }
    const reads = seen.filter((q) => q.text.trimStart().startsWith('select'));
    const ofFacts = reads.filter((q) => / from fact /.test(q.text));
    expect(ofFacts.map((q) => q.values.at(-1))).toEqual([['quarry.bunker']]);
    for (const table of ['part p', 'sheet', 'tin', 'machine', 'person', 'route_step'])
      expect(reads.filter((q) => q.text.includes(` from ${table} `))).toEqual([]);
  });
});
