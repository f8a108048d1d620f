import type { ProductSheet } from '../products/sheet.ts';
import { newestSheet } from '../products/newest.ts';
import { traitsOf } from '../products/traitsByBinder.ts';
import type { Content } from './tins.ts';
import { recipeOf } from '../mix/recipe.ts';

/** Density of what a tin holds, kg/L, by the newest sheet of its product; null without a sheet, or with one that contradicts itself. */
export function contentDensityKgL(
  sheets: Iterable<ProductSheet>,
  productId: string,
  content: Content,
): number | null {
  const sheet = newestSheet(sheets, productId);
  if (!sheet) return null;
  const traits = traitsOf(sheet);
  if (content === 'hardener') return traits.hardenerDensityKgL;
  if (content === 'thinner') return traits.thinnerDensityKgL;
  const recipe = recipeOf(traits, 0);
  return recipe.ok ? recipe.value.aKgL : null;
}
