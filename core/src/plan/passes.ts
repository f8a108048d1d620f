import { HOUR_MS, MINUTE_MS } from '../base/time.ts';
import { EDGE_SPREAD_K } from '../cure/lean.ts';
import { stageTable } from '../cure/tables.ts';
import { meanRate } from '../cure/rate.ts';
import type { ProductSheet } from '../products/sheet.ts';

/** A part in a gun-load: wet passes it still wants, how long one takes, and from when its flash is over. */
export interface PassPart {
  readonly id: string;
  readonly left: number;
  readonly minutes: number;
  readonly readyMs: number;
}
export interface PlannedPass {
  readonly id: string;
  readonly fromMs: number;
  readonly toMs: number;
}

/** Flash where the sheet says none, minutes (common practice, no published source). */
const USUAL_FLASH_MIN = 10;

/**
 * How long a pass flashes off before the next on the same part, at its worst: the sheet's flash at two kelvin below the surface's
 * temperature. Not known to the sheet at that temperature: null. Silent sheet: ten minutes.
 */
export function flashMs(sheet: ProductSheet, surfaceC: number): number | null {
  const table = stageTable(sheet, 'flash');
  if (!table) return USUAL_FLASH_MIN * MINUTE_MS;
  const coldC = surfaceC - EDGE_SPREAD_K;
  const perHour = meanRate(table, coldC, coldC);
  return perHour > 0 ? HOUR_MS / perHour : null;
}

/** What to spray now: of the parts whose flash is over the one with most passes left after this; none over: what is over first. */
export function nextPass(parts: readonly PassPart[], nowMs: number): PassPart | null {
  const open = parts.filter((p) => p.left > 0);
  const ready = open.filter((p) => p.readyMs <= nowMs);
  const best = (list: readonly PassPart[], before: (a: PassPart, b: PassPart) => boolean): PassPart | null =>
    list.reduce<PassPart | null>((a, b) => (a === null || before(b, a) ? b : a), null);
  return ready.length > 0
    ? best(ready, (a, b) => a.left > b.left || (a.left === b.left && a.readyMs < b.readyMs))
    : best(open, (a, b) => a.readyMs < b.readyMs || (a.readyMs === b.readyMs && a.left > b.left));
}

/** The passes of an order, each as soon as the gun and the flash let it. */
function laidOut(
  parts: readonly PassPart[],
  order: readonly number[],
  nowMs: number,
  flash: number,
): PlannedPass[] {
  const ready = parts.map((p) => p.readyMs);
  let gunMs = nowMs;
  return order.map((k) => {
    const fromMs = Math.max(gunMs, ready[k]!);
    const toMs = fromMs + parts[k]!.minutes * MINUTE_MS;
    gunMs = toMs;
    ready[k] = toMs + flash;
    return { id: parts[k]!.id, fromMs, toMs };
  });
}

const endOf = (passes: readonly PlannedPass[], nowMs: number): number =>
  passes.length === 0 ? nowMs : passes[passes.length - 1]!.toMs;

/**
 * The order of all passes of a gun-load that ends soonest: by `nextPass`, then the best other place for each pass until none helps. It
 * equals the exact order on nearly all loads (docs/plan.md, References). Pure.
 */
export function passOrder(parts: readonly PassPart[], nowMs: number, flash: number): readonly PlannedPass[] {
  let order: number[] = [];
  const now = parts.map((p) => ({ ...p }));
  let gunMs = nowMs;
  for (let next = nextPass(now, gunMs); next; next = nextPass(now, gunMs)) {
    const k = now.findIndex((p) => p.id === next.id);
    const toMs = Math.max(gunMs, next.readyMs) + next.minutes * MINUTE_MS;
    order.push(k);
    now[k] = { ...now[k]!, left: now[k]!.left - 1, readyMs: toMs + flash };
    gunMs = toMs;
  }
  let best = laidOut(parts, order, nowMs, flash);
  for (let isBetter = true; isBetter;) {
    isBetter = false;
    for (let i = 0; i < order.length && !isBetter; i++)
      for (let j = 0; j < order.length && !isBetter; j++) {
        if (i === j) continue;
        const tried = [...order];
        tried.splice(j, 0, ...tried.splice(i, 1));
        const passes = laidOut(parts, tried, nowMs, flash);
        if (endOf(passes, nowMs) >= endOf(best, nowMs)) continue;
        [order, best, isBetter] = [tried, passes, true];
      }
  }
  return best;
}
