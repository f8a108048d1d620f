import { describe, expect, it } from '@jest/globals';
import { readdirSync } from 'node:fs';
import type { Rule } from '../rule.ts';
import { FULL_SHOP } from '../../part/shopMeans.ts';
import { prepSteps } from '../build.ts';
import { coatSteps } from '../coats.ts';
import { FAMILIES, given, layersFrom, PLAIN } from '../test/given.ts';
import { viewOf } from '../view.ts';
import { CASES } from '../test/allCases.ts';
import { RULES } from './index.ts';

const outcome = (r: Rule, g: Parameters<typeof given>[0]): string => r.check(given(g))?.status ?? 'clear';

describe.each(RULES.map((r) => [r.id, r] as const))('%s', (id, r) => {
  const cases = CASES[id];
  it('has cases of every kind, and each comes out as written', () => {
    expect(cases).toBeDefined();
    // A rule that only ever asks has no case that fires.
    expect(cases!.fires.length + (cases!.unknown === 'never' ? 0 : cases!.unknown.length)).toBeGreaterThan(0);
    expect(cases!.clear.length).toBeGreaterThan(0);
    expect(cases!.fires.map((g) => outcome(r, g))).toEqual(cases!.fires.map(() => 'fires'));
    expect(cases!.clear.map((g) => outcome(r, g))).toEqual(cases!.clear.map(() => 'clear'));
    if (cases!.unknown !== 'never')
      expect(cases!.unknown.map((g) => outcome(r, g))).toEqual(cases!.unknown.map(() => 'unknown'));
  });
  it('names its source, and what would remove it when it refuses', () => {
    expect(r.source.text.length).toBeGreaterThan(5);
    if (r.severity === 'refuse') expect(r.remedies.length).toBeGreaterThan(0);
  });
});

describe('the rules as a body', () => {
  it('no id twice, no case without its rule, and each file is in the index', () => {
    const ids = RULES.map((r) => r.id);
    expect(new Set(ids).size).toBe(ids.length);
    expect(Object.keys(CASES).sort()).toEqual([...ids].sort());
    const files = readdirSync(import.meta.dirname, { recursive: true })
      .map(String)
      .filter((f) => f.includes('/') && f.endsWith('.ts') && !f.endsWith('.spec.ts'))
      .map((f) =>
        f
          .replace(/\.ts$/, '')
          .replace('/', '.')
          .replace(/[A-Z]/g, (c) => `-${c.toLowerCase()}`),
      );
    expect(files.sort()).toEqual([...ids].sort());
  });
  it('a rule of a phase looks at no more than it says', () => {
    const layers = layersFrom('epoxy-mastic gloss-2k*2');
    const prep = prepSteps(PLAIN, FULL_SHOP, ['grit-blast']);
    const coats = coatSteps(PLAIN, FULL_SHOP, layers, FAMILIES);
    const whole = viewOf(PLAIN, FULL_SHOP, [...prep, ...coats], FAMILIES);
    const onlyPrep = viewOf(PLAIN, FULL_SHOP, prep, FAMILIES);
    const onlyCoats = viewOf(PLAIN, FULL_SHOP, coats, FAMILIES);
    for (const r of RULES) {
      if (r.phase === 'prep') expect([r.id, r.check(onlyPrep)]).toEqual([r.id, r.check(whole)]);
      if (r.phase === 'coats') expect([r.id, r.check(onlyCoats)]).toEqual([r.id, r.check(whole)]);
    }
  });
});
