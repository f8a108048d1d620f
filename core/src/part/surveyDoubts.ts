import { METALS_OF_KIND } from './kindFacts.ts';
import { isCasting, type Substrate } from './substrate.ts';
import type { Survey } from './survey.ts';
import type { AskedField } from './surveySheet.ts';

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
  readonly fields: readonly AskedField[];
  /** The surface that mass and thickness would have, where those are in doubt. */
  readonly expectedM2?: number;
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

type Doubt = (code: SurveyDoubt['code'], fields: AskedField[], expectedM2?: number) => void;

/** What a part is against what is said of it: a kind never settles safety, so where they part the person is asked. */
function kindDoubts(s: Survey, doubt: Doubt): void {
  const metals = METALS_OF_KIND[s.kind];
  if (metals && !metals.includes(s.substrate)) doubt('kind-not-of-metal', ['kind', 'substrate']);
  if (s.kind === 'boiler' && !s.criticality.includes('pressure'))
    doubt('kind-pressure', ['kind', 'criticality']);
  if (s.kind === 'fuel-tank' && !s.criticality.includes('fuel')) doubt('kind-fuel', ['kind', 'criticality']);
  if (s.kind === 'engine-assembled' && s.assembled === 'no') doubt('assembled-kind', ['kind', 'assembled']);
}

/** Figures that cannot be, and sizes that do not belong together. */
function figureDoubts(s: Survey, densityKgM3: number, doubt: Doubt): void {
  for (const field of ['thicknessMm', 'massKg', 'areaM2'] as const)
    if (s[field] !== null && !(s[field] > 0)) doubt('zero-thickness', [field]);
  if (s.substrate === 'steel-sheet' && s.thicknessMm !== null && s.thicknessMm >= 6)
    doubt('sheet-too-thick', ['substrate', 'thicknessMm']);
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
      doubt('mass-area-disagree', ['massKg', 'areaM2', 'thicknessMm'], expectedM2);
  }
}

/** What is said of a coat where there is none, and of bare metal where there is a coat. */
function coatDoubts(s: Survey, doubt: Doubt): void {
  if (s.coating === 'none' && s.coatKind !== 'unknown')
    doubt('coat-kind-without-coat', ['coating', 'coatKind']);
  if (s.coating === 'none' && s.priorPrimer !== 'none' && s.priorPrimer !== 'unknown')
    doubt('primer-without-coat', ['coating', 'priorPrimer']);
  if (s.coating === 'none' && (s.legacy === 'lead' || s.legacy === 'chromate'))
    doubt('legacy-without-coat', ['coating', 'legacy']);
  if (s.soundShare !== null && s.coating !== 'partly') doubt('share-without-coat', ['coating', 'soundShare']);
  if (s.bareDays !== null && (s.coating === 'sound' || s.coating === 'partly'))
    doubt('bare-under-coat', ['bareDays', 'coating']);
}

/** What a metal cannot be or have. */
function metalDoubts(s: Survey, doubt: Doubt): void {
  if (['A', 'B', 'C', 'D'].includes(s.rust) && !STEELS.includes(s.substrate))
    doubt('rust-grade-not-steel', ['rust', 'substrate']);
  if (s.scale === 'yes' && isCasting(s.substrate)) doubt('scale-on-casting', ['scale', 'substrate']);
  if (s.plating === 'cadmium' && !STEELS.includes(s.substrate))
    doubt('cadmium-not-steel', ['plating', 'substrate']);
  if (s.rust === 'D' && s.pits === 'none') doubt('pits-of-grade', ['rust', 'pits']);
  if (s.substrate === 'glass-fibre' && s.heatC !== null && s.heatC > 150)
    doubt('heat-on-glass-fibre', ['substrate', 'heatC']);
  if (s.hardened === 'yes' && !STEELS.includes(s.substrate))
    doubt('hardened-not-steel', ['hardened', 'substrate']);
}

/** A life that contradicts itself. */
function lifeDoubts(s: Survey, doubt: Doubt): void {
  if (s.fluids.length > 0 && s.category !== 'immersed' && s.category !== 'unknown')
    doubt('fluids-without-water', ['fluids', 'category']);
  if (s.concealed === 'yes' && s.sun === 'yes') doubt('immersed-concealed-sun', ['concealed', 'sun']);
}

/**
 * Doubts about a survey. `densityKgM3` of its metal checks mass against area and thickness: a thin-walled part's area is
 * about 2m/(ρt) (docs/calculations.md D), and a factor of ten apart is a slip of the decimal point.
 */
export function surveyDoubts(s: Survey, densityKgM3: number): SurveyDoubt[] {
  const out: SurveyDoubt[] = [];
  const doubt: Doubt = (code, fields, expectedM2) =>
    void out.push({ code, fields, ...(expectedM2 === undefined ? {} : { expectedM2 }) });
  figureDoubts(s, densityKgM3, doubt);
  coatDoubts(s, doubt);
  metalDoubts(s, doubt);
  lifeDoubts(s, doubt);
  kindDoubts(s, doubt);
  return out;
}
