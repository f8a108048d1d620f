import Joi from 'joi';
import { BIND_KINDS, PLAN_GOALS, PLAN_LACKS, TOOLS } from '@calvetta/core';
import type { PlanInput } from '../plan.ts';
import { id, name } from './plain.ts';
import { day } from './time.ts';
import { uuid } from './uuid.ts';

/** Instants of a plan: 2000 to 2200, ms. */
const ms = Joi.number().min(946_684_800_000).max(7_258_118_400_000);
const span = { fromMs: ms.required(), toMs: ms.required() };
/** A piece of work: its part, its step, which coat of it, and whether it mends. */
const opId = Joi.string()
  .max(200)
  .pattern(/^[\w.:-]+(\/[\w.:-]+){1,3}$/, 'work of a plan');
const list = (items: Joi.Schema, most: number): Joi.Schema => Joi.array().items(items).max(most).required();

export const planAsk = Joi.object({
  machines: list(
    Joi.object({
      machineId: id.required(),
      dueDay: day.allow(null).required(),
      weight: Joi.number().min(0).max(10).required(),
    }),
    200,
  ),
  weeks: Joi.number().integer().min(1).max(26).required(),
  people: Joi.number().integer().min(1).max(40).allow(null).required(),
  painters: Joi.number().integer().min(1).max(10).required(),
  lateDays: Joi.number().min(0).max(90),
  extra: Joi.object({
    people: Joi.number().integer().min(0).max(10).required(),
    painters: Joi.number().integer().min(0).max(10).required(),
  }),
  parts: Joi.array()
    .items(
      Joi.object({
        partId: id.required(),
        fromDay: day.allow(null).required(),
        byDay: day.allow(null).required(),
      }),
    )
    .max(2000),
  added: Joi.array()
    .items(
      Joi.object({
        ...span,
        people: Joi.number().integer().min(1).max(40).required(),
        painters: Joi.number().integer().min(0).max(40).required(),
      }),
    )
    .max(100),
  coatPlaceId: id.allow(null).required(),
  roomM2: Joi.number().positive().max(10_000).allow(null).required(),
  tool: Joi.string()
    .valid(...TOOLS)
    .allow(null),
  product: Joi.object({ from: id.required(), to: id.required() }).allow(null),
  goal: Joi.string()
    .valid(...PLAN_GOALS)
    .required(),
  pins: list(Joi.object({ opId: opId.required(), sessionMs: ms.required(), fromMs: ms }), 500),
  lost: list(ms, 500),
  heat: list(
    Joi.object({ placeId: id.required(), airC: Joi.number().min(-10).max(40).required(), ...span }),
    100,
  ),
  seed: Joi.number().integer().min(0).max(2_147_483_647).required(),
});

const item = Joi.object({
  opId: opId.required(),
  spans: Joi.array().items(Joi.object(span)).min(1).max(60).required(),
  people: Joi.number().integer().min(1).max(10).required(),
  runId: Joi.string().max(300).allow(null).required(),
  binds: Joi.object({
    by: Joi.string()
      .valid(...BIND_KINDS)
      .required(),
    opId: opId.allow(null).required(),
    edgeMs: Joi.number().allow(null).required(),
  }).required(),
});
const run = Joi.object({
  runId: Joi.string().max(300).required(),
  sheetId: id.required(),
  colour: name.allow(null).required(),
  tool: Joi.string()
    .valid(...TOOLS)
    .required(),
  placeId: id.required(),
  opIds: list(opId, 500),
  mixes: Joi.number().integer().min(1).max(100).required(),
  ...span,
});
const lack = Joi.object({
  partId: id.required(),
  name: name.required(),
  lack: Joi.string()
    .valid(...PLAN_LACKS)
    .required(),
  stepId: id.allow(null).required(),
});

export const planInput = Joi.object<PlanInput>({
  planId: uuid.required(),
  version: Joi.number().integer().min(0).max(2_147_483_646).required(),
  personId: id.required(),
  ask: planAsk.required(),
  plan: Joi.object({
    sessions: list(Joi.object(span), 2000),
    items: list(item, 2000),
    runs: list(run, 2000),
    left: list(lack, 2000),
  }).required(),
});
