import { standingStock, type StockFact, type StockFactOf } from '../facts/stock.ts';
import type { StripMethod } from '../facts/part.ts';
import type { ProductSheet } from '../products/sheet.ts';
import type { Tool } from '../products/traits.ts';
import type { Induction } from './kinds.ts';

/**
 * Whether somebody may do a thing, by what the shop keeps. `not-kept`: nobody here was ever inducted to it, so the shop does not keep
 * such a list and is not asked about each of its people. Days are the shop's own, `2031-03-05`.
 */
export type MayDo =
  | { readonly state: 'inducted'; readonly untilDay: string | null }
  | { readonly state: 'lapsed' | 'minor'; readonly untilDay: string }
  | { readonly state: 'none' | 'not-kept' };

/** Kept from whoever is under age, whatever they were shown (common practice, no published source; local law decides). */
const NOT_FOR_MINORS: readonly Induction[] = ['air-fed', 'blast', 'lift', 'hot-work'];

const known = new WeakMap<readonly StockFact[], readonly StockFactOf<'inducted'>[]>();
/** Sought out once a ledger: every coat of a dossier asks. */
function inductionsOf(stock: readonly StockFact[]): readonly StockFactOf<'inducted'>[] {
  let found = known.get(stock);
  if (!found) {
    found = standingStock(stock).filter((s): s is StockFactOf<'inducted'> => s.kind === 'inducted');
    known.set(stock, found);
  }
  return found;
}

/** Who somebody is to an induction: under age until a day, that day not included. */
export interface Doer {
  readonly personId: string;
  readonly minorUntil: string | null;
}

/** Whether somebody may do it on a day, by the inductions on record at that moment. Days in ISO order compare as text. */
export function mayDo(
  stock: readonly StockFact[],
  who: Doer,
  to: Induction,
  at: { readonly ms: number; readonly day: string },
): MayDo {
  const { minorUntil } = who;
  if (minorUntil !== null && at.day < minorUntil && NOT_FOR_MINORS.includes(to))
    return { state: 'minor', untilDay: minorUntil };
  const kept = inductionsOf(stock).filter((s) => s.body.to === to);
  if (kept.length === 0) return { state: 'not-kept' };
  const own = kept.filter((s) => s.body.whoId === who.personId && s.happenedAtMs <= at.ms);
  const untils = own.map((s) => s.body.until ?? null);
  if (untils.length === 0) return { state: 'none' };
  if (untils.includes(null)) return { state: 'inducted', untilDay: null };
  const last = untils.map(String).sort().at(-1)!;
  return last < at.day ? { state: 'lapsed', untilDay: last } : { state: 'inducted', untilDay: last };
}

/** What laying a coat takes, the gravest first: isocyanate in the air takes air-fed breathing, and whoever sprays knows the gun. */
export function coatTakes(sheet: Pick<ProductSheet, 'cautions'>, tool: Tool): readonly Induction[] {
  if (tool === 'aerosol') return sheet.cautions.includes('isocyanate') ? ['air-fed'] : [];
  if (tool !== 'gun') return [];
  return sheet.cautions.includes('isocyanate') ? ['air-fed', 'spray'] : ['spray'];
}
export const stripTakes = (method: StripMethod): readonly Induction[] =>
  method === 'blast' || method === 'bead' ? ['blast'] : [];

/** What keeps somebody from it. */
export interface HandsTrouble {
  readonly why: 'not-inducted';
  readonly to: Induction;
  readonly personId: string;
  readonly may: Exclude<MayDo, { readonly state: 'inducted' | 'not-kept' }>;
}
/** The first of what an act takes that somebody may not do alone; null: nothing keeps them from it. */
export function handsTrouble(
  personId: string,
  takes: readonly Induction[],
  mayOf: (to: Induction) => MayDo,
): HandsTrouble | null {
  for (const to of takes) {
    const may = mayOf(to);
    if (may.state !== 'inducted' && may.state !== 'not-kept')
      return { why: 'not-inducted', to, personId, may };
  }
  return null;
}
