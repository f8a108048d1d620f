import type { Best, Capacity, Facility, Matter, Method, Quality, Schools, Way } from '@calvetta/core';

/** What a step does, by its code. */
export const WHAT_WORDS: Readonly<Record<string, string>> = {
  'grit-blast': 'grit blast to Sa 2½',
  'fine-blast': 'fine hard media, at most 3 bar',
  'spot-blast': 'spot blast',
  'vapour-blast': 'vapour blast, contractor',
  sweep: 'sweep with mineral media, at most 2 bar',
  'plastic-media': 'plastic media, contractor',
  'rotary-bristle': 'rotary bristle',
  'spot-disc': 'loose spots by disc, edges feathered',
  'spot-wet': 'loose spots scraped and abraded wet',
  scrape: 'scrape cold, then solvent',
  pad: 'non-woven pad and solvent',
  'bead-blast': 'glass bead, low pressure',
  'dry-ice': 'dry ice, contractor',
  'chelating-bath': 'chelating bath',
  'citric-bath': 'citric bath',
  electrolysis: 'electrolysis, mild-steel anode',
  'hot-caustic': 'hot caustic',
  'solvent-stripper': 'solvent stripper',
  'wire-wheel': 'wire wheel',
  disc: 'disc and sander',
  hand: 'by hand: pad, scraper, brush',
  'needle-gun': 'needle gun, then disc',
  'heat-gun': 'heat gun',
  keep: 'keep the sound coat',
  phosphate: 'phosphating wash, 20 min wet, rinse, dry at once',
  conversion: 'conversion coating',
  't-wash': 'T-wash until it blackens',
  key: 'P180 all over, feather every edge',
  'key-wet': 'wet, P180–P320 all over, feather every edge',
  rinse: 'rinse and neutralise',
  steam: 'steam or hot wash',
  wipe: 'last wipe, two cloths',
  'warm-out': 'warm the oil out, wipe, again',
  openings: 'openings, bearings and breathers, before anything wet',
  'before-care': 'before care',
  'oil-film': 'oil or lanolin film on bright metal',
  'wax-patina': 'clean and wax what is there',
  'wax-film': 'wax film',
  'wax-inside': 'wax the inside by wand',
  'bare-oiled': 'bare and oiled',
  'leave-bare': 'leave it bare',
  graphite: 'graphite grease between the leaves',
  'stove-polish': 'stove polish',
  'metal-spray': 'metal spray, contractor',
  galvanise: 'hot-dip galvanising, vented first',
  plate: 'plating; hard steel is baked within 4 h',
  'new-fasteners': 'new fasteners',
  'worn-brake-part': 'a worn brake part is renewed',
  'weld-or-braze': 'weld or braze the leak or crack',
  'then-survey-again': 'then survey it again',
  'renew-oil': 'renew the film: each month outdoors, twice a year in the dry',
  'wax-yearly': 'renew the wax each year, clear the drains',
  'polish-again': 'polish again when it dulls',
  'look-yearly': 'look at it once a year',
  'boiler-inspector': 'the boiler inspector',
  'fluid-maker': 'the maker of a system for this fluid, or a specialist',
  radium: 'luminous paint: a radiation specialist',
  cadmium: 'cadmium plating: a licensed plater',
  'magnesium-specialist': 'a magnesium specialist',
  'licensed-engineer': 'the licensed engineer',
  'paint-maker': 'the technical service of a paint maker',
  tar: 'coal tar: a specialist says how it comes off',
  'after-strip': 'P80–P180 over all bare metal',
  again: 'again: oil comes back out of the pores',
  'before-strip': 'before stripping',
  'before-paint': 'before paint',
  dust: 'dust',
  legacy: 'old paint for lead and chromate',
  salt: 'for salts, wash, test again',
  'adhesion-trial': 'two days’ adhesion trial on a hidden face',
  asbestos: 'asbestos: licensed survey or a tested sample first',
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
  grit: 'blasting, grit and fine media',
  bead: 'bead cabinet',
  bristle: 'rotary bristle tool',
  needle: 'needle gun',
  steam: 'steam cleaner',
  caustic: 'hot caustic tank',
  bath: 'derusting bath',
  gun: 'spray gun',
  booth: 'booth',
  'air-fed-mask': 'air-fed mask',
  heat: 'heat',
  oven: 'oven',
  contractor: 'a contractor',
  'legacy-licence': 'a licence for legacy products',
};

/** How much of the shop's things there is at once: what is asked, and what an answer does. */
export const CAPACITY_WORDS: {
  readonly [K in keyof Capacity]: {
    readonly label: string;
    readonly hint: string;
    readonly isCount: boolean;
  };
} = {
  hangKg: {
    label: 'Heaviest that hangs',
    hint: 'what is heavier lies, and is turned over between its faces',
    isCount: false,
  },
  bathKg: { label: 'A tub takes', hint: 'metal at once; each liquid is a tub of its own', isCount: false },
  ovenM2: { label: 'The oven takes', hint: 'painted faces at once', isCount: false },
  cabinets: { label: 'Blast cabinets', hint: 'empty: one', isCount: true },
  hoists: { label: 'Hoists', hint: '0: all is lifted by hand, 25 kg a person', isCount: true },
  airTools: { label: 'Guns and blast nozzles', hint: 'the compressor feeds so many at once', isCount: true },
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
  practice: 'as this house does it, with what it has',
};

export const ORIGIN_WORDS = {
  advised: 'as advised',
  edited: 'edited',
  overridden: 'against a rule',
} as const;

/** How a part is prepared, in a word. */
export const WAY_WORDS: Readonly<Record<Way, string>> = {
  send: 'sent away',
  contractor: 'by a contractor',
  blast: 'blasted here',
  bath: 'by bath',
  chemical: 'by chemistry',
  hand: 'by hand',
  keep: 'old paint kept',
  'not-paint': 'not painted',
};
export const BEST_WORDS: Readonly<Record<Best, string>> = {
  'lasts-longest': 'lasts longest',
  'least-hands': 'least hands',
  soonest: 'soonest done',
  cheapest: 'cheapest',
  'keeps-original': 'keeps the original',
  'no-contractor': 'no contractor',
  'most-forgiving': 'most forgiving',
};

/** What can stand on metal. */
export const MATTER_WORDS: Readonly<Record<Matter, string>> = {
  oil: 'oil',
  'soaked-oil': 'oil in the pores',
  wax: 'wax',
  silicone: 'silicone',
  glue: 'glue',
  salts: 'salts',
  'loose-rust': 'loose rust',
  'tight-rust': 'tight rust',
  'pit-rust': 'rust in pits',
  scale: 'mill scale',
  'sound-paint': 'sound old paint',
  'loose-paint': 'loose old paint',
  underseal: 'bitumen or underseal',
  tar: 'coal tar',
  'old-filler': 'old filler',
  phosphate: 'phosphate film',
  oxide: 'oxide',
  'white-corrosion': 'white corrosion',
  verdigris: 'verdigris',
  soot: 'soot',
  dust: 'dust',
  chemical: 'acid, lye or stripper',
  water: 'water',
};

export const SOURCE_KIND_WORDS = {
  published: 'published',
  'common-practice': 'common practice, no published source',
  'from-memory': 'published, quoted from memory',
} as const;

export const TOPIC_WORDS: Readonly<Record<string, string>> = {
  strip: 'Derusting and stripping',
  prep: 'Preparation',
  surface: 'What is on the metal',
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

/** What the eye is asked at the inspection. */
export const SEEN_WORDS = {
  rust: { none: 'bright', stains: 'stains', firm: 'firm rust', pits: 'rust in pits' },
  paint: { none: 'no paint', traces: 'traces', patches: 'patches' },
  water: { sheets: 'water sheets', breaks: 'water breaks: oil' },
} as const;
