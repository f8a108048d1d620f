import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { factInput, startTestApp, steadyAir, type TestApp } from '../test/testApp.ts';

const [FRAME, CAB, BLOCK] = ['quarry.main-frame-left', 'quarry.cab-side-left', 'pump.cylinder-block'];
const DAY_H = 24;
/** Two years and some days ago it was warm for a month; since then nobody measured until it was cold this winter. */
const THEN_H = -760 * DAY_H;

let app: TestApp;
beforeAll(async () => {
  app = await startTestApp();
  const at = (hours: number): string => new Date(app.clock.nowMs + hours * 3_600_000).toISOString();
  const series = (fromH: number, toH: number, stepH: number, airC: number) =>
    Array.from({ length: Math.floor((toH - fromH) / stepH) }, (_, i) => ({
      at: at(fromH + i * stepH),
      airC: airC + (i % 2) / 10,
      rhPct: 50,
    }));
  const warm = series(THEN_H - 48, THEN_H + 40 * DAY_H, 1, 20);
  const cold = series(-10 * DAY_H, 0, 0.5, 3);
  for (const place of ['booth', 'shed'])
    for (const readings of [warm.slice(0, 500), warm.slice(500), cold])
      expect(
        (await app.post(`/api/import/readings?place=${place}&probe=t-${place}`, { readings })).status,
      ).toBe(201);
  const lay = (part: string, hours: number, sheetId: string, dftUm: number) =>
    factInput('coated', part, hours, { sheetId, dftUm, tool: 'gun', reason: 'as the old book has it' });
  const facts = [
    ...[FRAME, CAB, BLOCK].map((p) => factInput('moved', p, THEN_H - 24, { placeId: 'booth' })),
    ...[FRAME, CAB, BLOCK].map((p) => factInput('stripped', p, THEN_H, { method: 'blast' })),
    lay(FRAME, THEN_H + 1, 'epoxy-primer.1', 60),
    lay(CAB, THEN_H + 1, 'zp-alkyd.1', 45),
    factInput('moved', FRAME, -300 * DAY_H, { placeId: 'shed' }),
  ];
  expect((await app.post('/api/facts', { facts })).status).toBe(201);
});
afterAll(() => app.close());

/** Hours from the coat to each of its edges. */
async function edgesOf(part: string) {
  const { body } = await app.call('GET', `/api/parts/${part}`);
  const stages = body.faces[0].stages as {
    stage: string;
    edge: { nominalMs: number | null; worstMs: number | null; isUnknown: boolean };
  }[];
  const t0 = body.card.lastCoat.t0Ms as number;
  return Object.fromEntries(
    stages.map(({ stage, edge }) => [
      stage,
      { ...edge, hours: edge.nominalMs === null ? null : (edge.nominalMs - t0) / 3_600_000 },
    ]),
  );
}

describe('a film of two years ago', () => {
  // Sheets' own points at 20 °C: what a coat laid in a steady 20 °C must say, however long ago it was (± the tenth of a kelvin).
  it.each([
    [FRAME, 'epoxy-primer.1'],
    [CAB, 'zp-alkyd.1'],
  ])('%s was cured by the air of then, not by this winter’s', async (part, sheetId) => {
    const sheet = (await app.call('GET', `/api/sheets/${sheetId}`)).body as {
      stages: Record<string, { points: { tempC: number; hours: number }[] }>;
    };
    const edges = await edgesOf(part);
    for (const stage of ['touch', 'handle', 'service']) {
      const at20 = sheet.stages[stage]?.points.find((p) => p.tempC === 20)?.hours;
      if (at20 === undefined) continue;
      expect(edges[stage]!.isUnknown).toBe(false);
      expect(edges[stage]!.hours! / at20).toBeGreaterThan(0.9);
      expect(edges[stage]!.hours! / at20).toBeLessThan(1.1);
      expect(edges[stage]!.worstMs).toBeLessThan(app.clock.nowMs);
    }
    expect(edges['service']).toBeDefined();
  });
  it('metal blasted then and left bare is out since then', async () => {
    const { body } = await app.call('GET', `/api/parts/${BLOCK}`);
    expect(body.card.headline).toBe('out');
    expect(body.card.bare.edge.worstMs - body.card.bare.sinceMs).toBeLessThan(9 * 3_600_000);
  });
  it('readings of then that come in late change what is said of then', async () => {
    const before = await edgesOf(CAB);
    // The book of the boiler house turns up: the booth was at 30 °C in the first night.
    const readings = Array.from({ length: 12 }, (_, i) => ({
      at: new Date(app.clock.nowMs + (THEN_H - 1 + i) * 3_600_000 - 60_000).toISOString(),
      airC: 30 + (i % 2) / 10,
      rhPct: 40,
    }));
    expect((await app.post('/api/import/readings?place=booth&probe=a-book', { readings })).status).toBe(201);
    const after = await edgesOf(CAB);
    expect(after['service']!.hours).toBeLessThan(before['service']!.hours!);
  });
});

it('a part at rest shows no air that has gone stale meanwhile', async () => {
  const other = await startTestApp();
  try {
    await steadyAir(other, 'booth', 18, 50, 24);
    await other.post('/api/facts', { facts: [factInput('moved', BLOCK, -40, { placeId: 'booth' })] });
    const part = async () => (await other.call('GET', `/api/parts/${BLOCK}`)).body;
    expect((await part()).card).toMatchObject({ headline: 'waiting', marginK: expect.any(Number) });
    // Minute by minute, as pages ask; the last reading is thirty minutes old at the end, and unknown to a gate from then on.
    for (let minute = 1; minute <= 32; minute++) {
      other.clock.nowMs += 60_000;
      for (let i = 0; i < 50 && (await part()).nowMs < other.clock.nowMs; i++)
        await new Promise((done) => setTimeout(done, 20));
    }
    expect((await part()).card.marginK).toBeNull();
  } finally {
    await other.close();
  }
}, 60_000);
