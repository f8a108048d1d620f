import { shopStateOf, type ShopState } from '@calvetta/core';
import type { Database } from '../db/db.ts';
import {
  ALL_STALE,
  bothStale,
  isStale,
  loadShop,
  NOTHING_STALE,
  reloadShop,
  type Stale,
} from './loadShop.ts';

export interface ShopCache {
  /** The shop as the database has it now; null when there is none. Reads only what was made stale. */
  now(): Promise<ShopState | null>;
  /** What is to be read again before the shop is next served. */
  makeStale(what: Stale): void;
  stale(): Stale;
}

/** The shop's record, kept in memory and read again piece by piece. */
export function shopCache(db: Database, readTo: (seq: number) => void): ShopCache {
  let shop: ShopState | null = null;
  let stale = ALL_STALE;
  let reading: Promise<void> | null = null;
  const read = async (): Promise<void> => {
    const doing = stale;
    stale = NOTHING_STALE;
    try {
      if (doing.all || !shop) {
        const record = await loadShop(db, readTo);
        shop = record && shopStateOf(record);
      } else shop = await reloadShop(db, shop, doing);
    } catch (error) {
      stale = bothStale(doing, stale);
      throw error;
    }
  };
  return {
    async now() {
      while (reading || isStale(stale)) {
        reading ??= read().finally(() => (reading = null));
        await reading;
      }
      return shop;
    },
    makeStale: (what) => void (stale = bothStale(stale, what)),
    stale: () => stale,
  };
}
