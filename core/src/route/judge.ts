import type { ReasonData, Rule } from './rule.ts';
import type { Survey } from '../part/survey.ts';
import type { RouteView } from './view.ts';

/** A rule that spoke about a route. */
export interface Reason {
  readonly ruleId: string;
  readonly data: ReasonData;
}
export interface OpenQuestion {
  readonly ruleId: string;
  readonly asks: readonly (keyof Survey)[];
}
/** What all the rules say of one route, in rule order. A route may be only when nothing refuses and nothing is open. */
export interface Judgement {
  readonly refusals: readonly Reason[];
  readonly open: readonly OpenQuestion[];
  readonly warnings: readonly Reason[];
  readonly preferences: readonly Reason[];
}

export function judge(v: RouteView, rules: readonly Rule[]): Judgement {
  const refusals: Reason[] = [];
  const open: OpenQuestion[] = [];
  const warnings: Reason[] = [];
  const preferences: Reason[] = [];
  for (const r of rules) {
    const f = r.check(v);
    if (f === null) continue;
    if (f.status === 'unknown') {
      // Only what could refuse holds a route up; a warning that cannot be judged is given.
      if (r.severity === 'refuse') open.push({ ruleId: r.id, asks: f.asks });
      else if (r.severity === 'warn') warnings.push({ ruleId: r.id, data: { unknown: f.asks.join(', ') } });
      continue;
    }
    const reason = { ruleId: r.id, data: f.data };
    if (r.severity === 'refuse') refusals.push(reason);
    else if (r.severity === 'warn') warnings.push(reason);
    else preferences.push(reason);
  }
  return { refusals, open, warnings, preferences };
}

export interface Hindrance {
  readonly ruleId: string;
  /** How many rules came before it. */
  readonly index: number;
  readonly asks: readonly (keyof Survey)[];
}

/** The first rule that stands in the way, refusing or asking; null when the route may be. For sifting many. */
export function firstHindrance(v: RouteView, rules: readonly Rule[]): Hindrance | null {
  for (let index = 0; index < rules.length; index++) {
    const r = rules[index]!;
    if (r.severity !== 'refuse') continue;
    const f = r.check(v);
    if (f !== null) return { ruleId: r.id, index, asks: f.status === 'unknown' ? f.asks : [] };
  }
  return null;
}

/** Two judgements of different rules over one route. */
export function joined(a: Judgement, b: Judgement): Judgement {
  return {
    refusals: [...a.refusals, ...b.refusals],
    open: [...a.open, ...b.open],
    warnings: [...a.warnings, ...b.warnings],
    preferences: [...a.preferences, ...b.preferences],
  };
}

export const isAllowed = (j: Judgement): boolean => j.refusals.length === 0 && j.open.length === 0;
