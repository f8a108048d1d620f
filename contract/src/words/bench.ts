import type {
  ActCode,
  BarePrep,
  Binder,
  CureState,
  Exposure,
  GateKind,
  GateStatus,
  Headline,
  ReadingTrust,
  RibbonSpan,
  Stage,
  Substrate,
  SuspectCause,
  TestKind,
} from '@calvetta/core';

/** Words for every code, once: screens, documents and exports share them. */
export const HEADLINE_WORDS: Readonly<Record<Headline, string>> = {
  referred: 'referred',
  sent: 'away',
  suspect: 'suspect',
  out: 'out',
  refused: 'refused',
  unknown: 'unknown',
  lift: 'lift band',
  closing: 'closing',
  held: 'held',
  keyed: 'keyed',
  open: 'open',
  bare: 'bare',
  shut: 'shut',
  early: 'early',
  mending: 'mending',
  curing: 'curing',
  waiting: 'not begun',
  cured: 'cured',
};

/** Where the glossary has the word of a state. */
export const stateTerm = (h: Headline): string => `state.${h}`;

export const SPAN_WORDS: Readonly<Record<RibbonSpan['state'], string>> = {
  early: 'early',
  open: 'open',
  closing: 'closing',
  lift: 'lift band',
  shut: 'shut · abrade first',
  keyed: 'keyed',
  forbidden: 'refused',
  unknown: 'unknown',
  bare: 'bare',
  out: 'out',
  curing: 'curing',
  cured: 'cured',
};

export const ACT_WORDS: Readonly<Record<ActCode, string>> = {
  coat: 'Coat now',
  'coat-if-accepted': 'Coat now',
  wipe: 'Wipe down',
  hold: 'Held by the air',
  'read-air': 'Read the air',
  wait: 'Wait',
  'tack-test': 'Tack test',
  'test-film': 'Test the film',
  abrade: 'Abrade',
  'wait-out-lift': 'Wait',
  reblast: 'Blast again',
  rephosphate: 'Phosphate again',
  'abrade-again': 'Abrade again',
  refuse: 'Refused',
  'ask-sheet': 'Ask the sheet',
  'choose-route': 'Survey',
  prepare: 'Prepare',
  fetch: 'It is back',
  refer: 'Ask a licensed person',
  mend: 'Mend',
  'decide-colour': 'Decide the colour',
  cure: 'Let it cure',
  done: 'Done',
};

export const GATE_WORDS: Readonly<Record<GateKind, string>> = {
  'dew-margin': 'surface above dew point',
  'rh-max': 'humidity at most',
  'rh-min': 'humidity at least',
  'surface-min': 'surface at least',
  'surface-max': 'surface at most',
  'air-min': 'air at least',
  'air-max': 'air at most',
};
export const GATE_STATUS_WORDS: Readonly<Record<GateStatus, string>> = {
  pass: 'pass',
  marginal: 'marginal',
  fail: 'fail',
  unknown: 'unknown',
};

export const CURE_WORDS: Readonly<Record<CureState, string>> = {
  wet: 'wet',
  touch: 'touch-dry',
  handle: 'handleable',
  sand: 'hard enough to sand',
  service: 'in service',
};

export const STAGE_WORDS: Readonly<Record<Stage, string>> = {
  flash: 'flash',
  touch: 'touch-dry',
  minRecoat: 'recoat from',
  handle: 'handle',
  sand: 'sand',
  service: 'service',
  maxRecoat: 'recoat until',
  potLife: 'pot life',
  induction: 'induction',
};

export const TRUST_WORDS: Readonly<Record<ReadingTrust, string>> = {
  fresh: 'fresh',
  stale: 'stale: older than 30 min',
  stuck: 'stuck: the same for two hours',
  none: 'no reading',
};
export const SUSPECT_WORDS: Readonly<Record<SuspectCause, string>> = {
  'stalled-24h': 'stood more than a day below its cure minimum',
  dew: 'dew fell on the uncured film',
  frost: 'frost formed on the uncured film',
};
export const BARE_WORDS: Readonly<Record<BarePrep, string>> = {
  blasted: 'blasted',
  abraded: 'abraded',
  'chemically-stripped': 'chemically stripped',
  phosphated: 'phosphated',
  'conversion-coated': 'conversion coated',
};
export const TEST_WORDS: Readonly<Record<TestKind, string>> = {
  tack: 'tack',
  'thumb-twist': 'thumb-twist',
  thumbnail: 'thumbnail',
};
export const EXPOSURE_WORDS: Readonly<Record<Exposure, string>> = {
  'indoor-still': 'indoors, still air',
  'indoor-fans': 'indoors, fans',
  outdoors: 'outdoors',
};

export const SUBSTRATE_WORDS: Readonly<Record<Substrate, string>> = {
  'grey-iron': 'grey iron',
  'ductile-iron': 'ductile iron',
  'cast-steel': 'cast steel',
  'steel-plate': 'steel plate',
  'steel-sheet': 'steel sheet',
  galvanised: 'galvanised steel',
  'aluminium-wrought': 'aluminium sheet',
  'aluminium-cast': 'cast aluminium',
  magnesium: 'magnesium',
  'zinc-diecast': 'zinc die-cast',
  'copper-alloy': 'copper alloy',
  stainless: 'stainless',
  'glass-fibre': 'glass-fibre',
  'timber-backed-steel': 'timber-backed steel',
};

export const BINDER_WORDS: Readonly<Record<Binder, string>> = {
  'epoxy-2k': 'two-pack epoxy',
  'urethane-2k': 'two-pack urethane',
  'polyester-2k': 'polyester filler',
  'zinc-epoxy-2k': 'zinc-rich epoxy',
  'etch-2k': 'two-pack etch',
  'etch-1k': 'one-pack etch',
  'alkyd-1k': 'one-pack alkyd',
  'oil-1k': 'linseed oil paint',
  'cellulose-1k': 'cellulose',
  'acrylic-1k': 'one-pack acrylic',
  'waterborne-1k': 'waterborne',
  'silicone-heat': 'silicone heat finish',
  'moisture-urethane': 'moisture-cured urethane',
  'inorganic-zinc': 'inorganic zinc',
  powder: 'powder',
  bitumen: 'bitumen',
  wax: 'cavity wax',
};

export const SHUT_REASON_WORDS: Readonly<Record<string, string>> = {
  'sheet-forbids': 'the sheet forbids this follower',
  'not-a-listed-follower': 'the sheet lists what may follow it; this is not on the list',
  'one-pack-silent': 'one-pack, sheet silent on recoat: ask the maker',
  'no-min-recoat': 'the sheet gives no recoat time',
  'mix-gone': 'the mix is past its pot life',
  'mix-unknown': 'the pot life of the mix is not known',
  'bare-limit': 'no bare-metal limit is known for this metal: look',
  clock: 'the record or the sheet does not cover this temperature',
};

/** A question that holds a part up: what is not known, and what an answer gives. */
export const QUESTION_WORDS: Readonly<Record<string, { readonly ask: string; readonly gives: string }>> = {
  'one-pack-silent': {
    ask: 'The sheet of this one-pack says nothing about the next coat.',
    gives:
      'Ask the maker and type the answer in: later coats have a window by it. This coat is abraded before the next.',
  },
  'no-min-recoat': {
    ask: 'The sheet gives no time for the next coat.',
    gives:
      'Ask the maker and type the answer in: later coats have a window by it. This coat is abraded before the next.',
  },
  'bare-limit': {
    ask: 'Nobody publishes how long this metal may stand bare.',
    gives:
      'Look at it and feel it. Clean and bright, it may be coated with your reason; else abrade it again first.',
  },
  clock: {
    ask: 'The record or the sheet does not cover the temperature it had.',
    gives: 'Add a reading for that time, and its clock runs again.',
  },
};

/** Steps of a route, in the order of the work. */
export const STEP_WORDS: Readonly<Record<string, string>> = {
  record: 'Record what is there',
  degrease: 'Degrease',
  strip: 'Strip to sound metal',
  inspect: 'Inspect the bare metal',
  repair: 'Repair',
  'test-fit': 'Test-fit',
  pretreat: 'Pretreat',
  mask: 'Mask and rack',
  etch: 'Etch',
  prime: 'Prime',
  level: 'Fill and level',
  intermediate: 'Intermediate coat',
  topcoat: 'Topcoat',
  unmask: 'Unmask',
  bake: 'Stepped bake',
  test: 'Test',
  refer: 'Refer',
  abrade: 'Key with abrasive',
  wash: 'Wash',
  dry: 'Dry at once',
  gate: 'Look first',
  preserve: 'Preserve',
  send: 'Send away',
  replace: 'Replace',
  care: 'Care',
  stripe: 'Stripe edges and welds',
  reassemble: 'Reassemble',
  cure: 'Cure',
  cavity: 'Cavity protection, last',
};
