import type { ShopMeans } from '../part/shopMeans.ts';
import type { Survey } from '../part/survey.ts';
import { surveyOfZone } from '../part/zones.ts';
import type { Family } from '../products/catalogue/index.ts';
import { answerOf } from './answers.ts';
import { surveysUnder } from './gates.ts';
import type { RouteStep } from './route.ts';
import type { ReasonData, Rule } from './rule.ts';
import type { Seen } from './surface/seen.ts';
import { viewOf, type RouteView } from './view.ts';

/** A rule that spoke about a route. */
export interface Reason {
  readonly ruleId: string;
  readonly data: ReasonData;
  /** The zone it is about; absent: the outside, or the whole part. */
  readonly zoneId?: string;
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

export function judge(v: RouteView, rules: readonly Rule[], zoneId?: string): Judgement {
  const refusals: Reason[] = [];
  const open: OpenQuestion[] = [];
  const warnings: Reason[] = [];
  const preferences: Reason[] = [];
  const zone = zoneId === undefined ? {} : { zoneId };
  for (const r of rules) {
    const f = r.check(v);
    if (f === null) continue;
    if (f.status === 'unknown') {
      // Only what could refuse holds a route up; a warning that cannot be judged is given.
      if (r.severity === 'refuse') open.push({ ruleId: r.id, asks: f.asks });
      else if (r.severity === 'warn')
        warnings.push({ ruleId: r.id, data: { unknown: f.asks.join(', ') }, ...zone });
      continue;
    }
    const reason = { ruleId: r.id, data: f.data, ...zone };
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

/** The steps of one zone; the outside has those of no zone, and of zones that its features imply. */
export function stepsOfZone(
  s: Survey,
  steps: readonly RouteStep[],
  zoneId: string | null,
): readonly RouteStep[] {
  const own = s.zones.map((z) => z.zoneId);
  return steps.filter((x) =>
    zoneId === null ? x.zoneId === undefined || !own.includes(x.zoneId) : x.zoneId === zoneId || isShared(x),
  );
}
/** What is looked at, tested and signed for the whole part counts for every zone. */
const isShared = (x: RouteStep): boolean =>
  x.zoneId === undefined && (['record', 'gate', 'refer', 'test'].includes(x.kind) || x.what === 'openings');

export interface JudgeInput {
  readonly survey: Survey;
  readonly means: ShopMeans;
  readonly steps: readonly RouteStep[];
  readonly families: ReadonlyMap<string, Family>;
  readonly rules: readonly Rule[];
  /** What was seen at the inspection, if it has been: it takes the place of what the acts should have done. */
  readonly seen?: Seen;
}

/**
 * A whole route as it stands, edited or not: every zone by itself, and each gate at every answer it lets through. A route
 * without paint is judged on what is done to the metal and on its end. Pure.
 */
export function judgeRoute(input: JudgeInput): Judgement {
  const { survey, steps } = input;
  const gates = steps.flatMap((x) => (x.gate ? [x.gate] : []));
  let all: Judgement = { refusals: [], open: [], warnings: [], preferences: [] };
  for (const under of surveysUnder(survey, gates)) {
    all = joined(all, judgeZone(input, under, null));
    // A zone without a step of its own has no end, and its own judgement says so.
    for (const z of survey.zones) all = joined(all, judgeZone(input, surveyOfZone(under, z), z.zoneId));
  }
  return {
    refusals: distinct(all.refusals),
    open: distinct(all.open),
    warnings: distinct(all.warnings),
    preferences: distinct(all.preferences),
  };
}

const distinct = <T extends { readonly ruleId: string; readonly zoneId?: string }>(list: readonly T[]): T[] =>
  list.filter((x, i) => list.findIndex((y) => y.ruleId === x.ruleId && y.zoneId === x.zoneId) === i);

function judgeZone(input: JudgeInput, survey: Survey, zoneId: string | null): Judgement {
  const steps = stepsOfZone(input.survey, input.steps, zoneId);
  const v = viewOf(survey, input.means, steps, input.families, input.seen);
  return judge(v, rulesFor(v, input.rules), zoneId ?? undefined);
}

const SPOKEN: readonly string[] = ['work.answer-here', 'metal.magnesium', 'surface.first'];
const forNotPaint = new WeakMap<readonly Rule[], readonly Rule[]>();
/** Coats are not asked of an answer that has none. */
export function rulesFor(v: RouteView, rules: readonly Rule[]): readonly Rule[] {
  const answer = answerOf(v.steps);
  if (answer === null || answer.kind === 'paint') return rules;
  let list = forNotPaint.get(rules);
  if (!list) {
    list = rules.filter((r) => r.phase === 'prep' || SPOKEN.includes(r.id));
    forNotPaint.set(rules, list);
  }
  return list;
}
