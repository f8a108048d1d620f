import { describe, expect, it } from '@jest/globals';
import { FULL_SHOP } from '../part/shopMeans.ts';
import { advise, type Advice } from './advise.ts';
import { judge } from './judge.ts';
import { CASES } from './test/allCases.ts';
import { RULES } from './rules/index.ts';
import { FAMILIES, given, PLAIN } from './test/given.ts';
import type { Golden } from './test/golden.ts';
import { GOLDEN_METALS } from './test/goldenMetals.ts';
import { GOLDEN_WORK } from './test/goldenWork.ts';

const GOLDEN = [...GOLDEN_METALS, ...GOLDEN_WORK];

const decide = (g: Golden, rules = RULES): Advice =>
  advise({ survey: { ...PLAIN, ...g.s }, means: g.means ?? FULL_SHOP, families: FAMILIES, rules });
const usedIn = (a: Advice): Set<string> =>
  new Set(a.routes.flatMap((r) => [...r.choice.methods, ...r.choice.layers.map((l) => l.familyId)]));

it('there are at least sixty, and each says where it is from', () => {
  expect(GOLDEN.length).toBeGreaterThanOrEqual(60);
  for (const g of GOLDEN) expect(g.source.length).toBeGreaterThan(5);
});

describe('golden decisions', () => {
  it.each(GOLDEN.map((g) => [`${g.name} (${g.source})`, g] as const))('%s', (_name, g) => {
    const a = decide(g);
    const used = usedIn(a);
    expect(a.routes.length > 0).toBe(g.none !== true);
    if (g.none) expect(a.wouldHelp.length).toBeGreaterThan(0);
    for (const id of g.allows ?? []) expect(a.refused.map((r) => r.id)).not.toContain(id);
    for (const id of g.advises ?? []) expect([...used]).toContain(id);
    for (const id of g.never ?? []) expect([...used]).not.toContain(id);
    for (const [id, rule] of g.refuses ?? []) {
      expect([...used]).not.toContain(id);
      const refused = a.refused.find((r) => r.id === id);
      expect([id, ...(refused?.reasons.map((r) => r.ruleId) ?? [])]).toContain(rule);
    }
    for (const r of a.routes) {
      for (const w of g.warns ?? []) expect(r.warnings.map((x) => x.ruleId)).toContain(w);
      const has = r.steps.flatMap((s) => [s.kind as string, `${s.kind}:${s.what ?? ''}`]);
      for (const s of g.steps ?? []) expect(has).toContain(s);
    }
  });
});

describe('every rule earns its place', () => {
  it('switching any one off changes a golden decision: an advice above, or the verdict on an edited route', () => {
    const before = GOLDEN.map((g) => JSON.stringify(decide(g)));
    const idle: string[] = [];
    for (const r of RULES) {
      const rest = RULES.filter((x) => x !== r);
      const edited = CASES[r.id]!.fires.some(
        (c) => JSON.stringify(judge(given(c), rest)) !== JSON.stringify(judge(given(c), RULES)),
      );
      if (!edited && !GOLDEN.some((g, i) => JSON.stringify(decide(g, rest)) !== before[i])) idle.push(r.id);
    }
    expect(idle).toEqual([]);
  });
});
