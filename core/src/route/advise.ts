import { meansFor, type ShopMeans } from '../part/shopMeans.ts';
import type { Survey } from '../part/survey.ts';
import type { Family } from '../products/catalogue/index.ts';
import { coatSteps, numbered, prepSteps, type Choice } from './build.ts';
import { lifeOf } from './exposure.ts';
import { firstHindrance, joined, judge, type Hindrance, type Judgement, type Reason } from './judge.ts';
import type { RouteStep } from './route.ts';
import type { Remedy, Rule } from './rule.ts';
import { RULES } from './rules/index.ts';
import { figuresOf, scoreOf, WEIGHTS, type Figures, type Score, type Weights } from './score.ts';
import { layersOf, prepsFor, systemsOf, type PrepChoice, type System } from './systems.ts';
import { viewOf, type RouteView } from './view.ts';

export const MOST_ROUTES = 5;
/** So many ways to prepare are carried on to the coats: the best by hours and practice. */
const MOST_PREPS = 3;

export interface AdvisedRoute {
  readonly routeId: string;
  readonly choice: Choice;
  readonly steps: readonly RouteStep[];
  readonly figures: Figures;
  readonly score: Score;
  /** Years to first major maintenance by a published table's scope; null: no published life. */
  readonly lifeYears: string | null;
  readonly warnings: readonly Reason[];
  readonly preferences: readonly Reason[];
}

/** Something that is in no advised route, with the rules that removed it. */
export interface Refused {
  readonly about: 'method' | 'family';
  readonly id: string;
  readonly reasons: readonly Reason[];
  readonly asks: readonly (keyof Survey)[];
}
export interface Advice {
  readonly routes: readonly AdvisedRoute[];
  readonly refused: readonly Refused[];
  /** Answers that would open more, those that open most first. */
  readonly questions: readonly { readonly field: keyof Survey; readonly opens: number }[];
  /** When nothing holds: what would make something possible, most often named first. */
  readonly wouldHelp: readonly { readonly remedy: Remedy; readonly count: number }[];
}

type About = Pick<Refused, 'about' | 'id'> & { readonly key: string };

export interface AdviseInput {
  readonly survey: Survey;
  readonly means: ShopMeans;
  readonly families: ReadonlyMap<string, Family>;
  readonly weights?: Weights;
  readonly rules?: readonly Rule[];
}

/** What depends on the families alone, worked out once. */
const systemCache = new WeakMap<ReadonlyMap<string, Family>, readonly System[]>();
function systemsFor(families: ReadonlyMap<string, Family>): readonly System[] {
  let systems = systemCache.get(families);
  if (!systems) {
    systems = systemsOf(families);
    systemCache.set(families, systems);
  }
  return systems;
}

interface ReadyPrep {
  readonly prep: PrepChoice;
  readonly steps: readonly RouteStep[];
  readonly verdict: Judgement;
}

/** Up to five complete routes, best first, with what was refused and why, and what answering or getting would change. Pure. */
export function advise(given: AdviseInput): Advice {
  const input = { ...given, means: meansFor(given.survey, given.means) };
  const { survey, means, families } = input;
  const all = input.rules ?? RULES;
  const ofRoute = all.filter((r) => r.phase === 'route');
  const rules: RuleSets = {
    all,
    refusing: all.filter((r) => r.severity === 'refuse'),
    preferring: all.filter((r) => r.severity === 'prefer'),
    prep: all.filter((r) => r.phase === 'prep'),
    coats: all.filter((r) => r.phase === 'coats' && r.severity === 'refuse'),
    route: ofRoute.filter((r) => r.severity === 'refuse'),
    spoken: all.filter((r) => r.phase !== 'prep' && r.severity !== 'refuse'),
  };
  const tally = new Tally();
  const preps = allowedPreps(input, rules, tally);
  const laid: Laid[] = [];
  for (const system of systemsFor(families)) {
    const layers = layersOf(system, survey, families);
    const steps = coatSteps(survey, means, layers, families);
    const about = aboutOf(system);
    const v = viewOf(survey, means, steps, families);
    const hindrance = firstHindrance(v, rules.coats);
    if (hindrance) tally.refuse(about, v, hindrance, rules.coats, 1);
    else laid.push({ system, layers, steps, about });
  }
  const found: Candidate[] = [];
  const weights = input.weights ?? WEIGHTS[survey.finish];
  for (const l of laid) {
    // Each system takes the best preparation that allows it.
    for (const ready of preps) {
      const v = viewOf(survey, means, ready.steps.concat(l.steps), families);
      const hindrance = firstHindrance(v, rules.route);
      if (hindrance) {
        tally.refuse(l.about, v, hindrance, rules.route, 2);
        continue;
      }
      tally.allow(l.about);
      const verdict = joined(ready.verdict, judge(v, rules.spoken));
      const figures = figuresOf(v);
      const score = scoreOf(v, figures, verdict, survey, weights);
      found.push({
        choice: { ...ready.prep, layers: l.layers },
        v,
        verdict,
        figures,
        score,
        system: l.system,
      });
      break;
    }
  }
  return {
    routes: best(found).map(written),
    refused: tally.refused(),
    questions: tally.questions(),
    wouldHelp: found.length > 0 ? [] : tally.wouldHelp(rules.all),
  };
}

/** Coats that have passed by themselves. */
interface Laid {
  readonly system: System;
  readonly layers: Choice['layers'];
  readonly steps: readonly RouteStep[];
  readonly about: readonly About[];
}

/** An allowed route not yet written out. */
interface Candidate {
  readonly choice: Choice;
  readonly v: RouteView;
  readonly verdict: Judgement;
  readonly figures: Figures;
  readonly score: Score;
  readonly system: System;
}

const aboutOf = (s: System): About[] =>
  [...s.primers, ...s.finishes].map((f) => ({
    about: 'family',
    id: f.familyId,
    key: `family ${f.familyId}`,
  }));

function written(c: Candidate): AdvisedRoute {
  return {
    routeId: idOf(c.choice),
    choice: c.choice,
    steps: numbered(c.v.steps),
    figures: c.figures,
    score: c.score,
    lifeYears: lifeOf(c.v),
    warnings: c.verdict.warnings,
    preferences: c.verdict.preferences,
  };
}

export function idOf(c: Choice): string {
  return [
    c.methods.join('+'),
    c.pretreat ?? 'no-pretreat',
    ...c.layers.map((l) => `${l.familyId}x${l.coats}`),
  ].join('/');
}

interface RuleSets {
  readonly prep: readonly Rule[];
  /** Those that can stand in the way, by what they look at, and those that only speak. */
  readonly coats: readonly Rule[];
  readonly route: readonly Rule[];
  readonly spoken: readonly Rule[];
  readonly all: readonly Rule[];
  readonly refusing: readonly Rule[];
  readonly preferring: readonly Rule[];
}

/** Preparations the rules allow with no coat on yet, best by practice and hands first. */
function allowedPreps(input: AdviseInput, rules: RuleSets, tally: Tally): ReadyPrep[] {
  const { survey, means, families } = input;
  const good: (ReadyPrep & { readonly worth: number })[] = [];
  for (const prep of prepsFor(survey)) {
    const about: About[] = prep.methods.map((m) => ({ about: 'method', id: m, key: `method ${m}` }));
    const steps = prepSteps(survey, means, prep);
    const v = viewOf(survey, means, steps, families);
    const hindrance = firstHindrance(v, rules.refusing);
    if (hindrance) {
      tally.refuse(about, v, hindrance, rules.refusing, 0);
      continue;
    }
    tally.allow(about);
    const verdict = judge(v, rules.prep);
    const f = figuresOf(v);
    const practice = judge(v, rules.preferring).preferences.length;
    const worth = practice * 2 - f.hours / (1 + (survey.areaM2 ?? 0.5)) - f.days / 30;
    good.push({ prep, steps, verdict, worth });
  }
  good.sort((a, b) => b.worth - a.worth);
  // The best with and the best without a pretreatment differ in what may follow: both are carried on.
  const plain = good.filter((g) => g.prep.pretreat === null).slice(0, MOST_PREPS);
  const treated = good.filter((g) => g.prep.pretreat !== null).slice(0, 1);
  return [...plain, ...treated].sort((a, b) => b.worth - a.worth);
}

const firstOf = (s: System): string => (s.primers[0] ?? s.finishes[0])!.familyId;
const lastOf = (s: System): string =>
  (s.finishes[s.finishes.length - 1] ?? s.primers[s.primers.length - 1])!.familyId;

/**
 * Best first, and different: the best of each finish comes before the second of any, so that rivals are worth comparing.
 * Ties go to the fewer hours, then to the order of the catalogue.
 */
function best(found: readonly Candidate[]): Candidate[] {
  const sorted = [...found].sort(
    (a, b) => b.score.total - a.score.total || a.figures.hours - b.figures.hours,
  );
  const finishes = new Set<string>();
  const classes = new Set<string>();
  const firsts: Candidate[] = [];
  const seconds: Candidate[] = [];
  for (const c of sorted) {
    const finish = lastOf(c.system);
    const both = `${firstOf(c.system)}/${finish}`;
    if (classes.has(both)) continue;
    classes.add(both);
    (finishes.has(finish) ? seconds : firsts).push(c);
    finishes.add(finish);
  }
  const chosen = new Set(
    [...firsts.slice(0, MOST_ROUTES - 1), ...seconds, ...firsts.slice(MOST_ROUTES - 1)].slice(0, MOST_ROUTES),
  );
  return sorted.filter((c) => chosen.has(c));
}

interface Against {
  readonly about: About;
  /** The route it got farthest in: past the most rules. */
  sample: RouteView;
  rules: readonly Rule[];
  reach: number;
  readonly asks: Map<keyof Survey, number>;
}

/** Counts what removed what, so that each method and family can say why it is not there. */
class Tally {
  private readonly allowed = new Set<string>();
  private readonly against = new Map<string, Against>();
  private readonly asked = new Map<keyof Survey, number>();
  private readonly refusing = new Map<string, number>();

  allow(about: readonly About[]): void {
    for (const a of about) this.allowed.add(a.key);
  }

  /** `stage` orders the sieves: a later one was reached only past the earlier. */
  refuse(
    about: readonly About[],
    v: RouteView,
    hindrance: Hindrance,
    rules: readonly Rule[],
    stage: number,
  ): void {
    for (const f of hindrance.asks) bump(this.asked, f);
    if (hindrance.asks.length === 0) bump(this.refusing, hindrance.ruleId);
    const reach = stage * 1000 + hindrance.index;
    for (const a of about) {
      const known = this.against.get(a.key);
      if (!known) {
        const asks = new Map(hindrance.asks.map((f) => [f, 1]));
        this.against.set(a.key, { about: a, sample: v, rules, reach, asks });
        continue;
      }
      for (const f of hindrance.asks) bump(known.asks, f);
      if (reach <= known.reach) continue;
      known.sample = v;
      known.rules = rules;
      known.reach = reach;
    }
  }

  /** Each thing in no allowed route, with every rule against the route it got farthest in. */
  refused(): Refused[] {
    const out: Refused[] = [];
    for (const [key, e] of this.against) {
      if (this.allowed.has(key)) continue;
      const verdict = judge(e.sample, e.rules);
      const open = verdict.open.flatMap((q) => q.asks);
      out.push({
        about: e.about.about,
        id: e.about.id,
        reasons: verdict.refusals,
        asks: [...new Set([...open, ...[...e.asks].sort((a, b) => b[1] - a[1]).map(([f]) => f)])],
      });
    }
    return out.sort((a, b) => (a.about === b.about ? (a.id < b.id ? -1 : 1) : a.about === 'method' ? -1 : 1));
  }

  questions(): { field: keyof Survey; opens: number }[] {
    return [...this.asked]
      .map(([field, opens]) => ({ field, opens }))
      .sort((a, b) => b.opens - a.opens || (a.field < b.field ? -1 : 1));
  }

  wouldHelp(rules: readonly Rule[]): { remedy: Remedy; count: number }[] {
    const counts = new Map<string, { remedy: Remedy; count: number }>();
    const add = (remedy: Remedy, n: number): void => {
      const key = JSON.stringify(remedy);
      const known = counts.get(key);
      if (known) known.count += n;
      else counts.set(key, { remedy, count: n });
    };
    for (const [id, n] of this.refusing)
      for (const remedy of rules.find((r) => r.id === id)?.remedies ?? [])
        if (remedy.by !== 'route') add(remedy, n);
    for (const [field, n] of this.asked) add({ by: 'survey', field }, n);
    return [...counts.values()].sort((a, b) => b.count - a.count);
  }
}

function bump<K>(map: Map<K, number>, key: K): void {
  map.set(key, (map.get(key) ?? 0) + 1);
}
