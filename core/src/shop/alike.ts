import type { ShopMeans } from '../part/shopMeans.ts';
import type { Survey } from '../part/survey.ts';
import type { Family } from '../products/catalogue/index.ts';
import { stepsOn } from '../route/editing.ts';
import { routeWith, type AdvisedRoute } from '../route/advise.ts';
import type { RouteStep } from '../route/route.ts';
import type { PartDetail } from './views/partView.ts';
/** The same answers for another part, with what is its own: thickness, mass, area, colour group, pair. */
export function surveyAlike(other: PartDetail, survey: Survey): Survey {
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

/** An advised choice written out for another part; steps set by hand go with that part’s own hours, waits and cautions. */
export function stepsAlike(
  survey: Survey,
  means: ShopMeans,
  families: ReadonlyMap<string, Family>,
  route: AdvisedRoute | undefined,
  steps: readonly RouteStep[],
): readonly RouteStep[] {
  const on = { survey, means, families };
  return route ? routeWith(on, route) : stepsOn(on, steps);
}
