import { describe, expect, it } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import * as words from './index.ts';
import { ERROR_REMEDIES } from './index.ts';

const docs = readFileSync(join(import.meta.dirname, '..', '..', '..', 'docs', 'errors.md'), 'utf8');
const documented = [...docs.matchAll(/^\| `([a-z-]+)`\s*\|/gm)].map((m) => m[1]!);

describe('words for every code', () => {
  it('every error of the catalogue is documented with its remedy, and nothing else is', () => {
    expect([...documented].sort()).toEqual(Object.keys(ERROR_REMEDIES).sort());
    for (const remedy of Object.values(ERROR_REMEDIES)) expect(docs).toContain(remedy);
  });
  it('no list of words has an empty one', () => {
    const lists = Object.entries(words).filter(([name]) => /^[A-Z_]+$/.test(name));
    expect(lists.length).toBeGreaterThan(15);
    for (const [name, list] of lists)
      for (const [code, text] of Object.entries(list as Record<string, unknown>))
        if (typeof text === 'string') expect(`${name}.${code}: ${text}`.trimEnd()).not.toMatch(/: $/);
  });
});
