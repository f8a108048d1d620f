import { Router } from 'express';
import type { DoorInfo, Me } from '@calvetta/contract';
import { ownKeyInput, pinActInput, signInInput } from '@calvetta/contract/schemas';
import type { Db } from '../db/db.ts';
import type { Deps } from '../deps.ts';
import { AppError } from '../http/errors.ts';
import { valid } from '../http/validate.ts';
import { needShop } from '../shop/needShop.ts';
import { write } from '../write.ts';
import { accountOf, accountsNamed, countPin, setKeys } from './accounts.sql.ts';
import { begin, told } from './begin.ts';
import { doorChanged, needOwner } from './doorChanged.ts';
import { hashPhrase, isPhrase, peppered } from './phrases.ts';
import { endSessions, sidHash } from './sessionStore.ts';
import { maybeWho, whoOf } from './who.ts';

/** A pin is for one act, and for so long. */
const ACT_MS = 2 * 60_000;
const PIN_MISSES = 5;

/** Coming in and going out, and one's own keys. */
export function doorRoutes(deps: Deps): Router {
  const { db, door } = deps;
  const router = Router();
  const workshopId = async (): Promise<string> => (await needShop(deps)).workshop.workshopId;

  router.get('/door', async (req, res) => {
    const who = maybeWho(req);
    const me: Me | null = who && !who.isOpen ? plainMe(who) : null;
    const info: DoorInfo = { hasOwner: await door.hasOwner(), me, isEncrypted: door.isEncrypted };
    res.set('Cache-Control', 'no-store').json(info);
  });
  router.post('/door/in', async (req, res) => {
    const sent = valid(signInInput, req.body);
    await needOwner(deps);
    const me = await signIn(deps, await workshopId(), sent, req.ip ?? '');
    await begin(req, { workshopId: await workshopId(), personId: me.personId, tabletId: null });
    res.json(me);
  });
  router.post('/door/out', async (req, res) => {
    await needOwner(deps);
    const ends = [sidHash(req.sessionID)];
    await told((done) => req.session.destroy(done));
    await write(deps, () => Promise.resolve(), doorChanged(ends));
    res.status(204).end();
  });
  /** A hand is at the page: it stays signed in. */
  router.post('/door/here', (_req, res) => void res.status(204).end());
  router.patch('/door/mine', async (req, res) => {
    const { phrase, newPhrase, newPin } = valid(ownKeyInput, req.body);
    await needOwner(deps);
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
    await write(deps, store, doorChanged);
    if (newPhrase !== undefined)
      await begin(req, { workshopId: shop, personId: who.personId, tabletId: null });
    res.status(204).end();
  });
  router.post('/door/acts', async (req, res) => {
    const sent = valid(pinActInput, req.body);
    await needOwner(deps);
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
  return router;
}

const plainMe = ({ personId, tabletId, name, role, isInspector }: Me): Me => ({
  personId,
  tabletId,
  name,
  role,
  isInspector,
});

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
