import type { Offer, Cover } from './cover.ts';
import { cheapestCover } from './cover.ts';
import { firstOut, oneBatchFor, stockOf, type BatchCheck, type Content, type TinNow } from './tins.ts';

/** Mixed paint a coat still to come asks for. */
export interface CoatNeed {
  readonly partId: string;
  readonly productId: string;
  readonly colour: string | null;
  readonly colourGroup: string | null;
  readonly mixedMl: number;
}

/** A product's need against its stock, one content at a time. */
export interface StockLine {
  readonly productId: string;
  readonly content: Content;
  readonly colour: string | null;
  readonly needMl: number;
  readonly haveMl: number;
  readonly shortMl: number;
  readonly partIds: readonly string[];
}

export interface ProductMix {
  readonly bPerA: number;
  readonly thinPct: number;
}

/** Needs of coats to come as paint, hardener and thinner of each product and colour, against what can be trusted on the shelf. */
export function stockLines(
  needs: readonly CoatNeed[],
  tins: readonly TinNow[],
  mixOf: (productId: string) => ProductMix,
  nowMs: number,
): StockLine[] {
  const groups = new Map<string, CoatNeed[]>();
  for (const n of needs) {
    const key = `${n.productId}\n${n.colour ?? ''}`;
    groups.set(key, [...(groups.get(key) ?? []), n]);
  }
  const out: StockLine[] = [];
  const free = new Map<string, number>();
  for (const list of groups.values()) {
    const { productId, colour } = list[0]!;
    const { bPerA, thinPct } = mixOf(productId);
    const mixed = list.reduce((s, n) => s + n.mixedMl, 0);
    const aMl = mixed / (1 + bPerA);
    const partIds = [...new Set(list.map((n) => n.partId))];
    for (const [content, needMl] of [
      ['paint', aMl],
      ['hardener', aMl * bPerA],
      ['thinner', (mixed * thinPct) / 100],
    ] as const) {
      if (needMl <= 0) continue;
      // Hardener and thinner have no colour: what one colour takes, the next does not find.
      const shared = content === 'paint' ? null : `${productId}\n${content}`;
      const held = firstOut(stockOf(tins, productId, content, content === 'paint' ? colour : null), nowMs);
      const all = held.reduce((s, t) => s + t.levelMl, 0);
      const haveMl = shared === null ? all : (free.get(shared) ?? all);
      if (shared !== null) free.set(shared, Math.max(0, haveMl - needMl));
      out.push({
        productId,
        content,
        colour: content === 'paint' ? colour : null,
        needMl,
        haveMl,
        shortMl: Math.max(0, needMl - haveMl),
        partIds,
      });
    }
  }
  return merged(out);
}

/** Lines of one product and content without a colour are one line. */
function merged(lines: readonly StockLine[]): StockLine[] {
  const out: StockLine[] = [];
  for (const l of lines) {
    const at = out.findIndex(
      (o) => o.productId === l.productId && o.content === l.content && o.colour === l.colour,
    );
    if (at < 0) {
      out.push(l);
      continue;
    }
    const o = out[at]!;
    out[at] = {
      ...o,
      needMl: o.needMl + l.needMl,
      shortMl: o.shortMl + l.shortMl,
      partIds: [...new Set([...o.partIds, ...l.partIds])],
    };
  }
  return out;
}

/** A colour group that must come from one batch, with whether the shelf allows it. */
export interface GroupCheck extends BatchCheck {
  readonly colourGroup: string;
  readonly productId: string;
  readonly needMl: number;
}
export function groupChecks(
  needs: readonly CoatNeed[],
  tins: readonly TinNow[],
  mixOf: (productId: string) => ProductMix,
  nowMs: number,
): GroupCheck[] {
  const groups = new Map<string, CoatNeed[]>();
  for (const n of needs)
    if (n.colourGroup !== null && n.colour !== null) {
      const key = `${n.colourGroup}\n${n.productId}`;
      groups.set(key, [...(groups.get(key) ?? []), n]);
    }
  return [...groups.values()].map((list) => {
    const { colourGroup, productId, colour } = list[0]!;
    const needMl = list.reduce((s, n) => s + n.mixedMl, 0) / (1 + mixOf(productId).bPerA);
    return {
      colourGroup: colourGroup!,
      productId,
      needMl,
      ...oneBatchFor(stockOf(tins, productId, 'paint', colour), needMl, nowMs),
    };
  });
}

export interface ShoppingLine extends StockLine {
  /** Null: no pack of it is known, or they do not cover it. */
  readonly cover: Cover | null;
}
/** What is short, in the packs it is sold in: cheapest first, then least left over. */
export function shoppingList(
  lines: readonly StockLine[],
  offersFor: (productId: string, content: Content) => readonly Offer[],
): ShoppingLine[] {
  return lines
    .filter((l) => l.shortMl > 0.5)
    .map((l) => ({ ...l, cover: cheapestCover(Math.ceil(l.shortMl), offersFor(l.productId, l.content)) }));
}
