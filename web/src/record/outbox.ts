import { create } from 'zustand';
import { Refused, send } from '../api/client.ts';
import { deviceStore, memoryStore, type Store, type Waiting } from './store.ts';
import type { Write } from './write.ts';

interface Outbox {
  readonly waiting: readonly Write[];
  /** Writes that had waited and were refused: kept on the device, over reloads, until a person has seen each. */
  readonly refused: readonly { readonly write: Write; readonly error: Refused }[];
}
export const useOutbox = create<Outbox>()(() => ({ waiting: [], refused: [] }));

/** What became of a write. */
export type Outcome = { readonly kind: 'stored'; readonly answer: unknown } | { readonly kind: 'waits' };

interface Asker {
  readonly done: (outcome: Outcome) => void;
  readonly fail: (error: unknown) => void;
}

/**
 * Every write of this page: written down here first, then sent, oldest first; dropped when the server has it or says no. What
 * cannot go now waits and is sent again by itself. `sendOne` sends over the wire.
 */
export class Sender {
  private readonly asking = new Map<string, Asker>();
  private running: Promise<number> | null = null;
  private store: Store;
  private readonly sendOne: (write: Write) => Promise<unknown>;

  constructor(store: Store, sendOne: (write: Write) => Promise<unknown>) {
    this.store = store;
    this.sendOne = sendOne;
  }

  /** Resolves when it is stored or when it waits; throws `Refused` when the server says no. */
  async record(write: Write): Promise<Outcome> {
    const waiting: Waiting = { write, queuedMs: Date.now() };
    try {
      await this.store.put(waiting);
    } catch {
      // This browser keeps nothing: the page itself must.
      const held = await this.store.all().catch(() => []);
      this.store = memoryStore();
      for (const w of [...held, waiting]) await this.store.put(w);
    }
    const outcome = new Promise<Outcome>((done, fail) => this.asking.set(write.id, { done, fail }));
    // What was put down while a round ran is taken up by the next one.
    void (this.running ?? Promise.resolve(0)).then(() => (this.asking.has(write.id) ? this.flush() : 0));
    return outcome;
  }

  /** Sends what waits, oldest first; stops at the first that cannot go. Returns how many are stored now. */
  flush(): Promise<number> {
    this.running ??= alone(() => this.round()).finally(() => (this.running = null));
    return this.running;
  }

  private async round(): Promise<number> {
    let stored = 0;
    let isAway = false;
    for (const waiting of await this.list()) {
      const { write } = waiting;
      const asker = this.asking.get(write.id);
      try {
        const answer = await this.sendOne(write);
        stored += 1;
        asker?.done({ kind: 'stored', answer });
      } catch (error) {
        // Only a clear no ends a wait: away, or anything that went wrong here, keeps it.
        if (!(error instanceof Refused)) {
          isAway = true;
          break;
        }
        // A fault of the server's own is no clear no: what had waited goes on waiting, and lets the others past.
        if (error.status >= 500 && !asker) continue;
        if (isThereAlready(write, error)) {
          stored += 1;
          asker?.done({ kind: 'stored', answer: null });
        } else if (asker) asker.fail(error);
        else {
          const { status, body } = error;
          await this.store.put({ ...waiting, refused: { status, body } }).catch(() => undefined);
          continue;
        }
      }
      this.asking.delete(write.id);
      await this.store.drop(write.id).catch(() => undefined);
    }
    const left = await this.list();
    // What came while this round ran has not been tried: the next one does.
    for (const { write } of isAway ? left : []) {
      this.asking.get(write.id)?.done({ kind: 'waits' });
      this.asking.delete(write.id);
    }
    return stored;
  }

  /** A person has seen that it was refused. */
  async seen(id: string): Promise<void> {
    await this.store.drop(id).catch(() => undefined);
    await this.list();
  }

  private async list(): Promise<Waiting[]> {
    const all = (await this.store.all().catch(() => [])).sort((a, b) => a.queuedMs - b.queuedMs);
    const waiting = all.filter((w) => w.refused === undefined);
    useOutbox.setState({
      waiting: waiting.map((w) => w.write),
      refused: all.flatMap(({ write, refused }) =>
        refused ? [{ write, error: new Refused(refused.status, refused.body) }] : [],
      ),
    });
    return waiting;
  }
}

/** Two tabs share what waits: one at a time sends it. */
function alone<T>(work: () => Promise<T>): Promise<T> {
  return typeof navigator === 'undefined' || !('locks' in navigator)
    ? work()
    : navigator.locks.request('calvetta-outbox', work);
}

/** A lost answer to the first try makes the second look like a conflict: what it asks for is there already. */
function isThereAlready(write: Write, { body: error }: Refused): boolean {
  if (write.method === 'DELETE' && error.code === 'not-found') return true;
  if (error.code !== 'version-conflict') return false;
  const stored = error.details.stored as Readonly<Record<string, unknown>> | undefined;
  // What has a record is put away in place of being deleted.
  if (write.method === 'DELETE') return stored?.['isAway'] === true;
  if (write.method !== 'PATCH') return false;
  const asked = Object.entries(write.body as object).filter(([k]) => k !== 'version');
  return (
    stored !== undefined &&
    asked.every(([k, v]) => k in stored && JSON.stringify(stored[k]) === JSON.stringify(v))
  );
}

const sender = new Sender(typeof indexedDB === 'undefined' ? memoryStore() : deviceStore(), send);
export const record = (write: Write): Promise<Outcome> => sender.record(write);
export const seenRefusal = (id: string): Promise<void> => sender.seen(id);
export const flushOutbox = (): Promise<number> => sender.flush();
