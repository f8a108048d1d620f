import type { Logger } from 'pino';
import type { Database } from './db/db.ts';
import type { Door } from './door/door.ts';
import type { Heads } from './ledger/heads.ts';
import type { LiveHub } from './live/live.ts';
import type { Model } from './model/model.ts';

/** Everything a route needs from outside; built in main.ts and in tests only. */
export interface Deps {
  readonly db: Database;
  readonly log: Logger;
  readonly live: LiveHub;
  readonly model: Model;
  readonly door: Door;
  readonly heads: Heads;
  /** The wall clock, passed in so that tests can hold it. */
  readonly nowMs: () => number;
  readonly newId: () => string;
  /** Where a proxy shows this server, such as https://shed.example; null: by its own address only. */
  readonly publicOrigin: string | null;
  /** Room left on the database's disk, bytes; null where that is another machine's. */
  readonly freeBytes: () => Promise<number | null>;
  /** The scenario that ships, to look round in. */
  readonly demoFile: string;
  /** Tells this process's own announcements from others'. */
  readonly processId: string;
}
