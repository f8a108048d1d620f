import { leastOf } from '../base/least.ts';
import type { Span } from '../base/time.ts';
import type { GateVerdict } from '../air/gate.ts';
import { bareEdge, bareLimit, remedyWhenOut, type BareLimit, type BarePrep } from '../cure/bare.ts';
import { keyAt, type Key } from '../cure/keyed.ts';
import { firstSuspicion, type Suspicion } from '../cure/suspect.ts';
import {
  layIntervals,
  windowRule,
  windowSpans,
  type Edge,
  type LaidInterval,
  type OvercoatState,
  type RibbonSpan,
  type WindowRule,
} from '../cure/windows.ts';
import type { Substrate } from '../part/substrate.ts';
import { surfaceAt, type SurfaceStretch } from '../part/thermal/track.ts';
import type { ProductSheet } from '../products/sheet.ts';
import {
  coatStates,
  cureAt,
  filmFacts,
  filmOf,
  suspicionOf,
  type CoatState,
  type CureState,
  type FilmInput,
} from './film.ts';
import { originMs } from '../facts/envelope.ts';
import { lastOf, type Face, type Fact } from '../facts/part.ts';
import { prepOf } from '../facts/prep.ts';
import { sentNow, type Sent } from '../facts/sent.ts';
import { findingsOf, holdOn, mendingOn, type Finding } from '../inspect/findings.ts';
import type { RemedyId } from '../inspect/kinds.ts';
import { mendSteps, type MendStepNow } from '../inspect/remedies.ts';
import type { UntilTouch } from './air.ts';

/** A coat the route still wants, in order. */
export interface PlannedCoat {
  readonly stepId: string;
  readonly sheet: ProductSheet;
  readonly dftUm: number;
  readonly coatNo: number;
  readonly ofCoats: number;
  /** The face it is for, where a zone of the part has a system of its own; absent: every face. */
  readonly face?: Face;
}

/** The coats planned for one face. */
export const plannedFor = (planned: readonly PlannedCoat[], face: Face): readonly PlannedCoat[] =>
  planned.some((c) => c.face !== undefined)
    ? planned.filter((c) => c.face === undefined || c.face === face)
    : planned;

export interface BareState {
  readonly prep: BarePrep;
  readonly sinceMs: number;
  readonly limit: BareLimit;
  readonly edge: Edge | null;
  readonly isOut: boolean;
  readonly remedy: ReturnType<typeof remedyWhenOut>;
}

/** A fault of the face that is being mended: its steps, with what is done of them. */
export interface Mending {
  readonly findingId: string;
  readonly remedy: RemedyId;
  readonly steps: readonly MendStepNow[];
}

/** Everything derived about one face at `nowMs`. */
export interface FaceState {
  readonly face: Face;
  readonly coats: readonly CoatState[];
  readonly cure: CureState | null;
  readonly overcoat: OvercoatState | null;
  readonly rule: WindowRule | null;
  readonly intervals: readonly LaidInterval[];
  readonly bare: BareState | null;
  /** Something is recorded that makes it fit for a coat: metal laid bare, a coat on it, or an old one keyed. */
  readonly isPrepared: boolean;
  readonly suspect: Suspicion | null;
  /** The part is elsewhere: nothing can be done to it here. */
  readonly sent: Sent | null;
  /** What was found on it that no coat may cover until a licensed person has answered. */
  readonly referred: Finding | null;
  readonly mending: Mending | null;
  readonly key: Key | null;
  readonly next: PlannedCoat | null;
  readonly spans: readonly RibbonSpan[];
  /** The span that holds now; null before anything was done. */
  readonly span: RibbonSpan | null;
  /** Worst-case moment at which the present chance is lost; null when nothing is running out. */
  readonly lostAtMs: number | null;
  /** Something is running out, but when is not known. */
  readonly isLossUnknown: boolean;
  readonly gate: GateVerdict | null;
  readonly untilTouch: UntilTouch | null;
}

export interface FaceInput {
  readonly face: Face;
  readonly substrate: Substrate;
  readonly facts: readonly Fact[];
  readonly planned: readonly PlannedCoat[];
  /** Coats are to follow the planned ones, but which is not chosen: the last coat's window still runs. */
  readonly isHeldOpen: boolean;
  readonly track: readonly SurfaceStretch[];
  readonly sheetOf: (sheetId: string) => ProductSheet | null;
  readonly speedOf: (productId: string) => number;
  readonly isOutdoors: boolean;
  readonly nowMs: number;
  readonly horizonMs: number;
  readonly sessions: readonly Span[];
}

type Core = Omit<FaceState, 'gate' | 'untilTouch'>;
/** What the clocks say, before what was found is put beside it. */
type Clocked = Omit<Core, 'sent' | 'referred' | 'mending'>;

/** Facts since the face was last taken back to metal: what came before is no longer on it. */
export function factsSinceStrip(facts: readonly Fact[]): Fact[] {
  let start = 0;
  facts.forEach((f, i) => {
    if (f.kind === 'stripped') start = i;
  });
  return facts.slice(start);
}

/** Start of the first attended session that begins after now. */
export function nextSessionMs(sessions: readonly Span[], nowMs: number): number | null {
  return sessions.find((s) => s.fromMs > nowMs)?.fromMs ?? null;
}

/** Derives a face; the gates are judged by the part, which knows the air. */
export function deriveFace(input: FaceInput): Core {
  const facts = factsSinceStrip(
    input.facts.filter((f) => f.happenedAtMs <= input.nowMs && (f.face === null || f.face === input.face)),
  );
  const film: FilmInput = {
    ...filmFacts(facts),
    track: input.track,
    sheetOf: input.sheetOf,
    speedOf: input.speedOf,
    isOutdoors: input.isOutdoors,
    nowMs: input.nowMs,
  };
  const coats = coatStates(film);
  const next = input.planned[coats.length] ?? null;
  const bare = bareOf(input, facts, coats);
  const top = coats[coats.length - 1];
  const clocked = top
    ? coatedFace(input, facts, film, coats, top, next, bare)
    : uncoatedFace(input, facts, next, bare);
  return { ...clocked, sent: sentNow(input.facts, input.nowMs), ...foundOn(input, coats) };
}

/** What was found on the face: what holds it, and what is being mended. Findings outlast a strip; what mends them reads on. */
function foundOn(input: FaceInput, coats: readonly CoatState[]): Pick<Core, 'referred' | 'mending'> {
  const own = input.facts.filter(
    (f) => f.happenedAtMs <= input.nowMs && (f.face === null || f.face === input.face),
  );
  if (!own.some((f) => f.kind === 'found')) return { referred: null, mending: null };
  const findings = findingsOf(own);
  const mending = mendingOn(findings, input.face);
  return {
    referred: holdOn(findings, input.face),
    mending: mending && {
      findingId: mending.findingId,
      remedy: mending.remedy!.body.remedy,
      steps: mendSteps(
        mending.remedy!.body.remedy,
        originMs(mending.remedy!),
        own,
        coats.find((c) => c.factId === mending.fact.body.coatFactId) ?? coats[coats.length - 1] ?? null,
      ),
    },
  };
}

function bareOf(input: FaceInput, facts: readonly Fact[], coats: readonly CoatState[]): BareState | null {
  const sinceMs = coats.length > 0 ? coats[coats.length - 1]!.t0Ms : -Infinity;
  const opened = facts.filter(
    (f) => prepOf(f) !== null && originMs(f) > sinceMs && (coats.length === 0 || f.kind === 'cut-through'),
  );
  const last = opened[opened.length - 1];
  if (!last) return null;
  const { prep, limitHours } = prepOf(last)!;
  const limit = bareLimit(input.substrate, prep, limitHours);
  const startMs = originMs(last);
  const edge = bareEdge(input.track, startMs, limit);
  const wetted = facts.some((f) => f.kind === 'wetted' && originMs(f) > startMs);
  const isOut = wetted || (edge !== null && hasPassed(edge, input));
  return { prep, sinceMs: startMs, limit, edge, isOut, remedy: remedyWhenOut(input.substrate, prep) };
}

/**
 * Out is said of what the record shows, or when even the kindest guess has it past. An assumed night, eight kelvin wide,
 * that begins with the last reading does not spoil metal that was measured dry; the gate then asks for a reading.
 */
function hasPassed(edge: Edge, input: FaceInput): boolean {
  const isPast = (ms: number | null): boolean => ms !== null && ms <= input.nowMs;
  if (!isPast(edge.worstMs)) return false;
  if (isPast(edge.bestMs)) return true;
  const source = surfaceAt(input.track, edge.worstMs! + 1)?.source;
  return source === 'surface' || source === 'lag';
}

function uncoatedFace(
  input: FaceInput,
  facts: readonly Fact[],
  next: PlannedCoat | null,
  bare: BareState | null,
): Clocked {
  const spans = bare ? bareSpans(bare, input.horizonMs) : [];
  return {
    face: input.face,
    coats: [],
    cure: null,
    overcoat: null,
    rule: null,
    intervals: [],
    bare,
    isPrepared: bare !== null || facts.some((f) => f.kind === 'abraded'),
    suspect: null,
    key: null,
    next,
    spans,
    span: spanAt(spans, input.nowMs),
    lostAtMs: bare && !bare.isOut ? (bare.edge?.worstMs ?? null) : null,
    isLossUnknown: bare !== null && !bare.isOut && (bare.edge?.isUnknown ?? false),
  };
}

function bareSpans(bare: BareState, horizonMs: number): RibbonSpan[] {
  if (bare.edge?.isUnknown)
    return [{ state: 'unknown', prep: 'none', fromMs: bare.sinceMs, toMs: horizonMs }];
  const outMs = Math.min(bare.edge?.worstMs ?? horizonMs, horizonMs);
  const spans: RibbonSpan[] = [
    { state: 'bare', prep: 'none', fromMs: bare.sinceMs, toMs: outMs },
    { state: 'out', prep: 'none', fromMs: Math.max(outMs, bare.sinceMs), toMs: horizonMs },
  ];
  return spans.filter((s) => s.toMs > s.fromMs);
}

export function spanAt(spans: readonly RibbonSpan[], atMs: number): RibbonSpan | null {
  return spans.find((s) => s.fromMs <= atMs && atMs < s.toMs) ?? null;
}

function coatedFace(
  input: FaceInput,
  facts: readonly Fact[],
  film: FilmInput,
  coats: readonly CoatState[],
  top: CoatState,
  next: PlannedCoat | null,
  bare: BareState | null,
): Clocked {
  const { nowMs } = input;
  const suspect = suspicionOf(top, film);
  const cure = cureAt(serviceOf(coats), nowMs);
  const base = { face: input.face, coats, cure, bare, isPrepared: true, suspect, next };
  if (!next && !input.isHeldOpen)
    return {
      ...base,
      overcoat: null,
      rule: null,
      intervals: [],
      key: null,
      ...curing(coats, input),
      lostAtMs: null,
      isLossUnknown: false,
    };
  const rule = windowRule(top.sheet, next?.sheet ?? null);
  const intervals =
    rule.kind === 'intervals'
      ? layIntervals(filmOf(film, top.sheet, top.t0Ms, top.slowBy), rule.intervals)
      : [];
  const laid =
    rule.kind === 'intervals'
      ? windowSpans(intervals, top.t0Ms, input.horizonMs, nowMs, nextSessionMs(input.sessions, nowMs))
      : [
          {
            state: rule.kind === 'forbidden' ? 'forbidden' : 'unknown',
            prep: 'forbidden',
            fromMs: top.t0Ms,
            toMs: input.horizonMs,
          } as const,
        ];
  const key = keyOf(input, facts, top);
  const span = spanAt(laid, nowMs);
  const keyed = key !== null && key.isHeld && rule.kind !== 'forbidden';
  const spans = keyed ? withKey(laid, key, nowMs) : laid;
  const overcoat = keyed ? 'keyed' : ((span?.state ?? 'unknown') as OvercoatState);
  return {
    ...base,
    overcoat,
    rule,
    intervals,
    key,
    spans,
    span: keyed ? spanAt(spans, nowMs) : span,
    ...lossOf(overcoat, laid, intervals, key, bare, nowMs),
  };
}

/** The latest service edge over the layers; through-cure is only as far as its slowest coat. */
function serviceOf(coats: readonly CoatState[]): CoatState['edges'] {
  const top = coats[coats.length - 1]!.edges;
  const latest = coats.reduce(
    (a, c) => ((c.edges.service.worstMs ?? Infinity) > (a.worstMs ?? Infinity) ? c.edges.service : a),
    top.service,
  );
  return { ...top, service: latest };
}

function curing(coats: readonly CoatState[], input: FaceInput): Pick<Core, 'spans' | 'span'> {
  const top = coats[coats.length - 1]!;
  const serviceMs = serviceOf(coats).service.worstMs ?? input.horizonMs;
  const all: RibbonSpan[] = [
    { state: 'curing', prep: 'none', fromMs: top.t0Ms, toMs: Math.min(serviceMs, input.horizonMs) },
    { state: 'cured', prep: 'none', fromMs: Math.max(serviceMs, top.t0Ms), toMs: input.horizonMs },
  ];
  const spans = all.filter((s) => s.toMs > s.fromMs);
  return { spans, span: spanAt(spans, input.nowMs) };
}

function keyOf(input: FaceInput, facts: readonly Fact[], top: CoatState): Key | null {
  const abraded = lastOf(facts, 'abraded', top.t0Ms);
  if (!abraded) return null;
  const atMs = originMs(abraded);
  const wiped = lastOf(facts, 'wiped', atMs);
  const spoilers = facts
    .filter((f) => (f.kind === 'contaminated' || f.kind === 'wetted') && originMs(f) >= atMs)
    .map(originMs);
  const dew = firstSuspicion(input.track, atMs, input.nowMs, null);
  if (dew) spoilers.push(dew.atMs);
  return keyAt(
    {
      abradedAtMs: atMs,
      how: abraded.body.how,
      sandMs: top.edges.sand.worstMs,
      hardMs: top.edges.handle.worstMs,
      wipedAtMs: wiped ? originMs(wiped) : null,
      spoiledAtMs: leastOf(spoilers),
    },
    input.nowMs,
  );
}

/** The ribbon while a key is held: keyed from now until it lapses, then as before. */
function withKey(laid: readonly RibbonSpan[], key: Key, nowMs: number): RibbonSpan[] {
  const keyedFromMs = Math.min(nowMs, key.lapsesAtMs);
  const before = laid
    .filter((s) => s.fromMs < keyedFromMs)
    .map((s) => ({ ...s, toMs: Math.min(s.toMs, keyedFromMs) }));
  const after = laid
    .filter((s) => s.toMs > key.lapsesAtMs)
    .map((s) => ({ ...s, fromMs: Math.max(s.fromMs, key.lapsesAtMs) }));
  return [...before, { state: 'keyed', prep: 'none', fromMs: keyedFromMs, toMs: key.lapsesAtMs }, ...after];
}

function lossOf(
  overcoat: OvercoatState,
  spans: readonly RibbonSpan[],
  intervals: readonly LaidInterval[],
  key: Key | null,
  bare: BareState | null,
  nowMs: number,
): Pick<Core, 'lostAtMs' | 'isLossUnknown'> {
  const bareMs = bare && !bare.isOut ? (bare.edge?.worstMs ?? null) : null;
  const earliest = (a: number | null): number | null =>
    a === null ? bareMs : bareMs === null ? a : Math.min(a, bareMs);
  if (overcoat === 'keyed') return { lostAtMs: earliest(key?.lapsesAtMs ?? null), isLossUnknown: false };
  const i = spans.findIndex((s) => s.fromMs <= nowMs && nowMs < s.toMs);
  const upcoming = spans.slice(Math.max(0, i)).find((s) => s.state === 'open' || s.state === 'closing');
  const shutMs = upcoming ? shutOf(intervals, upcoming) : null;
  const isLossUnknown = intervals.some((x) => x.to?.isUnknown) && shutMs === null;
  return { lostAtMs: earliest(shutMs), isLossUnknown };
}

/** Worst shut edge of the interval an open or closing span belongs to; null when it never shuts. */
function shutOf(intervals: readonly LaidInterval[], span: RibbonSpan): number | null {
  const interval = intervals.find(
    (i) =>
      i.to !== null &&
      i.to.worstMs !== null &&
      i.from.worstMs !== null &&
      i.from.worstMs <= span.fromMs + 1 &&
      span.fromMs < i.to.worstMs,
  );
  return interval?.to?.worstMs ?? null;
}
