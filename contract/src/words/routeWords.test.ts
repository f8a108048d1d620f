import { describe, expect, it } from '@jest/globals';
import {
  ANSWERS,
  blankSurvey,
  buildRoute,
  CATALOGUE_SHEETS,
  FACILITIES,
  familiesOf,
  FULL_SHOP,
  METHODS,
  prepsFor,
  QUALITIES,
  RULES,
  STEP_KINDS,
  SUBSTRATES,
} from '@calvetta/core';
import { survey as surveySchema } from '../schemas/route.ts';
import {
  CAUTION_WORDS,
  FACILITY_WORDS,
  METHOD_WORDS,
  QUALITY_WORDS,
  RULE_WORDS,
  SEVERITY_WORDS,
  STEP_WORDS,
  SURVEY_WORDS,
  TOPIC_WORDS,
  WHAT_WORDS,
} from './index.ts';

describe('words of routes', () => {
  it('every rule has its sentence, and no sentence is without a rule', () => {
    expect(Object.keys(RULE_WORDS).sort()).toEqual(RULES.map((r) => r.id).sort());
    for (const r of RULES) {
      expect(TOPIC_WORDS[r.id.split('.')[0]!]).toBeDefined();
      expect(SEVERITY_WORDS[r.severity]).toBeDefined();
      expect(RULE_WORDS[r.id]).toMatch(/[.!]$/);
    }
  });
  it('every answer of the survey has its question', () =>
    expect(Object.keys(SURVEY_WORDS).sort()).toEqual(Object.keys(blankSurvey('steel-plate')).sort()));
  it('every method, facility, quality and kind of step has words', () => {
    for (const m of METHODS) expect(METHOD_WORDS[m].length).toBeGreaterThan(2);
    for (const f of FACILITIES) expect(FACILITY_WORDS[f].length).toBeGreaterThan(2);
    for (const q of QUALITIES) expect(QUALITY_WORDS[q].length).toBeGreaterThan(2);
    for (const k of STEP_KINDS) expect(STEP_WORDS[k]).toBeDefined();
  });
  it('every step that can be written, on every metal, has words for what it does and for its cautions', () => {
    const families = familiesOf([]);
    for (const substrate of SUBSTRATES) {
      const s = {
        ...blankSurvey(substrate),
        features: ['threads', 'close-fit', 'box-section', 'welds-rivets'] as const,
        criticality: ['fuel', 'pressure', 'control-surface'] as const,
        lagging: 'yes',
        legacy: 'lead',
      } as const;
      for (const prep of prepsFor(s))
        for (const step of buildRoute(
          s,
          FULL_SHOP,
          { ...prep, layers: [{ kind: 'topcoat', familyId: 'gloss-2k', coats: 1 }] },
          families,
        )) {
          if (step.what !== undefined)
            expect([step.what, WHAT_WORDS[step.what]]).not.toEqual([step.what, undefined]);
          for (const c of step.cautions) expect([c, CAUTION_WORDS[c]]).not.toEqual([c, undefined]);
        }
    }
    for (const s of CATALOGUE_SHEETS)
      for (const c of s.cautions)
        expect([s.productId, c, CAUTION_WORDS[c]]).not.toEqual([s.productId, c, undefined]);
  });
});

describe('a survey on the wire', () => {
  const blank = blankSurvey('steel-plate');
  it('blank is complete; every answer is one of the known ones', () => {
    expect(surveySchema.validate(blank).error).toBeUndefined();
    for (const a of ANSWERS) expect(surveySchema.validate({ ...blank, sun: a }).error).toBeUndefined();
  });
  it.each([
    ['a metal nobody knows', { substrate: 'adamant' }],
    ['no thickness at all', { thicknessMm: 0 }],
    ['a feature twice', { features: ['seals', 'seals'] }],
    ['a feature nobody knows', { features: ['wings'] }],
    ['an answer that is none', { sun: 'maybe' }],
    ['hotter than iron melts', { heatC: 1800 }],
    ['a field nobody asked for', { mood: 'good' }],
    ['a field left out', { rust: undefined }],
  ])('%s is refused', (_what, over) =>
    expect(surveySchema.validate({ ...blank, ...over }).error).toBeDefined(),
  );
});
