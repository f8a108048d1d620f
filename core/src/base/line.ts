/** A least-squares line with what its uncertainty needs. */
export interface Line {
  readonly n: number;
  readonly meanX: number;
  readonly meanY: number;
  readonly sxx: number;
  readonly slope: number;
  /** Residual variance; 0 for two points. */
  readonly s2: number;
}
type XY = readonly [x: number, y: number];

/** The line through points; null where they do not differ in x. */
export function fitLine(points: readonly XY[]): Line | null {
  const n = points.length;
  if (n < 2) return null;
  const meanX = points.reduce((a, [x]) => a + x, 0) / n;
  const meanY = points.reduce((a, [, y]) => a + y, 0) / n;
  let sxx = 0;
  let sxy = 0;
  for (const [x, y] of points) {
    sxx += (x - meanX) ** 2;
    sxy += (x - meanX) * (y - meanY);
  }
  if (sxx === 0) return null;
  const slope = sxy / sxx;
  const rest = points.reduce((a, [x, y]) => a + (y - meanY - slope * (x - meanX)) ** 2, 0);
  return { n, meanX, meanY, sxx, slope, s2: n > 2 ? rest / (n - 2) : 0 };
}

/** Student's t, one-sided 95 %, by degrees of freedom 1… (tables; quoted from memory). */
const T95 = [
  6.3138, 2.92, 2.3534, 2.1318, 2.015, 1.9432, 1.8946, 1.8595, 1.8331, 1.8125, 1.7959, 1.7823, 1.7709, 1.7613,
  1.7531,
];
const t95 = (df: number): number => T95[df - 1] ?? 1.75;

/** Where a line crosses a height, with its 90 % interval. */
export interface Crossing {
  readonly at: number;
  readonly from: number;
  readonly to: number;
}
/** Fieller's interval of the crossing (inverse regression, quoted from memory); null where the line is not surely sloped (g ≥ 1). Three points at least. */
export function crossingAt(line: Line, y: number): Crossing | null {
  if (line.n < 3 || line.slope === 0) return null;
  const at = line.meanX + (y - line.meanY) / line.slope;
  const t = t95(line.n - 2);
  const g = (t * t * line.s2) / (line.slope ** 2 * line.sxx);
  if (g >= 1) return null;
  const d = at - line.meanX;
  const middle = line.meanX + d / (1 - g);
  const half =
    ((t * Math.sqrt(line.s2)) / (Math.abs(line.slope) * (1 - g))) *
    Math.sqrt((1 - g) / line.n + (d * d) / line.sxx);
  return { at, from: middle - half, to: middle + half };
}
