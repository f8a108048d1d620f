import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../base/random.ts';
import { FULL_SHOP, meansFor, SMALL_SHOP } from '../part/shopMeans.ts';
import type { Survey } from '../part/survey.ts';
import { advise } from './advise.ts';
import { placesOf, reasonKey, stepChanged, stepIn, stepMoved, stepOut, stepTwice } from './editing.ts';
import { openGates } from './gates.ts';
import { HAND_STEPS, hand, handCoat, handStep } from './handSteps.ts';
import { judgeRoute } from './judge.ts';
import { RULES } from './rules/index.ts';
import { FAMILIES, PLAIN } from './test/given.ts';
import { randomSurvey } from './test/surveys.ts';
import { settled } from './view.ts';

const RUSTY: Survey = { ...PLAIN, rust: 'C' };
const context = { survey: RUSTY, means: FULL_SHOP, families: FAMILIES };
const advised = advise(context).routes[0]!.steps;
const ids = (steps: readonly { stepId: string }[]): string[] => steps.map((s) => s.stepId);

describe('a step by hand', () => {
  it('carries the hours, waits and cautions it has in an advised route', () => {
    const blast = advised.find((s) => s.kind === 'strip')!;
    expect(handStep(RUSTY, FULL_SHOP, hand('strip', blast.what), [])).toEqual({ ...blast, stepId: '' });
    const coat = advised.find((s) => s.familyId === 'epoxy-mastic')!;
    expect(handCoat(context, 'epoxy-mastic', 1)).toMatchObject({
      hours: coat.hours,
      cautions: coat.cautions,
    });
  });
  it('a second round of the same act is shorter; what a contractor does besides is the same trip', () => {
    const first = handStep(RUSTY, FULL_SHOP, hand('strip', 'solvent-stripper'), []);
    const again = handStep(RUSTY, FULL_SHOP, hand('strip', 'solvent-stripper'), [first]);
    expect(again.hours).toBeLessThan(first.hours);
    const out = handStep(RUSTY, SMALL_SHOP, hand('strip', 'grit-blast'), []);
    expect(out.waitHours).toBeGreaterThan(7 * 24);
    expect(handStep(RUSTY, SMALL_SHOP, hand('strip', 'fine-blast'), [out]).waitHours).toBe(0);
  });
  it('nothing that can hurt is put in without its caution', () => {
    const dangerous = [
      'grit-blast',
      'hot-caustic',
      'heat-gun',
      'solvent-stripper',
      'electrolysis',
      'phosphate',
    ];
    for (const what of dangerous) {
      const step = HAND_STEPS.find((s) => s.what === what)!;
      expect([what, handStep(RUSTY, FULL_SHOP, step, []).cautions.length]).toEqual([what, 1]);
    }
  });
  it('isocyanate laid on by brush or gun keeps its caution', () => {
    for (const tool of ['gun', 'brush'] as const)
      expect(handCoat(context, 'gloss-2k', 2, tool)).toMatchObject({
        tool,
        cautions: expect.arrayContaining(['isocyanate']),
      });
  });
});

describe('by hand as advised', () => {
  it('whatever the advice writes and a hand can put in has the same hours, waits and cautions, on parts of which all is known', () => {
    const random = seededRandom(5);
    let held = 0;
    for (let i = 0; i < 1500 && held < 400; i++) {
      const survey = randomSurvey(random);
      // What is not known is counted as hoped where a look stands for it.
      if (openGates(settled(survey)).length > 0) continue;
      const { steps } = advise({ survey, means: FULL_SHOP, families: FAMILIES }).routes[0]!;
      const own = meansFor(survey, FULL_SHOP);
      steps.forEach((s, at) => {
        if (!HAND_STEPS.some((h) => h.kind === s.kind && h.what === s.what)) return;
        // A third round of degreasing wipes off what has come out since: half the work, which a hand does not know.
        if (s.what === 'again' && steps.slice(0, at).some((x) => x.what === 'again')) return;
        const { hours, waitHours, cautions } = handStep(
          settled(survey),
          own,
          hand(s.kind, s.what),
          steps.slice(0, at),
        );
        expect([s.kind, s.what, hours, waitHours, cautions]).toEqual([
          s.kind,
          s.what,
          s.hours,
          s.waitHours,
          s.cautions,
        ]);
        held++;
      });
    }
    expect(held).toBeGreaterThan(300);
  });
});

describe('steps in the hand', () => {
  it('every step keeps an id of its own, whatever is put in, doubled and moved', () => {
    let steps: readonly (typeof advised)[number][] = advised;
    for (let i = 0; i < 12; i++) {
      steps = stepIn(steps, handStep(RUSTY, FULL_SHOP, HAND_STEPS[i]!, []), i % steps.length);
      steps = stepTwice(steps, (3 * i) % steps.length);
      if (i % 3 === 0) steps = stepOut(steps, 1);
    }
    expect(new Set(ids(steps)).size).toBe(steps.length);
  });
  it('moved there and back is as it was; doubled and taken out as well', () => {
    expect(stepMoved(stepMoved(advised, 1, 4), 4, 1)).toEqual(advised);
    expect(stepOut(stepTwice(advised, 2), 3)).toEqual(advised);
  });
  it('another film changes the film and nothing else; two coats take twice the hands', () => {
    const i = advised.findIndex((s) => s.familyId === 'epoxy-mastic');
    const thick = stepChanged(context, advised, i, { dftUm: 150 });
    expect(thick[i]).toEqual({ ...advised[i], dftUm: 150 });
    const two = stepChanged(context, advised, i, { coats: advised[i]!.coats * 2 });
    expect(two[i]!.hours).toBeCloseTo(2 * advised[i]!.hours, 9);
    expect(two[i]!.stepId).toBe(advised[i]!.stepId);
  });
  it('another product brings its own film, another act its own hours and cautions', () => {
    const i = advised.findIndex((s) => s.familyId === 'epoxy-mastic');
    const other = stepChanged(context, advised, i, { familyId: 'epoxy-primer' })[i]!;
    expect(other.dftUm).toBe(FAMILIES.get('epoxy-primer')!.sheet.dftUm);
    const strip = advised.findIndex((s) => s.kind === 'strip');
    const bath = stepChanged(context, advised, strip, { what: 'citric-bath' })[strip]!;
    expect(bath).toMatchObject({ what: 'citric-bath', waitHours: 48, cautions: ['acid'] });
  });
});

describe('where a refusal belongs', () => {
  const judged = (steps: typeof advised) => {
    const input = { survey: RUSTY, means: FULL_SHOP, families: FAMILIES, rules: RULES, steps };
    return { places: placesOf(input), verdict: judgeRoute(input) };
  };
  it('nothing is against an advised route, and nothing has a place', () => {
    const { places, verdict } = judged(advised);
    expect(verdict.refusals).toEqual([]);
    expect(places.size).toBe(0);
  });
  it('a coat that may not be there is told at that coat', () => {
    const gloss = advised.findIndex((s) => s.familyId === 'gloss-2k');
    const steps = stepIn(advised, handCoat(context, 'bitumen', 1), gloss);
    const { places, verdict } = judged(steps);
    expect(verdict.refusals.length).toBeGreaterThan(0);
    const bitumen = steps.findIndex((s) => s.familyId === 'bitumen');
    const forbids = verdict.refusals.filter((r) => r.ruleId.startsWith('over.'));
    expect(forbids.length).toBeGreaterThan(0);
    for (const r of forbids) expect([r.ruleId, places.get(reasonKey(r))]).toEqual([r.ruleId, bitumen]);
  });
  it('a step that is missing is told where it goes in: the blast where it stood', () => {
    const strip = advised.findIndex((s) => s.kind === 'strip');
    const steps = stepOut(advised, strip);
    const { places, verdict } = judged(steps);
    const stands = verdict.refusals.find((r) => r.ruleId === 'surface.stands')!;
    // After the degreasing, before the metal is inspected for its first coat.
    const place = places.get(reasonKey(stands))!;
    expect(place).toBeGreaterThan(steps.findIndex((s) => s.kind === 'degrease'));
    expect(place).toBeLessThanOrEqual(steps.findIndex((s) => s.kind === 'inspect'));
  });
});
