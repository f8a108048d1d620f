/** A number outside what the formula or the sheet covers. `unit` names the unit of got, min and max. */
export interface OutOfRange {
  readonly code: 'out-of-range';
  readonly field: string;
  readonly got: number | null;
  readonly min: number;
  readonly max: number;
  readonly unit: string;
}

/** Text that could not be read as a quantity; `accepts` gives examples of what can. */
export interface NotAQuantity {
  readonly code: 'not-a-quantity';
  readonly field: string;
  readonly text: string;
  readonly accepts: readonly string[];
}

/** A bare number that is implausible in the page's unit but plausible in another: asked, never guessed. */
export interface WhichUnit {
  readonly code: 'which-unit';
  readonly field: string;
  readonly text: string;
  readonly choices: readonly string[];
}

/** A set of values that contradict one another, such as a sheet that gets slower as it warms. */
export interface Contradiction {
  readonly code: 'contradiction';
  readonly field: string;
  readonly rule: string;
}

export type Failure = OutOfRange | NotAQuantity | WhichUnit | Contradiction;

/** Checks min ≤ value ≤ max in one comparison that also stops NaN. Null when fine. */
export function rangeFailure(
  field: string,
  value: number,
  min: number,
  max: number,
  unit: string,
): OutOfRange | null {
  if (value >= min && value <= max) return null;
  return { code: 'out-of-range', field, got: Number.isFinite(value) ? value : null, min, max, unit };
}

/** The first failure among several range checks `[field, value, min, max, unit]`, as a Result, or null. */
export function firstOutOfRange(checks: readonly (readonly [string, number, number, number, string])[]) {
  for (const [field, value, min, max, unit] of checks) {
    const failure = rangeFailure(field, value, min, max, unit);
    if (failure) return { ok: false as const, error: failure };
  }
  return null;
}
