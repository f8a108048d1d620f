import type Joi from 'joi';
import { problemsOf } from '@calvetta/contract/schemas';
import { invalidInput } from './errors.ts';

/** The value as the schema types it, or an `invalid-input` refusal naming every field. */
export function valid<T>(schema: Joi.ObjectSchema<T>, value: unknown, convert = false): T {
  const r = schema.validate(value ?? {}, { abortEarly: false, convert });
  if (r.error) throw invalidInput(problemsOf(r.error));
  return r.value;
}
