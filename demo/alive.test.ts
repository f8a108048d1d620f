import { describe, expect, it } from '@jest/globals';
import { FIRST_HOURS, missing, STRIDE, WEEK_MS } from './walk.ts';

describe('the demo is alive whenever it is started: every state of a window, every answer of a gate', () => {
  it('at every hour of the first days of a week', () => {
    expect(missing(WEEK_MS, FIRST_HOURS, STRIDE)).toEqual([]);
  }, 240_000);
});
