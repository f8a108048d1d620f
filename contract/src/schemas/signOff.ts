import Joi from 'joi';
import { SIGN_SCOPES, type SignScope } from '@calvetta/core';
import { id } from './plain.ts';
import { uuid } from './uuid.ts';

/** What an inspector signs, as it stood on the page. */
export interface SignOffInput {
  readonly scope: SignScope;
  readonly words: string;
  readonly standard?: string;
  readonly registration?: string;
  readonly workOrder?: string;
  readonly approvedData?: string;
  /** Typed for this: whoever finds the page open signs nothing. */
  readonly phrase: string;
  readonly deviceId: string;
  readonly parts: readonly {
    readonly factId: string;
    readonly partId: string;
    readonly facts: readonly string[];
    readonly stock: readonly string[];
  }[];
}

/** Its signer takes a sign-off back. */
export const withdrawInput = Joi.object<{ factId: string; reason: string; deviceId: string }>({
  factId: uuid.required(),
  reason: Joi.string().trim().min(1).max(300).required(),
  deviceId: id.required(),
});

/** Texts are held to the shape of the entry when it is stored; here only to what a page can hold. */
const text = Joi.string().trim().min(1).max(1000);
const ids = Joi.array().items(uuid).max(1000).required();

export const signOffInput = Joi.object<SignOffInput>({
  scope: Joi.string()
    .valid(...SIGN_SCOPES)
    .required(),
  words: text.required(),
  standard: text,
  registration: text,
  workOrder: text,
  approvedData: text,
  phrase: Joi.string().max(200).required(),
  deviceId: id.required(),
  parts: Joi.array()
    .min(1)
    .max(400)
    .required()
    .unique('partId')
    .items(Joi.object({ factId: uuid.required(), partId: id.required(), facts: ids, stock: ids })),
});
