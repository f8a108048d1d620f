/** One informative test: the predicted progress of the stage when a person found it reached, or not yet. */
export interface CalibrationPoint {
  readonly productId: string;
  readonly predictedProgress: number;
  readonly reached: boolean;
}

export const CALIBRATION_MIN_TESTS = 3;
export const CALIBRATION_RANGE = [0.5, 2] as const;

/**
 * The shop's own rate of a product: the geometric mean of 1/p over tests that contradict the sheet (reached before
 * p = 1, or not yet after it), clamped to 0.5–2; 1 with fewer than three. Recomputed from all facts, so that order and
 * corrections do not matter (docs/clocks.md 12).
 */
export function shopRate(
  points: readonly CalibrationPoint[],
  productId: string,
): { readonly speedBy: number; readonly n: number } {
  const logs = points
    .filter(
      (p) =>
        p.productId === productId &&
        p.predictedProgress > 0 &&
        (p.reached ? p.predictedProgress < 1 : p.predictedProgress > 1),
    )
    .map((p) => -Math.log(p.predictedProgress))
    .sort((a, b) => a - b);
  if (logs.length < CALIBRATION_MIN_TESTS) return { speedBy: 1, n: logs.length };
  const mean = logs.reduce((sum, v) => sum + v, 0) / logs.length;
  return {
    speedBy: Math.min(CALIBRATION_RANGE[1], Math.max(CALIBRATION_RANGE[0], Math.exp(mean))),
    n: logs.length,
  };
}
