import { leastOf } from '../base/least.ts';
import type { Span } from '../base/time.ts';
import { judgeGates, type Conditions } from '../air/gate.ts';
import { stageEndMs } from '../cure/potLife.ts';
import type { Substrate } from '../part/substrate.ts';
import type { OwnReading, SurfaceStretch } from '../part/thermal/track.ts';
import type { ProductSheet } from '../products/sheet.ts';
import {
  conditionsNow,
  fitSpansOnce,
  holdsUntilTouch,
  limitsOf,
  type PlaceNow,
  type SurfaceBasis,
} from './air.ts';
import { nextAct, type NextAct } from './act.ts';
import { deriveFace, plannedFor, type FaceState, type PlannedCoat } from './face.ts';
import { standingFacts, type Face, type Fact } from '../facts/part.ts';
import { leadMinutes, redoHours } from '../work/minutes.ts';
import { headlineOf, mayTakeCoat, moreUrgent, type Headline } from './headline.ts';

export interface PartInput {
  readonly partId: string;
  readonly substrate: Substrate;
  readonly areaM2: number | null;
  readonly faces: readonly Face[];
  readonly isOutdoors: boolean;
  readonly facts: readonly Fact[];
  readonly planned: readonly PlannedCoat[];
  readonly hasRoute: boolean;
  readonly isHeldOpen: boolean;
  /** From its films' beginnings on. */
  readonly track: readonly SurfaceStretch[];
  /** From shortly before now on: the same, unless its films began long ago. */
  readonly trackNow: readonly SurfaceStretch[];
  readonly own: readonly OwnReading[];
  readonly place: PlaceNow;
}

export interface ShopInput {
  readonly nowMs: number;
  /** End of the forecast: fit spans are looked for until then. */
  readonly forecastEndMs: number;
  readonly horizonMs: number;
  readonly sessions: readonly Span[];
  readonly sheetOf: (sheetId: string) => ProductSheet | null;
  readonly speedOf: (productId: string) => number;
}

export interface FaceResult extends FaceState {
  readonly headline: Headline;
  readonly act: NextAct;
  readonly leadMinutes: number;
}

export interface PartState {
  readonly partId: string;
  readonly headline: Headline;
  readonly faces: readonly FaceResult[];
  /** The face that makes the headline. */
  readonly lead: FaceResult;
  readonly conditions: Conditions & { readonly basis: SurfaceBasis };
  readonly fit: readonly Span[];
  readonly lostAtMs: number | null;
  readonly isLossUnknown: boolean;
  readonly opensMs: number | null;
  readonly redoHours: number;
}

/** State of a part now: every face, the headline, the next act, what is lost when. Pure; `nowMs` is passed in. */
export function derivePart(part: PartInput, shop: ShopInput): PartState {
  const facts = standingFacts(part.facts);
  const conditions = conditionsNow(part.place, part.trackNow, part.own, shop.nowMs);
  const fitFor = (sheet: ProductSheet): readonly Span[] =>
    fitSpansOnce(part.trackNow, sheet, shop.nowMs, shop.forecastEndMs);
  const results = part.faces.map((face) => faceResult(part, shop, facts, conditions, face, fitFor));
  const headline = results.map((f) => f.headline).reduce(moreUrgent);
  const lead = results.find((f) => f.headline === headline)!;
  const lost = results.map((f) => f.lostAtMs).filter((t) => t !== null);
  return {
    partId: part.partId,
    headline,
    faces: results,
    lead,
    conditions,
    fit: lead.next ? fitFor(lead.next.sheet) : [],
    lostAtMs: leastOf(lost),
    isLossUnknown: results.some((f) => f.isLossUnknown),
    opensMs: opensOf(lead.act),
    redoHours: redoHours(part.areaM2, lead.coats.length),
  };
}

function faceResult(
  part: PartInput,
  shop: ShopInput,
  facts: readonly Fact[],
  conditions: Conditions,
  face: Face,
  fitFor: (s: ProductSheet) => readonly Span[],
): FaceResult {
  const derived = deriveFace({
    face,
    facts,
    substrate: part.substrate,
    planned: plannedFor(part.planned, face),
    isHeldOpen: part.isHeldOpen,
    track: part.track,
    isOutdoors: part.isOutdoors,
    sheetOf: shop.sheetOf,
    speedOf: shop.speedOf,
    nowMs: shop.nowMs,
    horizonMs: shop.horizonMs,
    sessions: shop.sessions,
  });
  const sheet = derived.next?.sheet ?? null;
  const asks = sheet !== null && mayTakeCoat(derived);
  const limits = limitsOf(sheet);
  const gate = asks ? judgeGates(conditions, limits) : null;
  const touchMs = asks ? stageEndMs(sheet, 'touch', shop.nowMs, part.trackNow, 'cold') : null;
  const untilTouch = asks ? holdsUntilTouch(part.trackNow, limits, shop.nowMs, touchMs) : null;
  const state: FaceState = { ...derived, gate, untilTouch };
  const headline = headlineOf(state);
  const lead = sheet ? leadMinutes(sheet, part.areaM2, part.faces.length) : 0;
  const fit = asks ? fitFor(sheet) : [];
  return {
    ...state,
    headline,
    leadMinutes: lead,
    act: nextAct({
      face: state,
      headline,
      hasRoute: part.hasRoute,
      nowMs: shop.nowMs,
      leadMinutes: lead,
      fit,
    }),
  };
}

function opensOf(act: NextAct): number | null {
  switch (act.code) {
    case 'wait':
    case 'tack-test':
    case 'wait-out-lift':
      return act.opensMs;
    case 'hold':
      return act.nextFit?.fromMs ?? null;
    case 'cure':
      return act.serviceMs;
    default:
      return null;
  }
}
