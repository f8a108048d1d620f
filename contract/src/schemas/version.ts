import Joi from 'joi';

/** Which state of a thing a person was looking at; as much as the database counts to. */
export const version = Joi.number().integer().min(1).max(2_147_483_647).required();
