import type { Random } from '@calvetta/core';

/** For tests only: values from a JSON Schema, and ways to spoil them. */
type Schema = Readonly<Record<string, any>>;

const pick = <T>(list: readonly T[], random: Random): T => list[Math.floor(random() * list.length)]!;
const NEAR = Date.UTC(2026, 2, 5, 12);
const DEEP = 12;

function text(s: Schema, random: Random, ids: readonly string[]): string {
  if (s['format'] === 'uuid' || s['format'] === 'guid') return uuid(random);
  if (s['format'] === 'date-time') return new Date(NEAR - random() * 5 * 86_400_000).toISOString();
  if (String(s['pattern'] ?? '').includes('\\d{4}-')) return '2026-01-15';
  if (random() < 0.5) return pick(ids, random);
  const most = Math.min(Number(s['maxLength'] ?? 12), 12);
  return 'abcdefgh-1234'.slice(0, Math.max(Number(s['minLength'] ?? 1), Math.ceil(random() * most)));
}

export function uuid(random: Random): string {
  const hex = (n: number): string =>
    Array.from({ length: n }, () => Math.floor(random() * 16).toString(16)).join('');
  return `${hex(8)}-${hex(4)}-4${hex(3)}-8${hex(3)}-${hex(12)}`;
}

function figure(s: Schema, random: Random): number {
  const least = Number(s['minimum'] ?? s['exclusiveMinimum'] ?? 0);
  const most = Math.min(Number(s['maximum'] ?? s['exclusiveMaximum'] ?? 100), least + 1000);
  const x = least + (most - least) * (0.02 + 0.96 * random());
  return s['type'] === 'integer' ? Math.round(x) : Number(x.toFixed(3));
}

/** A value that fits the schema, as far as it is plain. What it points at is taken from `ids` half of the time. */
export function schemaValues(schema: Schema, random: Random, ids: readonly string[], depth = 0): unknown {
  const s: Schema =
    (schema['anyOf'] ?? schema['oneOf'])
      ? { ...schema, ...pick<Schema>(schema['anyOf'] ?? schema['oneOf'], random) }
      : schema;
  if ('const' in s) return s['const'];
  if (Array.isArray(s['enum'])) return pick(s['enum'], random);
  const type = Array.isArray(s['type']) ? pick<string>(s['type'], random) : s['type'];
  if (depth > DEEP) return null;
  switch (type) {
    case 'string':
      return text(s, random, ids);
    case 'integer':
    case 'number':
      return figure({ ...s, type }, random);
    case 'boolean':
      return random() < 0.5;
    case 'null':
      return null;
    case 'array': {
      const n = Math.min(Number(s['minItems'] ?? 0) + Math.floor(random() * 2.5), Number(s['maxItems'] ?? 3));
      const items: Schema = Array.isArray(s['items']) ? (s['items'][0] as Schema) : (s['items'] ?? {});
      return Array.from({ length: n }, () => schemaValues(items, random, ids, depth + 1));
    }
    default:
      return s['properties']
        ? objectOf(s, random, ids, depth)
        : pick<unknown>(['x', 1, null, {}, true], random);
  }
}

function objectOf(s: Schema, random: Random, ids: readonly string[], depth: number): Record<string, unknown> {
  const required: readonly string[] = s['required'] ?? [];
  const out: Record<string, unknown> = {};
  for (const [name, of] of Object.entries<Schema>(s['properties']))
    if (required.includes(name) || random() < 0.4) out[name] = schemaValues(of, random, ids, depth + 1);
  // A kind says what its body holds.
  for (const rule of (s['allOf'] ?? []) as Schema[]) {
    const [field, is] = Object.entries<Schema>(rule['if']?.properties ?? {})[0] ?? [];
    if (field === undefined || out[field] !== is?.['const']) continue;
    for (const [name, of] of Object.entries<Schema>(rule['then']?.properties ?? {}))
      out[name] = schemaValues(of, random, ids, depth + 1);
  }
  return out;
}

const WRONG: readonly unknown[] = [
  null,
  '',
  ' ',
  'x'.repeat(5000),
  '\u0000',
  '\ud800',
  '‮abc',
  '<img src=x onerror=alert(1)>',
  '=HYPERLINK("x")',
  -1,
  0,
  1e308,
  -1e308,
  2 ** 31,
  2 ** 53,
  0.1 + 0.2,
  true,
  [],
  {},
  [[[[[[]]]]]],
  { __proto__: null, constructor: 1 },
  '9999-12-31T23:59:59Z',
  '2026-02-30',
  'NaN',
];

/** The same value with one to three places changed, taken out or added. */
export function spoil(value: unknown, random: Random): unknown {
  const copy = structuredClone(value);
  const places: [any, string][] = [];
  const walk = (v: unknown): void => {
    if (typeof v !== 'object' || v === null) return;
    for (const key of Object.keys(v)) {
      places.push([v, key]);
      walk((v as Record<string, unknown>)[key]);
    }
  };
  walk(copy);
  if (places.length === 0) return pick(WRONG, random);
  for (let i = 0; i < 1 + Math.floor(random() * 3); i++) {
    const [at, key] = pick(places, random);
    const how = random();
    if (how < 0.2 && !Array.isArray(at)) Reflect.deleteProperty(at, key);
    else if (how < 0.3) at[`${key}x`] = 1;
    else at[key] = pick(WRONG, random);
  }
  return copy;
}
