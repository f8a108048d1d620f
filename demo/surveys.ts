import {
  advise,
  routeWith,
  type Advice,
  blankSurvey,
  buildRoute,
  familiesOf,
  FULL_SHOP,
  isAllowed,
  judgeRoute,
  RULES,
  type ActId,
  type LayerChoice,
  type PartKind,
  type RouteStep,
  type Substrate,
  type Survey,
  type Way,
} from '@calvetta/core';
import type { PartLine, RouteName } from './machines.ts';

const FAMILIES = familiesOf([]);

/** What was found of a part of the demo, beyond what its line says. */
const LOOKED: Partial<Survey> = {
  rust: 'C',
  pits: 'none',
  scale: 'no',
  oil: 'surface',
  salt: 'yes',
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
  category: 'C4',
  durability: 'M',
  heatC: 60,
  fuel: 'no',
  chips: 'no',
  sun: 'yes',
  concealed: 'no',
  assembled: 'no',
  metallic: 'no',
  dark: 'no',
  finish: 'working',
};

/** What each kind of part of the demo adds. */
const OF_ROUTE: Readonly<Record<RouteName, Partial<Survey>>> = {
  epoxy: {},
  mastic: { durability: 'H' },
  coach: { category: 'C2', durability: 'L', finish: 'as-built' },
  aero: { rust: 'none', salt: 'no', category: 'C3', criticality: ['airworthy'] },
  float: { rust: 'none', salt: 'no', category: 'immersed', fluids: ['brine'] },
  panel: { category: 'C3', finish: 'show', pits: 'light' },
  heat: { heatC: 350, sun: 'no', category: 'C3' },
  zinc: { category: 'C5', durability: 'M' },
  etchmistake: { rust: 'none', salt: 'no', category: 'C3' },
  oldstock: { category: 'C2', durability: 'L', finish: 'working' },
  oiled: { category: 'C2', sun: 'no', kind: 'shaft-pin-rod' },
  referred: { rust: 'none', salt: 'no' },
  manifold: { sun: 'no', category: 'C3', heatC: 90 },
};

/** The coats each route is to have, from the metal up; null: no paint. */
const SYSTEM: Readonly<Record<RouteName, readonly string[] | null>> = {
  epoxy: ['epoxy-primer', 'gloss-2k'],
  mastic: ['epoxy-mastic', 'gloss-2k'],
  coach: ['zp-alkyd', 'enamel'],
  aero: ['etch-2k', 'epoxy-aero', 'gloss-2k'],
  float: ['epoxy-mastic', 'gloss-2k'],
  panel: ['epoxy-primer', 'surfacer-2k', 'gloss-2k'],
  heat: ['heat-black'],
  zinc: ['zinc-epoxy', 'epoxy-mastic', 'gloss-2k'],
  etchmistake: ['etch-2k', 'epoxy-primer', 'gloss-2k'],
  oldstock: ['zp-alkyd', 'enamel'],
  oiled: null,
  referred: null,
  manifold: ['epoxy-mastic', 'gloss-2k'],
};

/** What a part is and how it lives, where that is more than its route says; and the way it was prepared. */
interface Own {
  readonly kind?: PartKind;
  readonly s?: Partial<Survey>;
  readonly way?: Way;
}
/** Too large to be stripped and primed in one session of theirs: they go away for it. */
const FLOAT: Own = {
  kind: 'float-hull',
  s: {
    features: ['seams', 'welds-rivets'],
    coating: 'sound',
    coatKind: 'two-pack',
    solventRub: 'passed',
  },
  way: 'contractor',
};
const OWN: Readonly<Record<string, Own>> = {
  'fenland.track-frame-left': { way: 'blast' },
  'fenland.track-frame-right': { way: 'blast' },
  'quarry.main-frame-left': { kind: 'frame-plate', way: 'blast' },
  'quarry.main-frame-right': { kind: 'frame-plate', way: 'blast' },
  'quarry.spring-hangers': { kind: 'bracket', way: 'bath' },
  'quarry.horn-guides': { kind: 'machined-casting', s: { features: ['machined'] } },
  'quarry.smokebox-door': { kind: 'smokebox-exhaust' },
  'quarry.chimney': { kind: 'smokebox-exhaust' },
  'quarry.smokebox-saddle': { kind: 'smokebox-exhaust' },
  'quarry.ashpan': { kind: 'smokebox-exhaust', s: { heatC: 400 } },
  'quarry.boiler-cleading': { kind: 'cladding' },
  'quarry.saddle-tank': { kind: 'water-tank', s: { features: ['welds-rivets'] } },
  'quarry.handrails': { kind: 'thin-trim', s: { rust: 'none', salt: 'no' } },
  'quarry.bunker': { kind: 'frame-plate', s: { features: ['welds-rivets'] } },
  'saltern.elevator-port': { kind: 'control-surface', s: { criticality: ['airworthy', 'control-surface'] } },
  'saltern.elevator-starboard': {
    kind: 'control-surface',
    s: {
      criticality: ['airworthy', 'control-surface'],
      coating: 'sound',
      coatKind: 'two-pack',
      solventRub: 'passed',
    },
    way: 'contractor',
  },
  'saltern.rudder': { kind: 'control-surface', s: { criticality: ['airworthy', 'control-surface'] } },
  'saltern.float-port': FLOAT,
  'saltern.float-starboard': FLOAT,
  'saltern.float-hatch-covers': { kind: 'aircraft-skin', s: { category: 'C4' } },
  'saltern.gearbox-case': { kind: 'engine-casting', s: { substrate: 'magnesium' } },
  'saltern.carburettor-body': { kind: 'diecast-fitting', s: { rust: 'none', salt: 'no', fuel: 'yes' } },
  'saltern.strut-fairings': { kind: 'aircraft-skin' },
  'fenland.radiator-shell': { kind: 'rough-casting' },
  'fenland.fuel-tank': {
    kind: 'fuel-tank',
    s: {
      criticality: ['fuel'],
      zones: [
        { zoneId: 'inside', name: 'Inside', kind: 'inside', heatC: 40, fluids: ['petrol'], overrides: {} },
      ],
    },
  },
  'fenland.rear-axle-case': {
    kind: 'gearbox-axle',
    s: {
      zones: [
        {
          zoneId: 'oil-space',
          name: 'Oil space',
          kind: 'inside',
          heatC: 60,
          fluids: ['mineral-oil'],
          overrides: { rust: 'none' },
        },
      ],
    },
  },
  'fenland.drawbar': { kind: 'bracket', s: { features: ['wear-face'] } },
  'fenland.drive-sprocket': { kind: 'rough-casting', s: { features: ['wear-face'] } },
  'pump.cylinder-block': { kind: 'engine-casting' },
  'pump.cylinder-head-front': { kind: 'engine-casting', s: { heatC: 160, features: ['machined'] } },
  'pump.cylinder-head-rear': { kind: 'engine-casting', s: { heatC: 160, features: ['machined'] } },
  'pump.rocker-cover': { kind: 'machined-casting', s: { fuel: 'yes' } },
  'pump.base-plate': {
    kind: 'rough-casting',
    s: { rust: 'none', salt: 'no', coating: 'sound', coatKind: 'two-pack', solventRub: 'passed' },
    way: 'keep',
  },
  'pump.lubricator': { kind: 'brass-fitting', s: { criticality: [] } },
  'pump.timing-cover': { kind: 'engine-casting', s: { criticality: [], fuel: 'yes' } },
  'pump.governor-housing': { kind: 'engine-casting', s: { criticality: [], fuel: 'yes' } },
  'pump.manifold': {
    kind: 'rough-casting',
    s: {
      zones: [
        {
          zoneId: 'exhaust',
          name: 'Exhaust branch',
          kind: 'outside',
          heatC: 550,
          fluids: [],
          overrides: { areaM2: 0.12 },
        },
      ],
    },
  },
  'van.chassis-rail-left': { kind: 'chassis-rail', s: { features: ['box-section', 'welds-rivets'] } },
  'van.chassis-rail-right': { kind: 'chassis-rail', s: { features: ['box-section', 'welds-rivets'] } },
  'van.bumper-irons': {
    kind: 'galvanised-sheet',
    s: { rust: 'none', salt: 'no', alsoOn: ['white-corrosion'] },
  },
  'van.front-axle-beam': {
    kind: 'machined-casting',
    s: { criticality: ['brakes-steering'], features: ['machined'] },
  },
  'van.leaf-springs': { kind: 'spring', s: { hardened: 'yes', durability: 'M' }, way: 'blast' },
  'van.brake-drums': { kind: 'wheel-brake', s: { criticality: ['brakes-steering'], heatC: 300 } },
};

const KIND_OF: Readonly<Partial<Record<Substrate, PartKind>>> = {
  'steel-plate': 'bracket',
  'steel-sheet': 'sheet-panel',
  'cast-steel': 'rough-casting',
  'grey-iron': 'rough-casting',
  'aluminium-wrought': 'aircraft-skin',
  'aluminium-cast': 'engine-casting',
};

/** Past this area a part of the demo goes into no cabinet and no bath. */
const TOO_BIG_M2 = 0.5;

/** The survey of a demo part. */
export function surveyOf(partId: string, p: PartLine, isPair: boolean): Survey {
  const own = OWN[partId] ?? {};
  const substrate = p.substrate as Substrate;
  return {
    ...blankSurvey(substrate),
    ...LOOKED,
    ...OF_ROUTE[p.route],
    kind: own.kind ?? OF_ROUTE[p.route].kind ?? KIND_OF[substrate] ?? 'unknown',
    thicknessMm: p.thicknessMm,
    massKg: p.massKg,
    areaM2: p.areaM2,
    tooBigFor: p.areaM2 >= TOO_BIG_M2 ? ['cabinet', 'bath'] : [],
    colourGroup: p.colourGroup,
    isPair,
    ...own.s,
  };
}

export interface DemoRoute {
  readonly survey: Survey;
  readonly steps: readonly RouteStep[];
  readonly acts: readonly ActId[];
  readonly routeId: string;
  readonly origin: 'advised' | 'edited' | 'overridden';
  readonly reason?: string;
}

/** The route of a demo part, out of the advice: one shown, else one that holds and was chosen all the same, else a mistake with its reason. */
export function routeFor(partId: string, p: PartLine, isPair: boolean): DemoRoute {
  const survey = surveyOf(partId, p, isPair);
  const advice = advise({ survey, means: FULL_SHOP, families: FAMILIES, branches: true });
  const own = OWN[partId] ?? {};
  const want = SYSTEM[p.route];
  const fits = (way: Way, layers: readonly { readonly familyId: string }[]): boolean =>
    want !== null &&
    layers.map((l) => l.familyId).join() === want.join() &&
    (own.way === undefined || own.way === way);
  const shown =
    want === null
      ? advice.routes.find((r) => r.answer.kind !== 'paint')
      : advice.routes.find((r) => fits(r.way, r.choice.layers));
  if (shown)
    return { survey, steps: shown.steps, acts: shown.choice.acts, routeId: shown.routeId, origin: 'advised' };
  const input = { survey, means: FULL_SHOP, families: FAMILIES };
  for (const r of advice.routes) {
    const twin = r.twins.find((t) => fits(r.way, t));
    if (twin)
      return {
        survey,
        steps: routeWith(input, r, twin),
        acts: r.choice.acts,
        routeId: `${r.routeId}/twin`,
        origin: 'advised',
      };
  }
  const unshown = advice.unshown.find((u) => fits(u.way, u.choice.layers));
  if (unshown) {
    const steps = buildRoute(survey, FULL_SHOP, unshown.choice, FAMILIES);
    return { survey, steps, acts: unshown.choice.acts, routeId: `also-holds/${p.route}`, origin: 'advised' };
  }
  if (p.route === 'referred')
    return { survey, steps: REFERRED, acts: [], routeId: 'referred', origin: 'edited' };
  return byHand(partId, p, survey, advice);
}

/** The gearbox case stays as it is until the specialist has seen it. */
const REFERRED: readonly RouteStep[] = (
  [
    ['refer', 'magnesium-specialist', 0.5],
    ['care', 'look-yearly', 0],
  ] as const
).map(([kind, what, hours], i) => ({
  stepId: `${kind}-${i + 1}`,
  kind,
  what,
  coats: 0,
  dftUm: null,
  hours,
  waitHours: 0,
  cautions: ['refer-critical'],
}));

/** Steps put together by hand where the advice does not have the system: held against the rules, or a mistake with its reason. */
function byHand(partId: string, p: PartLine, survey: Survey, advice: Advice): DemoRoute {
  const once = (SYSTEM[p.route] ?? []).map(layerOf);
  const twice = once.map((l) => (l.kind === 'prime' ? { ...l, coats: 2 } : l));
  const { way } = OWN[partId] ?? {};
  const tried = [
    ...advice.routes.filter((r) => way === undefined || r.way === way).map((r) => r.choice.acts),
    ['pad'],
    ['hand'],
  ] as readonly (readonly ActId[])[];
  const made = tried.flatMap((acts) =>
    [twice, once].map((layers) => ({
      acts,
      steps: buildRoute(survey, FULL_SHOP, { acts, layers }, FAMILIES, advice.routes[0]!.gates),
    })),
  );
  const holds = made.find((m) =>
    isAllowed(judgeRoute({ survey, means: FULL_SHOP, steps: m.steps, families: FAMILIES, rules: RULES })),
  );
  if (holds) return { survey, ...holds, routeId: `by-hand/${p.route}`, origin: 'edited' };
  if (p.route === 'etchmistake')
    return {
      survey,
      ...made[made.length - 1]!,
      routeId: 'by-hand/mistake',
      origin: 'overridden',
      reason: 'the epoxy was open and had to be used',
    };
  throw new Error(`${partId}: nothing holds; shown: ${advice.routes.map((r) => r.routeId).join(' | ')}`);
}

const LAYERS: Readonly<Record<string, LayerChoice>> = {
  'etch-2k': { kind: 'etch', familyId: 'etch-2k', coats: 1 },
  'surfacer-2k': { kind: 'level', familyId: 'surfacer-2k', coats: 2 },
  'gloss-2k': { kind: 'topcoat', familyId: 'gloss-2k', coats: 2 },
  enamel: { kind: 'topcoat', familyId: 'enamel', coats: 3 },
  'heat-black': { kind: 'topcoat', familyId: 'heat-black', coats: 2 },
};
const layerOf = (familyId: string): LayerChoice => LAYERS[familyId] ?? { kind: 'prime', familyId, coats: 1 };
