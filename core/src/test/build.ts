import { esOverWaterHpa } from '../air/saturation.ts';
import { HOUR_MS } from '../base/time.ts';
import type { SurfaceSource, SurfaceStretch } from '../part/thermal/track.ts';
import type { ProductSheet } from '../products/sheet.ts';

/** Builders for tests only: a sheet with the worked example of docs/clocks.md 1, and simple tracks. */
export const T0 = Date.UTC(2026, 2, 5, 18, 0, 0);

export const EXAMPLE_POINTS = [
  { tempC: 10, hours: 16 },
  { tempC: 20, hours: 7 },
  { tempC: 30, hours: 3.5 },
];

export function sheet(over: Partial<ProductSheet> = {}): ProductSheet {
  return {
    sheetId: 's1',
    productId: 'epoxy',
    revision: 1,
    name: 'Epoxy primer',
    binder: 'epoxy-2k',
    packs: 2,
    role: 'primer',
    bandColour: '#8d998f',
    cureBy: 'time',
    stages: {
      touch: {
        points: [
          { tempC: 10, hours: 4 },
          { tempC: 20, hours: 2 },
        ],
      },
      minRecoat: { points: EXAMPLE_POINTS },
      handle: {
        points: [
          { tempC: 10, hours: 24 },
          { tempC: 20, hours: 12 },
        ],
      },
      sand: {
        points: [
          { tempC: 10, hours: 36 },
          { tempC: 20, hours: 18 },
        ],
      },
      service: {
        points: [
          { tempC: 10, hours: 336 },
          { tempC: 20, hours: 168 },
        ],
      },
      maxRecoat: {
        points: [
          { tempC: 10, hours: 96 },
          { tempC: 20, hours: 48 },
          { tempC: 30, hours: 24 },
        ],
      },
    },
    maxRecoatUnlimited: false,
    followers: [],
    forbidden: [],
    listedFollowersOnly: false,
    applySurfaceMinC: 8,
    applySurfaceMaxC: 35,
    applyAirMinC: 8,
    applyAirMaxC: 35,
    cureMinC: 5,
    rhMaxPct: 85,
    rhMinPct: null,
    dewMarginK: 3,
    dftUm: 75,
    dftMinUm: 50,
    dftMaxUm: 125,
    vsPct: 60,
    stackExponent: 1,
    outdoorLimitH: null,
    applyMinPerM2: 12,
    cautions: [],
    source: 'test',
    ...over,
  };
}

/** A stretch at a steady or linearly running temperature, hours from T0. */
export function span(
  fromH: number,
  toH: number,
  fromC: number,
  toC = fromC,
  source: SurfaceSource = 'lag',
  rhPct = 60,
): SurfaceStretch {
  const v = (c: number): number => (rhPct / 100) * esOverWaterHpa(c);
  return {
    fromMs: T0 + fromH * HOUR_MS,
    toMs: T0 + toH * HOUR_MS,
    fromC,
    toC,
    airFromC: fromC,
    airToC: toC,
    fromVapourHpa: v(fromC),
    toVapourHpa: v(toC),
    source,
  };
}

export function steady(
  tempC: number,
  hours = 2000,
  source: SurfaceSource = 'lag',
  rhPct = 60,
): SurfaceStretch[] {
  return [span(0, hours, tempC, tempC, source, rhPct)];
}

export const hoursFromT0 = (ms: number | null): number => (ms === null ? Number.NaN : (ms - T0) / HOUR_MS);
