import { productMix, productTraits, stockNow } from '../shop/shelf.ts';
import type { Snapshot } from '../shop/snapshot.ts';
import { productName } from '../shop/views/shelf.ts';
import type { ProductMix } from '../shelf/needs.ts';
import { firstOut, stockOf, type Content, type TinNow } from '../shelf/tins.ts';
import { readOpId } from './ids.ts';
import { operationsOf } from './operations.ts';
import type { Plan, PlanAsk, PlanOp } from './problem.ts';

/** Paint that a gun-load takes out of tins. */
export interface PaintUse {
  readonly atMs: number;
  readonly productId: string;
  readonly colour: string | null;
  readonly mixedMl: number;
}
/** What a plan takes and the shelf does not have by then. */
export interface BuyLine {
  readonly productId: string;
  readonly content: Content;
  readonly colour: string | null;
  readonly shortMl: number;
  /** The first gun-load that goes short. */
  readonly byMs: number;
  /** On the shelf now, and gone off by then. */
  readonly deadMl: number;
}

/** Less than this is what stays in a cup, mL. */
const NOTHING_ML = 1;

/**
 * What has to be bought and by when: gun-loads take from the tins in their order, first out first, and what will be past its date by then is not
 * counted. Pure.
 */
export function toBuy(
  uses: readonly PaintUse[],
  tins: readonly TinNow[],
  mixOf: (productId: string) => ProductMix,
): BuyLine[] {
  const left = new Map(tins.map((t) => [t.tin.tinId, t.levelMl]));
  const now = (): TinNow[] => tins.map((t) => ({ ...t, levelMl: left.get(t.tin.tinId)! }));
  const lines = new Map<string, BuyLine>();
  for (const use of [...uses].sort((a, b) => a.atMs - b.atMs)) {
    const { bPerA, thinPct } = mixOf(use.productId);
    const aMl = use.mixedMl / (1 + bPerA);
    for (const [content, needMl] of [
      ['paint', aMl],
      ['hardener', aMl * bPerA],
      ['thinner', (use.mixedMl * thinPct) / 100],
    ] as const) {
      const colour = content === 'paint' ? use.colour : null;
      const all = stockOf(now(), use.productId, content, colour);
      let short = needMl;
      for (const t of firstOut(all, use.atMs)) {
        const taken = Math.min(short, t.levelMl);
        left.set(t.tin.tinId, t.levelMl - taken);
        short -= taken;
      }
      if (short < NOTHING_ML) continue;
      const key = `${use.productId}|${content}|${colour ?? ''}`;
      const line = lines.get(key);
      const dead = all.filter((t) => !t.isBinned && t.expiry.atMs !== null && t.expiry.atMs <= use.atMs);
      lines.set(key, {
        productId: use.productId,
        content,
        colour,
        shortMl: (line?.shortMl ?? 0) + short,
        byMs: line?.byMs ?? use.atMs,
        deadMl: line?.deadMl ?? dead.reduce((sum, t) => sum + t.levelMl, 0),
      });
    }
  }
  return [...lines.values()].sort((a, b) => a.byMs - b.byMs);
}

/** A line with its product's name. */
export type NamedBuyLine = BuyLine & { readonly productName: string };

/** What a plan asks to be bought, by name. Coats of unknown area are not in it, nor those that are on by now. Pure. */
export function buyListOf(
  snapshot: Snapshot,
  parts: readonly { readonly ops: readonly PlanOp[] }[],
  plan: Plan,
): readonly NamedBuyLine[] {
  const mlOf = new Map(parts.flatMap((p) => p.ops.map((o) => [o.opId, o.coat?.mixedMl ?? 0] as const)));
  const uses = plan.runs.flatMap((r): PaintUse[] => {
    const sheet = snapshot.shop.sheets.get(r.sheetId);
    const mixedMl = r.opIds.reduce((sum, id) => sum + (mlOf.get(id) ?? 0), 0);
    return sheet ? [{ atMs: r.fromMs, productId: sheet.productId, colour: r.colour, mixedMl }] : [];
  });
  const { tins } = stockNow(snapshot);
  return toBuy(uses, tins, (id) => productMix(productTraits(snapshot, id))).map((l) => ({
    ...l,
    productName: productName(snapshot, l.productId),
  }));
}

/** The same of a stored plan, from the parts as they stand now: for the shelf, without looking at the weather. Pure. */
export function buyListNow(
  snapshot: Snapshot,
  { ask, plan }: { readonly ask: PlanAsk; readonly plan: Plan },
): readonly NamedBuyLine[] {
  const ids = new Set(plan.items.map((i) => readOpId(i.opId).partId));
  const parts = [...ids].flatMap((id) => {
    const part = snapshot.parts.get(id);
    return part ? [operationsOf(snapshot, part, ask)] : [];
  });
  return buyListOf(snapshot, parts, plan);
}
