import { isDeepStrictEqual } from 'node:util';
import { AppError } from './errors.ts';

/**
 * Stores what a client made under an id of its own, once: the same again is the same answer, other contents under a known id are
 * a conflict that shows both. True when it is new; null when `insert` was stopped by something else than its id.
 */
export async function createOnce<T>(
  sent: T,
  insert: () => Promise<boolean>,
  find: () => Promise<T | null | undefined>,
): Promise<boolean | null> {
  if (await insert()) return true;
  const stored = await find();
  if (stored === null || stored === undefined) return null;
  if (!isDeepStrictEqual(stored, sent)) throw new AppError('version-conflict', { stored, sent });
  return false;
}
