import type { ShopState, Snapshot } from '@calvetta/core';
import type { Deps } from '../deps.ts';
import { AppError } from '../http/errors.ts';
import { snapshotOrProgress } from './patience.ts';

/** The workshop, or a refusal that says there is none yet. */
export async function needShop(deps: Deps): Promise<ShopState> {
  const shop = await deps.model.shop();
  if (!shop) throw new AppError('not-found', { what: 'workshop' });
  return shop;
}

export async function needSnapshot(deps: Deps): Promise<Snapshot> {
  const snapshot = await snapshotOrProgress(deps.model);
  if (!snapshot) throw new AppError('not-found', { what: 'workshop' });
  return snapshot;
}
