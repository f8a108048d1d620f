import Joi from 'joi';

/** An id a device made. Passed on in small letters: the same id in capitals is the same id. */
export const uuid = Joi.string()
  .guid()
  .custom((text: string) => text.toLowerCase());
