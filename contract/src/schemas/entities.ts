import Joi from 'joi';
import {
  type Attendance,
  type Comes,
  EXPOSURES,
  GAUGE_KINDS,
  SUBSTRATES,
  type GaugeKind,
  type Exposure,
  type VolumeSystem,
} from '@calvetta/core';
import { clockTime, currency, id, name } from './plain.ts';
import { day } from './time.ts';
import { version } from './version.ts';

const isAway = Joi.boolean();
/** Put before this one of its kind; null: last. */
const before = id.allow(null);
const patchOf = <T>(fields: Readonly<Record<string, Joi.Schema>>): Joi.ObjectSchema<T> =>
  Joi.object({ version, ...fields }).min(2) as Joi.ObjectSchema<T>;

/** What every edit of a thing says: which state the person was looking at, and whether it is put away. */
interface Patch {
  readonly version: number;
  readonly isAway?: boolean;
}

export interface NewPerson {
  readonly personId: string;
  readonly name: string;
  readonly isNamed: boolean;
  readonly minorUntil: string | null;
  readonly comes: Comes | null;
}
export interface PersonPatch extends Patch {
  readonly name?: string;
  readonly isNamed?: boolean;
  /** Under age until that day; null: of age. */
  readonly minorUntil?: string | null;
  /** When they come, whole; null: whenever the shop meets. */
  readonly comes?: Comes | null;
}
/** When somebody comes, of the days on which the shop meets. */
export const comes = Joi.object({
  weekdays: Joi.array().items(Joi.number().integer().min(1).max(7)).unique().max(7).allow(null).required(),
  days: Joi.array()
    .items(
      Joi.object({ fromDay: day.required(), toDay: day.required(), comes: Joi.boolean().required() }).custom(
        (d: { fromDay: string; toDay: string }, helpers) =>
          d.fromDay <= d.toDay ? d : helpers.error('any.invalid'),
      ),
    )
    .max(200)
    .required(),
});
export const newPerson = Joi.object<NewPerson>({
  personId: id.required(),
  name: name.required(),
  isNamed: Joi.boolean().default(false),
  minorUntil: day.allow(null).default(null),
  comes: comes.allow(null).default(null),
});
export const personPatch = patchOf<PersonPatch>({
  name,
  isNamed: Joi.boolean(),
  minorUntil: day.allow(null),
  comes: comes.allow(null),
  isAway,
});

export interface NewGauge {
  readonly gaugeId: string;
  readonly name: string;
  readonly kind: GaugeKind;
}
export interface GaugePatch extends Patch {
  readonly name?: string;
}
export const newGauge = Joi.object<NewGauge>({
  gaugeId: id.required(),
  name: name.required(),
  kind: Joi.string()
    .valid(...GAUGE_KINDS)
    .default('film'),
});
export const gaugePatch = patchOf<GaugePatch>({ name, isAway });

export interface NewPlace {
  readonly placeId: string;
  readonly name: string;
  readonly exposure: Exposure;
  readonly altitudeM: number;
  readonly setpointC: number | null;
  /** Absent: air of its own. */
  readonly airOfId?: string | null;
}
export interface PlacePatch extends Patch, Partial<Omit<NewPlace, 'placeId'>> {
  readonly before?: string | null;
}
const place = {
  name,
  exposure: Joi.string().valid(...EXPOSURES),
  altitudeM: Joi.number().min(-500).max(9000),
  setpointC: Joi.number().min(-10).max(45).allow(null),
};
const airOfId = id.allow(null);
export const newPlace = Joi.object<NewPlace>({ placeId: id, ...place, airOfId: airOfId.optional() }).options({
  presence: 'required',
});
export const placePatch = patchOf<PlacePatch>({ ...place, airOfId, isAway, before });

export interface NewProbe {
  readonly probeId: string;
  readonly placeId: string;
  /** The part its contact sits on. */
  readonly partId: string | null;
  readonly name: string;
  /** A stand-in of ours, to try with. */
  readonly isSimulated: boolean;
}
export interface ProbePatch extends Patch, Partial<Omit<NewProbe, 'probeId' | 'isSimulated'>> {}
const probe = { placeId: id, partId: id.allow(null), name };
export const newProbe = Joi.object<NewProbe>({
  probeId: id,
  ...probe,
  isSimulated: Joi.boolean(),
}).options({ presence: 'required' });
export const probePatch = patchOf<ProbePatch>({ ...probe, isAway });

const accession = Joi.string().trim().min(1).max(80);
export interface NewMachine {
  readonly machineId: string;
  readonly name: string;
  readonly kind: string;
  readonly accession: string | null;
}
export interface MachinePatch extends Patch, Partial<Omit<NewMachine, 'machineId'>> {
  readonly before?: string | null;
}
export const newMachine = Joi.object<NewMachine>({
  machineId: id.required(),
  name: name.required(),
  kind: name.required(),
  accession: accession.allow(null).default(null),
});
export const machinePatch = patchOf<MachinePatch>({
  name,
  kind: name,
  accession: accession.allow(null),
  isAway,
  before,
});

export interface NewAssembly {
  readonly assemblyId: string;
  readonly machineId: string;
  readonly name: string;
}
export interface AssemblyPatch extends Patch, Partial<Omit<NewAssembly, 'assemblyId'>> {
  readonly before?: string | null;
}
export const newAssembly = Joi.object<NewAssembly>({
  assemblyId: id.required(),
  machineId: id.required(),
  name: name.required(),
});
export const assemblyPatch = patchOf<AssemblyPatch>({ machineId: id, name, isAway, before });

/** What may be changed on a part. */
export interface PartPatch extends Patch {
  readonly name?: string;
  readonly massKg?: number | null;
  readonly areaM2?: number | null;
  readonly thicknessMm?: number | null;
  readonly substrate?: (typeof SUBSTRATES)[number];
  readonly colourGroup?: string | null;
  readonly assemblyId?: string;
  readonly faceCount?: 1 | 2;
  readonly pairPartId?: string | null;
  readonly isBrightMetal?: boolean;
  readonly comesFrom?: string | null;
  readonly before?: string | null;
}
export const partPatch = patchOf<PartPatch>({
  name,
  massKg: Joi.number().min(0.0001).max(200000).allow(null),
  areaM2: Joi.number().min(0.00001).max(10000).allow(null),
  thicknessMm: Joi.number().min(0.1).max(1000).allow(null),
  substrate: Joi.string().valid(...SUBSTRATES),
  colourGroup: Joi.string().trim().max(60).allow(null),
  assemblyId: id,
  faceCount: Joi.valid(1, 2),
  pairPartId: id.allow(null),
  isBrightMetal: Joi.boolean(),
  comesFrom: Joi.string().trim().min(1).max(300).allow(null),
  isAway,
  before,
});

/** A shop to begin with. */
export interface NewShop {
  readonly workshopId: string;
  readonly name: string;
  readonly zone: string;
  readonly volumeSystem: VolumeSystem;
  readonly currency: string;
}
export interface ShopPatch extends Partial<Omit<NewShop, 'workshopId'>> {
  readonly version: number;
  /** What an hour of hands counts as, in the smallest coin; null: nothing. */
  readonly hourCents?: number | null;
  /** When people usually come, whole. */
  readonly weekly?: readonly { readonly weekday: number; readonly from: string; readonly to: string }[];
  /** Days that are otherwise, whole; null: nobody comes. */
  readonly exceptions?: Attendance['exceptions'];
}
const shop = {
  name,
  zone: Joi.string().max(60).custom(zoneName),
  volumeSystem: Joi.string().valid('us', 'imperial'),
  currency,
};
export const newShop = Joi.object<NewShop>({ workshopId: id, ...shop }).options({ presence: 'required' });
export const shopPatch = patchOf<ShopPatch>({
  ...shop,
  hourCents: Joi.number().integer().min(1).max(10_000_000).allow(null),
  weekly: Joi.array()
    .items(
      Joi.object({
        weekday: Joi.number().integer().min(1).max(7).required(),
        from: clockTime.required(),
        to: clockTime.required(),
      }).custom((s: { from: string; to: string }, helpers) =>
        s.to > s.from ? s : helpers.error('any.invalid'),
      ),
    )
    .max(42),
  exceptions: Joi.array()
    .items(
      Joi.object({
        day: day.required(),
        from: clockTime.allow(null).required(),
        to: clockTime.allow(null).required(),
      }).custom((x: { from: string | null; to: string | null }, helpers) =>
        (x.from === null) === (x.to === null) && (x.from === null || x.to! > x.from)
          ? x
          : helpers.error('any.invalid'),
      ),
    )
    .unique('day')
    .max(400),
});

/** An IANA name this machine knows. */
function zoneName(zone: string, helpers: Joi.CustomHelpers): unknown {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
    return zone;
  } catch {
    return helpers.error('any.only', { valids: ['an IANA time zone, such as Europe/London'] });
  }
}

export const airQuery = Joi.object<{ from?: Date; to?: Date; points: number }>({
  from: Joi.date().iso(),
  to: Joi.date().iso(),
  points: Joi.number().integer().min(10).max(2000).default(400),
});
