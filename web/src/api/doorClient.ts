import type { Accounts, DoorInfo, Invitation, Me } from '@calvetta/contract';
import { call, WRITES } from './client.ts';

/** What is asked of the door. Phrases, pins and tokens are never kept here, so none of it goes the way of other writes. */
const ask = <T>(method: 'POST' | 'PATCH' | 'DELETE', path: string, body: object = {}): Promise<T> =>
  call(`/door${path}`, {
    method,
    headers: { ...WRITES, 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
  });

export const getDoor = (): Promise<DoorInfo> => call('/door');
export const signIn = (name: string, phrase: string): Promise<Me> => ask('POST', '/in', { name, phrase });
export const signOut = (): Promise<void> => ask('POST', '/out');
export const sayHere = (): Promise<void> => ask('POST', '/here');
export const setMine = (keys: {
  readonly phrase: string;
  readonly newPhrase?: string;
  readonly newPin?: string;
}): Promise<void> => ask('PATCH', '/mine', keys);

export const getAccounts = (): Promise<Accounts> => call('/door/accounts');
export const makeInvite = (of: object): Promise<Invitation> => ask('POST', '/invites', of);
export const redeemInvite = (
  token: string,
  phrase?: string,
): Promise<{ readonly isWaiting: boolean; readonly name: string }> =>
  ask('POST', '/redeem', { token, ...(phrase === undefined ? {} : { phrase }) });
export const changeAccount = (personId: string, patch: object): Promise<Accounts> =>
  ask('PATCH', `/accounts/${encodeURIComponent(personId)}`, patch);
export const endTablet = (tabletId: string): Promise<Accounts> =>
  ask('DELETE', `/tablets/${encodeURIComponent(tabletId)}`);
