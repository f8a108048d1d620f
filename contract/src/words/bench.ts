import { PART_FACTS } from '@calvetta/core';
import type {
  ActCode,
  BarePrep,
  Binder,
  CureState,
  Exposure,
  FactKind,
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

/** What a kind of entry is called stands with the kind. */
export const FACT_WORDS = Object.fromEntries(
  Object.entries(PART_FACTS).map(([kind, { words }]) => [kind, words]),
) as Readonly<Record<FactKind, string>>;

/** Cautions shown where they bite; each defers to local codes and the maker's sheet. */
export const CAUTION_WORDS: Readonly<Record<string, string>> = {
  isocyanate:
    'Isocyanate: spray only with an air-fed mask; brushed, ventilate and cover skin and eyes. Follow the maker’s sheet and local rules.',
  epoxy: 'Epoxy sensitises skin: gloves, and no dry sanding of uncured film.',
  acid: 'Acid: goggles and gloves; rinse with clean water.',
  solvent: 'Solvent vapour: ventilate, no ignition, earth the container.',
  zinc: 'Zinc dust settles: keep it stirred. Weld or cut zinc only with fume extraction.',
  heat: 'Cures only by a stepped bake; fumes as it does.',
  filler: 'Peroxide hardener: away from driers, rags and old stock.',
  asbestos: 'Lagging may hold asbestos: licensed survey first; touch nothing.',
  'fuel-tank':
    'Fuel tank: no heat, grinding or sparks until certified gas-free by someone licensed to say so.',
  lead: 'Old paint may hold lead or chromate: test first, no dry dust, local rules.',
  chromate: 'Chromate is carcinogenic: licensed use only.',
  'refer-critical':
    'A licensed person inspects this bare, before paint hides anything. Calvetta coats, it does not judge.',
  'metal-fire': 'Magnesium dust and swarf burn: no water, no sparks; a specialist treats it.',
  dust: 'Dust: mask, eyes, extraction; no silica media ever.',
  blast: 'Blasting: fed hood or closed cabinet, never silica sand; slags carry toxic metals.',
  oxygen: 'Dry ice displaces oxygen: ventilate, never in a pit.',
  'flash-rust': 'Flash rust returns in minutes: dry at once and prime.',
  electrolysis: 'Never a stainless anode; hydrogen: open air, no sparks.',
  lye: 'Caustic burns: face, gloves, apron; rinse seams for hours.',
  stripper: 'Stripper: skin, eyes and fume; never near welding or hot surfaces.',
  eyes: 'Wire and chips fly: full face, and nobody beside you.',
  'oily-rags': 'Oily rags heat by themselves: lidded metal bin of water.',
  'frost-kills': 'Frost kills the tin.',
  tar: 'Coal tar burns skin and causes cancer: a specialist first; gloves, no dust, no heat.',
  fire: 'Warming oil out makes vapour: no flame near solvent, open doors, an extinguisher at hand.',
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
