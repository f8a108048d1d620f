import type { Schools } from './shopMeans.ts';
import type { PartKind } from './kinds.ts';
import type { Substrate } from './substrate.ts';

/** Yes, no, or not known: unknown is carried as unknown and never reads as safe. */
export const ANSWERS = ['yes', 'no', 'unknown'] as const;
export type Answer = (typeof ANSWERS)[number];

/** Rust grades of ISO 8501-1 in words: A mill scale, little rust · B scale flaking · C scale gone, light pits · D general pits. */
export const RUST = ['none', 'A', 'B', 'C', 'D', 'unknown'] as const;
export const PITS = ['none', 'light', 'deep', 'unknown'] as const;
export const OIL = ['none', 'surface', 'soaked', 'unknown'] as const;
export const COATING = ['none', 'sound', 'partly', 'unsound', 'unknown'] as const;
export const COAT_KINDS = ['one-pack', 'two-pack', 'bitumen', 'powder', 'unknown'] as const;
export const TEST_RESULTS = ['passed', 'failed', 'unknown'] as const;
export const LEGACY = ['none', 'lead', 'chromate', 'unknown'] as const;
/** A primer someone laid before, still uncovered. */
export const PRIOR_PRIMERS = ['none', 'etch', 'zinc-rich', 'epoxy', 'one-pack', 'unknown'] as const;
/** Metal laid over the metal. Asked only where it is seen. Cadmium is a poison: it is never abraded, heated or dipped. */
export const PLATINGS = ['none', 'chrome', 'zinc', 'cadmium', 'anodised', 'unknown'] as const;
/** What else can stand on a part. Asked by a look. */
export const ALSO_ON = [
  'wax',
  'silicone',
  'soot',
  'underseal',
  'tar',
  'white-corrosion',
  'verdigris',
  'luminous-paint',
] as const;
export type AlsoOn = (typeof ALSO_ON)[number];
/** What a zone is full of or wetted by; `splash` is met above a waterline. */
export const FLUIDS = [
  'fresh-water',
  'brine',
  'splash',
  'mineral-oil',
  'diesel',
  'petrol',
  'coolant',
  'brake-fluid',
  'acid',
  'potable',
] as const;
export type Fluid = (typeof FLUIDS)[number];
/** What a part may be too large for. */
export const TOO_BIG_FOR = ['cabinet', 'bath', 'booth', 'door'] as const;

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
  'oilways',
  'wear-face',
  'solder',
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

/** Answers that a kind may set as usual. Nothing that can hurt a person is among them: that is looked at, or asked. */
export const USUAL_FIELDS = [
  'thicknessMm',
  'assembled',
  'features',
  'otherMetal',
  'heatC',
  'concealed',
  'chips',
  'fuel',
  'glue',
] as const;
export type UsualField = (typeof USUAL_FIELDS)[number];

/** What is known of a part before a route is chosen. Every answer may be unknown; the screens ask only what changes the route. */
export interface Survey {
  readonly substrate: Substrate;
  /** What it is; unknown in surveys from before it was asked. */
  readonly kind: PartKind;
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
  /** Share of the old coat that is sound, 0…1, where it is partly so; null: not said, a half. */
  readonly soundShare: number | null;
  /** Sixty seconds under a solvent rag: a one-pack softens. */
  readonly solventRub: (typeof TEST_RESULTS)[number];
  readonly legacy: (typeof LEGACY)[number];
  /** Old phosphate film on the metal. */
  readonly phosphated: Answer;
  readonly oldFiller: Answer;
  /** Adhesive, sound-deadening or label glue on it: abrasives smear it, and it creeps under paint. */
  readonly glue: Answer;
  readonly plating: (typeof PLATINGS)[number];
  readonly alsoOn: readonly AlsoOn[];
  /** Days the metal has stood bare, on the day of the survey; null: it has not, or not known. */
  readonly bareDays: number | null;
  /** Leaks, cracks or holes that want mending first. */
  readonly leaks: Answer;
  /** Whether water runs out of its seams and laps again. */
  readonly seamsRinse: Answer;
  readonly tooBigFor: readonly (typeof TOO_BIG_FOR)[number][];
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
  /** What it is full of or stands in. Asked where it lives under a fluid. */
  readonly fluids: readonly Fluid[];
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
  /** Zones with a treatment of their own, beside the outside. */
  readonly zones: readonly Zone[];
  /** Where this part is done otherwise than the house does it. */
  readonly practice: Partial<Schools>;
  /** Answers that stand because they are usual for its kind, and that nobody has looked at yet. */
  readonly usual: readonly UsualField[];
}

/** A part of which only the metal is known. */
export function blankSurvey(substrate: Substrate): Survey {
  return {
    substrate,
    kind: 'unknown',
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
    soundShare: null,
    solventRub: 'unknown',
    legacy: 'unknown',
    phosphated: 'unknown',
    oldFiller: 'unknown',
    glue: 'unknown',
    plating: 'none',
    alsoOn: [],
    bareDays: null,
    leaks: 'unknown',
    seamsRinse: 'unknown',
    tooBigFor: [],
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
    fluids: [],
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
    zones: [],
    practice: {},
    usual: [],
  };
}

/** A survey as stored, perhaps before a question was asked at all: what it does not hold is not known. */
export const wholeSurvey = (stored: Partial<Survey> & Pick<Survey, 'substrate'>): Survey => ({
  ...blankSurvey(stored.substrate),
  ...stored,
});

/** Outside: painted. Bright: machined, sliding, scraped, no paint. Inside: a cavity, tank, water or oil space. Seam: laps, rivets. */
export const ZONE_KINDS = ['outside', 'bright', 'inside', 'seam'] as const;
export type ZoneKind = (typeof ZONE_KINDS)[number];

/** Answers of a survey that may differ from one zone of a part to another. */
export type ZoneAnswers = Partial<
  Pick<
    Survey,
    | 'areaM2'
    | 'thicknessMm'
    | 'rust'
    | 'pits'
    | 'scale'
    | 'oil'
    | 'coating'
    | 'coatKind'
    | 'soundShare'
    | 'legacy'
    | 'category'
    | 'sun'
    | 'finish'
    | 'reach'
    | 'concealed'
  >
>;

/** A zone of its own beside the outside: with its own treatment, heat, fluids and end. */
export interface Zone {
  readonly zoneId: string;
  readonly name: string;
  readonly kind: ZoneKind;
  readonly heatC: number | null;
  readonly fluids: Survey['fluids'];
  readonly overrides: ZoneAnswers;
}
