import { describe, expect, it } from '@jest/globals';
import { execFile } from 'node:child_process';
import { join } from 'node:path';
import { promisify } from 'node:util';

const run = promisify(execFile);

/** States and acts that the demo misses in hours from a moment on. */
async function missing(fromMs: number, hours: number): Promise<unknown> {
  const walk = join(import.meta.dirname, 'walk.ts');
  const { stdout } = await run(
    process.execPath,
    ['--conditions=@calvetta/source', '--import', 'tsx', walk, String(fromMs), String(hours)],
    { cwd: join(import.meta.dirname, '..') },
  );
  return JSON.parse(stdout);
}

describe('the demo is alive whenever it is started: every state of a window, every answer of a gate', () => {
  it('at every hour of seven days', async () => {
    expect(await missing(Date.UTC(2026, 10, 25), 168)).toEqual([]);
  }, 240_000);
  // Europe/London, where the works lie: the clocks go on at 01:00 UTC on 29 March 2026 and back on 25 October.
  it.each([
    ['spring', Date.UTC(2026, 2, 29)],
    ['autumn', Date.UTC(2026, 9, 25)],
  ])(
    'and on the day of the %s clock change',
    async (_, fromMs) => {
      expect(await missing(fromMs, 24)).toEqual([]);
    },
    120_000,
  );
});
