import { BINDERS, CLEANLINESS, FLUIDS, MATTERS, METALS, PIGMENTS, STAGES, TOOLS } from '@calvetta/core';

const number = (minimum: number, maximum: number) => ({ type: 'number', minimum, maximum }) as const;
const orNull = (s: object) => ({ anyOf: [s, { type: 'null' }] });
const oneOf = (list: readonly string[]) => ({ enum: [...list] });
const flag = { type: 'boolean' } as const;
const text = (maxLength: number) => ({ type: 'string', maxLength }) as const;
const closed = (properties: Record<string, object>, required = Object.keys(properties)) => ({
  type: 'object',
  properties,
  required,
  additionalProperties: false,
});
const ID = { type: 'string', minLength: 1, maxLength: 64, pattern: '^[\\w.:-]+$' } as const;
const um = number(1, 5000);
const ratio = { type: 'number', exclusiveMinimum: 0, maximum: 1000 } as const;
const set = (list: readonly string[]) => ({ type: 'array', items: oneOf(list), uniqueItems: true });

const times = closed(
  {
    points: {
      type: 'array',
      minItems: 1,
      maxItems: 12,
      items: closed({ tempC: number(-30, 250), hours: number(0.0001, 100_000) }),
    },
    activationKjMol: number(0, 200),
  },
  ['points'],
);
const edge = {
  ...closed(
    {
      stage: oneOf(STAGES),
      times: { $ref: '#/$defs/times' },
      p: number(0.01, 10),
      type: oneOf(['min', 'max']),
    },
    ['p', 'type'],
  ),
  oneOf: [{ required: ['stage'] }, { required: ['times'] }],
};
const interval = closed(
  {
    from: { $ref: '#/$defs/edge' },
    to: orNull({ $ref: '#/$defs/edge' }),
    prep: oneOf(['none', 'scuff', 'abrade', 'forbidden']),
    wetOnWet: flag,
  },
  ['from', 'to', 'prep'],
);
const traits = closed(
  {
    pigment: oneOf(PIGMENTS),
    heatMaxC: number(20, 1200),
    holdsSun: flag,
    standsAlone: flag,
    barrier: number(0, 3),
    look: number(0, 3),
    chipProof: number(0, 3),
    forgiving: number(0, 3),
    removable: number(0, 3),
    tools: set(TOOLS),
    bareMetals: set(METALS),
    overOldPaint: flag,
    overPhosphate: flag,
    overFiller: flag,
    needsBlast: flag,
    totalMaxUm: number(1, 20_000),
    fuelProof: flag,
    leastClean: oneOf(CLEANLINESS.slice(1)),
    profileUm: orNull(closed({ min: number(0, 300), max: number(0, 300) })),
    tolerates: {
      type: 'object',
      properties: Object.fromEntries(MATTERS.map((m) => [m, oneOf(['all', 'traces'])])),
      additionalProperties: false,
    },
    fluids: set(FLUIDS),
    immersedLeastUm: number(1, 5000),
    isLining: flag,
    onFins: flag,
    // Of older files: read as fluids.
    immersion: flag,
    isLegacy: flag,
    needsOver: { enum: ['clear', null] },
    costPerLitre: number(0, 10_000),
    mix: orNull(closed({ a: ratio, b: ratio, by: oneOf(['volume', 'mass']) })),
    thinMaxPct: closed({ gun: number(0, 100), brush: number(0, 100) }),
    densityKgL: number(0.5, 8),
    hardenerDensityKgL: number(0.5, 8),
    thinnerDensityKgL: number(0.5, 2),
    dryDensityKgL: number(0.5, 8),
    vocGL: number(0, 1000),
    shelfClosedMonths: number(0.5, 240),
    shelfOpenedMonths: orNull(number(0.01, 240)),
    hardenerOpenedMonths: number(0.01, 240),
  },
  [],
);
const OPTIONAL = ['traits', 'pictureId'];
const properties = {
  sheetId: ID,
  productId: ID,
  revision: { type: 'integer', minimum: 1 },
  name: { type: 'string', minLength: 1, maxLength: 120, pattern: '^\\S(.*\\S)?$' },
  binder: oneOf(BINDERS),
  packs: { enum: [1, 2] },
  role: oneOf(['etch', 'primer', 'filler', 'intermediate', 'finish', 'clear', 'cavity']),
  bandColour: { type: 'string', pattern: '^#[0-9a-fA-F]{6}$' },
  cureBy: oneOf(['time', 'moisture', 'bake']),
  stages: {
    type: 'object',
    properties: Object.fromEntries(STAGES.map((s) => [s, { $ref: '#/$defs/times' }])),
    additionalProperties: false,
  },
  maxRecoatUnlimited: flag,
  followers: {
    type: 'array',
    items: closed({
      follower: { type: 'string', minLength: 1, maxLength: 80 },
      intervals: { type: 'array', items: { $ref: '#/$defs/interval' } },
    }),
  },
  forbidden: { type: 'array', items: { type: 'string', minLength: 1, maxLength: 80 } },
  listedFollowersOnly: flag,
  applySurfaceMinC: orNull(number(-40, 300)),
  applySurfaceMaxC: orNull(number(-40, 300)),
  applyAirMinC: orNull(number(-40, 60)),
  applyAirMaxC: orNull(number(-40, 60)),
  cureMinC: orNull(number(-40, 300)),
  rhMaxPct: orNull(number(0, 100)),
  rhMinPct: orNull(number(0, 100)),
  dewMarginK: orNull(number(0, 20)),
  dftUm: um,
  dftMinUm: um,
  dftMaxUm: um,
  vsPct: number(1, 100),
  stackExponent: number(1, 2),
  outdoorLimitH: orNull(number(0, 100_000)),
  applyMinPerM2: number(0.1, 600),
  cautions: { type: 'array', items: { ...text(60), minLength: 1 } },
  traits: { $ref: '#/$defs/traits' },
  source: { ...text(300), minLength: 1 },
  pictureId: { type: 'string', pattern: '^[0-9a-f]{64}$' },
};

/** The public format of one sheet as JSON Schema (draft 2020-12). The same file stands in `docs/sheet.schema.json`. */
export const SHEET_JSON_SCHEMA = {
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title: 'Product sheet',
  description:
    'One immutable revision of a coating’s sheet: times at temperatures, windows by follower, film, conditions. Units are in the names.',
  ...closed(
    properties,
    Object.keys(properties).filter((k) => !OPTIONAL.includes(k)),
  ),
  $defs: { times, edge, interval, traits },
} as const;
