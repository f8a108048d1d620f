import Joi from 'joi';
import { version } from './version.ts';
import type { SurveyTemplate } from '../api.ts';
import {
  ALSO_ON,
  FLUIDS,
  GATES,
  PART_KINDS,
  PLATINGS,
  TOO_BIG_FOR,
  USUAL_FIELDS,
  ZONE_KINDS,
  type Zone,
  ANSWERS,
  CATEGORIES,
  COAT_KINDS,
  COATING,
  CRITICALITIES,
  DEFAULT_SCHOOLS,
  DURABILITY,
  FACILITIES,
  FEATURES,
  FINISHES,
  LEGACY,
  OIL,
  PITS,
  PRIOR_PRIMERS,
  REACHES,
  RUST,
  STEP_KINDS,
  SUBSTRATES,
  TEST_RESULTS,
  TOOLS,
  type RouteStep,
  type Capacity,
  type Schools,
  type Survey,
} from '@calvetta/core';

const one = (list: readonly string[]) =>
  Joi.string()
    .valid(...list)
    .required();
const answer = one(ANSWERS);
const figure = (most: number) => Joi.number().positive().max(most).allow(null).required();

const SCHOOLS = {
  etch: Joi.string().valid('wet-on-wet', 'harden-scuff'),
  castings: Joi.string().valid('prime', 'direct'),
  oldPaint: Joi.string().valid('keep', 'strip'),
  assembly: Joi.string().valid('in-pieces', 'assembled'),
  wireWheel: Joi.string().valid('yes', 'no'),
  tool: Joi.string().valid('gun', 'brush'),
  undecided: Joi.string().valid('hold-primer', 'whole-system'),
};
/** House practice, whole; a shop file from before the last question takes its default. */
export const schools = Joi.object<Schools>({
  ...SCHOOLS,
  undecided: SCHOOLS.undecided.default(DEFAULT_SCHOOLS.undecided),
}).fork(['etch', 'castings', 'oldPaint', 'assembly', 'wireWheel', 'tool'], (s) => s.required());
/** What a part does otherwise than the house. */
const practice = Joi.object<Partial<Schools>>(SCHOOLS);

const few = (list: readonly string[]) =>
  Joi.array()
    .items(Joi.string().valid(...list))
    .unique();

/** A zone of its own: what differs there from the outside. */
const zone = Joi.object<Zone>({
  zoneId: Joi.string()
    .pattern(/^[\w.:-]{1,40}$/)
    .invalid('bright')
    .required(),
  name: Joi.string().trim().min(1).max(60).required(),
  kind: one(ZONE_KINDS),
  heatC: Joi.number().min(-40).max(1200).allow(null).required(),
  fluids: few(FLUIDS).required(),
  overrides: Joi.object({
    areaM2: Joi.number().positive().max(10_000).allow(null),
    thicknessMm: Joi.number().positive().max(1000).allow(null),
    rust: Joi.valid(...RUST),
    pits: Joi.valid(...PITS),
    scale: Joi.valid(...ANSWERS),
    oil: Joi.valid(...OIL),
    coating: Joi.valid(...COATING),
    coatKind: Joi.valid(...COAT_KINDS),
    soundShare: Joi.number().min(0).max(1).allow(null),
    legacy: Joi.valid(...LEGACY),
    category: Joi.valid(...CATEGORIES),
    sun: Joi.valid(...ANSWERS),
    finish: Joi.valid(...FINISHES),
    reach: Joi.valid(...REACHES),
    concealed: Joi.valid(...ANSWERS),
  }).required(),
});

/** A survey, whole. Unknown is an answer; a figure that is not known is null. */
export const survey = Joi.object<Survey>({
  substrate: one(SUBSTRATES),
  thicknessMm: figure(1000),
  massKg: figure(200_000),
  areaM2: figure(10_000),
  rust: one(RUST),
  pits: one(PITS),
  scale: answer,
  oil: one(OIL),
  salt: answer,
  coating: one(COATING),
  coatKind: one(COAT_KINDS),
  soundShare: Joi.number().min(0).max(1).allow(null).default(null),
  solventRub: one(TEST_RESULTS),
  legacy: one(LEGACY),
  phosphated: answer,
  oldFiller: answer,
  glue: answer.optional().default('unknown'),
  // Asked since the second shop file: what an older survey does not hold is not known, or not there.
  kind: one(PART_KINDS).optional().default('unknown'),
  plating: one(PLATINGS).optional().default('none'),
  alsoOn: few(ALSO_ON).default([]),
  bareDays: Joi.number().min(0).max(40_000).allow(null).default(null),
  leaks: answer.optional().default('unknown'),
  seamsRinse: answer.optional().default('unknown'),
  tooBigFor: few(TOO_BIG_FOR).default([]),
  fluids: few(FLUIDS).default([]),
  zones: Joi.array().items(zone).max(6).unique('zoneId').default([]),
  priorPrimer: one(PRIOR_PRIMERS).optional().default('unknown'),
  primerDays: Joi.number().min(0).max(40_000).allow(null).default(null),
  features: Joi.array()
    .items(Joi.string().valid(...FEATURES))
    .unique()
    .required(),
  clearanceUm: figure(100_000),
  hardened: answer,
  lagging: answer,
  otherMetal: Joi.string()
    .valid(...SUBSTRATES, 'unknown')
    .allow(null)
    .required(),
  category: one(CATEGORIES),
  durability: one(DURABILITY),
  heatC: Joi.number().min(-40).max(1200).allow(null).required(),
  fuel: answer,
  chips: answer,
  sun: answer,
  concealed: answer,
  finish: one(FINISHES),
  criticality: Joi.array()
    .items(Joi.string().valid(...CRITICALITIES))
    .unique()
    .required(),
  assembled: answer,
  reach: one(REACHES),
  metallic: answer,
  dark: answer,
  colourUndecided: Joi.boolean().required(),
  colourGroup: Joi.string().max(60).allow(null).required(),
  isPair: Joi.boolean().required(),
  practice: practice.default({}),
  usual: few(USUAL_FIELDS).default([]),
});

export const routeStep = Joi.object<RouteStep>({
  stepId: Joi.string().min(1).max(64).required(),
  kind: one(STEP_KINDS),
  what: Joi.string().max(64),
  zoneId: Joi.string().pattern(/^[\w.:-]{1,40}$/),
  gate: Joi.object({
    field: Joi.string()
      .valid(...GATES.map((g) => g.field))
      .required(),
    passes: Joi.array().items(Joi.string().max(40)).min(1).max(20).required(),
    otherwise: Joi.object({
      acts: Joi.array().items(Joi.string().max(64)).max(20).required(),
      hours: Joi.number().min(0).max(100_000).required(),
      days: Joi.number().min(0).max(100_000).required(),
      cost: Joi.number().min(0).max(10_000_000).required(),
    })
      .allow(null)
      .required(),
  }),
  familyId: Joi.string().max(64),
  coats: Joi.number().integer().min(0).max(20).required(),
  dftUm: Joi.number().positive().max(6000).allow(null).required(),
  tool: Joi.string().valid(...TOOLS),
  policy: Joi.string().valid('in-window', 'wet-on-wet', 'harden-scuff'),
  hours: Joi.number().min(0).max(10_000).required(),
  waitHours: Joi.number().min(0).max(20_000).required(),
  cautions: Joi.array().items(Joi.string().max(60)).required(),
});

/** How much a shop's things hold at once; null: not said. */
export const capacity = Joi.object<Capacity>({
  cabinets: Joi.number().integer().min(1).max(50).allow(null),
  bathKg: Joi.number().positive().max(100_000).allow(null),
  ovenM2: Joi.number().positive().max(10_000).allow(null),
  hoists: Joi.number().integer().min(0).max(50).allow(null),
  airTools: Joi.number().integer().min(1).max(50).allow(null),
  hangKg: Joi.number().positive().max(100_000).allow(null),
}).options({ presence: 'required' });

/** Products that a shop does not use any more. */
export const productIds = Joi.array()
  .items(Joi.string().pattern(/^[\w.:-]{1,64}$/, 'the id of a product'))
  .unique()
  .max(500);

/** What a shop has and how it works; the version says which state the person was looking at. */
export const meansPatch = Joi.object<MeansPatch, true>({
  version,
  facilities: Joi.array()
    .items(Joi.string().valid(...FACILITIES))
    .unique()
    .required(),
  schools: schools.required(),
  capacity: capacity.optional(),
  putAway: productIds.optional(),
});
export interface MeansPatch {
  readonly version: number;
  readonly facilities: readonly (typeof FACILITIES)[number][];
  readonly schools: Schools;
  /** Absent: as it was. */
  readonly capacity?: Capacity;
  readonly putAway?: readonly string[];
}

/** Parts made at once, from a pasted list: client-made ids, so that sending it again makes none twice. */
export const newParts = Joi.object<{ parts: NewPart[] }, true>({
  parts: Joi.array()
    .items(
      Joi.object({
        partId: Joi.string()
          .pattern(/^[\w.:-]{1,64}$/)
          .required(),
        name: Joi.string().trim().min(1).max(120).required(),
        assemblyName: Joi.string().trim().min(1).max(120).required(),
        substrate: one(SUBSTRATES),
        massKg: figure(200_000),
        areaM2: figure(10_000),
        thicknessMm: figure(1000),
        faces: Joi.valid(1, 2).required(),
        colourGroup: Joi.string().trim().min(1).max(60).allow(null),
        pairPartId: Joi.string()
          .pattern(/^[\w.:-]{1,64}$/)
          .allow(null),
      }),
    )
    .min(1)
    .max(500)
    .required(),
});
export interface NewPart {
  readonly partId: string;
  readonly name: string;
  readonly assemblyName: string;
  readonly substrate: (typeof SUBSTRATES)[number];
  readonly massKg: number | null;
  readonly areaM2: number | null;
  readonly thicknessMm: number | null;
  readonly faces: 1 | 2;
  readonly colourGroup?: string | null;
  /** Its left or right hand, in the same list or there already. */
  readonly pairPartId?: string | null;
}

export const surveyTemplate = Joi.object<SurveyTemplate, true>({
  templateId: Joi.string()
    .pattern(/^[\w.:-]{1,64}$/)
    .required(),
  name: Joi.string().trim().min(1).max(120).required(),
  survey: survey.required(),
  // A template from before steps could be kept has none.
  steps: Joi.array().items(routeStep).min(1).max(160).allow(null).default(null),
});
