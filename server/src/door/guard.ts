import { createHash } from 'node:crypto';
import type { IncomingMessage } from 'node:http';
import { Router, type Request, type RequestHandler } from 'express';
import session from 'express-session';
import type { Deps } from '../deps.ts';
import { AppError } from '../http/errors.ts';
import { findWorkshop } from '../shop/shop.sql.ts';
import { accountOf, meOf } from './accounts.sql.ts';
import { leastFor } from './matchRoute.ts';
import { LONGEST_MS, SessionStore } from './sessionStore.ts';
import { ANYBODY, maybeWho, needPerson, needRole, setWho, whoOf } from './who.ts';

/** Says that a write is meant in the name of whoever has just given his pin. */
export const ACT_HEADER = 'x-calvetta-act';
const FORWARDED = ['forwarded', 'x-forwarded-for', 'x-forwarded-host', 'x-forwarded-proto'];

/**
 * Who asks, and whether he may: mounted before every door of the API. Without an owner everybody on this machine may, and whatever
 * came through a proxy is refused, since then it is not this machine that asks.
 */
export function guard(deps: Deps): RequestHandler {
  const { door } = deps;
  const store = new SessionStore(deps.db, deps.nowMs);
  const sessions = session({
    // A cookie with this prefix is taken by browsers over TLS only, and from this host only.
    name: door.isEncrypted ? '__Host-calvetta' : 'calvetta',
    secret: door.secrets.session,
    store,
    resave: false,
    saveUninitialized: false,
    cookie: { httpOnly: true, sameSite: 'strict', secure: door.isEncrypted, path: '/', maxAge: LONGEST_MS },
  });
  const router = Router();
  router.use(async (req, _res, next) => {
    if (await door.hasOwner()) {
      next();
      return;
    }
    if (FORWARDED.some((h) => req.headers[h] !== undefined)) throw new AppError('no-owner', {});
    setWho(req, ANYBODY);
    next('router');
  });
  router.use(sessions);
  router.use(async (req, _res, next) => {
    await identify(deps, req);
    const least = leastFor(req.method, req.path);
    if (least === null) throw new AppError('not-found', { what: 'route', path: req.path });
    if (least !== 'anyone' && least !== 'probe') {
      const who = whoOf(req);
      if (least === 'self' || least === 'inspector') needPerson(who, least);
      else needRole(who, least);
      if (req.method !== 'GET' && req.method !== 'HEAD') await store.acted(req.sessionID);
    }
    next();
  });
  return router;
}

async function identify(deps: Deps, req: Request): Promise<void> {
  const { personId = null, tabletId = null, workshopId } = req.session;
  if (workshopId === undefined) return;
  const me = await meOf(deps.db, workshopId, { personId, tabletId });
  if (me) setWho(req, { ...me, how: 'session', isOpen: false });
}

const bodies = new WeakMap<IncomingMessage, string>();
/** Keeps the hash of what came, where a pin was given for exactly that (`verify` of Express's JSON parser). */
export function keepHash(req: IncomingMessage, _res: unknown, body: Buffer): void {
  if (req.headers[ACT_HEADER] !== undefined) bodies.set(req, createHash('sha256').update(body).digest('hex'));
}

/** On a shop's tablet: a write in the name of whoever gave his pin for it, once. Mounted after the body was read. */
export const byPin =
  (deps: Deps): RequestHandler =>
  async (req, _res, next) => {
    const who = maybeWho(req);
    if (req.headers[ACT_HEADER] === undefined || who?.tabletId == null) {
      next();
      return;
    }
    const { act } = req.session;
    // Used up, whatever comes of it.
    req.session.act = null;
    if (act == null || act.untilMs < deps.nowMs() || act.bodySha256 !== bodies.get(req))
      throw new AppError('bad-phrase', {});
    const workshop = await findWorkshop(deps.db);
    const account = workshop && (await accountOf(deps.db, workshop.workshopId, act.personId));
    if (!account) throw new AppError('bad-phrase', {});
    const { personId, name } = account;
    // A tablet makes nobody more than it is itself, and nobody more than he is.
    const role = account.role === 'viewer' ? 'viewer' : who.role;
    needRole({ ...who, role }, 'hand');
    setWho(req, { ...who, personId, name, role, how: 'pin' });
    next();
  };
