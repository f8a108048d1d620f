import { cupFullMl, cupMarks, type CupMark } from '../mix/cup.ts';
import type { CupView } from '../shop/state.ts';

/** What one mix of a gun-load is poured from, and up to where in a cup of the shop's. */
export interface RunMix {
  readonly aMl: number;
  readonly bMl: number;
  readonly thinnerMl: number;
  /** The smallest cup that holds it; null: the shop has none so large. */
  readonly cup: { readonly name: string; readonly marks: readonly CupMark[] } | null;
}

/** One of so many equal mixes: A and B by the recipe, thinner on both. Pure. */
export function runMix(
  mixedMl: number,
  mixes: number,
  { bPerA, thinPct }: { readonly bPerA: number; readonly thinPct: number },
  cups: readonly CupView[],
): RunMix {
  const each = mixedMl / mixes;
  const aMl = each / (1 + bPerA);
  const batch = { aMl, bMl: aMl * bPerA, thinnerMl: (each * thinPct) / 100 };
  const totalMl = each + batch.thinnerMl;
  const cup = [...cups]
    .filter((c) => cupFullMl(c) >= totalMl)
    .sort((a, b) => cupFullMl(a) - cupFullMl(b) || (a.cupId < b.cupId ? -1 : 1))[0];
  const marks = cup && cupMarks(cup, batch);
  return { ...batch, cup: cup && marks?.ok ? { name: cup.name, marks: marks.value } : null };
}
