import type { Span } from '../../base/time.ts';
import { lumpAfterC, piecesFor } from './response.ts';

/** Where a stretch of air comes from. */
export type AirSource = 'measured' | 'forecast' | 'assumed';
/** Where a stretch of a part's own temperature comes from, best first. Every clock can say which it ran on. */
export type SurfaceSource = 'surface' | 'lag' | 'forecast' | 'assumed';

/** Air of a place over a span, linear in temperature and vapour pressure. Stretches ascend and touch; a gap is unknown. */
export interface AirStretch extends Span {
  readonly fromC: number;
  readonly toC: number;
  /** Vapour pressure, hPa; null when humidity is not known. */
  readonly fromVapourHpa: number | null;
  readonly toVapourHpa: number | null;
  readonly source: AirSource;
}

/** A part's own surface over a span, linear, with the air around it. */
export interface SurfaceStretch extends Span {
  readonly fromC: number;
  readonly toC: number;
  readonly airFromC: number;
  readonly airToC: number;
  readonly fromVapourHpa: number | null;
  readonly toVapourHpa: number | null;
  readonly source: SurfaceSource;
}

export interface OwnReading {
  readonly atMs: number;
  readonly surfaceC: number;
}

export interface SurfaceTrackInput {
  readonly air: readonly AirStretch[];
  /** Time constant, s; null when nothing is known of the part: it is then taken at air temperature and called assumed. */
  readonly tauS: number | null;
  /** The part's own contact readings, ascending. */
  readonly own: readonly OwnReading[];
  readonly fromMs: number;
  readonly toMs: number;
  /** Nights under open sky, where a surface falls below the air. Only for parts that stand outdoors. */
  readonly openSky?: { readonly nights: readonly Span[]; readonly dropK: number };
}

/** Own readings at most this far apart are joined by a line; beyond it the lag model takes over from each. */
export const JOIN_OWN_MS = 3_600_000;
/** The chord of a lag curve stays this close to the curve. */
export const TRACK_TOLERANCE_K = 0.02;
/** A surface under a clear night sky falls 2–5 K below the air; the middle is taken (common practice, no published source). */
export const CLEAR_SKY_DROP_K = 3;

const at = (from: number, to: number, share: number): number => from + (to - from) * share;
const atOrNull = (from: number | null, to: number | null, share: number): number | null =>
  from === null || to === null ? null : at(from, to, share);

/** The part of an air stretch between two instants inside it. */
export function sliceAir(s: AirStretch, fromMs: number, toMs: number): AirStretch {
  if (fromMs === s.fromMs && toMs === s.toMs) return s;
  const length = s.toMs - s.fromMs;
  const a = (fromMs - s.fromMs) / length;
  const b = (toMs - s.fromMs) / length;
  return {
    fromMs,
    toMs,
    source: s.source,
    fromC: at(s.fromC, s.toC, a),
    toC: at(s.fromC, s.toC, b),
    fromVapourHpa: atOrNull(s.fromVapourHpa, s.toVapourHpa, a),
    toVapourHpa: atOrNull(s.fromVapourHpa, s.toVapourHpa, b),
  };
}

/** The part of a surface stretch between two instants inside it. */
export function sliceSurface(s: SurfaceStretch, fromMs: number, toMs: number): SurfaceStretch {
  if (fromMs === s.fromMs && toMs === s.toMs) return s;
  const length = s.toMs - s.fromMs;
  const a = (fromMs - s.fromMs) / length;
  const b = (toMs - s.fromMs) / length;
  return {
    fromMs,
    toMs,
    source: s.source,
    fromC: at(s.fromC, s.toC, a),
    toC: at(s.fromC, s.toC, b),
    airFromC: at(s.airFromC, s.airToC, a),
    airToC: at(s.airFromC, s.airToC, b),
    fromVapourHpa: atOrNull(s.fromVapourHpa, s.toVapourHpa, a),
    toVapourHpa: atOrNull(s.fromVapourHpa, s.toVapourHpa, b),
  };
}

/** Index of the first stretch that ends after `atMs`: where a walk from that instant begins. */
export function firstEndingAfter(stretches: readonly Span[], atMs: number): number {
  let low = 0;
  let high = stretches.length;
  while (low < high) {
    const mid = (low + high) >> 1;
    if (stretches[mid]!.toMs <= atMs) low = mid + 1;
    else high = mid;
  }
  return low;
}

/** The surface and its air at one instant; null where the track knows nothing. */
export function surfaceAt(stretches: readonly SurfaceStretch[], atMs: number) {
  const s =
    stretches[firstEndingAfter(stretches, atMs)] ??
    (stretches[stretches.length - 1]?.toMs === atMs ? stretches[stretches.length - 1] : undefined);
  if (!s || s.fromMs > atMs) return null;
  const share = (atMs - s.fromMs) / (s.toMs - s.fromMs);
  return {
    surfaceC: at(s.fromC, s.toC, share),
    airC: at(s.airFromC, s.airToC, share),
    vapourHpa: atOrNull(s.fromVapourHpa, s.toVapourHpa, share),
    source: s.source,
  };
}

/** Instants at which the walk must stop: own readings, and the edges of nights. */
function cutsWithin(input: SurfaceTrackInput): number[] {
  const cuts = input.own.map((r) => r.atMs);
  for (const night of input.openSky?.nights ?? []) cuts.push(night.fromMs, night.toMs);
  return cuts.filter((c) => c > input.fromMs && c < input.toMs).sort((a, b) => a - b);
}

/**
 * The part's own temperature over time: own readings joined where close, otherwise the exact lumped response to the
 * place's air, re-seeded at each own reading. A gap in the air restarts the lump at the air's temperature.
 */
export function surfaceTrack(input: SurfaceTrackInput): SurfaceStretch[] {
  const cuts = cutsWithin(input);
  const walk = new Walk(input);
  let c = 0;
  for (let i = firstEndingAfter(input.air, input.fromMs); i < input.air.length; i++) {
    const air = input.air[i]!;
    if (air.fromMs >= input.toMs) break;
    let fromMs = Math.max(air.fromMs, input.fromMs);
    const endMs = Math.min(air.toMs, input.toMs);
    while (c < cuts.length && cuts[c]! <= fromMs) c++;
    while (fromMs < endMs) {
      const toMs = c < cuts.length && cuts[c]! < endMs ? cuts[c++]! : endMs;
      walk.step(sliceAir(air, fromMs, toMs));
      fromMs = toMs;
    }
  }
  return walk.out;
}

/** State carried along the track: the temperature so far and the own reading it has passed. */
class Walk {
  readonly out: SurfaceStretch[] = [];
  private readonly input: SurfaceTrackInput;
  private tempC: number | null = null;
  private lastMs = Number.NaN;
  private own = 0;
  private night = 0;

  constructor(input: SurfaceTrackInput) {
    this.input = input;
  }

  step(air: AirStretch): void {
    const { own } = this.input;
    while (this.own < own.length && own[this.own]!.atMs <= air.fromMs) {
      this.tempC = own[this.own]!.surfaceC;
      this.lastMs = air.fromMs;
      this.own++;
    }
    const before = own[this.own - 1];
    const after = own[this.own];
    if (before && after && after.atMs - before.atMs <= JOIN_OWN_MS) this.pushJoined(air, before, after);
    else this.pushLag(air);
    this.lastMs = air.toMs;
  }

  private pushJoined(air: AirStretch, before: OwnReading, after: OwnReading): void {
    const length = after.atMs - before.atMs;
    const fromC = at(before.surfaceC, after.surfaceC, (air.fromMs - before.atMs) / length);
    const toC = at(before.surfaceC, after.surfaceC, (air.toMs - before.atMs) / length);
    this.push(air, air.fromMs, air.toMs, fromC, toC, 'surface');
    this.tempC = toC;
  }

  private pushLag(air: AirStretch): void {
    const drop = this.skyDropK(air);
    const airFromC = air.fromC - drop;
    const airToC = air.toC - drop;
    const { tauS } = this.input;
    if (tauS === null) {
      this.push(air, air.fromMs, air.toMs, airFromC, airToC, 'assumed');
      this.tempC = airToC;
      return;
    }
    const start = this.tempC !== null && this.lastMs === air.fromMs ? this.tempC : airFromC;
    const spanS = (air.toMs - air.fromMs) / 1000;
    const slope = (airToC - airFromC) / spanS;
    const pieces = piecesFor(start, airFromC, slope, tauS, spanS, TRACK_TOLERANCE_K);
    const source: SurfaceSource = air.source === 'measured' ? 'lag' : air.source;
    let fromC = start;
    for (let i = 0; i < pieces; i++) {
      const fromMs = at(air.fromMs, air.toMs, i / pieces);
      const toMs = i === pieces - 1 ? air.toMs : at(air.fromMs, air.toMs, (i + 1) / pieces);
      const toC = lumpAfterC(start, airFromC, slope, tauS, (toMs - air.fromMs) / 1000);
      this.push(air, fromMs, toMs, fromC, toC, source);
      fromC = toC;
    }
    this.tempC = fromC;
  }

  private skyDropK(air: Span): number {
    const sky = this.input.openSky;
    if (!sky) return 0;
    while (this.night < sky.nights.length && sky.nights[this.night]!.toMs <= air.fromMs) this.night++;
    const night = sky.nights[this.night];
    return night && night.fromMs <= air.fromMs ? sky.dropK : 0;
  }

  private push(
    air: AirStretch,
    fromMs: number,
    toMs: number,
    fromC: number,
    toC: number,
    source: SurfaceSource,
  ): void {
    const piece = sliceAir(air, fromMs, toMs);
    this.out.push({
      fromMs,
      toMs,
      fromC,
      toC,
      source,
      airFromC: piece.fromC,
      airToC: piece.toC,
      fromVapourHpa: piece.fromVapourHpa,
      toVapourHpa: piece.toVapourHpa,
    });
  }
}
