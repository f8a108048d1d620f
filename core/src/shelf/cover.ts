/** A pack a product is sold in. */
export interface Offer {
  readonly offerId: string;
  readonly ml: number;
  readonly cents: number;
  /** How many can be had; null: as many as asked. */
  readonly atMost: number | null;
}
export interface Cover {
  readonly packs: readonly { readonly offerId: string; readonly count: number }[];
  readonly cents: number;
  readonly ml: number;
  readonly wasteMl: number;
}

/** Most that is covered in one search, mL. */
export const LARGEST_NEED_ML = 200_000;
/** Cents weigh so much more than millilitres that cost always decides first; both together stay exact in a double. */
const ML_ROOM = 1e7;

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

interface Line {
  readonly offerId: string;
  readonly units: number;
  readonly count: number;
  readonly worth: number;
  readonly isUnlimited: boolean;
}

/** Limited offers as one, two, four … packs together, so that any number up to the limit is a choice of yes or no. */
function linesOf(offers: readonly Offer[], step: number): Line[] {
  return offers.flatMap((o): Line[] => {
    const line = (count: number, isUnlimited: boolean): Line => ({
      offerId: o.offerId,
      units: (o.ml / step) * count,
      count,
      worth: (o.cents * ML_ROOM + o.ml) * count,
      isUnlimited,
    });
    if (o.atMost === null) return [line(1, true)];
    const out: Line[] = [];
    for (let left = o.atMost, take = 1; left > 0; left -= take, take = Math.min(take * 2, left))
      out.push(line(take, false));
    return out;
  });
}

/**
 * The cheapest packs that cover a need, and among equally cheap ones those with the least left over: exact, by a table of
 * the best worth for each remaining need. Null when all that can be had does not cover it. Sizes and prices are whole
 * millilitres and whole cents. O(lines × need/step).
 */
export function cheapestCover(needMl: number, offers: readonly Offer[]): Cover | null {
  const good = offers.filter((o) => o.ml > 0 && o.cents >= 0 && o.atMost !== 0);
  if (needMl <= 0) return { packs: [], cents: 0, ml: 0, wasteMl: 0 };
  if (good.length === 0 || needMl > LARGEST_NEED_ML) return null;
  const step = good.map((o) => o.ml).reduce(gcd);
  const need = Math.ceil(needMl / step - 1e-9);
  const lines = linesOf(good, step);
  const width = need + 1;
  const best = new Float64Array((lines.length + 1) * width).fill(Infinity);
  best[lines.length * width] = 0;
  for (let i = lines.length - 1; i >= 0; i--) {
    const { units, worth, isUnlimited } = lines[i]!;
    const from = (isUnlimited ? i : i + 1) * width;
    for (let r = 0; r < width; r++) {
      const without = best[(i + 1) * width + r]!;
      const withIt = r === 0 ? Infinity : worth + best[from + Math.max(0, r - units)]!;
      best[i * width + r] = Math.min(without, withIt);
    }
  }
  if (best[need] === Infinity) return null;
  return walk(lines, best, width, need, needMl, step);
}

function walk(
  lines: readonly Line[],
  best: Float64Array,
  width: number,
  need: number,
  needMl: number,
  step: number,
): Cover {
  const counts = new Map<string, number>();
  let [r, cents, ml] = [need, 0, 0];
  for (let i = 0; i < lines.length;) {
    const line = lines[i]!;
    if (best[i * width + r] === best[(i + 1) * width + r]) {
      i += 1;
      continue;
    }
    counts.set(line.offerId, (counts.get(line.offerId) ?? 0) + line.count);
    const packMl = line.units * step;
    ml += packMl;
    cents += Math.round((line.worth - packMl) / ML_ROOM);
    r = Math.max(0, r - line.units);
    if (!line.isUnlimited) i += 1;
  }
  return {
    packs: [...counts].map(([offerId, count]) => ({ offerId, count })),
    cents,
    ml,
    wasteMl: ml - needMl,
  };
}
