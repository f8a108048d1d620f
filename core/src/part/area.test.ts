import { describe, expect, it } from '@jest/globals';
import { must } from '../base/result.ts';
import { areaFromMassM2, shapeAreaM2, totalAreaM2, type Shape } from './area.ts';

const area = (s: Shape): number => must(shapeAreaM2(s));

// Elementary mensuration (any engineering handbook, plane and solid figures); figures worked by hand.
describe('areas by shape, against hand-worked mensuration', () => {
  it.each([
    [{ shape: 'plate', lengthMm: 1000, widthMm: 500, faces: 2 }, 1],
    [{ shape: 'plate', lengthMm: 1000, widthMm: 500, faces: 1 }, 0.5],
    // π·0.1·1 = 0.314159; with the inside of a 5 mm wall, π·(0.1 + 0.09)·1 = 0.596903.
    [{ shape: 'tube', diameterMm: 100, lengthMm: 1000, wallMm: 0 }, 0.314159],
    [{ shape: 'tube', diameterMm: 100, lengthMm: 1000, wallMm: 5 }, 0.596903],
    [{ shape: 'bar', diameterMm: 20, lengthMm: 500 }, 0.0314159],
    [{ shape: 'box', lengthMm: 300, widthMm: 200, heightMm: 100 }, 0.22],
    // A 100 × 50 channel is 200 mm round its middle line, painted both sides.
    [{ shape: 'channel', webMm: 100, flangeMm: 50, lengthMm: 1000 }, 0.4],
    [{ shape: 'angle', legMm: 50, otherLegMm: 50, lengthMm: 1000 }, 0.2],
    [{ shape: 'i-beam', webMm: 200, flangeMm: 100, lengthMm: 1000 }, 0.8],
    // π·0.2·0.3 + 2·π·0.1² = 0.188496 + 0.062832.
    [{ shape: 'cylinder', diameterMm: 200, lengthMm: 300 }, 0.251327],
    // A 3-4-5 cone: radii 30 and 0, height 40, slant 50: π·30·50 = 4712.39 mm².
    [{ shape: 'frustum', diameterMm: 60, otherDiameterMm: 0, heightMm: 40 }, 0.00471239],
    // A hemisphere of radius 100 as a cap: 2πr² = 62 831.9 mm².
    [{ shape: 'cap', diameterMm: 200, heightMm: 100 }, 0.0628319],
    // A flat disc as a cap of no height to speak of: πr².
    [{ shape: 'cap', diameterMm: 200, heightMm: 0.01 }, 0.0314159],
    [{ shape: 'fin-stack', lengthMm: 150, depthMm: 30, fins: 12 }, 0.108],
  ] as const)('%j', (s, m2) => expect(Math.abs(area(s) - m2)).toBeLessThan(m2 * 1e-5));

  it('a frustum of equal ends is the side of a cylinder, and a cut cone the difference of two cones', () => {
    const side = area({ shape: 'frustum', diameterMm: 80, otherDiameterMm: 80, heightMm: 100 });
    expect(Math.abs(side - Math.PI * 0.08 * 0.1)).toBeLessThan(1e-12);
    const whole = area({ shape: 'frustum', diameterMm: 60, otherDiameterMm: 0, heightMm: 40 });
    const tip = area({ shape: 'frustum', diameterMm: 30, otherDiameterMm: 0, heightMm: 20 });
    const cut = area({ shape: 'frustum', diameterMm: 60, otherDiameterMm: 30, heightMm: 20 });
    expect(Math.abs(cut - (whole - tip))).toBeLessThan(1e-12);
  });
});

describe('shapes added up', () => {
  it('so many of each, times the casting factor', () => {
    const plate: Shape = { shape: 'plate', lengthMm: 100, widthMm: 100, faces: 1 };
    const bar: Shape = { shape: 'bar', diameterMm: 10, lengthMm: 100 };
    const sum = must(
      totalAreaM2(
        [
          { of: plate, count: 4 },
          { of: bar, count: 2 },
        ],
        1.3,
      ),
    );
    expect(Math.abs(sum - 1.3 * (0.04 + 2 * Math.PI * 0.001))).toBeLessThan(1e-12);
  });
  it('from mass and wall: 18 kg of 6 mm steel plate is 0.764 m² (2·18/(7850·0.006))', () =>
    expect(Math.abs(must(areaFromMassM2(18, 6, 7850)) - 0.7643)).toBeLessThan(1e-4));
});

describe('what is refused, by field', () => {
  it.each([
    [{ shape: 'plate', lengthMm: 0, widthMm: 5, faces: 1 }, 'lengthMm'],
    [{ shape: 'plate', lengthMm: NaN, widthMm: 5, faces: 1 }, 'lengthMm'],
    [{ shape: 'bar', diameterMm: 20, lengthMm: 200_000 }, 'lengthMm'],
    [{ shape: 'tube', diameterMm: 20, lengthMm: 100, wallMm: 11 }, 'wallMm'],
    [{ shape: 'cap', diameterMm: 200, heightMm: 101 }, 'heightMm'],
    [{ shape: 'fin-stack', lengthMm: 1, depthMm: 1, fins: 0 }, 'fins'],
    [{ shape: 'frustum', diameterMm: 20, otherDiameterMm: -1, heightMm: 1 }, 'otherDiameterMm'],
  ] as const)('%j', (s, field) => {
    const r = shapeAreaM2(s);
    expect(r).toMatchObject({ ok: false, error: { code: 'out-of-range', field } });
  });
  it('a casting factor below 1, half a piece, no mass', () => {
    const plate: Shape = { shape: 'plate', lengthMm: 1, widthMm: 1, faces: 1 };
    expect(totalAreaM2([{ of: plate, count: 1 }], 0.9)).toMatchObject({ error: { field: 'castingFactor' } });
    expect(totalAreaM2([{ of: plate, count: 1.5 }])).toMatchObject({ error: { field: 'count' } });
    expect(areaFromMassM2(0, 6, 7850)).toMatchObject({ error: { field: 'massKg' } });
  });
});
