import { HOUR_MS } from '../base/time.ts';
import { rhAtSurfacePct } from '../air/humidity.ts';
import {
  firstEndingAfter,
  reach,
  reachOn,
  sliceSurface,
  type SurfaceSource,
  type SurfaceStretch,
} from '../part/thermal/track.ts';
import { isCasting, type Substrate } from '../part/substrate.ts';
import { ASSUMED_SPREAD_K } from '../air/track.ts';
import type { Lean } from './lean.ts';
import type { Edge } from './windows.ts';

/** How a bare face was last prepared. */
export type BarePrep = 'blasted' | 'abraded' | 'chemically-stripped' | 'phosphated' | 'conversion-coated';

/** How long clean metal stays fit for its first coat. */
export type BareLimit =
  | { readonly kind: 'by-humidity'; readonly capHours: number }
  | { readonly kind: 'hours'; readonly hours: number }
  | { readonly kind: 'none' }
  | { readonly kind: 'unknown' };

/** Flash-rust limit by the humidity felt at the part (docs/clocks.md 13; common practice, no published source). */
export const FLASH_RUST_HOURS: readonly (readonly [rhPct: number, hours: number])[] = [
  [50, 8],
  [65, 4],
  [80, 2],
  [85, 1],
];
/** Blasted steel and iron: never longer than this (common practice, no published source). */
export const BLASTED_CAP_H = 4;

const FERROUS: readonly Substrate[] = [
  'grey-iron',
  'ductile-iron',
  'cast-steel',
  'steel-plate',
  'steel-sheet',
  'timber-backed-steel',
];

/** The limit for a substrate as prepared. Zinc, magnesium and copper: unknown, ask (common practice, no published source). */
export function bareLimit(
  substrate: Substrate,
  prep: BarePrep,
  conversionHours: number | null = null,
): BareLimit {
  if (prep === 'conversion-coated') return { kind: 'hours', hours: conversionHours ?? 24 };
  if (FERROUS.includes(substrate)) {
    if (prep === 'phosphated') return { kind: 'hours', hours: 24 };
    return { kind: 'by-humidity', capHours: prep === 'blasted' ? BLASTED_CAP_H : 8 };
  }
  if (substrate === 'aluminium-wrought' || substrate === 'aluminium-cast') return { kind: 'hours', hours: 8 };
  if (substrate === 'stainless' || substrate === 'glass-fibre') return { kind: 'none' };
  return { kind: 'unknown' };
}

/** Hours allowed at a felt humidity; 0 when it is out at once; fixed limits end only by dew. */
export function bareHoursAt(limit: BareLimit, rhFeltPct: number): number {
  if (limit.kind === 'hours') return rhFeltPct >= 100 ? 0 : limit.hours;
  if (limit.kind !== 'by-humidity') return Infinity;
  const row = FLASH_RUST_HOURS.find(([rhPct]) => rhFeltPct <= rhPct);
  return row ? Math.min(row[1], limit.capHours) : 0;
}

/** A measured surface may be wrong by the instrument; a predicted one by more; an assumed one by ± 8 K as in any clock. */
const MEASURED_SPREAD_K = 0.5;
const PREDICTED_SPREAD_K = 1;

function spreadOf({
  source,
  spreadK,
}: {
  readonly source: SurfaceSource;
  readonly spreadK?: number;
}): number {
  if (spreadK !== undefined) return spreadK;
  if (source === 'assumed') return ASSUMED_SPREAD_K;
  return source === 'forecast' || source === 'usual' ? PREDICTED_SPREAD_K : MEASURED_SPREAD_K;
}

function feltRh(s: SurfaceStretch, share: number, lean: Lean): number | null {
  if (s.fromVapourHpa === null || s.toVapourHpa === null) return null;
  const vapour = s.fromVapourHpa + (s.toVapourHpa - s.fromVapourHpa) * share;
  const nominalC = s.fromC + (s.toC - s.fromC) * share;
  if (lean === 'nominal') return rhAtSurfacePct(vapour, nominalC);
  const spread = spreadOf(s);
  return rhAtSurfacePct(vapour, lean === 'cold' ? nominalC - spread : nominalC + spread);
}

/** Steps of at most this length: the band of humidity is looked up in the middle of each. */
const STEP_MS = HOUR_MS / 12;

/** When bare metal is out: p = ∫ dt/limit(RH felt) reaches 1, or at once above 85 % or on dew. */
function outAt(
  track: readonly SurfaceStretch[],
  t0Ms: number,
  limit: BareLimit,
  lean: Lean,
): { atMs: number | null; isUnknown: boolean } {
  let p = 0;
  let reachedMs = t0Ms;
  reach(track, t0Ms);
  for (let i = firstEndingAfter(track, t0Ms); i < track.length || reachOn(track); i++) {
    const whole = track[i]!;
    if (whole.fromMs > reachedMs + 1) return { atMs: null, isUnknown: true };
    const s = sliceSurface(whole, Math.max(whole.fromMs, t0Ms), whole.toMs);
    const n = Math.max(1, Math.ceil((s.toMs - s.fromMs) / STEP_MS));
    const stepMs = (s.toMs - s.fromMs) / n;
    for (let k = 0; k < n; k++) {
      const rh = feltRh(s, (k + 0.5) / n, lean);
      if (rh === null) return { atMs: null, isUnknown: true };
      const hours = bareHoursAt(limit, rh);
      if (hours === 0) return { atMs: s.fromMs + k * stepMs, isUnknown: false };
      const gain = stepMs / HOUR_MS / hours;
      if (p + gain >= 1) return { atMs: s.fromMs + (k + (1 - p) / gain) * stepMs, isUnknown: false };
      p += gain;
    }
    reachedMs = s.toMs;
  }
  return { atMs: null, isUnknown: reachedMs === t0Ms };
}

/** Of the edge the worst alone, for those that ask it a thousand times. Null: not within the track. Unknown: not known. */
export function bareWorst(
  track: readonly SurfaceStretch[],
  t0Ms: number,
  limit: BareLimit,
): { readonly worstMs: number | null; readonly isUnknown: boolean } | null {
  if (limit.kind === 'none') return null;
  if (limit.kind === 'unknown') return { worstMs: null, isUnknown: true };
  const { atMs, isUnknown } = outAt(track, t0Ms, limit, 'cold');
  return { worstMs: atMs, isUnknown };
}

/** The edge at which bare metal prepared at t0 is out; null edge when the metal has no limit, unknown when none is known. */
export function bareEdge(track: readonly SurfaceStretch[], t0Ms: number, limit: BareLimit): Edge | null {
  if (limit.kind === 'none') return null;
  const worst = bareWorst(track, t0Ms, limit);
  if (!worst || limit.kind === 'unknown') return worst && { ...worst, nominalMs: null, bestMs: null };
  const nominal = outAt(track, t0Ms, limit, 'nominal');
  const best = outAt(track, t0Ms, limit, 'warm');
  return { ...worst, nominalMs: nominal.atMs, bestMs: best.atMs };
}

/** Rust bloom after blasting means blast again; other preparations are abraded again. */
export function remedyWhenOut(
  substrate: Substrate,
  prep: BarePrep,
): 'reblast' | 'rephosphate' | 'abrade-again' {
  if (prep === 'blasted' && (FERROUS.includes(substrate) || isCasting(substrate))) return 'reblast';
  return prep === 'phosphated' ? 'rephosphate' : 'abrade-again';
}
