import type { Span } from '../../base/time.ts';
import { lumpAfterC, piecesFor } from './response.ts';

/** Where a stretch of air comes from. `usual`: what the place's last weeks were like at that hour; plans alone look so far ahead. */
export type AirSource = 'measured' | 'forecast' | 'usual' | 'assumed';
/** Where a stretch of a part's own temperature comes from, best first. Every clock can say which it ran on. */
export type SurfaceSource = 'surface' | 'lag' | 'forecast' | 'usual' | 'assumed';

/** Air of a place over a span, linear in temperature and vapour pressure. Stretches ascend and touch; a gap is unknown. */
export interface AirStretch extends Span {
  readonly fromC: number;
  readonly toC: number;
  /** Vapour pressure, hPa; null when humidity is not known. */
  readonly fromVapourHpa: number | null;
  readonly toVapourHpa: number | null;
  readonly source: AirSource;
  /** How far it may lie from these, K, where that is known of the stretch itself; absent: by its source. */
  readonly spreadK?: number;
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
  /** As the air's. */
  readonly spreadK?: number;
}

export interface OwnReading {
  readonly atMs: number;
  readonly surfaceC: number;
}

/** Air that a part stood in for a while. */
export interface AirFor extends Span {
  readonly air: readonly AirStretch[];
}

export interface SurfaceTrackInput {
  /** The air it stood in, or what it stood in one after the other. */
  readonly air: readonly AirStretch[] | { readonly stays: readonly AirFor[] };
  /** Time constant, s; null when nothing is known of the part: it is then taken at air temperature and called assumed. */
  readonly tauS: number | null;
  /** The part's own contact readings, ascending. */
  readonly own: readonly OwnReading[];
  readonly fromMs: number;
  readonly toMs: number;
  /** Before this the air is known by readings hours apart. */
  readonly coarseBeforeMs?: number;
  /** Nights under open sky, where a surface falls below the air. Only for parts that stand outdoors. */
  readonly openSky?: { readonly nights: readonly Span[]; readonly dropK: number };
}

/** Own readings at most this far apart are joined by a line; beyond it the lag model takes over from each. */
export const JOIN_OWN_MS = 3_600_000;
/** The chord of a lag curve stays this close to the curve. */
export const TRACK_TOLERANCE_K = 0.02;
/**
 * Between readings hours apart the air itself is a guess of a kelvin, and what a place is usually like one of two: there the chord of
 * the lag may stray by this much.
 */
const COARSE_TOLERANCE_K = 0.3;
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
    ...spreadOf(s),
  };
}
const spreadOf = ({ spreadK }: { readonly spreadK?: number }): { spreadK?: number } =>
  spreadK === undefined ? {} : { spreadK };

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
    ...spreadOf(s),
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
  reach(stretches, atMs);
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
export function surfaceTrack(input: SurfaceTrackInput): readonly SurfaceStretch[] {
  const track = growingTrack(input);
  reach(track, Infinity);
  return track;
}

/**
 * The same, made only as far as somebody asks: a coat that was laid years ago and cured in a week asks for that week. Whoever reads it
 * says first how far, with `reach` or `reachOn`.
 */
export function growingTrack(input: SurfaceTrackInput): readonly SurfaceStretch[] {
  const maker = new Maker(input);
  makers.set(maker.out, maker);
  return maker.out;
}
const makers = new WeakMap<readonly SurfaceStretch[], Maker>();

/** Makes a growing track until it holds what comes after `untilMs`, or ends. A track that does not grow is as it is. */
export const reach = (track: readonly SurfaceStretch[], untilMs: number): void =>
  makers.get(track)?.reach(untilMs);

/** A growing track is made at least so much at a time. */
const STRIDE_MS = 4 * 86_400_000;

/** Makes some more of a growing track; false when it has ended. */
export function reachOn(track: readonly SurfaceStretch[]): boolean {
  const maker = makers.get(track);
  if (!maker) return false;
  const before = track.length;
  while (track.length === before && maker.isGrowing()) maker.reach(maker.reachedMs() + STRIDE_MS);
  return track.length > before;
}

/** Makes a track stretch by stretch of the air's. */
class Maker {
  readonly out: SurfaceStretch[];
  private readonly input: SurfaceTrackInput;
  private readonly walk: Walk;
  private readonly cuts: readonly number[];
  private cut = 0;
  /** Stays still to come, the one it stands in first, and its next stretch of air. */
  private readonly stays: AirFor[];
  private next = 0;

  constructor(input: SurfaceTrackInput) {
    this.input = input;
    this.walk = new Walk(input);
    this.out = this.walk.out;
    this.cuts = cutsWithin(input);
    const { fromMs, toMs } = input;
    const all = 'stays' in input.air ? input.air.stays : [{ air: input.air, fromMs, toMs }];
    this.stays = all
      .map((s) => ({ ...s, fromMs: Math.max(s.fromMs, fromMs), toMs: Math.min(s.toMs, toMs) }))
      .filter((s) => s.toMs > s.fromMs);
    this.enter();
  }

  /** Finds the first stretch of air of the stay at hand; those without any are left out. */
  private enter(): void {
    for (let stay = this.stays[0]; stay; stay = this.stays[0]) {
      this.next = firstEndingAfter(stay.air, stay.fromMs);
      if (this.upcoming()) return;
      this.stays.shift();
    }
  }

  private upcoming(): AirStretch | undefined {
    const stay = this.stays[0];
    const air = stay?.air[this.next];
    return stay && air && air.fromMs < stay.toMs ? air : undefined;
  }

  isGrowing(): boolean {
    return this.upcoming() !== undefined;
  }

  reachedMs(): number {
    const last = this.out[this.out.length - 1];
    return Math.max(last?.toMs ?? this.input.fromMs, this.upcoming()?.fromMs ?? -Infinity);
  }

  reach(untilMs: number): void {
    const { out } = this;
    while (this.isGrowing() && !(out.length > 0 && out[out.length - 1]!.toMs > untilMs)) this.step();
    if (!this.isGrowing()) makers.delete(out);
  }

  private step(): void {
    const { cuts } = this;
    const stay = this.stays[0]!;
    const air = stay.air[this.next++]!;
    let fromMs = Math.max(air.fromMs, stay.fromMs);
    const endMs = Math.min(air.toMs, stay.toMs);
    while (this.cut < cuts.length && cuts[this.cut]! <= fromMs) this.cut++;
    while (fromMs < endMs) {
      const toMs = this.cut < cuts.length && cuts[this.cut]! < endMs ? cuts[this.cut++]! : endMs;
      this.walk.step(sliceAir(air, fromMs, toMs));
      fromMs = toMs;
    }
    if (this.upcoming()) return;
    this.stays.shift();
    this.enter();
  }
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
    const isCoarse = air.source === 'usual' || air.toMs <= (this.input.coarseBeforeMs ?? -Infinity);
    const toleranceK = isCoarse ? COARSE_TOLERANCE_K : TRACK_TOLERANCE_K;
    const pieces = piecesFor(start, airFromC, slope, tauS, spanS, toleranceK);
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
      ...spreadOf(piece),
    });
  }
}
