import type { Request } from 'express';
import { isAtLeast } from '@calvetta/contract/schemas';
import type { KnownHow, Me, Role } from '@calvetta/contract';
import { AppError } from '../http/errors.ts';

/** Whoever asks, for the rest of the request. */
export interface Who extends Me {
  readonly how: KnownHow;
  /** There is no owner: whoever reaches the server may do everything, and nobody is known. */
  readonly isOpen: boolean;
}
export const ANYBODY: Who = {
  personId: null,
  tabletId: null,
  name: '',
  role: 'owner',
  isInspector: false,
  how: 'claimed',
  isOpen: true,
};

const known = new WeakMap<Request, Who>();
export const setWho = (req: Request, who: Who): void => void known.set(req, who);
/** Who asks; refused where nobody was let in. */
export function whoOf(req: Request): Who {
  const who = known.get(req);
  if (!who) throw new AppError('sign-in', {});
  return who;
}
export const maybeWho = (req: Request): Who | null => known.get(req) ?? null;

export function needRole(who: Who, least: Role): void {
  if (!isAtLeast(who.role, least)) throw new AppError('not-allowed', { role: who.role, least });
}

/** Somebody in person, not a tablet; to sign off, an inspector. */
export function needPerson(who: Who, least: 'self' | 'inspector'): void {
  if (who.personId === null || (least === 'inspector' && !who.isInspector))
    throw new AppError('not-allowed', { role: who.role, least });
}

/** How it is known that the person an entry names did it: only where that person is the one who sent it. */
export const howKnown = (who: Who, personId: string): KnownHow =>
  who.personId === personId ? who.how : 'claimed';
