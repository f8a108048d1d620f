import type Joi from 'joi';
import type { ErrorData, LiveMessage } from '@calvetta/contract';
import {
  assemblyPatch,
  gaugePatch,
  machinePatch,
  newAssembly,
  newGauge,
  newMachine,
  newPerson,
  newPlace,
  newProbe,
  partPatch,
  personPatch,
  placePatch,
  probePatch,
} from '@calvetta/contract/schemas';
import type { Db } from '../db/db.ts';
import { AppError } from '../http/errors.ts';

export type ThingName = 'person' | 'gauge' | 'place' | 'probe' | 'machine' | 'assembly' | 'part';

/** A kind of thing that a shop is made of: what is stored of it, what it points at, and when it has a record. */
export interface Thing {
  readonly what: ThingName & ErrorData['not-found']['what'];
  /** Below `/api`. */
  readonly path: string;
  readonly table: string;
  readonly id: { readonly field: string; readonly column: string };
  /** By the field that is sent. */
  readonly columns: Readonly<Record<string, string>>;
  /** It stands in an order of its own kind. */
  readonly isOrdered: boolean;
  /** Null: made in another way. */
  readonly made: Joi.ObjectSchema<object> | null;
  readonly patch: Joi.ObjectSchema<object>;
  /** Fields that name another thing. */
  readonly points: Readonly<Record<string, ThingName>>;
  /** Whether anything is recorded of it, as SQL over the workshop ($1) and its id ($2). */
  readonly record: string;
  /** What goes with it when it is deleted, as SQL over the same. */
  readonly goesWith?: readonly string[];
  /** What is set beside, when it is put away. */
  readonly away?: string;
  readonly changed: (id: string) => LiveMessage;
  /** Throws where a change would contradict what is recorded. */
  readonly guard?: (
    tx: Db,
    workshopId: string,
    id: string,
    patch: Readonly<Record<string, unknown>>,
  ) => Promise<void>;
}

const entities = (): LiveMessage => ({ topic: 'entities' });

export const THINGS: Readonly<Record<ThingName, Thing>> = {
  person: {
    what: 'person',
    path: 'people',
    table: 'person',
    id: { field: 'personId', column: 'person_id' },
    columns: { name: 'name', isNamed: 'is_named', minorUntil: 'minor_until', comes: 'comes' },
    isOrdered: false,
    made: newPerson,
    patch: personPatch,
    points: {},
    record: `select 1 from fact where workshop_id = $1 and (person_id = $2 or entered_by = $2)
      union all select 1 from plan where workshop_id = $1 and person_id = $2
      union all select 1 from account where workshop_id = $1 and person_id = $2`,
    goesWith: ['delete from invite where workshop_id = $1 and person_id = $2'],
    changed: entities,
    guard: isShutOut,
  },
  gauge: {
    what: 'gauge',
    path: 'gauges',
    table: 'gauge',
    id: { field: 'gaugeId', column: 'gauge_id' },
    columns: { name: 'name', kind: 'kind' },
    isOrdered: false,
    made: newGauge,
    patch: gaugePatch,
    points: {},
    record: `select 1 from fact where workshop_id = $1 and body ->> 'gaugeId' = $2`,
    changed: entities,
  },
  place: {
    what: 'place',
    path: 'places',
    table: 'place',
    id: { field: 'placeId', column: 'place_id' },
    columns: {
      name: 'name',
      exposure: 'exposure',
      altitudeM: 'altitude_m',
      setpointC: 'setpoint_c',
      airOfId: 'air_of_id',
    },
    isOrdered: true,
    made: newPlace,
    patch: placePatch,
    points: { airOfId: 'place' },
    record: `select 1 from reading where workshop_id = $1 and place_id = $2
      union all select 1 from place where workshop_id = $1 and air_of_id = $2
      union all select 1 from probe where workshop_id = $1 and place_id = $2
      union all select 1 from fact where workshop_id = $1 and body ->> 'placeId' = $2`,
    changed: entities,
  },
  probe: {
    what: 'probe',
    path: 'probes',
    table: 'probe',
    id: { field: 'probeId', column: 'probe_id' },
    columns: { placeId: 'place_id', partId: 'part_id', name: 'name', isSimulated: 'is_simulated' },
    isOrdered: false,
    made: newProbe,
    patch: probePatch,
    points: { placeId: 'place', partId: 'part' },
    record: 'select 1 from reading where workshop_id = $1 and probe_id = $2',
    // Whoever has its token reports no more.
    away: 'token_sha256 = null',
    changed: entities,
  },
  machine: {
    what: 'machine',
    path: 'machines',
    table: 'machine',
    id: { field: 'machineId', column: 'machine_id' },
    columns: { name: 'name', kind: 'kind', accession: 'accession' },
    isOrdered: true,
    made: newMachine,
    patch: machinePatch,
    points: {},
    record: 'select 1 from assembly where workshop_id = $1 and machine_id = $2',
    changed: entities,
  },
  assembly: {
    what: 'assembly',
    path: 'assemblies',
    table: 'assembly',
    id: { field: 'assemblyId', column: 'assembly_id' },
    columns: { machineId: 'machine_id', name: 'name' },
    isOrdered: true,
    made: newAssembly,
    patch: assemblyPatch,
    points: { machineId: 'machine' },
    record: 'select 1 from part where workshop_id = $1 and assembly_id = $2',
    changed: entities,
  },
  part: {
    what: 'part',
    path: 'parts',
    table: 'part',
    id: { field: 'partId', column: 'part_id' },
    columns: {
      name: 'name',
      massKg: 'mass_kg',
      areaM2: 'area_m2',
      thicknessMm: 'thickness_mm',
      substrate: 'substrate',
      colourGroup: 'colour_group',
      assemblyId: 'assembly_id',
      faceCount: 'faces',
      pairPartId: 'pair_part_id',
      isBrightMetal: 'is_bright_metal',
      comesFrom: 'comes_from',
    },
    isOrdered: true,
    made: null,
    patch: partPatch,
    points: { assemblyId: 'assembly', pairPartId: 'part' },
    record: `select 1 from fact where workshop_id = $1 and part_id = $2
      union all select 1 from probe where workshop_id = $1 and part_id = $2
      union all select 1 from part where workshop_id = $1 and pair_part_id = $2`,
    goesWith: [
      'delete from route_step where workshop_id = $1 and part_id = $2',
      'delete from route where workshop_id = $1 and part_id = $2',
    ],
    changed: (partId) => ({ topic: 'parts', partIds: [partId] }),
    guard: keepsItsFaces,
  },
};

/** Whoever may come in is shut out first, by an owner: nobody else takes somebody's way in away by a list. */
async function isShutOut(
  tx: Db,
  workshopId: string,
  personId: string,
  patch: Readonly<Record<string, unknown>>,
): Promise<void> {
  if (patch['isAway'] !== true) return;
  const { rows } = await tx.query(
    'select 1 from account where workshop_id = $1 and person_id = $2 and ended_at is null',
    [workshopId, personId],
  );
  if (rows.length > 0) throw new AppError('comes-in', { personId });
}

/** A part of which something is recorded on the back keeps its back. */
async function keepsItsFaces(
  tx: Db,
  workshopId: string,
  partId: string,
  patch: Readonly<Record<string, unknown>>,
): Promise<void> {
  if (patch['faceCount'] !== 1) return;
  const { rows } = await tx.query<{ fact_id: string }>(
    `select fact_id from fact where workshop_id = $1 and part_id = $2 and face = 'B' limit 5`,
    [workshopId, partId],
  );
  if (rows.length > 0) throw new AppError('contradicts-later', { later: rows.map((r) => r.fact_id) });
}
