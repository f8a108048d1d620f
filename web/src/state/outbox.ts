import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { create } from 'zustand';
import type { ErrorBody, FactInput, StockFactInput } from '@calvetta/contract';
import { ApiError, sendFacts, sendStock } from '../api/client.ts';

/** An entry of either kind: about a part, or about the shelf. */
export type Entry = FactInput | StockFactInput;
const send = (entry: Entry): Promise<unknown> =>
  'partId' in entry ? sendFacts([entry]) : sendStock([entry]);

/** Facts that could not be sent yet wait here under their own UUIDs; sending one twice stores it once. */
interface OutboxDb extends DBSchema {
  waiting: { key: string; value: { factId: string; fact: Entry; queuedMs: number } };
}

interface Outbox {
  readonly waiting: readonly Entry[];
  /** A waiting fact that the server refused when it came back: shown, never dropped in silence. */
  readonly refused: { readonly fact: Entry; readonly error: ErrorBody } | null;
  setWaiting: (waiting: readonly Entry[]) => void;
  setRefused: (refused: Outbox['refused']) => void;
}
export const useOutbox = create<Outbox>()((set) => ({
  waiting: [],
  refused: null,
  setWaiting: (waiting) => set({ waiting }),
  setRefused: (refused) => set({ refused }),
}));

let db: Promise<IDBPDatabase<OutboxDb>> | null = null;
function open(): Promise<IDBPDatabase<OutboxDb>> {
  db ??= openDB<OutboxDb>('calvetta-outbox', 1, {
    upgrade: (d) => void d.createObjectStore('waiting', { keyPath: 'factId' }),
  });
  return db;
}

async function refresh(): Promise<void> {
  const all = await (await open()).getAll('waiting');
  useOutbox.getState().setWaiting(all.sort((a, b) => a.queuedMs - b.queuedMs).map((w) => w.fact));
}

/** Away, not refused: worth sending again. */
export function isAway(error: unknown): boolean {
  return (
    !(error instanceof ApiError) ||
    error.body.code === 'database-away' ||
    error.body.code === 'rate-limited' ||
    error.status >= 502
  );
}

/** Sends a fact, or keeps it here and says so. True when the server has it. */
export async function sendOrKeep(fact: Entry): Promise<boolean> {
  try {
    await send(fact);
    return true;
  } catch (error) {
    if (!isAway(error)) throw error;
    await (await open()).put('waiting', { factId: fact.factId, fact, queuedMs: Date.now() });
    await refresh();
    return false;
  }
}

let flushing = false;
/** Sends what waits, oldest first; stops at the first that still cannot go. Returns how many went. */
export async function flushOutbox(): Promise<number> {
  if (flushing) return 0;
  flushing = true;
  let sent = 0;
  try {
    await refresh();
    for (const fact of useOutbox.getState().waiting) {
      try {
        await send(fact);
        sent += 1;
      } catch (error) {
        if (isAway(error)) break;
        useOutbox.getState().setRefused({ fact, error: (error as ApiError).body });
      }
      await (await open()).delete('waiting', fact.factId);
    }
    await refresh();
  } finally {
    flushing = false;
  }
  return sent;
}
