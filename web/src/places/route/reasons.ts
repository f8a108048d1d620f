import {
  RULES,
  type Advice,
  type Reason,
  type Refused,
  type Remedy,
  type Rule,
  type Survey,
} from '@calvetta/core';
import {
  FACILITY_WORDS,
  METHOD_WORDS,
  RULE_WORDS,
  SCHOOL_WORDS,
  SURVEY_WORDS,
} from '@calvetta/contract/words';
import type { ProductSheet } from '@calvetta/core';

const byId = new Map(RULES.map((r) => [r.id, r]));
export const ruleOf = (id: string): Rule | undefined => byId.get(id);
export const ruleWords = (id: string): string => RULE_WORDS[id] ?? id;

/** The figures of a finding, for the line under its sentence: "195 of 240 µm". */
export function figures(r: Reason): string {
  return Object.entries(r.data)
    .map(
      ([k, v]) =>
        `${k.replace(/([A-Z])/g, ' $1').toLowerCase()} ${typeof v === 'number' ? Number(v.toPrecision(3)) : v}`,
    )
    .join(' · ');
}

/** A question inside a sentence: only its first letter is lowered, so that °C stays. */
export const asked = (f: keyof Survey): string => {
  const w = SURVEY_WORDS[f];
  return `“${w[0]!.toLowerCase()}${w.slice(1)}”`;
};
const isOpen = (f: keyof Survey, s: Survey): boolean => s[f] === 'unknown' || s[f] === null;

export function remedyWords(r: Remedy, s: Survey): string {
  switch (r.by) {
    case 'survey':
      return `${isOpen(r.field, s) ? 'an' : 'another'} answer to ${asked(r.field)}`;
    case 'facility':
      return FACILITY_WORDS[r.facility];
    case 'school':
      return `house practice: ${SCHOOL_WORDS[r.school].label.toLowerCase()}`;
    case 'route':
      return 'another route';
  }
}

/** What would make a refused thing possible, at most three. */
export function wouldHold(r: Refused, s: Survey): string[] {
  const remedies = r.reasons.flatMap((x) => ruleOf(x.ruleId)?.remedies ?? []).filter((x) => x.by !== 'route');
  const answers = r.asks.map((f) => `an answer to ${asked(f)}`);
  return [...new Set([...remedies.map((x) => remedyWords(x, s)), ...answers])].slice(0, 3);
}

export function refusedName(
  r: Pick<Refused, 'about' | 'id'>,
  sheets: ReadonlyMap<string, ProductSheet>,
): string {
  return r.about === 'method'
    ? METHOD_WORDS[r.id as keyof typeof METHOD_WORDS]
    : (sheets.get(r.id)?.name ?? r.id);
}

/** What an answer changed: families that came in and families that went. */
export function changed(before: Advice, after: Advice): { readonly came: string[]; readonly went: string[] } {
  const out = (a: Advice): Set<string> =>
    new Set(a.refused.filter((r) => r.about === 'family').map((r) => r.id));
  const [was, is] = [out(before), out(after)];
  return { came: [...was].filter((id) => !is.has(id)), went: [...is].filter((id) => !was.has(id)) };
}
