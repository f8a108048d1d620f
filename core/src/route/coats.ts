import { windowRule } from '../cure/windows.ts';
import { brightFeatures } from '../part/zones.ts';
import type { ShopMeans } from '../part/shopMeans.ts';
import type { Survey } from '../part/survey.ts';
import type { Family } from '../products/catalogue/index.ts';
import type { Tool } from '../products/traits.ts';
import { coatHours, levelHours, polishHours } from './hours.ts';
import { OPEN_COATS, type RouteStep, type StepKind, type WindowPolicy } from './route.ts';
import { guardedOf, writer } from './stepWriter.ts';

export interface LayerChoice {
  readonly kind: StepKind;
  readonly familyId: string;
  readonly coats: number;
  /** Film of each coat where it is not the sheet's usual one, µm. */
  readonly dftUm?: number;
}

/** The coats and what follows them. */
export const coatSteps = (
  s: Survey,
  means: ShopMeans,
  layers: readonly LayerChoice[],
  families: ReadonlyMap<string, Family>,
): RouteStep[] => coatWriter(s, means, families)(layers);

/** Writes coats out for one part. Many systems share their layers and their ends: each is written once. */
export function coatWriter(
  s: Survey,
  means: ShopMeans,
  families: ReadonlyMap<string, Family>,
): (layers: readonly LayerChoice[]) => RouteStep[] {
  const coats = new Map<string, { layer: LayerChoice; below: string | null; step: RouteStep }[]>();
  const ends = new Map<string, (readonly RouteStep[] | undefined)[]>();
  const coat = (layer: LayerChoice, below: Family | undefined): RouteStep | null => {
    const family = families.get(layer.familyId);
    if (!family) return null;
    // Only an etch below changes how a coat is laid on it.
    const etch = below?.sheet.role === 'etch' ? below.familyId : null;
    let known = coats.get(layer.familyId);
    if (!known) coats.set(layer.familyId, (known = []));
    for (const k of known)
      if (
        k.below === etch &&
        k.layer.coats === layer.coats &&
        k.layer.kind === layer.kind &&
        k.layer.dftUm === layer.dftUm
      )
        return k.step;
    const step = coatStep(s, means, layer, below, family);
    known.push({ layer, below: etch, step });
    return step;
  };
  return (layers) => {
    const steps: RouteStep[] = [];
    let below: LayerChoice | undefined;
    let bakes = false;
    for (const layer of layers) {
      const step = coat(layer, below && families.get(below.familyId));
      if (step) steps.push(step);
      bakes ||= families.get(layer.familyId)?.sheet.cureBy === 'bake';
      below = layer;
    }
    const last = below?.familyId ?? '';
    let known = ends.get(last);
    if (!known) ends.set(last, (known = []));
    steps.push(...(known[Number(bakes)] ??= endSteps(s, means, below, bakes, families)));
    return steps;
  };
}

/** What follows the last coat. */
function endSteps(
  s: Survey,
  means: ShopMeans,
  last: LayerChoice | undefined,
  bakes: boolean,
  families: ReadonlyMap<string, Family>,
): RouteStep[] {
  const { steps, add } = writer(s);
  if (isHeldOpen(s, means, last, families)) add('topcoat', 0, { what: OPEN_COATS });
  if (guardedOf(s).length > 0 && last) add('unmask', 0.3);
  if (bakes) add('bake', 0.5, { waitHours: 4, cautions: ['heat'] });
  else if (last) add('cure', 0.1, { waitHours: stageHours(families.get(last.familyId), 'service') });
  if (s.features.includes('box-section') && last) {
    add('cavity', coatHours(s, 'gun'), {
      familyId: 'cavity-wax',
      coats: 1,
      dftUm: 100,
      tool: 'gun',
      cautions: ['solvent'],
    });
    add('care', 0, { what: 'wax-yearly' });
  }
  // Metal that stays bright is never without an end: an oil film as soon as the masking is off.
  if (brightFeatures(s).length > 0 && last) {
    add('preserve', 0.2, { what: 'oil-film', zoneId: 'bright' });
    add('care', 0, { what: 'renew-oil', zoneId: 'bright' });
  }
  if (s.criticality.includes('control-surface') && last)
    add('refer', 1, { what: 're-balance', cautions: ['refer-critical'] });
  return steps;
}

/** The colour is undecided and this house primes and holds: what comes after the primer is left open. */
function isHeldOpen(
  s: Survey,
  means: ShopMeans,
  last: LayerChoice | undefined,
  families: ReadonlyMap<string, Family>,
): boolean {
  const role = last && families.get(last.familyId)?.sheet.role;
  return (
    s.colourUndecided && means.schools.undecided === 'hold-primer' && role !== 'finish' && role !== 'clear'
  );
}

/** Hours of a stage at 15 °C by the sheet's nearest listed point: for estimates only, never for a clock. */
function stageHours(family: Family | undefined, stage: 'minRecoat' | 'service'): number {
  let hours = 24;
  let nearestK = Infinity;
  for (const p of family?.sheet.stages[stage]?.points ?? []) {
    const k = Math.abs(p.tempC - 15);
    if (k >= nearestK) continue;
    nearestK = k;
    hours = p.hours;
  }
  return hours;
}

function coatStep(
  s: Survey,
  means: ShopMeans,
  layer: LayerChoice,
  below: Family | undefined,
  family: Family,
): RouteStep {
  const tool = toolFor(s, means, family);
  // Levelling is counted by its rounds, most of whose film is blocked off again.
  const work = layer.kind === 'level' ? levelHours(s) : coatHours(s, tool, family.sheet) * layer.coats;
  const polish = layer.kind === 'topcoat' && s.finish === 'show' ? polishHours(s) : 0;
  return {
    stepId: '',
    kind: layer.kind,
    familyId: layer.familyId,
    coats: layer.coats,
    dftUm: layer.dftUm ?? family.sheet.dftUm,
    hours: work + polish,
    waitHours: stageHours(family, 'minRecoat') * layer.coats,
    tool,
    policy: policyFor(means, below, family),
    cautions: family.sheet.cautions,
  };
}

/** House practice first, where the sheet, the shop and the place allow it; isocyanate without an air-fed mask is brushed. */
function toolFor(s: Survey, means: ShopMeans, family: Family): Tool {
  const { tools } = family.traits;
  const mayGun =
    means.facilities.includes('gun') &&
    s.reach === 'gun' &&
    (!family.sheet.cautions.includes('isocyanate') || means.facilities.includes('air-fed-mask'));
  const wanted = means.schools.tool === 'gun' || s.finish === 'show' ? 'gun' : 'brush';
  if (wanted === 'gun' && mayGun && tools.includes('gun')) return 'gun';
  if (tools.includes('brush') || family.sheet.role === 'filler') return 'brush';
  return mayGun || !tools.includes('aerosol') ? 'gun' : 'aerosol';
}

function policyFor(means: ShopMeans, below: Family | undefined, above: Family): WindowPolicy {
  if (below?.sheet.role !== 'etch') return 'in-window';
  const r = windowRule(below.sheet, above.sheet);
  const mayWet = r.kind === 'intervals' && r.intervals.some((x) => x.wetOnWet);
  return mayWet && means.schools.etch === 'wet-on-wet' ? 'wet-on-wet' : 'harden-scuff';
}
