import type { Face } from '../facts/part.ts';
import type { Capacity } from '../part/shopMeans.ts';
import type { DerivedPart } from '../shop/part.ts';
import { faceAreaM2 } from '../work/area.ts';
import { abradeMinutes } from '../work/minutes.ts';
import { SECOND } from './ids.ts';
import type { PlanOp } from './problem.ts';

/** Too heavy to hang, it lies to be coated, and its faces one after the other: docs/plan.md 4. */
export const lies = (part: DerivedPart, { hangKg }: Capacity): boolean =>
  hangKg !== null &&
  (part.row.massKg ?? 0) > hangKg &&
  part.state.faces.length > 1 &&
  !part.planned.some((c) => c.face !== undefined);

/** The face that was coated last lies up; null: neither is ahead, and it may lie as one likes. */
export function upNow(part: DerivedPart): Face | null {
  const [a, b] = part.state.faces;
  if (!a || !b || a.coats.length === b.coats.length) return null;
  return a.coats.length > b.coats.length ? a.face : b.face;
}

/** What of a preparation is done to a face, and not to the part as a whole. */
const OF_A_FACE = ['strip', 'abrade', 'wash', 'dry', 'pretreat', 'stripe'];
const isOfFace = (o: PlanOp): boolean => OF_A_FACE.includes(o.kind);

/** A preparation that can be done to one face after the other: not one in a tub, nor elsewhere. */
const isByFace = (prepared: readonly PlanOp[]): boolean =>
  prepared.every((o) => o.bares === null || o.waitHours === 0);

/** Half of it is done to the face that comes first; what lays both bare at once stays whole. */
export const firstHalf = (prepared: readonly PlanOp[]): readonly PlanOp[] =>
  isByFace(prepared) ? prepared.map((o) => (isOfFace(o) ? halved(o) : o)) : prepared;

/**
 * The face that comes second is prepared in the session that coats it: bare metal does not wait until the first may be handled. What was
 * bared elsewhere or in a tub is abraded by hand instead.
 */
export function secondHalf(prepared: readonly PlanOp[], areaM2: number | null): readonly PlanOp[] {
  const again = (o: PlanOp): PlanOp => ({ ...halved(o), opId: o.opId + SECOND });
  const bared = prepared.findLast((o) => o.bares !== null);
  if (!bared) return [];
  if (isByFace(prepared)) return prepared.filter(isOfFace).map(again);
  const minutes = abradeMinutes(faceAreaM2(areaM2, 2));
  const rest = prepared.slice(prepared.indexOf(bared) + 1).filter(isOfFace);
  const keyed: PlanOp = {
    ...bared,
    kind: 'abrade',
    what: 'after-strip',
    handsMin: 2 * minutes,
    mostPeople: 1,
    leastPeople: 1,
    isSplittable: false,
    makesDust: true,
    waitHours: 0,
    needs: null,
    holds: [],
  };
  return [keyed, ...rest.filter((o) => o.kind !== 'abrade')].map(again);
}

const halved = (o: PlanOp): PlanOp => ({ ...o, handsMin: Math.ceil(o.handsMin / 2) });
