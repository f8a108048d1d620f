import { hardnessOf } from '../part/kindFacts.ts';
import { meansFor, type ShopMeans } from '../part/shopMeans.ts';
import type { Feature, Survey } from '../part/survey.ts';
import type { Family } from '../products/catalogue/index.ts';
import { metalOf, type Metal, type Tool } from '../products/traits.ts';
import {
  COAT_KINDS_OF_STEP,
  OPEN_COATS,
  type Method,
  type RoutePretreatment,
  type RouteStep,
  type WindowPolicy,
} from './route.ts';
import { actOf, standsBefore } from './surface/acts.ts';
import { ACTS } from './surface/actsTable.ts';
import type { Matter } from './surface/matter.ts';
import type { Seen } from './surface/seen.ts';
import { surfacesThrough } from './surface/walk.ts';
import type { Unmet } from './surface/asks.ts';
import type { Surface } from './surface/state.ts';

/** A coat of the route with its family looked up. */
export interface CoatView {
  readonly index: number;
  readonly kind: RouteStep['kind'];
  readonly family: Family;
  readonly coats: number;
  readonly dftUm: number;
  readonly tool: Tool;
  readonly policy: WindowPolicy;
}

/** What the rules look at: the survey, the shop, and a route read once. Unknown families are left out of `coats` and named. */
export interface RouteView {
  readonly survey: Survey;
  readonly means: ShopMeans;
  readonly steps: readonly RouteStep[];
  readonly metal: Metal;
  readonly methods: readonly Method[];
  readonly pretreats: readonly RoutePretreatment[];
  /** The old coat stays on and is keyed. */
  readonly keeps: boolean;
  /** Its later coats are left open until the colour is decided. */
  readonly isHeld: boolean;
  readonly coats: readonly CoatView[];
  /** The coats without cavity protection. */
  readonly paint: readonly CoatView[];
  /** Neighbouring coats of different steps, below first. */
  readonly pairs: readonly (readonly [CoatView, CoatView])[];
  readonly unknownFamilies: readonly string[];
  /** The surface before each step, and after the last; coats change it no more, so it may end with the preparation. */
  readonly through: () => readonly Surface[];
  /** What the first coat meets, walked through the steps from what the survey found; worked out when first asked for. */
  readonly surface: () => Surface;
  /** The first act that may not begin, and the matter in its way. */
  readonly blocked: () => Blocked | null;
  /** What several rules ask of the same view, kept once it is worked out. */
  readonly worked: { unmet: readonly Unmet[] | null };
}

/** What was answered by the metal itself, filled in. */
export const settled = (s: Survey): Survey => {
  const hardened = hardnessOf(s);
  return hardened === s.hardened ? s : { ...s, hardened };
};

/** Reads a route once. `seen`: what the inspection found. */
export function viewOf(
  asked: Survey,
  means: ShopMeans,
  steps: readonly RouteStep[],
  families: ReadonlyMap<string, Family>,
  seen?: Seen,
): RouteView {
  const survey = settled(asked);
  const methods: Method[] = [];
  const pretreats: RoutePretreatment[] = [];
  const coats: CoatView[] = [];
  const unknownFamilies: string[] = [];
  let isHeld = false;
  for (let index = 0; index < steps.length; index++) {
    const s = steps[index]!;
    if (s.kind === 'strip') methods.push(s.what as Method);
    else if (s.kind === 'pretreat') pretreats.push(s.what as RoutePretreatment);
    else if (s.what === OPEN_COATS) isHeld = true;
    else if (COAT_KINDS_OF_STEP.includes(s.kind)) {
      const family = s.familyId === undefined ? undefined : families.get(s.familyId);
      if (!family) {
        unknownFamilies.push(s.familyId ?? '');
        continue;
      }
      coats.push({
        index,
        kind: s.kind,
        family,
        coats: s.coats,
        dftUm: s.dftUm ?? family.sheet.dftUm,
        tool: s.tool ?? 'gun',
        policy: s.policy ?? 'in-window',
      });
    }
  }
  const paint = coats.filter((c) => c.kind !== 'cavity');
  let walked: readonly Surface[] | undefined;
  let stopped: Blocked | null | undefined;
  const through = (): readonly Surface[] => (walked ??= surfacesThrough(survey, steps, seen));
  return {
    survey,
    means: meansFor(survey, means),
    steps,
    metal: metalOf(survey.substrate),
    methods,
    pretreats,
    keeps: methods.includes('keep'),
    isHeld,
    coats,
    paint,
    pairs: pairsIn(paint),
    unknownFamilies,
    worked: { unmet: null },
    through,
    blocked: () => (stopped === undefined ? (stopped = blockedIn(steps, through())) : stopped),
    surface: () => {
      const at = through();
      return at[Math.min(paint[0]?.index ?? steps.length, at.length - 1)]!;
    },
  };
}

export interface Blocked {
  readonly act: string;
  readonly matter: Matter;
}
function blockedIn(steps: readonly RouteStep[], through: readonly Surface[]): Blocked | null {
  for (let i = 0; i < steps.length; i++) {
    const s = steps[i]!;
    const act = s.kind === 'strip' || s.kind === 'pretreat' ? actOf(s.what ?? '') : undefined;
    const matter = act ? standsBefore(act, through[i]!.amounts) : null;
    if (matter !== null) return { act: act!.actId, matter };
  }
  return null;
}

/** A route of a preparation and of coats that were read before, each for itself. */
export function viewOver(prep: RouteView, over: RouteView): RouteView {
  const shift = prep.steps.length;
  const coats = over.coats.map((c) => ({ ...c, index: c.index + shift }));
  const paint = coats.filter((c) => c.kind !== 'cavity');
  return {
    ...prep,
    steps: [...prep.steps, ...over.steps],
    isHeld: over.isHeld,
    coats,
    paint,
    pairs: pairsIn(paint),
    unknownFamilies: over.unknownFamilies,
    worked: { unmet: null },
    // The first coat meets what the preparation leaves.
    surface: () => lastOf(prep.through()),
  };
}
const lastOf = (through: readonly Surface[]): Surface => through[through.length - 1]!;
const pairsIn = (paint: readonly CoatView[]): RouteView['pairs'] =>
  paint.slice(1).map((c, i) => [paint[i]!, c] as const);

export const paintOf = (v: RouteView): readonly CoatView[] => v.paint;
export const firstCoat = (v: RouteView): CoatView | undefined => v.paint[0];
export const lastCoat = (v: RouteView): CoatView | undefined => v.paint[v.paint.length - 1];
export const has = (v: RouteView, feature: Feature): boolean => v.survey.features.includes(feature);
export const uses = (v: RouteView, ...methods: readonly Method[]): boolean => usesAny(v, methods);
export function usesAny(v: RouteView, methods: readonly Method[]): boolean {
  for (const m of v.methods) if (methods.includes(m)) return true;
  return false;
}
/** Acts of the route, pretreatments too, whose table entry says so; the first one's name, or undefined. */
export function actThat(v: RouteView, is: (a: (typeof ACTS)[number]) => boolean): string | undefined {
  for (const list of [v.methods, v.pretreats])
    for (const id of list) {
      const a = actOf(id);
      if (a !== undefined && is(a)) return id;
    }
  return undefined;
}
/** Index of the first step of a kind (and of what it does), or −1. */
export function indexOf(v: RouteView, kind: RouteStep['kind'], what?: string): number {
  for (let i = 0; i < v.steps.length; i++) {
    const s = v.steps[i]!;
    if (s.kind === kind && (what === undefined || s.what === what)) return i;
  }
  return -1;
}
/** The first step that takes something off, keys or dips: what must be known first is known before it. */
export const stripIndex = (v: RouteView): number => indexOf(v, 'strip');
export const firstCoatIndex = (v: RouteView): number => firstCoat(v)?.index ?? v.steps.length;

const methodsThat = (is: (a: (typeof ACTS)[number]) => boolean): readonly Method[] =>
  ACTS.filter(is).map((a) => a.actId as Method);
/** Methods that throw or cut the old coat as dust, and those that soften it by heat. */
export const DUSTY: readonly Method[] = methodsThat((a) => a.isDusty);
export const BLASTS: readonly Method[] = methodsThat((a) => a.way === 'blast' && a.actId !== 'dry-ice');
export const BATHS: readonly Method[] = methodsThat((a) => a.way === 'bath');
/** What grinds oil into metal if it is not off first. */
export const ABRASIVE: readonly Method[] = [
  ...methodsThat((a) => a.isDusty && a.actId !== 'heat-gun'),
  'pad',
  'keep',
];
/** What floods or throws grit at all there is: blasts, baths, caustic. */
export const FLOODS: readonly Method[] = [...BLASTS, ...BATHS, 'hot-caustic'];
export const totalUm = (c: CoatView): number => c.coats * c.dftUm;
export const pairs = (v: RouteView): RouteView['pairs'] => v.pairs;
