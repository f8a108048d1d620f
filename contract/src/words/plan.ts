import type {
  Help,
  AgendaLine,
  AgendaSession,
  BindKind,
  BreachCode,
  CostKind,
  PlanGoal,
  PlanLack,
} from '@calvetta/core';
import { STEP_WORDS } from './bench.ts';
import { WHAT_WORDS } from './route.ts';

/** What a plan is to be best at. */
export const GOAL_WORDS: Readonly<Record<PlanGoal, string>> = {
  balanced: 'balanced',
  soonest: 'done soonest',
  'fewest-cleanings': 'fewest clean-ups',
  calmest: 'least risk from the air',
};

/** Why a part, or the rest of it, is not planned, and what lets it in. */
export const LACK_WORDS: Readonly<Record<PlanLack, { readonly is: string; readonly mend: string }>> = {
  'no-route': { is: 'no route is set', mend: 'Survey it and choose a route.' },
  'no-place': { is: 'nobody said where it stands', mend: 'Say where it stands.' },
  'open-colour': {
    is: 'the colour is undecided',
    mend: 'Decide the colour; the coats before it are planned.',
  },
  referred: {
    is: 'something found on it waits for a licensed person',
    mend: 'Log their answer on the finding.',
  },
  suspect: { is: 'its film is suspect', mend: 'Test the film first.' },
  refused: { is: 'the next coat is refused on the one below', mend: 'Choose a route that its sheet allows.' },
  'unknown-window': {
    is: 'the sheet does not say when the next coat may follow',
    mend: 'Ask the maker, and type the answer into the sheet.',
  },
  'unknown-bare': {
    is: 'nobody knows how long this metal may stay bare',
    mend: 'Ask the primer’s maker; until then coat it the hour it is prepared.',
  },
  'not-recorded': {
    is: 'its preparation is not recorded',
    mend: 'Record what was done, or that it was not.',
  },
  'bare-too-long': {
    is: 'from stripping to the first coat takes longer than the metal may stay bare',
    mend: 'Do it in two halves, or with one more pair of hands.',
  },
  'no-room': {
    is: 'no session before the end of the plan takes it',
    mend: 'Plan further ahead, add a session or a person, or give it a warmer place.',
  },
  'no-hoist': {
    is: 'it is too heavy for hands, and the shop has no hoist',
    mend: 'Say under Settings, House practice, what lifts it; or coat it where it stands.',
  },
  pin: {
    is: 'what was pinned cannot be in that session',
    mend: 'Take the pin out, or pin it to a later session.',
  },
};

/** What kept a piece of work from being earlier. */
export const BIND_WORDS: Readonly<Record<BindKind, string>> = {
  now: 'nothing: it is first',
  before: 'what comes before it on the part',
  opens: 'the window of the coat below opens then',
  window: 'the next coat would find the window shut',
  stage: 'the film below must be so hard first',
  wait: 'a wait: bath, trial or contractor',
  session: 'nobody is there before',
  people: 'all hands are taken',
  air: 'the air does not allow it before',
  dust: 'dust, sparks, wet film, bare metal, solvent, oil or spray mist in the same air',
  room: 'there is no room to hang it',
  thing: 'bath, oven, cabinet, hoist or compressor is taken',
  bare: 'the metal must be coated before it rusts again',
  shared: 'it waits to share a gun-load, or for work that goes before it',
  pin: 'it was pinned',
  sent: 'it was sent away, and is looked for then',
};

export const COST_WORDS: Readonly<Record<CostKind, string>> = {
  mends: 'coats past their window, abraded first',
  runs: 'guns set up and cleaned',
  late: 'days past the date',
  unplanned: 'parts that are not wholly planned',
  'part-days': 'days until each part is done',
  'machine-days': 'days until each machine is done',
  risk: 'air that may not hold',
  narrow: 'windows met with less than four hours to spare',
};

/** What the checker says of a plan that does not hold. */
export const BREACH_WORDS: Readonly<Record<BreachCode, string>> = {
  'unknown-work': 'it plans work that is not there any more',
  twice: 'it plans the same work twice',
  order: 'work comes before what it follows',
  'too-short': 'it gives less time than the work takes',
  split: 'work is split that must be done in one go',
  session: 'work lies where nobody is there',
  people: 'more hands are needed than there are',
  'too-few': 'fewer people than it takes',
  painters: 'more people spray than can',
  stage: 'the film below is not so hard by then',
  opens: 'a coat comes before its window opens',
  shut: 'a coat comes after its window has shut',
  air: 'the air does not allow a coat then',
  bare: 'metal stays bare too long',
  dust: 'dust and wet film share the air',
  isocyanate: 'somebody works in air in which isocyanate is sprayed',
  fire: 'sparks or a flame near wet film or open solvent',
  oil: 'wax or oil near metal laid bare or wet film',
  room: 'more hangs there than there is room for',
  thing: 'more is asked of bath, oven, cabinet, hoist or compressor than it holds',
  run: 'a run does not hold together',
  'pot-life': 'a mix would have gone off by then',
  pin: 'what was pinned is not where it was pinned',
};

/** Work that is no step of a route. */
const OWN_WORDS: Readonly<Record<string, string>> = {
  mend: 'Abrade: its window has shut',
  carry: 'Carry it in',
  turn: 'Turn it over',
  take: 'Take it away',
  fetch: 'Fetch it home',
};

/** What a piece of work is called: “Strip: grit blast”, “Epoxy primer 1”. */
export function workWords(w: {
  readonly kind: string;
  readonly what: string | null;
  readonly product: string | null;
  readonly no?: number | null;
  readonly of?: number | null;
}): string {
  if (w.product !== null) return (w.of ?? w.no ?? 1) > 1 ? `${w.product} ${w.no}` : w.product;
  const kind = OWN_WORDS[w.kind] ?? STEP_WORDS[w.kind] ?? w.kind;
  const what = w.what === null ? undefined : WHAT_WORDS[w.what];
  return what === undefined ? kind : `${kind}: ${what}`;
}

const clock = (ms: number, zone: string): string =>
  new Intl.DateTimeFormat('en-GB', { timeZone: zone, hour: '2-digit', minute: '2-digit' }).format(ms);

const lineWords = (l: AgendaLine, zone: string): string =>
  `${clock(l.fromMs, zone)} ${l.partName}: ${workWords({ ...l, product: l.productName })}`;

/** The head of a session in a calendar. */
export function agendaTitle({ runs, lines }: AgendaSession): string {
  const coats = runs.map((r) => `${r.productName} on ${r.count === 1 ? 'one part' : `${r.count} parts`}`);
  return coats.length > 0 ? `Workshop: ${coats.join(', ')}` : `Workshop: ${lines.length} jobs, no coat`;
}
/** Its work in order, a line each. */
export const agendaText = ({ lines }: AgendaSession, zone: string): string =>
  [
    ...lines.map((l) => lineWords(l, zone)),
    'Read the air before every coat: the plan only expects it to hold.',
  ].join('\n');

/** Changes that may make a plan surer. */
export const HELP_WORDS: Readonly<Record<Help, string>> = {
  person: 'one more who comes',
  painter: 'one more who sprays',
  heat: 'the place where coats are laid kept at 18 °C',
};
