import {
  derivation,
  derivePartAt,
  rederiveParts,
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
import { heard, type Heard } from './heard.ts';
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
  const told = heard();
  const shop = shopCache(db, told.readTo);
  const air = airCache(db, nowMs);
  let current: Snapshot | null = null;
  let need: Need = { kind: 'all' };
  let working: Promise<void> | null = null;
  /** Counts what was asked for by writes; `done` is how far `current` has come. Whoever asks after a write sees it. */
  let asked = 0;
  let done = -1;

  /** Brings `current` up to what was asked; whatever is asked meanwhile is taken up in the next round. */
  const work = async (): Promise<void> => {
    const [doing, upTo] = [need, asked];
    need = null;
    try {
      const data = await shop.now();
      if (!data) current = null;
      else if (doing?.kind === 'parts' && current)
        current = rederiveParts(current, data, await air.now(data), doing.partIds, nowMs());
      else current = await inTurns(derivation(data, await air.now(data), nowMs()));
      done = upTo;
    } catch (error) {
      need = bothNeeds(doing, need);
      throw error;
    }
  };
  const start = (): Promise<void> => (working ??= work().finally(() => (working = null)));
  /** How old `current` is; a clock that was set back makes it old too. */
  const ageMs = (): number => (current === null ? Infinity : Math.abs(nowMs() - current.nowMs));

  return {
    told,
    shop: () => shop.now(),
    /** The newest finished one that holds every write from before this call: writers that go on do not hold it up. */
    async snapshot() {
      const wanted = asked;
      while (done < wanted || ageMs() > TOO_OLD_MS) {
        if (!working) need ??= { kind: 'all' };
        await start();
        if (current === null && done >= wanted) return null;
      }
      if ((ageMs() > RENEW_MS || air.isDue()) && !working) {
        need = { kind: 'all' };
        start().catch(() => undefined);
      }
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
      const speeds = current?.speeds ?? new Map();
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
        asked += 1;
        need = bothNeeds(need, needOf(shop.stale()));
      } else if (message.topic === 'readings' || message.topic === 'forecast') {
        air.makeStale(message.isByHand === true);
        if (message.isByHand) {
          asked += 1;
          need = { kind: 'all' };
        }
      }
    },
  };
}

/** What is to be derived again once the shop's stale parts are read. */
const needOf = (stale: Stale): Need =>
  stale.all ? { kind: 'all' } : { kind: 'parts', partIds: stale.partIds };

function bothNeeds(a: Need, b: Need): Need {
  if (a === null || b === null) return a ?? b;
  if (a.kind === 'all' || b.kind === 'all') return { kind: 'all' };
  return { kind: 'parts', partIds: new Set([...a.partIds, ...b.partIds]) };
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
