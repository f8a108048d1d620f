import { describe, expect, it } from '@jest/globals';
import { normal, seededRandom, type Random } from '../base/random.ts';
import {
  correctedShare,
  labOf,
  rustShare,
  type Pixels,
  type Point,
  type RustAsked,
  type Touch,
} from './rustShare.ts';
import { rustDegree } from './trial.ts';

type Rgb = readonly [number, number, number];
const GREEN: Rgb = [62, 92, 78];
const CREAM: Rgb = [222, 210, 178];
const RUSTS: readonly Rgb[] = [
  [138, 74, 34],
  [120, 60, 28],
  [160, 92, 46],
];
const RED: Rgb = [128, 66, 36];

interface Scene {
  readonly share: number;
  readonly paint?: Rgb;
  readonly noise?: number;
  readonly tint?: Rgb;
  readonly gradient?: number;
  readonly seed?: number;
}
/** A picture drawn here: paint with round spots of rust until they cover a share of it, with noise, a cast of colour, light from one side. */
function draw({ share, paint = GREEN, noise = 5, tint = [1, 1, 1], gradient = 0.15, seed = 1 }: Scene) {
  const [width, height] = [220, 160];
  const random = seededRandom(seed);
  const isRust = new Uint8Array(width * height);
  let covered = 0;
  while (covered < share * isRust.length) {
    const [cx, cy, r] = [random() * width, random() * height, 6 + random() * (share > 0.1 ? 8 : 2)];
    for (let y = Math.max(0, Math.floor(cy - r)); y < Math.min(height, cy + r); y++)
      for (let x = Math.max(0, Math.floor(cx - r)); x < Math.min(width, cx + r); x++)
        if (
          (x - cx) ** 2 + (y - cy) ** 2 <= r * r &&
          !isRust[y * width + x] &&
          covered < share * isRust.length
        ) {
          isRust[y * width + x] = 1;
          covered += 1;
        }
  }
  const data = new Uint8ClampedArray(4 * width * height);
  for (let i = 0; i < isRust.length; i++) {
    const colour = isRust[i] ? RUSTS[i % 3]! : paint;
    const light = 1 - gradient / 2 + (gradient * (i % width)) / width;
    for (let k = 0; k < 3; k++) data[4 * i + k] = colour[k]! * tint[k]! * light + noise * normal(random);
    data[4 * i + 3] = 255;
  }
  return { pixels: { data, width, height } satisfies Pixels, isRust, covered: covered / isRust.length };
}
/** Places well inside rust or paint, as a finger would choose them. */
function touchesOf(isRust: Uint8Array, { width, height }: Pixels, random: Random, each = 8): Touch[] {
  return [true, false].flatMap((want) => {
    const inner = [...isRust.keys()].filter((i) => {
      const [x, y] = [i % width, Math.floor(i / width)];
      if ((isRust[i] === 1) !== want || x < 4 || y < 4 || x >= width - 4 || y >= height - 4) return false;
      // The corners of what is taken with a touch lie in the same.
      return [-3, 3].every((dx) => [-3, 3].every((dy) => (isRust[i + dy * width + dx] === 1) === want));
    });
    return Array.from({ length: each }, () => inner[Math.floor(random() * inner.length)]!).map((i) => ({
      x: (i % width) / (width - 1),
      y: Math.floor(i / width) / (height - 1),
      isRust: want,
    }));
  });
}
const WHOLE: RustAsked['corners'] = [
  { x: 0, y: 0 },
  { x: 1, y: 0 },
  { x: 1, y: 1 },
  { x: 0, y: 1 },
];
function asked(scene: Scene, corners: RustAsked['corners'] = WHOLE) {
  const { pixels, isRust, covered } = draw(scene);
  const touches = touchesOf(isRust, pixels, seededRandom((scene.seed ?? 1) + 99));
  return { covered, r: rustShare({ pixels, corners, touches }) };
}

describe('colours', () => {
  // Published values of sRGB primaries in CIELAB under D65 (CIE 15; quoted from memory).
  it.each([
    [
      [255, 255, 255],
      [100, 0, 0],
    ],
    [
      [255, 0, 0],
      [53.24, 80.09, 67.2],
    ],
    [
      [0, 0, 255],
      [32.3, 79.19, -107.86],
    ],
  ] as const)('%j', ([r, g, b], lab) => {
    labOf(r, g, b).forEach((v, i) => expect(Math.abs(v - lab[i]!)).toBeLessThan(0.05));
  });
});

describe('the share behind what was counted', () => {
  it('.034 counted, .005 and .10 wrong: .032402, Ri 4', () => {
    expect(correctedShare(0.034, 0.005, 0.1)).toBeCloseTo(0.032402, 6);
    expect(rustDegree(3.2402)).toBe(4);
  });
});

describe('pictures of a known share', () => {
  const scenes: readonly Scene[] = [
    ...[0.005, 0.03, 0.08, 0.4].map((share, i): Scene => ({ share, seed: i + 1 })),
    ...[0.01, 0.3].map((share, i): Scene => ({ share, paint: CREAM, seed: i + 20 })),
    ...[0.02, 0.1].map((share, i): Scene => ({ share, tint: [1.08, 1, 0.88], seed: i + 30 })),
    ...[0.02, 0.15].map((share, i): Scene => ({ share, noise: 10, gradient: 0.3, seed: i + 40 })),
  ];
  it('within 15 % of itself or .3 points in nine of ten, and the true share within the interval', () => {
    const told = scenes
      .map((s) => asked(s))
      .flatMap(({ covered, r }) => (r.ok ? [{ covered, v: r.value }] : []));
    expect(told.length).toBe(scenes.length);
    const near = told.filter(
      ({ covered, v }) => Math.abs(v.sharePct - 100 * covered) <= Math.max(15 * covered, 0.3),
    );
    expect(near.length / told.length).toBeGreaterThanOrEqual(0.9);
    for (const { covered, v } of told) {
      expect(v.fromPct).toBeLessThanOrEqual(100 * covered + 0.4);
      expect(v.toPct).toBeGreaterThanOrEqual(100 * covered - 0.4);
      expect(Math.abs(rustDegree(v.sharePct) - rustDegree(100 * covered))).toBeLessThanOrEqual(1);
    }
  });
  it('the same picture gives the same answer', () => {
    const s: Scene = { share: 0.05, seed: 7 };
    expect(asked(s).r).toEqual(asked(s).r);
  });
  it('a face seen aslant: what is far counts for as much of it as what is near', () => {
    // Left half rust, right half paint, on a face whose right edge is half as high as its left.
    const [width, height] = [200, 120];
    const corners: RustAsked['corners'] = [
      { x: 0.1, y: 0.05 },
      { x: 0.9, y: 0.275 },
      { x: 0.9, y: 0.725 },
      { x: 0.1, y: 0.95 },
    ];
    // In the picture of a plane the middle of its far and near edge lies where the diagonals cross.
    const middle = crossing(corners[0], corners[2], corners[1], corners[3]).x;
    const data = new Uint8ClampedArray(4 * width * height).fill(255);
    const random = seededRandom(5);
    for (let i = 0; i < width * height; i++) {
      const colour = (i % width) / (width - 1) < middle ? RUSTS[i % 3]! : GREEN;
      for (let k = 0; k < 3; k++) data[4 * i + k] = colour[k]! + 4 * normal(random);
    }
    const at = (x: number, y: number, isRust: boolean): Touch => ({ x, y, isRust });
    const touches = [0.3, 0.4, 0.5, 0.6, 0.7].flatMap((y) => [at(0.2, y, true), at(0.8, y, false)]);
    const r = rustShare({ pixels: { data, width, height }, corners, touches });
    expect(r.ok && Math.abs(r.value.sharePct - 50)).toBeLessThan(2);
  });
});

function crossing(a: Point, b: Point, c: Point, d: Point): Point {
  const t =
    ((c.x - a.x) * (d.y - c.y) - (c.y - a.y) * (d.x - c.x)) /
    ((b.x - a.x) * (d.y - c.y) - (b.y - a.y) * (d.x - c.x));
  return { x: a.x + t * (b.x - a.x), y: a.y + t * (b.y - a.y) };
}

describe('what cannot be told is refused, and said so', () => {
  it('red paint looks like rust', () => {
    const { r } = asked({ share: 0.1, paint: RED, noise: 9, seed: 3 });
    expect(r).toMatchObject({ ok: false, error: { why: 'alike' } });
    expect(!r.ok && r.error.why === 'alike' && r.error.errorPct).toBeGreaterThan(5);
  });
  it('too few touches, and a face without an area', () => {
    const { pixels, isRust } = draw({ share: 0.1 });
    const touches = touchesOf(isRust, pixels, seededRandom(2), 3);
    expect(rustShare({ pixels, corners: WHOLE, touches })).toEqual({
      ok: false,
      error: { why: 'few-touches', rust: 3, sound: 3 },
    });
    const flat = { x: 0.5, y: 0.5 };
    const more = touchesOf(isRust, pixels, seededRandom(2), 6);
    expect(rustShare({ pixels, corners: [flat, flat, flat, flat], touches: more })).toEqual({
      ok: false,
      error: { why: 'no-face' },
    });
  });
  it('glare is masked, and widens what is said', () => {
    const { pixels, isRust } = draw({ share: 0.1, seed: 12 });
    const touches = touchesOf(isRust, pixels, seededRandom(4));
    const bright = { ...pixels, data: pixels.data.slice() };
    for (let i = 0; i < bright.data.length / 4; i++)
      if (i % pixels.width < 50) bright.data.fill(255, 4 * i, 4 * i + 3);
    const free = touches.filter((t) => t.x * (pixels.width - 1) > 54);
    const r = rustShare({ pixels: bright, corners: WHOLE, touches: free });
    expect(r.ok && Math.abs(r.value.maskedPct - 22.7)).toBeLessThan(1.5);
    expect(r.ok && r.value.toPct - r.value.fromPct).toBeGreaterThan(22);
  });
});
