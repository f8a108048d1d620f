/** The one error body. `details` depends on the code; `remedy` says what would be accepted. */
export interface ErrorBody {
  readonly code: ErrorCode;
  readonly details: Record<string, unknown>;
  readonly remedy: string;
}

export const ERROR_CODES = [
  'invalid-input',
  'not-found',
  'version-conflict',
  'fact-conflict',
  'superseded-already',
  'in-the-future',
  'before-covered',
  'no-product',
  'coat-refused',
  'route-refused',
  'route-unsafe',
  'unknown-reference',
  'contradicts-later',
  'bad-token',
  'rate-limited',
  'too-large',
  'database-away',
  'import-unreadable',
  'internal',
] as const;
export type ErrorCode = (typeof ERROR_CODES)[number];

/** One field's problem inside `invalid-input`. */
export interface FieldProblem {
  readonly field: string;
  readonly code: string;
  readonly got: unknown;
  readonly accepts: string;
}
