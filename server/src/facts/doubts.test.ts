import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { AS_OF_MS, factInput, startTestApp, steadyAir, type TestApp } from '../test/testApp.ts';
import { mixBody, postStock, receive, stockInput, tinOf } from '../test/shelf.ts';

/** What a log entry says is held against the part, the sheet and the clock, by the server too. */
const FRAME = 'quarry.main-frame-left';
const EPOXY = 'epoxy-primer.1';

let app: TestApp;
beforeAll(async () => {
  app = await startTestApp();
  await steadyAir(app, 'booth', 18, 50, 48);
  const begun = await app.post('/api/facts', {
    facts: [
      factInput('moved', FRAME, -40, { placeId: 'booth' }),
      factInput('stripped', FRAME, -1, { method: 'blast' }),
    ],
  });
  expect(begun.status).toBe(201);
});
afterAll(() => app.close());

const post = (...facts: unknown[]) => app.post('/api/facts', { facts });
const range = async (): Promise<{ dftMinUm: number; dftMaxUm: number }> =>
  (await app.call('GET', `/api/sheets/${EPOXY}`)).body;
const read = (hours: number, by: 'gauge' | 'comb') =>
  factInput('film-read', FRAME, hours, {
    scope: 'coat',
    by,
    readingsUm: [60, 62, 58],
    perSpot: 1,
    zero: 'smooth',
    profile: 'none',
    baseUm: null,
    rule: 'iso-19840',
    nominalUm: 60,
    minUm: null,
    maxUm: null,
  });

describe('the film of one coat, by its sheet', () => {
  it('thinner or thicker than the sheet allows asks for a reason, with the figure and the limit', async () => {
    const { dftMinUm, dftMaxUm } = await range();
    for (const [dftUm, why, limitUm] of [
      [dftMinUm - 5, 'film-thin', dftMinUm],
      [dftMaxUm + 40, 'film-thick', dftMaxUm],
    ] as const)
      expect(await post(factInput('coated', FRAME, 0, { sheetId: EPOXY, dftUm, tool: 'gun' }))).toMatchObject(
        {
          status: 422,
          body: { code: 'coat-refused', details: { why, dftUm, limitUm } },
        },
      );
    const said = { sheetId: EPOXY, dftUm: dftMaxUm + 40, tool: 'gun', reason: 'edges flooded on purpose' };
    expect((await post(factInput('coated', FRAME, 0, said))).status).toBe(201);
  });
});

describe('a gauge on a film that is wet', () => {
  it('is refused with when it may be used; a comb is not, and later neither is the gauge', async () => {
    app.clock.nowMs = AS_OF_MS + 0.3 * 3_600_000;
    expect(await post(read(0.2, 'gauge'))).toMatchObject({
      status: 400,
      body: { code: 'invalid-input', details: { problems: [{ field: 'body.by', code: 'film-wet' }] } },
    });
    app.clock.nowMs = AS_OF_MS + 30 * 3_600_000;
    expect((await post(read(28, 'gauge'))).status).toBe(201);
  });
});

describe('film readings with their places', () => {
  it('are kept as they came; fewer places than readings, or one off the face, is refused with what would do', async () => {
    const spots = [{ x: 0.1, y: 0.2 }, null, { x: 0.9, y: 0.8 }];
    const mapped = (over: object) => {
      const fact = read(28.5, 'gauge');
      return { ...fact, body: { ...fact.body, spots, ...over } };
    };
    const stored = await post(mapped({}));
    expect(stored.status).toBe(201);
    expect(stored.body.facts[0].body.spots).toEqual(spots);
    expect(await post(mapped({ spots: spots.slice(1) }))).toMatchObject({
      status: 400,
      body: {
        details: {
          problems: [{ field: 'body.spots', got: 2, accepts: expect.stringMatching(/^3, one for each/) }],
        },
      },
    });
    expect((await post(mapped({ spots: [{ x: 1.2, y: 0 }, null, null] }))).status).toBe(400);
  });
});

describe('hardener in a one-pack', () => {
  it('is refused: it spoils the paint', async () => {
    const sheets = (await app.call('GET', '/api/sheets')).body.sheets as {
      sheetId: string;
      productId: string;
      packs: number;
    }[];
    const enamel = sheets.find((s) => s.packs === 1)!;
    const { productId } = enamel;
    expect((await receive(app, tinOf('E1', { productId }))).status).toBe(201);
    expect((await receive(app, tinOf('E2', { productId, content: 'hardener' }))).status).toBe(201);
    const mixed = (over: object) =>
      postStock(
        app,
        stockInput('mixed', 1, mixBody('m1', { sheetId: enamel.sheetId, aTinId: 'E1', ...over })),
      );
    expect(await mixed({ bTinId: 'E2', bMl: 50 })).toMatchObject({
      status: 400,
      body: { details: { problems: [{ field: 'body.bMl', code: 'no-hardener' }] } },
    });
    expect((await mixed({ bTinId: null, bMl: 0 })).status).toBe(201);
  });
});
