import { describe, expect, it } from '@jest/globals';
import { isWhole } from '../server/src/test/inCi.ts';
import { missing, STRIDE } from './walk.ts';

// Europe/London, where the works lie: the clocks go on at 01:00 UTC on 29 March 2026 and back on 25 October.
const DAYS: readonly (readonly [string, number])[] = [
  ['spring', Date.UTC(2026, 2, 29)],
  ['autumn', Date.UTC(2026, 9, 25)],
];

describe('the demo is alive whenever it is started, on a day with an hour too few or too many as well', () => {
  // An hour that is not there is the harder one; both in `.ci/run`.
  it.each(isWhole ? DAYS : DAYS.slice(0, 1))(
    'on the day of the %s clock change',
    (_, fromMs) => {
      expect(missing(fromMs, 24, Math.min(STRIDE, 3))).toEqual([]);
    },
    240_000,
  );
});
