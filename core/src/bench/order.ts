import type { Headline } from './headline.ts';

/** What the order of the bench looks at. */
export interface Orderable {
  readonly partId: string;
  readonly headline: Headline;
  readonly lostAtMs: number | null;
  readonly isLossUnknown: boolean;
  /** When the next chance opens, for those that wait. */
  readonly opensMs: number | null;
  /** What it would cost to redo, hours. */
  readonly redoHours: number;
}

const LOST: readonly Headline[] = ['shut', 'out', 'refused', 'referred'];
const DONE: readonly Headline[] = ['cured', 'waiting'];

export const isLost = (headline: Headline): boolean => LOST.includes(headline);
export const isDone = (headline: Headline): boolean => DONE.includes(headline);

/**
 * 0 a question: its edge is not known · 1 its edge runs · 2 suspect, to be looked at · 3 may be coated, nothing runs out · 4 waits ·
 * 5 already shut or out · 6 done. What is really being lost stands above what is only to be looked at.
 */
function rank(row: Orderable): number {
  if (DONE.includes(row.headline)) return 6;
  if (LOST.includes(row.headline)) return 5;
  if (row.headline === 'sent') return 4;
  if (row.headline === 'suspect') return 2;
  if (row.isLossUnknown || row.headline === 'unknown') return 0;
  if (row.lostAtMs !== null && row.headline !== 'early' && row.headline !== 'lift') return 1;
  return row.headline === 'early' || row.headline === 'lift' || row.headline === 'curing' ? 4 : 3;
}

/** Lost first (docs/clocks.md 15): a total order, so the list never flickers. */
export function compareLoss(a: Orderable, b: Orderable): number {
  const byRank = rank(a) - rank(b);
  if (byRank !== 0) return byRank;
  const key = (r: Orderable): number => (rank(r) === 4 ? (r.opensMs ?? Infinity) : (r.lostAtMs ?? Infinity));
  const ka = key(a);
  const kb = key(b);
  if (ka !== kb) return ka - kb;
  return b.redoHours - a.redoHours || (a.partId < b.partId ? -1 : a.partId > b.partId ? 1 : 0);
}

/** In motion: something was begun and is not finished; the Bench lists these. */
export function isInMotion(headline: Headline): boolean {
  return !DONE.includes(headline);
}
