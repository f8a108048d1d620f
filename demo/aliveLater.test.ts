import { describe, expect } from '@jest/globals';
import { HOUR_MS } from '@calvetta/core';
import { itInCi } from '../server/src/test/inCi.ts';
import { FIRST_HOURS, missing, STRIDE, WEEK_MS } from './walk.ts';

describe('the demo is alive whenever it is started, later in the week too', () => {
  itInCi(
    'at every hour of its other days',
    () => {
      expect(missing(WEEK_MS + FIRST_HOURS * HOUR_MS, 168 - FIRST_HOURS, STRIDE)).toEqual([]);
    },
    240_000,
  );
});
