import type { KnownHow, Role } from '../door.ts';

/** What each may, in a few words. */
export const ROLE_WORDS: Readonly<Record<Role, string>> = {
  viewer: 'looks',
  hand: 'logs',
  lead: 'decides',
  owner: 'owner',
};
export const ROLE_SAYS: Readonly<Record<Role, string>> = {
  viewer: 'sees everything but hours, changes nothing',
  hand: 'logs what happens and corrects their own entries',
  lead: 'sets up places, machines and plans, decides against a rule, corrects anything',
  owner: 'all of it: who comes in, backup, the shop’s data',
};
/** How it is known that the person an entry names did it. */
export const HOW_WORDS: Readonly<Record<KnownHow, string>> = {
  claimed: 'as it was said',
  session: 'signed in',
  pin: 'by pin',
  phrase: 'by phrase, for this entry',
};
