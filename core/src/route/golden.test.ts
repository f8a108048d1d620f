import { describe, expect, it } from '@jest/globals';
import { FULL_SHOP } from '../part/shopMeans.ts';
import { advise, type Advice } from './advise.ts';
import { judge } from './judge.ts';
import { CASES } from './test/allCases.ts';
import { RULES } from './rules/index.ts';
import { FAMILIES, given, PLAIN } from './test/given.ts';
import type { Golden } from './test/golden.ts';
import { GOLDEN_METALS } from './test/goldenMetals.ts';
import { GOLDEN_PREPARATION } from './test/goldenPreparation.ts';
import { GOLDEN_SERVICE } from './test/goldenService.ts';
import { GOLDEN_WORK } from './test/goldenWork.ts';

const GOLDEN = [...GOLDEN_METALS, ...GOLDEN_WORK, ...GOLDEN_PREPARATION, ...GOLDEN_SERVICE];

const decide = (g: Golden, rules = RULES): Advice =>
  advise({ survey: { ...PLAIN, ...g.s }, means: g.means ?? FULL_SHOP, families: FAMILIES, rules });
const painted = (a: Advice) => a.routes.filter((r) => r.answer.kind === 'paint');
const usedIn = (a: Advice): Set<string> =>
  new Set(painted(a).flatMap((r) => [...r.choice.acts, ...r.choice.layers.map((l) => l.familyId)]));
/** In a route shown, or one that is as good as it. */
const orTwins = (a: Advice): Set<string> =>
  new Set([...usedIn(a), ...a.routes.flatMap((r) => r.twins.flatMap((t) => t.map((l) => l.familyId)))]);
const inOrder = (acts: readonly string[], want: readonly string[]): boolean => {
  let at = -1;
  return want.every((w) => (at = acts.indexOf(w, at + 1)) >= 0);
};

it('there are at least a hundred and fifty, half of them on preparation and service, and each says where it is from', () => {
  expect(GOLDEN.length).toBeGreaterThanOrEqual(150);
  expect(GOLDEN_PREPARATION.length + GOLDEN_SERVICE.length).toBeGreaterThanOrEqual(70);
  for (const g of GOLDEN) expect(g.source.length).toBeGreaterThan(5);
  expect(new Set(GOLDEN.map((g) => g.name)).size).toBe(GOLDEN.length);
});

describe('golden decisions', () => {
  it.each(GOLDEN.map((g) => [`${g.name} (${g.source})`, g] as const))('%s', (_name, g) => {
    const a = decide(g);
    const used = usedIn(a);
    const routes = painted(a);
    expect(a.routes.length).toBeGreaterThan(0);
    expect(a.routes.length).toBeLessThanOrEqual(5);
    if (g.noPaint) expect(routes.map((r) => r.routeId)).toEqual([]);
    else expect(routes.length).toBeGreaterThan(0);
    for (const id of g.allows ?? []) expect(a.refused.map((r) => r.id)).not.toContain(id);
    for (const id of g.advises ?? []) expect([...orTwins(a)]).toContain(id);
    for (const id of g.never ?? []) expect([...used]).not.toContain(id);
    for (const [id, rule] of g.refuses ?? []) {
      expect([...used]).not.toContain(id);
      const refused = a.refused.find((r) => r.id === id);
      expect([id, ...(refused?.reasons.map((r) => r.ruleId) ?? [])]).toContain(rule);
    }
    if (g.first)
      expect([routes[0]!.choice.acts, inOrder(routes[0]!.choice.acts, g.first)]).toEqual([
        routes[0]!.choice.acts,
        true,
      ]);
    if (g.some)
      expect([routes.map((r) => r.choice.acts), routes.some((r) => inOrder(r.choice.acts, g.some!))]).toEqual(
        [routes.map((r) => r.choice.acts), true],
      );
    expect([...new Set(a.routes.map((r) => r.way))]).toEqual(expect.arrayContaining([...(g.ways ?? [])]));
    const answers = a.routes.filter((r) => r.answer.kind !== 'paint').map((r) => r.answer.what);
    expect(answers).toEqual(expect.arrayContaining([...(g.answers ?? [])]));
    if (g.leads) expect(a.routes[0]!.answer.what).toBe(g.answers![0]);
    for (const r of routes) {
      for (const w of g.warns ?? []) expect(r.warnings.map((x) => x.ruleId)).toContain(w);
      const has = r.steps.flatMap((s) => [s.kind as string, `${s.kind}:${s.what ?? ''}`]);
      for (const s of g.steps ?? []) expect(has).toContain(s);
      expect(r.gates.map((x) => x.field)).toEqual(expect.arrayContaining([...(g.gates ?? [])]));
      if (g.mostUm !== undefined) expect(r.figures.filmUm).toBeLessThanOrEqual(g.mostUm);
      if (g.leastUm !== undefined) expect(r.figures.filmUm).toBeGreaterThanOrEqual(g.leastUm);
    }
  });
});

describe('every rule earns its place', () => {
  it('switching any one off changes a golden decision: an advice above, or the verdict on an edited route', () => {
    const before = GOLDEN.map((g) => JSON.stringify(decide(g)));
    const idle: string[] = [];
    for (const r of RULES) {
      const rest = RULES.filter((x) => x !== r);
      const { fires, unknown } = CASES[r.id]!;
      const edited = [...fires, ...(unknown === 'never' ? [] : unknown)].some(
        (c) => JSON.stringify(judge(given(c), rest)) !== JSON.stringify(judge(given(c), RULES)),
      );
      if (!edited && !GOLDEN.some((g, i) => JSON.stringify(decide(g, rest)) !== before[i])) idle.push(r.id);
    }
    expect(idle).toEqual([]);
  });
});
