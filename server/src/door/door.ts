import type { Db } from '../db/db.ts';
import type { Secrets } from './secrets.ts';
import { Tries } from './tries.ts';

/** What the server knows of its door. */
export interface Door {
  readonly secrets: Secrets;
  /** It speaks TLS itself, or a proxy that it was told of does. */
  readonly isEncrypted: boolean;
  /** What Express is told of proxies before it; null: what they say is not believed. */
  readonly trustProxy: string | null;
  readonly tries: Tries;
  /** Whether anybody has to sign in. */
  hasOwner(): Promise<boolean>;
  /** Something about it has changed. */
  forget(): void;
}

export const HAS_OWNER = `select 1 from account where role = 'owner' and admitted_at is not null and ended_at is null limit 1`;

export function createDoor(
  db: Db,
  given: Pick<Door, 'secrets' | 'isEncrypted' | 'trustProxy'>,
  nowMs: () => number,
): Door {
  let asked: Promise<boolean> | null = null;
  const ask = async (): Promise<boolean> => (await db.query(HAS_OWNER)).rows.length > 0;
  return {
    ...given,
    tries: new Tries(nowMs),
    hasOwner() {
      asked ??= ask();
      const mine = asked;
      // A database that was away is asked again.
      mine.catch(() => {
        if (asked === mine) asked = null;
      });
      return mine;
    },
    forget: () => {
      asked = null;
    },
  };
}
