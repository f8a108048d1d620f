import type { StripMethod } from '../facts/part.ts';
import type { ShopMeans } from '../part/shopMeans.ts';
import type { Survey } from '../part/survey.ts';
import type { Family } from '../products/catalogue/index.ts';
import { judge, type Reason } from '../route/judge.ts';
import type { Method, RouteStep } from '../route/route.ts';
import type { Rule } from '../route/rule.ts';
import { viewOf } from '../route/view.ts';

/** What the log's word for a strip may mean among the route's acts, roughest first. */
const MAY_MEAN: Readonly<Record<StripMethod, readonly Method[]>> = {
  blast: ['grit-blast', 'fine-blast'],
  bead: ['bead-blast'],
  'wire-wheel': ['wire-wheel'],
  disc: ['disc'],
  scraper: ['scrape', 'hand'],
  chemical: ['hot-caustic', 'solvent-stripper'],
  bath: ['citric-bath', 'chelating-bath'],
  electrolysis: ['electrolysis'],
};
/** Blasts that are gentle enough to be another matter: meant only where the route names them. */
const GENTLE: readonly Method[] = ['spot-blast', 'vapour-blast', 'sweep', 'plastic-media', 'dry-ice'];

/** Rules about what an act does to this metal, whatever else the route does. */
const ABOUT_THE_ACT = [
  'strip.thin',
  'strip.metals',
  'strip.springs',
  'strip.clad',
  'strip.hard-tools',
  'strip.disc-edges',
];

export interface StripAsked {
  readonly survey: Survey;
  readonly means: ShopMeans;
  readonly families: ReadonlyMap<string, Family>;
  readonly rules: readonly Rule[];
  readonly method: StripMethod;
  /** The part's route, whose own act is meant where it names one. */
  readonly steps: readonly Pick<RouteStep, 'kind' | 'what'>[];
}

/**
 * What speaks against a strip that is being logged: the rules that refuse it on this metal, with their figures. None where any act
 * that the word may mean is allowed, and none where an answer is missing: an entry is doubted by what is known. Pure.
 */
export function stripDoubts({
  survey,
  means,
  families,
  rules,
  method,
  steps,
}: StripAsked): readonly Reason[] {
  const checked = rules.filter((r) => ABOUT_THE_ACT.includes(r.id));
  const mayMean = [...MAY_MEAN[method], ...(method === 'blast' ? GENTLE : [])];
  const named = steps.flatMap((s) => (s.kind === 'strip' ? mayMean.filter((m) => m === s.what) : []));
  let last: readonly Reason[] = [];
  for (const what of named.length > 0 ? named : MAY_MEAN[method]) {
    const step: RouteStep = {
      stepId: 'strip-1',
      kind: 'strip',
      what,
      coats: 0,
      dftUm: null,
      hours: 0,
      waitHours: 0,
      cautions: [],
    };
    last = judge(viewOf(survey, means, [step], families), checked).refusals;
    if (last.length === 0) return [];
  }
  return last;
}
