import type { Random } from '../../base/random.ts';
import { FACILITIES, type ShopMeans } from '../../part/shopMeans.ts';
import { PART_KINDS } from '../../part/kinds.ts';
import { SUBSTRATES } from '../../part/substrate.ts';
import {
  ANSWERS,
  CATEGORIES,
  COAT_KINDS,
  COATING,
  CRITICALITIES,
  DURABILITY,
  FEATURES,
  FINISHES,
  LEGACY,
  OIL,
  PITS,
  PRIOR_PRIMERS,
  REACHES,
  RUST,
  ALSO_ON,
  FLUIDS,
  PLATINGS,
  TOO_BIG_FOR,
  TEST_RESULTS,
  type Survey,
} from '../../part/survey.ts';

/** For tests only: a survey from anywhere in the grid, unknown about one answer in eight. */
export function randomSurvey(random: Random): Survey {
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const answer = () => (random() < 0.12 ? 'unknown' : pick(ANSWERS.slice(0, 2)));
  const known = <T extends string>(list: readonly T[]): T =>
    random() < 0.12 ? ('unknown' as T) : pick(list.filter((x) => x !== 'unknown'));
  const some = <T>(list: readonly T[], share: number): T[] => list.filter(() => random() < share);
  const figure = (least: number, most: number): number | null =>
    random() < 0.12 ? null : least * (most / least) ** random();
  const category = known(CATEGORIES);
  const coating = known(COATING);
  return {
    substrate: pick(SUBSTRATES),
    kind: random() < 0.4 ? 'unknown' : pick(PART_KINDS),
    soundShare: coating === 'partly' && random() < 0.5 ? Math.round(16 * random()) / 16 : null,
    plating: random() < 0.9 ? 'none' : pick(PLATINGS),
    alsoOn: some(ALSO_ON, 0.04),
    bareDays: coating === 'none' ? figure(0.1, 30) : null,
    leaks: random() < 0.95 ? 'no' : answer(),
    seamsRinse: answer(),
    tooBigFor: some(TOO_BIG_FOR, 0.2),
    fluids: category === 'immersed' ? some(FLUIDS, 0.15) : [],
    zones: [],
    thicknessMm: figure(0.5, 40),
    massKg: figure(0.1, 800),
    areaM2: figure(0.02, 15),
    rust: known(RUST),
    pits: known(PITS),
    scale: answer(),
    oil: known(OIL),
    salt: answer(),
    coating,
    coatKind: known(COAT_KINDS),
    solventRub: known(TEST_RESULTS),
    legacy: known(LEGACY),
    phosphated: answer(),
    oldFiller: answer(),
    glue: answer(),
    priorPrimer: known(PRIOR_PRIMERS),
    primerDays: figure(0.1, 60),
    features: some(FEATURES, 0.12),
    clearanceUm: figure(20, 2000),
    hardened: answer(),
    lagging: random() < 0.9 ? 'no' : answer(),
    otherMetal: random() < 0.6 ? null : random() < 0.2 ? 'unknown' : pick(SUBSTRATES),
    category,
    durability: pick(DURABILITY),
    heatC: random() < 0.08 ? null : random() < 0.75 ? 60 : pick([110, 140, 170, 250, 450]),
    fuel: answer(),
    chips: answer(),
    sun: answer(),
    concealed: answer(),
    finish: pick(FINISHES),
    criticality: some(CRITICALITIES, 0.06),
    assembled: answer(),
    reach: pick(REACHES),
    metallic: random() < 0.8 ? 'no' : answer(),
    dark: answer(),
    colourUndecided: random() < 0.1,
    colourGroup: random() < 0.2 ? 'group' : null,
    isPair: random() < 0.2,
    practice: random() < 0.9 ? {} : { tool: pick(['gun', 'brush']), undecided: 'whole-system' },
    usual: [],
  };
}

export function randomMeans(random: Random): ShopMeans {
  const flip = <T>(a: T, b: T): T => (random() < 0.5 ? a : b);
  return {
    facilities: FACILITIES.filter((f) => f !== 'legacy-licence' && random() < 0.6),
    schools: {
      etch: flip('wet-on-wet', 'harden-scuff'),
      castings: flip('prime', 'direct'),
      oldPaint: flip('keep', 'strip'),
      assembly: flip('in-pieces', 'assembled'),
      wireWheel: flip('yes', 'no'),
      tool: flip('gun', 'brush'),
      undecided: flip('hold-primer', 'whole-system'),
    },
  };
}

/** Seeds are printed with a failure: add a failed one to the cases with its cause. */
export const SEED = 20261125;
export const where = (i: number, survey: Survey): string =>
  `seed ${SEED} survey ${i}: ${JSON.stringify(survey)}`;
/** The shop as a part has it: its own practice in the house's place. */
export const shopOf = (survey: Survey, means: ShopMeans) => ({
  facilities: means.facilities,
  schools: { ...means.schools, ...survey.practice },
});
