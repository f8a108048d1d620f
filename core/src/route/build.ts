import { meansFor, type ShopMeans } from '../part/shopMeans.ts';
import type { Feature, Survey } from '../part/survey.ts';
import type { Family } from '../products/catalogue/index.ts';
import { metalOf, type Tool } from '../products/traits.ts';
import { windowRule } from '../cure/windows.ts';
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
  washHours,
} from './hours.ts';
import {
  OPEN_COATS,
  type Method,
  type RoutePretreatment,
  type RouteStep,
  type StepKind,
  type WindowPolicy,
} from './route.ts';
import { BLASTS, isFerrous } from './view.ts';

export interface LayerChoice {
  readonly kind: StepKind;
  readonly familyId: string;
  readonly coats: number;
}
/** What the advisor chooses; everything else follows from the survey. */
export interface Choice {
  readonly methods: readonly Method[];
  readonly pretreat: RoutePretreatment | null;
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
];
/** Methods that make a contractor's trip unless the shop has the tool. */
const CONTRACTED: Readonly<Partial<Record<Method, 'grit' | 'bead' | 'none'>>> = {
  'grit-blast': 'grit',
  'bead-blast': 'bead',
  'dry-ice': 'none',
  'hot-caustic': 'none',
};

type Add = (kind: StepKind, hours: number, over?: Partial<RouteStep>) => void;

function writer(): { readonly steps: RouteStep[]; readonly add: Add } {
  const steps: RouteStep[] = [];
  return {
    steps,
    add: (kind, hours, over = {}) =>
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

/** Writes a choice out as ordered steps (trade.md 2), each with its hours, waits and the cautions that bite there. */
export function buildRoute(
  s: Survey,
  means: ShopMeans,
  choice: Choice,
  families: ReadonlyMap<string, Family>,
): RouteStep[] {
  const own = meansFor(s, means);
  return numbered([...prepSteps(s, own, choice), ...coatSteps(s, own, choice.layers, families)]);
}

/** Steps with ids that say what and which: `topcoat-18`. */
export function numbered(steps: readonly RouteStep[]): RouteStep[] {
  return steps.map((x, i) => ({ ...x, stepId: `${x.kind}-${i + 1}` }));
}

/** Everything up to the first coat. */
export function prepSteps(
  s: Survey,
  means: ShopMeans,
  choice: Pick<Choice, 'methods' | 'pretreat'>,
): RouteStep[] {
  const { steps, add } = writer();
  addSafety(s, choice, add);
  addStripping(s, means, choice, add);
  addReady(s, choice, add);
  return steps;
}

/** What must be known or signed before anything is touched. */
function addSafety(s: Survey, choice: Pick<Choice, 'methods'>, add: Add): void {
  if (s.coating !== 'none') add('record', 0.3);
  if (s.lagging === 'yes') add('refer', 0.5, { what: 'asbestos', cautions: ['asbestos'] });
  if (s.criticality.includes('fuel'))
    add('refer', 0.5, { what: 'gas-free', waitHours: 72, cautions: ['fuel-tank'] });
  if (s.coating === 'none') return;
  if (s.legacy !== 'none') add('test', 0.3, { what: 'legacy', cautions: ['lead'] });
  const isDusty = choice.methods.some((m) => m !== 'keep' && m !== 'solvent-stripper' && m !== 'hand');
  if ((s.legacy === 'lead' || s.legacy === 'chromate') && isDusty)
    add('refer', 0.5, { what: 'legacy-removal', waitHours: CONTRACTOR_WAIT_H, cautions: ['lead'] });
}

function addStripping(
  s: Survey,
  means: ShopMeans,
  choice: Pick<Choice, 'methods' | 'pretreat'>,
  add: Add,
): void {
  const { methods } = choice;
  const keeps = methods.includes('keep');
  const isBlasted = methods.some((m) => BLASTS.includes(m));
  add('degrease', degreaseHours(s), { cautions: ['solvent'] });
  if (s.glue !== 'no') add('degrease', glueHours(s), { what: 'glue', cautions: ['solvent'] });
  if (guardedOf(s).length > 0 && (isBlasted || methods.includes('wire-wheel')))
    add('mask', maskHours(s), { what: 'before-strip' });
  for (const m of methods) {
    const own = CONTRACTED[m];
    const goesOut = own !== undefined && (own === 'none' || !means.facilities.includes(own));
    add('strip', stripHours(s, m), {
      what: m,
      waitHours: BATH_WAIT_H[m] ?? (goesOut ? CONTRACTOR_WAIT_H : 0),
      cautions: METHOD_CAUTIONS[m] ?? [],
    });
  }
  const leavesSlick = methods.some((m) => SLICK.includes(m));
  const isPlainZinc = s.substrate === 'galvanised' && !isBlasted && choice.pretreat === null;
  if (keeps || leavesSlick || isPlainZinc)
    add('abrade', abradeHours(s), { what: keeps ? 'key' : 'after-strip', cautions: ['dust'] });
  if (isBlasted) add('wash', washHours(s), { what: 'dust' });
  if (keeps && s.priorPrimer === 'zinc-rich') add('wash', washHours(s), { what: 'zinc-salts' });
  if (s.oil === 'soaked' || s.oil === 'unknown')
    add('degrease', degreaseHours(s), { what: 'again', cautions: ['solvent'] });
}
const SLICK: readonly Method[] = ['wire-wheel', 'solvent-stripper', 'hand', 'heat-gun'];
const guardedOf = (s: Survey): readonly Feature[] => s.features.filter((f) => PROTECTED.includes(f));

/** From bare metal to the first coat. */
function addReady(s: Survey, choice: Pick<Choice, 'methods' | 'pretreat'>, add: Add): void {
  const metal = metalOf(s.substrate);
  add('inspect', 0.3);
  if (s.criticality.some((c) => c !== 'fuel'))
    add('refer', 0.5, { what: 'inspection', cautions: ['refer-critical'] });
  if (metal === 'magnesium')
    add('refer', 0.5, { what: 'magnesium', waitHours: CONTRACTOR_WAIT_H, cautions: ['metal-fire'] });
  if (isFerrous(metal) && !choice.methods.includes('keep') && s.salt !== 'no' && s.rust !== 'none')
    add('test', 0.4, { what: 'salt' });
  if (s.features.includes('close-fit')) add('test-fit', 0.5);
  if (choice.pretreat) add('pretreat', pretreatHours(s), { what: choice.pretreat, cautions: ['acid'] });
  if (guardedOf(s).length > 0) add('mask', maskHours(s), { what: 'before-paint' });
  if (s.substrate === 'zinc-diecast') add('test', 0.5, { what: 'adhesion-trial', waitHours: TRIAL_WAIT_H });
  const hasEdges = s.features.includes('welds-rivets') || s.features.includes('thin-edges');
  if (hasEdges && s.category !== 'C1' && s.category !== 'C2') add('stripe', 0.3);
}

/** The coats and what follows them. */
export function coatSteps(
  s: Survey,
  means: ShopMeans,
  layers: readonly LayerChoice[],
  families: ReadonlyMap<string, Family>,
): RouteStep[] {
  const { steps, add } = writer();
  addCoats(s, means, layers, families, add);
  const last = layers[layers.length - 1];
  if (isHeldOpen(s, means, last, families)) add('topcoat', 0, { what: OPEN_COATS });
  if (guardedOf(s).length > 0 && last) add('unmask', 0.3);
  if (layers.some((l) => families.get(l.familyId)?.sheet.cureBy === 'bake'))
    add('bake', 0.5, { waitHours: 4, cautions: ['heat'] });
  else if (last) add('cure', 0.1, { waitHours: stageHours(families.get(last.familyId), 'service') });
  if (s.features.includes('box-section') && last)
    add('cavity', coatHours(s, 'gun'), {
      familyId: 'cavity-wax',
      coats: 1,
      dftUm: 100,
      tool: 'gun',
      cautions: ['solvent'],
    });
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
  'bead-blast': ['blast'],
  'dry-ice': ['oxygen'],
  'citric-bath': ['acid'],
  'chelating-bath': ['flash-rust'],
  electrolysis: ['electrolysis'],
  'hot-caustic': ['lye'],
  'solvent-stripper': ['stripper'],
  'wire-wheel': ['eyes'],
  disc: ['dust'],
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

function addCoats(
  s: Survey,
  means: ShopMeans,
  layers: readonly LayerChoice[],
  families: ReadonlyMap<string, Family>,
  add: Add,
): void {
  layers.forEach((layer, i) => {
    const family = families.get(layer.familyId);
    if (!family) return;
    const below = i > 0 ? families.get(layers[i - 1]!.familyId) : undefined;
    const tool = toolFor(s, means, family);
    const perCoat = layer.kind === 'level' ? levelHours(s) : coatHours(s, tool);
    const polish = layer.kind === 'topcoat' && s.finish === 'show' ? polishHours(s) : 0;
    add(layer.kind, perCoat * layer.coats + polish, {
      familyId: layer.familyId,
      coats: layer.coats,
      dftUm: family.sheet.dftUm,
      tool,
      policy: policyFor(means, below, family),
      waitHours: stageHours(family, 'minRecoat') * layer.coats,
      cautions: family.sheet.cautions,
    });
  });
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
