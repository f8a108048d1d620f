import { describe, expect, it } from '@jest/globals';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { PART_FACTS, pointersIn, seededRandom, STOCK_FACTS, type DataShape } from '@calvetta/core';
import { joiOf, jsonSchemaOf } from './shape.ts';

/** ajv is the outside: a checker that knows nothing of ours, reading the published schema. */
const ajv = new Ajv2020({
  strict: true,
  strictRequired: false,
  formats: {
    date: (text) => {
      const at = Date.parse(`${text}T00:00:00Z`);
      return (
        /^\d{4}-\d\d-\d\d$/.test(text) && !Number.isNaN(at) && new Date(at).toISOString().startsWith(text)
      );
    },
    uuid: /^[0-9a-f]{8}-[0-9a-f]{4}-[1-8][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/,
  },
});
const KINDS = Object.entries({ ...PART_FACTS, ...STOCK_FACTS }).map(
  ([name, k]) => [name, k.body as DataShape] as const,
);

type Random = () => number;
const pick = <T>(r: Random, of: readonly T[]): T => of[Math.floor(r() * of.length)]!;

/** A value that fits, or very nearly: at an edge, just past it, of another kind, with a field too many or too few. */
function near(shape: DataShape, r: Random): unknown {
  if (r() < 0.04) return pick(r, [null, 7, 'x', true, [], {}]);
  switch (shape.is) {
    case 'text':
      return 'a'.repeat(pick(r, [1, 2, shape.most, shape.most + 1]));
    case 'id':
      return pick(r, ['epoxy.1', 'a', 'a b', 'x'.repeat(64), 'x'.repeat(65)]);
    case 'day':
      return pick(r, [
        '2031-03-05',
        '2028-02-29',
        '2031-02-29',
        '2031-02-30',
        '2031-13-01',
        '5 March',
        '2031-3-5',
      ]);
    case 'uuid':
      return pick(r, ['0b0e7c1a-5d0f-4a54-9b4e-7a4f5f1f2d11', 'none']);
    case 'number':
      return pick(r, [
        shape.least,
        shape.most,
        shape.least - 1,
        shape.most + 1,
        (shape.least + shape.most) / 2,
      ]);
    case 'one-of':
      return pick(r, [...shape.values, 'something else']);
    case 'yes-no':
      return pick(r, [true, false]);
    case 'or-null':
      return r() < 0.3 ? null : near(shape.of, r);
    case 'list':
      return Array.from({ length: pick(r, [shape.least, shape.least + 2, 0]) }, () => near(shape.of, r));
    case 'object': {
      const out: Record<string, unknown> = {};
      for (const [k, s] of Object.entries(shape.needs)) if (r() > 0.04) out[k] = near(s, r);
      for (const [k, s] of Object.entries(shape.may)) if (r() > 0.6) out[k] = near(s, r);
      if (r() < 0.04) out['surplus'] = 1;
      return out;
    }
    case 'named':
      return {};
  }
}

describe('a shape, its check at the door and its published schema', () => {
  // A survey and a route step have checkers of their own, with tests of their own.
  const plain = KINDS.filter(([name]) => name !== 'surveyed' && name !== 'route-set');
  it.each(plain)(
    '%s: joi and ajv say the same of 400 values near the edges, and both say yes and no',
    (_, shape) => {
      const joi = joiOf(shape);
      const validate = ajv.compile(jsonSchemaOf(shape));
      const random = seededRandom(11);
      const said = new Set<boolean>();
      // One with many fields is seldom right in all of them: it is drawn until it has been.
      for (let i = 0; i < 400 || (said.size < 2 && i < 8000); i++) {
        const value = near(shape, random);
        const byJoi = joi.required().validate(value, { convert: false }).error === undefined;
        expect({ value, ok: byJoi }).toEqual({ value, ok: validate(value) });
        said.add(byJoi);
      }
      expect([...said].sort()).toEqual([false, true]);
    },
  );
  it('points at what it names, wherever it stands, and at nothing where it is null', () => {
    const mixed = { mixId: 'm', sheetId: 's', aTinId: 'a', bTinId: null, thinnerTinId: 't', placeId: 'p' };
    expect(pointersIn(STOCK_FACTS.mixed.body, mixed)).toEqual([
      { field: 'sheetId', of: 'sheet', id: 's' },
      { field: 'aTinId', of: 'tin', id: 'a' },
      { field: 'thinnerTinId', of: 'tin', id: 't' },
      { field: 'placeId', of: 'place', id: 'p' },
    ]);
    expect(pointersIn(PART_FACTS.coated.body, { sheetId: 's', dftUm: 60, mixId: 'm' })).toEqual([
      { field: 'sheetId', of: 'sheet', id: 's' },
      { field: 'mixId', of: 'mix', id: 'm' },
    ]);
  });
});
