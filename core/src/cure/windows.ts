import { DAY_MS, HOUR_MS, type Span } from '../base/time.ts';
import type { SurfaceStretch } from '../part/thermal/track.ts';
import type { ProductSheet, Prep, WindowEdge, WindowInterval } from '../products/sheet.ts';
import { crossing, type Crossing, type StageTest } from './clock.ts';
import type { Lean } from './lean.ts';
import { edgeTable } from './tables.ts';

/** A moment with its spread. `worstMs` is the safe one: the late one for an opening, the early one for a shutting. Null: not within the track. */
export interface Edge {
  readonly nominalMs: number | null;
  readonly worstMs: number | null;
  readonly bestMs: number | null;
  /** The clock ran into something the sheet or the record does not cover: the edge is unknown. */
  readonly isUnknown: boolean;
}

/** One interval of a window laid on the calendar. `to` null: the sheet never shuts it. */
export interface LaidInterval {
  readonly from: Edge;
  readonly to: Edge | null;
  readonly prep: Prep;
  readonly wetOnWet: boolean;
}

/** Why a window has the shape it has, for "Why?". */
export type WindowBasis = 'listed-follower' | 'sheet-recoat' | 'default-24h' | 'sheet-unlimited';

export type WindowRule =
  | { readonly kind: 'intervals'; readonly intervals: readonly WindowInterval[]; readonly basis: WindowBasis }
  | { readonly kind: 'forbidden'; readonly reason: 'sheet-forbids' | 'not-a-listed-follower' }
  | { readonly kind: 'unknown'; readonly reason: 'no-min-recoat' | 'one-pack-silent' };

/** A two-pack with a silent sheet: recoat within 24 h or scuff (trade rule of thumb T3; never for one-packs). */
export const SILENT_TWO_PACK_H = 24;

function matches(pattern: string, follower: ProductSheet): boolean {
  return pattern === '*' || pattern === follower.productId || pattern === `binder:${follower.binder}`;
}

/** What the coat's sheet says of this follower (docs/clocks.md 5). Null follower: any unlisted one. */
export function windowRule(sheet: ProductSheet, follower: ProductSheet | null): WindowRule {
  if (follower && sheet.forbidden.some((p) => matches(p, follower)))
    return { kind: 'forbidden', reason: 'sheet-forbids' };
  const listed = follower && sheet.followers.find((f) => matches(f.follower, follower));
  if (listed) return { kind: 'intervals', intervals: listed.intervals, basis: 'listed-follower' };
  if (sheet.listedFollowersOnly && follower) return { kind: 'forbidden', reason: 'not-a-listed-follower' };
  if (!sheet.stages.minRecoat) return { kind: 'unknown', reason: 'no-min-recoat' };
  const from: WindowEdge = { stage: 'minRecoat', p: 1, type: 'min' };
  const one = (to: WindowEdge | null, basis: WindowBasis): WindowRule => ({
    kind: 'intervals',
    basis,
    intervals: [{ from, to, prep: 'none' }],
  });
  if (sheet.maxRecoatUnlimited) return one(null, 'sheet-unlimited');
  if (sheet.stages.maxRecoat) return one({ stage: 'maxRecoat', p: 1, type: 'max' }, 'sheet-recoat');
  if (sheet.packs === 1) return { kind: 'unknown', reason: 'one-pack-silent' };
  return one({ times: SILENT_TWO_PACK, p: 1, type: 'max' }, 'default-24h');
}
const SILENT_TWO_PACK = { points: [{ tempC: 20, hours: SILENT_TWO_PACK_H }] };

/** The film a window's clocks run on. */
export interface Film {
  readonly sheet: ProductSheet;
  readonly t0Ms: number;
  readonly track: readonly SurfaceStretch[];
  readonly slowBy: number;
  readonly speedBy: number;
  readonly minRecoatTests: readonly StageTest[];
  readonly isOutdoors: boolean;
}

/** Lays the intervals on the calendar, each edge with its spread. */
export function layIntervals(film: Film, intervals: readonly WindowInterval[]): LaidInterval[] {
  return intervals.map((i) => ({
    from: minEdge(film, i.from),
    to: i.to && (i.to.type === 'max' ? maxEdge(film, i.to) : minEdge(film, i.to)),
    prep: i.prep,
    wetOnWet: i.wetOnWet ?? false,
  }));
}

function run(film: Film, edge: WindowEdge, lean: Lean): Crossing {
  const table = edgeTable(film.sheet, edge);
  if (!table) return { atMs: null, isUnknown: true, progress: 0 };
  const isMin = edge.type === 'min';
  return crossing(
    {
      table,
      lean,
      track: film.track,
      t0Ms: film.t0Ms,
      slowBy: isMin && edge.stage !== 'touch' && edge.stage !== 'flash' ? film.slowBy : 1,
      speedBy: isMin ? film.speedBy : 1,
      tests: isMin && edge.stage === 'minRecoat' ? film.minRecoatTests : [],
    },
    edge.p,
  );
}

/** An opening edge: worst is the cold lean (surface −2 K). */
export function minEdge(film: Film, edge: WindowEdge): Edge {
  const nominal = run(film, edge, 'nominal');
  const cold = run(film, edge, 'cold');
  const warm = run(film, edge, 'warm');
  return { nominalMs: nominal.atMs, worstMs: cold.atMs, bestMs: warm.atMs, isUnknown: cold.isUnknown };
}

/** Of an opening edge what is expected alone, for those that ask it a thousand times. */
export const openingNominalMs = (film: Film, edge: WindowEdge): number | null =>
  run(film, edge, 'nominal').atMs;

/** An edge at its worst alone, as `minEdge` and `maxEdge` have it. Null: not within the track. */
export function worstEdge(film: Film, edge: WindowEdge): Pick<Edge, 'worstMs' | 'isUnknown'> {
  const worst = run(film, edge, edge.type === 'max' ? 'warm' : 'cold');
  if (edge.type !== 'max') return { worstMs: worst.atMs, isUnknown: worst.isUnknown };
  return {
    worstMs: noLater(worst, capOf(film, edge)),
    isUnknown: worst.isUnknown && worst.atMs === null,
  };
}

/** The last moment of a window by the sheet's own longest hours, and outdoors by its limit there; Infinity: it has none. */
function capOf(film: Film, edge: WindowEdge): number {
  const longest = (edgeTable(film.sheet, edge)?.curve.longestHours ?? Infinity) * edge.p;
  const outdoors = film.isOutdoors ? (film.sheet.outdoorLimitH ?? Infinity) : Infinity;
  return film.t0Ms + Math.min(longest, outdoors) * HOUR_MS;
}
function noLater({ atMs }: Crossing, capMs: number): number | null {
  const end = atMs ?? (Number.isFinite(capMs) ? capMs : null);
  return end === null ? null : Math.min(end, capMs);
}

/** A shutting edge: worst is the warm lean (the warmer of surface and air, +2 K); capped in wall time (docs/clocks.md 6). */
export function maxEdge(film: Film, edge: WindowEdge): Edge {
  const capMs = capOf(film, edge);
  return {
    ...worstEdge(film, edge),
    nominalMs: noLater(run(film, edge, 'nominal'), capMs),
    bestMs: noLater(run(film, edge, 'cold'), capMs),
  };
}

export type OvercoatState =
  | 'early'
  | 'open'
  | 'closing'
  | 'lift'
  | 'shut'
  | 'keyed'
  | 'forbidden'
  | 'unknown';

/** A stretch of the ribbon: what the coat is at that time on the overcoat axis. */
export interface RibbonSpan extends Span {
  readonly state: OvercoatState | 'bare' | 'out' | 'curing' | 'cured';
  readonly prep: Prep;
}

/** Closing: the last of the interval — 2 h or 20 % of it, capped at 24 h (docs/clocks.md 11) — or from now on, when it shuts before the next session. */
export function closingFromMs(
  openMs: number,
  shutMs: number,
  nowMs: number,
  nextSessionMs: number | null,
): number {
  const tailMs = Math.max(2 * HOUR_MS, Math.min(DAY_MS, 0.2 * (shutMs - openMs)));
  const byTail = Math.max(openMs, shutMs - tailMs);
  const missesSession = nextSessionMs !== null && shutMs > nowMs && shutMs <= nextSessionMs;
  return missesSession ? Math.min(byTail, Math.max(openMs, nowMs)) : byTail;
}

/** Turns laid intervals into disjoint spans from the coat to the horizon, in their worst case. */
export function windowSpans(
  laid: readonly LaidInterval[],
  t0Ms: number,
  horizonMs: number,
  nowMs: number,
  nextSessionMs: number | null,
): RibbonSpan[] {
  const spans: RibbonSpan[] = [];
  let cursorMs = t0Ms;
  let seenOpen = false;
  const push = (state: RibbonSpan['state'], toMs: number, prep: Prep = 'none'): void => {
    const end = Math.min(toMs, horizonMs);
    if (end > cursorMs) spans.push({ state, prep, fromMs: cursorMs, toMs: end });
    cursorMs = Math.max(cursorMs, end);
  };
  for (const interval of laid) {
    const openMs = interval.from.worstMs;
    if (interval.from.isUnknown) {
      push('unknown', horizonMs);
      return spans;
    }
    push(seenOpen ? 'lift' : 'early', openMs ?? horizonMs);
    if (openMs === null) return spans;
    if (interval.to?.isUnknown) {
      push('unknown', horizonMs);
      return spans;
    }
    if (interval.prep === 'forbidden') {
      push('lift', interval.to?.worstMs ?? horizonMs);
      continue;
    }
    seenOpen = true;
    if (interval.prep === 'abrade') {
      push('shut', interval.to?.worstMs ?? horizonMs, 'abrade');
      continue;
    }
    const shutMs = interval.to === null ? Infinity : (interval.to.worstMs ?? Infinity);
    if (Number.isFinite(shutMs) && shutMs > openMs) {
      push('open', closingFromMs(openMs, shutMs, nowMs, nextSessionMs), interval.prep);
      push('closing', shutMs, interval.prep);
    } else if (shutMs === Infinity) push('open', horizonMs, interval.prep);
  }
  push('shut', horizonMs, 'abrade');
  return spans;
}
