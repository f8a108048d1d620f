import type { Family, RouteStep } from '@calvetta/core';
import type { Layer } from '@calvetta/contract';

/** The films of a route, from the metal up, as they are drawn. */
export function layersOfRoute(steps: readonly RouteStep[], families: ReadonlyMap<string, Family>): Layer[] {
  return steps.flatMap((s) => {
    const family = s.familyId === undefined || s.kind === 'cavity' ? undefined : families.get(s.familyId);
    if (!family) return [];
    const layer: Layer = {
      name: family.sheet.name,
      colour: family.sheet.bandColour,
      dftUm: s.dftUm ?? family.sheet.dftUm,
      thinnestUm: null,
      isMeasured: false,
      isPlanned: false,
    };
    return Array.from({ length: s.coats }, () => layer);
  });
}
