import type { ShopMeans } from '../../part/shopMeans.ts';
import type { Survey } from '../../part/survey.ts';
import { metalOf } from '../../products/traits.ts';
import { wayOf } from '../facilities.ts';
import { pretreatHours, stripHours } from '../hours.ts';
import type { Method } from '../route.ts';
import { ACTS, actOf, standsBefore, type Act, type ActId, type Way } from './acts.ts';
import { indexOfMatter, PRESENT, STRIPPED } from './matter.ts';
import { isSoaked, seedSurface } from './seed.ts';
import { afterAct, washed, type Surface } from './state.ts';
import { afterAbrading, afterDegrease, afterKeying, afterSpecialist, afterWarmOut } from './walk.ts';

/** Most acts of one sequence. */
const MOST_ACTS = 4;

/** A sequence of acts with the surface it leaves, ready for a first coat. */
export interface Sequence {
  readonly acts: readonly ActId[];
  readonly way: Way;
  readonly end: Surface;
  /** One bit an act, so that sequences can be told to contain each other. */
  readonly mask: number;
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

/** The surface after what is always done first: degreased, glue off. */
const opened = (s: Survey): Surface => washed(afterDegrease(seedSurface(s)), { glue: PRESENT });

/** Whether bare metal still wants a brush of abrasive before paint: a glaze, no profile, no key. */
export function wantsAbrading(at: Surface, s: Survey): boolean {
  if (['steel', 'iron'].includes(metalOf(s.substrate)))
    return at.isBurnished || at.profileUm === null || (at.isPickled && !at.isKeyed && at.clean === 0);
  return !(at.isKeyed || at.isSwept || at.isConverted);
}

/** The surface with all that follows the acts by rule: keyed, washed, dried, oil warmed or wiped out. */
export function closed(at: Surface, s: Survey, keeps: boolean): Surface {
  let next = keeps ? afterKeying(at, s) : wantsAbrading(at, s) ? afterAbrading(at, s) : at;
  if (isSoaked(s) || s.alsoOn.includes('silicone')) next = afterDegrease(next);
  if (mayWarmOut(s)) next = afterWarmOut(next);
  return washed(next, {
    chemical: PRESENT,
    water: PRESENT,
    dust: PRESENT,
    oil: PRESENT,
    wax: PRESENT,
    // Rinsed once outdoors and twice for a life under water: a quarter, then a sixteenth.
    salts: s.category === 'immersed' ? 15 : 12,
  });
}

interface Node {
  readonly acts: readonly Act[];
  readonly at: Surface;
  readonly hours: number;
  readonly way: Way;
}

const STRIPPED_AT = STRIPPED.map(indexOfMatter);
const isDone = (at: Surface): boolean => STRIPPED_AT.every((i) => at.amounts[i]! <= 1);
const keyOf = (n: Node): string =>
  `${n.way}${n.at.amounts.join()}|${n.at.clean}${n.at.isPickled}${n.at.profileUm ?? ''}${n.at.isBurnished}${n.at.isKeyed}${n.at.isSwept}${n.at.isConverted}`;

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
  if (ALONE.includes(a.actId) || ALONE.includes(last.actId))
    return isWash(a) || (ALONE.includes(last.actId) && a.way === 'hand' && n.acts.length === 1);
  return a.actId !== last.actId || a.repeats.length > 0;
}

function hoursOf(a: Act, s: Survey, isAgain: boolean): number {
  return a.way === null ? pretreatHours(s) : stripHours(s, a.actId as Method, isAgain);
}

/**
 * Every surface that the allowed acts can reach, each by its cheapest sequence of its way (docs/surface.md 2, 11.12). Acts
 * that change nothing are not offered; sequences that reach the same by more work are dropped. Pure.
 */
export function sequencesFor(s: Survey, means: ShopMeans, allowed: readonly ActId[]): Sequence[] {
  if (metalOf(s.substrate) === 'magnesium')
    return [{ acts: [], way: 'send', mask: 0, end: closed(afterSpecialist(opened(s)), s, false), hours: 0 }];
  const acts = allowed.map((id) => actOf(id)!);
  const start: Node = { acts: [], at: opened(s), hours: 0, way: 'hand' };
  const seen = new Map<string, Node>();
  let frontier: Node[] = [start];
  for (let depth = 0; depth < MOST_ACTS && frontier.length > 0; depth++) {
    const next: Node[] = [];
    for (const n of frontier) {
      for (const a of acts) {
        if (!mayFollow(n, a) || standsBefore(a, n.at.amounts) !== null) continue;
        const at = afterAct(n.at, a, s);
        const isKeep = a.actId === 'keep';
        if (!isKeep && !changes(n.at, at)) continue;
        const list = [...n.acts, a];
        const node: Node = {
          acts: list,
          at,
          hours: n.hours + hoursOf(a, s, n.acts.includes(a)),
          way: wayOf(list, s, means),
        };
        const key = isKeep ? list.map((x) => x.actId).join() : keyOf(node);
        const known = seen.get(key);
        if (known && known.hours <= node.hours) continue;
        seen.set(key, node);
        if (!isKeep && !(isDone(at) && (at.clean === 4 || at.isConverted))) next.push(node);
      }
    }
    frontier = next;
  }
  return [...seen.values()]
    .filter((n) => !isSpot(n.acts[n.acts.length - 1]!))
    .map((n) => ({
      acts: n.acts.map((a) => a.actId),
      way: n.way,
      mask: n.acts.reduce((m, a) => m | (1 << ACTS.indexOf(a)), 0),
      end: closed(
        n.at,
        s,
        n.acts.some((a) => a.actId === 'keep'),
      ),
      hours: n.hours,
    }));
}
