import { DAY_MS } from '@calvetta/core';
import type { SignedHead } from '@calvetta/contract';
import type { Deps } from '../deps.ts';
import { findWorkshop } from '../shop/shop.sql.ts';
import { headOf } from './verify.ts';

/** The end of the chain now, signed; `isKept`: and written where the database cannot reach it. */
export async function signedHead(deps: Deps, workshopId: string, isKept = false): Promise<SignedHead> {
  const head = deps.heads.sign(workshopId, await headOf(deps.db, workshopId));
  if (isKept) await deps.heads.keep(head);
  return head;
}

/** One a day at least, whatever happens in the shop. */
export async function keepDaily(deps: Deps): Promise<void> {
  try {
    const workshop = await findWorkshop(deps.db);
    if (!workshop) return;
    const last = (await deps.heads.kept()).filter((h) => h.chain === workshop.workshopId).at(-1);
    if (last && deps.nowMs() - last.atMs < DAY_MS) return;
    await signedHead(deps, workshop.workshopId, true);
  } catch (error) {
    deps.log.warn({ err: String(error) }, 'the end of the chain could not be kept today');
  }
}
