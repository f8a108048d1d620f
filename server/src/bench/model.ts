import type { LiveMessage } from '@calvetta/contract';
import type { Database } from '../db/db.ts';
import { loadAir, type AirData } from './airData.ts';
import { derivePartAt, deriveShop, rederiveParts, type DerivedPart, type Snapshot } from './derive.ts';
import { loadShop, type ShopData } from './shopData.ts';

/** A derived snapshot is renewed after this long: the page itself moves the now-line in between. */
const RENEW_MS = 20_000;
/** Readings pour in; they make the air be read again at most this often. */
const AIR_MS = 5_000;
/** Older than this a snapshot is never served, not even while its successor is being derived. */
const TOO_OLD_MS = 90_000;

export interface Model {
  /** The workshop now, derived; null when no workshop has been imported. */
  snapshot(): Promise<Snapshot | null>;
  shop(): Promise<ShopData | null>;
  /** One part as it was at an instant, by today's knowledge. */
  partAt(partId: string, atMs: number): Promise<DerivedPart | null>;
  /** Drops what a message makes stale; called for own writes at once and for other processes' by NOTIFY. */
  invalidate(message: LiveMessage): void;
}

type Need =
  { readonly kind: 'all' } | { readonly kind: 'parts'; readonly partIds: ReadonlySet<string> } | null;

/**
 * Caches that can be dropped at any time: facts and readings in the database are the truth. Own writes are seen at once
 * (only the parts they touch are derived again); time and readings renew the whole in the background, in slices.
 */
export function createModel(db: Database, nowMs: () => number): Model {
  let shop: Promise<ShopData | null> | null = null;
  let air: { readonly atMs: number; readonly data: Promise<AirData> } | null = null;
  let airIsStale = false;
  let current: Snapshot | null = null;
  let need: Need = { kind: 'all' };
  let working: Promise<void> | null = null;
  /** What is being derived answers a write: until it is there, the snapshot from before it is not served to anyone. */
  let isAwaited = false;

  const shopNow = (): Promise<ShopData | null> => {
    if (!shop) {
      const loading = loadShop(db);
      shop = loading;
      loading.catch(() => {
        if (shop === loading) shop = null;
      });
    }
    return shop;
  };
  const airNow = (data: ShopData): Promise<AirData> => {
    const now = nowMs();
    if (!air || now - air.atMs > 60_000 || airIsStale) {
      const loading = loadAir(db, data.workshop.workshopId, data.places, now);
      const entry = { atMs: now, data: loading };
      air = entry;
      airIsStale = false;
      loading.catch(() => {
        if (air === entry) air = null;
      });
    }
    return air.data;
  };

  /** Brings `current` up to what was asked; whatever is asked meanwhile is taken up in the next round. */
  const work = async (): Promise<void> => {
    const doing = need;
    need = null;
    try {
      const data = await shopNow();
      if (!data) current = null;
      else if (doing?.kind === 'parts' && current)
        current = rederiveParts(current, data, await airNow(data), doing.partIds, nowMs());
      else current = await deriveShop(data, await airNow(data), nowMs());
    } catch (error) {
      need = doing;
      throw error;
    }
  };
  const start = (): Promise<void> => {
    working ??= work().finally(() => {
      working = null;
      isAwaited = false;
    });
    return working;
  };
  const due = (): boolean =>
    current === null ||
    nowMs() - current.nowMs > RENEW_MS ||
    (airIsStale && nowMs() - (air?.atMs ?? 0) > AIR_MS);

  return {
    shop: shopNow,
    async snapshot() {
      while (need !== null || isAwaited || current === null || nowMs() - current.nowMs > TOO_OLD_MS) {
        if (working) {
          await working;
          continue;
        }
        need ??= { kind: 'all' };
        isAwaited = true;
        await start();
        if (current === null) return null;
      }
      if (due() && !working) {
        need = { kind: 'all' };
        const background = start();
        background.catch(() => undefined);
      }
      return current;
    },
    async partAt(partId, atMs) {
      const data = await shopNow();
      return data && derivePartAt(data, await airNow(data), partId, atMs, current?.speeds ?? new Map());
    },
    invalidate(message) {
      if (message.topic === 'readings' || message.topic === 'forecast') {
        airIsStale = true;
        return;
      }
      if (message.topic === 'import') return;
      shop = null;
      if (message.topic !== 'facts' || !message.partIds) need = { kind: 'all' };
      else if (need?.kind !== 'all')
        need = { kind: 'parts', partIds: new Set([...(need?.partIds ?? []), ...message.partIds]) };
    },
  };
}
