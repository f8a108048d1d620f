import { describe, expect, it } from '@jest/globals';
import {
  ACTS,
  advise,
  ANSWERS,
  BESTS,
  EXPERTS,
  GATES,
  MATTERS,
  PART_KINDS,
  WAYS,
  blankSurvey,
  buildRoute,
  CATALOGUE_SHEETS,
  FACILITIES,
  familiesOf,
  FULL_SHOP,
  METRIC,
  METHODS,
  QUALITIES,
  RULES,
  STEP_KINDS,
  SUBSTRATES,
} from '@calvetta/core';
import { survey as surveySchema } from '../schemas/route.ts';
import {
  BEST_WORDS,
  CAUTION_WORDS,
  FACILITY_WORDS,
  KIND_WORDS,
  FIND_OUT,
  MATTER_WORDS,
  figureWords,
  reasonWords,
  WAY_WORDS,
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
        alsoOn: ['tar', 'silicone'] as const,
        oil: 'soaked',
        criticality: ['fuel', 'pressure', 'control-surface'] as const,
        lagging: 'yes',
        legacy: 'lead',
      } as const;
      for (const act of ACTS)
        for (const step of buildRoute(
          s,
          FULL_SHOP,
          { acts: [act.actId], layers: [{ kind: 'topcoat', familyId: 'gloss-2k', coats: 1 }] },
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

describe('words of what is on the metal', () => {
  it('every matter, way, kind, expert and what a rival is best at has words', () => {
    for (const m of MATTERS) expect(MATTER_WORDS[m].length).toBeGreaterThan(2);
    for (const w of WAYS) expect(WAY_WORDS[w].length).toBeGreaterThan(2);
    for (const k of PART_KINDS) expect(KIND_WORDS[k].length).toBeGreaterThan(2);
    for (const b of BESTS) expect(BEST_WORDS[b].length).toBeGreaterThan(2);
    for (const e of EXPERTS) expect(WHAT_WORDS[e]).toBeDefined();
    for (const g of GATES) {
      expect(SURVEY_WORDS[g.field]).toBeDefined();
      expect(FIND_OUT[g.field as keyof typeof FIND_OUT]).toBeDefined();
    }
  });
  it('a refusal names the matter that stands and the act that would take it off, in words', () => {
    const survey = {
      ...blankSurvey('steel-plate'),
      rust: 'D',
      pits: 'deep',
      scale: 'yes',
      coating: 'none',
      category: 'C3',
      heatC: 40,
      lagging: 'no',
      assembled: 'no',
      hardened: 'no',
      thicknessMm: 6,
      massKg: 90,
      oil: 'surface',
      glue: 'no',
      phosphated: 'no',
      salt: 'no',
    } as const;
    const advice = advise({ survey, means: { ...FULL_SHOP, facilities: ['gun'] }, families: familiesOf([]) });
    const said = advice.refused
      .flatMap((r) => r.reasons)
      .filter((r) => r.ruleId === 'surface.stands')
      .map((r) => reasonWords(r));
    expect(said.length).toBeGreaterThan(0);
    for (const text of said)
      expect(text).toMatch(/^[A-Z].* still stands under .*\. .*(takes|would take) it off\.$/);
    // No code of ours in a sentence.
    for (const text of said) expect(text).not.toMatch(/[a-z]-[a-z]+-blast|grit-blast|tight-rust|pit-rust/);
  });
});

describe('figures of a reason', () => {
  const mils = { ...METRIC, film: 'mil', temperature: 'F', mass: 'lb' } as const;
  it('are said in the reader’s units (25.4 µm a mil, 0.45359237 kg a pound, both exact)', () => {
    const film = { ruleId: 'protect.min-film', data: { um: 127, needUm: 254 } };
    expect(figureWords(film)).toBe('film: 127 µm · wanted: 254 µm');
    expect(figureWords(film, mils)).toBe('film: 5.0 mil · wanted: 10.0 mil');
    expect(figureWords({ ruleId: 'heat.limit', data: { heatC: 100 } }, mils)).toBe('heat: 212 °F');
    expect(figureWords({ ruleId: 'strip.bath-size', data: { kg: 45.359237 } }, mils)).toBe('mass: 100 lb');
    const profile = { ruleId: 'surface.profile', data: { product: 'Zinc', need: '40–75', got: 'none' } };
    expect(reasonWords(profile, mils)).toBe('Zinc wants a roughness of 1.6–3.0 mil; this leaves none.');
  });
  it('house practice says which side is meant', () => {
    expect(reasonWords({ ruleId: 'work.tool-school', data: { school: 'brush' } })).toContain('by brush');
    expect(reasonWords({ ruleId: 'etch.school', data: { school: 'harden-scuff' } })).toContain('hardens');
  });
});

const ZONE = { zoneId: 'z1', name: 'Manifold', kind: 'outside', heatC: 550, fluids: [], overrides: {} };
describe('a survey on the wire', () => {
  it('an older survey reads: what was not asked then is not known, or not there', () => {
    const since = [
      'kind',
      'soundShare',
      'plating',
      'alsoOn',
      'bareDays',
      'leaks',
      'seamsRinse',
      'tooBigFor',
      'fluids',
      'zones',
    ];
    const old = Object.fromEntries(
      Object.entries(blankSurvey('steel-plate')).filter(([k]) => !since.includes(k)),
    );
    expect(surveySchema.validate(old).value).toEqual(blankSurvey('steel-plate'));
  });
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
    ['a kind nobody knows', { kind: 'gizmo' }],
    ['a share above the whole', { soundShare: 1.2 }],
    ['a fluid nobody knows', { fluids: ['lemonade'] }],
    ['two zones of one name', { zones: [ZONE, ZONE] }],
    ['a zone hotter than iron melts', { zones: [{ ...ZONE, heatC: 1800 }] }],
    [
      'a zone that overrides what is the part’s',
      { zones: [{ ...ZONE, overrides: { substrate: 'grey-iron' } }] },
    ],
  ])('%s is refused', (_what, over) =>
    expect(surveySchema.validate({ ...blank, ...over }).error).toBeDefined(),
  );
});
