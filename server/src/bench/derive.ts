import {
  airAlong,
  CLEAR_SKY_DROP_K,
  DAY_MS,
  derivePart,
  FACES,
  fitLag,
  lagOf,
  ofKind,
  originMs,
  predictedAtTest,
  shopRate,
  standingFacts,
  surfaceTrack,
  type AirStretch,
  type CalibrationPoint,
  type CoatState,
  type Fact,
  type Lag,
  type LagFit,
  type OwnReading,
  type PartState,
  type PlannedCoat,
  type Residence,
  type Span,
  type SurfaceStretch,
  OPEN_COATS,
} from '@calvetta/core';
import type { PlaceInfo } from '@calvetta/contract';
import { coatsBeforeRoute, facesWith, plannedCoats, routeOf } from './routeOf.ts';
import type { PartRow, RouteStepRow } from '../shop/shop.sql.ts';
import { KEEP_DAYS, placeAir, type AirData, type PlaceAir } from './airData.ts';
import { nightsBetween, sessionsAhead } from './moment.ts';
import type { ShopData } from './shopData.ts';

/** Ribbons and clocks look this far ahead. */
export const HORIZON_DAYS = 60;

/** A part with everything derived for one moment. */
export interface DerivedPart {
  readonly row: PartRow;
  readonly state: PartState;
  readonly facts: readonly Fact[];
  readonly steps: readonly RouteStepRow[];
  readonly planned: readonly PlannedCoat[];
  readonly track: readonly SurfaceStretch[];
  readonly own: readonly OwnReading[];
  readonly lag: Lag | null;
  readonly lagFit: LagFit | null;
  readonly placeId: string | null;
}

export interface Snapshot {
  readonly shop: ShopData;
  readonly nowMs: number;
  readonly horizonMs: number;
  readonly forecastEndMs: number;
  readonly nights: readonly Span[];
  readonly sessions: readonly Span[];
  readonly air: ReadonlyMap<string, PlaceAir>;
  readonly parts: ReadonlyMap<string, DerivedPart>;
  readonly speeds: ReadonlyMap<string, { readonly speedBy: number; readonly n: number }>;
}

/** Frame of one derivation: what all parts share. */
interface Frame {
  readonly shop: ShopData;
  readonly data: AirData;
  readonly nowMs: number;
  readonly fromMs: number;
  readonly horizonMs: number;
  readonly air: Map<string, PlaceAir>;
  readonly nights: readonly Span[];
  readonly sessions: readonly Span[];
}

/** Longest slice of work before other requests get their turn. */
const SLICE_MS = 12;
const turn = (): Promise<void> => new Promise((done) => setImmediate(done));

/** Derives the whole workshop at an instant, in slices so that the server keeps answering. Nothing of this is stored. */
export async function deriveShop(shop: ShopData, data: AirData, nowMs: number): Promise<Snapshot> {
  const frame = frameOf(shop, data, nowMs);
  let sliceStart = performance.now();
  const breathe = async (): Promise<void> => {
    if (performance.now() - sliceStart < SLICE_MS) return;
    await turn();
    sliceStart = performance.now();
  };
  const ready: ReadyPart[] = [];
  for (const row of shop.parts) {
    ready.push(readyPart(frame, row));
    await breathe();
  }
  const speeds = shopSpeeds(frame, ready);
  const parts = new Map<string, DerivedPart>();
  for (const r of ready) {
    parts.set(r.row.partId, finish(frame, r, speeds));
    await breathe();
  }
  return snapshotOf(frame, speeds, parts);
}

/** The snapshot with some parts derived again from newer facts; the rest keeps its moment, seconds ago. */
export function rederiveParts(
  before: Snapshot,
  shop: ShopData,
  data: AirData,
  partIds: ReadonlySet<string>,
  nowMs: number,
): Snapshot {
  const frame = frameOf(shop, data, nowMs);
  const parts = new Map(before.parts);
  for (const row of shop.parts) {
    if (partIds.has(row.partId)) parts.set(row.partId, finish(frame, readyPart(frame, row), before.speeds));
  }
  return { ...snapshotOf(frame, before.speeds, parts), nowMs: before.nowMs };
}

function snapshotOf(frame: Frame, speeds: Snapshot['speeds'], parts: Snapshot['parts']): Snapshot {
  const { shop, nowMs, horizonMs, nights, sessions, air, data } = frame;
  return { shop, nowMs, horizonMs, forecastEndMs: data.forecastEndMs, nights, sessions, air, parts, speeds };
}

/** One part at another instant: how a late or corrected coat is judged by what held then. */
export function derivePartAt(
  shop: ShopData,
  data: AirData,
  partId: string,
  nowMs: number,
  speeds: Snapshot['speeds'],
): DerivedPart | null {
  const row = shop.parts.find((p) => p.partId === partId);
  if (!row) return null;
  const frame = frameOf(shop, data, nowMs);
  return finish(frame, readyPart(frame, row), speeds);
}

function frameOf(shop: ShopData, data: AirData, nowMs: number): Frame {
  const oldestMs = Math.min(
    nowMs - 2 * DAY_MS,
    ...[...shop.facts.values()].flatMap((list) => list.map((f) => f.happenedAtMs)),
  );
  const fromMs = Math.max(oldestMs, nowMs - 400 * DAY_MS) - DAY_MS;
  const horizonMs = nowMs + HORIZON_DAYS * DAY_MS;
  const none = { thinned: [], recent: [] };
  const air = new Map(
    shop.places.map((p) => [
      p.placeId,
      placeAir(p, data.places.get(p.placeId) ?? none, data.outdoor, fromMs, nowMs, horizonMs),
    ]),
  );
  const nights = nightsBetween(shop.workshop.zone, nowMs - KEEP_DAYS * DAY_MS, nowMs + 5 * DAY_MS);
  return { shop, data, nowMs, fromMs, horizonMs, air, nights, sessions: sessionsAhead(shop, nowMs) };
}

interface ReadyPart {
  readonly row: PartRow;
  readonly facts: readonly Fact[];
  readonly standing: readonly Fact[];
  readonly steps: readonly RouteStepRow[];
  readonly planned: readonly PlannedCoat[];
  readonly track: readonly SurfaceStretch[];
  readonly own: readonly OwnReading[];
  readonly lag: Lag | null;
  readonly lagFit: LagFit | null;
  readonly place: PlaceInfo | null;
}

function readyPart(frame: Frame, row: PartRow): ReadyPart {
  const { shop, nowMs } = frame;
  const facts = shop.facts.get(row.partId) ?? [];
  const standing = standingFacts(facts);
  const stays = staysOf(standing, frame.fromMs, frame.horizonMs, nowMs);
  const placeId = stays[stays.length - 1]?.placeId;
  const place = shop.places.find((p) => p.placeId === placeId) ?? null;
  const own = ownReadings(frame, row.partId, standing);
  const lag = place ? unwrap(lagOf({ ...row, brightMetal: row.isBrightMetal }, place.exposure)) : null;
  const air = airAlong(stays, (id) => frame.air.get(id)?.track ?? []);
  const fromMs = Math.max(frame.fromMs, neededFrom(standing, nowMs) - 5 * 1000 * (lag?.tauS ?? 0));
  const lagFit = own.length >= 12 ? fitLag(measuredSince(air, own[0]!.atMs, nowMs), own) : null;
  const isOutdoors = place?.exposure === 'outdoors';
  const track = surfaceTrack({
    air,
    own,
    fromMs,
    toMs: frame.horizonMs,
    tauS: lagFit?.tauS ?? lag?.tauS ?? null,
    ...(isOutdoors ? { openSky: { nights: frame.nights, dropK: CLEAR_SKY_DROP_K } } : {}),
  });
  const steps = routeOf(standing, shop.sheets) ?? shop.steps.get(row.partId) ?? [];
  return {
    row: { ...row, faceCount: facesWith(steps, row.faceCount) },
    facts,
    standing,
    steps,
    planned: [...coatsBeforeRoute(standing, shop.sheets), ...plannedCoats(steps, shop.sheets)],
    track,
    own,
    lag,
    lagFit,
    place,
  };
}

function unwrap<T>(r: { ok: true; value: T } | { ok: false }): T | null {
  return r.ok ? r.value : null;
}

function measuredSince(air: readonly AirStretch[], fromMs: number, toMs: number): AirStretch[] {
  return air.filter((s) => s.source === 'measured' && s.toMs > fromMs && s.fromMs < toMs);
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
  const probed = frame.data.contacts.get(partId) ?? [];
  return [...typed, ...probed].filter((r) => r.atMs <= frame.nowMs).sort((a, b) => a.atMs - b.atMs);
}

function finish(frame: Frame, r: ReadyPart, speeds: Snapshot['speeds']): DerivedPart {
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
      isHeldOpen: r.steps.some((s) => s.what === OPEN_COATS),
      track: r.track,
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
  return { ...r, state, placeId: r.place?.placeId ?? null };
}

/** The shop's own rate of each product, from every test against what was predicted before any calibration. */
function shopSpeeds(frame: Frame, ready: readonly ReadyPart[]): Map<string, { speedBy: number; n: number }> {
  const points: CalibrationPoint[] = [];
  for (const r of ready) {
    if (!r.standing.some((f) => f.kind === 'tested')) continue;
    const plain = finish(frame, r, new Map());
    for (const face of plain.state.faces) {
      for (const test of ofKind(r.standing, 'tested').filter(
        (t) => t.face === null || t.face === face.face,
      )) {
        const coat = coatUnder(face.coats, test.happenedAtMs);
        const p = coat && predictedAtTest(coat, test, r.track);
        if (coat && p !== null)
          points.push({ productId: coat.sheet.productId, predictedProgress: p, reached: test.body.reached });
      }
    }
  }
  return new Map([...new Set(points.map((p) => p.productId))].map((id) => [id, shopRate(points, id)]));
}

function coatUnder(coats: readonly CoatState[], atMs: number): CoatState | null {
  return [...coats].reverse().find((c) => c.t0Ms <= atMs) ?? null;
}
