import { recent } from '../../base/recent.ts';
import type { Category, Survey } from '../../part/survey.ts';
import type { Family } from '../../products/catalogue/index.ts';
import { isFerrous, metalOf } from '../../products/traits.ts';
import { CLEANLINESS } from './cleanliness.ts';
import { amountOf, MATTERS, OFF, PRESENT, TRACES, type Matter } from './matter.ts';
import type { Surface } from './state.ts';

/** What a first coat asks of the surface it goes on. */
export interface SurfaceAsk {
  /** Index in `CLEANLINESS`, of iron and steel. */
  readonly clean: number;
  /** Whether a pickled or chelated surface serves: not at all, keyed, or as it is. */
  readonly pickled: 'no' | 'keyed';
  readonly profileUm: readonly [number, number] | null;
  /** Most of each matter that may stand, in sixteenths, in the order of `MATTERS`. */
  readonly most: readonly number[];
  /** Iron and steel are judged by cleanliness; other metals by key, sweep or conversion. */
  readonly isFerrous: boolean;
  /** Other metals: must be converted too, as under water. */
  readonly needsConversion: boolean;
  readonly needsKey: boolean;
  /** An etch bites bare metal: a conversion film keeps it off. */
  readonly mayBeConverted: boolean;
  /** What was found wrong with surfaces for it: hundreds of routes meet the same few. */
  readonly found: Map<Surface, readonly Unmet[]>;
}

/** What is still wrong with a surface for a coat. */
export type Unmet =
  | { readonly code: 'stands'; readonly matter: Matter; readonly amount: number }
  | { readonly code: 'clean'; readonly got: string; readonly need: string }
  | {
      readonly code: 'profile';
      readonly got: readonly [number, number] | null;
      readonly need: readonly [number, number];
    }
  | { readonly code: 'burnished' }
  | { readonly code: 'key' }
  | { readonly code: 'conversion' };

const HARSH: readonly Category[] = ['C4', 'C5', 'CX', 'immersed'];
const MILD: readonly Category[] = ['C1', 'C2'];

/**
 * What the first coat asks here (docs/surface.md 3): its sheet's own traits, else its binder's; stricter in harsh places and
 * under water. `keeps`: the old coat stays and is keyed. Pure.
 */
export function askOf(
  family: Family,
  s: Survey,
  keeps: boolean,
  category: Category = s.category,
  blastsLater = false,
): SurfaceAsk {
  const ofSurvey = asksFor(s);
  let ofFamily = ofSurvey.get(family);
  if (!ofFamily) ofSurvey.set(family, (ofFamily = [new Map(), new Map(), new Map(), new Map()]));
  const byCategory = ofFamily[(keeps ? 2 : 0) + (blastsLater ? 1 : 0)]!;
  let ask = byCategory.get(category);
  if (!ask) byCategory.set(category, (ask = worked(family, s, keeps, category, blastsLater)));
  return ask;
}
type Asks = readonly Map<Category, SurfaceAsk>[];
/** Hundreds of routes over one survey begin with the same few coats. */
const asksFor = recent((_: Survey) => new Map<Family, Asks>());

function worked(
  family: Family,
  s: Survey,
  keeps: boolean,
  category: Category,
  blastsLater: boolean,
): SurfaceAsk {
  const { traits, sheet } = family;
  const ferrous = isFerrous(metalOf(s.substrate));
  const isImmersed = category === 'immersed';
  const isHarsh = HARSH.includes(category);
  const isEpoxy = sheet.binder === 'epoxy-2k';
  const needsBlast = (traits.needsBlast || blastsLater || isImmersed) && ferrous;
  // Silicone finishes to 250 °C are not so choosy (docs/surface.md 3).
  const isWarmSilicone = sheet.binder === 'silicone-heat' && s.heatC !== null && s.heatC <= 250;
  let clean = CLEANLINESS.indexOf(traits.leastClean);
  if (isWarmSilicone) clean = Math.min(clean, 2);
  if (isEpoxy && !MILD.includes(category)) clean = Math.max(clean, 2);
  if (needsBlast) clean = CLEANLINESS.length - 1;
  const most = MATTERS.map((m): number => {
    const t = isImmersed ? undefined : traits.tolerates[m];
    return t === 'all' ? PRESENT : t === 'traces' ? TRACES : OFF;
  });
  const set = (m: Matter, amount: number): void => void (most[MATTERS.indexOf(m)] = amount);
  if (!isImmersed) set('salts', TRACES);
  set('oxide', TRACES);
  set('silicone', TRACES);
  set('phosphate', traits.overPhosphate ? PRESENT : OFF);
  set('old-filler', traits.overFiller && !isImmersed ? PRESENT : OFF);
  set('sound-paint', keeps && traits.overOldPaint && !isImmersed ? PRESENT : OFF);
  if (isEpoxy && isHarsh) {
    const pits = MATTERS.indexOf('pit-rust');
    most[pits] = most[pits] === PRESENT ? TRACES : OFF;
  }
  // Scale under a coat that has held is under it still; bare, it is for dry places.
  if (keeps && s.coating !== 'none') set('scale', PRESENT);
  else if (!MILD.includes(category)) set('scale', OFF);
  return {
    clean: keeps ? 0 : clean,
    pickled: needsBlast || ['inorganic-zinc', 'silicone-heat'].includes(sheet.binder) ? 'no' : 'keyed',
    profileUm:
      keeps || !ferrous || traits.profileUm === null ? null : [traits.profileUm.min, traits.profileUm.max],
    most,
    isFerrous: ferrous && !keeps,
    needsConversion: isImmersed && metalOf(s.substrate) === 'aluminium' && !keeps,
    needsKey: keeps || !ferrous,
    mayBeConverted: sheet.role !== 'etch',
    found: new Map(),
  };
}

/** Everything on or about a surface that a coat does not take, in the order of `MATTERS`, then its condition. */
export function unmetBy(at: Surface, ask: SurfaceAsk): readonly Unmet[] {
  let list = ask.found.get(at);
  if (!list) ask.found.set(at, (list = compared(at, ask)));
  return list;
}

function compared(at: Surface, ask: SurfaceAsk): Unmet[] {
  const out: Unmet[] = [];
  for (let i = 0; i < MATTERS.length; i++)
    if (at.amounts[i]! > ask.most[i]!)
      out.push({ code: 'stands', matter: MATTERS[i]!, amount: at.amounts[i]! });
  if (ask.isFerrous) {
    const isPickled = at.isPickled && ask.pickled === 'keyed' && at.isKeyed;
    if (at.isBurnished) out.push({ code: 'burnished' });
    if (at.clean < ask.clean && !isPickled)
      out.push({ code: 'clean', got: CLEANLINESS[at.clean]!, need: CLEANLINESS[ask.clean]! });
    if (ask.profileUm && !isPickled && setpointUm(at, ask) === null)
      out.push({ code: 'profile', got: at.profileUm, need: ask.profileUm });
  }
  if (ask.needsKey && !(at.isKeyed || at.isSwept || at.isConverted)) out.push({ code: 'key' });
  if (ask.needsConversion && !(at.isConverted && (at.isKeyed || at.isSwept)))
    out.push({ code: 'conversion' });
  return out;
}

/** Whether nothing is wrong, without saying what: for sifting many. */
export function meets(at: Surface, ask: SurfaceAsk): boolean {
  for (let i = 0; i < ask.most.length; i++) if (at.amounts[i]! > ask.most[i]!) return false;
  if (ask.isFerrous) {
    const isPickled = at.isPickled && ask.pickled === 'keyed' && at.isKeyed;
    if (at.isBurnished || (!isPickled && at.clean < ask.clean)) return false;
    if (ask.profileUm && !isPickled && setpointUm(at, ask) === null) return false;
  }
  if (!ask.mayBeConverted && at.isConverted) return false;
  if (ask.needsKey && !(at.isKeyed || at.isSwept || at.isConverted)) return false;
  return !ask.needsConversion || (at.isConverted && (at.isKeyed || at.isSwept));
}

/** The profile to aim at, µm: the least that the abrasive can leave and the sheet takes; null where they do not meet. */
export function setpointUm(at: Surface, ask: SurfaceAsk): number | null {
  if (at.profileUm === null) return ask.profileUm === null || ask.profileUm[0] === 0 ? 0 : null;
  if (ask.profileUm === null) return at.profileUm[0];
  const least = Math.max(at.profileUm[0], ask.profileUm[0]);
  return least <= Math.min(at.profileUm[1], ask.profileUm[1]) ? least : null;
}

export const standsOn = (at: Surface, m: Matter): number => amountOf(at.amounts, m);
