import type Joi from 'joi';
import { problemsOf } from '@calvetta/contract/schemas';
import { lookThrough, WHOLE_SHOP } from './bounds.ts';
import { invalidInput } from './errors.ts';

/** More values than a person fills in by hand. */
const MANY = 5_000;

/** The value as the schema types it, or an `invalid-input` refusal naming every field. */
export function valid<T>(schema: Joi.ObjectSchema<T>, value: unknown, convert = false): T {
  // Every problem of a form is named; of a heap of them the first will do, or the naming takes longer than the work.
  const abortEarly = lookThrough(value, WHOLE_SHOP).count > MANY;
  const r = schema.validate(value ?? {}, { abortEarly, convert });
  if (r.error) throw invalidInput(problemsOf(r.error));
  return r.value;
}
