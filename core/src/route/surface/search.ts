import { recent } from '../../base/recent.ts';
import type { ShopMeans } from '../../part/shopMeans.ts';
import type { Survey } from '../../part/survey.ts';
import { isFerrous, metalOf } from '../../products/traits.ts';
import { rankOf, WAY_ORDER, wayAt } from '../facilities.ts';
import { pretreatHours, stripHours } from '../hours.ts';
import type { Method } from '../route.ts';
import type { Act, ActId, Way } from './act.ts';
import { ACTS } from './actsTable.ts';
import { actOf, standsBefore } from './acts.ts';
import { indexOfMatter, PRESENT, STRIPPED } from './matter.ts';
import { isSoaked, seedSurface } from './seed.ts';
import { afterAct, wash, washed, type Surface } from './state.ts';
import { afterAbrading, afterDegrease, afterKeying, afterSpecialist, afterWarmOut } from './walk.ts';

/** Most acts of one sequence. */
const MOST_ACTS = 4;

/** A sequence of acts with the surface it leaves, ready for a first coat. */
export interface Sequence {
  readonly acts: readonly ActId[];
  readonly way: Way;
  readonly end: Surface;
  /** Bare metal is brushed with abrasive at the end. */
  readonly abrades: boolean;
  /** One bit an act, so that sequences can be told to contain each other. */
  readonly mask: number;
  /** The old coat stays. */
  readonly keeps: boolean;
  /** Minutes of hands for the acts alone, as hours: for choosing among sequences that reach the same. */
  readonly hours: number;
}

/** Oil is warmed out of a loose casting; never with white metal, solder or seals in place, nor in a whole unit. */
export const mayWarmOut = (s: Survey): boolean =>
  isSoaked(s) &&
  s.assembled === 'no' &&
  !s.criticality.includes('fuel') &&
  !s.features.some((f) => ['white-metal', 'solder', 'seals', 'wiring'].includes(f)) &&
  metalOf(s.substrate) !== 'magnesium' &&
  s.plating !== 'cadmium';

/** Past this heat oil weeps out of the pores under the film, °C. */
const WEEPS_C = 120;
/**
 * Degreasings after the acts: one for traces; where soaked oil can be neither left, because the part runs hot, nor warmed out,
 * as many as halve it to nothing (common practice: again on the next days, until a warm wipe stays clean).
 */
export const degreasingsAfter = (s: Survey): number =>
  isSoaked(s) && !mayWarmOut(s) && s.heatC !== null && s.heatC > WEEPS_C
    ? 3
    : isSoaked(s) || s.alsoOn.includes('silicone')
      ? 1
      : 0;

/** The surface after what is always done first: degreased, glue off. */
const opened = recent((s: Survey) => washed(afterDegrease(seedSurface(s)), GLUE_OFF));

/** Whether bare metal still wants a brush of abrasive before paint: a glaze, no profile, no key. */
export function wantsAbrading(at: Surface, s: Survey): boolean {
  if (isFerrous(metalOf(s.substrate)))
    return at.isBurnished || at.profileUm === null || (at.isPickled && !at.isKeyed && at.clean === 0);
  return !(at.isKeyed || at.isSwept || at.isConverted);
}

/** The surface with all that follows the acts by rule: keyed, washed, dried, oil warmed or wiped out. */
export function closed(at: Surface, s: Survey, keeps: boolean, abrades = wantsAbrading(at, s)): Surface {
  let next = keeps ? afterKeying(at, s) : abrades ? afterAbrading(at, s) : at;
  for (let i = degreasingsAfter(s); i > 0; i--) next = afterDegrease(next);
  if (mayWarmOut(s)) next = afterWarmOut(next);
  return washed(next, s.category === 'immersed' ? READY_IMMERSED : READY);
}
const GLUE_OFF = wash({ glue: PRESENT });
const READIED = { chemical: PRESENT, water: PRESENT, dust: PRESENT, oil: PRESENT, wax: PRESENT };
/** Salts are rinsed once outdoors and twice for a life under water: a quarter is left, then a sixteenth. */
const READY = wash({ ...READIED, salts: 12 });
const READY_IMMERSED = wash({ ...READIED, salts: 15 });

interface Node {
  readonly acts: readonly Act[];
  readonly at: Surface;
  readonly hours: number;
  readonly rank: number;
}

/** An act with what this part and this shop make of it. */
interface Doable {
  readonly act: Act;
  readonly hours: number;
  readonly againHours: number;
  /** Where its way stands in `WAY_ORDER`: the first decides. */
  readonly rank: number;
}
const doable = (a: Act, s: Survey, means: ShopMeans): Doable => ({
  act: a,
  hours: a.way === null ? pretreatHours(s) : stripHours(s, a.actId as Method),
  againHours: a.way === null ? pretreatHours(s) : stripHours(s, a.actId as Method, true),
  rank: rankOf(a, s, means),
});

const STRIPPED_AT = STRIPPED.map(indexOfMatter);
const isDone = (at: Surface): boolean => STRIPPED_AT.every((i) => at.amounts[i]! <= 1);
/** What tells two surfaces apart for paint, in a short word. */
const keyOf = (n: Node): string => {
  const { amounts, clean, profileUm, isPickled, isBurnished, isKeyed, isSwept, isConverted } = n.at;
  const flags =
    clean |
    (Number(isPickled) << 3) |
    (Number(isBurnished) << 4) |
    (Number(isKeyed) << 5) |
    (Number(isSwept) << 6) |
    (Number(isConverted) << 7) |
    ((profileUm === null ? 0 : profileUm[0]) << 8);
  let key = String.fromCharCode(n.rank, flags);
  for (const i of STRIPPED_AT) key += String.fromCharCode(65 + amounts[i]!);
  return key;
};

/** One act after another only where it changes something that paint minds. */
function changes(before: Surface, after: Surface): boolean {
  for (const i of STRIPPED_AT) if (after.amounts[i]! < before.amounts[i]!) return true;
  const [b, a] = [before.profileUm, after.profileUm];
  return (
    after.clean > before.clean ||
    (a !== null && (b === null || a[0] !== b[0])) ||
    (after.isKeyed && !before.isKeyed) ||
    (after.isSwept && !before.isSwept) ||
    (after.isConverted && !before.isConverted)
  );
}

/** Contractors' acts that stand alone: nobody plans them in combination. */
const ALONE: readonly ActId[] = ['dry-ice', 'plastic-media', 'vapour-blast'];
const isSpot = (a: Act): boolean => a.actId === 'spot-disc' || a.actId === 'spot-wet';
/** What takes paint and not rust is done before what takes rust: nobody paints stripper on bare iron. */
const OPENERS: readonly ActId[] = [
  'solvent-stripper',
  'hot-caustic',
  'heat-gun',
  'scrape',
  'plastic-media',
  'dry-ice',
];
const isOpener = (a: Act): boolean => OPENERS.includes(a.actId);
const isWash = (a: Act): boolean => a.way === null;

function mayFollow(n: Node, a: Act): boolean {
  const last = n.acts[n.acts.length - 1];
  if (!last) return true;
  if (isSpot(a) || (isOpener(a) && !isOpener(last))) return false;
  if (last.actId === 'keep') return false;
  if (a.actId === 'keep') return n.acts.every(isSpot);
  // Spots are bared only in a coat that is kept.
  if (isSpot(last)) return false;
  // Washes come last; only a phosphating wash is given twice.
  if (isWash(last))
    return a.actId === 'phosphate' && last.actId === 'phosphate' && n.acts.filter(isWash).length < 2;
  // A contractor's act of its own is followed by a hand tool or a wash, and by nothing more.
  if (ALONE.includes(a.actId)) return false;
  if (n.acts.some((x) => ALONE.includes(x.actId)))
    return isWash(a) || (a.way === 'hand' && n.acts.length === 1);
  return a.actId !== last.actId || a.repeats.length > 0;
}

/**
 * Every surface that the allowed acts can reach, each by its cheapest sequence of its way (docs/surface.md 2, 11.12). Acts
 * that change nothing are not offered; sequences that reach the same by more work are dropped. Pure.
 */
export function sequencesFor(s: Survey, means: ShopMeans, allowed: readonly ActId[]): Sequence[] {
  if (metalOf(s.substrate) === 'magnesium')
    return [
      {
        acts: [],
        way: 'send',
        mask: 0,
        keeps: false,
        abrades: false,
        end: closed(afterSpecialist(opened(s)), s, false),
        hours: 0,
      },
    ];
  const acts = allowed.map((id) => doable(actOf(id)!, s, means));
  const start: Node = { acts: [], at: opened(s), hours: 0, rank: WAY_ORDER.length };
  const seen = new Map<string, Node>();
  let frontier: Node[] = [start];
  for (let depth = 0; depth < MOST_ACTS && frontier.length > 0; depth++) {
    const next: Node[] = [];
    for (const n of frontier) {
      for (const { act: a, hours, againHours, rank: own } of acts) {
        if (!mayFollow(n, a) || standsBefore(a, n.at.amounts) !== null) continue;
        const at = afterAct(n.at, a, s);
        const isKeep = a.actId === 'keep';
        if (!isKeep && !changes(n.at, at)) continue;
        const list = [...n.acts, a];
        const node: Node = {
          acts: list,
          at,
          hours: n.hours + (n.acts.includes(a) ? againHours : hours),
          rank: Math.min(n.rank, own),
        };
        const key = isKeep ? list.map((x) => x.actId).join() : keyOf(node);
        const known = seen.get(key);
        if (known && known.hours <= node.hours) continue;
        seen.set(key, node);
        // Where all is off and the metal is clean, more acts are only more work.
        if (!isKeep && !(isDone(at) && (at.clean >= 2 || at.isPickled || at.isConverted))) next.push(node);
      }
    }
    frontier = next;
  }
  return [...seen.values()]
    .filter((n) => !isSpot(n.acts[n.acts.length - 1]!))
    .map((n) => {
      const keeps = n.acts.some((a) => a.actId === 'keep');
      return {
        acts: n.acts.map((a) => a.actId),
        way: wayAt(n.rank),
        abrades: wantsAbrading(n.at, s),
        mask: n.acts.reduce((m, a) => m | (1 << ACTS.indexOf(a)), 0),
        keeps,
        end: closed(n.at, s, keeps),
        hours: n.hours,
      };
    });
}

/**
 * The surface that these acts leave with what follows them by rule, abraded or not as the longer sequence is that they are
 * taken from; null: one of them may not begin.
 */
export function endOf(s: Survey, acts: readonly ActId[], abrades: boolean): Surface | null {
  const known = endsFor(s);
  const key = `${acts.join()}${abrades}`;
  let end = known.get(key);
  if (end === undefined) known.set(key, (end = walkedEnd(s, acts, abrades)));
  return end;
}
const endsFor = recent((_: Survey) => new Map<string, Surface | null>());

function walkedEnd(s: Survey, acts: readonly ActId[], abrades: boolean): Surface | null {
  let at = opened(s);
  for (const id of acts) {
    const a = actOf(id)!;
    if (a.actId === 'keep') continue;
    if (standsBefore(a, at.amounts) !== null) return null;
    at = afterAct(at, a, s);
  }
  return closed(at, s, acts.includes('keep'), abrades);
}
