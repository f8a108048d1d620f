import { derivation, rederivation, type ShopState, type Snapshot, type SnapshotSource } from '@calvetta/core';
import { inTurns } from './inTurns.ts';
import { bothNeeds, type Need } from './stale.ts';

/** Older than this a snapshot is never served, not even while its successor is being derived. */
const TOO_OLD_MS = 90_000;

interface Sources {
  readonly shop: () => Promise<ShopState | null>;
  readonly air: (shop: ShopState) => Promise<SnapshotSource['air']>;
  readonly nowMs: () => number;
}

/** Counts the parts of a derivation. */
function counter() {
  let at = { done: 0, of: 0 };
  return {
    begin: (of: number): void => void (at = { done: 0, of }),
    step: (done: number): void => void (at = { ...at, done }),
    now: () => at,
  };
}

/** The derived snapshot, kept as new as what was asked of it. */
export function derivedStates(from: Sources) {
  let current: Snapshot | null = null;
  /** When the oldest of it was derived. */
  let wholeMs = -Infinity;
  let need: Need = { kind: 'all' };
  let working: Promise<void> | null = null;
  let renewing: Promise<void> | null = null;
  /** Parts derived from what was written since the running renewal began: it does not know of them. */
  let since: Need = null;
  /** Counts what was asked for by writes; `done` is how far `current` has come. Whoever asks after a write sees it. */
  let asked = 0;
  const count = counter();
  let done = -1;

  const whole = async (before: Snapshot | null): Promise<Snapshot | null> => {
    since = null;
    const data = await from.shop();
    if (!data) return null;
    count.begin(data.parts.length);
    const air = await from.air(data);
    return inTurns(derivation(data, air, from.nowMs(), before), count.step);
  };
  const parts = async (before: Snapshot, partIds: ReadonlySet<string>): Promise<Snapshot | null> => {
    const data = await from.shop();
    return data && (await inTurns(rederivation(before, data, await from.air(data), partIds, from.nowMs())));
  };

  /** Everything again; what is written meanwhile goes its own way. Not waited for, but where nothing else will do. */
  const renew = async (before: Snapshot | null): Promise<void> => {
    let next = await whole(before);
    // What was derived meanwhile is newer than what this began with.
    while (next && since !== null) {
      const missed = since;
      since = null;
      next = missed.kind === 'all' ? await whole(null) : await parts(next, missed.partIds);
    }
    current = next;
    wholeMs = next?.nowMs ?? -Infinity;
  };
  const startRenewal = (before: Snapshot | null): Promise<void> =>
    (renewing ??= renew(before).finally(() => (renewing = null)));

  /** Brings `current` up to what was asked; whatever is asked meanwhile is taken up in the next round. */
  const work = async (): Promise<void> => {
    const [doing, upTo] = [need, asked];
    need = null;
    try {
      if (doing?.kind === 'parts' && current) {
        for (let before: Snapshot | null = null; current !== before;) {
          before = current;
          const next: Snapshot | null = before && (await parts(before, doing.partIds));
          // A renewal that ended while this ran is the newer one: these go on top of it.
          if (current === before) before = current = next;
        }
        // One that still runs does not know of them.
        since = bothNeeds(since, doing);
      } else {
        // One that runs already may have read the shop before.
        await renewing;
        await startRenewal(null);
      }
      done = upTo;
    } catch (error) {
      need = bothNeeds(doing, need);
      throw error;
    }
  };
  const start = (): Promise<void> => (working ??= work().finally(() => (working = null)));
  /** How old the oldest of `current` is; a clock that was set back makes it old too. */
  const ageMs = (): number => (current === null ? Infinity : Math.abs(from.nowMs() - wholeMs));

  return {
    ageMs,
    /** How far the first derivation is; null: there is a snapshot. `of` 0: the record is still being read. */
    progress: () => (current === null ? count.now() : null),
    speeds: (): Snapshot['speeds'] => current?.speeds ?? new Map(),
    /** The newest finished one that holds every write from before this call: neither writers that go on nor a renewal hold it up. */
    async newest(): Promise<Snapshot | null> {
      const wanted = asked;
      while (done < wanted || ageMs() > TOO_OLD_MS) {
        if (!working && (done >= wanted || need === null)) need = { kind: 'all' };
        await start();
        if (current === null && done >= wanted) return null;
      }
      return current;
    },
    renewSoon(): void {
      if (!working) startRenewal(current).catch(() => undefined);
    },
    ask(what: Need): void {
      asked += 1;
      need = bothNeeds(need, what);
    },
    /** The parts that stand in these places; all, where that is not known. */
    standingIn: (placeIds: readonly string[] | undefined): Need => standingIn(current, placeIds),
  };
}

function standingIn(current: Snapshot | null, placeIds: readonly string[] | undefined): Need {
  if (!placeIds || !current) return { kind: 'all' };
  const there = [...current.parts.values()].filter((p) => p.placeId !== null && placeIds.includes(p.placeId));
  return { kind: 'parts', partIds: new Set(there.map((p) => p.row.partId)) };
}
