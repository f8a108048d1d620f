import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import type { Line } from './print.ts';

const DIST = join(import.meta.dirname, '..', 'web', 'dist');

/** Scripts that a built page asks for before it draws, bytes gzipped. */
export function firstScreenBytes(dist: string): number[] {
  const html = readFileSync(join(dist, 'index.html'), 'utf8');
  const files = [...html.matchAll(/(?:src|href)="\/(assets\/[^"]+\.js)"/g)].map((m) => m[1]!);
  return files.map((f) => gzipSync(readFileSync(join(dist, f))).length);
}

/** What a browser must fetch before the Bench is drawn: the entry script and what it preloads, and the Bench's own chunk. */
export function benchFirstScreen(): Line[] {
  if (!existsSync(join(DIST, 'index.html'))) return [{ what: 'not built', value: 'npm run build first' }];
  const bytes = firstScreenBytes(DIST);
  const kB = bytes.reduce((sum, b) => sum + b, 0) / 1000;
  return [{ what: `${bytes.length} files, gzipped`, value: `${kB.toFixed(1)} kB (aim ≤ 150)` }];
}
