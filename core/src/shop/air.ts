import { vapourHpa } from '../air/humidity.ts';
import { dropStuckRuns, readingTrust, type AirReading, type ReadingTrust } from '../air/reading.ts';
import { placeAirTrack, stretchesFrom, thinPoints } from '../air/track.ts';
import { recent } from '../base/recent.ts';
import { DAY_MS, HOUR_MS } from '../base/time.ts';
import type { PlaceNow } from '../bench/air.ts';
import {
  fitPlace,
  placeAirFromOutdoor,
  type PlaceFit,
  type PlaceStart,
  UNFITTED,
} from '../part/thermal/placeAir.ts';
import { sliceAir, type AirStretch, type OwnReading } from '../part/thermal/track.ts';
import type { PlaceInfo } from './state.ts';

/** Readings older than this are read by the bin: films of then are judged by every third hour. */
export const KEEP_DAYS = 45;
const FIT_DAYS = 14;

/** How far apart readings of long ago are read. */
export const PAST_BIN_MS = 3 * HOUR_MS;
/** Two of them with a bin between them are still joined by a line. */
const JOIN_PAST_MS = 2 * PAST_BIN_MS;

/** A place's readings as the clocks use them. */
export interface PlaceReadings {
  /** One of every three hours, from before what is kept whole, as far back as anything happened. */
  readonly past?: readonly AirReading[];
  /** One of every ten minutes over the clocks' reach. */
  readonly thinned: readonly AirReading[];
  /** Every one of the last three hours. */
  readonly recent: readonly AirReading[];
}

/** The time series that clocks run on, as stored: plain JSON. */
export interface AirData {
  /** By place. */
  readonly places: Readonly<Record<string, PlaceReadings>>;
  /** Probes on parts, by part. */
  readonly contacts: Readonly<Record<string, readonly OwnReading[]>>;
  /** Outdoor hours, past and to come. */
  readonly outdoor: readonly AirStretch[];
  readonly forecastEndMs: number;
}

/** A place's air over the clocks' whole reach, with the reading that speaks now. */
export interface PlaceAir {
  readonly track: readonly AirStretch[];
  readonly now: PlaceNow;
  readonly fit: PlaceFit | null;
  readonly recent: readonly AirReading[];
}

/** Joins a place's readings, its share of the outdoor forecast and its median into one track without holes. */
export function placeAir(
  place: PlaceInfo,
  readings: PlaceReadings,
  outdoor: readonly AirStretch[],
  fromMs: number,
  nowMs: number,
  toMs: number,
): PlaceAir {
  const good = seriesUntil(readings.thinned, nowMs);
  const now = speakingNow(
    readings.recent.filter((r) => r.atMs <= nowMs),
    good,
    nowMs,
  );
  const fit = fitToOutdoor(good, outdoor, nowMs);
  const forecast = forecastOf(place, good, outdoor, fit, nowMs);
  return {
    fit,
    recent: readings.recent,
    track: placeAirTrack({ past: pastOf(readings), readings: good, forecast, fromMs, nowMs, toMs }),
    now,
  };
}

/** Measured air of long ago, up to where the whole series begins. */
const pastOf = recent((readings: PlaceReadings): readonly AirStretch[] => {
  const next = readings.thinned[0];
  const points = byProbe(readings.past ?? []).flatMap(dropStuckRuns);
  const ascending = points.filter((p) => !next || p.atMs < next.atMs).sort((a, b) => a.atMs - b.atMs);
  const joined = thinPoints(next ? [...ascending, next] : ascending, JOIN_PAST_MS);
  return stretchesFrom(joined, 'measured', JOIN_PAST_MS);
}, 64);

const seriesOf = recent(oneSeries, 64);
/** The series until now: worked out once for readings that all came before it, as they do but for what-ifs. */
function seriesUntil(thinned: readonly AirReading[], nowMs: number): readonly AirReading[] {
  const isPast = (r: AirReading): boolean => r.atMs <= nowMs;
  return thinned.every(isPast) ? seriesOf(thinned) : oneSeries(thinned.filter(isPast));
}

function byProbe(readings: readonly AirReading[]): AirReading[][] {
  const groups = new Map<string, AirReading[]>();
  for (const r of readings) {
    const group = groups.get(r.probeId);
    if (group) group.push(r);
    else groups.set(r.probeId, [r]);
  }
  return [...groups.values()];
}

const BIN_MS = 600_000;

/** One series for a place with several probes: stuck runs left out probe by probe, then one reading every ten minutes. */
function oneSeries(readings: readonly AirReading[]): AirReading[] {
  const taken = new Set<number>();
  const out: AirReading[] = [];
  for (const r of byProbe(readings).flatMap(dropStuckRuns)) {
    const bin = Math.floor(r.atMs / BIN_MS);
    if (taken.has(bin)) continue;
    taken.add(bin);
    out.push(r);
  }
  return out.sort((a, b) => a.atMs - b.atMs);
}

const TRUST_ORDER: readonly ReadingTrust[] = ['fresh', 'stale', 'stuck', 'none'];

/** The reading that speaks for the place now: the newest of the most trustworthy probes. */
function speakingNow(recent: readonly AirReading[], good: readonly AirReading[], nowMs: number): PlaceNow {
  const candidates = byProbe(recent.length > 0 ? recent : good.slice(-1)).map((own) => ({
    trust: readingTrust(own, nowMs),
    newest: own[own.length - 1]!,
  }));
  candidates.sort(
    (a, b) => TRUST_ORDER.indexOf(a.trust) - TRUST_ORDER.indexOf(b.trust) || b.newest.atMs - a.newest.atMs,
  );
  const best = candidates[0];
  return best
    ? { trust: best.trust, atMs: best.newest.atMs, airC: best.newest.airC, rhPct: best.newest.rhPct }
    : { trust: 'none', atMs: null, airC: null, rhPct: null };
}

/** How the place follows the outdoor air, fitted on the last 14 days, one reading an hour. */
function fitToOutdoor(
  readings: readonly AirReading[],
  outdoor: readonly AirStretch[],
  nowMs: number,
): PlaceFit | null {
  const sinceMs = nowMs - FIT_DAYS * DAY_MS;
  return fitPlace(
    outdoor.filter((s) => s.toMs > sinceMs && s.fromMs < nowMs),
    readings.filter((r, i) => r.atMs >= sinceMs && i % 6 === 0),
  );
}

function forecastOf(
  place: PlaceInfo,
  readings: readonly AirReading[],
  outdoor: readonly AirStretch[],
  fit: PlaceFit | null,
  nowMs: number,
): AirStretch[] {
  const use = fit ?? UNFITTED;
  const past = outdoor.filter((s) => s.toMs <= nowMs);
  const ahead = outdoor
    .filter((s) => s.toMs > nowMs)
    .map((s) => (s.fromMs < nowMs ? sliceAir(s, nowMs, s.toMs) : s));
  const newest = readings[readings.length - 1];
  const unread = (s: AirStretch | undefined): PlaceStart => ({
    airC: (s?.fromC ?? 10) + use.offsetK,
    vapourHpa: null,
  });
  const start =
    newest && nowMs - newest.atMs < 3 * HOUR_MS
      ? { airC: newest.airC, vapourHpa: vapourHpa(newest.airC, newest.rhPct) }
      : unread(ahead[0]);
  return [
    ...placeAirFromOutdoor(past, use, unread(past[0]), place.setpointC),
    ...placeAirFromOutdoor(ahead, use, start, place.setpointC),
  ];
}
