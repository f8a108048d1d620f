import {
  DAY_MS,
  KEEP_DAYS,
  PAST_BIN_MS,
  recent,
  type AirData,
  type AirReading,
  type ShopState,
} from '@calvetta/core';
import type { Database } from '../db/db.ts';
import { loadAir, loadPast } from './loadAir.ts';

/** Readings pour in; they make the air be read again at most this often. */
const AIR_MS = 5_000;
/** Read again after this long even when nothing came. */
const RENEW_MS = 60_000;

export interface AirCache {
  now(shop: ShopState): Promise<AirData>;
  /** A reading or a forecast came. `isByHand`: a person waits to see it, so that nothing older is served; `isPast`: it is of long ago. */
  makeStale(what: { readonly isByHand: boolean; readonly isPast: boolean }): void;
  /** Something came, and it is time to read it. */
  isDue(): boolean;
}

interface Past {
  readonly fromMs: number;
  readonly untilMs: number;
  readonly byPlace: Promise<Map<string, readonly AirReading[]>>;
}

const oldestOf = recent((all: ShopState['facts']): number => {
  let oldest = Infinity;
  for (const facts of all.values()) for (const f of facts) oldest = Math.min(oldest, f.happenedAtMs);
  return oldest;
});

/** Something is known to have happened before what was read. */
const reachesFarther = (past: Past, shop: ShopState): boolean =>
  Math.min(oldestOf(shop.facts), past.untilMs) < past.fromMs;

/** The air of every place, kept in memory for a while. */
export function airCache(db: Database, nowMs: () => number): AirCache {
  let air: { readonly atMs: number; readonly data: Promise<AirData> } | null = null;
  let past: Past | null = null;
  let isStale = false;

  /** What is no longer kept whole grows by a day a day; it is read again when it has, or when something older happened. */
  const pastOf = (shop: ShopState, now: number): Past['byPlace'] => {
    const untilMs = now - KEEP_DAYS * DAY_MS;
    const fromMs = Math.min(oldestOf(shop.facts), untilMs);
    if (!past || reachesFarther(past, shop) || Math.abs(untilMs - past.untilMs) > DAY_MS) {
      // A day more than is asked for today, so that nothing is missing until tomorrow's.
      const byPlace = loadPast(
        db,
        shop.workshop.workshopId,
        shop.places,
        fromMs - PAST_BIN_MS,
        untilMs + DAY_MS,
      );
      const entry = { fromMs, untilMs, byPlace };
      past = entry;
      byPlace.catch(() => {
        if (past === entry) past = null;
      });
    }
    return past.byPlace;
  };
  const load = async (shop: ShopState, now: number): Promise<AirData> =>
    loadAir(db, shop.workshop.workshopId, shop.places, now, await pastOf(shop, now));

  return {
    now(shop) {
      const now = nowMs();
      if (!air || Math.abs(now - air.atMs) > RENEW_MS || isStale || (past && reachesFarther(past, shop))) {
        const loading = load(shop, now);
        const entry = { atMs: now, data: loading };
        air = entry;
        isStale = false;
        loading.catch(() => {
          if (air === entry) air = null;
        });
      }
      return air.data;
    },
    makeStale({ isByHand, isPast }) {
      isStale = true;
      if (isPast) past = null;
      if (isByHand || isPast) air = null;
    },
    isDue: () => isStale && Math.abs(nowMs() - (air?.atMs ?? 0)) > AIR_MS,
  };
}
