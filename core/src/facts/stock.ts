import { above0, id, list, number, object, oneOf, orNull, text, type Fits } from '../base/shape.ts';
import { THICKEST_READING_UM } from '../film/gaugeRows.ts';
import { LARGEST_BATCH_ML } from '../mix/recipe.ts';
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
    object({ tinId: id('tin'), ml: level, by: oneOf(['weighed', 'guessed']) }),
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
      { note: text(300), ratioBy: oneOf(RATIO_BY) },
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
  'stock-voided': kind('Voided', object({}, { reason: text(300) }), { isVoiding: true }),
} as const;
export type StockKind = keyof typeof STOCK_FACTS;
export const STOCK_KINDS = Object.keys(STOCK_FACTS) as readonly StockKind[];
export type StockBodies = { [K in StockKind]: Fits<(typeof STOCK_FACTS)[K]['body']> };

export type StockFactOf<K extends StockKind> = Envelope<K, StockBodies[K]>;
export type StockFact = { [K in StockKind]: StockFactOf<K> }[StockKind];

/** Stock facts that stand, by when they happened, then recorded, then id. */
export const standingStock = (facts: readonly StockFact[]): StockFact[] =>
  standing(facts, (k) => STOCK_FACTS[k].isVoiding);
