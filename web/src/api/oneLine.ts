import type { LiveMessage } from '@calvetta/contract';
import { newId } from '../ui/newId.ts';

/** What the line says: a change, or that the line is up (again) and something may have been missed. */
export type Heard = LiveMessage | { readonly topic: 'opened' };

const NAME = 'calvetta-line';
/** Who has the line says so this often, and the others look whether he still does. */
const LOOK_MS = 2_000;
/** Silent for so long: asleep or gone, and another page takes it. */
const LEASE_MS = 6_000;

interface Lease {
  readonly page: string;
  readonly untilMs: number;
}

/** Null: nobody has it, or this browser keeps nothing. */
function readLease(): Lease | null {
  try {
    const held = JSON.parse(localStorage.getItem(NAME) ?? 'null') as Partial<Lease> | null;
    return typeof held?.page === 'string' && typeof held.untilMs === 'number' ? (held as Lease) : null;
  } catch {
    return null;
  }
}
function writeLease(lease: Lease): void {
  try {
    localStorage.setItem(NAME, JSON.stringify(lease));
  } catch {
    // A browser that keeps nothing: every page has its own line.
  }
}

/**
 * One line to the server for all pages of a browser: a browser opens six connections to one server, and lines of their own would
 * take them all. One page has the line, by a lease kept in the browser, and tells the others. Locks and shared workers would do it
 * too, but not over plain HTTP, which is what a tablet in a workshop has. Two that take it at once both have a line for one look;
 * hearing twice does no harm. Returns how to leave.
 */
export function oneLine(heard: (said: Heard) => void): () => void {
  const page = newId();
  const others = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(NAME);
  let source: EventSource | null = null;

  const tell = (said: Heard): void => {
    others?.postMessage(said);
    heard(said);
  };
  const take = (): void => {
    if (source) return;
    source = new EventSource('/api/live');
    source.onmessage = (event: MessageEvent<string>) => tell(JSON.parse(event.data) as LiveMessage);
    source.onopen = () => tell({ topic: 'opened' });
  };
  const drop = (): void => {
    source?.close();
    source = null;
  };
  const look = (): void => {
    const held = readLease();
    const leftMs = (held?.untilMs ?? 0) - Date.now();
    // More than a whole lease is left: the clock was set back.
    if (others && held && held.page !== page && leftMs > 0 && leftMs <= LEASE_MS) {
      drop();
      return;
    }
    writeLease({ page, untilMs: Date.now() + LEASE_MS });
    take();
  };
  const leave = (): void => {
    drop();
    if (readLease()?.page !== page) return;
    writeLease({ page, untilMs: 0 });
    others?.postMessage('free');
  };

  others?.addEventListener('message', ({ data }: MessageEvent<Heard | 'free'>) =>
    data === 'free' ? look() : heard(data),
  );
  look();
  const timer = setInterval(look, LOOK_MS);
  addEventListener('pagehide', leave);
  addEventListener('pageshow', look);
  return () => {
    clearInterval(timer);
    removeEventListener('pagehide', leave);
    removeEventListener('pageshow', look);
    leave();
    others?.close();
  };
}
