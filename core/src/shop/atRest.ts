import { DAY_MS, MINUTE_MS } from '../base/time.ts';
import { isLost, isDone } from '../bench/order.ts';
import type { DerivedPart } from './part.ts';
import type { ShopState } from './state.ts';

/** A part at rest is looked at again after this long, each a little before or after the others. */
const REST_MS = 10 * MINUTE_MS;

/**
 * Neither time nor air changes what is to be done with it: finished, not begun, or lost a day ago and more. Only something that
 * happens to it does. In a shop of years that is nearly every part.
 */
function isAtRest(part: DerivedPart): boolean {
  return part.state.faces.every((f) => {
    if (isDone(f.headline)) return true;
    const sinceMs = f.span?.fromMs ?? f.bare?.edge?.worstMs ?? null;
    return isLost(f.headline) && sinceMs !== null && sinceMs < part.atMs - DAY_MS;
  });
}

/** A number in [0, 1) of its own for every part. */
function share(id: string): number {
  let h = 0;
  for (let i = 0; i < id.length; i++) h = (Math.imul(h, 31) + id.charCodeAt(i)) >>> 0;
  return h / 2 ** 32;
}

/** Whether a part derived before may stand as it is: it is at rest, nothing happened to it, and that was not long ago. */
export function mayStand(before: DerivedPart, was: ShopState, shop: ShopState, nowMs: number): boolean {
  const { partId } = before.row;
  return (
    Math.abs(nowMs - before.atMs) < REST_MS * (0.5 + share(partId)) &&
    was.sheets === shop.sheets &&
    was.steps === shop.steps &&
    was.parts === shop.parts &&
    was.places === shop.places &&
    was.facts.get(partId) === shop.facts.get(partId) &&
    isAtRest(before)
  );
}
