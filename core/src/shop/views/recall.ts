import { originMs } from '../../facts/envelope.ts';
import { ofKind, standingFacts, type Face } from '../../facts/part.ts';
import { batchKey, isSameBatch } from '../../ledger/batch.ts';
import type { Content } from '../../shelf/tins.ts';
import { mixById, stockNow } from '../shelf.ts';
import type { Snapshot } from '../snapshot.ts';
import { productName } from './shelf.ts';

/** A coat that carries a batch, or may. */
export interface Carrier {
  readonly partId: string;
  readonly partName: string;
  readonly machineId: string;
  readonly machineName: string;
  readonly face: Face | null;
  readonly factId: string;
  readonly productName: string;
  readonly atMs: number;
  /** As what the batch is in it. */
  readonly as: Content;
  /** How that is known: said with the coat, by the tin its cup was mixed from, or only that nothing else is on record. */
  readonly by: 'coat' | 'tin' | 'nothing-else-known';
  /** Another coat lies over it. */
  readonly isCovered: boolean;
}
export interface RecallView {
  readonly zone: string;
  readonly asked: string;
  /** What it was matched by: letters and figures alone. */
  readonly key: string;
  /** Tins of the batch: what is to be put aside. */
  readonly tins: readonly {
    readonly tinId: string;
    readonly productName: string;
    readonly content: Content;
    readonly leftMl: number;
  }[];
  readonly carriers: readonly Carrier[];
  /** Coats of the same products whose batch nobody noted, laid while it was here: they cannot be excluded. */
  readonly cannotBeExcluded: readonly Carrier[];
  /** Batches that are on record, for whoever mistyped. */
  readonly known: readonly string[];
}

/**
 * Which parts carry a batch of paint, hardener or thinner; and of which that cannot be excluded. Pure. A batch is matched by its letters
 * and figures alone.
 */
export function recall(snapshot: Snapshot, asked: string): RecallView {
  const key = batchKey(asked);
  const { shop } = snapshot;
  const isIt = (batch: string | null): boolean => batch !== null && isSameBatch(batch, asked);
  const tins = shop.tins.filter((t) => isIt(t.batch));
  const coats = coatsOf(snapshot);
  const carriers = coats.flatMap((c): Carrier[] => {
    const out: Carrier[] = [];
    if (isIt(c.batch)) out.push({ ...c.carrier, as: 'paint', by: 'coat' });
    for (const { content, batch } of c.tins)
      if (isIt(batch) && !(content === 'paint' && out.length > 0))
        out.push({ ...c.carrier, as: content, by: 'tin' });
    return out;
  });
  // What the batch is of: by its tins, else by the coats that name it.
  const named = new Set(carriers.map((c) => c.factId));
  const paints = new Map<string, Content>(tins.map((t) => [t.productId, t.content]));
  for (const c of coats) if (named.has(c.carrier.factId) && isIt(c.batch)) paints.set(c.productId, 'paint');
  const hereSinceMs = firstReceivedMs(snapshot, tins);
  const cannotBeExcluded = coats.flatMap((c): Carrier[] => {
    const content = paints.get(c.productId);
    if (content === undefined || named.has(c.carrier.factId)) return [];
    if (hereSinceMs !== null && c.carrier.atMs < hereSinceMs) return [];
    const isNoted =
      (content === 'paint' && c.batch !== null) ||
      c.tins.some((t) => t.content === content && t.batch !== null);
    return isNoted ? [] : [{ ...c.carrier, as: content, by: 'nothing-else-known' }];
  });
  const { tins: now } = stockNow(snapshot);
  return {
    zone: shop.workshop.zone,
    asked,
    key,
    tins: tins.map((t) => ({
      tinId: t.tinId,
      productName: productName(snapshot, t.productId),
      content: t.content,
      leftMl: now.find((n) => n.tin.tinId === t.tinId)?.levelMl ?? 0,
    })),
    carriers,
    cannotBeExcluded,
    known: [...new Set([...shop.tins.map((t) => t.batch), ...coats.map((c) => c.batch)])]
      .filter((b) => b !== null)
      .sort(),
  };
}

interface LaidCoat {
  readonly carrier: Omit<Carrier, 'as' | 'by'>;
  readonly productId: string;
  /** As it was said with the coat. */
  readonly batch: string | null;
  readonly tins: readonly { readonly content: Content; readonly batch: string | null }[];
}
/** Every standing coat of every part, those put away too: what is on them does not go away with them. */
function coatsOf(snapshot: Snapshot): LaidCoat[] {
  const { shop } = snapshot;
  const batchOf = new Map(shop.tins.map((t) => [t.tinId, t.batch ?? null]));
  const machineName = new Map(shop.machines.map((m) => [m.machineId, m.name]));
  return [...snapshot.parts.values()].flatMap((part) => {
    const coated = ofKind(standingFacts(part.facts), 'coated');
    return coated.map((f, i): LaidCoat => {
      const sheet = shop.sheets.get(f.body.sheetId);
      const mix = f.body.mixId === undefined ? null : mixById(snapshot, f.body.mixId);
      const { aTinId = null, bTinId = null, thinnerTinId = null } = mix?.state.fact.body ?? {};
      const tin = (content: Content, tinId: string | null) =>
        tinId === null ? [] : [{ content, batch: batchOf.get(tinId) ?? null }];
      return {
        carrier: {
          partId: part.row.partId,
          partName: part.row.name,
          machineId: part.row.machineId,
          machineName: machineName.get(part.row.machineId) ?? '',
          face: f.face,
          factId: f.factId,
          productName: sheet?.name ?? f.body.sheetId,
          atMs: originMs(f),
          isCovered: coated.slice(i + 1).some((o) => o.face === null || f.face === null || o.face === f.face),
        },
        productId: sheet?.productId ?? '',
        batch: f.body.batch ?? null,
        tins: [...tin('paint', aTinId), ...tin('hardener', bTinId), ...tin('thinner', thinnerTinId)],
      };
    });
  });
}

/** When the first of some tins came in; null: nobody logged it, so it may have been here at any time. */
function firstReceivedMs(snapshot: Snapshot, tins: readonly { readonly tinId: string }[]): number | null {
  const ids = new Set(tins.map((t) => t.tinId));
  if (ids.size === 0) return null;
  const came = snapshot.shop.stock.flatMap((f) =>
    f.kind === 'tin-received' && ids.has(f.body.tinId) ? [f.happenedAtMs] : [],
  );
  return came.length < ids.size ? null : Math.min(...came);
}
