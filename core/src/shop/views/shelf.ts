import { isInMotion } from '../../bench/order.ts';
import type { Edge } from '../../cure/windows.ts';
import type { Batch } from '../../mix/recipe.ts';
import type { Offer } from '../../shelf/cover.ts';
import type { StockConflict, Account } from '../../shelf/ledger.ts';
import {
  shoppingList,
  stockLines,
  type CoatNeed,
  type GroupCheck,
  type ShoppingLine,
  type StockLine,
} from '../../shelf/needs.ts';
import { OF_THE_SHOP, standingStock, type StockFact, type StockKind } from '../../facts/stock.ts';
import { certificatesOf, type Certificate } from '../../shelf/certificates.ts';
import type { Content, Expiry, HardenerTrouble } from '../../shelf/tins.ts';
import { newestSheet } from '../../products/newest.ts';
import { mixNow, productMix, productTraits, shelfNow, stockNow, thinPctOf, type MixNow } from '../shelf.ts';
import type { Snapshot } from '../snapshot.ts';
import type { CupView, Pack, TinRow } from '../state.ts';

export interface TinView extends TinRow {
  readonly productName: string;
  readonly levelMl: number;
  readonly openedMs: number | null;
  readonly expiry: Expiry;
  readonly asksWeighing: boolean;
  readonly isBinned: boolean;
  readonly isExpired: boolean;
  /** Where it stands among what to take first; 0 is next. Null: not to be used. */
  readonly turn: number | null;
  /** Papers of its batch. */
  readonly certificates: readonly Certificate[];
}
/** A cup of mixed paint: what is in it, since when, and until when. */
export interface MixView {
  readonly mixId: string;
  readonly factId: string;
  readonly sheetId: string;
  readonly productId: string;
  readonly productName: string;
  readonly colour: string | null;
  readonly batch: string | null;
  readonly placeId: string | null;
  readonly personId: string;
  readonly mixedMs: number;
  readonly amounts: Pick<Batch, 'aMl' | 'bMl' | 'thinnerMl'>;
  readonly thinPct: number;
  readonly totalMl: number;
  readonly leftMl: number;
  readonly usable: Edge;
  /** Null: a one-pack does not go off in the cup. */
  readonly gone: Edge | null;
  readonly uses: readonly {
    readonly factId: string;
    readonly partId: string | null;
    readonly partName: string | null;
    readonly ml: number;
  }[];
}
export interface ShelfResponse {
  readonly nowMs: number;
  readonly tins: readonly TinView[];
  readonly mixes: readonly MixView[];
  readonly packs: readonly Pack[];
  readonly cups: readonly CupView[];
  readonly accounts: Readonly<Record<Content, Account>>;
  readonly conflicts: readonly (StockConflict & { readonly about: string })[];
  /** What the routes still ask for, against what is there. */
  readonly lines: readonly (StockLine & { readonly productName: string })[];
  readonly groups: readonly (GroupCheck & { readonly productName: string })[];
  readonly hardeners: readonly (HardenerTrouble & { readonly productName: string })[];
  /** Colour groups on which two batches have met already. */
  readonly mixedGroups: readonly {
    readonly colourGroup: string;
    readonly productId: string;
    readonly productName: string;
    readonly batches: readonly { readonly batch: string; readonly partNames: readonly string[] }[];
  }[];
  /** What happened last to the stock and stands, oldest first. */
  readonly facts: readonly StockFact[];
}
export interface ShoppingResponse {
  readonly scope: string;
  readonly lines: readonly (ShoppingLine & { readonly productName: string })[];
  readonly cents: number;
}

/** Mixes older than this are history: the ledger has them, the page does not. */
const MIX_DAYS = 3;
const DAY_MS = 86_400_000;
/** The page shows what happened last; the shop's export has all of it. */
const FACTS_SHOWN = 60;
/** What happened to people and gauges is not the shelf's. */
const isOfPaint = (kind: StockKind): boolean => !OF_THE_SHOP.includes(kind);

export const productName = (snapshot: Snapshot, productId: string): string =>
  newestSheet(snapshot.shop.sheets.values(), productId)?.name ?? productId;

export function mixView(snapshot: Snapshot, mix: MixNow): MixView {
  const { state, sheet, clock } = mix;
  const { fact } = state;
  const { mixId, colour, aTinId, placeId, aMl, bMl, thinnerMl } = fact.body;
  return {
    mixId,
    factId: fact.factId,
    sheetId: sheet.sheetId,
    productId: sheet.productId,
    productName: sheet.name,
    colour,
    batch: snapshot.shop.tins.find((t) => t.tinId === aTinId)?.batch ?? null,
    placeId,
    personId: fact.personId,
    mixedMs: fact.happenedAtMs,
    amounts: { aMl, bMl, thinnerMl },
    thinPct: thinPctOf(state),
    totalMl: state.totalMl,
    leftMl: state.leftMl,
    usable: clock.usable,
    gone: clock.gone,
    uses: state.uses.map((u) => ({
      ...u,
      partName: u.partId === null ? null : (snapshot.parts.get(u.partId)?.row.name ?? null),
    })),
  };
}

/** Mixes of the last days, with their clocks; those before are history. */
const lastMixes = (snapshot: Snapshot, leastMl: number): MixView[] =>
  [...stockNow(snapshot).ledger.mixes.values()]
    .filter((m) => m.leftMl >= leastMl && snapshot.nowMs - m.fact.happenedAtMs < MIX_DAYS * DAY_MS)
    .flatMap((m) => mixNow(snapshot, m) ?? [])
    .map((m) => mixView(snapshot, m));

/** Cups of the last days that still hold something, the one that goes off first at the top. */
export const liveMixes = (snapshot: Snapshot): MixView[] =>
  lastMixes(snapshot, 1).sort((a, b) => (a.gone?.worstMs ?? Infinity) - (b.gone?.worstMs ?? Infinity));

/** A conflict with the thing it is about by name. */
function aboutOf(snapshot: Snapshot, c: StockConflict): string {
  if ('partId' in c) return snapshot.parts.get(c.partId)?.row.name ?? c.partId;
  if ('tinId' in c) {
    const tin = snapshot.shop.tins.find((t) => t.tinId === c.tinId);
    return tin ? `${productName(snapshot, tin.productId)}, ${tin.content}` : c.tinId;
  }
  return 'mixId' in c ? c.mixId : c.factId;
}

export function shelfResponse(snapshot: Snapshot): ShelfResponse {
  const shelf = shelfNow(snapshot);
  const { shop, nowMs } = snapshot;
  const named = <T extends { readonly productId: string }>(x: T) => ({
    ...x,
    productName: productName(snapshot, x.productId),
  });
  return {
    nowMs,
    tins: shelf.tins.map((t): TinView => ({
      ...t.row,
      productName: productName(snapshot, t.row.productId),
      levelMl: t.levelMl,
      openedMs: t.openedMs,
      expiry: t.expiry,
      asksWeighing: t.asksWeighing,
      isBinned: t.isBinned,
      isExpired: t.expiry.atMs !== null && t.expiry.atMs <= nowMs,
      turn: t.turn,
      certificates: certificatesOf(t.row, shop.tins, shop.stock),
    })),
    mixes: lastMixes(snapshot, -Infinity).sort((a, b) => b.mixedMs - a.mixedMs),
    packs: shop.packs,
    cups: shop.cups,
    accounts: shelf.ledger.accounts,
    conflicts: shelf.ledger.conflicts.map((c) => ({ ...c, about: aboutOf(snapshot, c) })),
    lines: shelf.lines.map(named),
    groups: shelf.groups.map(named),
    hardeners: shelf.hardeners.map(named),
    mixedGroups: shelf.mixedGroups.map((g) => ({
      ...named(g),
      batches: g.batches.map((b) => ({
        batch: b.batch,
        partNames: b.partIds.map((id) => snapshot.parts.get(id)?.row.name ?? id),
      })),
    })),
    facts: standingStock(shop.stock)
      .filter((s) => isOfPaint(s.kind))
      .slice(-FACTS_SHOWN),
  };
}

/** What to buy: for everything, for the work in hand (about a month of evenings), or for one machine. */
export function shopping(snapshot: Snapshot, scope: string): ShoppingResponse {
  const shelf = shelfNow(snapshot);
  const isIn = (n: CoatNeed): boolean => {
    const part = snapshot.parts.get(n.partId);
    if (!part) return false;
    if (scope === 'all') return true;
    return scope === 'in-hand' ? isInMotion(part.state.headline) : part.row.machineId === scope;
  };
  const lines = stockLines(
    shelf.needs.filter(isIn),
    shelf.tins,
    (id) => productMix(productTraits(snapshot, id)),
    snapshot.nowMs,
  );
  const offers = (productId: string, content: Content): Offer[] =>
    snapshot.shop.packs
      .filter((p) => p.productId === productId && p.content === content)
      .map((p) => ({ offerId: p.packId, ml: p.sizeMl, cents: p.priceCents, atMost: null }));
  const list = shoppingList(lines, offers).map((l) => ({
    ...l,
    productName: productName(snapshot, l.productId),
  }));
  return { scope, lines: list, cents: list.reduce((s, l) => s + (l.cover?.cents ?? 0), 0) };
}
