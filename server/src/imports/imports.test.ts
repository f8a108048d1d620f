import { readdirSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { startTestApp, smallShop, type TestApp } from '../test/testApp.ts';

let app: TestApp;
beforeAll(async () => {
  app = await startTestApp();
});
afterAll(() => app.close());

interface Job {
  readonly state: string;
  readonly rowsStored: number;
  readonly rowsKnown: number;
  readonly rowsRefused: number;
  readonly bytesRead: number;
  readonly bytesTotal: number;
  readonly problems: readonly { line: number; field: string; code: string; accepts: string }[];
  readonly error: { code: string } | null;
}
async function importCsv(
  text: string,
  probe: string,
  seen: (j: Job) => void = () => undefined,
): Promise<Job> {
  const started = await app.call('POST', `/api/import/readings?place=shed&probe=${probe}`, text, {
    'Content-Type': 'text/csv',
  });
  expect(started.status).toBe(202);
  for (;;) {
    const { body } = await app.call('GET', `/api/import/jobs/${started.body.jobId}`);
    seen(body);
    if (body.state !== 'running') return body;
    await new Promise((done) => setTimeout(done, 20));
  }
}
const stored = async (probe: string) =>
  (
    await app.db.query<{ at: Date; air_c: number; rh_pct: number; surface_c: number | null }>(
      'select at, air_c, rh_pct, surface_c from reading where probe_id = $1 order by at',
      [probe],
    )
  ).rows;

describe('readings as CSV', () => {
  it('understands a BOM, semicolons, decimal commas and German dates', async () => {
    const job = await importCsv(
      '\uFEFFZeit;Temp °C;Humidity %;Surface °C\r\n05.03.2026 10:00;9,5;71,5;8,25\r\n05.03.2026 10:10;9,6;71,0;\r\n',
      'semi',
    );
    expect(job).toMatchObject({ state: 'done', rowsStored: 2, rowsRefused: 0 });
    const rows = await stored('semi');
    expect(rows[0]).toMatchObject({ air_c: 9.5, rh_pct: 71.5, surface_c: 8.25 });
    expect(rows[0]!.at.toISOString()).toBe('2026-03-05T10:00:00.000Z');
    expect(rows[1]!.surface_c).toBeNull();
  });
  it('converts a Fahrenheit column by its heading: 50 °F is 10 °C', async () => {
    await importCsv('time,air °F,rh\n2026-03-05T09:00:00Z,50,60\n', 'fahr');
    expect((await stored('fahr'))[0]!.air_c).toBeCloseTo(10, 9);
  });
  it('resolves the hour that came twice by row order (London, 26 October 2025: 01:30 BST then 01:30 GMT)', async () => {
    const job = await importCsv(
      'time,air,rh\n2025-10-26 00:50,8,80\n2025-10-26 01:30,8.1,80\n2025-10-26 01:10,8.2,80\n2025-10-26 01:30,8.3,80\n',
      'dst',
    );
    expect(job.rowsRefused).toBe(0);
    expect((await stored('dst')).map((r) => r.at.toISOString())).toEqual([
      '2025-10-25T23:50:00.000Z',
      '2025-10-26T00:30:00.000Z',
      '2025-10-26T01:10:00.000Z',
      '2025-10-26T01:30:00.000Z',
    ]);
  });
  it('and by a file that runs backwards, as loggers that show the newest first write it', async () => {
    const times = ['02:10', '01:50', '01:10', '01:50', '01:10', '00:50'];
    const job = await importCsv(
      `time,air,rh\n${times.map((t) => `2025-10-26 ${t},8,80\n`).join('')}`,
      'back',
    );
    expect(job).toMatchObject({ rowsStored: 6, rowsRefused: 0 });
    expect((await stored('back')).map((r) => r.at.toISOString().slice(11, 16))).toEqual([
      '23:50',
      '00:10',
      '00:50',
      '01:10',
      '01:50',
      '02:10',
    ]);
  });
  it('a decimal comma in a file of commas is asked about, never read as two figures', async () => {
    const job = await importCsv(
      'time,air,rh\n2026-03-05T09:00:00Z,10,5,70\n2026-03-05T09:10:00Z,"10,5",70\n',
      'comma',
    );
    expect(job).toMatchObject({ rowsStored: 1, rowsRefused: 1 });
    expect(job.problems[0]).toMatchObject({ line: 2, field: 'row', code: 'more-cells' });
  });
  it('a quote that is never closed ends the file there: what was stored is counted, the line is named', async () => {
    const rows = Array.from(
      { length: 5000 },
      (_, i) => `${new Date(Date.UTC(2026, 1, 1) + i * 60_000).toISOString()},9,70`,
    );
    const job = await importCsv(
      ['time,air,rh', ...rows.slice(0, 3000), '"2026-02-01T00:00:00Z,9,70', ...rows.slice(3000)].join('\n'),
      'quote',
    );
    expect(job.state).toBe('done');
    expect(job.problems[0]).toMatchObject({
      field: 'row',
      code: 'torn',
      accepts: expect.stringContaining('rows before this line are stored'),
    });
    expect((await stored('quote')).length).toBe(job.rowsStored);
    // Its line is the first that is not stored: the heading is line 1.
    expect(job.rowsStored).toBe(job.problems[0]!.line - 2);
    expect(job.rowsStored).toBeGreaterThan(1000);
  });
  it('an upload without a length is cut off where it grows too large, and nothing of it stays', async () => {
    const before = readdirSync(tmpdir()).filter((n) => n.startsWith('calvetta-import-')).length;
    const chunk = Buffer.alloc(4_000_000, '2026-03-05T09:00:00Z,9,70\n');
    let sent = 0;
    const body = new ReadableStream({
      pull(c) {
        if (sent > 260_000_000) c.close();
        else c.enqueue(chunk);
        sent += chunk.length;
      },
    });
    const status = await fetch(`${app.base}/api/import/readings?place=booth`, {
      method: 'POST',
      headers: { 'Content-Type': 'text/csv', 'X-Calvetta': '1' },
      body,
      duplex: 'half',
    } as RequestInit).then(
      (r) => r.status,
      () => 0,
    );
    // Refused, or the line was closed while it was still sending.
    expect([413, 0]).toContain(status);
    expect(sent).toBeLessThan(260_000_000);
    expect(readdirSync(tmpdir()).filter((n) => n.startsWith('calvetta-import-')).length).toBeLessThanOrEqual(
      before,
    );
  });
  it('asks for the offset when a file begins inside that hour, and refuses an hour that never was', async () => {
    const twice = await importCsv('time,air,rh\n2025-10-26 01:30,8,80\n', 'dst2');
    expect(twice.problems[0]).toMatchObject({ line: 2, field: 'time', code: 'which-hour' });
    const never = await importCsv('time,air,rh\n2025-03-30 01:30,8,80\n', 'dst3');
    expect(never.problems[0]!.code).toBe('no-such-local-time');
  });
  it('keeps the good rows and names each bad one with its line and what is accepted', async () => {
    const job = await importCsv(
      [
        'time,air,rh',
        '2026-03-05T09:00:00Z,9,70',
        '2026-03-05T09:10:00Z,warm,70',
        '2026-03-05T09:20:00Z,9,140',
        '2026-03-06T23:00:00Z,9,70',
        'soon,9,70',
      ].join('\n'),
      'mixed',
    );
    expect(job).toMatchObject({ rowsStored: 1, rowsRefused: 4 });
    expect(job.problems.map((p) => [p.line, p.field, p.code])).toEqual([
      [3, 'airC', 'not-a-quantity'],
      [4, 'rhPct', 'out-of-range'],
      [5, 'time', 'in-the-future'],
      [6, 'time', 'not-a-time'],
    ]);
    expect(job.problems[1]!.accepts).toBe('1 to 100 %');
  });
  it('the same file again stores nothing', async () => {
    const text =
      'time,air,rh\n2026-03-05T09:00:00Z,9,70\n2026-03-05T09:10:00Z,9.1,70\n2026-03-05T09:10:00Z,9.1,70\n';
    expect(await importCsv(text, 'twice')).toMatchObject({ rowsStored: 2, rowsKnown: 1 });
    expect(await importCsv(text, 'twice')).toMatchObject({ rowsStored: 0, rowsKnown: 3 });
  });
  it('without a heading that names time, air and humidity is unreadable', async () => {
    const job = await importCsv('a,b,c\n1,2,3\n', 'none');
    expect(job).toMatchObject({ state: 'failed', error: { code: 'import-unreadable' } });
  });
  // Two years of a reading every five minutes in `.ci/run`.
  const ROWS = process.env['LONG'] === '1' ? 200_000 : 50_000;
  it(`${ROWS} rows stream in with progress, and the server answers meanwhile`, async () => {
    const first = Date.parse('2024-01-01T00:00:00Z');
    const lines = ['time,air,rh'];
    for (let i = 0; i < ROWS; i++)
      lines.push(`${new Date(first + i * 300_000).toISOString()},${(8 + (i % 50) / 10).toFixed(1)},70`);
    const shares: number[] = [];
    const job = await importCsv(lines.join('\n'), 'big', (j) => shares.push(j.bytesRead / j.bytesTotal));
    expect(job).toMatchObject({ state: 'done', rowsStored: ROWS, rowsRefused: 0 });
    expect(shares.filter((s) => s > 0 && s < 1).length).toBeGreaterThan(2);
  }, 120_000);
});

describe('other formats', () => {
  it('readings as JSON, for a place that exists', async () => {
    const readings = [{ at: '2026-03-05T08:00:00Z', airC: 9, rhPct: 70 }];
    expect((await app.post('/api/import/readings?place=shed&probe=json', readings)).body.stored).toBe(1);
    const r = await app.post('/api/import/readings?place=attic', readings);
    expect(r.body.details.problems[0]).toMatchObject({
      field: 'place',
      accepts: 'one of booth, shed, leanto',
    });
  });
  it('a forecast as JSON and as CSV; a newer one replaces the hour', async () => {
    const hour = { at: '2026-03-06T08:00:00Z', airC: 5, rhPct: 90 };
    expect((await app.post('/api/import/forecast', [hour])).status).toBe(201);
    expect((await app.post('/api/import/forecast', [{ ...hour, airC: 6 }])).status).toBe(201);
    const { rows } = await app.db.query<{ air_c: number }>('select air_c from forecast_hour where at = $1', [
      hour.at,
    ]);
    expect(rows.map((x) => x.air_c)).toEqual([6]);
    expect((await app.post('/api/import/forecast', { hours: [] })).status).toBe(400);
  });
  it('a whole shop comes out as it went in', async () => {
    const out = await app.call('GET', '/api/export');
    expect(out.body.format).toBe('calvetta-shop/2');
    const other = await startTestApp({ shop: null });
    try {
      expect((await other.post('/api/import/shop', out.body)).status).toBe(201);
      const again = await other.call('GET', '/api/export');
      const still = (x: Record<string, unknown>) => ({ ...x, asOf: null, probes: null });
      expect(still(again.body)).toEqual(still(out.body));
    } finally {
      await other.close();
    }
  });
  it('an entry that points at a part or a person the file does not have is named, and nothing is stored', async () => {
    const file = smallShop();
    const other = await startTestApp({ shop: null });
    try {
      const lost = {
        ...file.facts[0]!,
        factId: '0b0e7c1a-5d0f-4a54-9b4e-7a4f5f1f2d11',
        partId: 'nowhere',
        personId: 'nobody',
      };
      const r = await other.post('/api/import/shop', { ...file, facts: [...file.facts, lost] });
      expect(r.status).toBe(400);
      expect(r.body.details.problems.map((p: { field: string; got: string }) => [p.field, p.got])).toEqual([
        [`facts.${file.facts.length}.partId`, 'nowhere'],
        [`facts.${file.facts.length}.personId`, 'nobody'],
      ]);
      expect((await other.call('GET', '/api/health')).body.workshop).toBeNull();
    } finally {
      await other.close();
    }
  });
  it('a shop file of the format before is read: what its surveys did not ask is not known', async () => {
    const now = smallShop();
    const since = [
      'kind',
      'soundShare',
      'plating',
      'alsoOn',
      'bareDays',
      'leaks',
      'seamsRinse',
      'tooBigFor',
      'fluids',
      'zones',
    ];
    const before = (body: Record<string, unknown>) => ({
      survey: Object.fromEntries(
        Object.entries(body['survey'] as object).filter(([k]) => !since.includes(k)),
      ),
    });
    const surveys = now.facts.filter((f) => f.kind === 'surveyed');
    expect(surveys.length).toBeGreaterThan(0);
    const old = {
      ...now,
      format: 'calvetta-shop/1',
      facts: surveys.map((f) => ({ ...f, body: before(f.body) })),
    };
    const other = await startTestApp({ shop: null });
    try {
      const r = await other.post('/api/import/shop', old);
      expect([r.status, r.body.code]).toEqual([201, undefined]);
      const part = (await other.call('GET', `/api/parts/${surveys[0]!.partId}`)).body;
      expect(part.survey).toMatchObject({ kind: 'unknown', leaks: 'unknown', fluids: [], zones: [] });
    } finally {
      await other.close();
    }
  });
  it('a shop file of another format, or whose facts name what it lacks, changes nothing', async () => {
    const other = await startTestApp({ shop: null });
    try {
      expect((await other.post('/api/import/shop', { ...smallShop(), format: 'other/9' })).status).toBe(400);
      const broken = smallShop();
      const stray = { ...broken, machines: [], facts: [{ kind: 'noted', partId: 'gone' }] };
      expect((await other.post('/api/import/shop', stray)).status).toBeGreaterThanOrEqual(400);
      expect((await other.call('GET', '/api/health')).body.workshop).toBeNull();
    } finally {
      await other.close();
    }
  });
});
