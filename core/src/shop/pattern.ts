import { ofKind, standingFacts, type FactBodies } from '../facts/part.ts';
import type { Survey } from '../part/survey.ts';
import { routeSetOf } from './route.ts';
import type { PartRow, ShopRecord } from './state.ts';
import { newestSurvey } from './survey.ts';

/** A part of an assembly that another is made like: what it is, where it stands, what was found of it and how it is done. */
export interface PatternPart {
  readonly row: PartRow;
  readonly placeId: string | null;
  readonly survey: Survey | null;
  /** Null: none was chosen, or one that was set against a rule: that reason is of its own part. */
  readonly route: FactBodies['route-set'] | null;
}

/** The parts of an assembly in use, as the pattern of another. Pure. */
export function patternOf(record: ShopRecord, assemblyId: string): readonly PatternPart[] {
  return record.parts
    .filter((p) => p.assemblyId === assemblyId && !p.isAwayItself)
    .map((row) => {
      const standing = standingFacts(record.facts.filter((f) => f.partId === row.partId));
      const route = routeSetOf(standing)?.body ?? null;
      return {
        row,
        placeId: ofKind(standing, 'moved').at(-1)?.body.placeId ?? null,
        survey: newestSurvey({ facts: standing }),
        route: route?.origin === 'overridden' ? null : route,
      };
    });
}

type Sized = Pick<PartRow, 'substrate' | 'massKg' | 'areaM2' | 'thicknessMm'>;

/**
 * What was found of a part and chosen for it, for another that is made like it: with the other's own size, and only of the same metal. Null:
 * nothing holds. It was found on the first: nobody has looked at the other.
 */
export function takenOver(
  { row, survey, route }: PatternPart,
  { substrate, massKg, areaM2, thicknessMm }: Sized,
): { readonly survey: Survey; readonly route: PatternPart['route'] } | null {
  if (!survey || row.substrate !== substrate) return null;
  return { survey: { ...survey, massKg, areaM2: areaM2 ?? survey.areaM2, thicknessMm }, route };
}
