import { brightFeatures } from '../part/zones.ts';
import { meansFor, type ShopMeans } from '../part/shopMeans.ts';
import type { Feature, Survey } from '../part/survey.ts';
import type { Family } from '../products/catalogue/index.ts';
import { isFerrous, metalOf, type Tool } from '../products/traits.ts';
import { windowRule } from '../cure/windows.ts';
import { placeOfAct } from './facilities.ts';
import {
  abradeHours,
  BATH_WAIT_H,
  coatHours,
  CONTRACTOR_WAIT_H,
  degreaseHours,
  glueHours,
  levelHours,
  maskHours,
  polishHours,
  pretreatHours,
  stripHours,
  TRIAL_WAIT_H,
  warmOutHours,
  washHours,
} from './hours.ts';
import {
  OPEN_COATS,
  type Method,
  type RouteStep,
  type StepGate,
  type StepKind,
  type WindowPolicy,
} from './route.ts';
import { actOf, type ActId } from './surface/acts.ts';
import { standsOn } from './surface/asks.ts';
import { OFF, TRACES } from './surface/matter.ts';
import { degreasingsAfter, mayWarmOut, wantsAbrading } from './surface/search.ts';
import { afterAct, type Surface } from './surface/state.ts';
import { afterStep, startOf, type Footing } from './surface/walk.ts';
import { BLASTS } from './view.ts';

export interface LayerChoice {
  readonly kind: StepKind;
  readonly familyId: string;
  readonly coats: number;
  /** Film of each coat where it is not the sheet's usual one, µm. */
  readonly dftUm?: number;
}
/** What the advisor chooses; everything else follows from the survey. */
export interface Choice {
  /** What takes off and converts, in order. */
  readonly acts: readonly ActId[];
  readonly layers: readonly LayerChoice[];
}

const PROTECTED: readonly Feature[] = [
  'machined',
  'threads',
  'bores',
  'white-metal',
  'seals',
  'close-fit',
  'wiring',
  'glass',
  'drains-ports',
  'oilways',
];

type Add = (kind: StepKind, hours: number, over?: Partial<RouteStep>) => void;

/** Writes steps and walks the surface with them, so that what follows by rule can be read off it. */
interface Writer {
  readonly steps: RouteStep[];
  readonly add: Add;
  readonly at: () => Surface;
}

function writer(s: Survey): Writer {
  const steps: RouteStep[] = [];
  let at: Footing | null = null;
  let walked = 0;
  return {
    steps,
    // Walked only when asked: most writers never are.
    at: () => {
      at ??= startOf(s);
      for (; walked < steps.length; walked++) at = afterStep(at, steps[walked]!, s);
      return at.surface;
    },
    add: (kind, hours, over) =>
      void steps.push({
        stepId: '',
        kind,
        coats: 0,
        dftUm: null,
        hours,
        waitHours: 0,
        cautions: [],
        ...over,
      }),
  };
}

/** Writes a choice out as ordered steps (docs/trade.md 2), each with its hours, waits and the cautions that bite there. */
export function buildRoute(
  s: Survey,
  means: ShopMeans,
  choice: Choice,
  families: ReadonlyMap<string, Family>,
  gates: readonly StepGate[] = [],
): RouteStep[] {
  const own = meansFor(s, means);
  return numbered([...prepSteps(s, own, choice.acts, gates), ...coatSteps(s, own, choice.layers, families)]);
}

/** Steps with ids that say what and which: `topcoat-18`. */
export function numbered(steps: readonly RouteStep[]): RouteStep[] {
  return steps.map((x, i) => ({ ...x, stepId: `${x.kind}-${i + 1}` }));
}

/** Everything up to the first coat. */
export function prepSteps(
  s: Survey,
  means: ShopMeans,
  acts: readonly ActId[],
  gates: readonly StepGate[] = [],
): RouteStep[] {
  const w = writer(s);
  addSafety(s, acts, gates, w);
  addStripping(s, means, acts, w);
  addInspection(s, acts, w);
  addReady(s, acts, w);
  return w.steps;
}

const isDusty = (acts: readonly ActId[]): boolean => acts.some((id) => actOf(id)?.isDusty === true);
export const isLegacy = (s: Survey): boolean => s.legacy === 'lead' || s.legacy === 'chromate';
/** What may hold asbestos: dark old filler, underseal, brake dust. */
export const mayHoldAsbestos = (s: Survey): boolean =>
  (s.coating !== 'none' && s.oldFiller !== 'no') ||
  s.alsoOn.includes('underseal') ||
  s.kind === 'wheel-brake';

/** What must be known or signed before anything is touched. */
function addSafety(s: Survey, acts: readonly ActId[], gates: readonly StepGate[], { add }: Writer): void {
  if (s.coating !== 'none') add('record', 0.3);
  for (const gate of gates)
    add('gate', GATE_HOURS, { what: gate.field, gate, cautions: gate.field === 'legacy' ? ['lead'] : [] });
  if (s.lagging === 'yes') add('refer', 0.5, { what: 'asbestos', cautions: ['asbestos'] });
  if (s.criticality.includes('fuel'))
    add('refer', 0.5, { what: 'gas-free', waitHours: 72, cautions: ['fuel-tank'] });
  if (s.alsoOn.includes('tar')) add('refer', 0.5, { what: 'tar', cautions: ['tar'] });
  if (metalOf(s.substrate) === 'magnesium')
    add('refer', 0.5, { what: 'magnesium', waitHours: CONTRACTOR_WAIT_H, cautions: ['metal-fire'] });
  if (mayHoldAsbestos(s)) add('test', 0.3, { what: 'asbestos', cautions: ['asbestos'] });
  if (s.coating === 'none') return;
  if (s.legacy === 'unknown' && !gates.some((g) => g.field === 'legacy'))
    add('test', 0.3, { what: 'legacy', cautions: ['lead'] });
  if (isLegacy(s) && isDusty(acts))
    add('refer', 0.5, { what: 'legacy-removal', waitHours: CONTRACTOR_WAIT_H, cautions: ['lead'] });
}
/** A look or a quick test, hours. */
const GATE_HOURS = 0.2;

function addStripping(s: Survey, means: ShopMeans, acts: readonly ActId[], w: Writer): void {
  const { add } = w;
  const methods = acts.filter((id): id is Method => actOf(id)?.way !== null);
  const keeps = acts.includes('keep');
  if (s.assembled !== 'no') add('mask', maskHours(s), { what: 'openings' });
  add('degrease', degreaseHours(s), { cautions: ['solvent'] });
  if (s.glue !== 'no') add('degrease', glueHours(s), { what: 'glue', cautions: ['solvent'] });
  const needsMask = methods.some((m) => BLASTS.includes(m) || m === 'wire-wheel');
  if (guardedOf(s).length > 0 && needsMask) add('mask', maskHours(s), { what: 'before-strip' });
  methods.forEach((m, i) => {
    const act = actOf(m)!;
    const goesOut = placeOfAct(act, s, means) === 'contractor';
    // One trip for all that a contractor does.
    const isFirstOut =
      goesOut && !methods.slice(0, i).some((x) => placeOfAct(actOf(x)!, s, means) === 'contractor');
    add('strip', stripHours(s, m, methods.indexOf(m) < i), {
      what: m,
      waitHours: isFirstOut ? CONTRACTOR_WAIT_H : goesOut ? 0 : (BATH_WAIT_H[m] ?? 0),
      cautions: METHOD_CAUTIONS[m] ?? [],
    });
  });
  const end = acts.reduce((at, id) => (actOf(id)!.way === null ? afterAct(at, actOf(id)!, s) : at), w.at());
  // The old coat wet, unless it has been tested: no dust of what may hold lead.
  if (keeps)
    add('abrade', abradeHours(s), { what: s.legacy === 'none' ? 'key' : 'key-wet', cautions: ['dust'] });
  else if (methods.length > 0 && wantsAbrading(end, s))
    add('abrade', abradeHours(s), { what: 'after-strip', cautions: ['dust'] });
  if (keeps && s.priorPrimer === 'zinc-rich') add('wash', washHours(s), { what: 'zinc-salts' });
  addWashes(s, w);
  // The third and fourth round wipe off what has come out since: half the work (common practice).
  for (let i = 0, n = degreasingsAfter(s); i < n; i++)
    add('degrease', degreaseHours(s) / (i === 0 ? 1 : 2), { what: 'again', cautions: ['solvent'] });
  if (mayWarmOut(s)) add('degrease', warmOutHours(s), { what: 'warm-out', cautions: ['fire'] });
}

/** Rinses what is chemical or salt, blows and wipes dust off, and dries at once. */
function addWashes(s: Survey, { add, at }: Writer): void {
  const most = s.category === 'immersed' ? OFF : TRACES;
  if (standsOn(at(), 'chemical') > OFF) add('wash', washHours(s), { what: 'rinse' });
  for (let i = 0; i < 2 && standsOn(at(), 'salts') > most; i++) add('wash', washHours(s), { what: 'rinse' });
  if (standsOn(at(), 'dust') > OFF) add('wash', washHours(s), { what: 'dust' });
  if (standsOn(at(), 'water') > OFF) add('dry', 0.2, { cautions: ['flash-rust'] });
}
const guardedOf = (s: Survey): readonly Feature[] => s.features.filter((f) => PROTECTED.includes(f));

/** A look at the bare metal, by the licensed where it must be, and the tests that go with it. */
function addInspection(s: Survey, acts: readonly ActId[], { add }: Writer): void {
  add('inspect', 0.3);
  if (s.criticality.some((c) => c !== 'fuel'))
    add('refer', 0.5, { what: 'inspection', cautions: ['refer-critical'] });
  const ferrous = isFerrous(metalOf(s.substrate));
  if (ferrous && !acts.includes('keep') && s.salt !== 'no' && s.rust !== 'none')
    add('test', 0.4, { what: 'salt' });
  if (s.features.includes('close-fit')) add('test-fit', 0.5);
}

/** From bare metal to the first coat. */
function addReady(s: Survey, acts: readonly ActId[], w: Writer): void {
  const { add } = w;
  for (const id of acts) {
    if (actOf(id)?.way !== null) continue;
    add('pretreat', pretreatHours(s), { what: id, cautions: ['acid'] });
    addWashes(s, w);
  }
  if (guardedOf(s).length > 0) add('mask', maskHours(s), { what: 'before-paint' });
  if (s.substrate === 'zinc-diecast') add('test', 0.5, { what: 'adhesion-trial', waitHours: TRIAL_WAIT_H });
  add('wash', 0.1, { what: 'wipe', cautions: ['solvent'] });
  const hasEdges = s.features.includes('welds-rivets') || s.features.includes('thin-edges');
  if (hasEdges && s.category !== 'C1' && s.category !== 'C2') add('stripe', 0.3);
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

const METHOD_CAUTIONS: Readonly<Partial<Record<Method, readonly string[]>>> = {
  'grit-blast': ['blast'],
  'fine-blast': ['blast'],
  'spot-blast': ['blast'],
  'bead-blast': ['blast'],
  'vapour-blast': ['blast'],
  sweep: ['blast'],
  'plastic-media': ['blast'],
  'dry-ice': ['oxygen'],
  'citric-bath': ['acid'],
  'chelating-bath': ['flash-rust'],
  electrolysis: ['electrolysis'],
  'hot-caustic': ['lye'],
  'solvent-stripper': ['stripper'],
  'wire-wheel': ['eyes'],
  'rotary-bristle': ['eyes'],
  disc: ['dust'],
  'spot-disc': ['dust'],
  hand: ['dust'],
  'needle-gun': ['eyes'],
  'heat-gun': ['heat'],
};

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
