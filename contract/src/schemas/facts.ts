import Joi from 'joi';
import {
  SEEN_PAINT,
  SEEN_RUST,
  SEEN_WATER,
  ACCEPTANCE,
  CONTAMINANTS,
  FACES,
  GAUGE_ZEROS,
  PROFILES,
  LARGEST_BATCH_ML,
  PRETREATMENTS,
  STRIP_METHODS,
  TESTS,
  THICKEST_READING_UM,
  type FactKind,
} from '@calvetta/core';
import type { FactInput } from '../api.ts';
import { routeStep, survey } from './route.ts';

const id = Joi.string()
  .trim()
  .min(1)
  .max(64)
  .pattern(/^[\w.:-]+$/, 'id');
const reason = Joi.string().trim().min(1).max(300);
const none = Joi.object({});

const filmUm = Joi.number().min(0).max(THICKEST_READING_UM);
const limitUm = Joi.number().positive().max(THICKEST_READING_UM).allow(null).required();
const filmRead = Joi.object({
  scope: Joi.valid('system', 'coat').required(),
  by: Joi.valid('gauge', 'comb').required(),
  readingsUm: Joi.array().items(filmUm).min(1).max(2000).required(),
  perSpot: Joi.valid(1, 3).required(),
  zero: Joi.valid(...GAUGE_ZEROS).required(),
  profile: Joi.valid(...PROFILES).required(),
  baseUm: filmUm.allow(null).required(),
  rule: Joi.valid(...ACCEPTANCE).required(),
  nominalUm: Joi.number().positive().max(THICKEST_READING_UM).required(),
  minUm: limitUm,
  maxUm: limitUm,
});

/** The body each kind of fact may carry. */
export const FACT_BODIES: Readonly<Record<FactKind, Joi.ObjectSchema>> = {
  stripped: Joi.object({ method: Joi.valid(...STRIP_METHODS).required() }),
  pretreated: Joi.object({
    method: Joi.valid(...PRETREATMENTS).required(),
    limitHours: Joi.number().min(0.5).max(168),
  }),
  degreased: none,
  wiped: none,
  abraded: Joi.object({
    how: Joi.valid('dry', 'wet').required(),
    gritP: Joi.number().integer().min(16).max(5000),
  }),
  'cut-through': none,
  contaminated: Joi.object({ by: Joi.valid(...CONTAMINANTS).required() }),
  wetted: Joi.object({ by: Joi.valid('rain', 'dew', 'wash', 'other').required() }),
  coated: Joi.object({
    sheetId: id.required(),
    dftUm: Joi.number().min(1).max(2000).required(),
    batch: Joi.string().trim().max(40),
    thinnerPct: Joi.number().min(0).max(100),
    tool: Joi.valid('brush', 'roller', 'gun', 'aerosol'),
    /** The coat this one covers: it cannot be earlier than that. */
    over: Joi.string().guid(),
    reason,
    mixId: id,
    usedMl: Joi.number().positive().max(LARGEST_BATCH_ML),
  }),
  turned: Joi.object({ faceUp: Joi.valid(...FACES).required() }),
  baked: Joi.object({
    tempC: Joi.number().min(40).max(700).required(),
    minutes: Joi.number().min(1).max(6000).required(),
  }),
  tested: Joi.object({ test: Joi.valid(...TESTS).required(), reached: Joi.boolean().required() }),
  moved: Joi.object({ placeId: id.required() }),
  'surface-read': Joi.object({ surfaceC: Joi.number().min(-40).max(120).required() }),
  'film-read': filmRead,
  inspected: Joi.object({
    seen: Joi.object({
      rust: Joi.valid(...SEEN_RUST).required(),
      paint: Joi.valid(...SEEN_PAINT).required(),
      water: Joi.valid(...SEEN_WATER).required(),
    }).required(),
  }),
  'gate-accepted': Joi.object({ gate: Joi.string().max(40).required(), reason: reason.required() }),
  surveyed: Joi.object({ survey: survey.required() }),
  'route-set': Joi.object({
    routeId: Joi.string().max(400).required(),
    origin: Joi.valid('advised', 'edited', 'overridden').required(),
    steps: Joi.array().items(routeStep).min(1).max(160).required(),
    reason,
  }),
  noted: Joi.object({ text: Joi.string().trim().min(1).max(2000).required() }),
  voided: Joi.object({ reason: reason.optional() }),
};

const when = Joi.string().isoDate();

export const factInput = Joi.object<FactInput, true>({
  factId: Joi.string().guid().required(),
  kind: Joi.string()
    .valid(...Object.keys(FACT_BODIES))
    .required(),
  partId: id.required(),
  face: Joi.string()
    .valid(...FACES)
    .allow(null)
    .required(),
  happenedAt: when.required(),
  endedAt: when.allow(null).required(),
  personId: id.required(),
  deviceId: id.required(),
  supersedes: Joi.string().guid().allow(null).required(),
  body: Joi.object().unknown(true).required(),
  evidence: Joi.object().unknown(true).allow(null).required(),
});

/** One fact or many, at most 500 at a time. */
export const factsInput = Joi.object<{ facts: FactInput[] }, true>({
  facts: Joi.array().items(factInput).min(1).max(500).required(),
});
