import { expect, it } from '@jest/globals';
import { seededRandom, type Random } from '../base/random.ts';
import { must } from '../base/result.ts';
import type { SurfaceStretch } from '../part/thermal/track.ts';
import { fitCurve } from '../products/curve.ts';
import { EXAMPLE_POINTS, T0 } from '../test/build.ts';
import { crossing, type ClockInput } from './clock.ts';
import { maxRateTable, minRateTable } from './rate.ts';

const H = 3_600_000;
const curve = must(fitCurve({ points: EXAMPLE_POINTS }));
const tables = [minRateTable(curve, null), minRateTable(curve, 12), maxRateTable(curve)];
const pick = <T>(random: Random, list: readonly T[]): T => list[Math.floor(random() * list.length)]!;

/** A made-up week: stretches of minutes to hours, some gaps of the record, some temperatures the sheet says nothing about. */
function week(random: Random): SurfaceStretch[] {
  const out: SurfaceStretch[] = [];
  let [atMs, tempC] = [T0 - 10 * H, 15 + 10 * random()];
  for (let i = 0; i < 60 + random() * 500; i++) {
    const toMs = atMs + 60_000 + random() * 4 * H;
    const toC = random() < 0.02 ? 70 * random() - 10 : tempC + 4 * random() - 2;
    const air = { airFromC: tempC + random(), airToC: toC + random() };
    out.push({
      fromMs: atMs,
      toMs,
      fromC: tempC,
      toC,
      ...air,
      fromVapourHpa: 9,
      toVapourHpa: 9,
      source: pick(random, ['lag', 'forecast', 'assumed'] as const),
    });
    tempC = Math.min(35, Math.max(2, toC));
    atMs = random() < 0.01 ? toMs + 2 * H : toMs;
  }
  return out;
}

it('looked up in sums a clock says what it says walked stretch by stretch, over 3 000 made-up films', () => {
  const random = seededRandom(11);
  let crossed = 0;
  let unknown = 0;
  for (let n = 0; n < 300; n++) {
    const track = week(random);
    for (let k = 0; k < 10; k++) {
      const input: ClockInput = {
        table: pick(random, tables),
        track,
        t0Ms: T0 + (random() * 150 - 15) * H,
        lean: pick(random, ['nominal', 'cold', 'warm'] as const),
        slowBy: 1 + random(),
        speedBy: 0.5 + random(),
        tests: [],
      };
      const target = 0.2 + 3 * random();
      // A test from before the film says nothing about it, and a film that was tested is walked.
      const walked = crossing({ ...input, tests: [{ atMs: input.t0Ms - 1, reached: true }] }, target);
      const got = crossing(input, target);
      expect([got.isUnknown, got.atMs === null]).toEqual([walked.isUnknown, walked.atMs === null]);
      expect(got.progress).toBeCloseTo(walked.progress, 9);
      if (walked.atMs !== null) {
        expect(Math.abs(got.atMs! - walked.atMs)).toBeLessThanOrEqual(1);
        crossed += 1;
      } else if (walked.isUnknown) unknown += 1;
    }
  }
  // The made-up weeks hold enough of each.
  expect(crossed).toBeGreaterThan(1000);
  expect(unknown).toBeGreaterThan(200);
});
