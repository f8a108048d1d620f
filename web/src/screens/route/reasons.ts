import {
  isOpen,
  RULES,
  type AskedField,
  type Family,
  type Refused,
  type Remedy,
  type Rule,
  type Schools,
  type ShopMeans,
  type Survey,
} from '@calvetta/core';
import {
  FACILITY_WORDS,
  METHOD_WORDS,
  SCHOOL_WORDS,
  SURVEY_WORDS,
  WHAT_WORDS,
} from '@calvetta/contract/words';
import type { ProductSheet } from '@calvetta/core';

const byId = new Map(RULES.map((r) => [r.id, r]));
export const ruleOf = (id: string): Rule | undefined => byId.get(id);

/** A question inside a sentence: only its first letter is lowered, so that °C stays. */
export const asked = (f: keyof Survey): string => {
  const w = SURVEY_WORDS[f];
  return `“${w[0]!.toLowerCase()}${w.slice(1)}”`;
};

export function remedyWords(r: Remedy, s: Survey): string {
  switch (r.by) {
    case 'survey':
      return `${isOpen(s, r.field) ? 'an' : 'another'} answer to ${asked(r.field)}`;
    case 'facility':
      return FACILITY_WORDS[r.facility];
    case 'school':
      return `house practice: ${SCHOOL_WORDS[r.school].label.toLowerCase()}`;
    case 'route':
      return 'another route';
  }
}

/** What a hand can do about a refusal: answer a question, do it otherwise here, or get what the shop lacks. */
export type Mending = { readonly words: string } & (
  | { readonly by: 'answer'; readonly field: AskedField }
  | { readonly by: 'practice'; readonly practice: Survey['practice'] }
  | { readonly by: 'shop' }
);
const answerTo = (field: keyof Survey): Mending => ({
  by: 'answer',
  field: field as AskedField,
  words: `an answer to ${asked(field)}`,
});
/** The other side of a school that has two. */
function otherSide(school: keyof Schools, s: Survey, means: ShopMeans): Mending {
  const now = s.practice[school] ?? means.schools[school];
  const other = Object.keys(SCHOOL_WORDS[school].options).find((o) => o !== now);
  return {
    by: 'practice',
    practice: { ...s.practice, [school]: other },
    words: `house practice: ${SCHOOL_WORDS[school].label.toLowerCase()}, ${(SCHOOL_WORDS[school].options as Readonly<Record<string, string>>)[other ?? ''] ?? ''}`,
  };
}
function mendingOf(r: Remedy, s: Survey, means: ShopMeans): Mending {
  switch (r.by) {
    case 'survey':
      return answerTo(r.field);
    case 'school':
      return otherSide(r.school, s, means);
    default:
      return { by: 'shop', words: remedyWords(r, s) };
  }
}

/**
 * What would make a refused thing possible, at most three: an answer still open, a tool the shop lacks, a practice. What
 * is known of the part is not asked to be otherwise, and where one reason can be met by nothing, nothing is offered.
 */
export function wouldHold(r: Refused, s: Survey, means: ShopMeans): Mending[] {
  const makes = (x: Remedy): boolean =>
    x.by === 'survey'
      ? isOpen(s, x.field)
      : x.by === 'facility'
        ? !means.facilities.includes(x.facility)
        : x.by === 'school';
  const each = r.reasons.map((x) => (ruleOf(x.ruleId)?.remedies ?? []).filter(makes));
  if (each.some((list) => list.length === 0)) return [];
  const all = [...each.flat().map((x) => mendingOf(x, s, means)), ...r.asks.map(answerTo)];
  return [...new Map(all.map((m) => [m.words, m])).values()].slice(0, 3);
}

export function refusedName(
  r: Pick<Refused, 'about' | 'id'>,
  sheets: ReadonlyMap<string, ProductSheet>,
): string {
  return r.about === 'method'
    ? METHOD_WORDS[r.id as keyof typeof METHOD_WORDS]
    : (sheets.get(r.id)?.name ?? r.id);
}

/** Acts in a line, each once with its count. */
export function actsWords(acts: readonly string[]): string {
  const counts = new Map<string, number>();
  for (const a of acts) counts.set(a, (counts.get(a) ?? 0) + 1);
  return [...counts]
    .map(([a, n]) => `${(WHAT_WORDS[a] ?? a).split(',')[0]}${n > 1 ? ` ×${n}` : ''}`)
    .join(', then ');
}

/** Coats in a line. */
export const layersWords = (
  layers: readonly { readonly familyId: string; readonly coats: number }[],
  families: ReadonlyMap<string, Family>,
): string =>
  layers
    .map((l) => `${families.get(l.familyId)?.sheet.name ?? l.familyId}${l.coats > 1 ? ` ×${l.coats}` : ''}`)
    .join(', ');
