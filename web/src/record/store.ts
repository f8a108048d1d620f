import { openDB, type DBSchema, type IDBPDatabase, type IDBPTransaction } from 'idb';
import type { ErrorBody, FactInput, StockFactInput } from '@calvetta/contract';
import { factWrite, stockWrite, type Write } from './write.ts';

/** A write that is not known to be stored yet. */
export interface Waiting {
  readonly write: Write;
  readonly queuedMs: number;
  /** What the server said when it came back to it: it is not sent again, and stays until a person has seen it. */
  readonly refused?: { readonly status: number; readonly body: ErrorBody };
}

/** Where writes wait: on this device, so that a closed page or an empty battery loses none. */
export interface Store {
  all(): Promise<Waiting[]>;
  put(waiting: Waiting): Promise<void>;
  drop(id: string): Promise<void>;
}

interface OutboxDb extends DBSchema {
  writes: { key: string; value: { id: string } & Waiting };
  /** Before version 2: facts only. */
  waiting: { key: string; value: { factId: string; fact: FactInput | StockFactInput; queuedMs: number } };
}

export function deviceStore(): Store {
  let db: Promise<IDBPDatabase<OutboxDb>> | null = null;
  const open = (): Promise<IDBPDatabase<OutboxDb>> =>
    (db ??= new Promise((done, fail) => {
      openDB<OutboxDb>('calvetta-outbox', 2, {
        upgrade: (d, from, _to, tx) => void upgraded(d, from, tx),
        // A page of before stands open and holds the store: nobody waits for it to be closed.
        blocked: () => fail(new Error('an older page holds the store')),
        // And this page lets go when a newer one comes.
        blocking: (_now, _next, event) => (event.target as IDBDatabase).close(),
      }).then(done, fail);
    }));
  return {
    all: async () => (await open()).getAll('writes'),
    put: async (w) => {
      await (await open()).put('writes', { id: w.write.id, ...w });
    },
    drop: async (id) => (await open()).delete('writes', id),
  };
}

/** What waited in the shape before keeps waiting. */
async function upgraded(
  d: IDBPDatabase<OutboxDb>,
  from: number,
  tx: IDBPTransaction<OutboxDb, ('writes' | 'waiting')[], 'versionchange'>,
): Promise<void> {
  const writes = d.createObjectStore('writes', { keyPath: 'id' });
  if (from === 0) return;
  for (const { fact, queuedMs } of await tx.objectStore('waiting').getAll()) {
    const write = 'partId' in fact ? factWrite(fact) : stockWrite(fact);
    await writes.put({ id: write.id, write, queuedMs });
  }
  d.deleteObjectStore('waiting');
}

/** For a browser that keeps nothing, as some private windows do, and for tests. */
export function memoryStore(): Store {
  const held = new Map<string, Waiting>();
  return {
    all: () => Promise.resolve([...held.values()]),
    put: (w) => {
      held.set(w.write.id, w);
      return Promise.resolve();
    },
    drop: (id) => {
      held.delete(id);
      return Promise.resolve();
    },
  };
}
