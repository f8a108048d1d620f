import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../base/random.ts';
import { FULL_SHOP } from '../part/shopMeans.ts';
import type { Survey } from '../part/survey.ts';
import { advise } from './advise.ts';
import { answerOf } from './answers.ts';
import { isAllowed, judgeRoute } from './judge.ts';
import { METHODS, type RouteStep } from './route.ts';
import { RULES } from './rules/index.ts';
import { faultsOf } from './test/checker.ts';
import { FAMILIES } from './test/given.ts';
import { often } from '../test/often.ts';
import { randomMeans, randomSurvey, SEED, shopOf, where } from './test/surveys.ts';

const ask = (survey: Survey, means = FULL_SHOP) => advise({ survey, means, families: FAMILIES });
/** 20 000 by `FULL_GRID=20000`; `.ci/run` takes what its time allows. */
const SURVEYS = Number(process.env['FULL_GRID'] ?? 2000);

describe('the grid of surveys', () => {
  it(`${SURVEYS} of them: every answer is a route that an independent checker accepts, an answer without paint, or a named expert`, () => {
    const random = seededRandom(SEED);
    let painted = 0;
    let differ = 0;
    let two = 0;
    for (let i = 0; i < SURVEYS; i++) {
      const survey = randomSurvey(random);
      const means = randomMeans(random);
      const a = ask(survey, means);
      if (a.routes.length === 0 || a.routes.length > 5)
        throw new Error(`${a.routes.length} routes: ${where(i, survey)}`);
      for (const r of a.routes) {
        const faults = faultsOf(survey, r.steps, shopOf(survey, means));
        if (faults.length > 0) throw new Error(`${r.routeId}: ${faults.join('; ')} ${where(i, survey)}`);
      }
      const routes = a.routes.filter((r) => r.answer.kind === 'paint');
      if (routes.length > 0) painted += 1;
      else if (a.wouldHelp.length === 0 && a.routes.every((r) => r.answer.kind === 'refer'))
        throw new Error(`an expert only, and nothing that would help: ${where(i, survey)}`);
      const held = new Set([...a.routes.map((r) => r.way), ...a.unshown.map((u) => u.way)]);
      if (held.size > 1) {
        two += 1;
        if (new Set(a.routes.map((r) => r.way)).size > 1) differ += 1;
      }
    }
    // Neither always nor never: the grid holds parts that can be painted and parts that cannot.
    expect(painted / SURVEYS).toBeGreaterThan(0.2);
    expect(painted / SURVEYS).toBeLessThan(0.95);
    // Where two ways hold, the rivals differ in way: eighty in a hundred at the least.
    expect(differ / two).toBeGreaterThanOrEqual(0.8);
  }, 600_000);

  it('edited routes: dropped, swapped, doubled, inserted and retuned at random, the judge says what the checker says', () => {
    const random = seededRandom(SEED + 1);
    const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
    const apart: string[] = [];
    let judged = 0;
    let refused = 0;
    for (let i = 0; judged < often(2000); i++) {
      const survey = randomSurvey(random);
      const means = randomMeans(random);
      for (const r of ask(survey, means).routes) {
        const steps = edited(r.steps, random, pick);
        const end = answerOf(steps);
        // Taking the last coat off makes another answer, which has its own rules.
        if (steps === r.steps || (end?.kind !== 'paint' && r.answer.kind === 'paint')) continue;
        judged += 1;
        const verdict = judgeRoute({ survey, means, steps, families: FAMILIES, rules: RULES });
        const faults = faultsOf(survey, steps, shopOf(survey, means));
        if (!isAllowed(verdict)) refused += 1;
        if (isAllowed(verdict) === (faults.length === 0)) continue;
        const said = [...verdict.refusals.map((x) => x.ruleId), ...verdict.open.map((x) => `${x.ruleId}?`)];
        apart.push(
          `${r.routeId} judge: ${said.join(', ')} checker: ${faults.join(', ')} ${where(i, survey)}`,
        );
      }
    }
    expect(apart).toEqual([]);
    // Both verdicts are met often.
    expect(refused / judged).toBeGreaterThan(0.25);
    expect(refused / judged).toBeLessThan(0.9);
  }, 600_000);
});

/** One change by a hand that does not know better. */
function edited(
  steps: readonly RouteStep[],
  random: () => number,
  pick: <T>(list: readonly T[]) => T,
): readonly RouteStep[] {
  const out = [...steps];
  const at = Math.floor(random() * out.length);
  const coat = out.findIndex((s) => s.familyId !== undefined && s.kind !== 'cavity');
  switch (pick(['drop', 'swap', 'double', 'insert', 'coats', 'film'])) {
    case 'drop':
      out.splice(at, 1);
      return out;
    case 'swap': {
      const other = Math.floor(random() * out.length);
      [out[at], out[other]] = [out[other]!, out[at]!];
      return out;
    }
    case 'double':
      out.splice(at, 0, out[at]!);
      return out;
    case 'insert':
      out.splice(at, 0, {
        ...out[at]!,
        kind: 'strip',
        what: pick(METHODS),
        waitHours: 0,
        coats: 0,
        dftUm: null,
      });
      delete (out[at] as { familyId?: string }).familyId;
      return out;
    case 'coats':
      if (coat < 0) return steps;
      out[coat] = { ...out[coat]!, coats: out[coat]!.coats + pick([1, 9]) };
      return out;
    default:
      if (coat < 0) return steps;
      out[coat] = { ...out[coat]!, dftUm: (out[coat]!.dftUm ?? 50) * 2 };
      return out;
  }
}
