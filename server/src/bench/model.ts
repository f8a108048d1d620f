import type { LiveMessage } from '@calvetta/contract';
import type { Database } from '../db/db.ts';
import { loadAir, type AirData } from './airData.ts';
import { derivePartAt, deriveShop, type DerivedPart, type Snapshot } from './derive.ts';
import { loadShop, type ShopData } from './shopData.ts';

/** A derived snapshot is served for at most this long: the page itself moves the now-line in between. */
const SNAPSHOT_MS = 20_000;
/** Readings pour in; they make the air be read again at most this often. */
const AIR_MS = 5_000;

export interface Model {
  /** The workshop now, derived; null when no workshop has been imported. */
  snapshot(): Promise<Snapshot | null>;
  shop(): Promise<ShopData | null>;
  /** One part as it was at an instant, by today's knowledge. */
  partAt(partId: string, atMs: number): Promise<DerivedPart | null>;
  /** Drops what a message makes stale; called for own writes at once and for other processes' by NOTIFY. */
  invalidate(message: LiveMessage): void;
}

/** Caches that can be dropped at any time: facts and readings in the database are the truth. */
export function createModel(db: Database, nowMs: () => number): Model {
  let shop: Promise<ShopData | null> | null = null;
  let air: { atMs: number; data: Promise<AirData> } | null = null;
  let airIsStale = false;
  let snapshot: { atMs: number; value: Promise<Snapshot | null> } | null = null;

  const shopNow = (): Promise<ShopData | null> => {
    shop ??= loadShop(db);
    shop.catch(() => (shop = null));
    return shop;
  };
  const airNow = (data: ShopData): Promise<AirData> => {
    const now = nowMs();
    if (!air || now - air.atMs > 60_000 || (airIsStale && now - air.atMs > AIR_MS)) {
      const loading = loadAir(db, data.workshop.workshopId, data.places, now);
      loading.catch(() => (air = null));
      air = { atMs: now, data: loading };
      airIsStale = false;
    }
    return air.data;
  };
  const derive = async (): Promise<Snapshot | null> => {
    const data = await shopNow();
    return data && deriveShop(data, await airNow(data), nowMs());
  };
  const current = (): Promise<Snapshot | null> => {
    const now = nowMs();
    if (!snapshot || now - snapshot.atMs > SNAPSHOT_MS || (airIsStale && now - snapshot.atMs > AIR_MS)) {
      const value = derive();
      value.catch(() => (snapshot = null));
      snapshot = { atMs: now, value };
    }
    return snapshot.value;
  };
  return {
    snapshot: current,
    shop: shopNow,
    async partAt(partId, atMs) {
      const now = await current();
      const data = now && (await airNow(now.shop));
      return now && data && derivePartAt(now, data, partId, atMs);
    },
    invalidate(message) {
      if (message.topic === 'readings' || message.topic === 'forecast') {
        airIsStale = true;
        return;
      }
      if (message.topic === 'import') return;
      shop = null;
      snapshot = null;
    },
  };
}
