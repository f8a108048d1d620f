import type { Failure } from './failure.ts';

/** Outcome of a computation that can meet impossible input: a value, or one typed failure. Never throws, never NaN. */
export type Result<T, E = Failure> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly error: E };

export function ok<T>(value: T): { readonly ok: true; readonly value: T } {
  return { ok: true, value };
}

export function err<E>(error: E): { readonly ok: false; readonly error: E } {
  return { ok: false, error };
}

/** The value, or throws: for tests and for places where the input was already checked. */
export function must<T>(result: Result<T, unknown>): T {
  if (!result.ok) throw new Error(`unexpected failure: ${JSON.stringify(result.error)}`);
  return result.value;
}
