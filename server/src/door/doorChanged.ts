import type { LiveMessage } from '@calvetta/contract';
import type { Deps } from '../deps.ts';
import { AppError } from '../http/errors.ts';

/** What is told when the door has changed, with the sessions that ended by it. */
export const doorChanged = (ends: readonly string[]): LiveMessage => ({ topic: 'door', ends });

/** Refuses where nobody signs in yet. */
export async function needOwner({ door }: Deps): Promise<void> {
  if (!(await door.hasOwner())) throw new AppError('no-owner', {});
}
