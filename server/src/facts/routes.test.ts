import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { advise, familiesOf, FULL_SHOP, type RouteStep, type Survey } from '@calvetta/core';
import { PLAIN } from '../../../core/src/route/test/given.ts';
import { AS_OF_MS, factInput, startTestApp, steadyAir, type TestApp } from '../test/testApp.ts';

const FRAME = 'quarry.main-frame-left';
let app: TestApp;
beforeAll(async () => {
  app = await startTestApp();
  await steadyAir(app, 'booth', 18, 50, 24);
  await app.post('/api/facts', { facts: [factInput('moved', FRAME, -20, { placeId: 'booth' })] });
});
afterAll(() => app.close());

const survey: Survey = { ...PLAIN, finish: 'working' };
const advised = (s: Survey) => advise({ survey: s, means: FULL_SHOP, families: familiesOf([]) }).routes[0]!;
const set = (steps: readonly RouteStep[], over: object = {}) =>
  factInput('route-set', FRAME, 0, { routeId: 'r', origin: 'advised', steps, ...over });
const post = (...facts: unknown[]) => app.post('/api/facts', { facts });

describe('a route is set', () => {
  it('not without a survey', async () => {
    const bare = {
      partId: 'quarry.bare',
      name: 'Bare',
      assemblyName: 'Not surveyed',
      substrate: 'steel-plate',
    };
    const parts = [{ ...bare, massKg: 1, areaM2: null, thicknessMm: 5, faces: 1 }];
    expect((await app.post('/api/machines/quarry/parts', { parts })).status).toBe(201);
    const r = await post({ ...set(advised(survey).steps), partId: 'quarry.bare' });
    expect(r).toMatchObject({ status: 400, body: { details: { problems: [{ code: 'no-survey' }] } } });
  });
  it('with its survey, and then it drives the Bench: next coat, steps, specified film', async () => {
    const route = advised(survey);
    const r = await post(factInput('surveyed', FRAME, 0, { survey }), set(route.steps));
    expect(r.status).toBe(201);
    const part = (await app.call('GET', `/api/parts/${FRAME}`)).body;
    expect(part.survey).toEqual(survey);
    expect(part.routeSet).toMatchObject({ origin: 'advised' });
    expect(part.route.map((s: { kind: string }) => s.kind)).toEqual(route.steps.map((s) => s.kind));
    const first = route.choice.layers[0]!;
    expect(part.card.next.sheetId.startsWith(`${first.familyId}.`)).toBe(true);
    expect(part.card.specifiedUm).toBeCloseTo(route.figures.filmUm, 6);
  });
  it('after a coat was laid, a new route is for what remains', async () => {
    await post(factInput('stripped', FRAME, 0.1, { method: 'blast' }));
    app.clock.nowMs += 3_600_000;
    const next = (await app.call('GET', `/api/parts/${FRAME}`)).body.card.next;
    const coat = factInput('coated', FRAME, 0.5, {
      sheetId: next.sheetId,
      dftUm: next.dftUm,
      reason: 'trial',
    });
    expect((await post(coat)).status).toBe(201);
    const route = advised(survey);
    const finish = route.steps.filter((s) => s.kind === 'topcoat');
    const rest = factInput('route-set', FRAME, 0.9, {
      routeId: 'rest',
      origin: 'overridden',
      reason: 'one primer is enough here',
      steps: finish,
    });
    expect((await post(rest)).status).toBe(201);
    const part = (await app.call('GET', `/api/parts/${FRAME}`)).body;
    expect(part.card.next.sheetId.startsWith(`${finish[0]!.familyId}.`)).toBe(true);
    expect(part.card.layers.filter((l: { isPlanned: boolean }) => !l.isPlanned).length).toBe(1);
  });
  it('that a rule refuses only with a reason, which stays in the history', async () => {
    const steps = advised(survey).steps.filter((s) => s.kind !== 'degrease');
    const refused = await post(set(steps, { origin: 'edited' }));
    expect(refused).toMatchObject({ status: 422, body: { code: 'route-refused' } });
    expect(refused.body.details.refusals.map((x: { ruleId: string }) => x.ruleId)).toContain(
      'prep.degrease-first',
    );
    const kept = await post(set(steps, { origin: 'overridden', reason: 'came washed from the contractor' }));
    expect(kept.status).toBe(201);
    const part = (await app.call('GET', `/api/parts/${FRAME}`)).body;
    const reasons = part.facts.map((f: { body: { reason?: string } }) => f.body.reason);
    expect(reasons).toContain('came washed from the contractor');
  });
  it('a product nobody knows, a step of no kind, a survey with a wrong answer: refused at the field', async () => {
    const steps = advised(survey).steps;
    const stranger = steps.map((s) => (s.familyId === undefined ? s : { ...s, familyId: 'miracle-coat' }));
    expect((await post(set(stranger))).body).toMatchObject({
      code: 'unknown-reference',
      details: { families: ['miracle-coat'] },
    });
    const odd = await post(set([{ ...steps[0]!, kind: 'wish' as never }]));
    expect(odd.body.details.problems[0].field).toBe('body.steps.0.kind');
    const wrong = await post(factInput('surveyed', FRAME, 0, { survey: { ...survey, thicknessMm: 0 } }));
    expect(wrong.body.details.problems[0]).toMatchObject({ field: 'body.survey.thicknessMm', got: 0 });
  });
});

describe('house practice', () => {
  it('is kept with a version: the second of two edits sees both', async () => {
    const { means } = (await app.call('GET', '/api/shop')).body;
    const patch = {
      version: means.version,
      facilities: ['gun'],
      schools: { ...means.schools, etch: 'harden-scuff' },
    };
    expect((await app.call('PATCH', '/api/shop/means', patch)).status).toBe(200);
    const late = await app.call('PATCH', '/api/shop/means', { ...patch, facilities: ['booth'] });
    expect(late).toMatchObject({
      status: 409,
      body: { details: { stored: { facilities: ['gun'] }, sent: { facilities: ['booth'] } } },
    });
    expect((await app.call('PATCH', '/api/shop/means', { ...patch, facilities: ['laser'] })).status).toBe(
      400,
    );
    expect((await app.call('GET', '/api/export')).body.workshop.schools.etch).toBe('harden-scuff');
  });
});

describe('a product put away', () => {
  const put = async (putAway: readonly string[]): Promise<void> => {
    const { means } = (await app.call('GET', '/api/shop')).body;
    const { facilities, schools } = FULL_SHOP;
    const patch = { version: means.version, facilities, schools, putAway };
    expect((await app.call('PATCH', '/api/shop/means', patch)).status).toBe(200);
  };
  it('is in no new route until it is taken back; other changes of the practice leave it away', async () => {
    const { steps } = advised(survey);
    const { familyId } = steps.find((s) => s.familyId !== undefined)!;
    await put([familyId!]);
    const { means } = (await app.call('GET', '/api/shop')).body;
    const { version, facilities, schools } = means;
    await app.call('PATCH', '/api/shop/means', { version, facilities, schools });
    const refused = await post(set(steps));
    expect(refused.status).toBe(422);
    expect(refused.body.details.refusals.map((r: { ruleId: string }) => r.ruleId)).toContain('work.put-away');
    expect((await app.call('GET', '/api/export')).body.workshop.putAway).toEqual([familyId]);
    await put([]);
    const after = await post(set(steps));
    expect(after.status).toBe(201);
  });
  it('what is no id of a product is refused', async () => {
    const { version, facilities, schools } = (await app.call('GET', '/api/shop')).body.means;
    const bad = { version, facilities, schools, putAway: ['no such', 'x'.repeat(90)] };
    const r = await app.call('PATCH', '/api/shop/means', bad);
    expect(r.body.details.problems.map((p: { field: string }) => p.field)).toContain('putAway.0');
  });
});

describe('parts from a list', () => {
  const part = (i: number) => ({
    partId: `quarry.new-${i}`,
    name: `Bracket ${i}`,
    assemblyName: 'Small parts',
    substrate: 'steel-plate',
    massKg: 1,
    areaM2: null,
    thicknessMm: 5,
    faces: 1,
  });
  it('forty are made at once, with their assembly; sent again none is made twice', async () => {
    const parts = Array.from({ length: 40 }, (_, i) => part(i));
    expect((await app.post('/api/machines/quarry/parts', { parts })).body).toEqual({ made: 40, known: 0 });
    expect((await app.post('/api/machines/quarry/parts', { parts })).body).toEqual({ made: 0, known: 40 });
    const machines = (await app.call('GET', '/api/machines')).body.machines;
    const quarry = machines.find((m: { machineId: string }) => m.machineId === 'quarry');
    expect(quarry.assemblies.find((a: { name: string }) => a.name === 'Small parts').parts.length).toBe(40);
  });
  it('a machine that is not there, a part of 0 kg', async () => {
    expect((await app.post('/api/machines/none/parts', { parts: [part(1)] })).status).toBe(404);
    const r = await app.post('/api/machines/quarry/parts', { parts: [{ ...part(99), massKg: 0 }] });
    expect(r.body.details.problems[0].field).toBe('parts.0.massKg');
  });
});

describe('a sheet of the shop’s own', () => {
  const own = async () => ({ ...(await app.call('GET', '/api/sheets/epoxy-primer.1')).body });
  it('goes out as JSON, comes in as a new revision, and takes the family’s place', async () => {
    const sheet = await own();
    const mine = {
      ...sheet,
      sheetId: 'epoxy-primer.2',
      revision: 2,
      dftUm: 75,
      source: 'the maker’s sheet of March',
    };
    expect((await app.post('/api/sheets', mine)).status).toBe(201);
    expect((await app.post('/api/sheets', mine)).status).toBe(200);
    expect((await app.call('GET', '/api/sheets/epoxy-primer.2')).body).toEqual(mine);
  });
  it('a known sheet with other contents shows both; an older revision, a wrong field and slower-when-warm are refused', async () => {
    const sheet = await own();
    expect(await app.post('/api/sheets', { ...sheet, dftUm: 61 })).toMatchObject({
      status: 409,
      body: { code: 'version-conflict' },
    });
    expect(
      (await app.post('/api/sheets', { ...sheet, sheetId: 'x.1' })).body.details.problems[0],
    ).toMatchObject({ field: 'revision', accepts: 'above 2' });
    const odd = { ...sheet, sheetId: 'epoxy-primer.3', revision: 3 };
    expect((await app.post('/api/sheets', { ...odd, vsPct: 140 })).body.details.problems[0].field).toBe(
      'vsPct',
    );
    const backwards = {
      ...odd,
      stages: {
        ...odd.stages,
        minRecoat: {
          points: [
            { tempC: 10, hours: 2 },
            { tempC: 20, hours: 5 },
          ],
        },
      },
    };
    expect((await app.post('/api/sheets', backwards)).body.details.problems[0].field).toBe(
      'stages.minRecoat',
    );
  });
});

describe('a primer held while the colour is undecided', () => {
  /** By what the shop has at this point of the file. */
  const here = async (s: Survey) =>
    advise({ survey: s, means: (await app.call('GET', '/api/shop')).body.means, families: familiesOf([]) })
      .routes[0]!;
  const SIDE = 'quarry.cab-side-left';
  it('drives the Bench: primer, then its own window and the act to decide; another practice is set by the part', async () => {
    await steadyAir(app, 'booth', 18, 50, 24);
    const held: Survey = { ...survey, colourUndecided: true, substrate: 'steel-sheet', thicknessMm: 3 };
    const route = await here(held);
    expect(route.steps.at(-2)).toMatchObject({ kind: 'topcoat', what: 'open', coats: 0 });
    const on = (kind: Parameters<typeof factInput>[0], hours: number, body: Record<string, unknown>) =>
      factInput(kind, SIDE, hours, body);
    const now = (app.clock.nowMs - AS_OF_MS) / 3_600_000;
    const r = await post(
      on('moved', now - 20, { placeId: 'booth' }),
      on('surveyed', now, { survey: held }),
      on('route-set', now, { routeId: 'held', origin: 'advised', steps: route.steps }),
      on('stripped', now, { method: 'blast' }),
    );
    expect([r.status, r.body]).toMatchObject([201, {}]);
    const cardNow = async () => (await app.call('GET', `/api/parts/${SIDE}`)).body.card;
    for (
      let next = (await cardNow()).next, i = 0;
      next !== null && i < 6;
      next = (await cardNow()).next, i++
    ) {
      const hours = (app.clock.nowMs - AS_OF_MS) / 3_600_000;
      const coat = on('coated', hours, { sheetId: next.sheetId, dftUm: next.dftUm, reason: 'trial' });
      expect((await post(coat)).status).toBe(201);
      app.clock.nowMs += 24 * 3_600_000;
      await steadyAir(app, 'booth', 18, 50, 24);
    }
    const card = await cardNow();
    expect(card.next).toBeNull();
    expect(['open', 'closing']).toContain(card.headline);
    expect(card.act.code).toBe('decide-colour');
    // The other practice, for this part alone: the whole system.
    const other = await here({ ...held, practice: { undecided: 'whole-system' } });
    expect(other.steps.some((s) => s.what === 'open')).toBe(false);
  });
  it('a route against the part’s own practice is refused by its rule', async () => {
    const held: Survey = { ...survey, colourUndecided: true };
    const whole = await here({ ...held, practice: { undecided: 'whole-system' } });
    const r = await post(factInput('surveyed', FRAME, 1, { survey: held }), set(whole.steps));
    expect(r).toMatchObject({ status: 422, body: { code: 'route-refused' } });
    expect(JSON.stringify(r.body.details.refusals)).toContain('finish.hold-school');
  });
});
