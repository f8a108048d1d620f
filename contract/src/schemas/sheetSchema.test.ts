import { describe, expect, it } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { CATALOGUE_SHEETS, seededRandom, type Random } from '@calvetta/core';
import { often } from '../../../core/src/test/often.ts';
import { SHEET_JSON_SCHEMA } from './sheetSchema.ts';
import { productSheet } from './shop.ts';

const SPOILT = often(4500);

const published: unknown = JSON.parse(
  readFileSync(join(import.meta.dirname, '..', '..', '..', 'docs', 'sheet.schema.json'), 'utf8'),
);
// ajv is the general-purpose reference; the published file is what a maker would hold a sheet against.
const byPublished = new Ajv2020({ strict: true, strictRequired: false, strictTypes: false }).compile(
  published as object,
);
const byJoi = (sheet: unknown): boolean => !productSheet.validate(sheet, { convert: false }).error;

type Path = readonly (string | number)[];
function paths(value: unknown, at: Path = []): Path[] {
  if (typeof value !== 'object' || value === null) return [at];
  return [
    at,
    ...Object.entries(value).flatMap(([k, v]) => paths(v, [...at, Array.isArray(value) ? Number(k) : k])),
  ];
}
function withAt(value: unknown, at: Path, change: (x: unknown) => unknown): unknown {
  const [head, ...rest] = at;
  if (head === undefined) return change(value);
  const copy: any = Array.isArray(value) ? [...value] : { ...(value as object) };
  const next = withAt(copy[head], rest, change);
  if (next !== undefined) copy[head] = next;
  else if (Array.isArray(copy)) copy.splice(Number(head), 1);
  else return Object.fromEntries(Object.entries(copy as object).filter(([k]) => k !== head));
  return copy;
}
const STRANGE = (random: Random): unknown => {
  const list: unknown[] = [
    undefined,
    null,
    '',
    'x',
    'time',
    -1,
    0,
    0.5,
    2,
    101,
    1e9,
    true,
    [],
    {},
    { a: 0, b: 1, by: 'volume' },
  ];
  return list[Math.floor(random() * list.length)];
};

describe('the published JSON Schema of a sheet', () => {
  it('is the one the program answers with', () =>
    expect(published).toEqual(JSON.parse(JSON.stringify(SHEET_JSON_SCHEMA))));
  it('takes every sheet of the catalogue', () => {
    for (const s of CATALOGUE_SHEETS) {
      const sheet: unknown = JSON.parse(JSON.stringify(s));
      expect([s.sheetId, byPublished(sheet), byPublished.errors]).toEqual([s.sheetId, true, null]);
      expect([s.sheetId, byJoi(sheet)]).toEqual([s.sheetId, true]);
    }
  });
  it(`agrees with the check on import for ${SPOILT} spoilt sheets`, () => {
    const random = seededRandom(7);
    let refused = 0;
    for (let i = 0; i < SPOILT; i++) {
      const sheet: unknown = JSON.parse(
        JSON.stringify(CATALOGUE_SHEETS[Math.floor(random() * CATALOGUE_SHEETS.length)]!),
      );
      const all = paths(sheet);
      const at = all[Math.floor(random() * all.length)]!;
      const spoilt = withAt(sheet, at, () => STRANGE(random)) ?? null;
      const [a, b] = [byPublished(spoilt), byJoi(spoilt)];
      if (a !== b)
        throw new Error(`case ${i}: schema ${a}, import ${b} at ${at.join('.')}: ${JSON.stringify(spoilt)}`);
      if (!a) refused += 1;
    }
    expect(refused).toBeGreaterThan(SPOILT / 4);
    expect(refused).toBeLessThan(SPOILT);
  });
  it('refuses a ratio of nothing to one, and a trait nobody knows', () => {
    const sheet = CATALOGUE_SHEETS[0]!;
    for (const traits of [
      { mix: { a: 0, b: 1, by: 'volume' } },
      { gloss: 90 },
      { thinMaxPct: { gun: 300, brush: 5 } },
    ]) {
      expect(byPublished({ ...sheet, traits })).toBe(false);
      expect(byJoi({ ...sheet, traits })).toBe(false);
    }
  });
});
