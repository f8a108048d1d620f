import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { hoursFromT0, sheet, span, steady, T0 } from '../test/build.ts';
import type { SurfaceStretch } from '../part/thermal/track.ts';
import { bareEdge, bareHoursAt, bareLimit, remedyWhenOut } from './bare.ts';
import { shopRate } from './calibration.ts';
import { keyAt, type KeyInput } from './keyed.ts';
import { mixClock } from './potLife.ts';
import { coatOver, stackFactor } from './stacked.ts';
import { firstSuspicion } from './suspect.ts';
import { closingFromMs, layIntervals, windowRule, windowSpans, type Film } from './windows.ts';

const H = 3_600_000;
const near = (got: number, want: number, tolerance: number): void =>
  expect(Math.abs(got - want)).toBeLessThanOrEqual(tolerance);
const enamel = sheet({
  sheetId: 'e1',
  productId: 'enamel',
  binder: 'alkyd-1k',
  packs: 1,
  cureMinC: null,
  stages: { touch: { points: [{ tempC: 20, hours: 2 }] }, minRecoat: { points: [{ tempC: 20, hours: 2 }] } },
  followers: [
    {
      follower: 'enamel',
      intervals: [
        {
          from: { stage: 'minRecoat', p: 1, type: 'min' },
          to: { times: { points: [{ tempC: 20, hours: 4 }] }, p: 1, type: 'max' },
          prep: 'none',
        },
        {
          from: { times: { points: [{ tempC: 20, hours: 48 }] }, p: 1, type: 'min' },
          to: null,
          prep: 'scuff',
        },
      ],
    },
  ],
});
const film = (track: readonly SurfaceStretch[], s = sheet(), over: Partial<Film> = {}): Film => ({
  sheet: s,
  t0Ms: T0,
  track,
  slowBy: 1,
  speedBy: 1,
  minRecoatTests: [],
  isOutdoors: false,
  ...over,
});
const laidFor = (track: readonly SurfaceStretch[], s = sheet(), follower = s, over: Partial<Film> = {}) => {
  const rule = windowRule(s, follower);
  return rule.kind === 'intervals' ? layIntervals(film(track, s, over), rule.intervals) : [];
};
const statesOf = (track: readonly SurfaceStretch[], s: ReturnType<typeof sheet>, nowH: number) =>
  windowSpans(laidFor(track, s), T0, T0 + 400 * H, T0 + nowH * H, null).map((x) => x.state);

describe('which window applies', () => {
  it('a two-pack with a silent sheet gets 24 h or scuff (trade, common practice); a one-pack is unknown', () => {
    const { maxRecoat, ...stages } = sheet().stages;
    expect(maxRecoat).toBeDefined();
    expect(windowRule(sheet({ stages }), sheet())).toMatchObject({ kind: 'intervals', basis: 'default-24h' });
    expect(windowRule(sheet({ stages, packs: 1 }), sheet())).toEqual({
      kind: 'unknown',
      reason: 'one-pack-silent',
    });
    expect(windowRule(sheet({ stages, packs: 1, maxRecoatUnlimited: true }), sheet())).toMatchObject({
      basis: 'sheet-unlimited',
    });
  });
  it('an etch primer takes its listed follower only; a forbidden one is refused', () => {
    const etch = sheet({
      productId: 'etch',
      binder: 'etch-2k',
      listedFollowersOnly: true,
      followers: [{ follower: 'enamel', intervals: [] }],
    });
    expect(windowRule(etch, sheet())).toEqual({ kind: 'forbidden', reason: 'not-a-listed-follower' });
    expect(windowRule(etch, enamel).kind).toBe('intervals');
    expect(windowRule(sheet({ forbidden: ['binder:alkyd-1k'] }), enamel)).toEqual({
      kind: 'forbidden',
      reason: 'sheet-forbids',
    });
  });
});

describe('edges lean to the safe side (docs/clocks.md 6)', () => {
  it('opens at surface −2 K and shuts at the warmer of surface and air, +2 K', () => {
    const [i] = laidFor(steady(20));
    near(hoursFromT0(i!.from.nominalMs), 7, 0.001);
    near(hoursFromT0(i!.from.worstMs), 8.221, 0.001); // the sheet's time at 18 °C, docs/clocks.md 1
    near(hoursFromT0(i!.to!.nominalMs), 48, 0.001);
    expect(hoursFromT0(i!.to!.worstMs)).toBeLessThan(48);
    const warmAir = steady(20).map((s) => ({ ...s, airFromC: 28, airToC: 28 }));
    near(hoursFromT0(laidFor(warmAir)[0]!.to!.worstMs), 24, 0.001); // listed time at 30 °C
  });
  it('an assumed temperature spreads ±8 K', () => {
    near(hoursFromT0(laidFor(steady(18, 2000, 'assumed'))[0]!.from.worstMs), 16, 0.001);
  });
  it('gives no credit for cold and never passes the longest listed time', () => {
    const [i] = laidFor(steady(-3));
    near(hoursFromT0(i!.to!.nominalMs), 96, 0.01);
    near(hoursFromT0(i!.to!.bestMs), 96, 0.01);
  });
  it('outdoors the sheet’s own limit caps it', () => {
    const s = sheet({ outdoorLimitH: 12 });
    near(hoursFromT0(laidFor(steady(12), s, s, { isOutdoors: true })[0]!.to!.worstMs), 12, 0.01);
  });
  it('law: warmer makes no edge of either type later', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 4, max: 28, noNaN: true }),
        fc.double({ min: 0.1, max: 8, noNaN: true }),
        (c, by) => {
          const a = laidFor(steady(c))[0]!;
          const b = laidFor(steady(c + by))[0]!;
          for (const side of ['nominalMs', 'worstMs', 'bestMs'] as const) {
            expect(b.from[side] ?? 0).toBeLessThanOrEqual((a.from[side] ?? Infinity) + 1);
            expect(b.to![side]!).toBeLessThanOrEqual(a.to![side]! + 1);
          }
        },
      ),
      { seed: 21, numRuns: 60 },
    );
  });
  it('law: cold never keeps a window open: the shut edge is at most the coldest listed time', () => {
    fc.assert(
      fc.property(fc.double({ min: -20, max: 35, noNaN: true }), (c) =>
        expect(hoursFromT0(laidFor(steady(c))[0]!.to!.bestMs)).toBeLessThanOrEqual(96.001),
      ),
      { seed: 22 },
    );
  });
});

describe('spans of a ribbon', () => {
  it('early, open, closing, shut', () =>
    expect(statesOf(steady(20), sheet(), 1)).toEqual(['early', 'open', 'closing', 'shut']));
  it('the gap between two open intervals is the lift band, never closing', () => {
    expect(statesOf(steady(20), enamel, 1)).toEqual(['early', 'closing', 'lift', 'open']);
  });
  it('spans are disjoint and ascend from the coat to the horizon', () => {
    const spans = windowSpans(laidFor(steady(20), enamel), T0, T0 + 400 * H, T0, null);
    expect(spans[0]!.fromMs).toBe(T0);
    for (let i = 1; i < spans.length; i++) expect(spans[i]!.fromMs).toBe(spans[i - 1]!.toMs);
    expect(spans[spans.length - 1]!.toMs).toBe(T0 + 400 * H);
  });
  // docs/clocks.md 11.
  it('closing is the last 2 h or 20 % capped at 24 h, or from now when it shuts before the next session', () => {
    near(hoursFromT0(closingFromMs(T0, T0 + 5 * H, T0, null)), 3, 1e-9);
    near(hoursFromT0(closingFromMs(T0, T0 + 50 * H, T0, null)), 40, 1e-9);
    near(hoursFromT0(closingFromMs(T0, T0 + 500 * H, T0, null)), 476, 1e-9);
    near(hoursFromT0(closingFromMs(T0, T0 + 50 * H, T0 + 10 * H, T0 + 60 * H)), 10, 1e-9);
    near(hoursFromT0(closingFromMs(T0, T0 + 50 * H, T0 + 10 * H, T0 + 30 * H)), 40, 1e-9);
  });
});

describe('suspect film (docs/clocks.md 7)', () => {
  const until = (h: number) => T0 + h * H;
  it('more than 24 h contiguous below the cure minimum', () => {
    expect(firstSuspicion([span(0, 30, 3)], T0, until(30), 5)).toMatchObject({
      cause: 'stalled-24h',
      atMs: until(24),
    });
    expect(
      firstSuspicion([span(0, 23.9, 3), span(23.9, 24.5, 8), span(24.5, 40, 3)], T0, until(40), 5),
    ).toBeNull();
  });
  it('dew and frost by measured air only', () => {
    expect(firstSuspicion([span(0, 5, 10, 10, 'lag', 101)], T0, until(5), 5)).toMatchObject({ cause: 'dew' });
    expect(firstSuspicion([span(0, 5, -4, -4, 'surface', 101)], T0, until(5), null)).toMatchObject({
      cause: 'frost',
    });
    expect(firstSuspicion([span(0, 5, 10, 10, 'forecast', 101)], T0, until(5), 5)).toBeNull();
  });
});

describe('stacked coats (docs/clocks.md 10)', () => {
  it('slows by summed film over nominal to the exponent, and never speeds up', () => {
    const s = sheet({ stackExponent: 1.5 });
    near(
      stackFactor([
        { sheet: s, dftUm: 75 },
        { sheet: s, dftUm: 75 },
      ]),
      2 ** 1.5,
      1e-12,
    );
    expect(stackFactor([{ sheet: s, dftUm: 30 }])).toBe(1);
  });
  it('merges before min recoat, is independent after, and refuses another binder unless wet-on-wet is listed', () => {
    expect(coatOver(sheet(), sheet(), false).kind).toBe('merges');
    expect(coatOver(sheet(), enamel, true).kind).toBe('independent');
    expect(coatOver(sheet(), enamel, false).kind).toBe('refused');
    const wet = sheet({
      followers: [
        {
          follower: 'binder:alkyd-1k',
          intervals: [
            { from: { stage: 'touch', p: 0.2, type: 'min' }, to: null, prep: 'none', wetOnWet: true },
          ],
        },
      ],
    });
    expect(coatOver(wet, enamel, false).kind).toBe('independent');
  });
});

describe('a key (docs/clocks.md 9)', () => {
  const key: KeyInput = {
    abradedAtMs: T0,
    how: 'dry',
    sandMs: T0 - H,
    hardMs: T0 - 2 * H,
    wipedAtMs: null,
    spoiledAtMs: null,
  };
  it('lasts 24 h, is spoiled by a hand, and needs a hard film', () => {
    expect(keyAt(key, T0 + 23 * H)).toMatchObject({ isHeld: true, isWiped: false });
    expect(keyAt(key, T0 + 24 * H).lost).toBe('lapsed');
    expect(keyAt({ ...key, spoiledAtMs: T0 + H }, T0 + 2 * H).lost).toBe('spoiled');
    expect(keyAt({ ...key, sandMs: T0 + H }, T0 + 2 * H).lost).toBe('too-soft');
    expect(keyAt({ ...key, sandMs: null, how: 'wet' }, T0).isHeld).toBe(true);
    expect(keyAt({ ...key, sandMs: null }, T0).isHeld).toBe(false);
    expect(keyAt({ ...key, wipedAtMs: T0 + H }, T0 + 2 * H).isWiped).toBe(true);
  });
});

describe('bare metal (docs/clocks.md 13, common practice)', () => {
  const limit = bareLimit('steel-plate', 'abraded');
  it.each([
    [50, 8],
    [51, 4],
    [65, 4],
    [80, 2],
    [85, 1],
    [85.1, 0],
  ])('steel at %d %% felt: %d h', (rh, h) => expect(bareHoursAt(limit, rh)).toBe(h));
  it('blasted iron never exceeds 4 h', () =>
    expect(bareHoursAt(bareLimit('grey-iron', 'blasted'), 40)).toBe(4));
  it('adds up over changing air', () => {
    const track = [span(0, 1, 15, 15, 'surface', 75), span(1, 10, 15, 15, 'surface', 60)];
    near(hoursFromT0(bareEdge(track, T0, limit)!.nominalMs), 3, 0.01);
  });
  it('is out at once on dew or above 85 %, unknown for zinc, unlimited for stainless', () => {
    expect(bareEdge([span(0, 10, 12, 12, 'surface', 90)], T0, limit)!.nominalMs).toBe(T0);
    expect(bareEdge(steady(12), T0, bareLimit('zinc-diecast', 'abraded'))!.isUnknown).toBe(true);
    expect(bareEdge(steady(12), T0, bareLimit('stainless', 'abraded'))).toBeNull();
    expect(
      bareEdge([{ ...span(0, 10, 12), fromVapourHpa: null, toVapourHpa: null }], T0, limit)!.isUnknown,
    ).toBe(true);
  });
  it('aluminium 8 h, phosphated iron 24 h dry; rust bloom after blasting is blasted again', () => {
    near(hoursFromT0(bareEdge(steady(15), T0, bareLimit('aluminium-cast', 'abraded'))!.nominalMs), 8, 0.01);
    near(hoursFromT0(bareEdge(steady(15), T0, bareLimit('steel-plate', 'phosphated'))!.nominalMs), 24, 0.01);
    expect(remedyWhenOut('grey-iron', 'blasted')).toBe('reblast');
  });
});

describe('a shop’s own rate (docs/clocks.md 12)', () => {
  const p = (predictedProgress: number, reached = true) => ({
    productId: 'epoxy',
    predictedProgress,
    reached,
  });
  it('needs three, is the geometric mean, is clamped, and does not depend on order', () => {
    expect(shopRate([p(0.8), p(0.8)], 'epoxy').speedBy).toBe(1);
    near(shopRate([p(0.8), p(0.5), p(1.25, false)], 'epoxy').speedBy, (1.25 * 2 * 0.8) ** (1 / 3), 1e-12);
    expect(shopRate([p(0.1), p(0.1), p(0.1)], 'epoxy').speedBy).toBe(2);
    expect(shopRate([p(1.25, false), p(0.5), p(0.8)], 'epoxy')).toEqual(
      shopRate([p(0.8), p(0.5), p(1.25, false)], 'epoxy'),
    );
  });
  it('a test that only agrees with the sheet says nothing', () =>
    expect(shopRate([p(1.2), p(0.7, false), p(3)], 'epoxy').n).toBe(0));
});

describe('a mix (docs/clocks.md 2)', () => {
  it('runs induction inside pot life; heat shortens it, cold never lengthens it past the sheet', () => {
    const s = sheet({
      stages: {
        ...sheet().stages,
        induction: { points: [{ tempC: 20, hours: 0.5 }] },
        potLife: {
          points: [
            { tempC: 10, hours: 6 },
            { tempC: 20, hours: 4 },
            { tempC: 30, hours: 2 },
          ],
        },
      },
    });
    const at20 = mixClock(s, T0, steady(20));
    near(hoursFromT0(at20.usable.nominalMs), 0.5, 0.001);
    near(hoursFromT0(at20.gone!.nominalMs), 4, 0.001);
    near(hoursFromT0(mixClock(s, T0, steady(0)).gone!.bestMs), 6, 0.001);
  });
});
