import { randomUUID } from 'node:crypto';
import type { Invitation } from '@calvetta/contract';
import type { Db } from '../db/db.ts';
import { AppError, invalidInput } from '../http/errors.ts';
import { newToken, sha256 } from '../readings/tokens.ts';
import {
  hasOwner,
  insertInvite,
  insertTablet,
  ownersLocked,
  storeAccount,
  useInvite,
  type Invite,
} from './accounts.sql.ts';
import { endSessions } from './sessionStore.ts';

const INVITE_MS = 10 * 60_000;

/** Makes an invitation. Its token is shown this once, and kept as its hash. */
export async function invite(db: Db, workshopId: string, nowMs: number, of: Invite): Promise<Invitation> {
  const token = newToken();
  const expiresAtMs = nowMs + INVITE_MS;
  await insertInvite(db, workshopId, of, sha256(token), new Date(expiresAtMs));
  return { token, expiresAtMs };
}

export interface Redeemed {
  readonly isWaiting: boolean;
  readonly tabletId: string | null;
  readonly name: string;
  readonly ends: readonly string[];
}
/** Takes an invitation up: an account that waits or is in at once, or a tablet. Throws where it is none any more. */
export async function redeem(
  tx: Db,
  workshopId: string,
  tokenSha256: string,
  phraseHash: string | null,
  now: Date,
): Promise<Redeemed> {
  await ownersLocked(tx, workshopId);
  const used = await useInvite(tx, workshopId, tokenSha256, now);
  if (!used) throw new AppError('bad-invite', {});
  if (used.personId === null) {
    const tabletId = randomUUID();
    await insertTablet(tx, workshopId, tabletId, used.tabletName!, used.role, now);
    return { isWaiting: false, tabletId, name: used.tabletName!, ends: [] };
  }
  if (phraseHash === null)
    throw invalidInput([
      { field: 'phrase', code: 'any.required', got: null, accepts: 'a phrase to sign in with' },
    ]);
  // From the console of the machine itself, or one's own: nobody else has to see who came.
  const isWaiting = used.madeBy !== null && used.madeBy !== used.personId;
  await storeAccount(
    tx,
    workshopId,
    { ...used, personId: used.personId },
    phraseHash,
    isWaiting ? null : now,
  );
  if (!(await hasOwner(tx, workshopId))) throw new AppError('last-owner', {});
  const { rows } = await tx.query<{ name: string }>(
    'select name from person where workshop_id = $1 and person_id = $2',
    [workshopId, used.personId],
  );
  const ends = await endSessions(tx, 'person_id', used.personId);
  return { isWaiting, tabletId: null, name: rows[0]!.name, ends };
}
