import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../../base/random.ts';
import { must } from '../../base/result.ts';
import { placeAirTrack, stretchesFrom, thinPoints, THIN_TOLERANCE } from '../../air/track.ts';
import { T0 } from '../../test/build.ts';
import { fitLag } from './calibrate.ts';
import { biot, lagOf, timeConstantS } from './lag.ts';
import { lumpAfterC, secondsToReach } from './response.ts';
import { surfaceAt, surfaceTrack, type AirStretch } from './track.ts';

const H = 3_600_000;
const near = (got: number, want: number, tolerance: number): void =>
  expect(Math.abs(got - want)).toBeLessThanOrEqual(tolerance);
const air = (
  fromH: number,
  toH: number,
  fromC: number,
  toC = fromC,
  source: AirStretch['source'] = 'measured',
): AirStretch => ({
  fromMs: T0 + fromH * H,
  toMs: T0 + toH * H,
  fromC,
  toC,
  fromVapourHpa: 8,
  toVapourHpa: 8,
  source,
});

describe('lumped capacitance', () => {
  // Incropera & DeWitt, Fundamentals of Heat and Mass Transfer, thermocouple junction example; quoted from memory: 5.2 s.
  it('thermocouple reaches 199 of 200 °C in 5.17 s', () => {
    const d = 0.706e-3;
    const tau = timeConstantS(8500 * (Math.PI / 6) * d ** 3, 400, 400, Math.PI * d ** 2);
    near(secondsToReach(25, 200, tau, 199)!, 5.17, 0.01);
    expect(biot(400, d / 6, 20)).toBeLessThan(0.1);
  });
  it('covers 63.2 % of a step in one time constant', () =>
    near(lumpAfterC(0, 100, 0, 1000, 1000), 63.212, 0.001));
  it('lags a ramp by exactly slope × τ in the long run', () =>
    near(lumpAfterC(0, 0, 0.001, 1000, 50_000), 0.001 * 49_000, 1e-6));
  it('solves the same in one step or in many', () => {
    let t = 5;
    for (let i = 0; i < 100; i++) t = lumpAfterC(t, 10 + i * 0.1, 0.1 / 60, 3000, 60);
    near(t, lumpAfterC(5, 10, 0.1 / 60, 3000, 6000), 1e-9);
  });
  it('never reaches a temperature beyond the air', () => expect(secondsToReach(5, 10, 1000, 12)).toBeNull());
});

describe('lag of a part', () => {
  it('takes a casting at its thickest web: τ = ρct/2h', () => {
    // By hand: 7200 · 500 · 0.04 / (2 · 7) = 10 286 s.
    const lag = must(
      lagOf(
        { substrate: 'grey-iron', massKg: 300, areaM2: 3, thicknessMm: 40, brightMetal: false },
        'indoor-still',
      ),
    )!;
    near(lag.tauS, 10_285.7, 0.1);
    expect(lag).toMatchObject({ by: 'thickest-web', isLump: true });
  });
  it('a plate goes by mass and area; bright metal is slower; nothing known is null', () => {
    const plate = {
      substrate: 'steel-plate',
      massKg: 480,
      areaM2: 6.2,
      thicknessMm: 10,
      brightMetal: false,
    } as const;
    near(must(lagOf(plate, 'indoor-still'))!.tauS, (480 * 490) / (7 * 6.2), 0.01);
    expect(must(lagOf({ ...plate, brightMetal: true }, 'indoor-still'))!.tauS).toBeGreaterThan(
      must(lagOf(plate, 'indoor-still'))!.tauS,
    );
    expect(must(lagOf({ ...plate, massKg: null, areaM2: null, thicknessMm: null }, 'outdoors'))).toBeNull();
    expect(lagOf({ ...plate, massKg: -1 }, 'outdoors').ok).toBe(false);
  });
  it('glass-fibre thicker than a skin is no lump', () => {
    expect(
      must(
        lagOf(
          { substrate: 'glass-fibre', massKg: null, areaM2: null, thicknessMm: 12, brightMetal: false },
          'outdoors',
        ),
      )!.isLump,
    ).toBe(false);
  });
});

describe('a part’s own track', () => {
  it('stays within 0.05 K of the exact curve between its knots', () => {
    const track = surfaceTrack({
      air: [air(0, 0.5, 20), air(0.5, 6, 5, 9)],
      tauS: 1800,
      own: [{ atMs: T0, surfaceC: 2 }],
      fromMs: T0,
      toMs: T0 + 6 * H,
    });
    const atHalf = lumpAfterC(2, 20, 0, 1800, 1800);
    for (const h of [0.1, 0.33, 0.49])
      near(surfaceAt(track, T0 + h * H)!.surfaceC, lumpAfterC(2, 20, 0, 1800, h * 3600), 0.05);
    for (const h of [0.6, 1.1, 3])
      near(
        surfaceAt(track, T0 + h * H)!.surfaceC,
        lumpAfterC(atHalf, 5, 4 / (5.5 * 3600), 1800, (h - 0.5) * 3600),
        0.05,
      );
  });
  it('joins own readings at most an hour apart, and re-seeds the lag from a lone one', () => {
    const track = surfaceTrack({
      air: [air(0, 10, 10)],
      tauS: 7200,
      fromMs: T0,
      toMs: T0 + 10 * H,
      own: [
        { atMs: T0 + H, surfaceC: 4 },
        { atMs: T0 + 2 * H, surfaceC: 6 },
        { atMs: T0 + 8 * H, surfaceC: 3 },
      ],
    });
    expect(surfaceAt(track, T0 + 1.5 * H)).toMatchObject({ surfaceC: 5, source: 'surface' });
    expect(surfaceAt(track, T0 + 3 * H)!.source).toBe('lag');
    near(surfaceAt(track, T0 + 10 * H - 1)!.surfaceC, lumpAfterC(3, 10, 0, 7200, 7200), 0.02);
  });
  it('says forecast and assumed where it stands on them, and assumed when nothing is known of the part', () => {
    const mixed = surfaceTrack({
      air: [air(0, 1, 10), air(1, 2, 10, 10, 'forecast'), air(2, 3, 10, 10, 'assumed')],
      tauS: 600,
      own: [],
      fromMs: T0,
      toMs: T0 + 3 * H,
    });
    expect([...new Set(mixed.map((s) => s.source))]).toEqual(['lag', 'forecast', 'assumed']);
    expect(
      surfaceTrack({ air: [air(0, 1, 10)], tauS: null, own: [], fromMs: T0, toMs: T0 + H })[0]!.source,
    ).toBe('assumed');
  });
  it('falls below the air under a clear night sky', () => {
    const night = { nights: [{ fromMs: T0, toMs: T0 + 5 * H }], dropK: 3 };
    const track = surfaceTrack({
      air: [air(0, 10, 10)],
      tauS: 600,
      own: [],
      fromMs: T0,
      toMs: T0 + 10 * H,
      openSky: night,
    });
    near(surfaceAt(track, T0 + 4 * H)!.surfaceC, 7, 0.01);
    near(surfaceAt(track, T0 + 9.9 * H)!.surfaceC, 10, 0.01);
  });
});

describe('calibration', () => {
  it('finds a known lag and offset again from noisy readings, and says how well it fits', () => {
    const random = seededRandom(5);
    const day = Array.from({ length: 96 }, (_, i) =>
      air(i / 2, (i + 1) / 2, 10 + 6 * Math.sin(i / 7), 10 + 6 * Math.sin((i + 1) / 7)),
    );
    const truth = surfaceTrack({ air: day, tauS: 5400, own: [], fromMs: T0, toMs: T0 + 48 * H });
    const own = Array.from({ length: 60 }, (_, i) => {
      const atMs = T0 + (i + 20) * 0.5 * H;
      return { atMs, surfaceC: surfaceAt(truth, atMs)!.surfaceC + 1.2 + (random() - 0.5) * 0.2 };
    });
    const fit = fitLag(day, own)!;
    near(fit.tauS, 5400, 400);
    near(fit.offsetK, 1.2, 0.1);
    expect(fit.rmsK).toBeLessThan(0.12);
    expect(fitLag(day, own.slice(0, 4))).toBeNull();
  });
});

describe('air of a place without holes', () => {
  const r = (h: number, airC: number) => ({ atMs: T0 + h * H, airC, rhPct: 70 });
  it('is measured, then forecast, then assumed at the week’s median, and says which', () => {
    const track = placeAirTrack({
      readings: [r(0, 8), r(0.5, 10), r(1, 12)],
      forecast: [air(0, 6, 20, 20, 'forecast')],
      fromMs: T0,
      nowMs: T0 + 1.2 * H,
      toMs: T0 + 20 * H,
    });
    expect(track.map((s) => s.source)).toEqual(['measured', 'measured', 'measured', 'forecast', 'assumed']);
    expect(track[4]).toMatchObject({ fromC: 10, toMs: T0 + 20 * H });
    for (let i = 1; i < track.length; i++) expect(track[i]!.fromMs).toBe(track[i - 1]!.toMs);
  });
  it('law: thinning keeps every dropped reading within its tolerance of the line, keeps gaps, and spans no more than an hour', () => {
    for (let seed = 1; seed <= 20; seed++) {
      const random = seededRandom(seed);
      let atMs = T0;
      const points = Array.from({ length: 300 }, (_, i) => {
        atMs += random() < 0.03 ? 3 * H : 600_000;
        return {
          atMs,
          airC: 10 + 3 * Math.sin(i / 40) + (random() - 0.5) * 0.06,
          rhPct: 70 + 5 * Math.sin(i / 30),
        };
      });
      const thinned = thinPoints(points);
      expect(thinned.length).toBeLessThan(0.7 * points.length);
      const line = stretchesFrom(thinned, 'measured');
      const gapsBefore = points.filter((p, i) => i > 0 && p.atMs - points[i - 1]!.atMs > H).length;
      expect(line.filter((s, i) => i > 0 && s.fromMs !== line[i - 1]!.toMs).length).toBeLessThanOrEqual(
        gapsBefore,
      );
      for (const p of points) {
        const s = line.find((x) => x.fromMs <= p.atMs && p.atMs <= x.toMs);
        if (!s) expect(thinned).toContain(p);
        else
          near(
            s.fromC + ((s.toC - s.fromC) * (p.atMs - s.fromMs)) / (s.toMs - s.fromMs),
            p.airC,
            THIN_TOLERANCE.tempK + 1e-9,
          );
      }
    }
  });
  it('knows nothing where nothing was ever read', () => {
    expect(placeAirTrack({ readings: [], forecast: [], fromMs: T0, nowMs: T0, toMs: T0 + H })).toEqual([]);
  });
});
