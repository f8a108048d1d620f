import Joi from 'joi';
import { instantFrom } from '@calvetta/core';

/** A moment, RFC 3339 with its offset; passed on as UTC in milliseconds. The only check of times at the doors. */
export const instant = Joi.string()
  .max(40)
  .custom((text: string, helpers) => {
    const ms = instantFrom(text);
    return ms === null ? helpers.error('string.isoDate') : new Date(ms).toISOString();
  })
  .meta({ format: 'date-time' });

/** A day of the calendar: one that exists, 1900 to 2199. */
export const day = Joi.string()
  .pattern(/^\d{4}-\d\d-\d\d$/, 'day')
  .custom((text: string, helpers) =>
    instantFrom(`${text}T00:00:00Z`) === null ? helpers.error('string.pattern.name') : text,
  );
