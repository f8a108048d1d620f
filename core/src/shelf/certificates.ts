import { standingStock, type StockFact, type StockFactOf } from '../facts/stock.ts';
import { isSameBatch } from '../ledger/batch.ts';
import type { Tin } from './tins.ts';

/** A paper that vouches for a batch. */
export interface Certificate {
  readonly factId: string;
  readonly certificate: string;
  /** Up to which day its maker vouches for it after trying a kept sample again; null: it says nothing of that. */
  readonly goodUntil: string | null;
  readonly atMs: number;
}

type Labelled = Pick<Tin, 'tinId' | 'productId' | 'content' | 'batch'>;

/** Papers of a tin's batch: its own, and those of any tin of the same product, content and batch. A tin without a batch has its own alone. */
export function certificatesOf(
  tin: Labelled,
  tins: readonly Labelled[],
  stock: readonly StockFact[],
): Certificate[] {
  const byId = new Map(tins.map((t) => [t.tinId, t]));
  const isOfIt = (s: StockFactOf<'batch-certified'>): boolean => {
    if (s.body.tinId === tin.tinId) return true;
    const other = byId.get(s.body.tinId);
    return (
      other !== undefined &&
      other.productId === tin.productId &&
      other.content === tin.content &&
      other.batch !== null &&
      tin.batch !== null &&
      isSameBatch(other.batch, tin.batch)
    );
  };
  return standingStock(stock)
    .filter((s): s is StockFactOf<'batch-certified'> => s.kind === 'batch-certified' && isOfIt(s))
    .map((s) => ({
      factId: s.factId,
      certificate: s.body.certificate,
      goodUntil: s.body.goodUntil ?? null,
      atMs: s.happenedAtMs,
    }));
}

/** The latest day a batch is vouched for, `2031-03-05`; null: no paper says so. */
export const vouchedUntil = (papers: readonly Certificate[]): string | null =>
  papers
    .flatMap((p) => (p.goodUntil === null ? [] : [p.goodUntil]))
    .sort()
    .at(-1) ?? null;
