import {
  routeWith,
  type AdvisedRoute,
  type Family,
  type RouteStep,
  type ShopMeans,
  type Survey,
} from '@calvetta/core';
import type { PartDetail } from '@calvetta/contract';

/** The same answers for another part, with what is its own: thickness, mass, area, colour group, pair. */
export function surveyFor(other: PartDetail, survey: Survey): Survey {
  return {
    ...survey,
    substrate: other.card.substrate,
    thicknessMm: other.thicknessMm,
    massKg: other.massKg,
    areaM2: other.card.areaM2,
    colourGroup: other.colourGroup,
    isPair: other.pairPartId !== null,
  };
}

/** An advised choice written out for another part; steps set by hand go as they are. */
export function stepsFor(
  survey: Survey,
  means: ShopMeans,
  families: ReadonlyMap<string, Family>,
  route: AdvisedRoute | undefined,
  steps: readonly RouteStep[],
): readonly RouteStep[] {
  return route ? routeWith({ survey, means, families }, route) : steps;
}
