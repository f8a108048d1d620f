import Joi from 'joi';
import { day } from './time.ts';
import { uuid } from './uuid.ts';
import type { DataShape } from '@calvetta/core';
import { routeStep, survey } from './route.ts';

/** Shapes with a checker of their own. */
const NAMED: Readonly<Record<string, Joi.Schema>> = { survey, 'route-step': routeStep };
/** Ids the shop gives. */
export const SHOP_ID = /^[\w.:-]+$/;
const MOST_ID = 64;

/** The check at the door that a shape stands for. Throws where a named shape has no checker: a fault of the program. */
export function joiOf(shape: DataShape): Joi.Schema {
  switch (shape.is) {
    case 'text':
      return Joi.string().trim().min(1).max(shape.most);
    case 'id':
      return Joi.string().trim().min(1).max(MOST_ID).pattern(SHOP_ID, 'id');
    case 'day':
      return day;
    case 'uuid':
      return uuid;
    case 'number': {
      const at = shape.isAbove ? Joi.number().greater(shape.least) : Joi.number().min(shape.least);
      return shape.isWhole ? at.max(shape.most).integer() : at.max(shape.most);
    }
    case 'one-of':
      return Joi.valid(...shape.values);
    case 'yes-no':
      return Joi.boolean();
    case 'or-null':
      return joiOf(shape.of).allow(null);
    case 'list':
      return Joi.array().items(joiOf(shape.of)).min(shape.least).max(shape.most);
    case 'object': {
      const of = Joi.object({
        ...mapped(shape.needs, (s) => joiOf(s).required()),
        ...mapped(shape.may, (s) => joiOf(s).optional()),
      });
      return shape.oneOf.length > 0 ? of.xor(...shape.oneOf) : of;
    }
    case 'named': {
      const own = NAMED[shape.name];
      if (!own) throw new Error(`no checker for the shape ${shape.name}`);
      return own;
    }
  }
}

/** The same as JSON Schema 2020-12, for whoever writes to Calvetta from outside. */
export function jsonSchemaOf(shape: DataShape): Record<string, unknown> {
  switch (shape.is) {
    case 'text':
      return { type: 'string', minLength: 1, maxLength: shape.most };
    case 'id':
      return { type: 'string', minLength: 1, maxLength: MOST_ID, pattern: SHOP_ID.source };
    case 'day':
      return { type: 'string', format: 'date' };
    case 'uuid':
      return { type: 'string', format: 'uuid' };
    case 'number':
      return {
        type: shape.isWhole ? 'integer' : 'number',
        [shape.isAbove ? 'exclusiveMinimum' : 'minimum']: shape.least,
        maximum: shape.most,
      };
    case 'one-of':
      return { enum: shape.values };
    case 'yes-no':
      return { type: 'boolean' };
    case 'or-null':
      return { anyOf: [jsonSchemaOf(shape.of), { type: 'null' }] };
    case 'list':
      return {
        type: 'array',
        items: jsonSchemaOf(shape.of),
        minItems: shape.least,
        maxItems: shape.most,
      };
    case 'object':
      return {
        type: 'object',
        properties: { ...mapped(shape.needs, jsonSchemaOf), ...mapped(shape.may, jsonSchemaOf) },
        required: Object.keys(shape.needs),
        additionalProperties: false,
        ...(shape.oneOf.length > 0 ? { oneOf: shape.oneOf.map((field) => ({ required: [field] })) } : {}),
      };
    case 'named':
      return { type: 'object', title: shape.name };
  }
}

const mapped = <A, B>(of: Readonly<Record<string, A>>, each: (a: A) => B): Record<string, B> =>
  Object.fromEntries(Object.entries(of).map(([k, v]) => [k, each(v)]));
