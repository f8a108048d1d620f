import { isoDay, localDay } from '../base/zone.ts';
import { standingStock, type StockFact } from '../facts/stock.ts';

/** Somebody who is in the shop now. */
export interface InNow {
  readonly personId: string;
  readonly sinceMs: number;
}

/**
 * Who came today and has not left: for whoever locks up, and for a roll call in a fire. A new day begins with nobody. Entries count up to
 * `untilMs`. Pure.
 */
export function inToday(
  stock: readonly StockFact[],
  zone: string,
  nowMs: number,
  untilMs: number = nowMs,
): InNow[] {
  const today = isoDay(localDay(zone, nowMs));
  const here = new Map<string, number>();
  for (const s of standingStock(stock)) {
    if (s.kind !== 'came' && s.kind !== 'left') continue;
    if (s.happenedAtMs > untilMs || isoDay(localDay(zone, s.happenedAtMs)) !== today) continue;
    if (s.kind === 'left') here.delete(s.body.whoId);
    else if (!here.has(s.body.whoId)) here.set(s.body.whoId, s.happenedAtMs);
  }
  return [...here].map(([personId, sinceMs]) => ({ personId, sinceMs }));
}
