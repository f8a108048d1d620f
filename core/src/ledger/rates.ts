/**
 * How long this shop takes against what a route reckons, and how sure what is left can be. Shrinkage and spread are ours (docs/ledger.md 11):
 * logarithms, because twice as long and half as long are equally far off.
 */

/** Jobs that weigh as much as "as reckoned" does: with four of them half of what was learned counts. */
const PRIOR_JOBS = 4;
/** Beyond so many times the usual spread a job is left out and named, from five jobs on. */
const OUTLIER_TIMES = 4;
const LEAST_SPREAD = 0.1;
/** Scales a median absolute deviation to a standard deviation of a normal spread. */
const MAD_TO_SD = 1.4826;
const JOBS_FOR_OUTLIERS = 5;
const JOBS_FOR_INTERVAL = 3;

export interface LearnedRate {
  readonly jobs: number;
  /** Median of actual over reckoned, of the jobs that count. */
  readonly median: number;
  /** What a reckoned time is multiplied by: the median, drawn towards 1 where there are few jobs. */
  readonly factor: number;
  /** 80 % interval of the median; null below three jobs. */
  readonly from: number | null;
  readonly to: number | null;
  /** Jobs left out as too far off, by index. */
  readonly outliers: readonly number[];
}

function medianOf(sorted: readonly number[]): number {
  const mid = Math.floor(sorted.length / 2);
  return sorted.length % 2 === 1 ? sorted[mid]! : (sorted[mid - 1]! + sorted[mid]!) / 2;
}
const sortedOf = (xs: readonly number[]): number[] => [...xs].sort((a, b) => a - b);

/** Student's t, one-sided 90 %, by degrees of freedom 1… (tables; quoted from memory). */
const T90 = [3.0777, 1.8856, 1.6377, 1.5332, 1.4759, 1.4398, 1.4149, 1.3968, 1.383, 1.3722];
const t90 = (df: number): number => T90[df - 1] ?? 1.3;

/** What jobs of one kind say, from actual ÷ reckoned of each; null: no job that says anything. Pure. */
export function learnedRate(ratios: readonly number[]): LearnedRate | null {
  const logs = ratios.map((r, i) => ({ i, x: Math.log(r) })).filter((l) => Number.isFinite(l.x));
  if (logs.length === 0) return null;
  const first = medianOf(sortedOf(logs.map((l) => l.x)));
  const mad = medianOf(sortedOf(logs.map((l) => Math.abs(l.x - first))));
  const reach = OUTLIER_TIMES * Math.max(MAD_TO_SD * mad, LEAST_SPREAD);
  const isOut = (x: number): boolean => logs.length >= JOBS_FOR_OUTLIERS && Math.abs(x - first) > reach;
  const kept = logs.filter((l) => !isOut(l.x)).map((l) => l.x);
  const n = kept.length;
  const median = medianOf(sortedOf(kept));
  const mean = kept.reduce((s, x) => s + x, 0) / n;
  const sd = n < 2 ? 0 : Math.sqrt(kept.reduce((s, x) => s + (x - mean) ** 2, 0) / (n - 1));
  const half = n < JOBS_FOR_INTERVAL ? null : (t90(n - 1) * sd) / Math.sqrt(n);
  return {
    jobs: n,
    median: Math.exp(median),
    factor: Math.exp((median * n) / (n + PRIOR_JOBS)),
    from: half === null ? null : Math.exp(median - half),
    to: half === null ? null : Math.exp(median + half),
    outliers: logs.filter((l) => isOut(l.x)).map((l) => l.i),
  };
}

/** Spread of a job's logarithm where nothing was learned, and how alike one person's jobs go wrong. */
const PRIOR_SIGMA = 0.35;
const WITHIN_PERSON = 0.3;
/** Standard normal quantile of 80 %. */
const Z80 = 0.8416212;

export interface HoursLeft {
  readonly p50: number;
  readonly p80: number;
}
/**
 * Hours of several jobs together, from the median of each: means add up, spreads add up with ρ between them, and one lognormal takes the
 * place of the sum (moment matching, after Fenton and Wilkinson). Of nothing: nothing.
 */
export function hoursLeft(mediansH: readonly number[], sigma = PRIOR_SIGMA): HoursLeft {
  const means = mediansH.map((m) => m * Math.exp((sigma * sigma) / 2));
  const sds = means.map((m) => m * Math.sqrt(Math.exp(sigma * sigma) - 1));
  const mean = means.reduce((a, b) => a + b, 0);
  if (mean === 0) return { p50: 0, p80: 0 };
  const sum = sds.reduce((a, b) => a + b, 0);
  const squares = sds.reduce((a, b) => a + b * b, 0);
  const variance = squares + WITHIN_PERSON * (sum * sum - squares);
  const s2 = Math.log(1 + variance / (mean * mean));
  const p50 = mean * Math.exp(-s2 / 2);
  return { p50, p80: p50 * Math.exp(Z80 * Math.sqrt(s2)) };
}

/** Minutes that several jobs share by what each was reckoned at; alike where nothing is known. They add up to the whole. */
export function sharedMinutes(totalMin: number, estimates: readonly (number | null)[]): number[] {
  const known = estimates.filter((e): e is number => e !== null && e > 0);
  const usual = known.length === 0 ? 1 : known.reduce((a, b) => a + b, 0) / known.length;
  const weights = estimates.map((e) => (e !== null && e > 0 ? e : usual));
  const sum = weights.reduce((a, b) => a + b, 0);
  return weights.map((w) => (totalMin * w) / sum);
}
