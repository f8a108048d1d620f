import { METALS_OF_KIND } from './kindFacts.ts';
import { isCasting, type Substrate } from './substrate.ts';
import type { Survey } from './survey.ts';

/** Two answers that cannot both be true, or a figure that cannot be: questioned, never swallowed. */
export interface SurveyDoubt {
  readonly code:
    | 'rust-grade-not-steel'
    | 'zero-thickness'
    | 'mass-area-disagree'
    | 'coat-kind-without-coat'
    | 'immersed-concealed-sun'
    | 'heat-on-glass-fibre'
    | 'hardened-not-steel'
    | 'legacy-without-coat'
    | 'sheet-too-thick'
    | 'primer-without-coat'
    | 'kind-not-of-metal'
    | 'kind-pressure'
    | 'kind-fuel'
    | 'assembled-kind'
    | 'share-without-coat'
    | 'scale-on-casting'
    | 'fluids-without-water'
    | 'cadmium-not-steel'
    | 'bare-under-coat'
    | 'pits-of-grade';
  readonly fields: readonly (keyof Survey)[];
  readonly got: string;
  readonly accepts: string;
}

const STEELS: readonly Substrate[] = [
  'steel-plate',
  'steel-sheet',
  'cast-steel',
  'timber-backed-steel',
  'grey-iron',
  'ductile-iron',
  'galvanised',
];

type Doubt = (code: SurveyDoubt['code'], fields: (keyof Survey)[], got: string, accepts: string) => void;

/** What a part is against what is said of it: a kind never settles safety, so where they part the person is asked. */
function kindDoubts(s: Survey, doubt: Doubt): void {
  const metals = METALS_OF_KIND[s.kind];
  if (metals && !metals.includes(s.substrate))
    doubt(
      'kind-not-of-metal',
      ['kind', 'substrate'],
      `${s.kind} of ${s.substrate}`,
      `one of ${metals.join(', ')}, or another kind`,
    );
  if (s.kind === 'boiler' && !s.criticality.includes('pressure'))
    doubt(
      'kind-pressure',
      ['kind', 'criticality'],
      'a boiler or receiver that is no pressure part',
      'pressure among what happens if it fails, or another kind',
    );
  if (s.kind === 'fuel-tank' && !s.criticality.includes('fuel'))
    doubt(
      'kind-fuel',
      ['kind', 'criticality'],
      'a fuel tank that held no fuel',
      'fuel among what happens if it fails, or another kind',
    );
  if (s.kind === 'engine-assembled' && s.assembled === 'no')
    doubt(
      'assembled-kind',
      ['kind', 'assembled'],
      'an assembled engine that is not assembled',
      'engine casting, or assembled',
    );
}

/** Figures that cannot be, and sizes that do not belong together. */
function figureDoubts(s: Survey, densityKgM3: number, doubt: Doubt): void {
  for (const field of ['thicknessMm', 'massKg', 'areaM2'] as const)
    if (s[field] !== null && !(s[field] > 0))
      doubt('zero-thickness', [field], String(s[field]), 'a figure above zero, or unknown');
  if (s.substrate === 'steel-sheet' && s.thicknessMm !== null && s.thicknessMm >= 6)
    doubt(
      'sheet-too-thick',
      ['substrate', 'thicknessMm'],
      `${s.thicknessMm} mm sheet`,
      'sheet is thinner than 3 mm or so: choose plate, or correct the thickness',
    );
  if (
    s.massKg !== null &&
    s.areaM2 !== null &&
    s.thicknessMm !== null &&
    s.thicknessMm > 0 &&
    s.massKg > 0 &&
    s.areaM2 > 0
  ) {
    const expectedM2 = (2 * s.massKg) / (densityKgM3 * (s.thicknessMm / 1000));
    const ratio = s.areaM2 / expectedM2;
    if (ratio > 10 || ratio < 0.1)
      doubt(
        'mass-area-disagree',
        ['massKg', 'areaM2', 'thicknessMm'],
        `${s.areaM2} m², where ${s.massKg} kg of ${s.thicknessMm} mm has about ${expectedM2.toPrecision(2)} m²`,
        'figures within a factor of ten of each other',
      );
  }
}

/** What is said of a coat where there is none, and of bare metal where there is a coat. */
function coatDoubts(s: Survey, doubt: Doubt): void {
  if (s.coating === 'none' && s.coatKind !== 'unknown')
    doubt(
      'coat-kind-without-coat',
      ['coating', 'coatKind'],
      `no coat, of kind ${s.coatKind}`,
      'a kind only where there is a coat',
    );
  if (s.coating === 'none' && s.priorPrimer !== 'none' && s.priorPrimer !== 'unknown')
    doubt(
      'primer-without-coat',
      ['coating', 'priorPrimer'],
      `${s.priorPrimer} primer, but no coat on it`,
      'a primer only where there is a coat',
    );
  if (s.coating === 'none' && (s.legacy === 'lead' || s.legacy === 'chromate'))
    doubt(
      'legacy-without-coat',
      ['coating', 'legacy'],
      `${s.legacy} without a coat`,
      'a hazard of old paint only where there is paint',
    );
  if (s.soundShare !== null && s.coating !== 'partly')
    doubt(
      'share-without-coat',
      ['coating', 'soundShare'],
      `a sound share of ${Math.round(100 * s.soundShare)} % where the coat is ${s.coating}`,
      'a share only where the coat is partly sound',
    );
  if (s.bareDays !== null && (s.coating === 'sound' || s.coating === 'partly'))
    doubt(
      'bare-under-coat',
      ['bareDays', 'coating'],
      `bare for ${s.bareDays} days, with a coat on`,
      'one of them',
    );
}

/** What a metal cannot be or have. */
function metalDoubts(s: Survey, doubt: Doubt): void {
  if (['A', 'B', 'C', 'D'].includes(s.rust) && !STEELS.includes(s.substrate))
    doubt(
      'rust-grade-not-steel',
      ['rust', 'substrate'],
      `rust ${s.rust} on ${s.substrate}`,
      'rust grades are for steel and iron: choose none, or correct the metal',
    );
  if (s.scale === 'yes' && isCasting(s.substrate))
    doubt(
      'scale-on-casting',
      ['scale', 'substrate'],
      'mill scale on a casting',
      'mill scale is on rolled steel only',
    );
  if (s.plating === 'cadmium' && !STEELS.includes(s.substrate))
    doubt(
      'cadmium-not-steel',
      ['plating', 'substrate'],
      `cadmium on ${s.substrate}`,
      'cadmium is on steel fittings',
    );
  if (s.rust === 'D' && s.pits === 'none')
    doubt(
      'pits-of-grade',
      ['rust', 'pits'],
      'grade D without pits',
      'grade D is pitted all over: light or deep pits, or another grade',
    );
  if (s.substrate === 'glass-fibre' && s.heatC !== null && s.heatC > 150)
    doubt(
      'heat-on-glass-fibre',
      ['substrate', 'heatC'],
      `${s.heatC} °C`,
      'glass-fibre does not stand that: correct the heat or the material',
    );
  if (s.hardened === 'yes' && !STEELS.includes(s.substrate))
    doubt(
      'hardened-not-steel',
      ['hardened', 'substrate'],
      `hardened ${s.substrate}`,
      'hardened is asked of steel',
    );
}

/** A life that contradicts itself. */
function lifeDoubts(s: Survey, doubt: Doubt): void {
  if (s.fluids.length > 0 && s.category !== 'immersed' && s.category !== 'unknown')
    doubt(
      'fluids-without-water',
      ['fluids', 'category'],
      `stands in ${s.fluids.join(', ')}, and lives in ${s.category}`,
      'under a fluid, or no fluid',
    );
  if (s.concealed === 'yes' && s.sun === 'yes')
    doubt('immersed-concealed-sun', ['concealed', 'sun'], 'concealed and in the sun', 'one of them');
}

/**
 * Doubts about a survey. `densityKgM3` of its metal checks mass against area and thickness: a thin-walled part's area is
 * about 2m/(ρt) (docs/calculations.md D), and a factor of ten apart is a slip of the decimal point.
 */
export function surveyDoubts(s: Survey, densityKgM3: number): SurveyDoubt[] {
  const out: SurveyDoubt[] = [];
  const doubt: Doubt = (code, fields, got, accepts) => void out.push({ code, fields, got, accepts });
  figureDoubts(s, densityKgM3, doubt);
  coatDoubts(s, doubt);
  metalDoubts(s, doubt);
  lifeDoubts(s, doubt);
  kindDoubts(s, doubt);
  return out;
}
