import { DAY_MS } from '../base/time.ts';
import type { SheetTraits } from '../products/traits.ts';

/** What a tin holds: the paint itself (A, or a one-pack), its hardener, or thinner. Each has a ledger of its own. */
export const CONTENTS = ['paint', 'hardener', 'thinner'] as const;
export type Content = (typeof CONTENTS)[number];

/** A tin on the shelf: what is printed on it. */
export interface Tin {
  readonly tinId: string;
  readonly productId: string;
  readonly content: Content;
  readonly batch: string | null;
  readonly colour: string | null;
  readonly sizeMl: number;
  /** Day it was made; null: not printed, or not read. */
  readonly madeMs: number | null;
  readonly priceCents: number | null;
}

/** The same day of the month so many months on (UTC); a part of a month counts in days of 30.44. */
export function addMonths(ms: number, months: number): number {
  const whole = Math.floor(months);
  const at = new Date(ms);
  const day = at.getUTCDate();
  at.setUTCDate(1);
  at.setUTCMonth(at.getUTCMonth() + whole);
  const last = new Date(Date.UTC(at.getUTCFullYear(), at.getUTCMonth() + 1, 0)).getUTCDate();
  at.setUTCDate(Math.min(day, last));
  return at.getTime() + (months - whole) * 30.44 * DAY_MS;
}

export interface Expiry {
  /** Null: not known, because nobody knows when it was made. */
  readonly atMs: number | null;
  /** What decides: the closed tin's date, being open, or a day up to which its maker vouches for the batch. */
  readonly by: 'closed' | 'opened' | 'vouched' | 'unknown';
}

type ShelfTraits = Pick<SheetTraits, 'shelfClosedMonths' | 'shelfOpenedMonths' | 'hardenerOpenedMonths'>;

/**
 * When a tin's content is no longer to be trusted: the earlier of its closed date and, once opened, the opened one. Thinner keeps. A
 * maker who tried a kept sample again may put the closed date off (`vouchedMs`), never the one of an open tin.
 */
export function expiryOf(
  tin: Tin,
  openedMs: number | null,
  traits: ShelfTraits,
  vouchedMs: number | null = null,
): Expiry {
  if (tin.content === 'thinner') return { atMs: null, by: 'closed' };
  const printedMs = tin.madeMs === null ? null : addMonths(tin.madeMs, traits.shelfClosedMonths);
  const isVouched = vouchedMs !== null && (printedMs === null || vouchedMs > printedMs);
  const closedMs = isVouched ? vouchedMs : printedMs;
  const openMonths = tin.content === 'hardener' ? traits.hardenerOpenedMonths : traits.shelfOpenedMonths;
  const openMs = openedMs === null || openMonths === null ? null : addMonths(openedMs, openMonths);
  if (openMs !== null && (closedMs === null || openMs < closedMs)) return { atMs: openMs, by: 'opened' };
  if (closedMs === null) return { atMs: null, by: 'unknown' };
  return { atMs: closedMs, by: isVouched ? 'vouched' : 'closed' };
}

/** A tin with what the ledger and the calendar say of it. */
export interface TinNow {
  readonly tin: Tin;
  readonly levelMl: number;
  readonly openedMs: number | null;
  readonly expiry: Expiry;
  /** Somebody poured more than was in it: both pours are kept, and the tin is to be weighed. */
  readonly asksWeighing: boolean;
  readonly isBinned: boolean;
}

export const isUsable = (t: TinNow, nowMs: number): boolean =>
  !t.isBinned && t.levelMl > 0 && (t.expiry.atMs === null || t.expiry.atMs > nowMs);

/** First in, first out: what is open before what is closed, then what expires first, then the fuller one last. */
export function firstOut(tins: readonly TinNow[], nowMs: number): TinNow[] {
  return tins
    .filter((t) => isUsable(t, nowMs))
    .sort(
      (a, b) =>
        Number(a.openedMs === null) - Number(b.openedMs === null) ||
        (a.expiry.atMs ?? Infinity) - (b.expiry.atMs ?? Infinity) ||
        a.levelMl - b.levelMl ||
        (a.tin.tinId < b.tin.tinId ? -1 : 1),
    );
}

/** Stock that answers a question: of a product, a content and a colour. Colour null asks for any. */
export const stockOf = (
  tins: readonly TinNow[],
  productId: string,
  content: Content,
  colour: string | null = null,
): TinNow[] =>
  tins.filter(
    (t) =>
      t.tin.productId === productId &&
      t.tin.content === content &&
      (colour === null || t.tin.colour === null || t.tin.colour === colour),
  );

export interface BatchCheck {
  /** A single batch that covers the need, first out first; null when none does. */
  readonly batch: string | null;
  /** What the fullest single batch falls short by, mL. */
  readonly shortMl: number;
  /** All batches in stock with what each holds. */
  readonly batches: readonly { readonly batch: string | null; readonly ml: number }[];
}

/** Whether one batch covers a colour group's need: a colour from two batches shows side by side. A tin without a batch stands alone. */
export function oneBatchFor(tins: readonly TinNow[], needMl: number, nowMs: number): BatchCheck {
  const held = new Map<string, { batch: string | null; ml: number }>();
  for (const t of firstOut(tins, nowMs)) {
    const key = t.tin.batch ?? `tin ${t.tin.tinId}`;
    const known = held.get(key);
    if (known) known.ml += t.levelMl;
    else held.set(key, { batch: t.tin.batch, ml: t.levelMl });
  }
  const batches = [...held.values()];
  const enough = batches.find((b) => b.batch !== null && b.ml >= needMl);
  const fullest = batches.reduce((m, b) => Math.max(m, b.ml), 0);
  return { batch: enough?.batch ?? null, shortMl: enough ? 0 : Math.max(0, needMl - fullest), batches };
}

export interface HardenerTrouble {
  readonly productId: string;
  readonly code: 'dies-first' | 'too-little';
  /** When the last usable hardener expires; null when it is a matter of amount. */
  readonly atMs: number | null;
  readonly paintMl: number;
  /** Hardener that this paint asks for, and what there is that can be trusted. */
  readonly needMl: number;
  readonly haveMl: number;
}

/** A hardener that is too little for its paint, or that will be dead before its paint is: paint without hardener is waste. */
export function hardenerTrouble(
  tins: readonly TinNow[],
  productId: string,
  bPerA: number,
  nowMs: number,
): HardenerTrouble | null {
  if (bPerA === 0) return null;
  const paint = firstOut(stockOf(tins, productId, 'paint'), nowMs);
  const hard = firstOut(stockOf(tins, productId, 'hardener'), nowMs);
  const sum = (list: readonly TinNow[]): number => list.reduce((s, t) => s + t.levelMl, 0);
  const paintMl = sum(paint);
  if (paintMl === 0) return null;
  const common = { productId, paintMl, needMl: paintMl * bPerA, haveMl: sum(hard) };
  if (common.haveMl < common.needMl) return { ...common, code: 'too-little', atMs: null };
  const last = (list: readonly TinNow[]): number =>
    list.reduce((m, t) => Math.max(m, t.expiry.atMs ?? Infinity), 0);
  return last(hard) < last(paint) ? { ...common, code: 'dies-first', atMs: last(hard) } : null;
}
