import type { Result } from '../base/result.ts';
import {
  type Batch,
  type Recipe,
  type Repair,
  type TinsBatch,
  batchFromTins,
  batchOfMixed,
  RATIO_SHARE,
  READ_TO_ML,
  recipeOf,
  repairOverPour,
  smallestBatchMl,
} from '../mix/recipe.ts';
import type { ProductSheet } from '../products/sheet.ts';
import { traitsOf } from '../products/traitsByBinder.ts';
import type { Content } from '../shelf/tins.ts';
import type { TinView } from './views/shelf.ts';
/** How a batch is asked for: for parts, by volume, or as much as tins give. */
export const BATCH_MODES = ['parts', 'volume', 'tins'] as const;
export type BatchMode = (typeof BATCH_MODES)[number];

/** The tin of a content to take: the one chosen, else the one whose turn it is, else the first that holds anything. */
export function tinFor(
  tins: readonly TinView[],
  productId: string,
  content: Content,
  colour: string | null,
  chosen: string | undefined,
): TinView | null {
  const own = tinsFor(tins, productId, content, colour);
  return own.find((t) => t.tinId === chosen) ?? own.find((t) => t.turn === 0) ?? own[0] ?? null;
}

/** Tins that answer, next in turn first; what is expired or shows nothing comes last, and may still be chosen. */
export const tinsFor = (
  tins: readonly TinView[],
  productId: string,
  content: Content,
  colour: string | null,
): TinView[] =>
  tins
    .filter(
      (t) =>
        t.productId === productId &&
        t.content === content &&
        !t.isBinned &&
        (content !== 'paint' || colour === null || t.colour === null || t.colour === colour),
    )
    .sort((a, b) => (a.turn ?? 99) - (b.turn ?? 99));

export interface Worked {
  readonly recipe: Result<Recipe>;
  readonly batch: Result<Batch> | null;
  readonly fromTins: TinsBatch | null;
  readonly repair: Result<Repair> | null;
  /** Smallest batch whose ratio can be trusted, mL mixed; 0 for a one-pack. */
  readonly smallestMl: number;
}

export interface WorkInput {
  readonly sheet: ProductSheet;
  readonly mode: BatchMode;
  /** Mixed paint asked for, mL; null when nothing is asked yet. */
  readonly wantMl: number | null;
  readonly thinPct: number;
  readonly paintMl: number;
  readonly hardenerMl: number;
  readonly poured: { readonly aMl: number; readonly bMl: number; readonly thinnerMl: number } | null;
}

/** Everything that is shown of a batch. Pure. */
export function workOut(input: WorkInput): Worked {
  const recipe = recipeOf(traitsOf(input.sheet), input.thinPct);
  if (!recipe.ok) return { recipe, batch: null, fromTins: null, repair: null, smallestMl: 0 };
  const r = recipe.value;
  const smallest = smallestBatchMl(r.bPerA, READ_TO_ML, RATIO_SHARE);
  const tins = input.mode === 'tins' ? batchFromTins(r, input.paintMl, input.hardenerMl) : null;
  const repair = input.poured ? repairOverPour(r, input.poured) : null;
  const batch = repair
    ? repair.ok
      ? { ok: true as const, value: repair.value.batch }
      : repair
    : tins
      ? tins.ok
        ? { ok: true as const, value: tins.value.batch }
        : tins
      : input.wantMl === null
        ? null
        : batchOfMixed(r, input.wantMl);
  return {
    recipe,
    batch,
    fromTins: tins?.ok ? tins.value : null,
    repair,
    smallestMl: smallest.ok ? smallest.value : 0,
  };
}
