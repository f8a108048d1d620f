import { expect, it } from '@jest/globals';
import { firstScreenBytes } from '../bench/firstScreen.ts';

// A tablet on a workshop's network: the aim of the brief.
const MOST_BYTES = 150_000;

it('asks for no more than 150 kB of scripts, gzipped, before the Bench is drawn', () => {
  const bytes = firstScreenBytes(process.env['WEB_FOLDER']!);
  // A page without scripts would be light too.
  expect(bytes.length).toBeGreaterThan(3);
  expect(bytes.reduce((sum, b) => sum + b, 0)).toBeLessThanOrEqual(MOST_BYTES);
});
