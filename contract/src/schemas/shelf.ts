import Joi from 'joi';
import { version } from './version.ts';
import { uuid } from './uuid.ts';
import { day, instant } from './time.ts';
import { CONTENTS, STOCK_FACTS, STOCK_KINDS, type StockKind } from '@calvetta/core';
import { joiOf } from './shape.ts';
import type { CupView, NewTin, NewTinInput, Pack, StockFactInput } from '../shelf.ts';

const id = Joi.string()
  .trim()
  .min(1)
  .max(64)
  .pattern(/^[\w.:-]+$/, 'id');
const label = Joi.string().trim().min(1).max(60);
const content = Joi.string()
  .valid(...CONTENTS)
  .required();
const when = instant.required();
/** A level may be nothing, never less. */
const level = Joi.number().min(0).max(1_000_000).required();

/** What is printed on a tin. */
export const tinLabel = Joi.object<NewTin>({
  tinId: id.required(),
  productId: id.required(),
  content,
  batch: label.allow(null).required(),
  colour: label.allow(null).required(),
  sizeMl: Joi.number().positive().max(1_000_000).required(),
  madeOn: day.allow(null).required(),
  priceCents: Joi.number().integer().min(0).max(100_000_000).allow(null).required(),
  tareG: Joi.number().positive().max(100_000).allow(null).required(),
});

export const newTin = Joi.object<NewTinInput, true>({
  tin: tinLabel.required(),
  receivedMl: level,
  factId: uuid.required(),
  happenedAt: when,
  personId: id.required(),
  deviceId: id.required(),
});

/** What may be corrected on a tin's label; the version says which state the person was looking at. */
export interface TinPatch {
  readonly version: number;
  readonly batch?: string | null;
  readonly colour?: string | null;
  readonly madeOn?: string | null;
  readonly priceCents?: number | null;
  readonly tareG?: number | null;
}
export const tinPatch = Joi.object<TinPatch>({
  version,
  batch: label.allow(null),
  colour: label.allow(null),
  madeOn: day.allow(null),
  priceCents: Joi.number().integer().min(0).max(100_000_000).allow(null),
  tareG: Joi.number().positive().max(100_000).allow(null),
}).min(2);

export const pack = Joi.object<Pack, true>({
  packId: id.required(),
  productId: id.required(),
  content,
  sizeMl: Joi.number().integer().min(1).max(1_000_000).required(),
  priceCents: Joi.number().integer().min(0).max(100_000_000).required(),
});
const mm = Joi.number().min(5).max(1000).required();
export const cup = Joi.object<CupView, true>({
  cupId: id.required(),
  name: label.required(),
  bottomMm: mm,
  topMm: mm,
  heightMm: mm,
});

/** The body each kind of stock fact may carry. */
export const STOCK_BODIES = Object.fromEntries(
  Object.entries(STOCK_FACTS).map(([kind, { body }]) => [kind, joiOf(body)]),
) as Readonly<Record<StockKind, Joi.Schema>>;

/** One or many; bodies are checked by their kind. */
export const stockFactsInput = Joi.object<{ facts: StockFactInput[] }, true>({
  facts: Joi.array()
    .items(
      Joi.object({
        factId: uuid.required(),
        kind: Joi.string()
          .valid(...STOCK_KINDS)
          .required(),
        happenedAt: when,
        personId: id.required(),
        deviceId: id.required(),
        supersedes: uuid.allow(null).required(),
        body: Joi.object().unknown(true).required(),
      }),
    )
    .min(1)
    .max(500)
    .required(),
});
