/**
 * For tests only: how many made-up cases a law is tried on. All of them in `.ci/run` (`LONG=1`), a third otherwise: always the same
 * first ones.
 */
export const often = (cases: number): number =>
  (globalThis as { process?: { env: Record<string, string | undefined> } }).process?.env['LONG'] === '1'
    ? cases
    : Math.ceil(cases / 3);
