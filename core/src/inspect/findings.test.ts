import { describe, expect, it } from '@jest/globals';
import type { Fact, FactBodies, FactKind } from '../facts/part.ts';
import { blankSurvey, type Criticality } from '../part/survey.ts';
import { findingsOf, holdOn, isOpenFinding, mendingOn } from './findings.ts';

let n = 0;
const fact = <K extends FactKind>(
  kind: K,
  body: FactBodies[K],
  face: 'A' | 'B' | null = null,
  factId = `f${++n}`,
): Fact =>
  ({
    factId,
    kind,
    body,
    face,
    happenedAtMs: ++n,
    endedAtMs: null,
    recordedAtMs: n,
    supersedes: null,
  }) as unknown as Fact;
const survey = (criticality: readonly Criticality[]): Fact =>
  fact('surveyed', { survey: { ...blankSurvey('steel-plate'), criticality } });

describe('what holds a part for a licensed person', () => {
  it.each([
    ['crack', [survey([])], null],
    ['crack', [survey(['pressure'])], 'critical'],
    ['thinning', [survey(['structural'])], 'critical'],
    ['leak', [], 'not-known-whether-critical'],
    ['pits', [survey(['pressure'])], null],
    ['sign', [survey([])], 'sign'],
  ] as const)('%s', (what, before, holds) => {
    const f = fact('found', what === 'sign' ? { what, sign: 'bulge' } : { what });
    expect(findingsOf([...before, f])[0]!.holds).toBe(holds);
  });
  it('the newest survey decides, and a closed finding holds nothing', () => {
    const crack = fact('found', { what: 'crack' }, 'A', 'crack');
    const all = [survey([]), crack, survey(['brakes-steering'])];
    expect(holdOn(findingsOf(all), 'A')?.findingId).toBe('crack');
    expect(holdOn(findingsOf(all), 'B')).toBeNull();
    const closed = fact('finding-closed', {
      findingId: 'crack',
      how: 'licensed-answer',
      by: 'x',
      reason: 'y',
    });
    const after = findingsOf([...all, closed]);
    expect([holdOn(after, 'A'), isOpenFinding(after[0]!)]).toEqual([null, false]);
  });
  it('one that is found on the whole part holds both faces', () => {
    const findings = findingsOf([fact('found', { what: 'sign', sign: 'scorched' })]);
    expect([holdOn(findings, 'A'), holdOn(findings, 'B')].every((f) => f !== null)).toBe(true);
  });
});

describe('a finding that is corrected', () => {
  it('keeps its answers and its remedy', () => {
    const corrected = fact('found', { what: 'fault', fault: 'dull', findingId: 'sag' }, 'A', 'second');
    const remedy = fact('remedy-set', { findingId: 'sag', remedy: 'another-coat' });
    const [f] = findingsOf([corrected, remedy]);
    expect([f!.findingId, f!.remedy?.factId]).toEqual(['sag', remedy.factId]);
    expect(mendingOn(findingsOf([corrected, remedy]), 'A')?.findingId).toBe('sag');
    expect(mendingOn(findingsOf([corrected, remedy]), 'B')).toBeNull();
  });
});
