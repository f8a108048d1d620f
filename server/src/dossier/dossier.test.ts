import { execFileSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { parse } from 'csv-parse/sync';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { Dossier } from '@calvetta/core';
import * as words from '@calvetta/contract/words';
import { factInput, startTestApp, steadyAir, type TestApp } from '../test/testApp.ts';
import { Fonts } from './fonts.ts';

const FRAME = 'quarry.main-frame-left';
const folder = mkdtempSync(join(tmpdir(), 'calvetta-dossier-'));
let app: TestApp;
beforeAll(async () => {
  app = await startTestApp();
  await steadyAir(app, 'booth', 18, 50, 24);
  const coat = (hours: number, dftUm: number, batch: string) =>
    factInput('coated', FRAME, hours, {
      sheetId: 'epoxy-primer.1',
      dftUm,
      tool: 'gun',
      batch,
      reason: 'for the test',
    });
  const r = await app.post('/api/facts', {
    facts: [
      factInput('moved', FRAME, -20, { placeId: 'booth' }),
      factInput('stripped', FRAME, -3, { method: 'blast' }),
      coat(-2, 57, '=SUM(A1)'),
      factInput('worked', FRAME, -1, { on: 'strip', minutes: 90 }),
      factInput('found', FRAME, -0.5, { what: 'dent', note: 'Stoß, ≤ 3 mm → Łódź' }),
      factInput('film-read', FRAME, -1.9, {
        scope: 'coat',
        by: 'comb',
        readingsUm: [61, 63],
        perSpot: 1,
        zero: 'smooth',
        profile: 'none',
        baseUm: null,
        rule: 'own',
        nominalUm: 60,
        minUm: null,
        maxUm: null,
      }),
    ],
  });
  expect([r.status, r.body.details ?? null]).toEqual([201, null]);
});
afterAll(async () => {
  await app.close();
  rmSync(folder, { recursive: true });
});

const take = async (path: string): Promise<{ status: number; bytes: Buffer; type: string | null }> => {
  const r = await fetch(`${app.base}/api${path}`);
  return { status: r.status, bytes: Buffer.from(await r.arrayBuffer()), type: r.headers.get('content-type') };
};
/** The document as a reader of others opens it (poppler). */
function read(bytes: Buffer): { readonly text: string; readonly fonts: string; readonly file: string } {
  const file = join(folder, 'd.pdf');
  writeFileSync(file, bytes);
  const run = (program: string, ...args: string[]): string =>
    execFileSync(program, args, { encoding: 'utf8' });
  return { text: run('pdftotext', '-layout', file, '-'), fonts: run('pdffonts', file), file };
}

describe('a dossier on paper', () => {
  it('is opened by another program: every coat with its figures, air and who; findings, hours, the end of the chain', async () => {
    const { status, bytes, type } = await take(`/parts/${FRAME}/dossier.pdf`);
    expect([status, type]).toEqual([200, 'application/pdf']);
    const { text } = read(bytes);
    const { hash } = (await app.call('GET', '/api/ledger/head')).body as { hash: string };
    for (const said of [
      'Main frame, left',
      'Epoxy primer (epoxy-primer.1)',
      '62 µm measured',
      '=SUM(A1)',
      'Ines',
      'Laid against a rule: for the test',
      'stripping, 1.5 h',
      'dent or low',
      hash.slice(0, 4),
      'no certificate',
      'page 1 of',
    ])
      expect(text).toContain(said);
    expect(text).toMatch(/air 18\.[01] °C, 50 %/);
    // 18 °C at 50 %: dew point 7.4 °C (Magnus, WMO-No. 8), so 10.6 K above it.
    expect(text).toMatch(/10\.[56] K above/);
  });
  it('says what it is: its number in a register, where a part comes from, what was put by', async () => {
    const version = async (path: string, key: string, id: string): Promise<number> => {
      const all = (await app.call('GET', path)).body as Record<string, readonly Record<string, unknown>[]>;
      return Number(all['machines']!.find((m) => m[key] === id)!['version']);
    };
    const set = await app.call('PATCH', '/api/machines/quarry', {
      version: await version('/api/machines', 'machineId', 'quarry'),
      accession: 'SW 1987/4',
    });
    const part = (await app.call('GET', `/api/parts/${FRAME}`)).body as { version: number };
    const came = await app.call('PATCH', `/api/parts/${FRAME}`, {
      version: part.version,
      comesFrom: 'made new, 2025',
    });
    const kept = await app.post('/api/facts', {
      facts: [factInput('sample-kept', FRAME, 0, { what: 'witness-panel', where: 'drawer 3' })],
    });
    expect([set.status, came.status, kept.status]).toEqual([200, 200, 201]);
    const { text } = read((await take(`/parts/${FRAME}/dossier.pdf`)).bytes);
    for (const said of ['SW 1987/4', 'made new, 2025', 'witness panel', 'drawer 3', 'saddle-tank locomotive'])
      expect(text).toContain(said);
  });
  it('writes letters that its fonts lack in such that they have, and leaves no empty box', async () => {
    const { text } = read((await take(`/parts/${FRAME}/dossier.pdf`)).bytes);
    expect(text.replace(/\s+/g, ' ')).toContain('Stoß, at most 3 mm - Łódź');
  });
  it('has every font embedded, and pages that are not blank', async () => {
    const { fonts, file } = read((await take('/machines/quarry/dossier.pdf')).bytes);
    const rows = fonts.trim().split('\n').slice(2);
    expect(rows.length).toBeGreaterThan(2);
    for (const row of rows) expect(row).toMatch(/yes yes yes/);
    execFileSync('pdftoppm', ['-r', '40', '-gray', file, join(folder, 'page')]);
    const pages = readdirSync(folder).filter((f) => f.startsWith('page'));
    expect(pages.length).toBeGreaterThanOrEqual(3);
    for (const p of pages) {
      const pixels = readFileSync(join(folder, p)).subarray(20);
      expect([p, pixels.some((x) => x < 100)]).toEqual([p, true]);
    }
    expect(statSync(file).size).toBeLessThan(400_000);
  });
  it('no word of the program has a letter that is lost on paper', () => {
    const fonts = new Fonts();
    const seen = new Set<string>();
    const look = (x: unknown): void => {
      if (typeof x === 'string') for (const l of x) seen.add(l);
      else if (typeof x === 'object' && x !== null) Object.values(x).forEach(look);
    };
    look(words);
    expect(seen.size).toBeGreaterThan(60);
    seen.delete('?');
    for (const letter of seen)
      for (const style of ['text', 'bold', 'figure', 'strong'] as const) {
        const drawn = fonts
          .runs(`a${letter}`, style)
          .map((r) => r.text)
          .join('');
        expect([letter, style, drawn.includes('?')]).toEqual([letter, style, false]);
      }
  });
});

describe('what stands between coats, and who', () => {
  it('each window with where the next coat went; by name only who has agreed', async () => {
    const over = factInput('coated', FRAME, -0.1, {
      sheetId: 'epoxy-primer.1',
      dftUm: 60,
      reason: 'for the test',
    });
    const r = await app.post('/api/facts', { facts: [{ ...over, personId: 'tom' }] });
    expect(r.status).toBe(201);
    const [part] = (JSON.parse((await take(`/parts/${FRAME}/dossier.json`)).bytes.toString()) as Dossier)
      .parts;
    const [window] = part!.windows;
    // Two hours after: the sheet's own least recoat at 18 °C is longer (docs/clocks.md 5).
    expect(window).toMatchObject({ no: 1, kept: 'early', nextMs: Date.parse(over.happenedAt) });
    expect(window!.spans[0]!.openMs).toBeGreaterThan(window!.nextMs);
    const { text } = read((await take(`/parts/${FRAME}/dossier.pdf`)).bytes);
    expect(text).toContain('before it opened');
    expect(text).toContain('Ines');
    expect(text).toMatch(/volunteer \d/);
    expect(text).not.toContain('Tom');
    const tom = (await app.call('GET', '/api/shop')).body.people.find((p: any) => p.personId === 'tom');
    await app.call('PATCH', '/api/people/tom', { version: tom.version, isNamed: true });
    expect(read((await take(`/parts/${FRAME}/dossier.pdf`)).bytes).text).toContain('Tom');
    await app.post('/api/facts', {
      facts: [factInput('voided', FRAME, 0, {}, { supersedes: over.factId })],
    });
  });
});

describe('tags', () => {
  it('of a machine: each part by name, on labels', async () => {
    const { bytes, type } = await take('/machines/quarry/tags.pdf');
    expect(type).toBe('application/pdf');
    const { text } = read(bytes);
    for (const name of ['Main frame', 'Cab side']) expect(text).toContain(name);
    expect(read((await take(`/parts/${FRAME}/tag.pdf`)).bytes).text).toContain('steel plate');
  });
});

describe('a route card', () => {
  it('is one sheet with every step, its hours or its film wet and dry, and what to mind', async () => {
    const { status, bytes } = await take(`/parts/${FRAME}/card.pdf`);
    expect(status).toBe(200);
    const text = read(bytes).text.replace(/\s+/g, ' ');
    const { route } = (await app.call('GET', `/api/parts/${FRAME}`)).body as {
      route: { productName: string | null }[];
    };
    for (const s of route) if (s.productName !== null) expect(text).toContain(s.productName);
    // Sixty µm dry of 60 % solids by volume are a hundred wet.
    const { vsPct } = (await app.call('GET', '/api/sheets/epoxy-primer.1')).body as { vsPct: number };
    expect(text).toContain(`2 coats of 60 µm dry; ${Math.round(60 / (vsPct / 100))} µm wet, unthinned`);
    expect(text).toContain('[x]');
    expect(text).toMatch(/Mind .*Epoxy sensitises skin/);
  });
});

describe('a dossier as data', () => {
  it('as CSV: a row a coat, and nothing in it is a formula', async () => {
    const { bytes, type } = await take('/machines/quarry/dossier.csv');
    expect(type).toContain('text/csv');
    const rows = parse<Record<string, string>>(bytes, { columns: true });
    expect(rows).toHaveLength(1);
    expect(rows[0]).toMatchObject({
      part: 'Main frame, left',
      product: 'Epoxy primer',
      'film logged um': '57',
      'film measured um': '62',
      'RH %': '50',
      'known by': 'lag',
    });
    expect(Number(rows[0]!['air C'])).toBeCloseTo(18, 0);
    expect(rows[0]!['batch']).toBe("'=SUM(A1)");
  });
  it('as JSON: the same coats, with every entry and what stands of them', async () => {
    const d = JSON.parse((await take(`/parts/${FRAME}/dossier.json`)).bytes.toString()) as Dossier;
    expect(d.format).toBe('calvetta-dossier/1');
    const [part] = d.parts;
    expect(part!.coats).toMatchObject([{ loggedUm: 57, measuredUm: 62, batch: '=SUM(A1)' }]);
    expect(part!.workedH).toBeCloseTo(1.5, 9);
    const stored = (await app.call('GET', `/api/parts/${FRAME}`)).body.facts as { factId: string }[];
    expect(part!.history.map((f) => f.factId).sort()).toEqual(stored.map((f) => f.factId).sort());
  });
  it('of what is not there is said so', async () => {
    for (const path of [
      '/parts/none/dossier.pdf',
      '/machines/none/dossier.csv',
      '/parts/none/card.pdf',
      '/machines/none/tags.pdf',
    ])
      expect((await take(path)).status).toBe(404);
  });
});

describe('a dossier that takes its time', () => {
  it('says part by part how far it is, then gives the same document; without being asked for it the document comes at once', async () => {
    const r = await fetch(`${app.base}/api/machines/quarry/dossier.pdf`, {
      headers: { accept: 'application/x-ndjson' },
    });
    expect(r.headers.get('content-type')).toContain('application/x-ndjson');
    type Line = { done?: number; of?: number; pdf?: string; isWhole?: boolean };
    const lines = (await r.text())
      .trim()
      .split('\n')
      .map((l) => JSON.parse(l) as Line);
    const told = lines.filter((l) => l.done !== undefined);
    const of = told[0]!.of!;
    expect(told.map((l) => l.done)).toEqual([...Array.from({ length: of }, (_, i) => i), of]);
    expect(lines.at(-1)).toEqual({ isWhole: true });
    const bytes = Buffer.concat(
      lines.flatMap((l) => (l.pdf === undefined ? [] : [Buffer.from(l.pdf, 'base64')])),
    );
    const direct = read((await take('/machines/quarry/dossier.pdf')).bytes).text;
    // The end of the chain is kept with each, so only the chain’s own lines may differ.
    expect(read(bytes).text.split('\n').length).toBe(direct.split('\n').length);
  });
});
