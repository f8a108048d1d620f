import Joi from 'joi';

/** What many shapes are made of. */
export const id = Joi.string()
  .trim()
  .min(1)
  .max(64)
  .pattern(/^[\w.:-]+$/, 'id');
export const name = Joi.string().trim().min(1).max(120);
/** By the shop's clock: `09:30`. */
export const clockTime = Joi.string().pattern(/^([01]\d|2[0-3]):[0-5]\d$/, 'clock time, such as 09:30');
/** ISO 4217. */
export const currency = Joi.string().pattern(/^[A-Z]{3}$/, 'currency, three capitals such as EUR');
