import { DAY_MS, type Span } from '../base/time.ts';
import { ofKind, type Fact } from '../facts/part.ts';
import { predictedAtTest, type CoatState } from '../bench/film.ts';
import { shopRate, type CalibrationPoint } from '../cure/calibration.ts';
import { KEEP_DAYS, placeAir, type AirData, type PlaceAir } from './air.ts';
import { mayStand } from './atRest.ts';
import { nightsBetween, sessionsAhead } from './calendar.ts';
import { finish, readyPart, type DerivedPart, type Frame, type ReadyPart, type Speeds } from './part.ts';
import type { ShopRecord, ShopState } from './state.ts';

/** Ribbons and clocks look this far ahead. */
export const HORIZON_DAYS = 60;

/** All that a snapshot is derived from, in one piece of JSON: for a page without a server and for what-ifs. */
export interface SnapshotSource {
  readonly shop: ShopRecord;
  readonly air: AirData;
  readonly nowMs: number;
}

export interface Snapshot {
  readonly shop: ShopState;
  readonly nowMs: number;
  /** Clocks reach back to here, and ahead to the horizon. */
  readonly fromMs: number;
  readonly horizonMs: number;
  readonly forecastEndMs: number;
  readonly nights: readonly Span[];
  readonly sessions: readonly Span[];
  readonly air: ReadonlyMap<string, PlaceAir>;
  readonly parts: ReadonlyMap<string, DerivedPart>;
  readonly speeds: Speeds;
}

/**
 * Derives a whole workshop at an instant, a part at a time, and says how many it has: who drives it may let others have their turn between two parts.
 * Nothing of this is stored. Pure. With the snapshot `before`, parts at rest to which nothing happened are taken from it.
 */
export function* derivation(
  shop: ShopState,
  data: AirData,
  nowMs: number,
  before: Snapshot | null = null,
): Generator<number, Snapshot> {
  const frame = frameOf(shop, data, nowMs);
  const points: CalibrationPoint[] = [];
  for (const row of shop.parts) {
    if (!(shop.facts.get(row.partId) ?? []).some((f) => f.kind === 'tested')) continue;
    points.push(...calibrationPoints(frame, readyPart(frame, row)));
    yield 0;
  }
  const speeds = shopSpeeds(points);
  const parts = new Map<string, DerivedPart>();
  for (const row of shop.parts) {
    const known = before?.parts.get(row.partId);
    if (known && mayStand(known, before!.shop, shop, nowMs)) parts.set(row.partId, known);
    else {
      parts.set(row.partId, finish(frame, readyPart(frame, row), speeds));
      yield parts.size;
    }
  }
  return snapshotOf(frame, speeds, parts);
}

/** Parts that were not put away: what lists, needs and counts are about. */
export const partsInUse = (snapshot: Snapshot): DerivedPart[] =>
  [...snapshot.parts.values()].filter((p) => !p.row.isAway);

/** The same in one go: for a page without a server, for what-ifs and tests. */
export function deriveShop(
  shop: ShopState,
  data: AirData,
  nowMs: number,
  before: Snapshot | null = null,
): Snapshot {
  const steps = derivation(shop, data, nowMs, before);
  for (;;) {
    const next = steps.next();
    if (next.done) return next.value;
  }
}

/** The snapshot with some parts derived again from newer facts, a part at a time; the rest keeps its moment, seconds ago. */
export function* rederivation(
  before: Snapshot,
  shop: ShopState,
  data: AirData,
  partIds: ReadonlySet<string>,
  nowMs: number,
): Generator<void, Snapshot> {
  const frame = frameOf(shop, data, nowMs);
  const parts = new Map<string, DerivedPart>();
  for (const row of shop.parts) {
    const known = partIds.has(row.partId) ? undefined : before.parts.get(row.partId);
    parts.set(row.partId, known ?? finish(frame, readyPart(frame, row), before.speeds));
    if (!known) yield;
  }
  return { ...snapshotOf(frame, before.speeds, parts), nowMs: before.nowMs };
}

function snapshotOf(frame: Frame, speeds: Speeds, parts: Snapshot['parts']): Snapshot {
  const { shop, nowMs, fromMs, horizonMs, nights, sessions, air, data } = frame;
  return {
    shop,
    nowMs,
    fromMs,
    horizonMs,
    forecastEndMs: data.forecastEndMs,
    nights,
    sessions,
    air,
    parts,
    speeds,
  };
}

/** One part at another instant, with these facts in place of its stored ones: how an act is judged by what held then. */
export function derivePartAt(
  shop: ShopState,
  data: AirData,
  partId: string,
  facts: readonly Fact[],
  nowMs: number,
  speeds: Speeds,
): DerivedPart | null {
  const row = shop.parts.find((p) => p.partId === partId);
  if (!row) return null;
  const own = { ...shop, facts: new Map([[partId, facts]]) };
  const frame = frameOf(own, data, nowMs);
  return finish(frame, readyPart(frame, row), speeds);
}

function frameOf(shop: ShopState, data: AirData, nowMs: number): Frame {
  let oldestMs = nowMs - 2 * DAY_MS;
  for (const facts of shop.facts.values())
    for (const f of facts) oldestMs = Math.min(oldestMs, f.happenedAtMs);
  const fromMs = oldestMs - DAY_MS;
  const horizonMs = nowMs + HORIZON_DAYS * DAY_MS;
  const none = { past: [], thinned: [], recent: [] };
  const air = new Map(
    shop.places.map((p) => [
      p.placeId,
      placeAir(p, data.places[p.placeId] ?? none, data.outdoor, fromMs, nowMs, horizonMs),
    ]),
  );
  const nights = nightsBetween(shop.workshop.zone, nowMs - KEEP_DAYS * DAY_MS, nowMs + 5 * DAY_MS);
  return {
    shop,
    data,
    nowMs,
    fromMs,
    horizonMs,
    air,
    nights,
    tracks: new Map(),
    sessions: sessionsAhead(shop.attendance, shop.workshop.zone, nowMs),
  };
}

/** The shop's own rate of each product, from every test against what was predicted before any calibration. */
const shopSpeeds = (points: readonly CalibrationPoint[]): Map<string, { speedBy: number; n: number }> =>
  new Map([...new Set(points.map((p) => p.productId))].map((id) => [id, shopRate(points, id)]));

/** What each test of a part showed, against what was predicted of it. */
function calibrationPoints(frame: Frame, r: ReadyPart): CalibrationPoint[] {
  const plain = finish(frame, r, new Map());
  const tests = ofKind(r.standing, 'tested');
  return plain.state.faces.flatMap((face) =>
    tests
      .filter((t) => t.face === null || t.face === face.face)
      .flatMap((test): CalibrationPoint[] => {
        const coat = coatUnder(face.coats, test.happenedAtMs);
        const p = coat && predictedAtTest(coat, test, r.track);
        return coat && p !== null
          ? [{ productId: coat.sheet.productId, predictedProgress: p, reached: test.body.reached }]
          : [];
      }),
  );
}

function coatUnder(coats: readonly CoatState[], atMs: number): CoatState | null {
  return [...coats].reverse().find((c) => c.t0Ms <= atMs) ?? null;
}
