import type { ProductSheet } from '../products/sheet.ts';

/** A wet layer of a stack: its film against what its sheet calls nominal. */
export interface StackLayer {
  readonly sheet: ProductSheet;
  readonly dftUm: number;
}

/**
 * How much slower a stack of merged layers dries through: max(1, ΣWFT/nominal)^n (docs/clocks.md 10; common practice, no
 * published source). Applies to min recoat, handle, sand and service; never to touch, max recoat or pot life.
 */
export function stackFactor(layers: readonly StackLayer[]): number {
  const top = layers[layers.length - 1];
  if (!top) return 1;
  const sumUm = layers.reduce((sum, l) => sum + l.dftUm, 0);
  return Math.max(1, sumUm / top.sheet.dftUm) ** top.sheet.stackExponent;
}

export type CoatOver =
  | { readonly kind: 'merges' }
  | { readonly kind: 'independent' }
  | { readonly kind: 'refused'; readonly rule: 'different-binder-before-min-recoat' };

/** What coat i over j does: j not yet at its min recoat merges, unless the binders differ and no wet-on-wet pair allows it. */
export function coatOver(below: ProductSheet, above: ProductSheet, minRecoatReached: boolean): CoatOver {
  if (minRecoatReached) return { kind: 'independent' };
  if (below.binder === above.binder) return { kind: 'merges' };
  const listed = below.followers.find(
    (f) => f.follower === above.productId || f.follower === `binder:${above.binder}`,
  );
  const wetOnWet = listed?.intervals.some((i) => i.wetOnWet) ?? false;
  return wetOnWet ? { kind: 'independent' } : { kind: 'refused', rule: 'different-binder-before-min-recoat' };
}
