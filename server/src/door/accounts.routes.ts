import { Router } from 'express';
import { accountPatch, inviteInput, redeemInput } from '@calvetta/contract/schemas';
import type { Db } from '../db/db.ts';
import type { Deps } from '../deps.ts';
import { AppError } from '../http/errors.ts';
import { valid } from '../http/validate.ts';
import { sha256 } from '../readings/tokens.ts';
import { needShop } from '../shop/needShop.ts';
import { write } from '../write.ts';
import { endTablet, hasOwner, isInvited, listAccounts, ownersLocked, patchAccount } from './accounts.sql.ts';
import { begin } from './begin.ts';
import { doorChanged, needOwner } from './doorChanged.ts';
import { invite, redeem } from './invites.ts';
import { hashPhrase } from './phrases.ts';
import { endSessions } from './sessionStore.ts';
import { whoOf } from './who.ts';

/** Who may come in: invited, let in, changed and shut out. */
export function accountsRoutes(deps: Deps): Router {
  const { db } = deps;
  const router = Router();
  const workshopId = async (): Promise<string> => (await needShop(deps)).workshop.workshopId;

  router.get('/door/accounts', async (_req, res) => {
    res.json(await listAccounts(db, await workshopId()));
  });
  router.post('/door/invites', async (req, res) => {
    const sent = valid(inviteInput, req.body);
    await needOwner(deps);
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
      (r) => doorChanged(r.ends),
    );
    if (done.tabletId !== null)
      await begin(req, { workshopId: shop, personId: null, tabletId: done.tabletId });
    res.status(201).json({ isWaiting: done.isWaiting, name: done.name });
  });
  router.patch('/door/accounts/:personId', async (req, res) => {
    const patch = valid(accountPatch, req.body);
    await needOwner(deps);
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
    await write(deps, change, doorChanged);
    res.json(await listAccounts(db, shop));
  });
  router.delete('/door/tablets/:tabletId', async (req, res) => {
    await needOwner(deps);
    const shop = await workshopId();
    const { tabletId } = req.params;
    const end = async (tx: Db): Promise<readonly string[]> => {
      if (!(await endTablet(tx, shop, tabletId, new Date(deps.nowMs()))))
        throw new AppError('not-found', { what: 'tablet', id: tabletId });
      return endSessions(tx, 'tablet_id', tabletId);
    };
    await write(deps, end, doorChanged);
    res.json(await listAccounts(db, shop));
  });
  return router;
}
