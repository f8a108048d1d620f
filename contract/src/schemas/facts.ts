import Joi from 'joi';
import { uuid } from './uuid.ts';
import { instant } from './time.ts';
import { FACES, PART_FACTS, type FactKind } from '@calvetta/core';
import type { FactInput } from '../api.ts';
import { joiOf, SHOP_ID } from './shape.ts';

const id = Joi.string().trim().min(1).max(64).pattern(SHOP_ID, 'id');

/** The body each kind of fact may carry. */
export const FACT_BODIES = Object.fromEntries(
  Object.entries(PART_FACTS).map(([kind, { body }]) => [kind, joiOf(body)]),
) as Readonly<Record<FactKind, Joi.Schema>>;

const when = instant;

export const factInput = Joi.object<FactInput, true>({
  factId: uuid.required(),
  kind: Joi.string()
    .valid(...Object.keys(FACT_BODIES))
    .required(),
  partId: id.required(),
  face: Joi.string()
    .valid(...FACES)
    .allow(null)
    .required(),
  happenedAt: when.required(),
  endedAt: when.allow(null).required(),
  personId: id.required(),
  deviceId: id.required(),
  supersedes: uuid.allow(null).required(),
  body: Joi.object().unknown(true).required(),
  evidence: Joi.object().unknown(true).allow(null).required(),
});

/** One fact or many, at most 500 at a time. `each`: a part that is refused does not hold up the others. */
export const factsInput = Joi.object<{ facts: FactInput[]; each: boolean }, true>({
  facts: Joi.array().items(factInput).min(1).max(500).required(),
  each: Joi.boolean().default(false),
});
