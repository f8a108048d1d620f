import { assertNever } from '../base/assert.ts';
import type { FaceState } from './face.ts';

/**
 * The one word a face is shown by, most pressing first. This order is the written precedence:
 * what a licensed person must answer, what is not here, what cannot be trusted, what is already spoilt, what must not be done, what is running out, what may go on, what waits.
 */
export const HEADLINES = [
  'referred',
  'sent',
  'suspect',
  'out',
  'refused',
  'unknown',
  'lift',
  'closing',
  'held',
  'keyed',
  'open',
  'bare',
  'shut',
  'early',
  'mending',
  'curing',
  'waiting',
  'cured',
] as const;
export type Headline = (typeof HEADLINES)[number];

/** True when the face could be coated as far as its own clocks go, so that the air decides. */
export function mayTakeCoat(face: Pick<FaceState, 'overcoat' | 'bare' | 'coats' | 'next'>): boolean {
  if (!face.next) return false;
  if (face.bare) return !face.bare.isOut && (face.coats.length === 0 || canOvercoat(face.overcoat));
  return canOvercoat(face.overcoat);
}

function canOvercoat(overcoat: FaceState['overcoat']): boolean {
  return overcoat === 'open' || overcoat === 'closing' || overcoat === 'keyed';
}

/** The headline of a face: one word by the precedence above. */
export function headlineOf(
  face: Pick<
    FaceState,
    | 'suspect'
    | 'bare'
    | 'overcoat'
    | 'coats'
    | 'cure'
    | 'next'
    | 'gate'
    | 'untilTouch'
    | 'referred'
    | 'sent'
    | 'mending'
  >,
): Headline {
  if (face.referred) return 'referred';
  if (face.sent) return 'sent';
  if (face.suspect) return 'suspect';
  if (face.bare?.isOut) return 'out';
  if (face.bare?.edge?.isUnknown) return 'unknown';
  if (face.coats.length === 0) return uncoated(face);
  if (face.overcoat === null) {
    if (face.mending) return 'mending';
    return face.cure === 'service' ? 'cured' : 'curing';
  }
  const held = mayTakeCoat(face) && !gatesPass(face);
  const { overcoat } = face;
  switch (overcoat) {
    case 'forbidden':
      return 'refused';
    case 'unknown':
    case 'lift':
    case 'shut':
    case 'early':
    case 'closing':
      return overcoat;
    case 'keyed':
    case 'open':
      return held ? 'held' : overcoat;
    default:
      return assertNever(overcoat);
  }
}

function uncoated(
  face: Pick<FaceState, 'bare' | 'coats' | 'overcoat' | 'next' | 'gate' | 'untilTouch'>,
): Headline {
  if (!face.bare) return 'waiting';
  return mayTakeCoat(face) && !gatesPass(face) ? 'held' : 'bare';
}

/** Only a pass is a pass: unknown and marginal are not. */
export function gatesPass(face: Pick<FaceState, 'gate'>): boolean {
  return face.gate?.status === 'pass';
}

export function moreUrgent(a: Headline, b: Headline): Headline {
  return HEADLINES.indexOf(a) <= HEADLINES.indexOf(b) ? a : b;
}
