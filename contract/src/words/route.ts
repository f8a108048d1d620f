import type { Facility, Method, Quality, Schools, ShapeKind, Survey } from '@calvetta/core';

/** What a step does, by its code. */
export const WHAT_WORDS: Readonly<Record<string, string>> = {
  'grit-blast': 'grit blast to Sa 2½',
  'bead-blast': 'glass bead, low pressure',
  'dry-ice': 'dry ice, contractor',
  'chelating-bath': 'chelating bath',
  'citric-bath': 'citric bath',
  electrolysis: 'electrolysis',
  'hot-caustic': 'hot caustic, contractor',
  'solvent-stripper': 'solvent stripper',
  'wire-wheel': 'wire wheel',
  disc: 'disc and sander',
  hand: 'by hand: pad, scraper, brush',
  'needle-gun': 'needle gun',
  'heat-gun': 'heat gun',
  keep: 'keep the sound coat',
  phosphate: 'phosphating wash, 20 min wet, rinse, dry at once',
  conversion: 'conversion coating',
  't-wash': 'T-wash until it blackens',
  key: 'P180 all over, feather every edge',
  'after-strip': 'P80–P180 over all bare metal',
  again: 'again: warm the oil out',
  'before-strip': 'before stripping',
  'before-paint': 'before paint',
  dust: 'dust',
  legacy: 'old paint for lead and chromate',
  salt: 'for salts, wash, test again',
  'adhesion-trial': 'two days’ adhesion trial on a hidden face',
  asbestos: 'lagging: licensed survey first',
  'gas-free': 'fuel tank: certified gas-free',
  'legacy-removal': 'lead or chromate paint: licensed removal',
  inspection: 'to a licensed person, bare',
  magnesium: 'magnesium: specialist treatment',
  glue: 'glue and sealant: scraper and solvent',
  'zinc-salts': 'white zinc salts: water and a brush',
  open: 'colour undecided: later coats left open',
  're-balance': 'control surface: re-balanced by a licensed person',
};
export const METHOD_WORDS = WHAT_WORDS as Readonly<Record<Method, string>>;

export const FACILITY_WORDS: Readonly<Record<Facility, string>> = {
  grit: 'grit blasting',
  bead: 'bead cabinet',
  bath: 'derusting bath',
  gun: 'spray gun',
  booth: 'booth',
  'air-fed-mask': 'air-fed mask',
  heat: 'heat',
  oven: 'oven',
  contractor: 'a contractor',
  'legacy-licence': 'a licence for legacy products',
};

/** House practice: what is chosen between, in words. */
export const SCHOOL_WORDS: {
  readonly [K in keyof Schools]: {
    readonly label: string;
    readonly options: Readonly<Record<Schools[K], string>>;
  };
} = {
  etch: {
    label: 'Over etch',
    options: { 'wet-on-wet': 'wet-on-wet', 'harden-scuff': 'let it harden, scuff' },
  },
  castings: { label: 'Rough castings', options: { prime: 'prime always', direct: 'straight to enamel' } },
  oldPaint: { label: 'Sound old paint', options: { keep: 'keep and key', strip: 'strip to bare' } },
  assembly: { label: 'Engines', options: { 'in-pieces': 'in pieces', assembled: 'assembled' } },
  wireWheel: { label: 'Wire wheel', options: { yes: 'used, then abraded', no: 'never' } },
  tool: { label: 'Laid on by', options: { gun: 'gun', brush: 'brush' } },
  undecided: {
    label: 'Colour undecided',
    options: { 'hold-primer': 'prime, hold it', 'whole-system': 'whole system, tint later' },
  },
};

export const QUALITY_WORDS: Readonly<Record<Quality, string>> = {
  protection: 'protection',
  days: 'soon in service',
  hours: 'few hours',
  cost: 'low cost',
  finish: 'finish',
  forgiveness: 'forgives',
  reversibility: 'comes off again',
  practice: 'as this house does it',
};

export const ORIGIN_WORDS = {
  advised: 'as advised',
  edited: 'edited',
  overridden: 'against a rule',
} as const;

/** The question behind each answer of a survey. */
export const SURVEY_WORDS: Readonly<Record<keyof Survey, string>> = {
  substrate: 'Metal',
  thicknessMm: 'Thickness, mm',
  massKg: 'Mass, kg',
  areaM2: 'Area, m²',
  rust: 'Rust',
  pits: 'Pits',
  scale: 'Mill scale on it',
  oil: 'Oil and grease',
  salt: 'From coast or road',
  coating: 'Old coat',
  coatKind: 'Kind of old coat',
  solventRub: 'Solvent rub, 60 s',
  legacy: 'Lead or chromate',
  phosphated: 'Old phosphate film',
  oldFiller: 'Old filler on it',
  glue: 'Glue or sealant on it',
  priorPrimer: 'Primer left uncovered',
  primerDays: 'Days it stood uncovered',
  features: 'To protect or mind',
  clearanceUm: 'Clearance of the fit, µm',
  hardened: 'Hardened or high-strength',
  lagging: 'Lagging on it',
  otherMetal: 'Bolted to another metal',
  category: 'Where it lives',
  durability: 'How long until major work',
  heatC: 'Hottest in service, °C',
  fuel: 'Fuel or oil on it',
  chips: 'Stones and tools hit it',
  sun: 'In the sun',
  concealed: 'Out of sight',
  finish: 'Finish',
  criticality: 'If it fails',
  assembled: 'Assembled',
  reach: 'Reached by',
  metallic: 'Metallic colour',
  dark: 'Dark colour',
  colourUndecided: 'Colour undecided',
  colourGroup: 'Colour group',
  isPair: 'One of a pair',
  practice: 'Done otherwise here',
};

/** Answers in words, where the code alone says too little. */
export const ANSWER_WORDS: Readonly<Record<string, string>> = {
  A: 'A: scale, hardly any rust',
  B: 'B: scale flaking, rust begun',
  C: 'C: scale gone, light pits',
  D: 'D: pitted all over',
  C1: 'heated indoors (C1)',
  C2: 'dry shed, country (C2)',
  C3: 'outdoors inland (C3)',
  C4: 'coast, industry (C4)',
  C5: 'harsh coast (C5)',
  CX: 'offshore (CX)',
  immersed: 'under water',
  L: 'up to 7 years',
  M: '7–15 years',
  H: '15–25 years',
  VH: 'over 25 years',
  'as-built': 'as built',
  'white-metal': 'white metal',
  'close-fit': 'close fit',
  'water-traps': 'water traps',
  'box-section': 'box section',
  internals: 'internals in it',
  'thin-edges': 'thin edges',
  'welds-rivets': 'welds, rivets',
  'bolted-joints': 'bolted joints',
  'drains-ports': 'drains, ports, plates',
  'control-surface': 'control surface',
  'brakes-steering': 'brakes, steering',
  'one-pack': 'one-pack: softens',
  'two-pack': 'two-pack: hard',
  soaked: 'soaked in',
  wand: 'wand only',
  etch: 'etch',
  'zinc-rich': 'zinc-rich',
};

export const SOURCE_KIND_WORDS = {
  published: 'published',
  'common-practice': 'common practice, no published source',
  'from-memory': 'published, quoted from memory',
} as const;

export const TOPIC_WORDS: Readonly<Record<string, string>> = {
  strip: 'Derusting and stripping',
  prep: 'Preparation',
  metal: 'Metals',
  etch: 'Etch primers',
  zinc: 'Zinc: rich, phosphate, chromate',
  over: 'What goes on what',
  heat: 'Heat',
  fit: 'Fits and faces',
  finish: 'Finish',
  protect: 'Protection',
  work: 'Work, people and law',
};

/** Shapes an area is added up from. */
export const SHAPE_WORDS: Readonly<Record<ShapeKind, string>> = {
  plate: 'plate',
  tube: 'tube',
  bar: 'round bar',
  box: 'box',
  channel: 'channel',
  angle: 'angle',
  'i-beam': 'I-beam',
  cylinder: 'closed cylinder',
  frustum: 'cone, cut off',
  cap: 'dished end',
  'fin-stack': 'stack of fins',
};
export const SHAPE_FIELD_WORDS: Readonly<Record<string, string>> = {
  lengthMm: 'Length',
  widthMm: 'Width',
  heightMm: 'Height',
  faces: 'Faces painted',
  diameterMm: 'Diameter',
  otherDiameterMm: 'Other diameter',
  wallMm: 'Wall (0: outside only)',
  webMm: 'Web',
  flangeMm: 'Flange',
  legMm: 'Leg',
  otherLegMm: 'Other leg',
  depthMm: 'Depth',
  fins: 'Fins',
  count: 'Pieces',
  castingFactor: 'Casting factor',
};
