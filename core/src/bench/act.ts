import { MINUTE_MS, type Span } from '../base/time.ts';
import type { RemedyId } from '../inspect/kinds.ts';
import type { MendStepId } from '../inspect/mendSteps.ts';
import type { FaceState } from './face.ts';
import { gatesPass, mayTakeCoat, type Headline } from './headline.ts';

/** What to do next with a face. Times are worst-case; words are made elsewhere. */
export type NextAct =
  | {
      readonly code: 'coat';
      readonly startByMs: number | null;
      readonly shutsMs: number | null;
      readonly prep: 'none' | 'scuff';
    }
  | {
      readonly code: 'coat-if-accepted';
      readonly startByMs: number | null;
      readonly shutsMs: number | null;
      readonly prep: 'none' | 'scuff';
    }
  | { readonly code: 'wipe'; readonly lapsesMs: number }
  | { readonly code: 'hold'; readonly nextFit: Span | null; readonly startByMs: number | null }
  | { readonly code: 'read-air' }
  | { readonly code: 'wait'; readonly opensMs: number | null; readonly bestMs: number | null }
  | { readonly code: 'tack-test'; readonly opensMs: number | null }
  | { readonly code: 'test-film'; readonly cause: string }
  | { readonly code: 'abrade'; readonly sandFromMs: number | null }
  | { readonly code: 'wait-out-lift'; readonly opensMs: number | null }
  | { readonly code: 'reblast' | 'rephosphate' | 'abrade-again' }
  | { readonly code: 'refuse'; readonly reason: string }
  | { readonly code: 'ask-sheet'; readonly reason: string }
  | { readonly code: 'decide-colour'; readonly shutsMs: number | null }
  | { readonly code: 'choose-route'; readonly shutsMs: number | null }
  | { readonly code: 'prepare' }
  /** It is elsewhere, and is to be fetched or awaited. */
  | { readonly code: 'fetch'; readonly to: string; readonly backDay: string | null }
  /** Something found holds it: nothing goes on until a licensed person has answered. */
  | { readonly code: 'refer'; readonly findingId: string }
  /** A fault is being mended; null: all steps are done, and the finding is to be closed. */
  | {
      readonly code: 'mend';
      readonly findingId: string;
      readonly remedy: RemedyId;
      readonly step: MendStepId | null;
      readonly fromMs: number | null;
    }
  | { readonly code: 'cure'; readonly serviceMs: number | null }
  | { readonly code: 'done' };
export type ActCode = NextAct['code'];

export interface ActInput {
  readonly face: FaceState;
  readonly headline: Headline;
  /** Somebody has set what is to be done with it. */
  readonly hasRoute: boolean;
  readonly nowMs: number;
  /** Application, flash and turn-over of the next coat, minutes (docs/clocks.md 8). */
  readonly leadMinutes: number;
  /** Predicted spans in which the air lets the next coat go on. */
  readonly fit: readonly Span[];
}

/** A coat goes on in time when its last wet pass ends before the shut edge: start by that much earlier. */
function startBy(input: ActInput): number | null {
  return input.face.lostAtMs === null ? null : input.face.lostAtMs - input.leadMinutes * MINUTE_MS;
}

/** With no coat to follow chosen, these words mean that the chosen primer stands open. */
const UNDECIDED: readonly Headline[] = ['open', 'closing', 'keyed', 'shut', 'lift', 'unknown'];

/** Whatever is done next hangs on a route that nobody has chosen: these words say nothing without one. */
const ROUTELESS: readonly Headline[] = ['waiting', 'bare', ...UNDECIDED];

/** The next act on a face, by its headline. */
export function nextAct(input: ActInput): NextAct {
  const { face, headline, hasRoute } = input;
  if (face.referred) return { code: 'refer', findingId: face.referred.findingId };
  if (face.sent) return { code: 'fetch', to: face.sent.to, backDay: face.sent.backDay };
  const mend = TRUSTED_FIRST.includes(headline) ? null : mendAct(face, input.nowMs);
  if (mend) return mend;
  if (!hasRoute && face.next === null && ROUTELESS.includes(headline))
    return { code: 'choose-route', shutsMs: face.lostAtMs };
  if (face.next === null && UNDECIDED.includes(headline))
    return { code: 'decide-colour', shutsMs: face.lostAtMs };
  switch (headline) {
    case 'suspect':
      return { code: 'test-film', cause: face.suspect?.cause ?? '' };
    case 'out':
      return { code: face.bare?.remedy ?? 'abrade-again' };
    case 'refused':
      return { code: 'refuse', reason: face.rule?.kind === 'forbidden' ? face.rule.reason : '' };
    case 'unknown':
      return {
        code: 'ask-sheet',
        reason: face.rule?.kind === 'unknown' ? face.rule.reason : face.bare ? 'bare-limit' : 'clock',
      };
    case 'lift':
      return { code: 'wait-out-lift', opensMs: nextOpenMs(face, input.nowMs) };
    case 'shut':
      return { code: 'abrade', sandFromMs: face.coats[face.coats.length - 1]?.edges.sand.worstMs ?? null };
    case 'early':
      return earlyAct(input);
    case 'curing':
      return { code: 'cure', serviceMs: face.span?.toMs ?? null };
    case 'waiting':
      return { code: 'prepare' };
    case 'cured':
    case 'mending':
      return { code: 'done' };
    default:
      return coatAct(input);
  }
}

/** What cannot be trusted or is already spoilt is seen to before anything on it is mended. */
const TRUSTED_FIRST: readonly Headline[] = ['suspect', 'out'];

/** Steps that the clocks of the next coat lead to by themselves, where the route has one. */
const LED_BY_CLOCKS: readonly MendStepId[] = ['wipe', 'prime-anew', 'coat-again'];

/** What is next of a fault that is being mended; null: nothing is, or the next coat's own clocks lead there. */
function mendAct(face: FaceState, nowMs: number): NextAct | null {
  if (!face.mending) return null;
  const { findingId, remedy, steps } = face.mending;
  const next = steps.find((s) => !s.isDone) ?? null;
  if (next && face.next && LED_BY_CLOCKS.includes(next.step)) return null;
  const fromMs = next?.from?.worstMs ?? null;
  return {
    code: 'mend',
    findingId,
    remedy,
    step: next?.step ?? null,
    fromMs: fromMs !== null && fromMs > nowMs ? fromMs : null,
  };
}

function earlyAct(input: ActInput): NextAct {
  const edge = input.face.intervals[0]?.from;
  const opensMs = edge?.worstMs ?? null;
  const bestMs = edge?.bestMs ?? null;
  return bestMs !== null && bestMs <= input.nowMs
    ? { code: 'tack-test', opensMs }
    : { code: 'wait', opensMs, bestMs };
}

function coatAct(input: ActInput): NextAct {
  const { face } = input;
  if (face.overcoat === 'keyed' && face.key && !face.key.isWiped)
    return { code: 'wipe', lapsesMs: face.key.lapsesAtMs };
  if (!mayTakeCoat(face)) return { code: 'prepare' };
  const by = startBy(input);
  if (!gatesPass(face)) {
    if (face.gate === null || face.gate.status === 'unknown') return { code: 'read-air' };
    if (face.gate.status === 'fail')
      return { code: 'hold', nextFit: input.fit.find((s) => s.toMs > input.nowMs) ?? null, startByMs: by };
    return { code: 'coat-if-accepted', startByMs: by, shutsMs: face.lostAtMs, prep: prepOf(face) };
  }
  if (face.untilTouch?.status === 'marginal')
    return { code: 'coat-if-accepted', startByMs: by, shutsMs: face.lostAtMs, prep: prepOf(face) };
  return { code: 'coat', startByMs: by, shutsMs: face.lostAtMs, prep: prepOf(face) };
}

function prepOf(face: FaceState): 'none' | 'scuff' {
  return face.overcoat !== 'keyed' && face.span?.prep === 'scuff' ? 'scuff' : 'none';
}

function nextOpenMs(face: FaceState, nowMs: number): number | null {
  return face.spans.find((s) => s.fromMs > nowMs && s.state === 'open')?.fromMs ?? null;
}
