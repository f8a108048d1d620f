import type { Accounts, DoorInfo, Invitation, Me, ToSign } from '@calvetta/contract';
import type { SignOffInput } from '@calvetta/contract/schemas';
import { call, WRITES } from './client.ts';

/** What is asked of the door. Phrases, pins and tokens are never kept here, so none of it goes the way of other writes. */
const ask = <T>(method: 'POST' | 'PATCH' | 'DELETE', path: string, body: object = {}): Promise<T> =>
  tell(method, `/door${path}`, body);
const tell = <T>(method: string, path: string, body: object): Promise<T> =>
  call(path, {
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

/** What a signature would stand for now. */
export const getToSign = (of: 'part' | 'machine', id: string): Promise<readonly ToSign[]> =>
  call(`/to-sign?${of}=${encodeURIComponent(id)}`);
export const signOff = (sent: SignOffInput): Promise<unknown> => tell('POST', '/sign-offs', sent);
export const withdrawSignOff = (
  signOffId: string,
  sent: { readonly factId: string; readonly reason: string; readonly deviceId: string },
): Promise<unknown> => tell('POST', `/sign-offs/${encodeURIComponent(signOffId)}/withdrawal`, sent);
