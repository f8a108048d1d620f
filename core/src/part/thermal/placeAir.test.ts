import { describe, expect, it } from '@jest/globals';
import type { AirReading } from '../../air/reading.ts';
import { esOverWaterHpa } from '../../air/saturation.ts';
import { seededRandom } from '../../base/random.ts';
import { HOUR_MS } from '../../base/time.ts';
import { T0 } from '../../test/build.ts';
import { fitPlace, placeAirFromOutdoor, UNFITTED } from './placeAir.ts';
import type { AirStretch } from './track.ts';

const outside = (h: number): { c: number; hpa: number } => ({
  c: 4 + 3 * Math.sin(h / 4),
  hpa: 6 + 0.5 * Math.sin(h / 9),
});
const outdoor = (fromH: number, toH: number): AirStretch[] =>
  Array.from({ length: toH - fromH }, (_, i) => {
    const a = outside(fromH + i);
    const b = outside(fromH + i + 1);
    return {
      fromMs: T0 + (fromH + i) * HOUR_MS,
      toMs: T0 + (fromH + i + 1) * HOUR_MS,
      fromC: a.c,
      toC: b.c,
      fromVapourHpa: a.hpa,
      toVapourHpa: b.hpa,
      source: 'forecast',
    };
  });
/** A shed that is 2 K warmer than outdoors, follows at once, and holds 1.5 hPa more moisture. */
const shed = (h: number, noise = 0): AirReading => {
  const { c, hpa } = outside(h);
  const airC = c + 2 + noise;
  return {
    atMs: T0 + h * HOUR_MS,
    airC,
    rhPct: (100 * (hpa + 1.5)) / esOverWaterHpa(airC),
    surfaceC: null,
    probeId: 'p',
    byHand: false,
  };
};

describe('a place behind the outdoor air', () => {
  it('finds a known moisture offset again from noisy readings', () => {
    const random = seededRandom(11);
    const readings = Array.from({ length: 90 }, (_, i) => shed(4 + i, (random() - 0.5) * 0.2));
    const fit = fitPlace(outdoor(0, 96), readings)!;
    expect(Math.abs(fit.vapourOffsetHpa - 1.5)).toBeLessThan(0.01);
    expect(Math.abs(fit.offsetK - 2)).toBeLessThan(0.3);
  });
  it('fits nothing on four readings', () =>
    expect(
      fitPlace(
        outdoor(0, 96),
        [1, 2, 3, 4].map((h) => shed(h)),
      ),
    ).toBeNull());

  const fit = { tauS: 3 * 3600, offsetK: 2, vapourOffsetHpa: 1.5 };
  it('joins the last reading without a jump and relaxes to the mean offset within a few lags', () => {
    const ahead = placeAirFromOutdoor(outdoor(0, 48), fit, { airC: 9, vapourHpa: 8.4 }, null);
    expect(ahead[0]!.fromC).toBeCloseTo(9, 9);
    expect(ahead[0]!.fromVapourHpa).toBeCloseTo(8.4, 9);
    const last = ahead[ahead.length - 1]!;
    // Eight lags on: e^-16 of the first excess is left.
    expect(last.toVapourHpa).toBeCloseTo(outside(48).hpa + 1.5, 4);
    for (let i = 1; i < ahead.length; i++) {
      expect(ahead[i]!.fromC).toBeCloseTo(ahead[i - 1]!.toC, 9);
      expect(ahead[i]!.fromVapourHpa).toBeCloseTo(ahead[i - 1]!.toVapourHpa!, 9);
    }
  });
  it('law: never predicts more moisture than the air can hold, whatever the offset', () => {
    const random = seededRandom(3);
    for (let k = 0; k < 200; k++) {
      const wild = {
        tauS: 600 + random() * 4e4,
        offsetK: random() * 8 - 4,
        vapourOffsetHpa: random() * 12 - 6,
      };
      const start = { airC: random() * 20 - 5, vapourHpa: random() < 0.3 ? null : 1 + random() * 20 };
      for (const s of placeAirFromOutdoor(outdoor(0, 12), wild, start, null)) {
        expect(s.toVapourHpa!).toBeGreaterThan(0);
        expect(s.toVapourHpa!).toBeLessThanOrEqual(esOverWaterHpa(s.toC) + 1e-12);
      }
    }
  });
  it('a heated place never falls below its setpoint', () => {
    const cold = outdoor(0, 24).map((s) => ({ ...s, fromC: -2, toC: -4 }));
    const predicted = placeAirFromOutdoor(cold, fit, { airC: 15, vapourHpa: null }, 15);
    expect(Math.min(...predicted.map((s) => s.toC))).toBe(15);
  });
  it('an unfitted place carries the outdoor moisture in as it is, and unknown stays unknown', () => {
    const [first] = placeAirFromOutdoor(outdoor(0, 1), UNFITTED, { airC: 20, vapourHpa: null }, null);
    expect(first!.fromVapourHpa).toBeCloseTo(outside(0).hpa, 9);
    const dry = outdoor(0, 1).map((s) => ({ ...s, fromVapourHpa: null, toVapourHpa: null }));
    expect(placeAirFromOutdoor(dry, fit, { airC: 20, vapourHpa: 9 }, null)[0]!.fromVapourHpa).toBeNull();
  });
});
