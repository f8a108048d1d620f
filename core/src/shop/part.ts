import { DAY_MS, type Span } from '../base/time.ts';
import { airAlong, type Residence } from '../bench/air.ts';
import type { PlannedCoat } from '../bench/face.ts';
import { originMs } from '../facts/envelope.ts';
import { FACES, ofKind, standingFacts, type Fact } from '../facts/part.ts';
import { derivePart, type PartState } from '../bench/part.ts';
import { fitLag, type LagFit } from '../part/thermal/calibrate.ts';
import { lagOf, type Lag } from '../part/thermal/lag.ts';
import {
  CLEAR_SKY_DROP_K,
  growingTrack,
  type AirStretch,
  type OwnReading,
  type SurfaceStretch,
} from '../part/thermal/track.ts';
import { OPEN_COATS } from '../route/route.ts';
import type { ShopState } from './state.ts';
import { KEEP_DAYS, type AirData, type PlaceAir } from './air.ts';
import { coatsBeforeRoute, facesWith, plannedCoats, routeOf } from './route.ts';
import type { PartRow, PlaceInfo, RouteStepRow } from './state.ts';

/** A part with everything derived for one moment. */
export interface DerivedPart {
  /** When this was derived. */
  readonly atMs: number;
  readonly row: PartRow;
  readonly state: PartState;
  readonly facts: readonly Fact[];
  readonly steps: readonly RouteStepRow[];
  readonly planned: readonly PlannedCoat[];
  readonly own: readonly OwnReading[];
  readonly lag: Lag | null;
  readonly lagFit: LagFit | null;
  readonly placeId: string | null;
}

/** The shop's own rate of each product against its sheet, from tests. */
export type Speeds = ReadonlyMap<string, { readonly speedBy: number; readonly n: number }>;

/** Frame of one derivation: what all parts share. */
export interface Frame {
  readonly shop: ShopState;
  readonly data: AirData;
  readonly nowMs: number;
  readonly fromMs: number;
  readonly horizonMs: number;
  readonly air: ReadonlyMap<string, PlaceAir>;
  readonly nights: readonly Span[];
  readonly sessions: readonly Span[];
  /** Tracks of surfaces made so far, for parts that share one. */
  readonly tracks: Map<string, readonly SurfaceStretch[]>;
}

export interface ReadyPart {
  readonly row: PartRow;
  readonly facts: readonly Fact[];
  readonly standing: readonly Fact[];
  readonly steps: readonly RouteStepRow[];
  readonly planned: readonly PlannedCoat[];
  readonly track: readonly SurfaceStretch[];
  readonly trackNow: readonly SurfaceStretch[];
  readonly own: readonly OwnReading[];
  readonly lag: Lag | null;
  readonly lagFit: LagFit | null;
  readonly place: PlaceInfo | null;
}

export function readyPart(frame: Frame, row: PartRow): ReadyPart {
  const { shop, nowMs } = frame;
  const facts = shop.facts.get(row.partId) ?? [];
  const standing = standingFacts(facts);
  const stays = staysOf(standing, frame.fromMs, frame.horizonMs, nowMs);
  const placeId = stays[stays.length - 1]?.placeId;
  const place = shop.places.find((p) => p.placeId === placeId) ?? null;
  const own = ownReadings(frame, row.partId, standing);
  const lag = place ? unwrap(lagOf({ ...row, brightMetal: row.isBrightMetal }, place.exposure)) : null;
  const fromMs = beginOf(frame, standing, lag);
  const lagFit = own.length >= 12 ? fitLag(measuredSince(frame, stays, own[0]!.atMs), own) : null;
  const isOutdoors = place?.exposure === 'outdoors';
  const tauS = tauOf({ lag, lagFit });
  const asked = { stays, own, tauS, isOutdoors };
  const track = trackOf(frame, { ...asked, fromMs });
  // Between a film of long ago and now nobody asks: two tracks are made, and the years between them are not.
  const lateMs = nowMs - DAY_MS - 5000 * (tauS ?? 0);
  const trackNow = fromMs < nowMs - LONG_AGO_MS ? trackOf(frame, { ...asked, fromMs: lateMs }) : track;
  const steps = routeOf(standing, shop.sheets) ?? shop.steps.get(row.partId) ?? [];
  return {
    row: { ...row, faceCount: facesWith(steps, row.faceCount) },
    facts,
    standing,
    steps,
    planned: [...coatsBeforeRoute(standing, shop.sheets), ...plannedCoats(steps, shop.sheets)],
    track,
    trackNow,
    own,
    lag,
    lagFit,
    place,
  };
}

/** A film that began so long ago has a track of its own. */
const LONG_AGO_MS = 30 * DAY_MS;
/** Tracks a derivation holds at once, for parts that may share them. */
const TRACKS_KEPT = 16;

interface TrackAsked {
  readonly stays: readonly Residence[];
  readonly own: readonly OwnReading[];
  readonly tauS: number | null;
  readonly fromMs: number;
  readonly isOutdoors: boolean;
}

/**
 * A part's own temperature. Parts that stood in the same places and are as quick to follow the air share one track, and with it
 * every sum along it: it begins with the day, so that one begun a little earlier serves those after it. A part with readings of
 * its own has a track of its own.
 */
function trackOf(frame: SurfaceFrame & Pick<Frame, 'tracks'>, asked: TrackAsked): readonly SurfaceStretch[] {
  const { stays, own, tauS, fromMs, isOutdoors } = asked;
  const make = (beginMs: number): readonly SurfaceStretch[] =>
    growingTrack({
      air: { stays: stays.map((s) => ({ ...s, air: frame.air.get(s.placeId)?.track ?? [] })) },
      own,
      fromMs: beginMs,
      toMs: frame.horizonMs,
      coarseBeforeMs: frame.nowMs - KEEP_DAYS * DAY_MS,
      tauS,
      ...(isOutdoors ? { openSky: { nights: frame.nights, dropK: CLEAR_SKY_DROP_K } } : {}),
    });
  if (own.length > 0) return make(fromMs);
  const beginMs = Math.max(frame.fromMs, Math.floor(fromMs / DAY_MS) * DAY_MS);
  const where = stays.map((s) => `${s.placeId}:${s.fromMs}:${s.toMs}`).join('|');
  const key = `${beginMs}#${tauS}#${isOutdoors}#${where}`;
  let track = frame.tracks.get(key);
  if (!track) {
    frame.tracks.set(key, (track = make(beginMs)));
    if (frame.tracks.size > TRACKS_KEPT) frame.tracks.delete(frame.tracks.keys().next().value!);
  }
  return track;
}

/** What a surface is made of, with the tracks that parts which stand alike share. */
export type SurfaceFrame = Pick<Frame, 'nights' | 'nowMs' | 'fromMs' | 'horizonMs'> & {
  readonly air: ReadonlyMap<string, Pick<PlaceAir, 'track'>>;
  readonly tracks?: Frame['tracks'];
};

/** A part's own temperature over the clocks' reach, as its state was derived from; from an earlier moment where one is asked. */
export function surfaceOf(
  shop: ShopState,
  frame: SurfaceFrame,
  part: DerivedPart,
  sinceMs = Infinity,
  carried: { readonly placeId: string; readonly atMs: number } | null = null,
): readonly SurfaceStretch[] {
  const standing = standingFacts(part.facts);
  const stayed = staysOf(standing, frame.fromMs, frame.horizonMs, frame.nowMs);
  const stays = carried ? staysUntil(stayed, carried, frame.horizonMs) : stayed;
  const place = shop.places.find((p) => p.placeId === (carried?.placeId ?? part.placeId));
  return trackOf(
    { ...frame, tracks: frame.tracks ?? new Map<string, readonly SurfaceStretch[]>() },
    {
      stays,
      own: part.own,
      tauS: tauOf(part),
      fromMs: Math.min(sinceMs, beginOf(frame, standing, part.lag)),
      isOutdoors: place?.exposure === 'outdoors',
    },
  );
}
/** Where it stood until it is carried elsewhere, and then stays. */
const staysUntil = (
  stays: readonly Residence[],
  { placeId, atMs }: { readonly placeId: string; readonly atMs: number },
  toMs: number,
): Residence[] => [
  ...stays.flatMap((s) => (s.fromMs < atMs ? [{ ...s, toMs: Math.min(s.toMs, atMs) }] : [])),
  { placeId, fromMs: atMs, toMs },
];
const tauOf = (p: Pick<DerivedPart, 'lag' | 'lagFit'>): number | null =>
  p.lagFit?.tauS ?? p.lag?.tauS ?? null;
/** Five time constants before anything asks for it: what the part was before is forgotten by then. */
const beginOf = (
  frame: Pick<Frame, 'fromMs' | 'nowMs'>,
  standing: readonly Fact[],
  lag: Lag | null,
): number => Math.max(frame.fromMs, neededFrom(standing, frame.nowMs) - 5 * 1000 * (lag?.tauS ?? 0));

function unwrap<T>(r: { ok: true; value: T } | { ok: false }): T | null {
  return r.ok ? r.value : null;
}

function measuredSince(frame: Frame, stays: readonly Residence[], fromMs: number): AirStretch[] {
  const air = airAlong(stays, (id) => frame.air.get(id)?.track ?? []);
  return air.filter((s) => s.source === 'measured' && s.toMs > fromMs && s.fromMs < frame.nowMs);
}

/** Clocks need the track from the last time the part was taken back to metal, or its first coat. */
function neededFrom(standing: readonly Fact[], nowMs: number): number {
  const strips = ofKind(standing, 'stripped');
  const last =
    strips[strips.length - 1] ?? standing.find((f) => f.kind === 'coated' || f.kind === 'pretreated');
  return Math.min(nowMs - DAY_MS, last ? originMs(last) : nowMs);
}

/** Where the part has stood: each `moved` fact until the next. The first is taken to reach back. */
export function staysOf(standing: readonly Fact[], fromMs: number, toMs: number, nowMs: number): Residence[] {
  const moves = ofKind(standing, 'moved').filter((m) => m.happenedAtMs <= nowMs);
  return moves.map((m, i) => ({
    placeId: m.body.placeId,
    fromMs: i === 0 ? fromMs : m.happenedAtMs,
    toMs: moves[i + 1]?.happenedAtMs ?? toMs,
  }));
}

function ownReadings(frame: Frame, partId: string, standing: readonly Fact[]): OwnReading[] {
  const typed = ofKind(standing, 'surface-read').map((f) => ({
    atMs: f.happenedAtMs,
    surfaceC: f.body.surfaceC,
  }));
  const probed = frame.data.contacts[partId] ?? [];
  return [...typed, ...probed].filter((r) => r.atMs <= frame.nowMs).sort((a, b) => a.atMs - b.atMs);
}

export function finish(frame: Frame, r: ReadyPart, speeds: Speeds): DerivedPart {
  const { shop, nowMs } = frame;
  const placeNow = r.place ? frame.air.get(r.place.placeId)?.now : undefined;
  const state = derivePart(
    {
      partId: r.row.partId,
      substrate: r.row.substrate,
      areaM2: r.row.areaM2,
      faces: FACES.slice(0, r.row.faceCount),
      isOutdoors: r.place?.exposure === 'outdoors',
      facts: r.facts,
      planned: r.planned,
      hasRoute: r.steps.length > 0,
      isHeldOpen: r.steps.some((s) => s.what === OPEN_COATS),
      track: r.track,
      trackNow: r.trackNow,
      own: r.own,
      place: placeNow ?? { trust: 'none', atMs: null, airC: null, rhPct: null },
    },
    {
      nowMs,
      horizonMs: frame.horizonMs,
      forecastEndMs: Math.max(nowMs, frame.data.forecastEndMs),
      sessions: frame.sessions,
      sheetOf: (id) => shop.sheets.get(id) ?? null,
      speedOf: (productId) => speeds.get(productId)?.speedBy ?? 1,
    },
  );
  const { row, facts, steps, planned, own, lag, lagFit } = r;
  // Its track is not kept with it: thousands of parts would hold gigabytes of them. `surfaceOf` makes it again for one.
  const placeId = r.place?.placeId ?? null;
  return { atMs: nowMs, row, facts, steps, planned, own, lag, lagFit, state, placeId };
}
