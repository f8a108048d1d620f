import type { Capacity } from '../part/shopMeans.ts';
import { MOST_LIFT_KG } from '../work/minutes.ts';

/** What of the shop holds only so much at once; every liquid of a bath is a tub of its own. */
export type ThingKey = 'cabinet' | 'oven' | 'hoist' | 'air' | `bath ${string}`;

/** What a piece of work holds of a thing: to its end, until what it waits for is over, or until the next work on its part begins. */
export interface Held {
  readonly thing: ThingKey;
  /** Pieces, kg or m², as the thing is measured. */
  readonly amount: number;
  readonly until: 'end' | 'waited' | 'next';
}

/** More people than this do not find hold on one part. */
const MOST_LIFTERS = 4;

/** Who and what it takes to move a part. */
export interface Lift {
  readonly people: number;
  readonly holds: readonly Held[];
}
const HOIST: readonly Held[] = [{ thing: 'hoist', amount: 1, until: 'end' }];

/**
 * How a part is carried or turned: by one up to 25 kg; above by the hoist, with a second pair of hands over 50; without one by as many as it
 * takes, up to four. Where nobody has said whether there is a hoist, two. Null: no hands of this shop can. `massKg` null: not known, one
 * lifts it and sees. Common practice, no published source; local lifting rules go before.
 */
export function liftOf(massKg: number | null, hoists: number | null): Lift | null {
  const kg = massKg ?? 0;
  if (kg <= MOST_LIFT_KG) return { people: 1, holds: [] };
  if (hoists === null) return { people: 2, holds: [] };
  if (hoists > 0) return { people: kg > 2 * MOST_LIFT_KG ? 2 : 1, holds: HOIST };
  const people = Math.ceil(kg / MOST_LIFT_KG);
  return people > MOST_LIFTERS ? null : { people, holds: [] };
}

/** In which tub a part is stripped; null: in none. */
export const tubOf = (what: string): ThingKey | null =>
  what.endsWith('-bath') || what === 'electrolysis' || what === 'hot-caustic' ? `bath ${what}` : null;
const BY_AIR = ['grit-blast', 'fine-blast', 'bead-blast', 'spot-blast', 'sweep', 'plastic-media'];

/** What a step of hands holds of the shop's things. A part of unknown mass counts in a bath as the most that one person lifts. */
export function heldBy(
  step: { readonly kind: string; readonly what: string | null },
  part: { readonly massKg: number | null; readonly areaM2: number },
): readonly Held[] {
  if (step.kind === 'bake') return [{ thing: 'oven', amount: part.areaM2, until: 'waited' }];
  if (step.kind !== 'strip' || step.what === null) return [];
  const tub = tubOf(step.what);
  if (tub !== null) return [{ thing: tub, amount: part.massKg ?? MOST_LIFT_KG, until: 'next' }];
  return [
    ...(step.what === 'bead-blast' ? [{ thing: 'cabinet', amount: 1, until: 'end' } as const] : []),
    ...(BY_AIR.includes(step.what) ? [{ thing: 'air', amount: 1, until: 'end' } as const] : []),
  ];
}
/** Spraying with a gun takes air. */
export const GUN_HOLDS: readonly Held[] = [{ thing: 'air', amount: 1, until: 'end' }];

/** How much of a thing there is; null: nobody has said, or no end of it. A shop has one cabinet until it says otherwise. */
export function mostOf(capacity: Capacity, thing: ThingKey): number | null {
  switch (thing) {
    case 'cabinet':
      return capacity.cabinets ?? 1;
    case 'oven':
      return capacity.ovenM2;
    case 'hoist':
      return capacity.hoists;
    case 'air':
      return capacity.airTools;
    default:
      return capacity.bathKg;
  }
}
