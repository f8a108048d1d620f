import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { advise, familiesOf, FULL_SHOP, type RouteStep, type Survey, type Zone } from '@calvetta/core';
import { PLAIN } from '../../../core/src/route/test/given.ts';
import { factInput, startTestApp, type TestApp } from '../test/testApp.ts';

let app: TestApp;
beforeAll(async () => {
  app = await startTestApp();
  const parts = ['lead', 'looked', 'zoned', 'gated'].map((name) => ({
    partId: `pump.${name}`,
    name,
    assemblyName: 'Trials',
    substrate: 'steel-plate',
    massKg: 18,
    areaM2: 0.8,
    thicknessMm: 6,
    faces: 1,
  }));
  expect((await app.post('/api/machines/pump/parts', { parts })).status).toBe(201);
});
afterAll(() => app.close());

const survey: Survey = { ...PLAIN, finish: 'working' };
const adviceFor = (s: Survey) => advise({ survey: s, means: FULL_SHOP, families: familiesOf([]) });
const post = (...facts: unknown[]) => app.post('/api/facts', { facts });
const surveyed = (partId: string, s: Survey) => factInput('surveyed', partId, -1, { survey: s });
const set = (partId: string, steps: readonly RouteStep[], over: object = {}) =>
  factInput('route-set', partId, 0, { routeId: 'r', origin: 'advised', steps, ...over });
const partOf = async (partId: string) => (await app.call('GET', `/api/parts/${partId}`)).body;

describe('what is a matter of life and limb', () => {
  // Dry dust of lead paint: OSHA 29 CFR 1926.62 and the like forbid it uncontained (quoted from memory).
  const leaded: Survey = { ...survey, coating: 'partly', coatKind: 'one-pack', legacy: 'lead' };
  const dry = adviceFor({ ...leaded, legacy: 'none' }).routes.find((r) =>
    r.choice.acts.some((a) => a === 'disc' || a === 'wire-wheel' || a === 'rotary-bristle'),
  )!;
  it('is refused with a reason as without one, and names the rule', async () => {
    expect(dry).toBeDefined();
    for (const over of [{}, { origin: 'overridden', reason: 'we wear masks' }]) {
      const r = await post(surveyed('pump.lead', leaded), set('pump.lead', dry.steps, over));
      expect(r).toMatchObject({ status: 422, body: { code: 'route-unsafe' } });
      expect(JSON.stringify(r.body.details.refusals)).toContain('strip.legacy');
    }
    expect((await partOf('pump.lead')).routeSet).toBeNull();
  });
  it('the route shown for it goes in', async () => {
    const own = adviceFor(leaded).routes[0]!;
    expect((await post(surveyed('pump.lead', leaded), set('pump.lead', own.steps))).status).toBe(201);
  });
});

describe('a look at the bare metal', () => {
  it('is kept, shown with the part, and what is seen holds against a route set after it', async () => {
    const rusty: Survey = { ...survey, rust: 'C', category: 'C4' };
    const route = adviceFor(rusty).routes.find((r) => r.way === 'hand')!;
    expect((await post(surveyed('pump.looked', rusty), set('pump.looked', route.steps))).status).toBe(201);
    expect((await partOf('pump.looked')).seen).toBeNull();
    const seen = { rust: 'pits', paint: 'patches', water: 'breaks' };
    const r = await post(
      factInput('stripped', 'pump.looked', -0.5, { method: 'wire-wheel' }),
      factInput('inspected', 'pump.looked', -0.4, { seen }),
    );
    expect([r.status, r.body]).toMatchObject([201, {}]);
    expect((await partOf('pump.looked')).seen).toEqual(seen);
    app.clock.nowMs += 3_600_000;
    const again = await post(
      factInput('route-set', 'pump.looked', 0.5, { routeId: 'r', origin: 'edited', steps: route.steps }),
    );
    expect(again).toMatchObject({ status: 422, body: { code: 'route-refused' } });
    expect(JSON.stringify(again.body.details.refusals)).toContain('surface.');
  });
  it('in words nobody knows is refused at the field', async () => {
    const seen = { rust: 'a bit', paint: 'none', water: 'sheets' };
    const r = await post(factInput('inspected', 'pump.looked', 0, { seen }));
    expect(r.body.details.problems[0]).toMatchObject({ field: 'body.seen.rust', got: 'a bit' });
  });
});

describe('zones and looks', () => {
  it('the steps of a hot zone come back with it, and go out with the shop', async () => {
    const hot: Zone = {
      zoneId: 'exhaust',
      name: 'Exhaust',
      kind: 'outside',
      heatC: 450,
      fluids: [],
      overrides: {},
    };
    const block: Survey = { ...survey, kind: 'engine-casting', substrate: 'grey-iron', zones: [hot] };
    const advice = adviceFor(block);
    const steps = advice.routes[0]!.steps;
    expect(steps.some((s) => s.zoneId === 'exhaust' && s.familyId?.startsWith('heat'))).toBe(true);
    expect((await post(surveyed('pump.zoned', block), set('pump.zoned', steps))).status).toBe(201);
    const part = await partOf('pump.zoned');
    expect(part.survey.zones).toEqual([hot]);
    expect(part.route.map((s: { zoneId?: string }) => s.zoneId ?? null)).toEqual(
      steps.map((s) => s.zoneId ?? null),
    );
    const out = (await app.call('GET', '/api/export')).body.facts as {
      partId: string;
      kind: string;
      body: any;
    }[];
    expect(out.find((f) => f.partId === 'pump.zoned' && f.kind === 'route-set')!.body.steps).toEqual(steps);
  });
  it('a route that rests on a look goes in with it; without the look it is refused', async () => {
    const open: Survey = { ...survey, coating: 'sound', coatKind: 'two-pack', legacy: 'unknown' };
    const route = adviceFor(open).routes.find((r) => r.steps.some((s) => s.gate))!;
    expect(route).toBeDefined();
    expect((await post(surveyed('pump.gated', open), set('pump.gated', route.steps))).status).toBe(201);
    const shown = (await partOf('pump.gated')).route.find((s: { gate?: unknown }) => s.gate);
    expect(shown.gate).toEqual(route.steps.find((s) => s.gate)!.gate);
    const blind = await post(
      set(
        'pump.gated',
        route.steps.filter((s) => !s.gate),
      ),
    );
    expect(blind.status).toBe(422);
  });
});
