import type Joi from 'joi';
import type { FieldProblem } from '../errors.ts';

/** Joi's verdict as field problems: which field, what came, what would be accepted. */
export function problemsOf(error: Joi.ValidationError): FieldProblem[] {
  return error.details.map((d) => ({
    field: d.path.join('.'),
    code: d.type,
    got: printable(d.context?.value),
    accepts: acceptsOf(d),
  }));
}

function printable(value: unknown): unknown {
  if (value === undefined) return null;
  if (typeof value === 'string') return value.slice(0, 80);
  return typeof value === 'object' && value !== null ? '…' : value;
}

function acceptsOf(d: Joi.ValidationErrorItem): string {
  const c = d.context ?? {};
  const limit = String(c['limit'] ?? '');
  switch (d.type) {
    case 'number.min':
      return `at least ${limit}`;
    case 'number.max':
      return `at most ${limit}`;
    case 'number.base':
    case 'number.unsafe':
    case 'number.infinity':
      return 'a number, such as 12.5';
    case 'any.required':
      return 'this field is needed';
    case 'any.only':
      return `one of ${(c['valids'] as unknown[] | undefined)?.map(String).join(', ') ?? ''}`;
    case 'date.format':
    case 'string.isoDate':
      return 'a date and time with its offset, such as 2026-03-05T18:40:00Z';
    case 'string.guid':
      return 'a UUID made by the client';
    case 'object.unknown':
      return 'no such field';
    default:
      return d.message.replaceAll('"', '');
  }
}
