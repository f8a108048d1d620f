import { recent } from '../../base/recent.ts';
import type { Facility } from '../../part/shopMeans.ts';
import type { Survey } from '../../part/survey.ts';
import { isCasting, type Substrate } from '../../part/substrate.ts';
import type { Metal } from '../../products/traits.ts';
import type { Method, RoutePretreatment } from '../route.ts';
import type { Cleanliness } from './cleanliness.ts';
import { amountOf, TRACES, type Amounts, type Matter } from './matter.ts';

export const WAYS = ['send', 'contractor', 'blast', 'bath', 'chemical', 'hand', 'keep', 'not-paint'] as const;
/** How a part is prepared, in a word: the first of these that a sequence has. */
export type Way = (typeof WAYS)[number];

export type ActId = Method | RoutePretreatment;

/** Share taken of what is there, in sixteenths. */
const ALL = 16;
const HALF = 8;
const QUARTER = 4;
const MOST = 12;

type Takes = Readonly<Partial<Record<Matter, number | ((s: Survey) => number)>>>;

/** A way of taking something off: what it takes, what it leaves, what the part must stand. Source: docs/surface.md 2. */
export interface Act {
  readonly actId: ActId;
  readonly way: Exclude<Way, 'send' | 'contractor' | 'not-paint'> | null;
  /** What the shop needs for it; `none`: nobody has it but a contractor; null: always at hand. */
  readonly needs: Facility | 'none' | null;
  /** Whether a contractor does it. */
  readonly goesOut: boolean;
  readonly metals: readonly Metal[];
  readonly takes: Takes;
  /** Of old paint: sound and loose, by kind. `unknown` counts as the worst of one-pack, two-pack and powder. */
  readonly paint: Readonly<
    Record<'one-pack' | 'two-pack' | 'powder', readonly [sound: number, loose: number]>
  >;
  /** Where doing it again takes its share again. Elsewhere a repeat takes nothing. */
  readonly repeats: readonly Matter[];
  readonly clean: Cleanliness;
  /** Pickled or chelated: as clean as Sa 2½, with no profile. */
  readonly pickles: boolean;
  readonly profileUm: readonly [number, number] | null;
  readonly burnishes: boolean;
  /** What it does to metals other than iron and steel. */
  readonly other: 'keyed' | 'swept' | 'converted' | null;
  readonly leaves: readonly ('dust' | 'chemical' | 'water' | 'phosphate')[];
  /** Least thickness, mm, of a flat sheet and of a stiff shape; null: any. */
  readonly leastMm: { readonly flat: number; readonly stiff: number } | null;
  /** Matter that must be off before it: it smears, spoils the bath, or keeps the act from the metal. */
  readonly wantsOff: readonly Matter[];
  /** It makes dust or fume of what it takes off. */
  readonly isDusty: boolean;
  readonly isWet: boolean;
}

const FERROUS: readonly Metal[] = ['steel', 'iron'];
const NO_MAGNESIUM: readonly Metal[] = [
  'steel',
  'iron',
  'aluminium',
  'zinc',
  'copper',
  'stainless',
  'glass-fibre',
];
const BARE_METALS: readonly Metal[] = ['steel', 'iron', 'aluminium', 'copper', 'stainless'];

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
const act = (a: Pick<Act, 'actId'> & Partial<Act>): Act => ({ ...plain, ...a });

const bothPaints = (one: number, two: number, powder = two): Act['paint'] => ({
  'one-pack': [one, ALL],
  'two-pack': [two, two === HALF ? MOST : ALL],
  powder: [powder, powder === HALF ? MOST : ALL],
});
const EVERY_RUST: Takes = { 'loose-rust': ALL, 'tight-rust': ALL, 'pit-rust': ALL, scale: ALL };
const BLASTED: Takes = {
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
const BEFORE_BLASTING: readonly Matter[] = ['oil', 'glue', 'wax', 'underseal'];
/** A bath works on bare metal: paint keeps it off, oil spoils it. */
const BEFORE_BATHS: readonly Matter[] = [
  'oil',
  'wax',
  'glue',
  'sound-paint',
  'loose-paint',
  'underseal',
  'tar',
];
const onAB = (yes: number, no: number) => (s: Survey) => (s.rust === 'A' || s.rust === 'B' ? yes : no);

/** All ways of stripping, derusting and converting (common practice; profiles and grades by ISO 8501-1, -3 and SSPC-SP 11 from memory). */
export const ACTS: readonly Act[] = [
  act({
    actId: 'grit-blast',
    wantsOff: BEFORE_BLASTING,
    way: 'blast',
    needs: 'grit',
    goesOut: true,
    takes: BLASTED,
    paint: bothPaints(ALL, ALL),
    clean: 'Sa 2½',
    profileUm: [40, 75],
    leaves: ['dust'],
    leastMm: { flat: 3, stiff: 2 },
    isDusty: true,
  }),
  act({
    actId: 'fine-blast',
    wantsOff: BEFORE_BLASTING,
    way: 'blast',
    needs: 'grit',
    goesOut: true,
    metals: BARE_METALS,
    takes: BLASTED,
    paint: bothPaints(ALL, ALL),
    clean: 'Sa 2½',
    profileUm: [15, 40],
    other: 'swept',
    leaves: ['dust'],
    leastMm: { flat: 2, stiff: 0.9 },
    isDusty: true,
  }),
  act({
    actId: 'spot-blast',
    wantsOff: BEFORE_BLASTING,
    way: 'blast',
    needs: 'grit',
    goesOut: true,
    takes: { ...BLASTED, scale: HALF },
    paint: bothPaints(ALL, ALL),
    clean: 'Sa 2½',
    profileUm: [15, 40],
    leaves: ['dust'],
    leastMm: { flat: 0.8, stiff: 0.8 },
    isDusty: true,
  }),
  act({
    actId: 'bead-blast',
    wantsOff: BEFORE_BLASTING,
    way: 'blast',
    needs: 'bead',
    goesOut: true,
    metals: ['steel', 'iron', 'aluminium', 'zinc', 'copper', 'stainless'],
    takes: {
      'loose-rust': ALL,
      'tight-rust': onAB(ALL, HALF),
      'pit-rust': HALF,
      oxide: ALL,
      'white-corrosion': ALL,
      verdigris: ALL,
      soot: ALL,
      phosphate: ALL,
      'old-filler': ALL,
    },
    paint: bothPaints(ALL, HALF),
    clean: 'Sa 2',
    profileUm: [5, 15],
    other: 'swept',
    leaves: ['dust'],
    leastMm: { flat: 1.5, stiff: 0.8 },
    isDusty: true,
  }),
  act({
    actId: 'vapour-blast',
    way: 'blast',
    needs: 'none',
    goesOut: true,
    metals: ['steel', 'iron', 'aluminium', 'zinc', 'copper', 'stainless'],
    takes: {
      oil: HALF,
      'loose-rust': ALL,
      'tight-rust': ALL,
      'pit-rust': HALF,
      oxide: ALL,
      'white-corrosion': ALL,
      verdigris: ALL,
      soot: ALL,
    },
    paint: bothPaints(ALL, HALF),
    clean: 'Sa 2',
    leaves: ['water'],
    leastMm: { flat: 1, stiff: 0.8 },
    isWet: true,
  }),
  act({
    actId: 'sweep',
    wantsOff: BEFORE_BLASTING,
    way: 'blast',
    needs: 'grit',
    goesOut: true,
    metals: ['zinc'],
    takes: { 'white-corrosion': ALL, oxide: ALL },
    other: 'swept',
    leaves: ['dust'],
    isDusty: true,
  }),
  act({
    actId: 'plastic-media',
    wantsOff: BEFORE_BLASTING,
    way: 'blast',
    needs: 'none',
    goesOut: true,
    metals: ['steel', 'aluminium', 'stainless'],
    takes: { 'loose-rust': HALF, soot: ALL },
    paint: bothPaints(ALL, ALL),
    leaves: ['dust'],
    isDusty: true,
  }),
  act({
    actId: 'dry-ice',
    way: 'blast',
    needs: 'none',
    goesOut: true,
    metals: [...NO_MAGNESIUM, 'magnesium'],
    takes: { oil: ALL, glue: HALF, soot: ALL, wax: ALL },
    paint: { 'one-pack': [QUARTER, ALL], 'two-pack': [QUARTER, ALL], powder: [QUARTER, ALL] },
    leaves: ['water'],
  }),
  act({
    actId: 'rotary-bristle',
    wantsOff: BEFORE_BLASTING,
    needs: 'bristle',
    takes: {
      'loose-rust': ALL,
      'tight-rust': ALL,
      'pit-rust': HALF,
      scale: ALL,
      'old-filler': ALL,
      phosphate: ALL,
      soot: ALL,
    },
    paint: bothPaints(ALL, HALF),
    clean: 'Sa 2',
    profileUm: [40, 75],
    leaves: ['dust'],
    leastMm: { flat: 1.5, stiff: 1.5 },
    isDusty: true,
  }),
  act({
    actId: 'needle-gun',
    needs: 'needle',
    takes: {
      'loose-rust': ALL,
      'tight-rust': ALL,
      'pit-rust': HALF,
      scale: ALL,
      'old-filler': ALL,
      soot: ALL,
    },
    paint: bothPaints(ALL, HALF),
    clean: 'St 3',
    profileUm: [10, 25],
    leaves: ['dust'],
    leastMm: { flat: 4, stiff: 4 },
    isDusty: true,
  }),
  act({
    actId: 'wire-wheel',
    takes: { 'loose-rust': ALL, 'tight-rust': HALF, soot: ALL },
    paint: { 'one-pack': [HALF, ALL], 'two-pack': [HALF, ALL], powder: [HALF, ALL] },
    clean: 'St 3',
    burnishes: true,
    leaves: ['dust'],
    isDusty: true,
  }),
  act({
    actId: 'disc',
    metals: NO_MAGNESIUM,
    takes: {
      'loose-rust': ALL,
      'tight-rust': (s) => (isCasting(s.substrate) ? HALF : ALL),
      scale: HALF,
      'old-filler': ALL,
      phosphate: ALL,
      oxide: MOST,
      'white-corrosion': ALL,
      verdigris: ALL,
      soot: ALL,
    },
    paint: bothPaints(ALL, ALL),
    clean: 'St 3',
    profileUm: [10, 25],
    other: 'keyed',
    leaves: ['dust'],
    isDusty: true,
  }),
  act({
    actId: 'spot-disc',
    way: 'keep',
    metals: NO_MAGNESIUM,
    takes: {
      'loose-rust': ALL,
      'tight-rust': (s) => (isCasting(s.substrate) ? HALF : ALL),
      oxide: MOST,
      'white-corrosion': ALL,
      verdigris: ALL,
    },
    paint: { 'one-pack': [0, ALL], 'two-pack': [0, ALL], powder: [0, ALL] },
    clean: 'St 3',
    profileUm: [10, 25],
    leaves: ['dust'],
    isDusty: true,
  }),
  act({
    actId: 'spot-wet',
    way: 'keep',
    metals: NO_MAGNESIUM,
    takes: {
      'loose-rust': ALL,
      'tight-rust': HALF,
      oxide: MOST,
      'white-corrosion': ALL,
      verdigris: ALL,
    },
    paint: { 'one-pack': [0, ALL], 'two-pack': [0, ALL], powder: [0, ALL] },
    clean: 'St 2',
    leaves: ['water'],
    isWet: true,
  }),
  act({
    actId: 'hand',
    metals: NO_MAGNESIUM,
    takes: {
      glue: HALF,
      'loose-rust': ALL,
      'tight-rust': HALF,
      'white-corrosion': ALL,
      verdigris: ALL,
      oxide: MOST,
      'old-filler': HALF,
      phosphate: HALF,
      soot: HALF,
    },
    paint: bothPaints(ALL, HALF),
    repeats: ['tight-rust', 'sound-paint', 'loose-paint', 'old-filler', 'phosphate', 'soot'],
    clean: 'St 2',
    profileUm: [10, 25],
    other: 'keyed',
    leaves: ['dust'],
    isDusty: true,
  }),
  act({
    actId: 'scrape',
    takes: { glue: ALL, underseal: ALL, tar: ALL, wax: HALF },
    metals: [...NO_MAGNESIUM, 'magnesium'],
    repeats: ['underseal', 'tar'],
    leaves: [],
  }),
  act({
    actId: 'chelating-bath',
    wantsOff: BEFORE_BATHS,
    way: 'bath',
    needs: 'bath',
    takes: { 'loose-rust': ALL, 'tight-rust': ALL, 'pit-rust': ALL, phosphate: ALL },
    clean: 'Sa 2½',
    pickles: true,
    leaves: ['water', 'chemical'],
    isWet: true,
  }),
  act({
    actId: 'citric-bath',
    wantsOff: BEFORE_BATHS,
    way: 'bath',
    needs: 'bath',
    goesOut: true,
    takes: { 'loose-rust': ALL, 'tight-rust': ALL, 'pit-rust': ALL, scale: HALF, phosphate: ALL },
    clean: 'Sa 2½',
    pickles: true,
    leaves: ['water', 'chemical'],
    isWet: true,
  }),
  act({
    actId: 'electrolysis',
    way: 'bath',
    needs: 'bath',
    takes: { oil: HALF, 'loose-rust': ALL, 'tight-rust': ALL, 'pit-rust': HALF, scale: HALF },
    paint: { 'one-pack': [HALF, HALF], 'two-pack': [0, 0], powder: [0, 0] },
    clean: 'Sa 2',
    pickles: true,
    leaves: ['water', 'chemical'],
    isWet: true,
  }),
  act({
    actId: 'hot-caustic',
    way: 'chemical',
    needs: 'caustic',
    goesOut: true,
    takes: { oil: ALL, 'soaked-oil': ALL, glue: HALF, underseal: ALL, soot: ALL, wax: ALL },
    paint: bothPaints(ALL, HALF),
    leaves: ['water', 'chemical'],
    isWet: true,
  }),
  act({
    actId: 'solvent-stripper',
    way: 'chemical',
    metals: ['steel', 'iron', 'aluminium', 'zinc', 'copper', 'stainless', 'magnesium'],
    takes: { oil: HALF, glue: ALL, underseal: HALF },
    paint: { 'one-pack': [ALL, ALL], 'two-pack': [MOST, MOST], powder: [HALF, MOST] },
    repeats: ['sound-paint', 'loose-paint', 'underseal'],
    leaves: ['chemical'],
    isWet: true,
  }),
  act({
    actId: 'heat-gun',
    metals: ['steel', 'iron', 'aluminium', 'copper', 'stainless'],
    takes: { glue: HALF, underseal: ALL, 'old-filler': ALL },
    paint: bothPaints(ALL, HALF),
    isDusty: true,
  }),
  act({
    actId: 'pad',
    metals: ['aluminium', 'zinc'],
    takes: { oxide: ALL, 'white-corrosion': ALL },
    other: 'keyed',
    leaves: ['dust'],
  }),
  act({
    actId: 'keep',
    way: 'keep',
    metals: NO_MAGNESIUM,
    takes: { 'loose-rust': HALF, oxide: MOST, 'white-corrosion': MOST, verdigris: MOST },
    paint: { 'one-pack': [0, HALF], 'two-pack': [0, HALF], powder: [0, HALF] },
  }),
  act({
    actId: 'phosphate',
    wantsOff: ['oil', 'wax', 'glue', 'loose-paint', 'underseal'],
    way: null,
    takes: { 'loose-rust': ALL, 'tight-rust': HALF, 'pit-rust': HALF },
    repeats: ['tight-rust', 'pit-rust'],
    leaves: ['phosphate', 'water', 'chemical'],
    isWet: true,
  }),
  act({
    actId: 'conversion',
    wantsOff: ['oil', 'wax', 'glue', 'loose-paint', 'sound-paint'],
    way: null,
    metals: ['aluminium'],
    takes: { oxide: ALL, 'white-corrosion': HALF },
    other: 'converted',
    leaves: ['water', 'chemical'],
    isWet: true,
  }),
  act({
    actId: 't-wash',
    wantsOff: ['oil', 'wax', 'glue', 'loose-paint', 'sound-paint'],
    way: null,
    metals: ['zinc'],
    takes: { oxide: ALL },
    other: 'converted',
    leaves: ['water', 'chemical'],
    isWet: true,
  }),
];

const BY_ID = new Map(ACTS.map((a) => [a.actId, a]));
/** The act of an id; a route from outside may name one that is not known. */
export const actOf = (id: string): Act | undefined => BY_ID.get(id as ActId);

/** Acts that take some of a matter off, best share first; sound and loose paint by the kind of the coat. */
export function actsThatTake(m: Matter, s: Survey): readonly Act[] {
  const byMatter = takersFor(s);
  let acts = byMatter.get(m);
  if (!acts) {
    acts = ACTS.map((a) => ({ a, share: shareOf(a, m, s) }))
      .filter((x) => x.share > 0)
      .sort((x, y) => y.share - x.share)
      .map((x) => x.a);
    byMatter.set(m, acts);
  }
  return acts;
}
/** Dozens of refusals over one survey name the same few matters. */
const takersFor = recent((_: Survey) => new Map<Matter, readonly Act[]>());

const KINDS = ['one-pack', 'two-pack', 'powder'] as const;
/** Sixteenths of a matter that an act takes on this part. */
export function shareOf(a: Act, m: Matter, s: Survey): number {
  if (m === 'sound-paint' || m === 'loose-paint') {
    const i = m === 'sound-paint' ? 0 : 1;
    const kind = s.coatKind;
    if (kind === 'bitumen') return 0;
    return kind === 'unknown' ? Math.min(...KINDS.map((k) => a.paint[k][i])) : a.paint[kind][i];
  }
  const t = a.takes[m];
  return t === undefined ? 0 : typeof t === 'function' ? t(s) : t;
}

/** Galvanised sheet keeps its zinc: what takes the zinc off is not for it. */
export const spoilsZinc = (id: ActId, substrate: Substrate): boolean =>
  substrate === 'galvanised' &&
  !['sweep', 'pad', 't-wash', 'keep', 'hand', 'solvent-stripper', 'scrape', 'spot-disc', 'spot-wet'].includes(
    id,
  );

/** Matter that stands in the way of an act on a surface; null: it may begin. */
export const standsBefore = (a: Act, amounts: Amounts): Matter | null =>
  a.wantsOff.find((m) => amountOf(amounts, m) > TRACES) ?? null;
