import type { Survey } from '../../part/survey.ts';
import type { Metal } from '../../products/traits.ts';
import type { Act, Takes } from './act.ts';
import type { Matter } from './matter.ts';

/** Share taken of what is there, in sixteenths. */
export const ALL = 16;
export const HALF = 8;
export const QUARTER = 4;
export const MOST = 12;

const FERROUS: readonly Metal[] = ['steel', 'iron'];
export const NO_MAGNESIUM: readonly Metal[] = [
  'steel',
  'iron',
  'aluminium',
  'zinc',
  'copper',
  'stainless',
  'glass-fibre',
];
export const BARE_METALS: readonly Metal[] = ['steel', 'iron', 'aluminium', 'copper', 'stainless'];

const plain = {
  way: 'hand',
  needs: null,
  goesOut: false,
  metals: FERROUS,
  takes: {},
  paint: { 'one-pack': [0, 0], 'two-pack': [0, 0], powder: [0, 0] },
  repeats: [],
  clean: 'none',
  pickles: false,
  profileUm: null,
  burnishes: false,
  other: null,
  leaves: [],
  leastMm: null,
  wantsOff: [],
  isDusty: false,
  isWet: false,
} as const;
export const act = (a: Pick<Act, 'actId'> & Partial<Act>): Act => ({ ...plain, ...a });

export const bothPaints = (one: number, two: number, powder = two): Act['paint'] => ({
  'one-pack': [one, ALL],
  'two-pack': [two, two === HALF ? MOST : ALL],
  powder: [powder, powder === HALF ? MOST : ALL],
});
const EVERY_RUST: Takes = { 'loose-rust': ALL, 'tight-rust': ALL, 'pit-rust': ALL, scale: ALL };
export const BLASTED: Takes = {
  ...EVERY_RUST,
  'old-filler': ALL,
  phosphate: ALL,
  oxide: ALL,
  'white-corrosion': ALL,
  verdigris: ALL,
  soot: ALL,
  tar: ALL,
};
/** What clogs media and is driven into the metal by them. */
export const BEFORE_BLASTING: readonly Matter[] = ['oil', 'glue', 'wax', 'underseal'];
/** A bath works on bare metal: paint keeps it off, oil spoils it. */
export const BEFORE_BATHS: readonly Matter[] = [
  'oil',
  'wax',
  'glue',
  'sound-paint',
  'loose-paint',
  'underseal',
  'tar',
];
export const onAB = (yes: number, no: number) => (s: Survey) => (s.rust === 'A' || s.rust === 'B' ? yes : no);
