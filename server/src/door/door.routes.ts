import { randomUUID } from 'node:crypto';
import { Router, type Request } from 'express';
import type { DoorInfo, Invitation, LiveMessage, Me } from '@calvetta/contract';
import {
  accountPatch,
  inviteInput,
  ownKeyInput,
  pinActInput,
  redeemInput,
  signInInput,
} from '@calvetta/contract/schemas';
import type { Db } from '../db/db.ts';
import type { Deps } from '../deps.ts';
import { AppError, invalidInput } from '../http/errors.ts';
import { valid } from '../http/validate.ts';
import { newToken, sha256 } from '../readings/tokens.ts';
import { needShop } from '../shop/needShop.ts';
import { write } from '../write.ts';
import {
  accountOf,
  accountsNamed,
  countPin,
  endTablet,
  hasOwner,
  insertInvite,
  insertTablet,
  isInvited,
  listAccounts,
  ownersLocked,
  patchAccount,
  setKeys,
  storeAccount,
  useInvite,
  type Invite,
} from './accounts.sql.ts';
import { hashPhrase, isPhrase, peppered } from './phrases.ts';
import { endSessions, sidHash } from './sessionStore.ts';
import { maybeWho, whoOf } from './who.ts';

const INVITE_MS = 10 * 60_000;
/** A pin is for one act, and for so long. */
const ACT_MS = 2 * 60_000;
const PIN_MISSES = 5;

const changed = (ends: readonly string[]): LiveMessage => ({ topic: 'door', ends });

export function doorRoutes(deps: Deps): Router {
  const { db, door } = deps;
  const router = Router();
  const workshopId = async (): Promise<string> => (await needShop(deps)).workshop.workshopId;
  const needOwner = async (): Promise<void> => {
    if (!(await door.hasOwner())) throw new AppError('no-owner', {});
  };

  router.get('/door', async (req, res) => {
    const who = maybeWho(req);
    const me: Me | null = who && !who.isOpen ? plainMe(who) : null;
    const info: DoorInfo = { hasOwner: await door.hasOwner(), me, isEncrypted: door.isEncrypted };
    res.set('Cache-Control', 'no-store').json(info);
  });
  router.post('/door/in', async (req, res) => {
    const sent = valid(signInInput, req.body);
    await needOwner();
    const me = await signIn(deps, await workshopId(), sent, req.ip ?? '');
    await begin(req, { workshopId: await workshopId(), personId: me.personId, tabletId: null });
    res.json(me);
  });
  router.post('/door/out', async (req, res) => {
    await needOwner();
    const ends = [sidHash(req.sessionID)];
    await new Promise<void>((done, fail) =>
      req.session.destroy((e: unknown) => (e ? fail(e as Error) : done())),
    );
    await write(deps, () => Promise.resolve(), changed(ends));
    res.status(204).end();
  });
  /** A hand is at the page: it stays signed in. */
  router.post('/door/here', (_req, res) => void res.status(204).end());
  router.patch('/door/mine', async (req, res) => {
    const { phrase, newPhrase, newPin } = valid(ownKeyInput, req.body);
    await needOwner();
    const who = whoOf(req);
    const account = await accountOf(db, await workshopId(), who.personId!);
    await door.tries.before(who.personId!, req.ip ?? '');
    if (!(await isPhrase(account?.phraseHash ?? null, phrase))) {
      door.tries.missed(who.personId!, req.ip ?? '');
      throw new AppError('bad-phrase', {});
    }
    door.tries.passed(who.personId!, req.ip ?? '');
    const keys = {
      phraseHash: newPhrase === undefined ? null : await hashPhrase(newPhrase),
      pinHash:
        newPin === undefined ? null : await hashPhrase(peppered(door.secrets.pepper, who.personId!, newPin)),
    };
    const shop = await workshopId();
    const store = async (tx: Db): Promise<string[]> => {
      await setKeys(tx, shop, who.personId!, keys);
      // Whoever had the old phrase is out; the page that changed it comes in anew.
      return newPhrase === undefined ? [] : endSessions(tx, 'person_id', who.personId!);
    };
    await write(deps, store, changed);
    if (newPhrase !== undefined)
      await begin(req, { workshopId: shop, personId: who.personId, tabletId: null });
    res.status(204).end();
  });
  router.post('/door/acts', async (req, res) => {
    const sent = valid(pinActInput, req.body);
    await needOwner();
    const who = whoOf(req);
    if (who.tabletId === null) throw new AppError('not-allowed', { role: who.role, least: 'tablet' });
    if (!(await isPin(deps, await workshopId(), sent.personId, sent.pin)))
      throw new AppError('bad-phrase', {});
    req.session.act = {
      personId: sent.personId,
      bodySha256: sent.bodySha256,
      untilMs: deps.nowMs() + ACT_MS,
    };
    res.status(204).end();
  });

  router.get('/door/accounts', async (_req, res) => {
    res.json(await listAccounts(db, await workshopId()));
  });
  router.post('/door/invites', async (req, res) => {
    const sent = valid(inviteInput, req.body);
    await needOwner();
    const shop = await needShop(deps);
    if (sent.personId !== undefined && !shop.people.some((p) => p.personId === sent.personId && !p.isAway))
      throw new AppError('unknown-reference', { fields: ['personId'] });
    res
      .set('Cache-Control', 'no-store')
      .status(201)
      .json(
        await invite(db, shop.workshop.workshopId, deps.nowMs(), {
          personId: sent.personId ?? null,
          tabletName: sent.tabletName ?? null,
          role: sent.role,
          isInspector: sent.isInspector ?? false,
          madeBy: whoOf(req).personId,
        }),
      );
  });
  router.post('/door/redeem', async (req, res) => {
    const { token, phrase } = valid(redeemInput, req.body);
    const shop = await workshopId();
    // Before anything is worked out for a stranger.
    if (!(await isInvited(db, shop, sha256(token), new Date(deps.nowMs()))))
      throw new AppError('bad-invite', {});
    const phraseHash = phrase === undefined ? null : await hashPhrase(phrase);
    const done = await write(
      deps,
      (tx) => redeem(tx, shop, sha256(token), phraseHash, new Date(deps.nowMs())),
      (r) => changed(r.ends),
    );
    if (done.tabletId !== null)
      await begin(req, { workshopId: shop, personId: null, tabletId: done.tabletId });
    res.status(201).json({ isWaiting: done.isWaiting, name: done.name });
  });
  router.patch('/door/accounts/:personId', async (req, res) => {
    const patch = valid(accountPatch, req.body);
    await needOwner();
    const shop = await workshopId();
    const { personId } = req.params;
    const change = async (tx: Db): Promise<readonly string[]> => {
      await ownersLocked(tx, shop);
      const isThere = (await listAccounts(tx, shop)).accounts.find((a) => a.personId === personId);
      if (!isThere) throw new AppError('not-found', { what: 'account', id: personId });
      if (!(await patchAccount(tx, shop, personId, patch, new Date(deps.nowMs()))))
        throw new AppError('version-conflict', { stored: isThere, sent: patch });
      if (!(await hasOwner(tx, shop))) throw new AppError('last-owner', {});
      return endSessions(tx, 'person_id', personId);
    };
    await write(deps, change, changed);
    res.json(await listAccounts(db, shop));
  });
  router.delete('/door/tablets/:tabletId', async (req, res) => {
    await needOwner();
    const shop = await workshopId();
    const { tabletId } = req.params;
    const end = async (tx: Db): Promise<readonly string[]> => {
      if (!(await endTablet(tx, shop, tabletId, new Date(deps.nowMs()))))
        throw new AppError('not-found', { what: 'tablet', id: tabletId });
      return endSessions(tx, 'tablet_id', tabletId);
    };
    await write(deps, end, changed);
    res.json(await listAccounts(db, shop));
  });
  return router;
}

const plainMe = ({ personId, tabletId, name, role, isInspector }: Me): Me => ({
  personId,
  tabletId,
  name,
  role,
  isInspector,
});

/** A session of a new id: whoever knew the old one knows nothing. */
async function begin(
  req: Request,
  data: { readonly workshopId: string; readonly personId: string | null; readonly tabletId: string | null },
): Promise<void> {
  await new Promise<void>((done, fail) =>
    req.session.regenerate((e: unknown) => (e ? fail(e as Error) : done())),
  );
  Object.assign(req.session, data, { act: null });
  await new Promise<void>((done, fail) => req.session.save((e: unknown) => (e ? fail(e as Error) : done())));
}

async function signIn(
  deps: Deps,
  workshopId: string,
  sent: { readonly name: string; readonly phrase: string },
  address: string,
): Promise<Me> {
  const { tries } = deps.door;
  const name = sent.name.normalize('NFC').trim();
  await tries.before(name.toLowerCase(), address);
  const named = await accountsNamed(deps.db, workshopId, name);
  for (const a of named.length === 0 ? [null] : named) {
    if (!(await isPhrase(a?.phraseHash ?? null, sent.phrase)) || !a) continue;
    tries.passed(name.toLowerCase(), address);
    return { personId: a.personId, tabletId: null, name: a.name, role: a.role, isInspector: a.isInspector };
  }
  tries.missed(name.toLowerCase(), address);
  throw new AppError('bad-phrase', {});
}

/** Five misses, and it is worth nothing until its owner makes a new one with his phrase. */
async function isPin(deps: Deps, workshopId: string, personId: string, pin: string): Promise<boolean> {
  const account = await accountOf(deps.db, workshopId, personId);
  const pinHash = account && account.pinMisses < PIN_MISSES ? account.pinHash : null;
  const isRight = await isPhrase(pinHash, peppered(deps.door.secrets.pepper, personId, pin));
  if (account) await countPin(deps.db, workshopId, personId, isRight);
  return isRight;
}

/** Makes an invitation. Its token is shown this once, and kept as its hash. */
export async function invite(db: Db, workshopId: string, nowMs: number, of: Invite): Promise<Invitation> {
  const token = newToken();
  const expiresAtMs = nowMs + INVITE_MS;
  await insertInvite(db, workshopId, of, sha256(token), new Date(expiresAtMs));
  return { token, expiresAtMs };
}

interface Redeemed {
  readonly isWaiting: boolean;
  readonly tabletId: string | null;
  readonly name: string;
  readonly ends: readonly string[];
}
async function redeem(
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
