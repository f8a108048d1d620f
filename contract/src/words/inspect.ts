import type {
  BrokeAt,
  CardResult,
  ClosedHow,
  FindingKind,
  HoldWhy,
  LevelStandard,
  LevelStop,
  LevelWith,
  NoEstimate,
  PitRepair,
  RemedyId,
  RepairForbidden,
  SeenAfter,
  TestCard,
} from '@calvetta/core';

export const FINDING_WORDS: Readonly<Record<FindingKind, string>> = {
  fault: 'fault of the film',
  pits: 'pits',
  crack: 'crack',
  thinning: 'wall lost',
  dent: 'dent or low',
  pinhole: 'pinhole or hole',
  'old-repair': 'old repair',
  leak: 'leak',
  marking: 'marking or layer to keep',
  missing: 'missing or wrong',
  sign: 'not paint: refer',
};
export const HOLD_WORDS: Readonly<Record<HoldWhy, string>> = {
  sign: 'This is not a matter of paint. Nothing goes over it until a licensed person has looked and answered.',
  critical:
    'The survey says this part is critical. Nothing goes over it until a licensed person has looked and answered.',
  'not-known-whether-critical':
    'Nobody has said whether this part is critical: pressure, structure, brakes, lifting, flight. Survey it, or ask a licensed person; until then nothing goes over it.',
};
export const CLOSED_WORDS: Readonly<Record<ClosedHow, string>> = {
  repaired: 'mended',
  accepted: 'accepted as it is',
  'licensed-answer': 'a licensed person answered',
  'not-so': 'it was not so',
};
export const SEEN_AFTER_WORDS: Readonly<Record<SeenAfter, string>> = {
  days: 'within days',
  weeks: 'after weeks',
  months: 'after months',
  years: 'after a year and more',
};

export const REMEDY_WORDS: Readonly<Record<RemedyId, string>> = {
  'flat-and-polish': 'flat it and polish it out',
  'flat-and-refinish': 'flat it and finish it again',
  'back-to-sound': 'sand back to the sound coat and build up again',
  'take-it-all-off': 'take all of it off and begin again',
  'wash-bloom-off': 'wash the bloom off, abrade, coat again',
  'strip-and-reprime': 'strip that face and prime it anew',
  'strip-wash-and-retest': 'strip, wash, test for salt, prime anew',
  'wait-and-test': 'keep it warm, wait, and test again',
  'another-coat': 'abrade and lay another coat',
  'level-again': 'abrade and level it again',
  'feather-and-touch-up': 'feather the edge and touch it up',
  'refinish-for-sun': 'abrade and put a finish over it that stands the sun',
};
/** What to mind, by remedy; the maker’s sheet and local rules come first. */
export const REMEDY_CAUTION: Readonly<Partial<Record<RemedyId, string>>> = {
  'flat-and-polish': 'Go easy near edges: polish cuts through there first. Mask for the dust.',
  'flat-and-refinish': 'Sand wet: the dust of uncured two-packs is a health hazard.',
  'back-to-sound':
    'Sand wet: the dust of uncured two-packs is a health hazard. Never spray through a crater.',
  'take-it-all-off': 'Solvents: ventilate, no ignition, gloves. Rags into a lidded metal bin.',
  'strip-and-reprime': 'What lies below may hold lead or chromate: test before sanding.',
  'strip-wash-and-retest':
    'What lies below may hold lead or chromate: test before sanding. Dry at once after washing.',
};

export const REPAIR_WORDS: Readonly<Record<PitRepair, string>> = {
  leave: 'leave it',
  fill: 'fill it',
  weld: 'weld it up',
  patch: 'let in a patch',
  remake: 'remake the part',
  buy: 'buy one',
  refer: 'refer it to a licensed person',
};
export const REPAIR_FORBIDDEN_WORDS: Readonly<Record<RepairForbidden, string>> = {
  through: 'it is eaten right through',
  'wall-below-least': 'less wall is left than the part needs',
  'wall-not-known': 'nobody has measured the sound wall, and on this part it matters',
  'least-not-asked': 'nobody has said how much wall the part needs',
  'too-deep-for-filler': 'deeper than filler may be laid, 3 mm',
  machined: 'it is a machined or wearing face',
  'fuel-wet': 'fuel wets it',
  pressure: 'it holds pressure: filler would hide what has to be seen',
  immersed: 'it stands under water',
  'control-surface': 'it is a control surface: its balance would change',
  magnesium: 'magnesium burns',
  'white-metal-near': 'white metal beside it would run',
  'lagging-near': 'lagging may be near it, and may hold asbestos',
  'tank-not-gas-free': 'a fuel tank is not welded before it is proved free of gas',
  'not-sheet': 'only sheet is patched',
  'licensed-only': 'only a licensed person does or passes this',
  'critical-not-known': 'nobody has said whether the part is critical: survey it',
};
export const NO_ESTIMATE_WORDS: Readonly<Record<NoEstimate, string>> = {
  'few-patches': 'six equal patches at least are needed to say more than the deepest seen',
  'no-spread': 'all patches are the same: nothing can be reckoned from them',
  through: 'it is eaten through: nothing is reckoned',
  'many-without-pits': 'more than a quarter of the patches have no pit: the law of the deepest does not hold',
  'all-seen': 'the whole face was looked at: the deepest seen is the deepest',
};

export const LEVEL_STANDARD_WORDS: Readonly<
  Record<LevelStandard, { readonly name: string; readonly is: string }>
> = {
  working: { name: 'working', is: 'no step that holds water, nothing loose' },
  'as-built': { name: 'as built', is: 'nothing seen at one metre in flat light' },
  show: { name: 'show', is: 'nothing seen in raking light with the face wetted' },
};
/** Why to stop though it still shows, and what then. */
export const LEVEL_STOP_WORDS: Readonly<
  Record<LevelStop['why'], { readonly is: string; readonly then: string }>
> = {
  'cut-through': {
    is: 'It is cut through to metal',
    then: 'Prime the spot before anything else, within the bare clock. Then level on.',
  },
  'edge-seen': {
    is: 'An edge is sanded thin',
    then: 'Keep the block off the edges: tape them, or coat the face before the next cycle.',
  },
  'edges-thin': {
    is: 'The thinnest reading is under the least its sheets ask',
    then: 'Coat it before you sand on: the next cycle goes through there.',
  },
  'film-full': {
    is: 'The film is as thick as its sheets allow',
    then: 'No more on top. Take it down, or accept what shows: thick films crack and stay soft.',
  },
  'filler-full': {
    is: 'As much went on as may',
    then: 'Deeper wants metal, not filler: dress it, lead or weld it, or accept the low.',
  },
};
export const LEVEL_WITH_WORDS: Readonly<Record<LevelWith, string>> = {
  'body-filler': 'body filler',
  'one-pack-putty': 'one-pack putty',
  'two-pack-putty': 'two-pack putty',
  'spray-filler': 'spray filler',
  surfacer: 'surfacer',
};

interface CardWords {
  readonly name: string;
  /** How it is made. */
  readonly how: string;
  readonly good: string;
  readonly bad: string;
  /** What it lets you do, or tells you. */
  readonly opens: string;
  readonly caution?: string;
}
/** Short tests, each on a card. */
export const TEST_CARD_WORDS: Readonly<Record<TestCard, CardWords>> = {
  'water-break': {
    name: 'water break',
    how: 'Run clean water over the bare metal and watch for half a minute.',
    good: 'it sheets off whole',
    bad: 'it breaks into beads',
    opens: 'Whole: free of oil. Beads: degrease again, then dry at once.',
  },
  'white-cloth': {
    name: 'white cloth',
    how: 'Wipe hard with a white cloth and clean solvent.',
    good: 'the cloth stays white',
    bad: 'the cloth goes dark',
    opens: 'White: go on. Dark: wipe again with a fresh cloth until it stays white.',
    caution: 'Solvent: ventilate, no ignition, gloves.',
  },
  blotter: {
    name: 'air line on blotting paper',
    how: 'Blow the air line on white blotting paper for a minute at spraying pressure (as ASTM D4285).',
    good: 'dry and white',
    bad: 'wet or stained',
    opens: 'Stained: drain the trap, change the filter, blow again.',
  },
  salt: {
    name: 'salt',
    how: 'A patch or a wetted paper on the bare metal, its conductivity read as mg/m² (ISO 8502-6, -9).',
    good: 'clean enough, 20 mg/m² or less',
    bad: 'too much, over 50 mg/m²',
    opens: 'Too much: wash with clean water, dry, measure again.',
  },
  'solvent-rub': {
    name: 'solvent rub',
    how: 'Lay a rag wet with strong thinner on the old coat for a minute, then rub.',
    good: 'nothing comes off',
    bad: 'it softens or comes off',
    opens: 'Softens: it is a one-pack. Take it off, or put a barrier over it.',
    caution: 'Solvent: ventilate, no ignition, gloves.',
  },
  'mek-rubs': {
    name: 'double rubs',
    how: 'A cloth wet with MEK under a thumb, there and back on a spot that does not show; count until something comes off, fifty at most (as ASTM D5402).',
    good: 'fifty and nothing comes off',
    bad: 'colour on the cloth before twenty-five',
    opens:
      'Fifty: the two-pack has cured through. Fewer than half: it has not, or its ratio was wrong. A one-pack never stands it.',
    caution: 'MEK: ventilate well, no ignition, gloves and glasses.',
  },
  cut: {
    name: 'cut to see what lets go',
    how: 'Cut a small V down to the metal, lift its point with a blade, and look at both sides.',
    good: 'nothing lifts',
    bad: 'it lifts',
    opens:
      'At the metal: log “off the metal”. Between two coats: log “between coats”. Within one: that coat never cured, or is too thick.',
  },
  loupe: {
    name: 'loupe ×10',
    how: 'Look along the light through a ×10 loupe.',
    good: 'closed all over',
    bad: 'holes down to the layer below',
    opens:
      'Holes with a torn rim: popped solvent. Round with a speck in the middle: silicone or oil. Straight down, no rim: pores of the metal or filler.',
  },
  overlap: {
    name: 'across the strokes',
    how: 'Ten film readings in a line across the strokes, a finger’s breadth apart.',
    good: 'even within a fifth',
    bad: 'up and down with the strokes',
    opens: 'Up and down: overlap each pass by half, the gun square to the face.',
  },
  'coin-tap': {
    name: 'coin and magnet',
    how: 'Tap with a coin and listen; try a magnet through a sheet of paper.',
    good: 'it rings, the magnet holds',
    bad: 'dull, or the magnet lets go',
    opens: 'Dull: filler or rust is under it. Find how far it goes before you sand.',
  },
  'warm-for-oil': {
    name: 'warm it and watch',
    how: 'Warm the bare casting by hot air until it is too hot to touch, and watch for ten minutes.',
    good: 'it stays dry',
    bad: 'oil sweats out',
    opens: 'Oil: wipe, warm again, until it stays dry. It is no use priming before.',
    caution: 'Never near fuel or what held it. Wipe with the heat off: no solvent on hot metal.',
  },
  lead: {
    name: 'lead',
    how: 'A swab kit on a cut through all the layers.',
    good: 'no colour',
    bad: 'pink or red',
    opens: 'Red: no dry sanding, no heat gun. No colour is not proof: a laboratory decides.',
    caution: 'A swab can miss lead under other paint.',
  },
  chromate: {
    name: 'chromate',
    how: 'A swab kit on yellow or green primer.',
    good: 'no colour',
    bad: 'violet',
    opens: 'Violet: no dry sanding; wet, masked, waste by local rules.',
    caution: 'Chromates cause cancer. Gloves, and nothing dry.',
  },
  pencil: {
    name: 'nail or pencil',
    how: 'Press a thumbnail, or push a pencil at 45°, on a spot that does not show.',
    good: 'no mark',
    bad: 'it marks',
    opens: 'A mark: not through-cured. Keep it warm, and test again.',
  },
  'wet-sponge': {
    name: 'wet sponge for pinholes',
    how: 'A damp sponge with a low-voltage detector over the dry film, up to 500 µm; or a lamp behind thin sheet.',
    good: 'silent all over',
    bad: 'it sounds',
    opens: 'It sounds: mark the spot, brush it in, test again.',
    caution: 'Never where fuel has been.',
  },
  penetrant: {
    name: 'penetrant or magnetic',
    how: 'By a licensed person, before anything is blasted: blasting shuts cracks.',
    good: 'no crack shown',
    bad: 'a crack shown',
    opens: 'A crack: log it as found. Nothing goes over it until it is answered.',
    caution: 'Licensed people judge cracks.',
  },
};
/** Where a film let go. */
export const BROKE_AT_WORDS: Readonly<Record<BrokeAt, string>> = {
  metal: 'it lets go at the metal',
  between: 'it lets go between two coats',
  within: 'it lets go within a coat',
  glue: 'the glue let go',
};
export const CARD_RESULT_WORDS: Readonly<Record<CardResult, string>> = {
  good: 'good',
  bad: 'bad',
  unclear: 'not clear',
};
