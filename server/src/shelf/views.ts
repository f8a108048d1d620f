import {
  isInMotion,
  shoppingList,
  standingStock,
  stockLines,
  type CoatNeed,
  type Content,
  type Offer,
  type StockConflict,
} from '@calvetta/core';
import type { MixView, ShelfResponse, ShoppingResponse, TinView } from '@calvetta/contract';
import type { Snapshot } from '../bench/derive.ts';
import { newestSheet } from '../bench/routeOf.ts';
import { productMix, productTraits, shelfNow, thinPctOf, type MixNow } from './shelfNow.ts';

/** Mixes older than this are history: the ledger has them, the page does not. */
const MIX_DAYS = 3;
const DAY_MS = 86_400_000;
/** The page shows what happened last; the shop's export has all of it. */
const FACTS_SHOWN = 60;

export const productName = (snapshot: Snapshot, productId: string): string =>
  newestSheet(snapshot.shop.sheets, productId)?.name ?? productId;

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

/** Cups of the last days that still hold something, the one that goes off first at the top. */
export const liveMixes = (snapshot: Snapshot): MixView[] =>
  shelfNow(snapshot)
    .mixes.filter((m) => m.state.leftMl > 1 && snapshot.nowMs - m.state.fact.happenedAtMs < MIX_DAYS * DAY_MS)
    .map((m) => mixView(snapshot, m))
    .sort((a, b) => (a.gone?.worstMs ?? Infinity) - (b.gone?.worstMs ?? Infinity));

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
    })),
    mixes: shelf.mixes
      .filter((m) => nowMs - m.state.fact.happenedAtMs < MIX_DAYS * DAY_MS)
      .map((m) => mixView(snapshot, m))
      .sort((a, b) => b.mixedMs - a.mixedMs),
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
    facts: standingStock(shop.stock).slice(-FACTS_SHOWN),
  };
}

export const SCOPES = ['all', 'in-hand'] as const;

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
