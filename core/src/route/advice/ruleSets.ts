import type { ShopMeans } from '../../part/shopMeans.ts';
import type { Survey } from '../../part/survey.ts';
import type { Family } from '../../products/catalogue/index.ts';
import type { Rule } from '../rule.ts';
import type { Pace, Weights } from '../score.ts';

/** Rules sorted by what they look at and what they do. */
export interface RuleSets {
  readonly prepRefusing: readonly Rule[];
  readonly coatsRefusing: readonly Rule[];
  readonly routeRefusing: readonly Rule[];
  readonly refusing: readonly Rule[];
  /** What warns or prefers: for a route that nothing refuses. */
  readonly speaking: readonly Rule[];
  readonly prepPrefer: readonly Rule[];
  readonly coatsPrefer: readonly Rule[];
}
const sorted = new WeakMap<readonly Rule[], RuleSets>();
export function ruleSets(all: readonly Rule[]): RuleSets {
  let sets = sorted.get(all);
  if (!sets) {
    const of = (phase: Rule['phase'], severity: Rule['severity']): readonly Rule[] =>
      all.filter((r) => r.phase === phase && r.severity === severity);
    sets = {
      prepRefusing: of('prep', 'refuse'),
      coatsRefusing: of('coats', 'refuse'),
      routeRefusing: of('route', 'refuse'),
      refusing: all.filter((r) => r.severity === 'refuse'),
      speaking: all.filter((r) => r.severity !== 'refuse'),
      prepPrefer: of('prep', 'prefer'),
      coatsPrefer: of('coats', 'prefer'),
    };
    sorted.set(all, sets);
  }
  return sets;
}

export interface ZoneInput {
  readonly survey: Survey;
  readonly means: ShopMeans;
  readonly families: ReadonlyMap<string, Family>;
  readonly pace?: Pace;
  readonly weights?: Weights;
  readonly rules: RuleSets;
}
