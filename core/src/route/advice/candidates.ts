import type { ShopMeans } from '../../part/shopMeans.ts';
import type { Survey } from '../../part/survey.ts';
import type { Family } from '../../products/catalogue/index.ts';
import { metalOf } from '../../products/traits.ts';
import { coatSteps, prepSteps, type LayerChoice } from '../build.ts';
import { UNKNOWN_AREA_M2 } from '../hours.ts';
import { firstHindrance, judge } from '../judge.ts';
import type { RouteStep } from '../route.ts';
import type { Rule } from '../rule.ts';
import {
  figuresFrom,
  gripOf,
  scoreOf,
  takesOf,
  type Figures,
  type Score,
  type Takes,
  type Weights,
} from '../score.ts';
import { ACTS, type Act, type ActId, type Way } from '../surface/acts.ts';
import { askOf, meets, unmetBy, type SurfaceAsk } from '../surface/asks.ts';
import { endOf, sequencesFor, type Sequence } from '../surface/search.ts';
import type { Surface } from '../surface/state.ts';
import { layersOf, systemsOf, type System } from '../systems.ts';
import { isFerrous, viewOf, type CoatView, type RouteView } from '../view.ts';
import { aboutFamily, aboutMethod, type About, type Tally } from './tally.ts';

/** Rules sorted by what they look at and what they do. */
export interface RuleSets {
  readonly all: readonly Rule[];
  readonly prepRefusing: readonly Rule[];
  readonly coatsRefusing: readonly Rule[];
  readonly routeRefusing: readonly Rule[];
  readonly refusing: readonly Rule[];
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
      all,
      prepRefusing: of('prep', 'refuse'),
      coatsRefusing: of('coats', 'refuse'),
      routeRefusing: of('route', 'refuse'),
      refusing: all.filter((r) => r.severity === 'refuse'),
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
  readonly weights?: Weights;
  readonly rules: RuleSets;
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

/** Coats that have passed by themselves. */
export interface Laid {
  readonly system: System;
  readonly layers: readonly LayerChoice[];
  readonly steps: readonly RouteStep[];
  readonly paint: readonly CoatView[];
  readonly takes: Takes;
  readonly about: readonly About[];
  readonly preferences: number;
  readonly needsBlast: boolean;
}

/** A preparation written out, with what it takes and how well it holds. */
export interface Ready {
  readonly sequence: Sequence;
  readonly steps: readonly RouteStep[];
  readonly takes: Takes;
  /** The surface before each of its steps and after the last. */
  readonly through: readonly Surface[];
  readonly grip: number;
  readonly keeps: boolean;
  readonly preferences: number;
  readonly worth: number;
}

/** A way with a system over it, scored but not yet judged as a whole. */
export interface Candidate {
  readonly way: Way;
  readonly acts: readonly ActId[];
  readonly ready: Ready;
  readonly laid: Laid;
  readonly figures: Figures;
  readonly score: Score;
}

/** What may be tried at all on this part: of its metals, and of paint only where there is paint. */
function isConsidered(a: Act, s: Survey): boolean {
  const isForPaint = [
    'heat-gun',
    'solvent-stripper',
    'plastic-media',
    'dry-ice',
    'keep',
    'spot-disc',
    'spot-wet',
  ].includes(a.actId);
  if (isForPaint)
    return s.coating !== 'none' || (a.actId === 'solvent-stripper' && s.alsoOn.includes('underseal'));
  if (a.actId === 'scrape') return s.coatKind === 'bitumen' || s.alsoOn.length > 0;
  return true;
}

/** Acts that this part stands and this shop can have done; what is refused is tallied with its reasons. */
function allowedActs(z: ZoneInput, tally: Tally): ActId[] {
  const { survey, means, families, rules } = z;
  const out: ActId[] = [];
  for (const a of ACTS) {
    if (!isConsidered(a, survey)) continue;
    const v = viewOf(survey, means, prepSteps(survey, means, [a.actId]), families);
    const hindrance = firstHindrance(v, rules.prepRefusing);
    if (hindrance) tally.refuse([aboutMethod(a.actId)], v, hindrance, rules.prepRefusing, 0);
    else out.push(a.actId);
  }
  return out;
}

function laidSystems(z: ZoneInput, tally: Tally): Laid[] {
  const { survey, means, families, rules } = z;
  const out: Laid[] = [];
  for (const system of systemsFor(families)) {
    const layers = layersOf(system, survey, families);
    const steps = coatSteps(survey, means, layers, families);
    const about = [...system.primers, ...system.finishes].map((f) => aboutFamily(f.familyId));
    const v = viewOf(survey, means, steps, families);
    const hindrance = firstHindrance(v, rules.coatsRefusing);
    if (hindrance) {
      tally.refuse(about, v, hindrance, rules.coatsRefusing, 1);
      continue;
    }
    out.push({
      system,
      layers,
      steps,
      paint: v.paint,
      takes: takesOf(survey, steps, families),
      about,
      preferences: judge(v, rules.coatsPrefer).preferences.length,
      needsBlast: v.paint.some((c) => c.family.traits.needsBlast),
    });
  }
  return out;
}

/**
 * How good a preparation is: what it reaches against what service wants, then hands and days (docs/surface.md 7; common
 * practice). Harsh places want more of it.
 */
function readyOf(z: ZoneInput, q: Sequence): Ready | null {
  const { survey, means, families, rules } = z;
  const steps = prepSteps(survey, means, q.acts);
  const v = viewOf(survey, means, steps, families);
  // Each act may be; whether they may be together is judged here, once for all systems.
  if (firstHindrance(v, rules.prepRefusing)) return null;
  const keeps = q.acts.includes('keep');
  const takes = takesOf(survey, steps, families);
  const grip = gripOf(q.end, keeps, isFerrous(metalOf(survey.substrate)));
  const preferences = judge(v, rules.prepPrefer).preferences.length;
  const isHarsh = ['C3', 'C4', 'C5', 'CX', 'immersed'].includes(survey.category);
  const worth =
    grip * (isHarsh ? 20 : 12) +
    preferences -
    takes.hours / (1 + (survey.areaM2 ?? UNKNOWN_AREA_M2)) -
    takes.waitHours / (24 * 30);
  return { sequence: q, steps, takes, through: v.through(), grip, keeps, preferences, worth };
}

export interface Found {
  readonly candidates: readonly Candidate[];
  readonly laid: readonly Laid[];
  readonly sequences: readonly Sequence[];
  readonly acts: readonly ActId[];
}

/** Every way and system that go together by surface, best score first; not yet judged as whole routes. Pure. */
export function candidatesFor(z: ZoneInput, tally: Tally): Found {
  const acts = allowedActs(z, tally);
  const sequences = sequencesFor(z.survey, z.means, acts);
  const laid = laidSystems(z, tally);
  const ready = new Map<Sequence, Ready | null>();
  const readyFor = (q: Sequence): Ready | null => {
    let r = ready.get(q);
    if (r === undefined) ready.set(q, (r = readyOf(z, q)));
    return r;
  };
  const best = new Map<string, readonly Ready[]>();
  const preps = (l: Laid): readonly Ready[] => {
    const first = l.paint[0];
    if (!first) return [];
    const key = `${first.family.familyId}${l.needsBlast}`;
    let list = best.get(key);
    if (!list) best.set(key, (list = bestByWay(z, first.family, l.needsBlast, sequences, readyFor)));
    return list;
  };
  const candidates = laid.flatMap((l) => preps(l).map((r) => candidate(z, l, r)));
  candidates.sort((a, b) => b.score.total - a.score.total || a.figures.hours - b.figures.hours);
  return { candidates, laid, sequences, acts };
}

/** Of the sequences that a first coat takes, the best of each way. */
function bestByWay(
  z: ZoneInput,
  first: Family,
  needsBlast: boolean,
  sequences: readonly Sequence[],
  readyFor: (q: Sequence) => Ready | null,
): Ready[] {
  const asks = [false, true].map((keeps) => worstAsk(first, z.survey, keeps, needsBlast));
  const byWay = new Map<Way, Sequence[]>();
  const met = sequences.filter((q) => meets(q.end, asks[q.acts.includes('keep') ? 1 : 0]!));
  for (const q of met) {
    const list = byWay.get(q.way);
    if (list) list.push(q);
    else byWay.set(q.way, [q]);
  }
  return [...byWay.values()].flatMap((all) => {
    const list = withoutIdle(all, met);
    if (list.length === 0) return [];
    // The cheapest few of a way are worth writing out; the rest only add work.
    const few = [...list].sort((a, b) => a.hours - b.hours || a.acts.length - b.acts.length).slice(0, 4);
    const strong = list.filter((q) => q.end.clean >= 3 && !few.includes(q)).sort((a, b) => a.hours - b.hours);
    const ready = [...few, ...strong.slice(0, 2)]
      .filter((q) => needsAll(z.survey, q, asks[q.acts.includes('keep') ? 1 : 0]!))
      .map(readyFor)
      .filter((r) => r !== null);
    return ready.length === 0 ? [] : [ready.reduce((a, b) => (b.worth > a.worth ? b : a))];
  });
}

/** A sequence with an act that it would do without is only more work: what a shorter one reaches is not offered again. */
const withoutIdle = (list: readonly Sequence[], met: readonly Sequence[]): Sequence[] =>
  list.filter((q) => !met.some((o) => o !== q && o.acts.length < q.acts.length && (o.mask & ~q.mask) === 0));

/** Whether the coat would refuse the surface with any one act left out. */
const needsAll = (s: Survey, q: Sequence, ask: SurfaceAsk): boolean =>
  q.acts.every((id, i) => {
    if (id === 'keep') return true;
    const end = endOf(
      s,
      q.acts.filter((_, k) => k !== i),
      q.abrades,
    );
    return end === null || !meets(end, ask);
  });

/** Where the place is not known, what the harshest would ask. */
export const worstAsk = (first: Family, s: Survey, keeps: boolean, needsBlast: boolean): SurfaceAsk =>
  askOf(first, s, keeps, s.category === 'unknown' ? 'C5' : s.category, needsBlast);

function candidate(z: ZoneInput, l: Laid, r: Ready): Candidate {
  const figures = figuresFrom(r.takes, l.takes);
  return {
    way: r.sequence.way,
    acts: r.sequence.acts,
    ready: r,
    laid: l,
    figures,
    score: scoreOf({
      survey: z.survey,
      paint: l.paint,
      figures,
      grip: r.grip,
      keeps: r.keeps,
      preferences: r.preferences + l.preferences,
      ...(z.weights ? { weights: z.weights } : {}),
    }),
  };
}

export const stepsOf = (c: Candidate): readonly RouteStep[] => [...c.ready.steps, ...c.laid.steps];

/** A route to show why a system has no preparation: over the sequence that leaves least wrong. */
export function nearestMiss(z: ZoneInput, l: Laid, sequences: readonly Sequence[]): RouteView {
  const near = nearestSequence(l.paint[0]!.family, l.needsBlast, z.survey, sequences);
  const prep = prepSteps(z.survey, z.means, near?.acts ?? []);
  return viewOf(z.survey, z.means, [...prep, ...l.steps], z.families);
}

const nearest = new WeakMap<readonly Sequence[], Map<string, Sequence | null>>();
/** The sequence that leaves least wrong for a first coat. */
function nearestSequence(
  first: Family,
  needsBlast: boolean,
  s: Survey,
  sequences: readonly Sequence[],
): Sequence | null {
  let known = nearest.get(sequences);
  if (!known) nearest.set(sequences, (known = new Map<string, Sequence | null>()));
  const key = `${first.familyId}${needsBlast}`;
  const found = known.get(key);
  if (found !== undefined) return found;
  const asks = [false, true].map((keeps) => worstAsk(first, s, keeps, needsBlast));
  let near: Sequence | null = null;
  let fewest = Infinity;
  for (const q of sequences) {
    const wrong = unmetBy(q.end, asks[q.acts.includes('keep') ? 1 : 0]!).length;
    if (wrong < fewest) [near, fewest] = [q, wrong];
  }
  known.set(key, near);
  return near;
}
