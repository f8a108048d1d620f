import { crossingAt, fitLine, type Line } from '../base/line.ts';
import { rangeFailure, type OutOfRange } from '../base/failure.ts';
import { ok, type Result } from '../base/result.ts';
import { type LevelStandard, LEVEL_WITH, type LevelWith } from './kinds.ts';

/**
 * Levelling: how many cycles of filling and blocking are to go, and when to stop. All figures of the trade here are common practice with
 * no published source; the interval of the crossing is Fieller's (inverse regression, quoted from memory).
 */

/** Share of low still showing under guide coat that meets a standard, %. Working is judged by water and touch, not by this. */
export const STOP_AT_PCT: Readonly<Record<LevelStandard, number>> = { working: 15, 'as-built': 5, show: 2 };

/** Most in one pass and altogether, mm. Null: the product's total film decides. */
export const LEVEL_LIMITS: Readonly<
  Record<LevelWith, { readonly passMm: number; readonly allMm: number | null }>
> = {
  'body-filler': { passMm: 1.5, allMm: 3 },
  'one-pack-putty': { passMm: 0.3, allMm: 0.3 },
  'two-pack-putty': { passMm: 1, allMm: 1 },
  'spray-filler': { passMm: 0.25, allMm: 1 },
  surfacer: { passMm: 0.1, allMm: null },
};
/** Of what goes on, so much is sanded off again. */
export const SANDED_SHARE = 0.5;

export interface CyclesAsked {
  readonly lowMm: number;
  readonly buildMm: number;
  readonly sandedShare?: number;
}
/** Cycles that fill a low of a depth: what stays of each pass adds up. */
export function cyclesToFill({
  lowMm,
  buildMm,
  sandedShare = SANDED_SHARE,
}: CyclesAsked): Result<number, OutOfRange> {
  const wrong =
    rangeFailure('lowMm', lowMm, 0, 50, 'mm') ??
    rangeFailure('buildMm', buildMm, 0.001, 20, 'mm') ??
    rangeFailure('sandedShare', sandedShare, 0, 0.95, '');
  if (wrong) return { ok: false, error: wrong };
  return ok(Math.max(0, Math.ceil(lowMm / (buildMm * (1 - sandedShare)) - 1e-9)));
}

/** Whether a low may be filled with it, and why not: too much in all by the trade, or by the product's own total film, µm. */
export function fillsWith(
  what: LevelWith,
  lowMm: number,
  surfacerTotalUm: number | null,
): { readonly cycles: number; readonly tooDeepMm: number | null } {
  const { passMm, allMm } = LEVEL_LIMITS[what];
  const filled = cyclesToFill({ lowMm, buildMm: passMm });
  const cycles = filled.ok ? filled.value : 0;
  const most = allMm ?? (surfacerTotalUm === null ? null : surfacerTotalUm / 1000);
  return { cycles, tooDeepMm: most !== null && lowMm > most + 1e-9 ? most : null };
}

/** A cycle: what went on and how it was blocked, and what still showed under the guide coat after it. */
export interface LevelCycle {
  readonly what: LevelWith;
  readonly gritP: number;
  readonly showingPct: number;
  readonly minutes: number | null;
  /** How thick it went on; null: nobody said. */
  readonly buildMm: number | null;
  /** Metal or primer shows at an edge; null: nobody said. */
  readonly isEdgeThin: boolean | null;
}
/** A share of nothing is counted as half a per cent: its logarithm has to be something. */
const LEAST_PCT = 0.5;
/** What a cycle usually leaves of what showed. */
export const USUAL_FACTOR = 0.65;
/** A cycle that leaves so much has changed nothing. */
const STUCK_FACTOR = 0.9;

export type Crossing =
  /** Cycle number at which the share falls to the standard, counted as the cycles are, and its 90 % interval. */
  | {
      readonly kind: 'fitted';
      readonly atCycle: number;
      readonly fromCycle: number;
      readonly toCycle: number;
    }
  /** Too few cycles yet: the usual factor. */
  | { readonly kind: 'usual'; readonly atCycle: number }
  /** It cannot be told from standing still. */
  | { readonly kind: 'not-surely-falling' };

export interface LevelState {
  readonly cycles: number;
  /** Cycles of the run that is fitted: since product or grit last changed. */
  readonly fitted: number;
  readonly factor: number;
  readonly crossing: Crossing;
  readonly moreCycles: number | null;
  /** What a cycle takes on this part, minutes; null: none was timed. */
  readonly minutesEach: number | null;
  /** Minutes of hands to go, by this part's own cycles. */
  readonly moreMinutes: number | null;
  readonly isMet: boolean;
  /** What forbids another cycle, whatever still shows; empty: nothing that is known of. */
  readonly stops: readonly LevelStop[];
  /** Two cycles running that left more than nine tenths: another way of doing it is wanted. */
  readonly isStuck: boolean;
}

/** Where the line falls to a share, with its 90 % interval; a line that does not surely fall says so. */
function crossingOf(line: Line, targetPct: number): Crossing {
  const at = line.slope < 0 ? crossingAt(line, Math.log(targetPct)) : null;
  return at === null
    ? { kind: 'not-surely-falling' }
    : { kind: 'fitted', atCycle: at.at, fromCycle: at.from, toCycle: at.to };
}

/** Cycles since the product or the grit last changed: before that another curve fell. */
function runOf(cycles: readonly LevelCycle[]): readonly LevelCycle[] {
  const last = cycles[cycles.length - 1];
  if (!last) return [];
  const from = cycles.findLastIndex((c) => c.what !== last.what || c.gritP !== last.gritP);
  return cycles.slice(from + 1);
}

/** What else is known of the face that is levelled. */
export interface LevelFace {
  /** It was cut through to metal since the last coat. */
  readonly isCutThrough: boolean;
  /** Newest readings of the whole film, and the least and the most its sheets allow together; null: not measured. */
  readonly film: {
    readonly meanUm: number;
    readonly leastUm: number;
    readonly minUm: number;
    readonly maxUm: number;
  } | null;
}
export const UNKNOWN_FACE: LevelFace = { isCutThrough: false, film: null };

/** Why to stop though it still shows: what was reached and what it was held against, in the unit named. */
export type LevelStop =
  | { readonly why: 'cut-through' | 'edge-seen' }
  /** The film is as thick as its sheets allow, µm. */
  | { readonly why: 'film-full'; readonly gotUm: number; readonly limitUm: number }
  /** The thinnest reading is under the least its sheets ask, µm: sanding goes through there next. */
  | { readonly why: 'edges-thin'; readonly gotUm: number; readonly limitUm: number }
  /** As much of it went on and stayed as may, mm. */
  | {
      readonly why: 'filler-full';
      readonly what: LevelWith;
      readonly gotMm: number;
      readonly limitMm: number;
    };

/** All that forbids another cycle. What nobody measured forbids nothing and allows nothing: it is left out. */
export function levelStops(cycles: readonly LevelCycle[], face: LevelFace): LevelStop[] {
  const out: LevelStop[] = [];
  if (face.isCutThrough) out.push({ why: 'cut-through' });
  else if (cycles[cycles.length - 1]?.isEdgeThin === true) out.push({ why: 'edge-seen' });
  const { film } = face;
  if (film && film.meanUm >= film.maxUm)
    out.push({ why: 'film-full', gotUm: film.meanUm, limitUm: film.maxUm });
  if (film && film.leastUm < film.minUm)
    out.push({ why: 'edges-thin', gotUm: film.leastUm, limitUm: film.minUm });
  for (const what of LEVEL_WITH) {
    const limitMm = LEVEL_LIMITS[what].allMm;
    const onMm = cycles.reduce((sum, c) => sum + (c.what === what ? (c.buildMm ?? 0) : 0), 0);
    const gotMm = onMm * (1 - SANDED_SHARE);
    if (limitMm !== null && gotMm >= limitMm - 1e-9) out.push({ why: 'filler-full', what, gotMm, limitMm });
  }
  return out;
}

/** How the levelling stands and how much is to go to a standard. Null: nothing was measured yet. */
export function levelState(
  cycles: readonly LevelCycle[],
  standard: LevelStandard,
  face: LevelFace = UNKNOWN_FACE,
): LevelState | null {
  const last = cycles[cycles.length - 1];
  if (!last) return null;
  const targetPct = STOP_AT_PCT[standard];
  const run = runOf(cycles);
  const before = cycles.length - run.length;
  const ys = run.map((c) => Math.log(Math.max(LEAST_PCT, c.showingPct)));
  const isFitted = run.length >= 3;
  const line = isFitted ? fitLine(ys.map((y, i) => [i + 1, y])) : null;
  const factor = line ? Math.exp(line.slope) : USUAL_FACTOR;
  const crossing: Crossing = line
    ? shifted(crossingOf(line, targetPct), before)
    : {
        kind: 'usual',
        atCycle:
          cycles.length +
          Math.max(0, Math.log(targetPct / Math.max(LEAST_PCT, last.showingPct)) / Math.log(USUAL_FACTOR)),
      };
  const isMet = last.showingPct <= targetPct;
  const more =
    crossing.kind === 'not-surely-falling'
      ? null
      : Math.max(0, Math.ceil(crossing.atCycle - 1e-9) - cycles.length);
  const moreCycles = isMet ? 0 : more === null ? null : Math.max(1, more);
  const timed = cycles.flatMap((c) => (c.minutes === null ? [] : [c.minutes]));
  const each = timed.length === 0 ? null : timed.reduce((a, m) => a + m, 0) / timed.length;
  return {
    cycles: cycles.length,
    fitted: line ? run.length : 0,
    factor,
    crossing,
    moreCycles,
    minutesEach: each,
    moreMinutes: moreCycles === null || each === null ? null : moreCycles * each,
    isMet,
    stops: levelStops(cycles, face),
    isStuck: !isMet && stuck(cycles),
  };
}
const shifted = (c: Crossing, by: number): Crossing =>
  c.kind === 'fitted'
    ? { ...c, atCycle: c.atCycle + by, fromCycle: c.fromCycle + by, toCycle: c.toCycle + by }
    : c;

function stuck(cycles: readonly LevelCycle[]): boolean {
  const [a, b, c] = cycles.slice(-3).map((x) => Math.max(LEAST_PCT, x.showingPct));
  return (
    a !== undefined && b !== undefined && c !== undefined && b / a > STUCK_FACTOR && c / b > STUCK_FACTOR
  );
}
