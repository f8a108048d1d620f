import type { Schools } from './shopMeans.ts';
import type { Substrate } from './substrate.ts';

/** Yes, no, or not known: unknown is carried as unknown and never reads as safe. */
export const ANSWERS = ['yes', 'no', 'unknown'] as const;
export type Answer = (typeof ANSWERS)[number];

/** Rust grades of ISO 8501-1 in words: A mill scale, little rust · B scale flaking · C scale gone, light pits · D general pits. */
export const RUST = ['none', 'A', 'B', 'C', 'D', 'unknown'] as const;
export const PITS = ['none', 'light', 'deep', 'unknown'] as const;
export const OIL = ['none', 'surface', 'soaked', 'unknown'] as const;
export const COATING = ['none', 'sound', 'unsound', 'unknown'] as const;
export const COAT_KINDS = ['one-pack', 'two-pack', 'bitumen', 'powder', 'unknown'] as const;
export const TEST_RESULTS = ['passed', 'failed', 'unknown'] as const;
export const LEGACY = ['none', 'lead', 'chromate', 'unknown'] as const;
/** A primer someone laid before, still uncovered. */
export const PRIOR_PRIMERS = ['none', 'etch', 'zinc-rich', 'epoxy', 'one-pack', 'unknown'] as const;
/** Corrosivity categories of ISO 12944-2, and immersion. */
export const CATEGORIES = ['C1', 'C2', 'C3', 'C4', 'C5', 'CX', 'immersed', 'unknown'] as const;
export type Category = (typeof CATEGORIES)[number];
export const DURABILITY = ['L', 'M', 'H', 'VH'] as const;
export type Durability = (typeof DURABILITY)[number];
export const FINISHES = ['working', 'as-built', 'show'] as const;
export type Finish = (typeof FINISHES)[number];
export const REACHES = ['gun', 'brush', 'wand'] as const;

/** What must be protected, or must not be forgotten. */
export const FEATURES = [
  'machined',
  'threads',
  'bores',
  'white-metal',
  'seals',
  'close-fit',
  'seams',
  'water-traps',
  'box-section',
  'internals',
  'wiring',
  'glass',
  'thin-edges',
  'welds-rivets',
  'bolted-joints',
  'drains-ports',
] as const;
export type Feature = (typeof FEATURES)[number];
export const CRITICALITIES = [
  'pressure',
  'structural',
  'airworthy',
  'control-surface',
  'brakes-steering',
  'lifting',
  'fuel',
] as const;
export type Criticality = (typeof CRITICALITIES)[number];

/** What is known of a part before a route is chosen. Every answer may be unknown; the screens ask only what changes the route. */
export interface Survey {
  readonly substrate: Substrate;
  readonly thicknessMm: number | null;
  readonly massKg: number | null;
  readonly areaM2: number | null;
  readonly rust: (typeof RUST)[number];
  readonly pits: (typeof PITS)[number];
  readonly scale: Answer;
  readonly oil: (typeof OIL)[number];
  /** Comes from coast or road: salts sit in the pits. */
  readonly salt: Answer;
  readonly coating: (typeof COATING)[number];
  readonly coatKind: (typeof COAT_KINDS)[number];
  /** Sixty seconds under a solvent rag: a one-pack softens. */
  readonly solventRub: (typeof TEST_RESULTS)[number];
  readonly legacy: (typeof LEGACY)[number];
  /** Old phosphate film on the metal. */
  readonly phosphated: Answer;
  readonly oldFiller: Answer;
  /** Adhesive, sound-deadening or label glue on it: abrasives smear it, and it creeps under paint. */
  readonly glue: Answer;
  readonly priorPrimer: (typeof PRIOR_PRIMERS)[number];
  /** Days that primer has stood uncovered, on the day of the survey; null: not known. */
  readonly primerDays: number | null;
  readonly features: readonly Feature[];
  readonly clearanceUm: number | null;
  /** Hardened or high-strength steel: acid and electrolysis load it with hydrogen. */
  readonly hardened: Answer;
  /** Lagging that may hold asbestos. */
  readonly lagging: Answer;
  /** Another metal bolted against it; null: none. */
  readonly otherMetal: Substrate | 'unknown' | null;
  readonly category: Category;
  readonly durability: Durability;
  /** Hottest dry heat in service, °C; null: not known. */
  readonly heatC: number | null;
  readonly fuel: Answer;
  readonly chips: Answer;
  readonly sun: Answer;
  readonly concealed: Answer;
  readonly finish: Finish;
  readonly criticality: readonly Criticality[];
  readonly assembled: Answer;
  readonly reach: (typeof REACHES)[number];
  readonly metallic: Answer;
  readonly dark: Answer;
  readonly colourUndecided: boolean;
  readonly colourGroup: string | null;
  readonly isPair: boolean;
  /** Where this part is done otherwise than the house does it. */
  readonly practice: Partial<Schools>;
}

/** A part of which only the metal is known. */
export function blankSurvey(substrate: Substrate): Survey {
  return {
    substrate,
    thicknessMm: null,
    massKg: null,
    areaM2: null,
    rust: 'unknown',
    pits: 'unknown',
    scale: 'unknown',
    oil: 'unknown',
    salt: 'unknown',
    coating: 'unknown',
    coatKind: 'unknown',
    solventRub: 'unknown',
    legacy: 'unknown',
    phosphated: 'unknown',
    oldFiller: 'unknown',
    glue: 'unknown',
    priorPrimer: 'unknown',
    primerDays: null,
    features: [],
    clearanceUm: null,
    hardened: 'unknown',
    lagging: 'unknown',
    otherMetal: 'unknown',
    category: 'unknown',
    durability: 'M',
    heatC: null,
    fuel: 'unknown',
    chips: 'unknown',
    sun: 'unknown',
    concealed: 'unknown',
    finish: 'working',
    criticality: [],
    assembled: 'unknown',
    reach: 'gun',
    metallic: 'unknown',
    dark: 'unknown',
    colourUndecided: false,
    colourGroup: null,
    isPair: false,
    practice: {},
  };
}

/** A survey as stored, perhaps before a question was asked at all: what it does not hold is not known. */
export const wholeSurvey = (stored: Partial<Survey> & Pick<Survey, 'substrate'>): Survey => ({
  ...blankSurvey(stored.substrate),
  ...stored,
});

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
    | 'primer-without-coat';
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

/**
 * Doubts about a survey. `densityKgM3` of its metal checks mass against area and thickness: a thin-walled part's area is
 * about 2m/(ρt) (calculations.md D), and a factor of ten apart is a slip of the decimal point.
 */
export function surveyDoubts(s: Survey, densityKgM3: number): SurveyDoubt[] {
  const out: SurveyDoubt[] = [];
  const doubt = (code: SurveyDoubt['code'], fields: (keyof Survey)[], got: string, accepts: string): void =>
    void out.push({ code, fields, got, accepts });
  if (['A', 'B', 'C', 'D'].includes(s.rust) && !STEELS.includes(s.substrate))
    doubt(
      'rust-grade-not-steel',
      ['rust', 'substrate'],
      `rust ${s.rust} on ${s.substrate}`,
      'rust grades are for steel and iron: choose none, or correct the metal',
    );
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
  if (s.concealed === 'yes' && s.sun === 'yes')
    doubt('immersed-concealed-sun', ['concealed', 'sun'], 'concealed and in the sun', 'one of them');
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
  return out;
}
