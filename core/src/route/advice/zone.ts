import type { Survey } from '../../part/survey.ts';
import { hopedSurvey, MOST_GATES, openGates } from '../gates.ts';
import { buildRoute, numbered, prepSteps, type Choice } from '../build.ts';
import type { LayerChoice } from '../coats.ts';
import { answersFor, expertFor, type NotPaint } from '../answers.ts';
import { firstHindrance, rulesFor } from '../judge.ts';
import type { RouteStep, StepGate } from '../route.ts';
import { figuresOf, weightsFor, type Figures, type Quality, type Score } from '../score.ts';
import type { ActId, Way } from '../surface/act.ts';
import { OFF } from '../surface/matter.ts';
import { standsOn } from '../surface/asks.ts';
import { settled, viewOf, viewOver } from '../view.ts';
import {
  candidatesFor,
  nearestMiss,
  stepsOf,
  viewOfCandidate,
  type Candidate,
  type Found,
} from './candidates.ts';
import { Gating } from './gating.ts';
import { lostBy } from './rivals.ts';
import type { ZoneInput } from './ruleSets.ts';
import { aboutMethod, Tally } from './tally.ts';

/** A route that holds for a zone. */
export interface Held {
  readonly way: Way;
  readonly answer: { readonly kind: NotPaint['answer'] | 'paint'; readonly what: string };
  readonly leads: boolean;
  readonly choice: Choice;
  readonly steps: readonly RouteStep[];
  readonly gates: readonly StepGate[];
  readonly figures: Figures;
  readonly score: Score | null;
  /** The answers it was worked out for: its gates' hopes filled in. */
  readonly survey: Survey;
  /** Layers that would do as well in its place. */
  readonly twins: readonly (readonly LayerChoice[])[];
}

/** A route that holds and is not shown, with what cost it its place. */
export interface Unshown {
  readonly way: Way;
  readonly choice: Choice;
  readonly figures: Figures;
  readonly lostBy: Quality;
}

export interface ZoneAdvice {
  readonly held: readonly Held[];
  readonly unshown: readonly Unshown[];
  readonly tally: Tally;
}

/** One rival a way and binder pair: families of one binder are one. */
const pairOf = (c: Candidate): string => `${c.way}|${c.laid.binders}`;

/** Binder pairs looked for in one way. */
const MOST_PAIRS = 8;
/** Sets of layers named as good as a rival's. */
const MOST_TWINS = 3;

interface Rival {
  readonly way: Way;
  readonly score: Score;
  readonly c: Candidate;
  /** What it was worked out for: the asked survey with its looks hoped for. */
  readonly ground: ZoneInput;
  readonly gates: readonly StepGate[];
  readonly twins: (readonly LayerChoice[])[];
}

/** Candidates that hold as whole routes, the best of each way and binder pair with its twins. */
function rivalsOf(z: ZoneInput, asked: ZoneInput, found: Found, tally: Tally): Map<string, Rival> {
  const rivals = new Map<string, Rival>();
  const pairsOf = new Map<Way, number>();
  const gating = new Gating(z, asked.survey);
  for (const c of found.candidates) {
    const pair = pairOf(c);
    const known = rivals.get(pair);
    // What only repeats a rival and brings no new family in is not looked at again.
    const isFresh = c.laid.about.some((a) => !tally.isAllowed(a));
    if (known && !isFresh && known.twins.length >= MOST_TWINS) continue;
    if (!known && !isFresh && (pairsOf.get(c.way) ?? 0) >= MOST_PAIRS) continue;
    const v = viewOfCandidate(c);
    const hindrance = firstHindrance(v, z.rules.routeRefusing);
    if (hindrance) {
      tally.refuse(c.laid.about, v, hindrance, z.rules.routeRefusing, 2);
      continue;
    }
    if (known) {
      if (c.acts.join() === known.c.acts.join()) known.twins.push(c.laid.layers);
      tally.allow(c.laid.about);
      continue;
    }
    const gates = z.survey === asked.survey ? [] : gating.gatesOf(c);
    if (gates === null) continue;
    tally.allow(c.laid.about);
    tally.allow(c.acts.map(aboutMethod));
    pairsOf.set(c.way, (pairsOf.get(c.way) ?? 0) + 1);
    for (const g of gates) tally.ask(g.field as never);
    rivals.set(pair, { way: c.way, score: c.score, c, ground: z, gates, twins: [] });
  }
  return rivals;
}

/** What could not be laid over any preparation, and acts that reach nothing, each say what stands. */
function tallyMisses(z: ZoneInput, found: Found, tally: Tally): void {
  for (const l of found.laid) {
    if (l.about.every((a) => tally.isAllowed(a))) continue;
    const v = nearestMiss(l, found);
    const hindrance = firstHindrance(v, z.rules.refusing);
    if (hindrance) tally.refuse(l.about, v, hindrance, z.rules.refusing, 3);
  }
  const forgiving = found.laid.find((l) => l.foot.first.familyId === 'epoxy-mastic') ?? found.laid[0];
  if (!forgiving) return;
  for (const id of found.acts) {
    if (tally.isAllowed(aboutMethod(id))) continue;
    const v = viewOver(found.prepared.view([id]), forgiving.view);
    const hindrance = firstHindrance(v, z.rules.refusing);
    if (hindrance) tally.refuse([aboutMethod(id)], v, hindrance, z.rules.refusing, 3);
    else tally.allow([aboutMethod(id)]);
  }
}

/** All that holds for one zone: painted, best first, and what is not paint. Pure. */
export function adviseZone(asked: ZoneInput): ZoneAdvice {
  const own = { ...asked, survey: settled(asked.survey) };
  const hoped = hopedSurvey(own.survey);
  const z = hoped === own.survey ? own : { ...own, survey: hoped };
  const tally = new Tally();
  const found = candidatesFor(z, tally);
  const held = new Map<string, Rival>();
  const hold = (rivals: ReadonlyMap<string, Rival>): void => {
    for (const [pair, r] of rivals) if (!held.has(pair)) held.set(pair, r);
  };
  hold(rivalsOf(z, own, found, tally));
  const ways = (): number => new Set([...held.values()].map((h) => h.way)).size;
  // What does not hold with every look hoped for holds no better at the worst.
  const most = new Set(found.candidates.map((c) => c.way)).size;
  if (z !== own && ways() < Math.min(2, most)) {
    // With every look hoped for, too much rests on looks: what holds at the worst, and with the three asked most hoped for?
    const asked = new Tally();
    hold(rivalsOf(own, own, candidatesFor(own, asked), tally));
    const open = asked.questions().map((q) => q.field);
    const few = openGates(own.survey)
      .map((g) => g.field)
      .filter((f) => open.includes(f))
      .sort((a, b) => open.indexOf(a) - open.indexOf(b))
      .slice(0, MOST_GATES);
    if (ways() < 2 && few.length > 0) {
      const some = { ...own, survey: hopedSurvey(own.survey, few) };
      hold(rivalsOf(some, own, candidatesFor(some, new Tally()), tally));
    }
  }
  if (held.size === 0) for (const g of openGates(own.survey)) tally.ask(g.field);
  tallyMisses(z, found, tally);
  const painted = [...held.values()];
  const others = notPaint(own, found);
  const shown = chosen(painted, others);
  const advised = shown.find((h): h is Rival => h.score !== null);
  const weights = asked.weights ?? weightsFor(own.survey);
  return {
    held: shown.length > 0 ? shown.map((h) => ('c' in h ? heldOf(h) : h)) : [lastResort(own)],
    unshown: painted
      .filter((h) => !shown.includes(h))
      .map((h) => ({
        way: h.way,
        choice: choiceOf(h),
        figures: h.gates.length === 0 ? h.c.figures : heldOf(h).figures,
        lostBy: advised ? lostBy(h.score, advised.score, weights) : 'protection',
      })),
    tally,
  };
}

const choiceOf = (r: Rival): Choice => ({ acts: r.c.acts, layers: r.c.laid.layers });

/** A rival written out: only what is shown is worth the writing. */
function heldOf(r: Rival): Held {
  const { c, gates, ground: z } = r;
  const choice = choiceOf(r);
  const steps =
    gates.length === 0 ? numbered(stepsOf(c)) : buildRoute(z.survey, z.means, choice, z.families, gates);
  return {
    way: c.way,
    answer: { kind: 'paint', what: 'paint' },
    leads: false,
    choice,
    steps,
    gates,
    figures: gates.length === 0 ? c.figures : figuresOf(z.survey, steps, z.families, z.pace),
    score: c.score,
    survey: z.survey,
    twins: r.twins,
  };
}

export const MOST_ROUTES = 5;
const MOST_NOT_PAINT = 2;

/**
 * Five at most: answers without paint that lead come first; then the best, the best of another way, keeping where it may
 * be, and the rest by score, ways and finishes that are new before more of the same.
 */
function chosen(painted: readonly Rival[], others: readonly Held[]): (Rival | Held)[] {
  const out: (Rival | Held)[] = others.filter((h) => h.leads).slice(0, MOST_NOT_PAINT);
  const lead = out.length;
  const rest = others.filter((h) => !out.includes(h)).slice(0, MOST_NOT_PAINT - lead);
  const room = MOST_ROUTES - (painted.length >= MOST_ROUTES ? Math.min(1, rest.length) : rest.length);
  const sorted = [...painted].sort(
    (a, b) => b.score.total - a.score.total || a.gates.length - b.gates.length,
  );
  const take = (h: Rival | undefined): void => {
    if (h && !out.includes(h) && out.length < room) out.push(h);
  };
  take(sorted[0]);
  take(sorted.find((h) => h.way !== sorted[0]!.way));
  take(sorted.find((h) => h.way === 'keep'));
  const has = (h: Rival): boolean => out.some((o) => o.way === h.way);
  const finishOf = (h: Rival | Held): string | undefined => {
    const layers = 'c' in h ? h.c.laid.layers : h.choice.layers;
    return layers[layers.length - 1]?.familyId;
  };
  for (const h of sorted) if (!has(h)) take(h);
  for (const h of sorted) if (!out.some((o) => finishOf(o) === finishOf(h))) take(h);
  for (const h of sorted) take(h);
  for (const h of rest) if (out.length < MOST_ROUTES) out.push(h);
  const head = out.slice(0, lead);
  const tail = out.slice(lead);
  return [
    ...head,
    ...tail.filter((h) => h.score !== null).sort((a, b) => b.score!.total - a.score!.total),
    ...tail.filter((h) => h.score === null),
  ];
}

const WAY_OF: Readonly<Record<NotPaint['answer'], Way>> = {
  preserve: 'not-paint',
  bare: 'not-paint',
  'inside-only': 'not-paint',
  repair: 'not-paint',
  replace: 'not-paint',
  send: 'send',
  refer: 'not-paint',
  watch: 'not-paint',
};

/** Answers without paint, written out with their care; those that want bare metal by the best way to bare it. */
function notPaint(z: ZoneInput, found: Found): Held[] {
  const bare = found.reach.sequences
    .filter(
      (q) =>
        !q.keeps &&
        (['loose-rust', 'tight-rust', 'loose-paint', 'sound-paint', 'underseal'] as const).every(
          (m) => standsOn(q.end, m) <= OFF,
        ),
    )
    .sort(
      (a, b) =>
        a.acts.length - b.acts.length ||
        Number(b.way === 'bath') - Number(a.way === 'bath') ||
        a.hours - b.hours,
    )[0];
  const isClean = z.survey.rust === 'none' && z.survey.coating === 'none';
  return answersFor(z.survey, z.means)
    .filter((a) => a.answer !== 'refer' || a.leads)
    .filter((a) => !a.wantsBare || bare !== undefined || isClean)
    .map((a) => written(z, a, a.wantsBare && !isClean ? bare!.acts : []))
    .filter((h) => isFree(z, h));
}
const isFree = (z: ZoneInput, h: Held): boolean => {
  const v = viewOf(z.survey, z.means, h.steps, z.families);
  return firstHindrance(v, rulesFor(v, z.rules.refusing)) === null;
};

function written(z: ZoneInput, a: NotPaint, acts: readonly ActId[]): Held {
  const step = (kind: RouteStep['kind'], what: string, hours: number, waitHours = 0): RouteStep => ({
    stepId: '',
    kind,
    what,
    coats: 0,
    dftUm: null,
    hours,
    waitHours,
    cautions: a.answer === 'refer' ? ['refer-critical'] : [],
  });
  const doing = a.answer !== 'refer' && a.answer !== 'watch';
  const prep =
    acts.length > 0 ? prepSteps(z.survey, z.means, acts) : doing && a.answer !== 'replace' ? opening(z) : [];
  const area = z.survey.areaM2 ?? 0.5;
  const steps = numbered([
    ...prep.filter((s) => s.kind !== 'stripe' && s.what !== 'before-paint'),
    ...(a.does === 'care'
      ? []
      : [step(a.does, a.what, doing ? 0.3 + 0.3 * area : 0.5, a.answer === 'send' ? 17 * 24 : 0)]),
    ...(a.does === 'care' ? [step('care', a.what, 0)] : a.care === null ? [] : [step('care', a.care, 0)]),
  ]);
  return {
    way: WAY_OF[a.answer],
    answer: { kind: a.answer, what: a.what },
    leads: a.leads,
    choice: { acts, layers: [] },
    steps,
    gates: [],
    figures: figuresOf(z.survey, steps, z.families, z.pace),
    score: null,
    survey: z.survey,
    twins: [],
  };
}
/** Where nothing is stripped: recorded, looked at and cleaned. */
const opening = (z: ZoneInput): RouteStep[] =>
  prepSteps(z.survey, z.means, []).filter(
    (s) =>
      ['record', 'refer', 'mask', 'degrease', 'inspect', 'test-fit'].includes(s.kind) &&
      s.what !== 'before-paint',
  );

/** Nothing holds, and nothing without paint does either: who to ask. */
function lastResort(z: ZoneInput): Held {
  return written(
    z,
    {
      answer: 'refer',
      what: expertFor(z.survey),
      leads: false,
      wantsBare: false,
      does: 'refer',
      care: 'look-yearly',
    },
    [],
  );
}
