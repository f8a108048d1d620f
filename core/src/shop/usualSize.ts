import { quantile } from '../base/quantile.ts';
import type { PartKind } from '../part/kinds.ts';
import { partsInUse, type Snapshot } from './snapshot.ts';
import { newestSurvey } from './survey.ts';

/** What parts of one kind weigh and measure here, in the middle. */
export interface UsualSize {
  readonly kind: PartKind;
  readonly parts: number;
  /** Null: too few were weighed, or measured. */
  readonly massKg: number | null;
  readonly areaM2: number | null;
}

/** Fewer say nothing of the next. */
export const LEAST_PARTS = 3;

const middle = (some: readonly (number | null)[]): number | null => {
  const known = some.filter((x) => x !== null).sort((a, b) => a - b);
  return known.length < LEAST_PARTS ? null : Number(quantile(known, 0.5).toPrecision(2));
};

/** Usual masses and areas by kind, from the shop's own surveyed parts: nobody has published any. Pure. */
export function usualSizes(snapshot: Snapshot): readonly UsualSize[] {
  const byKind = new Map<PartKind, { massKg: number | null; areaM2: number | null }[]>();
  for (const part of partsInUse(snapshot)) {
    const kind = newestSurvey(part)?.kind ?? 'unknown';
    if (kind === 'unknown') continue;
    const { massKg, areaM2 } = part.row;
    byKind.set(kind, [...(byKind.get(kind) ?? []), { massKg, areaM2 }]);
  }
  return [...byKind]
    .map(([kind, parts]) => ({
      kind,
      parts: parts.length,
      massKg: middle(parts.map((p) => p.massKg)),
      areaM2: middle(parts.map((p) => p.areaM2)),
    }))
    .filter((u) => u.massKg !== null || u.areaM2 !== null);
}
