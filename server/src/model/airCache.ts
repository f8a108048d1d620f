import { DAY_MS, KEEP_DAYS, PAST_BIN_MS, recent, type AirData, type ShopState } from '@calvetta/core';
import type { Database } from '../db/db.ts';
import { loadAir, loadPast, loadThinned, type Kept } from './loadAir.ts';

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
  /** A whole number of tens of minutes, at least a day ago. */
  readonly settledUntilMs: number;
  readonly kept: Promise<Kept>;
}

const oldestOf = recent((all: ShopState['facts']): number => {
  let oldest = Infinity;
  for (const facts of all.values()) for (const f of facts) oldest = Math.min(oldest, f.happenedAtMs);
  return oldest;
});

/** Something is known to have happened before what was read. */
const reachesFarther = (past: Past, shop: ShopState): boolean =>
  Math.min(oldestOf(shop.facts), past.untilMs) < past.fromMs;

const BIN_MS = 600_000;

/** The air of every place, kept in memory for a while. */
export function airCache(db: Database, nowMs: () => number): AirCache {
  let air: { readonly atMs: number; readonly data: Promise<AirData> } | null = null;
  let past: Past | null = null;
  let isStale = false;
  /** Whose air it is: the demo may be removed and another shop begun. */
  let ofShop: string | null = null;

  const loadKept = async (
    { workshop: { workshopId }, places }: ShopState,
    { fromMs, untilMs, settledUntilMs }: Omit<Past, 'kept'>,
  ): Promise<Kept> => {
    const [long, settled] = await Promise.all([
      // A day more than is asked for today, so that nothing is missing until tomorrow's.
      loadPast(db, workshopId, places, fromMs - PAST_BIN_MS, untilMs + DAY_MS),
      loadThinned(db, workshopId, places, { fromMs: untilMs, toMs: settledUntilMs }),
    ]);
    return { past: long, settled, settledUntilMs };
  };
  /** It is read again when a day has passed, when the clock was set back, or when something older happened. */
  const isUsable = (p: Past, shop: ShopState, now: number): boolean => {
    const ageMs = now - DAY_MS - p.settledUntilMs;
    return !reachesFarther(p, shop) && ageMs >= 0 && ageMs <= DAY_MS;
  };
  const keptFor = (shop: ShopState, now: number): Promise<Kept> => {
    if (!past || !isUsable(past, shop, now)) {
      const untilMs = now - KEEP_DAYS * DAY_MS;
      const span = {
        fromMs: Math.min(oldestOf(shop.facts), untilMs),
        untilMs,
        settledUntilMs: Math.floor((now - DAY_MS) / BIN_MS) * BIN_MS,
      };
      const entry: Past = { ...span, kept: loadKept(shop, span) };
      past = entry;
      entry.kept.catch(() => {
        if (past === entry) past = null;
      });
    }
    return past.kept;
  };
  const load = async (shop: ShopState, now: number): Promise<AirData> =>
    loadAir(db, shop.workshop.workshopId, shop.places, now, await keptFor(shop, now));

  return {
    now(shop) {
      const now = nowMs();
      if (ofShop !== shop.workshop.workshopId) {
        ofShop = shop.workshop.workshopId;
        air = null;
        past = null;
      }
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
