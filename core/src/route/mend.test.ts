import { describe, expect, it } from '@jest/globals';
import { FULL_SHOP } from '../part/shopMeans.ts';
import { judgeRoute } from './judge.ts';
import { mended, mendFor } from './mend.ts';
import { RULES } from './rules/index.ts';
import { stagesOf } from './surface/stages.ts';
import { FAMILIES, given, PLAIN, type Given } from './test/given.ts';

/** Law: a mend that is offered ends the refusal it is offered for. */
describe('the one act that would mend a refusal', () => {
  const CASES: readonly (readonly [string, Given, string])[] = [
    ['the degreasing taken out', { drop: 'degrease' }, 'prep.degrease-first'],
    ['the blast taken out of rusty plate', { drop: 'strip' }, 'surface.stands'],
    ['the dust left on', { drop: 'wash' }, 'surface.stands'],
    ['a bath without drying', { m: ['chelating-bath'], drop: 'dry' }, 'surface.stands'],
    ['a wheel without abrasive', { m: ['wire-wheel'], drop: 'abrade' }, 'surface.burnished'],
    [
      'a kept coat not keyed',
      { s: { coating: 'sound', coatKind: 'two-pack', rust: 'none' }, m: ['keep'], drop: 'abrade' },
      'surface.key',
    ],
    ['not recorded', { s: { coating: 'sound', coatKind: 'two-pack' }, drop: 'record' }, 'prep.record-first'],
    ['salts not tested', { s: { salt: 'yes' }, drop: 'test:salt' }, 'prep.salt-test'],
    ['edges not striped', { s: { features: ['welds-rivets'] }, drop: 'stripe' }, 'protect.stripe'],
    [
      'machined faces not masked',
      { s: { features: ['threads'] }, drop: 'mask:before-strip' },
      'strip.blast-machined',
    ],
  ];
  it.each(CASES)('%s', (_name, g, rule) => {
    const v = given(g);
    const input = { survey: v.survey, means: FULL_SHOP, steps: v.steps, families: FAMILIES, rules: RULES };
    const judged = (steps: typeof v.steps) => judgeRoute({ ...input, steps });
    let steps = v.steps;
    expect(judged(steps).refusals.map((r) => r.ruleId)).toContain(rule);
    // One press for each thing that stands: a few presses and it holds.
    for (let i = 0; i < 5; i++) {
      const reason = judged(steps).refusals.find((r) => r.ruleId === rule || r.ruleId.startsWith('surface.'));
      if (!reason) break;
      const m = mendFor({ ...input, steps }, reason);
      expect([reason.ruleId, m === null]).toEqual([reason.ruleId, false]);
      steps = mended(steps, m!);
    }
    expect(judged(steps).refusals.map((r) => r.ruleId)).not.toContain(rule);
    expect(new Set(steps.map((s) => s.stepId)).size).toBe(steps.length);
  });
  it('offers nothing where no step of a hand would help', () => {
    const v = given({ s: { heatC: 400 } });
    const input = { survey: v.survey, means: FULL_SHOP, steps: v.steps, families: FAMILIES, rules: RULES };
    const [reason] = judgeRoute(input).refusals;
    expect(mendFor(input, reason!)).toBeNull();
  });
});

describe('stages of a preparation, for drawing', () => {
  it('begins with what was found and ends with what the first coat meets', () => {
    const v = given({ s: { rust: 'C', scale: 'yes' }, m: ['disc'], p: 'phosphate' });
    const stages = stagesOf(PLAIN, v.steps);
    expect(stages[0]!.what).toBeNull();
    expect(stages[0]!.standing).toEqual(['oil', 'loose-rust', 'tight-rust']);
    expect(stages.map((x) => x.what)).toEqual([null, 'degrease', 'disc', 'phosphate']);
    expect(stages.at(-1)!.standing).toEqual(['phosphate']);
  });
});
