import type { Random } from '../../base/random.ts';
import { FACILITIES, type ShopMeans } from '../../part/shopMeans.ts';
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
  return {
    substrate: pick(SUBSTRATES),
    thicknessMm: figure(0.5, 40),
    massKg: figure(0.1, 800),
    areaM2: figure(0.02, 15),
    rust: known(RUST),
    pits: known(PITS),
    scale: answer(),
    oil: known(OIL),
    salt: answer(),
    coating: known(COATING),
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
    category: known(CATEGORIES),
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
