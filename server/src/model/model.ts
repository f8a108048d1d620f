import {
  derivation,
  derivePartAt,
  rederiveParts,
  shopRecordOf,
  shopStateOf,
  type AirData,
  type DerivedPart,
  type ShopState,
  type Snapshot,
  type SnapshotSource,
} from '@calvetta/core';
import type { LiveMessage } from '@calvetta/contract';
import type { Database } from '../db/db.ts';
import { loadAir } from './loadAir.ts';
import { ALL_STALE, bothStale, isStale, loadShop, NOTHING_STALE, reloadShop } from './loadShop.ts';

/** A derived snapshot is renewed after this long: the page itself moves the now-line in between. */
const RENEW_MS = 20_000;
/** Readings pour in; they make the air be read again at most this often. */
const AIR_MS = 5_000;
/** Older than this a snapshot is never served, not even while its successor is being derived. */
const TOO_OLD_MS = 90_000;

export interface Model {
  /** The workshop now, derived; null when no workshop has been imported. */
  snapshot(): Promise<Snapshot | null>;
  shop(): Promise<ShopState | null>;
  /** What the snapshot is derived from, for whoever derives it elsewhere. */
  source(): Promise<SnapshotSource | null>;
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
  let shop: ShopState | null = null;
  let stale = ALL_STALE;
  let reading: Promise<void> | null = null;
  let air: { readonly atMs: number; readonly data: Promise<AirData> } | null = null;
  let airIsStale = false;
  let current: Snapshot | null = null;
  let need: Need = { kind: 'all' };
  let working: Promise<void> | null = null;
  /** What is being derived answers a write: until it is there, the snapshot from before it is not served to anyone. */
  let isAwaited = false;

  const read = async (): Promise<void> => {
    const doing = stale;
    stale = NOTHING_STALE;
    try {
      if (doing.all || !shop) {
        const record = await loadShop(db);
        shop = record && shopStateOf(record);
      } else shop = await reloadShop(db, shop, doing);
    } catch (error) {
      stale = bothStale(doing, stale);
      throw error;
    }
  };
  const shopNow = async (): Promise<ShopState | null> => {
    while (reading || isStale(stale)) {
      reading ??= read().finally(() => (reading = null));
      await reading;
    }
    return shop;
  };
  const airNow = (data: ShopState): Promise<AirData> => {
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
      else current = await inTurns(derivation(data, await airNow(data), nowMs()));
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
    async source() {
      const data = await shopNow();
      return data && { shop: shopRecordOf(data), air: await airNow(data), nowMs: nowMs() };
    },
    async partAt(partId, atMs) {
      const data = await shopNow();
      return data && derivePartAt(data, await airNow(data), partId, atMs, current?.speeds ?? new Map());
    },
    invalidate(message) {
      if (message.topic === 'readings' || message.topic === 'forecast') {
        airIsStale = true;
        if (message.isByHand) {
          air = null;
          need = { kind: 'all' };
        }
        return;
      }
      if (message.topic === 'import') return;
      if (message.topic === 'stock') stale = bothStale(stale, { ...NOTHING_STALE, stock: true });
      else if ((message.topic === 'facts' || message.topic === 'parts') && message.partIds)
        stale = bothStale(stale, {
          ...NOTHING_STALE,
          partIds: new Set(message.partIds),
          rows: message.topic === 'parts',
        });
      else stale = ALL_STALE;
      if (stale.all) need = { kind: 'all' };
      else if (need?.kind !== 'all')
        need = { kind: 'parts', partIds: new Set([...(need?.partIds ?? []), ...stale.partIds]) };
    },
  };
}

/** Longest slice of work before other requests get their turn. */
const SLICE_MS = 12;
const turn = (): Promise<void> => new Promise((done) => setImmediate(done));

/** Drives a derivation in slices, so that the server keeps answering. */
async function inTurns(steps: Generator<void, Snapshot>): Promise<Snapshot> {
  let sliceStart = performance.now();
  for (;;) {
    const next = steps.next();
    if (next.done) return next.value;
    if (performance.now() - sliceStart < SLICE_MS) continue;
    await turn();
    sliceStart = performance.now();
  }
}
