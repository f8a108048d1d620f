import { describe, expect, it } from '@jest/globals';
import { HEADLINES, SURVEY_SHAPES, type AskedField } from '@calvetta/core';
import * as words from './index.ts';
import { FIND_OUT, GLOSSARY, RULE_WORDS, stateTerm, SURVEY_ASKS, termOf } from './index.ts';

/** Every sentence and word of the product, with where it stands. */
function everything(value: unknown, at: string): [string, string][] {
  if (typeof value === 'string') return [[at, value]];
  if (value === null || typeof value !== 'object') return [];
  return Object.entries(value).flatMap(([k, v]) => everything(v, `${at}.${k}`));
}
const ALL = everything(words, '');

/** Turns that nobody says in a workshop, and what is said there (house style, no published source). */
const BANNED: readonly (readonly [RegExp, string])[] = [
  [/\b(shop|part|it|sheet|page) has not w(?:hat)\b/i, 'does not have what'],
  [/\bhas not (?!yet\b)(?!been\b|begun\b|cured\b|shut\b|passed\b)/i, 'does not have, or has no'],
  [
    /\b(wherein|thereof|thereby|therein|herein|whereby|hence|thus|whilst|upon|albeit|ere|lest)\b/i,
    'a plain word',
  ],
  [/\bshall\b/i, 'must, or does'],
  [/\bin order to\b/i, 'to'],
  [
    /\b(utilise|utilize|commence|ascertain|endeavou?r|facilitate|prior to|subsequent to|in the event)\b/i,
    'a plain word',
  ],
  [/\bit is (necessary|required|advised|recommended) (to|that)\b/i, 'say what to do'],
  [/\bplease\b/i, 'nothing'],
  [/\b(may|can) not be (?!coated|a|made)/i, 'cannot'],
  [/\bsuch as are\b|\bbe it\b|\bnor is\b/i, 'a plain turn'],
  [/\b(click|tap) here\b/i, 'what it does'],
];

describe('plain words', () => {
  it('there is something to hold to it', () => expect(ALL.length).toBeGreaterThan(900));
  it('no turn that nobody says in a workshop', () => {
    const found = ALL.flatMap(([at, text]) =>
      BANNED.filter(([turn]) => turn.test(text)).map(([, say]) => `${at}: “${text}” → ${say}`),
    );
    expect(found).toEqual([]);
  });
  it('no raw id, no code, no broken unit in a word a person reads', () => {
    const raw = ALL.filter(([, text]) =>
      /°c\b|\bum\b|undefined|\bnull\b|\[object|\b[a-z]+\.[a-z]+-[a-z]+\b| {2,}/.test(text),
    );
    expect(raw).toEqual([]);
  });
  it('a rule says its matter in at most thirty-five words, and begins and ends as a sentence', () => {
    for (const [id, text] of Object.entries(RULE_WORDS)) {
      expect([id, text.split(/\s+/).length <= 35]).toEqual([id, true]);
      expect([id, /^[A-Z]/.test(text), /[.!]$/.test(text)]).toEqual([id, true, true]);
    }
  });
});

describe('questions and how to find out', () => {
  const fields = Object.keys(SURVEY_SHAPES) as AskedField[];
  it('whatever can be not known says how to find out, with what', () => {
    const choices = fields.filter((f) => {
      const shape = SURVEY_SHAPES[f];
      return shape.type === 'figure' || (shape.type === 'choice' && shape.options.includes('unknown'));
    });
    const missing = choices.filter((f) => f !== 'kind' && !FIND_OUT[f]);
    expect(missing).toEqual([]);
    for (const f of Object.values(FIND_OUT)) {
      expect(f.how).toMatch(/^[A-Z].*[.?!]$/);
      // Two lines on a card of 380 px.
      expect([f.how, f.how.length <= 130]).toEqual([f.how, true]);
      expect(f.withWhat.length).toBeGreaterThan(2);
    }
  });
  it('a question ends as one', () => {
    for (const [f, q] of Object.entries(SURVEY_ASKS))
      expect([f, q]).toEqual([f, expect.stringMatching(/^[A-Z].*\?$/)]);
  });
});

describe('the glossary', () => {
  it('explains every state of a part, each word once, in two sentences or three short ones', () => {
    for (const h of HEADLINES) expect(termOf(stateTerm(h))?.means.length).toBeGreaterThan(20);
    expect(new Set(GLOSSARY.map((t) => t.id)).size).toBe(GLOSSARY.length);
    expect(new Set(GLOSSARY.map((t) => t.word)).size).toBe(GLOSSARY.length);
    for (const t of GLOSSARY) {
      expect([t.id, t.means]).toEqual([t.id, expect.stringMatching(/^[A-Z].*[.!]$/)]);
      expect([t.id, t.means.split(/\s+/).length <= 40]).toEqual([t.id, true]);
    }
  });
});
