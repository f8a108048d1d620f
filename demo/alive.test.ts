import { describe, expect, it } from '@jest/globals';
import { execFile } from 'node:child_process';
import { join } from 'node:path';
import { promisify } from 'node:util';

const run = promisify(execFile);

/**
 * The whole of the walk is every hour (`FULL_GRID`, as `.ci/run` sets it); else every seventh, which in a week meets each hour of
 * the day once.
 */
const STRIDE = process.env['FULL_GRID'] === undefined ? 7 : 1;

/** States and acts that the demo misses in hours from a moment on. */
async function missing(fromMs: number, hours: number, stride: number): Promise<unknown> {
  const walk = join(import.meta.dirname, 'walk.ts');
  const { stdout } = await run(
    process.execPath,
    ['--conditions=@calvetta/source', '--import', 'tsx', walk, String(fromMs), String(hours), String(stride)],
    { cwd: join(import.meta.dirname, '..') },
  );
  return JSON.parse(stdout);
}

describe('the demo is alive whenever it is started: every state of a window, every answer of a gate', () => {
  it('at every hour of seven days', async () => {
    expect(await missing(Date.UTC(2026, 10, 25), 168, STRIDE)).toEqual([]);
  }, 240_000);
  // Europe/London, where the works lie: the clocks go on at 01:00 UTC on 29 March 2026 and back on 25 October.
  it.each([
    ['spring', Date.UTC(2026, 2, 29)],
    ['autumn', Date.UTC(2026, 9, 25)],
  ])(
    'and on the day of the %s clock change',
    async (_, fromMs) => {
      expect(await missing(fromMs, 24, Math.min(STRIDE, 3))).toEqual([]);
    },
    120_000,
  );
});
