import type { Response } from 'express';
import pg from 'pg';
import type { Logger } from 'pino';
import type { LiveMessage } from '@calvetta/contract';
import type { Db } from '../db/db.ts';

const CHANNEL = 'calvetta_live';
/** Unread bytes of one page. */
const MOST_UNREAD = 1_000_000;
/** A comment on the line: from here on nothing that another process writes is missed. */
const HEARING = ': hears the database\n\n';

/** Tells every server process, and through them every page, what changed. NOTIFY is sent when the transaction commits. */
export async function announce(db: Db, from: string, message: LiveMessage): Promise<void> {
  // A NOTIFY payload holds 8 000 bytes: a long list of parts is sent as "all".
  const text = JSON.stringify({ from, message } satisfies Said);
  await db.query('select pg_notify($1, $2)', [
    CHANNEL,
    text.length < 7500 ? text : JSON.stringify({ from, message: { topic: message.topic } } satisfies Said),
  ]);
}
interface Said {
  /** The process that wrote; null: whatever was missed while the line was down. */
  readonly from: string | null;
  readonly message: LiveMessage;
}

export interface LiveHub {
  /** The database is heard for the first time: what was read before may miss what others wrote, and is read again. */
  readonly heard: Promise<void>;
  /** Adds a page; it is removed when its connection ends, or with the session it hangs on. */
  attach(res: Response, sidSha256: string | null): void;
  /** `from` is the process that wrote: its own caches know already. */
  onMessage(listener: (message: LiveMessage, from: string | null) => void): void;
  stop(): Promise<void>;
}

/** Listens on the database and fans out to pages by SSE; reconnects by itself when the database was away. */
export function startLive(url: string, log: Logger): LiveHub {
  /** Each with the session it hangs on; null: none. */
  const pages = new Map<Response, string | null>();
  const listeners = new Set<(m: LiveMessage, from: string | null) => void>();
  let client: pg.Client | null = null;
  let stopped = false;
  let timer: NodeJS.Timeout | undefined;
  let hear = (): void => undefined;
  const heard = new Promise<void>((done) => (hear = done));

  const send = (text: string): void => {
    for (const page of pages.keys()) {
      // A page that stopped reading is let go before it fills the memory; it opens its line again by itself.
      if (page.writableLength > MOST_UNREAD) page.destroy();
      else page.write(text);
    }
  };
  const deliver = ({ message, from }: Said): void => {
    for (const listener of listeners) listener(message, from);
    const { ends, ...told } = message;
    if (message.topic === 'door') end(ends);
    send(`data: ${JSON.stringify(told)}\n\n`);
  };
  /** Lines of sessions that are over; where there were too many to name, every line, and who may opens it again. */
  const end = (sessions: readonly string[] | undefined): void => {
    for (const [page, session] of pages)
      if (session !== null && (sessions === undefined || sessions.includes(session))) {
        pages.delete(page);
        // Its page asks who it is, and is told: nobody.
        page.end(`data: ${JSON.stringify({ topic: 'door' })}\n\n`);
      }
  };
  const retry = (): void => {
    client = null;
    if (!stopped) timer = setTimeout(() => void connect(), 1000);
  };
  const connect = async (): Promise<void> => {
    const next = new pg.Client({ connectionString: url, connectionTimeoutMillis: 3000 });
    next.on('error', () => undefined);
    next.on('end', retry);
    next.on('notification', (n) => n.payload !== undefined && deliver(JSON.parse(n.payload) as Said));
    try {
      await next.connect();
      await next.query(`listen ${CHANNEL}`);
      client = next;
      send(HEARING);
      // Whatever was missed while away: pages and caches read again.
      deliver({ from: null, message: { topic: 'entities' } });
      deliver({ from: null, message: { topic: 'readings', isPast: true } });
      hear();
    } catch {
      log.warn('live updates wait for the database');
      next.removeListener('end', retry);
      await next.end().catch(() => undefined);
      retry();
    }
  };
  void connect();
  const beat = setInterval(() => send(': beat\n\n'), 20_000);

  return {
    heard,
    attach(res, sidSha256) {
      res.writeHead(200, {
        'Content-Type': 'text/event-stream',
        'Cache-Control': 'no-cache, no-transform',
        Connection: 'keep-alive',
      });
      res.write('retry: 1500\n\n');
      if (client) res.write(HEARING);
      pages.set(res, sidSha256);
      res.on('close', () => pages.delete(res));
    },
    onMessage: (listener) => void listeners.add(listener),
    async stop() {
      stopped = true;
      clearInterval(beat);
      clearTimeout(timer);
      for (const page of pages.keys()) page.end();
      await client?.end().catch(() => undefined);
    },
  };
}
