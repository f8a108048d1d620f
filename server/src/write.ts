import type { LiveMessage } from '@calvetta/contract';
import type { Db } from './db/db.ts';
import type { Deps } from './deps.ts';
import { announce } from './live/live.ts';

/**
 * The one way anything is written: the work in a transaction, one announcement with it, and this process told at once of
 * exactly what is stale. `changed` may say from what was done that nothing has.
 */
export async function write<T>(
  deps: Deps,
  work: (tx: Db) => Promise<T>,
  changed: LiveMessage | ((done: T) => LiveMessage | null),
): Promise<T> {
  const { done, message } = await deps.db.transaction(async (tx) => {
    const out = await work(tx);
    const said = typeof changed === 'function' ? changed(out) : changed;
    if (said) await announce(tx, deps.processId, said);
    return { done: out, message: said };
  });
  if (message) deps.model.invalidate(message);
  if (message?.topic === 'door' || message?.topic === 'entities') deps.door.forget();
  return done;
}
