import type Joi from 'joi';
import parse from 'joi-to-json';
import { PART_FACTS, STOCK_FACTS, type DataShape } from '@calvetta/core';
import { ERROR_CODES } from '../errors.ts';
import { API_ROUTES, type ApiRoute } from './routes.ts';
import { jsonSchemaOf } from './shape.ts';

type Json = Record<string, unknown>;

/** The package says `export default` and is a CommonJS module: what comes in is the function itself. */
const toJson = parse as unknown as (schema: Joi.Schema, draft: 'json-draft-2019-09') => Json;
/** A check at the door as JSON Schema. */
const schemaOfJoi = (schema: Joi.Schema): Json => toJson(schema, 'json-draft-2019-09');

/** Entries say by their kind what their body holds. */
function entrySchema(envelope: Json, kinds: Readonly<Record<string, { readonly body: DataShape }>>): Json {
  return {
    ...envelope,
    allOf: Object.entries(kinds).map(([kind, { body }]) => ({
      if: { properties: { kind: { const: kind } }, required: ['kind'] },
      then: { properties: { body: jsonSchemaOf(body) } },
    })),
  };
}

function bodySchema(route: ApiRoute): Json {
  const plain = schemaOfJoi(route.body!);
  const kinds = route.path === '/facts' ? PART_FACTS : route.path === '/stock-facts' ? STOCK_FACTS : null;
  if (!kinds) return plain;
  const facts = (plain['properties'] as Record<string, Json>)['facts']!;
  return {
    ...plain,
    properties: { facts: { ...facts, items: entrySchema(facts['items'] as Json, kinds) } },
  };
}

const ERROR: Json = {
  type: 'object',
  required: ['code', 'details', 'remedy'],
  properties: {
    code: { enum: ERROR_CODES },
    details: { type: 'object' },
    remedy: { type: 'string', description: 'What would be accepted, in plain words' },
  },
};

function operation(route: ApiRoute): Json {
  const named = [...route.path.matchAll(/:(\w+)/g)].map((m) => m[1]!);
  const text = { type: 'string' };
  return {
    summary: route.says,
    parameters: [
      ...named.map((name) => ({ name, in: 'path', required: true, schema: text })),
      ...(route.query ?? []).map((name) => ({ name, in: 'query', required: false, schema: text })),
    ],
    ...(route.body
      ? {
          requestBody: {
            required: true,
            content: {
              'application/json': { schema: bodySchema(route) },
              ...(route.csv ? { 'text/csv': { schema: text } } : {}),
            },
          },
        }
      : {}),
    ...(route.picture
      ? {
          requestBody: {
            required: true,
            content: {
              'multipart/form-data': {
                schema: {
                  type: 'object',
                  required: ['file'],
                  properties: { file: { type: 'string', format: 'binary' } },
                },
              },
            },
          },
        }
      : {}),
    responses: {
      '2XX': { description: 'Done', content: { [route.answers ?? 'application/json']: {} } },
      default: {
        description: 'Refused, with what would be accepted',
        content: { 'application/json': { schema: { $ref: '#/components/schemas/Error' } } },
      },
    },
  };
}

/** The API in OpenAPI 3.1, made from the table of its doors. */
export function openApi(): Json {
  const paths: Record<string, Json> = {};
  for (const route of API_ROUTES) {
    const at = `/api${route.path.replaceAll(/:(\w+)/g, '{$1}')}`;
    paths[at] = { ...paths[at], [route.method]: operation(route) };
  }
  return {
    openapi: '3.1.0',
    info: {
      title: 'Calvetta',
      version: '1',
      description: 'Surveys, routes, windows, mixes and records of a restoration workshop.',
    },
    jsonSchemaDialect: 'https://json-schema.org/draft/2019-09/schema',
    paths,
    components: { schemas: { Error: ERROR } },
  };
}
