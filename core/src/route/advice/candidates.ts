import type { Survey } from '../../part/survey.ts';
import type { Family } from '../../products/catalogue/index.ts';
import { coatWriter, type LayerChoice } from '../coats.ts';
import { firstHindrance, judge } from '../judge.ts';
import type { RouteStep } from '../route.ts';
import {
  figuresFrom,
  meritsOf,
  scoreOf,
  takesOf,
  weightsFor,
  type CoatMerits,
  type Figures,
  type Score,
  type Takes,
} from '../score.ts';
import type { Act, ActId, Way } from '../surface/act.ts';
import { ACTS } from '../surface/actsTable.ts';
import { sequencesFor } from '../surface/search.ts';
import { layersOf, systemsOf, type System } from '../systems.ts';
import { viewOf, viewOver, type CoatView, type RouteView } from '../view.ts';
import { Preparations, type Ready } from './preparations.ts';
import { Reach, type Foot } from './reach.ts';
import type { ZoneInput } from './ruleSets.ts';
import { aboutFamily, aboutMethod, type About, type Tally } from './tally.ts';

/** What depends on the families alone, worked out once. */
interface Candid {
  readonly system: System;
  readonly about: readonly About[];
}
const systemCache = new WeakMap<ReadonlyMap<string, Family>, readonly Candid[]>();
function systemsFor(families: ReadonlyMap<string, Family>): readonly Candid[] {
  let systems = systemCache.get(families);
  if (!systems) {
    systems = systemsOf(families).map((system) => ({
      system,
      about: [...system.primers, ...system.finishes].map((f) => aboutFamily(f.familyId)),
    }));
    systemCache.set(families, systems);
  }
  return systems;
}

/** Coats that have passed by themselves. */
export interface Laid {
  readonly layers: readonly LayerChoice[];
  readonly view: RouteView;
  readonly foot: Foot;
  /** Binders of the first coat and the last: families of one binder are one. */
  readonly binders: string;
  readonly takes: Takes;
  readonly about: readonly About[];
  readonly preferences: number;
  readonly merits: CoatMerits;
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
function allowedActs(z: ZoneInput, prepared: Preparations, tally: Tally): ActId[] {
  const { survey, rules } = z;
  const out: ActId[] = [];
  for (const a of ACTS) {
    if (!isConsidered(a, survey)) continue;
    const v = prepared.view([a.actId]);
    const hindrance = firstHindrance(v, rules.prepRefusing);
    if (hindrance) tally.refuse([aboutMethod(a.actId)], v, hindrance, rules.prepRefusing, 0);
    else out.push(a.actId);
  }
  return out;
}

function laidSystems(z: ZoneInput, tally: Tally): Laid[] {
  const { survey, means, families, rules } = z;
  const out: Laid[] = [];
  const write = coatWriter(survey, means, families);
  for (const { system, about } of systemsFor(families)) {
    const layers = layersOf(system, survey, families);
    const steps = write(layers);
    const v = viewOf(survey, means, steps, families);
    const hindrance = firstHindrance(v, rules.coatsRefusing);
    if (hindrance) {
      tally.refuse(about, v, hindrance, rules.coatsRefusing, 1);
      continue;
    }
    out.push({
      layers,
      view: v,
      foot: footOf(v.paint),
      binders: bindersOf(v.paint),
      takes: takesOf(survey, steps, families, z.pace),
      about,
      preferences: judge(v, rules.coatsPrefer).preferences.length + ownIn(v.paint) * OWN_IS_WORTH,
      merits: meritsOf(survey, v.paint),
    });
  }
  return out;
}

/** A product that the shop has counts like so many points of house practice: first among equals, and never above what is right. */
const OWN_IS_WORTH = 1.5;
const ownIn = (paint: readonly CoatView[]): number => paint.filter((c) => c.family.isOwn).length;

const footOf = (paint: readonly CoatView[]): Foot => ({
  first: paint[0]!.family,
  needsBlast: paint.some((c) => c.family.traits.needsBlast),
});

function bindersOf(paint: readonly CoatView[]): string {
  const [first, last] = [paint[0]!.family, paint[paint.length - 1]!.family];
  return `${first.sheet.binder}${first.traits.pigment === 'zinc-metal' ? 'zn' : ''}|${last.sheet.binder}`;
}

export interface Found {
  readonly candidates: readonly Candidate[];
  readonly laid: readonly Laid[];
  readonly reach: Reach;
  readonly prepared: Preparations;
  readonly acts: readonly ActId[];
}

/** Every way and system that go together by surface, best score first; not yet judged as whole routes. Pure. */
export function candidatesFor(z: ZoneInput, tally: Tally): Found {
  const prepared = new Preparations(z);
  const acts = allowedActs(z, prepared, tally);
  const reach = new Reach(z.survey, sequencesFor(z.survey, z.means, acts), prepared);
  const laid = laidSystems(z, tally);
  const weights = z.weights ?? weightsFor(z.survey);
  const candidates: Candidate[] = [];
  for (const l of laid) {
    for (const ready of reach.bestByWay(l.foot)) {
      const { way, acts: by, keeps } = ready.sequence;
      const figures = figuresFrom(ready.takes, l.takes);
      const preferences = ready.preferences + l.preferences;
      const { survey } = z;
      const { grip } = ready;
      const score = scoreOf({ survey, merits: l.merits, figures, grip, keeps, preferences, weights });
      candidates.push({ way, acts: by, ready, laid: l, figures, score });
    }
  }
  candidates.sort((a, b) => b.score.total - a.score.total || a.figures.hours - b.figures.hours);
  return { candidates, laid, reach, prepared, acts };
}

export const viewOfCandidate = (c: Candidate): RouteView => viewOver(c.ready.view, c.laid.view);
export const stepsOf = (c: Candidate): readonly RouteStep[] => [...c.ready.view.steps, ...c.laid.view.steps];

/** A route to show why a system has no preparation: over the sequence that leaves least wrong. */
export const nearestMiss = (l: Laid, { reach, prepared }: Found): RouteView =>
  viewOver(prepared.view(reach.nearest(l.foot)?.acts ?? []), l.view);
