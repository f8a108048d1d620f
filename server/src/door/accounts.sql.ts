import type { Account, Accounts, Me, Role, Tablet } from '@calvetta/contract';
import type { AccountPatch } from '@calvetta/contract/schemas';
import type { Db } from '../db/db.ts';

/** An account with what it is known by. */
export interface AccountKeys {
  readonly personId: string;
  readonly phraseHash: string;
  readonly pinHash: string | null;
  readonly pinMisses: number;
  readonly role: Role;
  readonly isInspector: boolean;
  readonly name: string;
}

const IS_IN =
  'a.admitted_at is not null and a.ended_at is null and p.put_away_at is null and a.workshop_id = $1';
const KEYS = `select a.person_id as "personId", a.phrase_hash as "phraseHash", a.pin_hash as "pinHash", a.pin_misses as "pinMisses",
   a.role, a.is_inspector as "isInspector", p.name from account a join person p using (workshop_id, person_id)`;

/** Whoever may sign in under a name; two people may share one. */
export const accountsNamed = async (db: Db, workshopId: string, name: string): Promise<AccountKeys[]> =>
  (
    await db.query<AccountKeys>(`${KEYS} where ${IS_IN} and lower(p.name) = lower($2) order by a.person_id`, [
      workshopId,
      name,
    ])
  ).rows;

/** Of somebody who may come in; null: of nobody. */
export const accountOf = async (db: Db, workshopId: string, personId: string): Promise<AccountKeys | null> =>
  (await db.query<AccountKeys>(`${KEYS} where ${IS_IN} and a.person_id = $2`, [workshopId, personId]))
    .rows[0] ?? null;

/** Who a session stands for as things are now; null: for nobody any more. */
export async function meOf(
  db: Db,
  workshopId: string,
  of: { readonly personId: string | null; readonly tabletId: string | null },
): Promise<Me | null> {
  if (of.personId !== null) {
    const a = await accountOf(db, workshopId, of.personId);
    return (
      a && { personId: a.personId, tabletId: null, name: a.name, role: a.role, isInspector: a.isInspector }
    );
  }
  const { rows } = await db.query<{ name: string; role: Role }>(
    'select name, role from tablet where workshop_id = $1 and tablet_id = $2 and ended_at is null',
    [workshopId, of.tabletId],
  );
  return rows[0] ? { personId: null, tabletId: of.tabletId, isInspector: false, ...rows[0] } : null;
}

export async function listAccounts(db: Db, workshopId: string): Promise<Accounts> {
  const accounts = await db.query<Account>(
    `select person_id as "personId", role, is_inspector as "isInspector", admitted_at is null as "isWaiting", pin_hash is not null as "hasPin", version
       from account where workshop_id = $1 and ended_at is null order by person_id`,
    [workshopId],
  );
  const tablets = await db.query<Tablet>(
    `select tablet_id as "tabletId", name, (extract(epoch from enrolled_at) * 1000)::float8 as "enrolledAtMs"
       from tablet where workshop_id = $1 and ended_at is null order by enrolled_at`,
    [workshopId],
  );
  return { accounts: accounts.rows, tablets: tablets.rows };
}

/** Held to the end of the transaction: two who end each other's accounts at once do not leave the shop without an owner. */
export async function ownersLocked(tx: Db, workshopId: string): Promise<string[]> {
  const { rows } = await tx.query<{ id: string }>(
    `select person_id as id from account where workshop_id = $1 and role = 'owner' order by person_id for update`,
    [workshopId],
  );
  return rows.map((r) => r.id);
}
export const hasOwner = async (tx: Db, workshopId: string): Promise<boolean> =>
  (
    await tx.query(
      `select 1 from account where workshop_id = $1 and role = 'owner' and admitted_at is not null and ended_at is null limit 1`,
      [workshopId],
    )
  ).rows.length > 0;

/** Changes an account at the version that was seen; false where it is another by now. */
export async function patchAccount(
  tx: Db,
  workshopId: string,
  personId: string,
  patch: AccountPatch,
  now: Date,
): Promise<boolean> {
  const r = await tx.query(
    `update account set version = version + 1, role = coalesce($4, role), is_inspector = coalesce($5, is_inspector),
       admitted_at = case when $6 then coalesce(admitted_at, $8) else admitted_at end, ended_at = case when $7 then $8 else ended_at end
     where workshop_id = $1 and person_id = $2 and version = $3 and ended_at is null`,
    [
      workshopId,
      personId,
      patch.version,
      patch.role ?? null,
      patch.isInspector ?? null,
      patch.isAdmitted === true,
      patch.isEnded === true,
      now,
    ],
  );
  return r.rowCount === 1;
}

export interface Invite {
  readonly personId: string | null;
  readonly tabletName: string | null;
  readonly role: Role;
  readonly isInspector: boolean;
  readonly madeBy: string | null;
}
export async function insertInvite(
  db: Db,
  workshopId: string,
  invite: Invite,
  tokenSha256: string,
  expiresAt: Date,
): Promise<void> {
  await db.query(
    `insert into invite (workshop_id, token_sha256, person_id, tablet_name, role, is_inspector, made_by, expires_at)
     values ($1, $2, $3, $4, $5, $6, $7, $8)`,
    [
      workshopId,
      tokenSha256,
      invite.personId,
      invite.tabletName,
      invite.role,
      invite.isInspector,
      invite.madeBy,
      expiresAt,
    ],
  );
}
/** Whether an invitation is there to be used. */
export const isInvited = async (
  db: Db,
  workshopId: string,
  tokenSha256: string,
  now: Date,
): Promise<boolean> =>
  (
    await db.query(
      'select 1 from invite where workshop_id = $1 and token_sha256 = $2 and used_at is null and expires_at > $3',
      [workshopId, tokenSha256, now],
    )
  ).rows.length > 0;

/** Uses an invitation up; null: there is none, it was used, or its time is over. */
export async function useInvite(
  tx: Db,
  workshopId: string,
  tokenSha256: string,
  now: Date,
): Promise<Invite | null> {
  const { rows } = await tx.query<Invite>(
    `update invite set used_at = $3 where workshop_id = $1 and token_sha256 = $2 and used_at is null and expires_at > $3
     returning person_id as "personId", tablet_name as "tabletName", role, is_inspector as "isInspector", made_by as "madeBy"`,
    [workshopId, tokenSha256, now],
  );
  return rows[0] ?? null;
}

/** A new account, or a new phrase and role for one that was there. */
export async function storeAccount(
  tx: Db,
  workshopId: string,
  invite: Invite & { readonly personId: string },
  phraseHash: string,
  admittedAt: Date | null,
): Promise<void> {
  await tx.query(
    `insert into account (workshop_id, person_id, role, is_inspector, phrase_hash, admitted_at) values ($1, $2, $3, $4, $5, $6)
     on conflict (workshop_id, person_id) do update set role = excluded.role, is_inspector = excluded.is_inspector,
       phrase_hash = excluded.phrase_hash, pin_hash = null, pin_misses = 0, admitted_at = excluded.admitted_at, ended_at = null,
       version = account.version + 1`,
    [workshopId, invite.personId, invite.role, invite.isInspector, phraseHash, admittedAt],
  );
}
export async function insertTablet(
  tx: Db,
  workshopId: string,
  tabletId: string,
  name: string,
  role: Role,
  now: Date,
): Promise<void> {
  await tx.query(
    'insert into tablet (workshop_id, tablet_id, name, role, enrolled_at) values ($1, $2, $3, $4, $5)',
    [workshopId, tabletId, name, role, now],
  );
}
export const endTablet = async (tx: Db, workshopId: string, tabletId: string, now: Date): Promise<boolean> =>
  (
    await tx.query(
      'update tablet set ended_at = $3 where workshop_id = $1 and tablet_id = $2 and ended_at is null',
      [workshopId, tabletId, now],
    )
  ).rowCount === 1;

export async function setKeys(
  tx: Db,
  workshopId: string,
  personId: string,
  keys: { readonly phraseHash: string | null; readonly pinHash: string | null },
): Promise<void> {
  await tx.query(
    `update account set phrase_hash = coalesce($3, phrase_hash), pin_hash = coalesce($4, pin_hash),
       pin_misses = case when $4::text is null then pin_misses else 0 end where workshop_id = $1 and person_id = $2`,
    [workshopId, personId, keys.phraseHash, keys.pinHash],
  );
}
export async function countPin(
  db: Db,
  workshopId: string,
  personId: string,
  isRight: boolean,
): Promise<void> {
  await db.query(
    'update account set pin_misses = case when $3 then 0 else pin_misses + 1 end where workshop_id = $1 and person_id = $2',
    [workshopId, personId, isRight],
  );
}
