import {
  derivation,
  derivePartAt,
  rederiveParts,
  shopRecordOf,
  type DerivedPart,
  type ShopState,
  type Snapshot,
  type SnapshotSource,
} from '@calvetta/core';
import type { LiveMessage } from '@calvetta/contract';
import type { Database } from '../db/db.ts';
import { airCache } from './airCache.ts';
import { ALL_STALE, NOTHING_STALE, type Stale } from './loadShop.ts';
import { shopCache } from './shopCache.ts';

/** A derived snapshot is renewed after this long: the page itself moves the now-line in between. */
const RENEW_MS = 20_000;
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

/** What a message makes stale of the shop; null when it is about something else. */
function staleOf(message: LiveMessage): Stale | null {
  switch (message.topic) {
    case 'readings':
    case 'forecast':
    case 'import':
      return null;
    case 'stock':
      return { ...NOTHING_STALE, stock: true };
    case 'facts':
    case 'parts':
      return message.partIds
        ? { ...NOTHING_STALE, partIds: new Set(message.partIds), rows: message.topic === 'parts' }
        : ALL_STALE;
    case 'entities':
      return ALL_STALE;
  }
}

/**
 * Caches that can be dropped at any time: facts and readings in the database are the truth. Own writes are seen at once
 * (only the parts they touch are derived again); time and readings renew the whole in the background, in slices.
 */
export function createModel(db: Database, nowMs: () => number): Model {
  const shop = shopCache(db);
  const air = airCache(db, nowMs);
  let current: Snapshot | null = null;
  let need: Need = { kind: 'all' };
  let working: Promise<void> | null = null;
  /** What is being derived answers a write: until it is there, the snapshot from before it is not served to anyone. */
  let isAwaited = false;

  /** Brings `current` up to what was asked; whatever is asked meanwhile is taken up in the next round. */
  const work = async (): Promise<void> => {
    const doing = need;
    need = null;
    try {
      const data = await shop.now();
      if (!data) current = null;
      else if (doing?.kind === 'parts' && current)
        current = rederiveParts(current, data, await air.now(data), doing.partIds, nowMs());
      else current = await inTurns(derivation(data, await air.now(data), nowMs()));
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
  const mustWait = (): boolean =>
    need !== null || isAwaited || current === null || nowMs() - current.nowMs > TOO_OLD_MS;
  const isDue = (): boolean => current === null || nowMs() - current.nowMs > RENEW_MS || air.isDue();

  return {
    shop: () => shop.now(),
    async snapshot() {
      while (mustWait()) {
        if (working) {
          await working;
          continue;
        }
        need ??= { kind: 'all' };
        isAwaited = true;
        await start();
        if (current === null) return null;
      }
      if (isDue() && !working) {
        need = { kind: 'all' };
        start().catch(() => undefined);
      }
      return current;
    },
    async source() {
      const data = await shop.now();
      return data && { shop: shopRecordOf(data), air: await air.now(data), nowMs: nowMs() };
    },
    async partAt(partId, atMs) {
      const data = await shop.now();
      return data && derivePartAt(data, await air.now(data), partId, atMs, current?.speeds ?? new Map());
    },
    invalidate(message) {
      const what = staleOf(message);
      if (what) {
        shop.makeStale(what);
        need = needAfter(need, shop.stale());
      } else if (message.topic === 'readings' || message.topic === 'forecast') {
        air.makeStale(message.isByHand === true);
        if (message.isByHand) need = { kind: 'all' };
      }
    },
  };
}

/** What is to be derived again once the shop's stale parts are read. */
function needAfter(need: Need, stale: Stale): Need {
  if (stale.all || need?.kind === 'all') return { kind: 'all' };
  return { kind: 'parts', partIds: new Set([...(need?.partIds ?? []), ...stale.partIds]) };
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
