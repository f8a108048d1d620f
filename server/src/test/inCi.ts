import { it } from '@jest/globals';

/** Whether everything runs: in `.ci/run`, and where `bin/test` is asked for something by name. */
export const isWhole = process.env['LONG'] === '1' || process.env['NAMED'] === '1';

/** What takes its time and goes a second way to what another test walks already: `.ci/run` walks it too. */
export const itInCi = isWhole ? it : it.skip;
