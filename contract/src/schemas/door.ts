import Joi from 'joi';
import { ROLES, type Role } from '../door.ts';
import { id, name } from './plain.ts';
import { version } from './version.ts';

/** Long enough that nobody guesses it by trying; long ones are sentences. */
export const SHORTEST_PHRASE = 12;
const phrase = Joi.string().min(SHORTEST_PHRASE).max(200);
/** What is tried may be anything: a wrong one gets one answer. */
const tried = Joi.string().max(200);
const pin = Joi.string().pattern(/^\d{6}$/, 'six digits');
const token = Joi.string().pattern(/^[A-Za-z0-9_-]{32}$/, 'the token of an invitation');

export const signInInput = Joi.object<{ name: string; phrase: string }>({
  name: Joi.string().max(120).required(),
  phrase: tried.required(),
});

export interface InviteInput {
  readonly role: Role;
  readonly isInspector?: boolean;
  readonly personId?: string;
  readonly tabletName?: string;
}
/** Of a person, or of a tablet of the shop's own, which is never more than a hand. */
export const inviteInput = Joi.object<InviteInput>({
  role: Joi.string()
    .valid(...ROLES)
    .required()
    .when('tabletName', { is: Joi.exist(), then: Joi.invalid('lead', 'owner') }),
  isInspector: Joi.boolean().when('tabletName', { is: Joi.exist(), then: Joi.invalid(true) }),
  personId: id,
  tabletName: name,
}).xor('personId', 'tabletName');

export interface RedeemInput {
  readonly token: string;
  /** Of a person: what he will sign in with. */
  readonly phrase?: string;
}
export const redeemInput = Joi.object<RedeemInput>({ token: token.required(), phrase });

export interface AccountPatch {
  readonly version: number;
  readonly role?: Role;
  readonly isInspector?: boolean;
  readonly isAdmitted?: true;
  readonly isEnded?: true;
}
export const accountPatch = Joi.object<AccountPatch>({
  version,
  role: Joi.string().valid(...ROLES),
  isInspector: Joi.boolean(),
  isAdmitted: Joi.valid(true),
  isEnded: Joi.valid(true),
}).min(2);

/** A phrase or a pin of one's own, changed by whoever knows the phrase. */
export const ownKeyInput = Joi.object<{ phrase: string; newPhrase?: string; newPin?: string }>({
  phrase: tried.required(),
  newPhrase: phrase,
  newPin: pin,
}).or('newPhrase', 'newPin');

/** One act on a shop's tablet in a person's own name: the pin, and the hash of what will be sent. */
export const pinActInput = Joi.object<{ personId: string; pin: string; bodySha256: string }>({
  personId: id.required(),
  pin: Joi.string().max(20).required(),
  bodySha256: Joi.string()
    .pattern(/^[0-9a-f]{64}$/, 'a SHA-256 in hex')
    .required(),
});
