import { describe, expect, it } from '@jest/globals';
import { HOUR_MS } from '@calvetta/core';
import { FIRST_HOURS, missing, STRIDE, WEEK_MS } from './walk.ts';
import { isWhole } from '../server/src/test/inCi.ts';

describe('the demo is alive whenever it is started, later in the week too', () => {
  it('at every hour of its other days', () => {
    expect(missing(WEEK_MS + FIRST_HOURS * HOUR_MS, 168 - FIRST_HOURS, STRIDE)).toEqual([]);
  }, 240_000);
  // Europe/London, where the works lie: the clocks go on at 01:00 UTC on 29 March 2026 and back on 25 October.
  const days: readonly (readonly [string, number])[] = [
    ['spring', Date.UTC(2026, 2, 29)],
    ['autumn', Date.UTC(2026, 9, 25)],
  ];
  // An hour that is not there is the harder one; both in `.ci/run`.
  it.each(isWhole ? days : days.slice(0, 1))(
    'and on the day of the %s clock change',
    (_, fromMs) => {
      expect(missing(fromMs, 24, Math.min(STRIDE, 3))).toEqual([]);
    },
    120_000,
  );
});
