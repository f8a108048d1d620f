import type { Survey, SurveyField, SurveyGroup } from '@calvetta/core';
import { ANSWER_WORDS, KIND_WORDS, SUBSTRATE_WORDS } from '@calvetta/contract/words';

export const GROUP_TITLES: Readonly<Record<SurveyGroup, string>> = {
  life: 'Where it lives',
  finish: 'What is wanted on it',
  coats: 'Old paint',
  face: 'Its face',
  metal: 'The metal',
  joints: 'Inside, openings, joints',
};

export const answerWord = (value: string): string =>
  ANSWER_WORDS[value] ??
  (KIND_WORDS as Readonly<Record<string, string>>)[value] ??
  (SUBSTRATE_WORDS as Readonly<Record<string, string>>)[value] ??
  value.replaceAll('-', ' ');

/** An answer for a chip; null where nothing is known. */
export function shownAnswer(field: SurveyField, s: Survey): string | null {
  const v = s[field];
  if (v === null) return field === 'otherMetal' ? 'no' : null;
  if (v === 'unknown') return null;
  if (Array.isArray(v)) return v.length === 0 ? 'none' : v.map((x) => answerWord(String(x))).join(', ');
  if (typeof v === 'boolean') return v ? 'yes' : 'no';
  if (typeof v === 'object') return null;
  return typeof v === 'number' ? String(v) : answerWord(v);
}
