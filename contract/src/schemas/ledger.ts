import Joi from 'joi';
import { MARKS, type Mark } from '@calvetta/core';

const id = Joi.string().max(120);
export interface RiverQuery {
  readonly from?: Date;
  readonly to?: Date;
  readonly machine?: string;
  readonly part?: string;
  readonly person?: string;
  readonly product?: string;
  readonly batch?: string;
  readonly mark?: Mark;
  readonly words?: string;
}
/** What of the record is asked for. */
export const riverQuery = Joi.object<RiverQuery>({
  from: Joi.date().iso(),
  to: Joi.date().iso(),
  machine: id,
  part: id,
  person: id,
  product: id,
  batch: Joi.string().max(40),
  mark: Joi.string().valid(...MARKS),
  words: Joi.string().max(200),
});
export const recallQuery = Joi.object<{ batch: string }>({ batch: Joi.string().max(40).required() });
