import { Router, type Request } from 'express';
import type { Removed } from '@calvetta/contract';
import type { Db } from '../db/db.ts';
import type { Deps } from '../deps.ts';
import { createOnce } from '../http/createOnce.ts';
import { AppError, invalidInput } from '../http/errors.ts';
import { valid } from '../http/validate.ts';
import { needShop } from '../shop/needShop.ts';
import { write } from '../write.ts';
import {
  checkPoints,
  deleteThing,
  findThing,
  insertThing,
  patchThing,
  type StoredThing,
} from './things.sql.ts';
import { THINGS, type Thing } from './things.ts';

type Sent = Record<string, unknown>;

/** The fields of `stored` that were sent. */
const asSent = (stored: StoredThing | null, sent: Sent): Sent | null =>
  stored && Object.fromEntries(Object.keys(sent).map((k) => [k, stored[k]]));

/** Makes, changes and takes off the list whatever a shop is made of, each in the same way. */
export function thingsRoutes(deps: Deps): Router {
  const router = Router();
  for (const t of Object.values(THINGS)) {
    if (t.made)
      router.post(`/${t.path}`, async (req, res) => {
        const sent = valid(t.made!, req.body) as Sent;
        const isNew = await make(deps, t, sent);
        res.status(isNew ? 201 : 200).json(sent);
      });
    router.patch(`/${t.path}/:${t.id.field}`, async (req, res) => {
      const patch = valid(t.patch, req.body) as Sent & { version: number };
      res.json(await change(deps, t, idIn(req, t), patch));
    });
    router.delete(`/${t.path}/:${t.id.field}`, async (req, res) => {
      res.json(await remove(deps, t, idIn(req, t), seenVersion(req.query['version'])));
    });
  }
  return router;
}

const idIn = (req: Request, t: Thing): string => String(req.params[t.id.field]);

function seenVersion(text: unknown): number {
  const version = Number(text);
  if (Number.isInteger(version) && version > 0) return version;
  throw invalidInput([
    {
      field: 'version',
      code: 'any.required',
      got: typeof text === 'string' ? text : null,
      accepts: 'the version that was seen',
    },
  ]);
}

async function make(deps: Deps, t: Thing, sent: Sent): Promise<boolean> {
  const { workshopId } = (await needShop(deps)).workshop;
  const id = String(sent[t.id.field]);
  const store = async (tx: Db): Promise<boolean | null> => {
    await checkPoints(tx, t, workshopId, sent);
    return createOnce(
      sent,
      () => insertThing(tx, t, workshopId, sent),
      async () => asSent(await findThing(tx, t, workshopId, id), sent),
    );
  };
  return (await write(deps, store, (isNew) => (isNew ? t.changed(id) : null))) === true;
}

async function change(
  deps: Deps,
  t: Thing,
  id: string,
  patch: Sent & { readonly version: number },
): Promise<StoredThing> {
  const { workshopId } = (await needShop(deps)).workshop;
  const store = async (tx: Db): Promise<StoredThing> => {
    await checkPoints(tx, t, workshopId, patch);
    const changed = await patchThing(tx, t, workshopId, id, patch);
    const stored = await findThing(tx, t, workshopId, id);
    if (!stored) throw new AppError('not-found', { what: t.what, id });
    if (!changed) throw new AppError('version-conflict', { stored, sent: patch });
    await t.guard?.(tx, workshopId, id, patch);
    return stored;
  };
  return write(deps, store, t.changed(id));
}

/** Deletes what never had a record, and puts away what has one; a version that is no longer the stored one is a conflict. */
async function remove(deps: Deps, t: Thing, id: string, version: number): Promise<Removed> {
  const { workshopId } = (await needShop(deps)).workshop;
  const store = async (tx: Db): Promise<Removed> => {
    const stored = await findThing(tx, t, workshopId, id);
    if (!stored) throw new AppError('not-found', { what: t.what, id });
    if (stored.version !== version) throw new AppError('version-conflict', { stored, sent: { version } });
    if (await deleteThing(tx, t, workshopId, id)) return { removed: 'deleted' };
    await t.guard?.(tx, workshopId, id, { isAway: true });
    if (!(await patchThing(tx, t, workshopId, id, { version, isAway: true })))
      throw new AppError('version-conflict', {
        stored: await findThing(tx, t, workshopId, id),
        sent: { version },
      });
    return { removed: 'put-away', version: version + 1 };
  };
  return write(deps, store, t.changed(id));
}
