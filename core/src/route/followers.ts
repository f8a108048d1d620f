import { FULL_SHOP } from '../part/shopMeans.ts';
import { blankSurvey, type Survey } from '../part/survey.ts';
import type { Family } from '../products/catalogue/index.ts';
import { buildRoute } from './build.ts';
import { judge, type Reason } from './judge.ts';
import { RULES } from './rules/index.ts';
import { coatKindOf } from './systems.ts';
import { viewOf } from './view.ts';

/** Whether one family may go over another: it goes, it goes with something to mind, or a rule stops it. */
export interface Follow {
  readonly verdict: 'goes' | 'mind' | 'refused';
  readonly reasons: readonly Reason[];
}

/** Rules that look at one coat over another, whatever the part. */
const PAIR_RULES = RULES.filter(
  (r) =>
    r.id.startsWith('over.') ||
    [
      'etch.follower',
      'etch.filler-on',
      'etch.on-coat',
      'etch.over-filler',
      'zinc.old-paint',
      'etch.wet-on-wet-listed',
      'zinc.alkyd-over',
      'zinc.mist',
    ].includes(r.id),
);
/** Blasted plate in the open, of which all is known: nothing but the pair is in question. */
const PLATE: Survey = {
  ...blankSurvey('steel-plate'),
  kind: 'frame-plate',
  thicknessMm: 8,
  massKg: 20,
  areaM2: 1,
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
  hardened: 'no',
  lagging: 'no',
  leaks: 'no',
  seamsRinse: 'yes',
  otherMetal: null,
  category: 'C3',
  heatC: 40,
  fuel: 'no',
  chips: 'no',
  sun: 'yes',
  concealed: 'no',
  assembled: 'no',
  metallic: 'yes',
  dark: 'no',
};

/** One family over another, by the rules about pairs and both their sheets. Pure. */
export function followOf(below: Family, above: Family): Follow {
  const families = new Map([below, above].map((f) => [f.familyId, f]));
  const layers = [below, above].map((f) => ({ kind: coatKindOf(f), familyId: f.familyId, coats: 1 }));
  const steps = buildRoute(PLATE, FULL_SHOP, { acts: ['grit-blast'], layers }, families);
  const said = judge(viewOf(PLATE, FULL_SHOP, steps, families), PAIR_RULES);
  // What a metallic colour needs beside this pair is not this pair’s matter.
  const ofPair = (r: Reason): boolean =>
    !['over.metallic', 'over.base-clear', 'over.clear-alone'].includes(r.ruleId);
  const [refusals, warnings] = [said.refusals.filter(ofPair), said.warnings.filter(ofPair)];
  if (refusals.length > 0) return { verdict: 'refused', reasons: refusals };
  return { verdict: warnings.length > 0 ? 'mind' : 'goes', reasons: warnings };
}
