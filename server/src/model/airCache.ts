import type { AirData, ShopState } from '@calvetta/core';
import type { Database } from '../db/db.ts';
import { loadAir } from './loadAir.ts';

/** Readings pour in; they make the air be read again at most this often. */
const AIR_MS = 5_000;
/** Read again after this long even when nothing came. */
const RENEW_MS = 60_000;

export interface AirCache {
  now(shop: ShopState): Promise<AirData>;
  /** A reading or a forecast came. `isByHand`: a person waits to see it, so that nothing older is served. */
  makeStale(isByHand: boolean): void;
  /** Something came, and it is time to read it. */
  isDue(): boolean;
}

/** The air of every place, kept in memory for a while. */
export function airCache(db: Database, nowMs: () => number): AirCache {
  let air: { readonly atMs: number; readonly data: Promise<AirData> } | null = null;
  let isStale = false;
  return {
    now(shop) {
      const now = nowMs();
      if (!air || Math.abs(now - air.atMs) > RENEW_MS || isStale) {
        const loading = loadAir(db, shop.workshop.workshopId, shop.places, now);
        const entry = { atMs: now, data: loading };
        air = entry;
        isStale = false;
        loading.catch(() => {
          if (air === entry) air = null;
        });
      }
      return air.data;
    },
    makeStale(isByHand) {
      isStale = true;
      if (isByHand) air = null;
    },
    isDue: () => isStale && Math.abs(nowMs() - (air?.atMs ?? 0)) > AIR_MS,
  };
}
