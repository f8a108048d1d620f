import type { Family, LayerChoice, RouteStep } from '@calvetta/core';
import type { Layer } from '@calvetta/contract';

function coatsOf(family: Family | undefined, dftUm: number | null | undefined, coats: number): Layer[] {
  if (!family) return [];
  const layer: Layer = {
    name: family.sheet.name,
    colour: family.sheet.bandColour,
    dftUm: dftUm ?? family.sheet.dftUm,
    thinnestUm: null,
    isMeasured: false,
    isPlanned: false,
  };
  return Array.from({ length: coats }, () => layer);
}

/** The films of a route, from the metal up, as they are drawn. */
export const layersOfRoute = (steps: readonly RouteStep[], families: ReadonlyMap<string, Family>): Layer[] =>
  steps.flatMap((s) =>
    s.familyId === undefined || s.kind === 'cavity'
      ? []
      : coatsOf(families.get(s.familyId), s.dftUm, s.coats),
  );

/** The films of a choice that is not written out as steps. */
export const layersOfChoice = (
  layers: readonly LayerChoice[],
  families: ReadonlyMap<string, Family>,
): Layer[] => layers.flatMap((l) => coatsOf(families.get(l.familyId), l.dftUm, l.coats));
