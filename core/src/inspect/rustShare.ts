import { seededRandom } from '../base/random.ts';

/**
 * How much of a painted face shows rust, from a picture: somebody touches spots of rust and of sound paint, the colours of both are learned as
 * Gaussian classes in CIELAB, and every point of the face is asked which it is nearer. Some touches are held out and say how often that is
 * wrong; the share is corrected for it (Rogan and Gladen's estimator, quoted from memory). Red paint, primer and dirt look like rust: then
 * the held-out touches go wrong, and it is refused. Wet and black rust are missed.
 */

/** Points of a picture, four bytes each: red, green, blue and what is not looked at (sRGB). */
export interface Pixels {
  readonly data: Uint8ClampedArray;
  readonly width: number;
  readonly height: number;
}
/** A place on the picture, 0…1 from its upper left corner. */
export interface Point {
  readonly x: number;
  readonly y: number;
}
export interface Touch extends Point {
  readonly isRust: boolean;
}
export interface RustAsked {
  readonly pixels: Pixels;
  /** The four corners of the face, in order round it. */
  readonly corners: readonly [Point, Point, Point, Point];
  readonly touches: readonly Touch[];
}
export type RustRefusal =
  /** Too few touches of one of the two to learn it and to hold some out. */
  | { readonly why: 'few-touches'; readonly rust: number; readonly sound: number }
  /** Held-out touches went wrong too often. */
  | { readonly why: 'alike'; readonly errorPct: number }
  /** More than half of the face was glare, shadow, or of no colour that was touched. */
  | { readonly why: 'mostly-masked'; readonly maskedPct: number }
  | { readonly why: 'no-face' };
export interface RustShare {
  /** Corrected, with a 90 % interval widened by what was masked, % of the face. */
  readonly sharePct: number;
  readonly fromPct: number;
  readonly toPct: number;
  readonly maskedPct: number;
  /** Of held-out touches: sound taken for rust, and rust for sound. */
  readonly falseRust: number;
  readonly falseSound: number;
  /** For every point of the picture: 0 outside, 1 sound, 2 rust, 3 masked. */
  readonly mask: Uint8Array;
}

export const LEAST_TOUCHES = 4;
const MOST_ERROR = 0.05;
/** Points about a touch that are taken with it, to each side. */
const AROUND = 3;
/** A colour this far from both classes, in their own spread, is neither. */
const FAR2 = 30;
const GLARE_L = 96;
const SHADOW_L = 6;
const ROUNDS = 60;
const SAMPLE = 6_000;

type Lab = readonly [number, number, number];
const LINEAR = Float64Array.from({ length: 256 }, (_, i) => {
  const c = i / 255;
  return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
});
const cube = (t: number): number => (t > 216 / 24389 ? Math.cbrt(t) : (24389 / 27) * (t / 116) + 16 / 116);
/** sRGB (IEC 61966-2-1, D65) to CIELAB (CIE 15); quoted from memory. */
export function labOf(r: number, g: number, b: number): Lab {
  const [R, G, B] = [LINEAR[r]!, LINEAR[g]!, LINEAR[b]!];
  const x = cube((0.4124564 * R + 0.3575761 * G + 0.1804375 * B) / 0.95047);
  const y = cube(0.2126729 * R + 0.7151522 * G + 0.072175 * B);
  const z = cube((0.0193339 * R + 0.119192 * G + 0.9503041 * B) / 1.08883);
  return [116 * y - 16, 500 * (x - y), 200 * (y - z)];
}

/** Share of rust behind what was counted, with the errors of counting: (o − fp) / (1 − fp − fn), 0…1. */
export const correctedShare = (counted: number, falseRust: number, falseSound: number): number =>
  Math.min(1, Math.max(0, (counted - falseRust) / (1 - falseRust - falseSound)));

interface Gaussian {
  readonly mean: Lab;
  /** Inverse of the covariance, and the logarithm of its determinant. */
  readonly inverse: readonly number[];
  readonly logDet: number;
}
/** A class of colours; its covariance is drawn towards its own diagonal, so that a few touches do not make a knife’s edge. */
function gaussianOf(points: readonly Lab[]): Gaussian {
  const n = points.length;
  const mean: [number, number, number] = [0, 0, 0];
  for (const p of points) for (let i = 0; i < 3; i++) mean[i]! += p[i]! / n;
  const c = new Array<number>(9).fill(0);
  for (const p of points)
    for (let i = 0; i < 3; i++)
      for (let j = 0; j < 3; j++)
        c[3 * i + j]! += ((p[i]! - mean[i]!) * (p[j]! - mean[j]!)) / Math.max(1, n - 1);
  const shrunk = c.map((v, k) => (k % 4 === 0 ? v + 4 : 0.8 * v));
  const [a, b, d, , e, f, , , g] = shrunk as [
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
  ];
  const det = a * (e * g - f * f) - b * (b * g - f * d) + d * (b * f - e * d);
  const inverse = [
    (e * g - f * f) / det,
    (d * f - b * g) / det,
    (b * f - d * e) / det,
    (a * g - d * d) / det,
    (b * d - a * f) / det,
    (a * e - b * b) / det,
  ];
  return { mean, inverse, logDet: Math.log(det) };
}
/** Squared distance from a class, in its own spread. */
function distance2({ mean, inverse: m }: Gaussian, [l, a, b]: Lab): number {
  const x = l - mean[0];
  const y = a - mean[1];
  const z = b - mean[2];
  return (
    m[0]! * x * x + 2 * m[1]! * x * y + 2 * m[2]! * x * z + m[3]! * y * y + 2 * m[4]! * y * z + m[5]! * z * z
  );
}
interface Classes {
  readonly rust: Gaussian;
  readonly sound: Gaussian;
}
const SOUND = 1;
const RUST = 2;
const MASKED = 3;
function classOf({ rust, sound }: Classes, lab: Lab): 1 | 2 | 3 {
  if (lab[0] > GLARE_L || lab[0] < SHADOW_L) return MASKED;
  const r = distance2(rust, lab);
  const s = distance2(sound, lab);
  if (r > FAR2 && s > FAR2) return MASKED;
  return r + rust.logDet < s + sound.logDet ? RUST : SOUND;
}

/** The colours about a touch. */
function patchOf({ data, width, height }: Pixels, { x, y }: Point): Lab[] {
  const cx = Math.min(width - 1, Math.max(0, Math.round(x * (width - 1))));
  const cy = Math.min(height - 1, Math.max(0, Math.round(y * (height - 1))));
  const out: Lab[] = [];
  for (let py = Math.max(0, cy - AROUND); py <= Math.min(height - 1, cy + AROUND); py++)
    for (let px = Math.max(0, cx - AROUND); px <= Math.min(width - 1, cx + AROUND); px++) {
      const i = 4 * (py * width + px);
      out.push(labOf(data[i]!, data[i + 1]!, data[i + 2]!));
    }
  return out;
}
interface Patch {
  readonly isRust: boolean;
  readonly colours: readonly Lab[];
}
const learn = (patches: readonly Patch[]): Classes => ({
  rust: gaussianOf(patches.filter((p) => p.isRust).flatMap((p) => p.colours)),
  sound: gaussianOf(patches.filter((p) => !p.isRust).flatMap((p) => p.colours)),
});

/** How often touches that were not learned from go wrong: every second is held out in turn, in each class. */
function heldOut(patches: readonly Patch[]): { readonly falseRust: number; readonly falseSound: number } {
  const own = (isRust: boolean): readonly Patch[] => patches.filter((p) => p.isRust === isRust);
  const wrong = { rust: 0, sound: 0 };
  const all = { rust: 0, sound: 0 };
  for (const turn of [0, 1]) {
    const held = new Set([own(true), own(false)].flatMap((list) => list.filter((_, i) => i % 2 === turn)));
    const classes = learn(patches.filter((p) => !held.has(p)));
    for (const p of held)
      for (const lab of p.colours) {
        const c = classOf(classes, lab);
        if (c === MASKED) continue;
        all[p.isRust ? 'rust' : 'sound'] += 1;
        if ((c === RUST) !== p.isRust) wrong[p.isRust ? 'rust' : 'sound'] += 1;
      }
  }
  return {
    falseRust: all.sound === 0 ? 1 : wrong.sound / all.sound,
    falseSound: all.rust === 0 ? 1 : wrong.rust / all.rust,
  };
}

/**
 * Which points lie on the face, and how much of it each stands for: a face seen aslant has its far points worth more. The four corners are
 * mapped to a square (plane projective map); a point is worth the determinant of that map there.
 */
function weightsOf({ width, height }: Pixels, corners: RustAsked['corners']): Float32Array | null {
  const [p0, p1, p2, p3] = corners.map(
    (c) => [c.x * (width - 1), c.y * (height - 1)] as const,
  ) as unknown as readonly [
    readonly [number, number],
    readonly [number, number],
    readonly [number, number],
    readonly [number, number],
  ];
  // Square to picture (Heckbert), then turned round.
  const dx1 = p1[0] - p2[0];
  const dx2 = p3[0] - p2[0];
  const dy1 = p1[1] - p2[1];
  const dy2 = p3[1] - p2[1];
  const sx = p0[0] - p1[0] + p2[0] - p3[0];
  const sy = p0[1] - p1[1] + p2[1] - p3[1];
  const det = dx1 * dy2 - dx2 * dy1;
  if (Math.abs(det) < 1e-6) return null;
  const g = (sx * dy2 - dx2 * sy) / det;
  const h = (dx1 * sy - sx * dy1) / det;
  const [a, b, c] = [p1[0] - p0[0] + g * p1[0], p3[0] - p0[0] + h * p3[0], p0[0]];
  const [d, e, f] = [p1[1] - p0[1] + g * p1[1], p3[1] - p0[1] + h * p3[1], p0[1]];
  const m = [
    e - f * h,
    c * h - b,
    b * f - c * e,
    f * g - d,
    a - c * g,
    c * d - a * f,
    d * h - e * g,
    b * g - a * h,
    a * e - b * d,
  ];
  const detM = Math.abs(a * (e - f * h) - b * (d - f * g) + c * (d * h - e * g)) ** 2;
  const out = new Float32Array(width * height);
  let total = 0;
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const w = m[6]! * x + m[7]! * y + m[8]!;
      const u = (m[0]! * x + m[1]! * y + m[2]!) / w;
      const v = (m[3]! * x + m[4]! * y + m[5]!) / w;
      if (!(u >= 0 && u <= 1 && v >= 0 && v <= 1)) continue;
      const worth = detM / Math.abs(w * w * w);
      out[y * width + x] = worth;
      total += worth;
    }
  return total > 0 && Number.isFinite(total) ? out : null;
}

/** The share of a face that shows rust, or why it cannot be said. Pure; the same picture and touches give the same answer. */
export function rustShare({
  pixels,
  corners,
  touches,
}: RustAsked):
  | { readonly ok: true; readonly value: RustShare }
  | { readonly ok: false; readonly error: RustRefusal } {
  const refuse = (error: RustRefusal) => ({ ok: false, error }) as const;
  const rust = touches.filter((t) => t.isRust).length;
  const sound = touches.length - rust;
  if (rust < LEAST_TOUCHES || sound < LEAST_TOUCHES) return refuse({ why: 'few-touches', rust, sound });
  const weights = weightsOf(pixels, corners);
  if (!weights) return refuse({ why: 'no-face' });
  const patches = touches.map((t): Patch => ({ isRust: t.isRust, colours: patchOf(pixels, t) }));
  const { falseRust, falseSound } = heldOut(patches);
  const error = Math.max(falseRust, falseSound);
  if (error > MOST_ERROR) return refuse({ why: 'alike', errorPct: 100 * error });
  const { data, width, height } = pixels;
  const classes = learn(patches);
  const mask = new Uint8Array(width * height);
  const sums = [0, 0, 0, 0];
  let inside = 0;
  for (let i = 0; i < mask.length; i++) {
    if (weights[i] === 0) continue;
    inside += 1;
    const c = classOf(classes, labOf(data[4 * i]!, data[4 * i + 1]!, data[4 * i + 2]!));
    mask[i] = c;
    sums[c]! += weights[i]!;
  }
  const total = sums[SOUND]! + sums[RUST]! + sums[MASKED]!;
  const masked = sums[MASKED]! / total;
  if (masked > 0.5) return refuse({ why: 'mostly-masked', maskedPct: 100 * masked });
  const share = correctedShare(sums[RUST]! / (sums[SOUND]! + sums[RUST]!), falseRust, falseSound);
  const spread = bootstrap(pixels, weights, inside, patches);
  // What was masked may be all sound or all rust.
  return {
    ok: true,
    value: {
      sharePct: 100 * share,
      fromPct: 100 * Math.min(share, spread.from) * (1 - masked),
      toPct: 100 * (Math.max(share, spread.to) * (1 - masked) + masked),
      maskedPct: 100 * masked,
      falseRust,
      falseSound,
      mask,
    },
  };
}

/** 5 and 95 % of the corrected share with touches drawn anew, on a sample of points. */
function bootstrap(
  pixels: Pixels,
  weights: Float32Array,
  inside: number,
  patches: readonly Patch[],
): { readonly from: number; readonly to: number } {
  const random = seededRandom(patches.length * 131 + inside);
  const step = Math.max(1, Math.floor(inside / SAMPLE));
  const sample: { worth: number; lab: Lab }[] = [];
  const { data } = pixels;
  for (let i = 0, n = 0; i < weights.length; i++) {
    if (weights[i] === 0 || n++ % step !== 0) continue;
    sample.push({ worth: weights[i]!, lab: labOf(data[4 * i]!, data[4 * i + 1]!, data[4 * i + 2]!) });
  }
  const of = (isRust: boolean): readonly Patch[] => patches.filter((p) => p.isRust === isRust);
  const drawn = (list: readonly Patch[]): Patch[] =>
    list.map(() => list[Math.floor(random() * list.length)]!);
  const shares = Array.from({ length: ROUNDS }, () => {
    const again = [...drawn(of(true)), ...drawn(of(false))];
    const classes = learn(again);
    let rust = 0;
    let all = 0;
    for (const { lab, worth } of sample) {
      const c = classOf(classes, lab);
      if (c === MASKED) continue;
      all += worth;
      if (c === RUST) rust += worth;
    }
    return all === 0 ? 0 : rust / all;
  }).sort((a, b) => a - b);
  return {
    from: shares[Math.floor(0.05 * ROUNDS)]!,
    to: shares[Math.min(ROUNDS - 1, Math.floor(0.95 * ROUNDS))]!,
  };
}
