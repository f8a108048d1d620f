import Joi from 'joi';
import { uuid } from './uuid.ts';
import { instant } from './time.ts';
import {
  CLEANLINESS,
  FLUIDS,
  MATTERS,
  BINDERS,
  FACES,
  FACILITIES,
  GAUGE_KINDS,
  METALS,
  PIGMENTS,
  STAGES,
  STOCK_KINDS,
  SUBSTRATES,
  TOOLS,
} from '@calvetta/core';
import { capacity, productIds, schools, surveyTemplate } from './route.ts';
import { cup, pack, tinLabel } from './shelf.ts';
import { OLDER_SHOP_FORMATS, SHOP_FORMAT } from '../shop.ts';
import { FACT_BODIES } from './facts.ts';
import { comes } from './entities.ts';
import { clockTime, currency, id, name } from './plain.ts';
import { day } from './time.ts';

const times = Joi.object({
  points: Joi.array()
    .items(
      Joi.object({
        tempC: Joi.number().min(-30).max(250).required(),
        hours: Joi.number().min(0.0001).max(100000).required(),
      }),
    )
    .min(1)
    .max(12)
    .required(),
  activationKjMol: Joi.number().min(0).max(200),
});
const edge = Joi.object({
  stage: Joi.string().valid(...STAGES),
  times,
  p: Joi.number().min(0.01).max(10).required(),
  type: Joi.string().valid('min', 'max').required(),
}).xor('stage', 'times');
const interval = Joi.object({
  from: edge.required(),
  to: edge.allow(null).required(),
  prep: Joi.string().valid('none', 'scuff', 'abrade', 'forbidden').required(),
  wetOnWet: Joi.boolean(),
});
const limit = (least: number, most: number) => Joi.number().min(least).max(most).allow(null).required();
const um = Joi.number().min(1).max(5000).required();

const degree = Joi.number().min(0).max(3);
const ratio = Joi.number().positive().max(1000).required();
const thinPct = Joi.number().min(0).max(100).required();
const few = (list: readonly string[]) =>
  Joi.array()
    .items(Joi.string().valid(...list))
    .unique();
/** What differs from the binder class: any of it, nothing else. */
const traits = Joi.object({
  pigment: Joi.string().valid(...PIGMENTS),
  heatMaxC: Joi.number().min(20).max(1200),
  holdsSun: Joi.boolean(),
  standsAlone: Joi.boolean(),
  barrier: degree,
  look: degree,
  chipProof: degree,
  forgiving: degree,
  removable: degree,
  tools: few(TOOLS),
  bareMetals: few(METALS),
  overOldPaint: Joi.boolean(),
  overPhosphate: Joi.boolean(),
  overFiller: Joi.boolean(),
  needsBlast: Joi.boolean(),
  totalMaxUm: Joi.number().min(1).max(20_000),
  fuelProof: Joi.boolean(),
  leastClean: Joi.string().valid(...CLEANLINESS.slice(1)),
  profileUm: Joi.object({
    min: Joi.number().min(0).max(300).required(),
    max: Joi.number().min(0).max(300).required(),
  }).allow(null),
  tolerates: Joi.object().pattern(Joi.string().valid(...MATTERS), Joi.string().valid('all', 'traces')),
  fluids: few(FLUIDS),
  immersedLeastUm: Joi.number().min(1).max(5000),
  isLining: Joi.boolean(),
  onFins: Joi.boolean(),
  /** Of older files: read as fluids. */
  immersion: Joi.boolean(),
  isLegacy: Joi.boolean(),
  needsOver: Joi.string().valid('clear').allow(null),
  costPerLitre: Joi.number().min(0).max(10_000),
  mix: Joi.object({ a: ratio, b: ratio, by: Joi.string().valid('volume', 'mass').required() }).allow(null),
  thinMaxPct: Joi.object({ gun: thinPct, brush: thinPct }),
  densityKgL: Joi.number().min(0.5).max(8),
  hardenerDensityKgL: Joi.number().min(0.5).max(8),
  thinnerDensityKgL: Joi.number().min(0.5).max(2),
  dryDensityKgL: Joi.number().min(0.5).max(8),
  vocGL: Joi.number().min(0).max(1000),
  shelfClosedMonths: Joi.number().min(0.5).max(240),
  shelfOpenedMonths: Joi.number().min(0.01).max(240).allow(null),
  hardenerOpenedMonths: Joi.number().min(0.01).max(240),
});

/** One revision of a product sheet. */
export const productSheet = Joi.object({
  sheetId: id.required(),
  productId: id.required(),
  revision: Joi.number().integer().min(1).required(),
  name: name.required(),
  binder: Joi.string()
    .valid(...BINDERS)
    .required(),
  packs: Joi.valid(1, 2).required(),
  role: Joi.string()
    .valid('etch', 'primer', 'filler', 'intermediate', 'finish', 'clear', 'cavity')
    .required(),
  bandColour: Joi.string()
    .pattern(/^#[0-9a-f]{6}$/i, 'colour')
    .required(),
  cureBy: Joi.string().valid('time', 'moisture', 'bake').required(),
  stages: Joi.object()
    .pattern(Joi.string().valid(...STAGES), times)
    .required(),
  maxRecoatUnlimited: Joi.boolean().required(),
  followers: Joi.array()
    .items(
      Joi.object({
        follower: Joi.string().max(80).required(),
        intervals: Joi.array().items(interval).required(),
      }),
    )
    .required(),
  forbidden: Joi.array().items(Joi.string().max(80)).required(),
  listedFollowersOnly: Joi.boolean().required(),
  applySurfaceMinC: limit(-40, 300),
  applySurfaceMaxC: limit(-40, 300),
  applyAirMinC: limit(-40, 60),
  applyAirMaxC: limit(-40, 60),
  cureMinC: limit(-40, 300),
  rhMaxPct: limit(0, 100),
  rhMinPct: limit(0, 100),
  dewMarginK: limit(0, 20),
  dftUm: um,
  dftMinUm: um,
  dftMaxUm: um,
  vsPct: Joi.number().min(1).max(100).required(),
  stackExponent: Joi.number().min(1).max(2).required(),
  outdoorLimitH: limit(0, 100_000),
  applyMinPerM2: Joi.number().min(0.1).max(600).required(),
  cautions: Joi.array().items(Joi.string().max(60)).required(),
  traits,
  source: Joi.string().max(300).required(),
  pictureId: Joi.string().pattern(/^[0-9a-f]{64}$/, 'the hash of a picture'),
});

const isAway = Joi.valid(true);
const size = Joi.number().positive().max(200000).allow(null).required();
const part = Joi.object({
  partId: id.required(),
  name: name.required(),
  substrate: Joi.string()
    .valid(...SUBSTRATES)
    .required(),
  massKg: size,
  areaM2: size,
  thicknessMm: size,
  isBrightMetal: Joi.boolean().required(),
  faces: Joi.valid(1, 2).required(),
  colourGroup: name.allow(null).required(),
  pairPartId: id.allow(null).required(),
  comesFrom: Joi.string().trim().min(1).max(300),
  isAway,
  route: Joi.array()
    .items(
      Joi.object({
        stepId: id.required(),
        kind: Joi.string().max(40).required(),
        sheetId: id.allow(null).required(),
        coats: Joi.number().integer().min(0).max(20).required(),
        dftUm: Joi.number().min(1).max(5000).allow(null).required(),
      }),
    )
    .required(),
});

/** What a file of ours says beside; one made by hand has none of it. */
const writtenDown = {
  recordedAt: instant,
  deviceId: id,
  evidence: Joi.object().unknown(true),
};

/** `calvetta-shop/2`; the first is read as well, its surveys with what was not asked then as not known. */
export const shopFile = Joi.object({
  format: Joi.valid(SHOP_FORMAT, ...OLDER_SHOP_FORMATS).required(),
  asOf: instant.required(),
  workshop: Joi.object({
    workshopId: id.required(),
    name: name.required(),
    zone: Joi.string().max(60).required(),
    volumeSystem: Joi.string().valid('us', 'imperial').required(),
    currency,
    hourCents: Joi.number().integer().min(1).max(10_000_000),
    facilities: Joi.array().items(Joi.string().valid(...FACILITIES)),
    schools,
    capacity: capacity.optional(),
    putAway: productIds.optional(),
  }).required(),
  attendance: Joi.array()
    .items(
      Joi.object({
        weekday: Joi.number().integer().min(1).max(7).required(),
        from: clockTime.required(),
        to: clockTime.required(),
      }),
    )
    .required(),
  exceptions: Joi.array().items(
    Joi.object({
      day: Joi.string()
        .pattern(/^\d{4}-\d\d-\d\d$/, 'day')
        .required(),
      from: clockTime.allow(null).required(),
      to: clockTime.allow(null).required(),
    }),
  ),
  people: Joi.array()
    .items(
      Joi.object({
        personId: id.required(),
        name: name.required(),
        isNamed: Joi.boolean(),
        minorUntil: day.allow(null),
        comes: comes.allow(null),
        isAway,
      }),
    )
    .required(),
  places: Joi.array()
    .items(
      Joi.object({
        placeId: id.required(),
        name: name.required(),
        exposure: Joi.string().valid('indoor-still', 'indoor-fans', 'outdoors').required(),
        altitudeM: Joi.number().min(-500).max(9000).required(),
        setpointC: Joi.number().min(-10).max(45).allow(null).required(),
        airOfId: id.allow(null),
        isAway,
      }),
    )
    .required(),
  probes: Joi.array()
    .items(
      Joi.object({
        probeId: id.required(),
        placeId: id.required(),
        partId: id.allow(null).required(),
        name: name.required(),
        isSimulated: Joi.boolean().required(),
        token: Joi.string().min(12).max(80),
        isAway,
      }),
    )
    .required(),
  sheets: Joi.array().items(productSheet).required(),
  machines: Joi.array()
    .items(
      Joi.object({
        machineId: id.required(),
        name: name.required(),
        kind: name.required(),
        accession: Joi.string().trim().min(1).max(80).allow(null),
        isAway,
        assemblies: Joi.array()
          .items(
            Joi.object({
              assemblyId: id.required(),
              name: name.required(),
              isAway,
              parts: Joi.array().items(part).required(),
            }),
          )
          .required(),
      }),
    )
    .required(),
  facts: Joi.array()
    .items(
      Joi.object({
        factId: uuid.required(),
        kind: Joi.string()
          .valid(...Object.keys(FACT_BODIES))
          .required(),
        partId: id.required(),
        face: Joi.string()
          .valid(...FACES)
          .allow(null)
          .required(),
        happenedAt: instant.required(),
        endedAt: instant.allow(null).required(),
        personId: id.required(),
        supersedes: uuid.allow(null).required(),
        body: Joi.object().unknown(true).required(),
        ...writtenDown,
      }),
    )
    .required(),
  tins: Joi.array().items(tinLabel),
  packs: Joi.array().items(pack),
  cups: Joi.array().items(cup),
  gauges: Joi.array().items(
    Joi.object({
      gaugeId: id.required(),
      name: name.required(),
      kind: Joi.string().valid(...GAUGE_KINDS),
      isAway,
    }),
  ),
  stockFacts: Joi.array().items(
    Joi.object({
      factId: uuid.required(),
      kind: Joi.string()
        .valid(...STOCK_KINDS)
        .required(),
      happenedAt: instant.required(),
      personId: id.required(),
      supersedes: uuid.allow(null).required(),
      body: Joi.object().unknown(true).required(),
      ...writtenDown,
    }),
  ),
  templates: Joi.array().items(surveyTemplate),
});
