import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { seededRandom } from '../base/random.ts';
import { must } from '../base/result.ts';
import { fitCurve, maxStageHoursAt, stageHoursAt } from '../products/curve.ts';
import { EXAMPLE_POINTS, hoursFromT0, sheet, span, steady, T0 } from '../test/build.ts';
import { sliceSurface, type SurfaceStretch } from '../part/thermal/track.ts';
import { crossing, progressAt, type ClockInput } from './clock.ts';
import { scaledE1 } from './expint.ts';
import { maxRateTable, meanRate, minRateTable } from './rate.ts';

const H = 3_600_000;
const near = (got: number, want: number, tolerance: number): void =>
  expect(Math.abs(got - want)).toBeLessThanOrEqual(tolerance);
const example = must(fitCurve({ points: EXAMPLE_POINTS }));
const table = minRateTable(example, null);
const clock = (track: readonly SurfaceStretch[], over: Partial<ClockInput> = {}): ClockInput => ({
  table,
  track,
  t0Ms: T0,
  lean: 'nominal',
  slowBy: 1,
  speedBy: 1,
  tests: [],
  ...over,
});

describe('a sheet’s times at temperatures', () => {
  // docs/clocks.md 1, worked example, recomputed independently there.
  it.each([
    [10, 16],
    [20, 7],
    [30, 3.5],
    [15, 10.507],
    [25, 4.921],
    [18, 8.221],
    [8, 19.01],
  ])('%d °C → %d h', (t, h) => near(stageHoursAt(example, t)!.hours, h, 0.0006));
  it.each([
    [5, 23.64],
    [10, 15.53],
    [15, 10.35],
    [30, 3.325],
  ])('one point 7 h at 20 °C, E 55: %d °C → %d h', (t, h) => {
    near(
      stageHoursAt(must(fitCurve({ points: [{ tempC: 20, hours: 7 }], activationKjMol: 55 })), t)!.hours,
      h,
      0.006,
    );
  });
  // ASTM C1074 equivalent age, Q = 5000 K, Ts = 293.15 K (published form; values of docs/calculations.md C).
  it.each([
    [5, 0.3986],
    [10, 0.5475],
    [15, 0.7438],
    [30, 1.7553],
  ])('ASTM C1074 at %d °C → %d', (t, f) => {
    // Q = E/R: 5000 K is 41.57 kJ/mol. How much faster a sheet of that energy dries than at 20 °C.
    const curve = must(fitCurve({ points: [{ tempC: 20, hours: 7 }], activationKjMol: 5 * 8.314462618 }));
    near(stageHoursAt(curve, 20)!.hours / stageHoursAt(curve, t)!.hours, f, 0.00006);
  });
  it('is unknown more than 10 K beyond the list, and flags what it extrapolates', () => {
    expect(stageHoursAt(example, 8)!.basis).toBe('extrapolated');
    expect(stageHoursAt(example, -0.01)).toBeNull();
    expect(stageHoursAt(example, 40.01)).toBeNull();
  });
  it('a max-type stage takes no credit for cold and extrapolates heat in full', () => {
    near(maxStageHoursAt(example, -5).hours, 16, 1e-9);
    expect(maxStageHoursAt(example, 50)).toMatchObject({ basis: 'extrapolated' });
    expect(maxStageHoursAt(example, 50).hours).toBeLessThan(1.2);
  });
  it('refuses a sheet that gets slower as it warms, repeats a temperature, or says nothing', () => {
    expect(
      fitCurve({
        points: [
          { tempC: 10, hours: 4 },
          { tempC: 20, hours: 5 },
        ],
      }),
    ).toMatchObject({ ok: false, error: { code: 'contradiction' } });
    expect(
      fitCurve({
        points: [
          { tempC: 10, hours: 4 },
          { tempC: 10, hours: 5 },
        ],
      }).ok,
    ).toBe(false);
    expect(fitCurve({ points: [] }).ok).toBe(false);
    expect(fitCurve({ points: [{ tempC: 20, hours: 7 }] }).ok).toBe(false);
  });
});

describe('the exact integral', () => {
  // Abramowitz & Stegun table 5.2: x·e^x·E1(x) at 10 is 0.9156333394, at 20 0.9543709099; table 5.1 E1(1) 0.2193839344 (from memory).
  it('exponential integral', () => {
    near(scaledE1(10), 0.9156333394, 1e-9);
    near(scaledE1(20), 0.9543709099, 1e-9);
    near(scaledE1(1) / Math.E, 0.2193839344, 1e-9);
  });
  it('equals a slow Simpson sum over a linear ramp, across sheet points', () => {
    let sum = 0;
    const n = 20_000;
    for (let i = 0; i <= n; i++)
      sum +=
        (1 / stageHoursAt(example, 2 + (36 * i) / n)!.hours) * (i === 0 || i === n ? 1 : i % 2 === 1 ? 4 : 2);
    near(meanRate(table, 2, 38), sum / 3 / n, 1e-7);
  });
  it('rate at a steady temperature is one over the sheet’s time', () =>
    near(meanRate(table, 15, 15), 1 / 10.507, 1e-5));
});

describe('progress', () => {
  it('reaches 1 in the sheet’s time at a steady temperature', () =>
    near(hoursFromT0(crossing(clock(steady(18)), 1).atMs), 8.221, 0.001));
  it('holds below the cure minimum and goes on after', () => {
    const cold = minRateTable(example, 5);
    const track = [span(0, 3.5, 20), span(3.5, 13.5, 2), span(13.5, 40, 20)];
    near(hoursFromT0(crossing(clock(track, { table: cold }), 1).atMs), 17, 1e-3);
  });
  it('splits where the ramp crosses the minimum', () => {
    const cold = minRateTable(example, 5);
    const whole = meanRate(cold, 0, 10);
    near(whole, (meanRate(cold, 5, 10) * 5) / 10, 1e-12);
  });
  it('is unknown in a gap of the record, or off the sheet', () => {
    expect(crossing(clock([span(0, 2, 20), span(5, 20, 20)]), 1)).toMatchObject({
      atMs: null,
      isUnknown: true,
    });
    expect(crossing(clock(steady(-15)), 1).isUnknown).toBe(true);
    expect(progressAt(clock([span(0, 2, 20)]), T0 + 5 * H)).toBeNull();
  });
  it('a person’s test moves it either way', () => {
    near(
      hoursFromT0(crossing(clock(steady(20), { tests: [{ atMs: T0 + 4 * H, reached: true }] }), 1).atMs),
      4,
      1e-6,
    );
    near(
      hoursFromT0(crossing(clock(steady(20), { tests: [{ atMs: T0 + 6.9 * H, reached: false }] }), 1).atMs),
      6.9 + 0.7,
      1e-3,
    );
  });

  const random = seededRandom(7);
  const ramps = (n: number): SurfaceStretch[] => {
    const out: SurfaceStretch[] = [];
    let c = 12;
    for (let i = 0; i < n; i++) {
      const next = Math.min(34, Math.max(1, c + (random() - 0.5) * 8));
      out.push(span(i, i + 1, c, next));
      c = next;
    }
    return out;
  };
  it('law: splitting a span changes nothing', () => {
    for (let k = 0; k < 60; k++) {
      const track = ramps(48);
      const split = track.flatMap((s) => {
        const m = s.fromMs + Math.round(random() * 3_500_000) + 1;
        return [sliceSurface(s, s.fromMs, m), sliceSurface(s, m, s.toMs)];
      });
      const a = progressAt(clock(track), T0 + 40 * H)!;
      near(progressAt(clock(split), T0 + 40 * H)!, a, 1e-9 * a + 1e-12);
    }
  });
  it('law: warmer never delays a min-type stage, nor a max-type one', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 1, max: 30, noNaN: true }), { minLength: 40, maxLength: 40 }),
        fc.double({ min: 0.01, max: 9, noNaN: true }),
        (temps, warmer) => {
          const at = (by: number): SurfaceStretch[] => temps.map((c, i) => span(i, i + 1, c + by));
          for (const t of [minRateTable(example, 5), maxRateTable(example)]) {
            const base = crossing(clock(at(0), { table: t }), 1).atMs ?? Infinity;
            expect(crossing(clock(at(warmer), { table: t }), 1).atMs ?? Infinity).toBeLessThanOrEqual(
              base + 1,
            );
          }
        },
      ),
      { seed: 3, numRuns: 60 },
    );
  });
  it('law: a change of the clocks moves nothing, because instants are absolute', () => {
    // Last Sunday of October 2026, 01:00 UTC: European clocks go back. The same 10 h at 20 °C either side.
    const dst = Date.UTC(2026, 9, 25, 1);
    const track = [{ ...span(0, 100, 20), fromMs: dst - 5 * H, toMs: dst + 95 * H }];
    near((crossing(clock(track, { t0Ms: dst - 2 * H }), 1).atMs! - (dst - 2 * H)) / H, 7, 1e-3);
  });
  it('a stacked film divides the rate; the shop’s own rate multiplies it', () => {
    near(hoursFromT0(crossing(clock(steady(20), { slowBy: 2 }), 1).atMs), 14, 1e-3);
    near(hoursFromT0(crossing(clock(steady(20), { speedBy: 2 }), 1).atMs), 3.5, 1e-3);
    expect(sheet().stackExponent).toBe(1);
  });
});
