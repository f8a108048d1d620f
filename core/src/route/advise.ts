import { meansFor, type ShopMeans } from '../part/shopMeans.ts';
import type { Survey, Zone } from '../part/survey.ts';
import { surveyOfZone } from '../part/zones.ts';
import type { Family } from '../products/catalogue/index.ts';
import { ruleSets, type ZoneInput } from './advice/ruleSets.ts';
import { bestsOf, givesUp, type Best, type GivesUp } from './advice/rivals.ts';
import type { Refused } from './advice/tally.ts';
import { adviseZone, type Held, type Unshown, type ZoneAdvice } from './advice/zone.ts';
import type { RouteAnswer } from './answers.ts';
import { buildRoute, numbered, type Choice } from './build.ts';
import type { LayerChoice } from './coats.ts';
import { lifeOf } from './exposure.ts';
import { GATES, hopedSurvey } from './gates.ts';
import { judge, type Reason } from './judge.ts';
import type { RouteStep, StepGate } from './route.ts';
import type { Remedy, Rule } from './rule.ts';
import { RULES } from './rules/index.ts';
import { figuresOf, type Figures, type Pace, type Score, type Weights } from './score.ts';
import type { Way } from './surface/act.ts';
import { viewOf } from './view.ts';

export interface AdvisedRoute {
  readonly routeId: string;
  /** How it is prepared, in a word. */
  readonly way: Way;
  readonly answer: { readonly kind: RouteAnswer; readonly what: string };
  readonly choice: Choice;
  readonly steps: readonly RouteStep[];
  readonly figures: Figures;
  /** Null for an answer without paint: it is not ranked against paint. */
  readonly score: Score | null;
  /** Years to first major maintenance by a published table's scope; null: no published life. */
  readonly lifeYears: string | null;
  readonly warnings: readonly Reason[];
  readonly preferences: readonly Reason[];
  /** Looks it rests on. */
  readonly gates: readonly StepGate[];
  readonly bestAt: readonly Best[];
  /** Against the advised one; null for that itself. */
  readonly givesUp: GivesUp | null;
  /** Layers that would do as well. */
  readonly twins: readonly (readonly LayerChoice[])[];
}

/** A zone of its own with what was chosen for it; the same in every rival. */
export interface ZoneAnswer {
  readonly zone: Zone;
  readonly way: Way;
  readonly answer: { readonly kind: RouteAnswer; readonly what: string };
  readonly choice: Choice;
  readonly refused: readonly Refused[];
}

export interface Advice {
  readonly routes: readonly AdvisedRoute[];
  /** Hold, but lost their place, and by what. */
  readonly unshown: readonly Unshown[];
  readonly zones: readonly ZoneAnswer[];
  readonly refused: readonly Refused[];
  /** Answers that would open more, those that open most first. */
  readonly questions: readonly { readonly field: keyof Survey; readonly opens: number }[];
  /** When nothing but an expert holds: what would make something possible, most often named first. */
  readonly wouldHelp: readonly { readonly remedy: Remedy; readonly count: number }[];
}

export interface AdviseInput {
  readonly survey: Survey;
  readonly means: ShopMeans;
  readonly families: ReadonlyMap<string, Family>;
  readonly weights?: Weights;
  /** How long work takes this shop; without it, as long as is usual. */
  readonly pace?: Pace;
  readonly rules?: readonly Rule[];
  /** Works out what each gate comes to where its answer is another: a second advice each, for a page and not for a grid. */
  readonly branches?: boolean;
}

/**
 * Up to five complete routes, best first, painted or not, with what was refused and why, what holds but lost, and what
 * answering or getting would change. Always something: a route, an answer without paint, or a named expert. Pure.
 */
export function advise(given: AdviseInput): Advice {
  const rules = given.rules ?? RULES;
  const z: ZoneInput = {
    survey: given.survey,
    means: meansFor(given.survey, given.means),
    families: given.families,
    rules: ruleSets(rules),
    ...(given.pace ? { pace: given.pace } : {}),
    ...(given.weights ? { weights: given.weights } : {}),
  };
  const main = adviseZone(z);
  const zones = given.survey.zones.map((zone) => ({
    zone,
    advice: adviseZone({ ...z, survey: surveyOfZone(given.survey, zone) }),
  }));
  const merged = main.held.map((h) => ({
    ...h,
    steps: zones.reduce<readonly RouteStep[]>(
      (steps, x) => withZone(steps, x.zone, x.advice.held[0]!),
      h.steps,
    ),
  }));
  const figured = merged.map((h) => ({
    ...h,
    figures: zones.length === 0 ? h.figures : figuresOf(z.survey, h.steps, z.families, z.pace),
  }));
  const bests = bestsOf(figured);
  const branches = given.branches === true ? branchesOf(z) : null;
  return {
    routes: figured.map((h, i) => route(z, h, bests[i]!, i === 0 ? null : givesUp(h, figured[0]!), branches)),
    unshown: main.unshown,
    zones: zones.map((x) => zoneAnswer(x.zone, x.advice)),
    refused: main.tally.refused(),
    questions: main.tally.questions(),
    wouldHelp: main.held.every((h) => h.answer.kind === 'refer') ? main.tally.wouldHelp(rules) : [],
  };
}

const zoneAnswer = (zone: Zone, advice: ZoneAdvice): ZoneAnswer => {
  const best = advice.held[0]!;
  return { zone, way: best.way, answer: best.answer, choice: best.choice, refused: advice.tally.refused() };
};

/** What is looked at and signed first is done once for the whole part; a zone's own work comes before the outside's, which masks it. */
function withZone(
  steps: readonly RouteStep[],
  zone: Pick<Zone, 'zoneId'>,
  best: Pick<Held, 'steps'>,
): readonly RouteStep[] {
  const opens = (s: RouteStep): boolean =>
    ['record', 'gate', 'refer', 'test'].includes(s.kind) || s.what === 'openings';
  const at = steps.findIndex((s) => !opens(s));
  const cut = at < 0 ? steps.length : at;
  const done = new Set(steps.slice(0, cut).map((s) => `${s.kind} ${s.what ?? ''}`));
  const own = best.steps
    .filter((s) => !done.has(`${s.kind} ${s.what ?? ''}`))
    .map((s) => ({ ...s, zoneId: zone.zoneId }));
  return numbered([...steps.slice(0, cut), ...own, ...steps.slice(cut)]);
}

function route(
  z: ZoneInput,
  h: Held,
  bestAt: readonly Best[],
  gives: GivesUp | null,
  branches: ((gate: StepGate) => StepGate) | null,
): AdvisedRoute {
  const steps = branches ? h.steps.map((s) => (s.gate ? { ...s, gate: branches(s.gate) } : s)) : h.steps;
  const gates = steps.flatMap((s) => (s.gate ? [s.gate] : []));
  const v = viewOf(h.survey, z.means, h.steps, z.families);
  const spoken = h.score === null ? null : judge(v, z.rules.speaking);
  return {
    routeId: idOf(h),
    way: h.way,
    answer: h.answer,
    choice: h.choice,
    steps,
    figures: h.figures,
    score: h.score,
    lifeYears: h.score === null ? null : lifeOf(v),
    warnings: spoken?.warnings ?? [],
    preferences: spoken?.preferences ?? [],
    gates,
    bestAt,
    givesUp: gives,
    twins: h.twins,
  };
}

/** What a gate comes to where it does not pass: the best route then, worked out once a field. */
function branchesOf(z: ZoneInput): (gate: StepGate) => StepGate {
  const known = new Map<string, StepGate['otherwise']>();
  const hoped = hopedSurvey(z.survey);
  return (gate) => {
    const field = GATES.find((g) => g.field === gate.field);
    const other = field?.values.find((x) => !gate.passes.includes(String(x)));
    if (other === undefined) return gate;
    if (!known.has(gate.field)) {
      const best = adviseZone({ ...z, survey: { ...hoped, [gate.field]: other } }).held[0]!;
      known.set(gate.field, {
        acts: best.choice.acts.length > 0 ? best.choice.acts : [best.answer.what],
        hours: best.figures.hours,
        days: best.figures.days,
        cost: best.figures.cost,
      });
    }
    return { ...gate, otherwise: known.get(gate.field) ?? null };
  };
}

/** An advised route with other layers over the same preparation: one of its twins, or its own on another part. */
export function routeWith(
  input: Pick<AdviseInput, 'survey' | 'means' | 'families'>,
  route: Pick<AdvisedRoute, 'choice' | 'steps' | 'gates'>,
  layers: readonly LayerChoice[] = route.choice.layers,
): readonly RouteStep[] {
  const { survey, means, families } = input;
  const steps = buildRoute(survey, means, { acts: route.choice.acts, layers }, families, route.gates);
  return survey.zones.reduce<readonly RouteStep[]>(
    (all, z) => withZone(all, z, { steps: route.steps.filter((x) => x.zoneId === z.zoneId) }),
    steps,
  );
}

export function idOf(h: Pick<Held, 'choice' | 'answer'>): string {
  const layers = h.choice.layers.map((l) => `${l.familyId}x${l.coats}`);
  return [h.choice.acts.join('+') || 'as-it-is', ...(layers.length > 0 ? layers : [h.answer.what])].join('/');
}
