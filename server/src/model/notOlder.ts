import type { RequestHandler } from 'express';
import { SEQ_HEADER } from '@calvetta/contract';
import type { Deps } from '../deps.ts';
import { lastSeq } from '../ledger/ledger.sql.ts';

/** Another process's word of a write takes no longer on one machine; after this the database is asked. */
const WORD_MS = 300;

/** Whoever reads says the last entry that it knows is stored; the answer is no older, whichever process gives it. */
export function notOlder(deps: Deps): RequestHandler {
  return async (req, _res, next) => {
    const seq = Number(req.get(SEQ_HEADER));
    if (req.method === 'GET' && Number.isSafeInteger(seq) && seq > 0) await catchUp(deps, seq);
    next();
  };
}

async function catchUp({ model, db }: Deps, seq: number): Promise<void> {
  const { told } = model;
  await told.wait(seq, WORD_MS);
  if (told.has(seq)) return;
  const shop = await model.shop();
  const last = shop && (await lastSeq(db, shop.workshop.workshopId));
  // An entry that is not stored cannot be waited for.
  if (last === null || seq > last) return;
  told.readTo(last);
  model.invalidate({ topic: 'entities' });
}
