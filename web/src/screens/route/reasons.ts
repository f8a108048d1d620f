import {
  isOpen,
  RULES,
  type Advice,
  type Family,
  type Refused,
  type Remedy,
  type Rule,
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

/**
 * What would make a refused thing possible, at most three: an answer still open, a tool the shop lacks, a practice. What
 * is known of the part is not asked to be otherwise, and where one reason can be met by nothing, nothing is offered.
 */
export function wouldHold(r: Refused, s: Survey, means: ShopMeans): string[] {
  const makes = (x: Remedy): boolean =>
    x.by === 'survey'
      ? isOpen(s, x.field)
      : x.by === 'facility'
        ? !means.facilities.includes(x.facility)
        : x.by === 'school';
  const each = r.reasons.map((x) => (ruleOf(x.ruleId)?.remedies ?? []).filter(makes));
  if (each.some((list) => list.length === 0)) return [];
  const answers = r.asks.map((f) => `an answer to ${asked(f)}`);
  return [...new Set([...each.flat().map((x) => remedyWords(x, s)), ...answers])].slice(0, 3);
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

/** What an answer changed: families that came in and families that went. */
export function changed(before: Advice, after: Advice): { readonly came: string[]; readonly went: string[] } {
  const out = (a: Advice): Set<string> =>
    new Set(a.refused.filter((r) => r.about === 'family').map((r) => r.id));
  const [was, is] = [out(before), out(after)];
  return { came: [...was].filter((id) => !is.has(id)), went: [...is].filter((id) => !was.has(id)) };
}
