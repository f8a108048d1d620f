import { firstOutOfRange, type Contradiction, type OutOfRange } from '../base/failure.ts';
import { err, ok, type Result } from '../base/result.ts';
import { MOST_THINNER_PCT } from '../film/spreading.ts';
import type { SheetTraits } from '../products/traits.ts';
import { LARGEST_BATCH_ML } from './kinds.ts';

/** How a product is mixed, by volume, with what a scale needs. */
export interface Recipe {
  /** Volume of B and of thinner to one volume of A; thinner is counted on A + B. */
  readonly bPerA: number;
  readonly thinPct: number;
  readonly aKgL: number;
  readonly bKgL: number;
  readonly thinnerKgL: number;
}

/** Amounts of one batch: millilitres and grams. `mixedMl` is A + B, `totalMl` with thinner. Volumes are taken to add up. */
export interface Batch {
  readonly aMl: number;
  readonly bMl: number;
  readonly thinnerMl: number;
  readonly mixedMl: number;
  readonly totalMl: number;
  readonly aG: number;
  readonly bG: number;
  readonly thinnerG: number;
}

type RecipeTraits = Pick<SheetTraits, 'mix' | 'densityKgL' | 'hardenerDensityKgL' | 'thinnerDensityKgL'>;
/** A ratio beyond this is a slip: nobody measures one in two hundred with a cup. */
const MOST_RATIO = 200;

/**
 * The recipe of a product's sheet at a thinner share. A ratio by mass becomes one by volume through the densities; the
 * density of A follows from that of the mix. Refuses 0:1, a ratio beyond 200, thinner beyond 100 %, and densities that contradict.
 */
export function recipeOf(traits: RecipeTraits, thinPct: number): Result<Recipe, OutOfRange | Contradiction> {
  const { mix, densityKgL, hardenerDensityKgL: bKgL, thinnerDensityKgL: thinnerKgL } = traits;
  const wrong = firstOutOfRange([
    ['thinPct', thinPct, 0, MOST_THINNER_PCT, '%'],
    ['ratio', mix === null ? 1 : mix.a / mix.b, 1 / MOST_RATIO, MOST_RATIO, ':1'],
  ]);
  if (wrong) return wrong;
  if (mix === null) return ok({ bPerA: 0, thinPct, aKgL: densityKgL, bKgL, thinnerKgL });
  // By volume a·ρA + b·ρB = (a + b)·ρ; by mass (a + b)/ρ = a/ρA + b/ρB.
  const aKgL =
    mix.by === 'volume'
      ? ((mix.a + mix.b) * densityKgL - mix.b * bKgL) / mix.a
      : mix.a / ((mix.a + mix.b) / densityKgL - mix.b / bKgL);
  if (!(aKgL > 0.3 && aKgL < 12))
    return err({ code: 'contradiction', field: 'densityKgL', rule: 'density of A would be impossible' });
  const bPerA = mix.by === 'volume' ? mix.b / mix.a : mix.b / bKgL / (mix.a / aKgL);
  return ok({ bPerA, thinPct, aKgL, bKgL, thinnerKgL });
}

/** Amounts from the volume of A. */
function fromA(r: Recipe, aMl: number): Batch {
  const bMl = aMl * r.bPerA;
  const mixedMl = aMl + bMl;
  const thinnerMl = (mixedMl * r.thinPct) / 100;
  return {
    aMl,
    bMl,
    thinnerMl,
    mixedMl,
    totalMl: mixedMl + thinnerMl,
    aG: aMl * r.aKgL,
    bG: bMl * r.bKgL,
    thinnerG: thinnerMl * r.thinnerKgL,
  };
}

const checkMl = (field: string, ml: number) => firstOutOfRange([[field, ml, 0.1, LARGEST_BATCH_ML, 'mL']]);

/** A batch of so much A + B. */
export const batchOfMixed = (r: Recipe, mixedMl: number): Result<Batch, OutOfRange> =>
  checkMl('mixedMl', mixedMl) ?? ok(fromA(r, mixedMl / (1 + r.bPerA)));

export interface TinsBatch {
  readonly batch: Batch;
  /** Which runs out first; null for a one-pack or when both do. */
  readonly endsFirst: 'a' | 'b' | null;
  /** What is left in the other tin, mL. */
  readonly leftMl: number;
}
/** The largest batch that what is left in the tins gives. Refuses levels below nothing and tins that are empty. */
export function batchFromTins(r: Recipe, aLeftMl: number, bLeftMl: number): Result<TinsBatch, OutOfRange> {
  const wrong = firstOutOfRange([
    ['aLeftMl', aLeftMl, 0.1, 1e6, 'mL'],
    ['bLeftMl', bLeftMl, r.bPerA === 0 ? 0 : 0.1, 1e6, 'mL'],
  ]);
  if (wrong) return wrong;
  const byB = r.bPerA === 0 ? Infinity : bLeftMl / r.bPerA;
  const batch = fromA(r, Math.min(aLeftMl, byB));
  const aOver = aLeftMl - batch.aMl;
  const bOver = r.bPerA === 0 ? 0 : bLeftMl - batch.bMl;
  const endsFirst = r.bPerA === 0 || (aOver < 1e-9 && bOver < 1e-9) ? null : aOver < 1e-9 ? 'a' : 'b';
  return ok({ batch, endsFirst, leftMl: Math.max(aOver, bOver) });
}

/** What the scale shows after each part goes in, the cup tared: grams, added up in the order of mixing. */
export function scaleSteps(
  b: Batch,
): { readonly part: 'a' | 'b' | 'thinner'; readonly addG: number; readonly showsG: number }[] {
  let showsG = 0;
  return (
    [
      ['a', b.aG],
      ['b', b.bG],
      ['thinner', b.thinnerG],
    ] as const
  )
    .filter(([, g]) => g > 0)
    .map(([part, addG]) => ({ part, addG, showsG: (showsG += addG) }));
}

/** What went into the cup, mL. */
export interface Poured {
  readonly aMl: number;
  readonly bMl: number;
  readonly thinnerMl: number;
}
export interface Repair {
  /** To add of each, mL; nothing can be taken out. */
  readonly add: Poured;
  readonly batch: Batch;
}
/**
 * Puts an over-pour right: the smallest batch of the recipe that holds what is in the cup already. What is over fixes the
 * batch, the others are topped up. Refuses amounts below nothing, an empty cup, and thinner in a recipe that has none.
 */
export function repairOverPour(r: Recipe, poured: Poured): Result<Repair, OutOfRange> {
  const wrong = firstOutOfRange([
    ['aMl', poured.aMl, 0, LARGEST_BATCH_ML, 'mL'],
    ['bMl', poured.bMl, 0, r.bPerA === 0 ? 0 : LARGEST_BATCH_ML, 'mL'],
    ['thinnerMl', poured.thinnerMl, 0, r.thinPct === 0 ? 0 : LARGEST_BATCH_ML, 'mL'],
    ['poured', poured.aMl + poured.bMl + poured.thinnerMl, 0.1, LARGEST_BATCH_ML, 'mL'],
  ]);
  if (wrong) return wrong;
  const one = fromA(r, 1);
  const aMl = Math.max(
    poured.aMl,
    r.bPerA === 0 ? 0 : poured.bMl / r.bPerA,
    r.thinPct === 0 ? 0 : poured.thinnerMl / one.thinnerMl,
  );
  const batch = fromA(r, aMl);
  return ok({
    add: {
      aMl: batch.aMl - poured.aMl,
      bMl: batch.bMl - poured.bMl,
      thinnerMl: batch.thinnerMl - poured.thinnerMl,
    },
    batch,
  });
}

/**
 * Smallest batch whose ratio can be trusted, mL of A + B: (n + 1)·δ/ε, where the smaller part is one of n + 1, read to
 * ±δ mL and wanted to a share ε of itself (docs/calculations.md E). One-packs have none.
 */
export function smallestBatchMl(bPerA: number, readToMl: number, share: number): Result<number, OutOfRange> {
  const wrong = firstOutOfRange([
    ['readToMl', readToMl, 0.01, 1000, 'mL'],
    ['share', share, 0.001, 0.5, ''],
    ['bPerA', bPerA, 0, MOST_RATIO, ''],
  ]);
  if (wrong) return wrong;
  if (bPerA === 0) return ok(0);
  const n = Math.max(bPerA, 1 / bPerA);
  return ok(((n + 1) * readToMl) / share);
}
/** A cup with marks is read to about a millilitre in fifty; a ratio within 5 % is what sheets live with (common practice, no published source). */
export const READ_TO_ML = 1;
export const RATIO_SHARE = 0.05;
