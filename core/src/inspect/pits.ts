import { firstOutOfRange, type OutOfRange } from '../base/failure.ts';
import { ok, type Result } from '../base/result.ts';
import { seededRandom } from '../base/random.ts';
import { DEEPEST_PIT_MM } from './kinds.ts';

/**
 * The deepest pit of a whole area from the deepest of some equal patches of it (the practice of ASTM G46, quoted from memory: the largest
 * of equal patches follow Gumbel's law; x95 of the whole is derived here). Depths in mm.
 */
export interface PatchPits {
  /** The deepest pit of each patch, mm; 0 where it has none. */
  readonly deepestMm: readonly number[];
  /** Area of the whole face over the area of one patch. */
  readonly wholeOverPatch: number;
  /** Something is eaten right through. */
  readonly isThrough: boolean;
}

/** Why nothing is reckoned: then only the deepest seen is known. */
export type NoEstimate = 'few-patches' | 'no-spread' | 'through' | 'many-without-pits' | 'all-seen';

export interface Gumbel {
  readonly mu: number;
  readonly beta: number;
  /** The depth that one patch in as many as the face holds exceeds, and the depth the whole face exceeds once in twenty, mm. */
  readonly returnMm: number;
  readonly x95Mm: number;
}
export interface PitVerdict {
  readonly deepestSeenMm: number;
  /** What to judge by, mm: the upper end where it was reckoned, never less than the deepest seen. */
  readonly judgeByMm: number;
  /** It is known only that it is at least so deep. */
  readonly isAtLeast: boolean;
  readonly none: NoEstimate | null;
  readonly estimate: {
    readonly moments: Gumbel;
    readonly likelihood: Gumbel;
    /** The larger of the two, and its 90 % interval, mm. */
    readonly x95Mm: number;
    readonly fromMm: number;
    readonly toMm: number;
    /** How straight the patches lie on Gumbel's paper. */
    readonly plot: { readonly slope: number; readonly intercept: number; readonly r: number };
  } | null;
}

const EULER = 0.5772156649015329;
/** A depth gauge reads to a twentieth of a millimetre. */
const GAUGE_MM = 0.05;
const LEAST_PATCHES = 6;
const ROUNDS = 500;

const mean = (xs: readonly number[]): number => xs.reduce((a, x) => a + x, 0) / xs.length;

const gumbel = (mu: number, beta: number, t: number): Gumbel => ({
  mu,
  beta,
  returnMm: mu - beta * Math.log(-Math.log(1 - 1 / t)),
  x95Mm: mu - beta * Math.log(-Math.log(0.95) / t),
});

/** Moments: β = s·√6/π, µ = mean − γβ. */
export function byMoments(xs: readonly number[], t: number): Gumbel {
  const m = mean(xs);
  const s = Math.sqrt(xs.reduce((a, x) => a + (x - m) ** 2, 0) / (xs.length - 1));
  const beta = (s * Math.sqrt(6)) / Math.PI;
  return gumbel(m - EULER * beta, beta, t);
}

/** Maximum likelihood: β = x̄ − Σx·e^(−x/β) / Σe^(−x/β), by bisection; µ = −β·ln(mean e^(−x/β)). */
export function byLikelihood(xs: readonly number[], t: number): Gumbel {
  const m = mean(xs);
  const least = Math.min(...xs);
  // Shifted by the least, so that nothing under- or overflows however narrow β is tried.
  const rest = (beta: number): number => {
    let sum = 0;
    let weighted = 0;
    for (const x of xs) {
      const w = Math.exp(-(x - least) / beta);
      sum += w;
      weighted += x * w;
    }
    return beta - (m - weighted / sum);
  };
  let low = 1e-6 * Math.max(m - least, 1e-6);
  let high = Math.max(m - least, 1e-6) * 10;
  for (let i = 0; i < 100; i++) {
    const middle = (low + high) / 2;
    if (rest(middle) < 0) low = middle;
    else high = middle;
  }
  const beta = (low + high) / 2;
  const mu = least - beta * Math.log(mean(xs.map((x) => Math.exp(-(x - least) / beta))));
  return gumbel(mu, beta, t);
}

const larger = (xs: readonly number[], t: number): { readonly fit: Gumbel; readonly x95Mm: number } => {
  const a = byMoments(xs, t);
  const b = byLikelihood(xs, t);
  return a.x95Mm > b.x95Mm ? { fit: a, x95Mm: a.x95Mm } : { fit: b, x95Mm: b.x95Mm };
};

/** Patches in order against Gumbel's paper at i/(n+1): least squares of depth on the reduced variate. */
function plotOf(xs: readonly number[]): { slope: number; intercept: number; r: number } {
  const sorted = [...xs].sort((a, b) => a - b);
  const y = sorted.map((_, i) => -Math.log(-Math.log((i + 1) / (sorted.length + 1))));
  const my = mean(y);
  const mx = mean(sorted);
  let xy = 0;
  let yy = 0;
  let xx = 0;
  sorted.forEach((x, i) => {
    xy += (x - mx) * (y[i]! - my);
    yy += (y[i]! - my) ** 2;
    xx += (x - mx) ** 2;
  });
  return { slope: xy / yy, intercept: mx - (xy / yy) * my, r: xy / Math.sqrt(xx * yy) };
}

/** 5 and 95 % of the larger estimate over samples drawn from it (parametric bootstrap, seeded), widened by the gauge at both ends. */
function intervalOf(xs: readonly number[], t: number): { fromMm: number; toMm: number } {
  const { fit } = larger(xs, t);
  const random = seededRandom(xs.length * 7919 + Math.round(t));
  const draws = Array.from({ length: ROUNDS }, () => {
    const sample = xs.map(() => fit.mu - fit.beta * Math.log(-Math.log(Math.max(random(), 1e-12))));
    return larger(sample, t).x95Mm;
  }).sort((a, b) => a - b);
  const at = (p: number): number => draws[Math.min(ROUNDS - 1, Math.max(0, Math.round(p * ROUNDS) - 1))]!;
  return { fromMm: at(0.05) - GAUGE_MM, toMm: at(0.95) + GAUGE_MM };
}

function noneOf({ deepestMm: xs, wholeOverPatch, isThrough }: PatchPits): NoEstimate | null {
  if (isThrough) return 'through';
  if (wholeOverPatch <= xs.length) return 'all-seen';
  if (xs.length < LEAST_PATCHES) return 'few-patches';
  if (xs.filter((x) => x === 0).length > xs.length / 4) return 'many-without-pits';
  return Math.max(...xs) - Math.min(...xs) < 1e-9 ? 'no-spread' : null;
}

/** How deep the deepest pit of the whole face is likely to be, and what to judge it by. */
export function judgePits(p: PatchPits): Result<PitVerdict, OutOfRange> {
  const wrong = firstOutOfRange([
    ['patches', p.deepestMm.length, 1, 500, ''],
    ['wholeOverPatch', p.wholeOverPatch, 1, 1_000_000, ''],
    ...p.deepestMm.map((x): [string, number, number, number, string] => [
      'deepestMm',
      x,
      0,
      DEEPEST_PIT_MM,
      'mm',
    ]),
  ]);
  if (wrong) return wrong;
  const xs = p.deepestMm;
  const deepestSeenMm = Math.max(...xs);
  const none = noneOf(p);
  if (none !== null)
    return ok({
      deepestSeenMm,
      judgeByMm: deepestSeenMm,
      isAtLeast: none !== 'all-seen',
      none,
      estimate: null,
    });
  const { x95Mm } = larger(xs, p.wholeOverPatch);
  const interval = intervalOf(xs, p.wholeOverPatch);
  return ok({
    deepestSeenMm,
    judgeByMm: Math.max(deepestSeenMm, interval.toMm),
    isAtLeast: false,
    none: null,
    estimate: {
      moments: byMoments(xs, p.wholeOverPatch),
      likelihood: byLikelihood(xs, p.wholeOverPatch),
      x95Mm,
      fromMm: Math.max(deepestSeenMm, interval.fromMm),
      toMm: Math.max(deepestSeenMm, interval.toMm),
      plot: plotOf(xs),
    },
  });
}

/** A depth far off all others is more likely a slip of the pen: forty for 0.40. Indices of those, for asking before it is stored. */
export function likelySlips(deepestMm: readonly number[]): number[] {
  const sorted = [...deepestMm].sort((a, b) => a - b);
  const median = sorted[Math.floor((sorted.length - 1) / 2)] ?? 0;
  return median === 0 ? [] : deepestMm.flatMap((x, i) => (x > 8 * median && x > 2 ? [i] : []));
}
