/** A waiting part that would take what is left. */
export interface LeftoverItem {
  readonly id: string;
  /** Paint it takes, mL. */
  readonly needMl: number;
  /** Minutes to lay it on. */
  readonly minutes: number;
  /** When its own window shuts; null: it does not. */
  readonly shutMs: number | null;
}
export interface LeftoverChoice {
  readonly ids: readonly string[];
  readonly usedMl: number;
  readonly minutes: number;
}

/** The largest leftover a choice is worked out for, mL; more is a batch of its own. */
export const LARGEST_LEFTOVER_ML = 20_000;

/**
 * Which waiting parts take a leftover, exactly: most whole millilitres used, needs rounded up, all laid within the minutes
 * left; among equals the one that takes the part whose window shuts soonest, then the next.
 *
 * A table of the fewest minutes in which the parts from i on use up exactly c millilitres, then a walk from the soonest
 * shut on that takes a part whenever the best can still be reached with it. O(n·c) time and memory.
 */
export function chooseLeftover(
  items: readonly LeftoverItem[],
  leftMl: number,
  leftMinutes: number,
): LeftoverChoice {
  const capacity = Math.floor(Math.min(leftMl, LARGEST_LEFTOVER_ML));
  const budget = Math.floor(leftMinutes);
  const wanted = items
    .map((x) => ({ ...x, ml: Math.ceil(x.needMl), min: Math.ceil(x.minutes) }))
    .filter((x) => x.ml > 0 && x.ml <= capacity && x.min <= budget)
    .sort((a, b) => (a.shutMs ?? Infinity) - (b.shutMs ?? Infinity) || (a.id < b.id ? -1 : 1));
  if (wanted.length === 0 || capacity <= 0) return { ids: [], usedMl: 0, minutes: 0 };
  const width =
    Math.min(
      capacity,
      wanted.reduce((s, x) => s + x.ml, 0),
    ) + 1;
  const fewest = fewestMinutes(wanted, width);
  const n = wanted.length;
  let best = 0;
  for (let c = width - 1; c > 0; c--)
    if (fewest[c]! <= budget) {
      best = c;
      break;
    }
  const ids: string[] = [];
  let [ml, minutes] = [best, 0];
  for (let i = 0; i < n && ml > 0; i++) {
    const x = wanted[i]!;
    const after = ml - x.ml;
    if (after < 0 || fewest[(i + 1) * width + after]! + x.min > budget - minutes) continue;
    ids.push(x.id);
    ml = after;
    minutes += x.min;
  }
  return { ids, usedMl: best, minutes };
}

const NEVER = 0xffff;
/** `[i·width + c]`: fewest minutes in which items i… use exactly c mL; 65 535 stands for never (and is more than any pot life). */
function fewestMinutes(
  items: readonly { readonly ml: number; readonly min: number }[],
  width: number,
): Uint16Array {
  const table = new Uint16Array((items.length + 1) * width).fill(NEVER, items.length * width + 1);
  for (let i = items.length - 1; i >= 0; i--) {
    const { ml, min } = items[i]!;
    const from = (i + 1) * width;
    const to = i * width;
    table.copyWithin(to, from, from + width);
    for (let c = ml; c < width; c++) {
      const withIt = table[from + c - ml]! + min;
      if (withIt < table[to + c]!) table[to + c] = withIt;
    }
  }
  return table;
}
