import { originMs } from '../facts/envelope.ts';
import { ofKind, type Face, type Fact, type FactOf } from '../facts/part.ts';
import { wholeSurvey, type Criticality } from '../part/survey.ts';
import type { HoldWhy } from './kinds.ts';

/** A finding as it stands: found, perhaps closed, perhaps with what mends it. */
export interface Finding {
  readonly findingId: string;
  readonly fact: FactOf<'found'>;
  readonly closed: FactOf<'finding-closed'> | null;
  readonly remedy: FactOf<'remedy-set'> | null;
  /** What is to be done about it: fill, weld, remake. */
  readonly repair: FactOf<'repair-chosen'> | null;
  /** Why nothing may go over it until a licensed person has answered; null: it holds nothing. */
  readonly holds: HoldWhy | null;
}

/** What the newest survey says the part is critical for; null: no survey, so not known. */
function criticalFor(facts: readonly Fact[]): readonly Criticality[] | null {
  const surveys = ofKind(facts, 'surveyed');
  const newest = surveys[surveys.length - 1];
  return newest ? wholeSurvey(newest.body.survey).criticality : null;
}

/** A sign that is not paint always holds; a crack, wall lost or a leak hold where the part is critical, or nobody has said that it is not. */
function holdOf(fact: FactOf<'found'>, critical: readonly Criticality[] | null): HoldWhy | null {
  switch (fact.body.what) {
    case 'sign':
      return 'sign';
    case 'crack':
    case 'thinning':
    case 'leak':
      if (critical === null) return 'not-known-whether-critical';
      return critical.length > 0 ? 'critical' : null;
    default:
      return null;
  }
}

/** Every finding of a part, oldest first. Pure; from standing facts. */
export function findingsOf(standing: readonly Fact[]): Finding[] {
  const critical = criticalFor(standing);
  const closed = new Map(ofKind(standing, 'finding-closed').map((f) => [f.body.findingId, f]));
  const repairs = new Map(ofKind(standing, 'repair-chosen').map((f) => [f.body.findingId, f]));
  const remedies = new Map(ofKind(standing, 'remedy-set').map((f) => [f.body.findingId, f]));
  return ofKind(standing, 'found').map((fact) => {
    const findingId = fact.body.findingId ?? fact.factId;
    return {
      findingId,
      fact,
      closed: closed.get(findingId) ?? null,
      remedy: remedies.get(findingId) ?? null,
      repair: repairs.get(findingId) ?? null,
      holds: closed.has(findingId) ? null : holdOf(fact, critical),
    };
  });
}

export const isOpenFinding = (f: Finding): boolean => f.closed === null;
const isOn = (f: Finding, face: Face): boolean => f.fact.face === null || f.fact.face === face;

/** The finding that holds a face at refer; null: none does. */
export const holdOn = (findings: readonly Finding[], face: Face): Finding | null =>
  findings.find((f) => f.holds !== null && isOn(f, face)) ?? null;

/** The finding of a face that is being mended, with when its remedy was chosen. */
export const mendingOn = (findings: readonly Finding[], face: Face): Finding | null =>
  findings.find((f) => isOpenFinding(f) && f.remedy !== null && isOn(f, face)) ?? null;

export const foundAtMs = (f: Finding): number => originMs(f.fact);
