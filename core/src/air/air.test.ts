import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import psychrolib from 'psychrolib';
import { must } from '../base/result.ts';
import { dewPointOverWaterC, wettingPointOf } from './dewPoint.ts';
import { bandOf, dewMargin, judgeGates, type AirLimits } from './gate.ts';
import { absoluteHumidityGM3, rhAtSurfacePct, vapourHpa } from './humidity.ts';
import { rhFromWetBulbPct, stationPressureHpa } from './psychrometer.ts';
import { isStuck, readingTrust, type AirReading } from './reading.ts';

psychrolib.SetUnitSystem(psychrolib.SI);
const near = (got: number, want: number, tolerance: number): void =>
  expect(Math.abs(got - want)).toBeLessThanOrEqual(tolerance);

describe('dew point', () => {
  // ISO 8502-4 table of dew points; values quoted from memory, ±0.1.
  it.each([
    [20, 50, 9.3],
    [20, 80, 16.4],
    [10, 70, 4.8],
    [25, 60, 16.7],
    [30, 85, 27.2],
  ])('%d °C %d %% → %d °C (ISO 8502-4)', (t, rh, want) => {
    near(must(dewPointOverWaterC(t, rh)), want, 0.1);
  });

  it('agrees with psychrolib (ASHRAE Fundamentals 2017) to 0.054 K over water and 0.03 K over ice', () => {
    let worstWater = 0;
    let worstIce = 0;
    for (let t = 0; t <= 50; t += 1) {
      for (let rh = 10; rh <= 100; rh += 2) {
        const theirs = psychrolib.GetTDewPointFromRelHum(t, rh / 100);
        if (theirs >= 0.02)
          worstWater = Math.max(worstWater, Math.abs(must(dewPointOverWaterC(t, rh)) - theirs));
        else if (theirs < -0.02)
          worstIce = Math.max(worstIce, Math.abs(wettingPointOf(vapourHpa(t, rh)).tempC - theirs));
      }
    }
    expect(worstWater).toBeLessThan(0.055);
    expect(worstIce).toBeLessThan(0.03);
  });

  it('refuses impossible air with the field, the value and the range', () => {
    expect(dewPointOverWaterC(20, 140)).toEqual({
      ok: false,
      error: { code: 'out-of-range', field: 'rhPct', got: 140, min: 0.1, max: 100, unit: '%' },
    });
    expect(dewPointOverWaterC(-300, 50).ok).toBe(false);
    expect(dewPointOverWaterC(Number.NaN, 50)).toMatchObject({ ok: false, error: { got: null } });
  });

  it('wets by frost below 0 °C, at a higher temperature than dew', () => {
    const point = wettingPointOf(4);
    expect(point.kind).toBe('frost');
    expect(point.tempC).toBeGreaterThan(must(dewPointOverWaterC(10, (100 * 4) / 12.272)));
    expect(wettingPointOf(8).kind).toBe('dew');
  });
});

describe('psychrometer', () => {
  // 0.25 K of wet bulb is 2.5 % of humidity at 10 °C and less above; ASHRAE's is the thermodynamic wet bulb.
  it.each([
    [20, 50, 0, 101_325],
    [30, 40, 0, 101_325],
    [10, 80, 0, 101_325],
    [20, 55, 1500, 84_560],
  ])('%d °C, %d % at %d m, from the wet bulb that psychrolib (ASHRAE) gives', (t, rh, altitudeM, pascal) => {
    const wetC = psychrolib.GetTWetBulbFromRelHum(t, rh / 100, pascal);
    near(must(rhFromWetBulbPct(t, wetC, altitudeM, 'aspirated')), rh, 2.5);
  });
  // ISO 2533 standard atmosphere, 1500 m: 845.6 hPa (published).
  it('station pressure at 1500 m', () => near(must(stationPressureHpa(1500)), 845.6, 0.3));
  it('a wet bulb above the dry bulb is refused', () =>
    expect(rhFromWetBulbPct(15, 16, 0, 'sling').ok).toBe(false));
  it('a screen coefficient used for a sling reads drier: the unsafe side is the other way round', () => {
    expect(must(rhFromWetBulbPct(20, 15, 0, 'screen'))).toBeLessThan(
      must(rhFromWetBulbPct(20, 15, 0, 'sling')),
    );
  });
});

describe('the worked gate of docs/calculations.md A', () => {
  // 14.2 °C, 78 %, surface 12.0; recomputed independently there.
  it('gives every figure', () => {
    const e = vapourHpa(14.2, 78);
    near(e, 12.607, 0.0005);
    const m = dewMargin(14.2, 78, 12);
    near(m.dewPointC, 10.418, 0.0005);
    near(m.marginK, 1.582, 0.0005);
    near(m.uncertaintyK, 0.905, 0.0005);
    near(m.worstK, 0.027, 0.0005);
    near(m.bestK, 3.152, 0.0005);
    near(rhAtSurfacePct(e, 12), 90.05, 0.01);
    near(absoluteHumidityGM3(e, 14.2), 9.507, 0.0005);
  });
  // docs/calculations.md A: the 3 K rule binds before 85 % when part = air.
  it.each([
    [5, 80.9],
    [25, 83.5],
  ])('a part at air temperature loses its margin at %d °C and %d %', (t, rh) => {
    expect(dewMargin(t, rh - 0.1, t).marginK).toBeGreaterThan(3);
    expect(dewMargin(t, rh + 0.1, t).marginK).toBeLessThan(3);
  });
});

const LIMITS: AirLimits = {
  dewMarginK: 3,
  rhMaxPct: 85,
  rhMinPct: null,
  surfaceMinC: 8,
  surfaceMaxC: 35,
  airMinC: null,
  airMaxC: null,
};

describe('gates', () => {
  // docs/calculations.md A: pass when slack − U ≥ 0, fail when slack + U < 0, else marginal.
  it.each([
    [1, 1, 'pass'],
    [0.99, 1, 'marginal'],
    [-1, 1, 'marginal'],
    [-1.01, 1, 'fail'],
  ] as const)('slack %d ± %d is %s', (slack, u, want) => {
    expect(bandOf(slack, u)).toBe(want);
  });
  it('names the deciding gate', () => {
    expect(judgeGates({ airC: 14.2, rhPct: 78, surfaceC: 12 }, LIMITS)).toMatchObject({
      status: 'fail',
      deciding: { kind: 'dew-margin' },
    });
    expect(judgeGates({ airC: 20, rhPct: 50, surfaceC: 20 }, LIMITS).status).toBe('pass');
    expect(judgeGates({ airC: 6, rhPct: 40, surfaceC: 5 }, LIMITS)).toMatchObject({
      status: 'fail',
      deciding: { kind: 'surface-min' },
    });
  });
  it('moisture-cured products need a minimum humidity', () => {
    expect(judgeGates({ airC: 20, rhPct: 30, surfaceC: 20 }, { ...LIMITS, rhMinPct: 40 })).toMatchObject({
      status: 'fail',
      deciding: { kind: 'rh-min' },
    });
  });
  it('law: removing a reading never makes a pass', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -5, max: 40, noNaN: true }),
        fc.double({ min: 10, max: 100, noNaN: true }),
        fc.double({ min: -5, max: 40, noNaN: true }),
        fc.constantFrom('airC', 'rhPct', 'surfaceC'),
        (airC, rhPct, surfaceC, gone) => {
          expect(judgeGates({ airC, rhPct, surfaceC, [gone]: null }, LIMITS).status).not.toBe('pass');
        },
      ),
      { seed: 11 },
    );
  });
  it('law: damper air at a fixed temperature never raises the margin', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -10, max: 45, noNaN: true }),
        fc.double({ min: 5, max: 99, noNaN: true }),
        fc.double({ min: 0.01, max: 50, noNaN: true }),
        (airC, rh, more) => {
          const damper = Math.min(100, rh + more);
          expect(must(dewPointOverWaterC(airC, damper))).toBeGreaterThanOrEqual(
            must(dewPointOverWaterC(airC, rh)),
          );
          expect(dewMargin(airC, damper, 15).marginK).toBeLessThanOrEqual(
            dewMargin(airC, rh, 15).marginK + 1e-9,
          );
        },
      ),
      { seed: 12 },
    );
  });
});

describe('which readings may decide', () => {
  const at = (minutes: number, airC = 10): AirReading => ({
    atMs: minutes * 60_000,
    airC,
    rhPct: 70,
    surfaceC: 9,
    probeId: 'p',
    byHand: false,
  });
  it('older than 30 min is stale; none is none', () => {
    expect(readingTrust([at(0)], 30 * 60_000)).toBe('fresh');
    expect(readingTrust([at(0)], 30 * 60_000 + 1)).toBe('stale');
    expect(readingTrust([], 0)).toBe('none');
  });
  // docs/readings.md, stuck: all channels identical for ≥ 2 h and ≥ 12 samples; hand entries exempt.
  it('stuck needs both two hours and twelve samples', () => {
    const every = (step: number, n: number): AirReading[] =>
      Array.from({ length: n }, (_, i) => at(i * step));
    expect(isStuck(every(10, 13))).toBe(true);
    expect(isStuck(every(10, 12))).toBe(false);
    expect(isStuck(every(20, 7))).toBe(false);
    expect(isStuck([...every(10, 12), at(120, 10.1)])).toBe(false);
    expect(isStuck(every(10, 13).map((r) => ({ ...r, byHand: true })))).toBe(false);
  });
});
