import { FULL_SHOP, type Facility, type Schools, type ShopMeans } from '../../part/shopMeans.ts';
import { blankSurvey, type Survey } from '../../part/survey.ts';
import { familiesOf } from '../../products/catalogue/index.ts';
import { buildRoute } from '../build.ts';
import type { LayerChoice } from '../coats.ts';
import type { Method, RoutePretreatment, RouteStep, StepKind } from '../route.ts';
import { viewOf, type RouteView } from '../view.ts';

/** For tests only. Every generic family, no shop's own. */
export const FAMILIES = familiesOf([]);

/** A steel bracket of which everything is known and nothing is wrong: 6 mm plate, outdoors, one side in the sun. */
export const PLAIN: Survey = {
  ...blankSurvey('steel-plate'),
  thicknessMm: 6,
  massKg: 18,
  areaM2: 0.8,
  rust: 'B',
  pits: 'none',
  scale: 'no',
  oil: 'surface',
  salt: 'no',
  coating: 'none',
  legacy: 'none',
  phosphated: 'no',
  oldFiller: 'no',
  glue: 'no',
  priorPrimer: 'none',
  leaks: 'no',
  seamsRinse: 'yes',
  hardened: 'no',
  lagging: 'no',
  otherMetal: null,
  category: 'C3',
  heatC: 40,
  fuel: 'no',
  chips: 'no',
  sun: 'yes',
  concealed: 'no',
  assembled: 'no',
  metallic: 'no',
  dark: 'no',
};

/** A survey, a shop and a route to judge, written as what differs from the plain case. */
export interface Given {
  readonly s?: Partial<Survey>;
  readonly has?: readonly Facility[];
  readonly schools?: Partial<Schools>;
  readonly putAway?: readonly string[];
  readonly m?: readonly Method[];
  readonly p?: RoutePretreatment;
  /** Families from the metal up, `name` or `name*coats`. */
  readonly l?: string;
  /** Steps taken out: `kind` or `kind:what`. */
  readonly drop?: string;
  /** The first step that matches is moved before the step that matches the second. */
  readonly move?: readonly [string, string];
  readonly edit?: (steps: readonly RouteStep[]) => RouteStep[];
}

const KIND_OF_ROLE: Readonly<Record<string, StepKind>> = {
  etch: 'etch',
  primer: 'prime',
  filler: 'level',
  intermediate: 'intermediate',
  finish: 'topcoat',
  clear: 'topcoat',
  cavity: 'cavity',
};

export function layersFrom(text: string): LayerChoice[] {
  return text
    .split(' ')
    .filter(Boolean)
    .map((word) => {
      const [familyId, coats] = word.split('*') as [string, string | undefined];
      return {
        familyId,
        coats: Number(coats ?? 1),
        kind: KIND_OF_ROLE[FAMILIES.get(familyId)?.sheet.role ?? 'finish']!,
      };
    });
}
const matches = (s: RouteStep, text: string): boolean => {
  const [kind, what] = text.split(':');
  return s.kind === kind && (what === undefined || s.what === what);
};

export function meansOf(g: Given): ShopMeans {
  return {
    facilities: g.has ?? FULL_SHOP.facilities,
    schools: { ...FULL_SHOP.schools, ...g.schools },
    ...(g.putAway ? { putAway: g.putAway } : {}),
  };
}

export function given(g: Given): RouteView {
  const survey: Survey = { ...PLAIN, ...g.s };
  const means = meansOf(g);
  const choice = {
    acts: [...(g.m ?? (['grit-blast'] as const)), ...(g.p === undefined ? [] : [g.p])],
    layers: layersFrom(g.l ?? 'epoxy-mastic gloss-2k*2'),
  };
  let steps: readonly RouteStep[] = buildRoute(survey, means, choice, FAMILIES);
  if (g.drop !== undefined) steps = steps.filter((s) => !matches(s, g.drop!));
  if (g.move) {
    const [what, before] = g.move;
    const moved = steps.find((s) => matches(s, what))!;
    const rest = steps.filter((s) => s !== moved);
    const at = rest.findIndex((s) => matches(s, before));
    steps = [...rest.slice(0, at), moved, ...rest.slice(at)];
  }
  if (g.edit) steps = g.edit(steps);
  return viewOf(survey, means, steps, FAMILIES);
}
