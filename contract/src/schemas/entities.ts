import Joi from 'joi';
import { version } from './version.ts';
import { SUBSTRATES } from '@calvetta/core';

/** What may be changed on a part; the version says which state the person was looking at. */
export interface PartPatch {
  readonly version: number;
  readonly name?: string;
  readonly massKg?: number | null;
  readonly areaM2?: number | null;
  readonly thicknessMm?: number | null;
  readonly substrate?: (typeof SUBSTRATES)[number];
  readonly colourGroup?: string | null;
}

export const partPatch = Joi.object<PartPatch>({
  version,
  name: Joi.string().trim().min(1).max(120),
  massKg: Joi.number().min(0.0001).max(200000).allow(null),
  areaM2: Joi.number().min(0.00001).max(10000).allow(null),
  thicknessMm: Joi.number().min(0.1).max(1000).allow(null),
  substrate: Joi.string().valid(...SUBSTRATES),
  colourGroup: Joi.string().trim().max(60).allow(null),
}).min(2);

export const airQuery = Joi.object<{ from?: Date; to?: Date; points: number }>({
  from: Joi.date().iso(),
  to: Joi.date().iso(),
  points: Joi.number().integer().min(10).max(2000).default(400),
});
