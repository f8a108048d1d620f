import { describe, expect, it } from '@jest/globals';
import { missing } from './walk.ts';

/**
 * The whole of the walk is every hour (`LONG=1`, as `.ci/run` sets it); else every seventh, which in a week meets each hour of
 * the day once.
 */
const STRIDE = process.env['LONG'] === '1' ? 1 : 7;

describe('the demo is alive whenever it is started: every state of a window, every answer of a gate', () => {
  it('at every hour of seven days', () => {
    expect(missing(Date.UTC(2026, 10, 25), 168, STRIDE)).toEqual([]);
  }, 240_000);
  // Europe/London, where the works lie: the clocks go on at 01:00 UTC on 29 March 2026 and back on 25 October.
  it.each([
    ['spring', Date.UTC(2026, 2, 29)],
    ['autumn', Date.UTC(2026, 9, 25)],
  ])(
    'and on the day of the %s clock change',
    (_, fromMs) => {
      expect(missing(fromMs, 24, Math.min(STRIDE, 3))).toEqual([]);
    },
    120_000,
  );
});
