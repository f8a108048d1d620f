import {
  derivePartAt,
  shopRecordOf,
  type DerivedPart,
  type Fact,
  type ShopState,
  type Snapshot,
  type SnapshotSource,
} from '@calvetta/core';
import type { LiveMessage } from '@calvetta/contract';
import type { Database } from '../db/db.ts';
import { airCache } from './airCache.ts';
import { derivedStates } from './derivedStates.ts';
import { heard, type Heard } from './heard.ts';
import { shopCache } from './shopCache.ts';
import { needOf, staleOf } from './stale.ts';

/** A derived snapshot is renewed after this long: the page itself moves the now-line in between. */
const RENEW_MS = 20_000;

export interface Model {
  /** The workshop now, derived; null when no workshop has been imported. */
  snapshot(): Promise<Snapshot | null>;
  /** How far the first derivation after a start is, in parts; null: there is a snapshot. */
  progress(): { readonly done: number; readonly of: number } | null;
  shop(): Promise<ShopState | null>;
  /** What the snapshot is derived from, for whoever derives it elsewhere. */
  source(): Promise<SnapshotSource | null>;
  /** Parts at other instants, by today's air and sheets; null without a workshop. Asked for before a transaction, it needs no connection in it. */
  partsThen(): Promise<PartsThen | null>;
  /** Which entries of the ledger this process knows to be stored. */
  readonly told: Heard;
  /** Drops what a message makes stale; called for own writes at once and for other processes' by NOTIFY. */
  invalidate(message: LiveMessage): void;
}

export interface PartsThen {
  readonly shop: ShopState;
  /** A part at an instant as these facts of its own have it; null: no such part. */
  partAt(partId: string, facts: readonly Fact[], atMs: number): DerivedPart | null;
}

/**
 * Caches that can be dropped at any time: facts and readings in the database are the truth. Two things make `current` newer, and they
 * do not wait for each other: what a write touched is derived again at once, and the whole is renewed in the background, in slices. A
 * renewal that ends takes up what was written since it began.
 */
export function createModel(db: Database, nowMs: () => number): Model {
  const told = heard();
  const shop = shopCache(db, told.readTo);
  const air = airCache(db, nowMs);
  const states = derivedStates({ shop: () => shop.now(), air: (of) => air.now(of), nowMs });

  return {
    told,
    shop: () => shop.now(),
    progress: () => states.progress(),
    async snapshot() {
      const current = await states.newest();
      if (current && (states.ageMs() > RENEW_MS || air.isDue())) states.renewSoon();
      return current;
    },
    async source() {
      const data = await shop.now();
      return data && { shop: shopRecordOf(data), air: await air.now(data), nowMs: nowMs() };
    },
    async partsThen() {
      const data = await shop.now();
      if (!data) return null;
      const series = await air.now(data);
      const speeds = states.speeds();
      return {
        shop: data,
        partAt: (partId, facts, atMs) => derivePartAt(data, series, partId, facts, atMs, speeds),
      };
    },
    invalidate(message) {
      if (message.seq !== undefined) told.add(message.seq);
      const what = staleOf(message);
      if (what) {
        shop.makeStale(what);
        states.ask(needOf(what));
      } else if (message.topic === 'readings' || message.topic === 'forecast') {
        air.makeStale({ isByHand: message.isByHand === true, isPast: message.isPast === true });
        if (message.isPast) states.ask({ kind: 'all' });
        else if (message.isByHand) states.ask(states.standingIn(message.placeIds));
      }
    },
  };
}
