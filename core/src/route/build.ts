import { meansFor, type ShopMeans } from '../part/shopMeans.ts';
import type { Survey } from '../part/survey.ts';
import type { Family } from '../products/catalogue/index.ts';
import { isFerrous, metalOf } from '../products/traits.ts';
import { placeOfAct } from './facilities.ts';
import {
  abradeHours,
  BATH_WAIT_H,
  CONTRACTOR_WAIT_H,
  degreaseHours,
  glueHours,
  maskHours,
  pretreatHours,
  stripHours,
  TRIAL_WAIT_H,
  warmOutHours,
  washHours,
} from './hours.ts';
import { type Method, type RouteStep, type StepGate } from './route.ts';
import type { ActId } from './surface/act.ts';
import { actOf } from './surface/acts.ts';
import { standsOn } from './surface/asks.ts';
import { OFF, TRACES } from './surface/matter.ts';
import { degreasingsAfter, mayWarmOut, wantsAbrading } from './surface/search.ts';
import { afterAct } from './surface/state.ts';
import { coatSteps, type LayerChoice } from './coats.ts';
import { guardedOf, writer, type Writer } from './stepWriter.ts';
import { BLASTS } from './view.ts';

/** What the advisor chooses; everything else follows from the survey. */
export interface Choice {
  /** What takes off and converts, in order. */
  readonly acts: readonly ActId[];
  readonly layers: readonly LayerChoice[];
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
  methods.forEach((m, i) => w.steps.push(stripStepOf(s, means, m, methods.slice(0, i))));
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

/** One act of stripping as a step, after those before it: a second round is shorter, and all that a contractor does is one trip. */
export function stripStepOf(
  s: Survey,
  means: ShopMeans,
  method: Method,
  before: readonly Method[],
): RouteStep {
  const goesOut = (m: Method): boolean => placeOfAct(actOf(m)!, s, means) === 'contractor';
  const isOnTrip = goesOut(method) && before.some(goesOut);
  return {
    stepId: '',
    kind: 'strip',
    what: method,
    coats: 0,
    dftUm: null,
    hours: stripHours(s, method, before.includes(method)),
    waitHours: isOnTrip ? 0 : goesOut(method) ? CONTRACTOR_WAIT_H : (BATH_WAIT_H[method] ?? 0),
    cautions: METHOD_CAUTIONS[method] ?? [],
  };
}

/** Rinses what is chemical or salt, blows and wipes dust off, and dries at once. */
function addWashes(s: Survey, { add, at }: Writer): void {
  const most = s.category === 'immersed' ? OFF : TRACES;
  if (standsOn(at(), 'chemical') > OFF) add('wash', washHours(s), { what: 'rinse' });
  for (let i = 0; i < 2 && standsOn(at(), 'salts') > most; i++) add('wash', washHours(s), { what: 'rinse' });
  if (standsOn(at(), 'dust') > OFF) add('wash', washHours(s), { what: 'dust' });
  if (standsOn(at(), 'water') > OFF) add('dry', 0.2, { cautions: ['flash-rust'] });
}
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
