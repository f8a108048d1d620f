import { afterAll, beforeAll, expect, it } from '@jest/globals';
import type { PlaceClimate } from '@calvetta/contract';
import { startTestApp, type TestApp } from '../test/testApp.ts';

let app: TestApp;
beforeAll(async () => {
  app = await startTestApp();
  const place = { placeId: 'quay', name: 'Quay', exposure: 'outdoors', altitudeM: 2, setpointC: null };
  expect((await app.post('/api/places', place)).status).toBe(201);
});
afterAll(() => app.close());

const climate = async (placeId: string): Promise<PlaceClimate> =>
  (await app.call('GET', `/api/places/${placeId}/climate`)).body;
/** Readings at an instant, as a probe would have left them. */
const read = (at: string, airC: number, rhPct: number) =>
  app.db.query(
    `insert into reading (workshop_id, probe_id, at, place_id, air_c, rh_pct) values ('saltmarsh', 'probe-shed', $1, 'quay', $2, $3)`,
    [at, airC, rhPct],
  );

it('months are means of hours, however often an hour was read; days are counted where the shop is', async () => {
  // Sixty readings in one warm hour weigh as much as one in a cold hour.
  for (let m = 0; m < 60; m++) await read(`2026-01-10T12:${String(m).padStart(2, '0')}:00Z`, 20, 50);
  await read('2026-01-11T03:00:00Z', 0, 90);
  // 23:30 on 31 July in London is already August there, and half past ten in the evening by UTC.
  await read('2026-07-31T23:30:00Z', 15, 70);
  const { isOutdoors, months } = await climate('quay');
  expect(isOutdoors).toBe(true);
  expect(months).toEqual([
    { month: '2026-01', days: 2, meanC: 10, meanRhPct: 70 },
    { month: '2026-08', days: 1, meanC: 15, meanRhPct: 70 },
  ]);
});
it('indoors there is none, and a place that is not there is said so', async () => {
  expect(await climate('booth')).toEqual({ isOutdoors: false, months: [] });
  expect((await app.call('GET', '/api/places/none/climate')).status).toBe(404);
});
