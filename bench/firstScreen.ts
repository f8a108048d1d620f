import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import type { Line } from './print.ts';

const DIST = join(import.meta.dirname, '..', 'web', 'dist');

/** What a browser must fetch before the Bench is drawn: the entry script and what it preloads, and the Bench's own chunk. */
export function benchFirstScreen(): Line[] {
  if (!existsSync(join(DIST, 'index.html'))) return [{ what: 'not built', value: 'npm run build first' }];
  const html = readFileSync(join(DIST, 'index.html'), 'utf8');
  const files = [...html.matchAll(/(?:src|href)="\/(assets\/[^"]+\.js)"/g)].map((m) => m[1]!);
  const bytes = files.map((f) => gzipSync(readFileSync(join(DIST, f))).length);
  const kB = bytes.reduce((sum, b) => sum + b, 0) / 1000;
  return [{ what: `${files.length} files, gzipped`, value: `${kB.toFixed(1)} kB (aim ≤ 200)` }];
}
