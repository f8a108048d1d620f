import type { Facility, Schools } from '../part/shopMeans.ts';
import type { Survey } from '../part/survey.ts';
import type { RouteView } from './view.ts';

/** Refuse: the route may not be. Warn: it may, and this is said where it bites. Prefer: one of two that may is better. */
export type Severity = 'refuse' | 'warn' | 'prefer';

/** How far a rule can be trusted. */
export interface RuleSource {
  readonly kind: 'published' | 'common-practice' | 'from-memory';
  readonly text: string;
}
export const published = (text: string): RuleSource => ({ kind: 'published', text });
export const fromMemory = (text: string): RuleSource => ({ kind: 'from-memory', text });
export const COMMON_PRACTICE: RuleSource = {
  kind: 'common-practice',
  text: 'common practice, no published source',
};

/** Figures and codes of a reason; the sentence is made from them elsewhere. */
export type ReasonData = Readonly<Record<string, string | number>>;
export type Finding =
  /** The rule has nothing against the route. */
  | null
  | { readonly status: 'fires'; readonly data: ReasonData }
  /** It cannot be said until this is answered. */
  | { readonly status: 'unknown'; readonly asks: readonly (keyof Survey)[] };

export const fires = (data: ReasonData = {}): Finding => ({ status: 'fires', data });
export const asks = (...fields: (keyof Survey)[]): Finding => ({ status: 'unknown', asks: fields });
/** Fires when `yes`, asks when unknown. */
export function whenYes(
  answer: 'yes' | 'no' | 'unknown',
  field: keyof Survey,
  data: ReasonData = {},
): Finding {
  return answer === 'yes' ? fires(data) : answer === 'unknown' ? asks(field) : null;
}

/** What would make the refused possible: an answer, a thing the shop gets, a school. */
export type Remedy =
  | { readonly by: 'survey'; readonly field: keyof Survey }
  | { readonly by: 'facility'; readonly facility: Facility }
  | { readonly by: 'school'; readonly school: keyof Schools }
  | { readonly by: 'route' };

/** One judgement of the trade. Its words live in contract/src/words/rules.ts under its id. */
export interface Rule {
  readonly id: string;
  readonly severity: Severity;
  /**
   * What it looks at beside the survey and the shop: only what comes before the first coat, only the coats, or the whole
   * route. The advisor judges the first two once each; the harness checks that a rule keeps to it.
   */
  readonly phase: 'prep' | 'coats' | 'route';
  readonly source: RuleSource;
  /** A matter of life and limb: no reason lifts it, the answer is to refer. */
  readonly safety?: true;
  /** What would remove the reason, when the rule refuses. */
  readonly remedies: readonly Remedy[];
  readonly check: (v: RouteView) => Finding;
}
export const rule = (r: Rule): Rule => r;
export const byRoute: Remedy = { by: 'route' };
export const bySurvey = (field: keyof Survey): Remedy => ({ by: 'survey', field });
export const byFacility = (facility: Facility): Remedy => ({ by: 'facility', facility });
export const bySchool = (school: keyof Schools): Remedy => ({ by: 'school', school });
