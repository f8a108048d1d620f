import { above0, day, id, list, number, object, oneOf, orNull, text, type Fits } from '../base/shape.ts';
import { THICKEST_READING_UM } from '../film/kinds.ts';
import { LARGEST_BATCH_ML } from '../mix/kinds.ts';
import { INDUCTIONS } from '../people/kinds.ts';
import { kind, standing, type Envelope } from './envelope.ts';

/** How A and B were measured out. */
export const RATIO_BY = ['scale', 'cup', 'eye'] as const;

export const WASTE_REASONS = ['gone-off', 'spilt', 'in-the-gun', 'cleaning', 'other'] as const;
/** A level may be nothing, never less. */
const level = number(0, 1_000_000);
const poured = number(0, LARGEST_BATCH_ML);

/** Every kind of entry about stock: stored once, never changed; a correction is an entry that supersedes. */
export const STOCK_FACTS = {
  'tin-received': kind('Tin came in', object({ tinId: id('tin'), ml: level })),
  'tin-opened': kind('Tin opened', object({ tinId: id('tin') })),
  /** What is in it now, weighed or guessed: the difference goes to the unexplained. */
  'tin-weighed': kind(
    'Tin weighed',
    object(
      { tinId: id('tin'), ml: level, by: oneOf(['weighed', 'guessed']) },
      /** The scale it stood on. */
      { gaugeId: id('gauge') },
    ),
  ),
  'tin-binned': kind('Tin binned', object({ tinId: id('tin') })),
  mixed: kind(
    'Mixed',
    object(
      {
        mixId: id(),
        sheetId: id('sheet'),
        colour: orNull(text(60)),
        aTinId: id('tin'),
        bTinId: orNull(id('tin')),
        thinnerTinId: orNull(id('tin')),
        aMl: above0(LARGEST_BATCH_ML),
        bMl: poured,
        thinnerMl: poured,
        placeId: orNull(id('place')),
      },
      { note: text(300), ratioBy: oneOf(RATIO_BY), gaugeId: id('gauge') },
    ),
  ),
  /** From a cup or straight from a tin: spilt, gone off, left in the gun, used for cleaning. */
  wasted: kind(
    'Wasted',
    object({ ml: above0(1_000_000), why: oneOf(WASTE_REASONS) }, { mixId: id('mix'), tinId: id('tin') }, [
      'mixId',
      'tinId',
    ]),
  ),
  /** A gauge was tried on foils of known thickness, 0: on the bare plate; what it may be out by is its maker's. */
  'gauge-checked': kind(
    'Gauge checked',
    object(
      {
        gaugeId: id('gauge'),
        foils: list(
          object({ foilUm: number(0, THICKEST_READING_UM), readUm: number(-200, THICKEST_READING_UM) }),
          1,
          20,
        ),
        tolUm: number(0, 100),
        tolPct: number(0, 50),
      },
      { note: text(300) },
    ),
  ),
  /** A scale was tried with known masses; what it may be out by is its maker's. */
  'scale-checked': kind(
    'Scale checked',
    object(
      {
        gaugeId: id('gauge'),
        masses: list(object({ massG: number(0, 1_000_000), readG: number(-1000, 1_100_000) }), 1, 20),
        tolG: number(0, 10_000),
        tolPct: number(0, 50),
      },
      { note: text(300) },
    ),
  ),
  /** Paper that came with a batch: of this tin, and of every other of its product, content and batch. */
  'batch-certified': kind(
    'Batch certified',
    object(
      { tinId: id('tin'), certificate: text(120) },
      {
        /** Its maker has tried a kept sample again and vouches for it up to this day. */
        goodUntil: day(),
        note: text(300),
      },
    ),
  ),
  /** Somebody was shown how, and may do it alone; until a day, where the shop asks for it again. */
  inducted: kind(
    'Inducted',
    object({ whoId: id('person'), to: oneOf(INDUCTIONS) }, { until: day(), note: text(300) }),
  ),
  came: kind('Came in', object({ whoId: id('person') })),
  left: kind('Went home', object({ whoId: id('person') })),
  /** What a session leaves to the next. */
  'handed-over': kind('Handed over', object({ text: text(2000) })),
  'stock-voided': kind('Voided', object({}, { reason: text(300) }), { isVoiding: true }),
} as const;
export type StockKind = keyof typeof STOCK_FACTS;
/** Entries about nothing on the shelf: people, gauges, what is left to the next. */
export const OF_THE_SHOP: readonly StockKind[] = [
  'gauge-checked',
  'scale-checked',
  'inducted',
  'came',
  'left',
  'handed-over',
];
export const STOCK_KINDS = Object.keys(STOCK_FACTS) as readonly StockKind[];
export type StockBodies = { [K in StockKind]: Fits<(typeof STOCK_FACTS)[K]['body']> };

export type StockFactOf<K extends StockKind> = Envelope<K, StockBodies[K]>;
export type StockFact = { [K in StockKind]: StockFactOf<K> }[StockKind];

/** Stock facts that stand, by when they happened, then recorded, then id. */
export const standingStock = (facts: readonly StockFact[]): StockFact[] =>
  standing(facts, (k) => STOCK_FACTS[k].isVoiding);
