/** What happened to stock: stored once, never changed; a correction is a fact that supersedes. */
export interface StockBodies {
  'tin-received': { readonly tinId: string; readonly ml: number };
  'tin-opened': { readonly tinId: string };
  /** What is in it now, weighed or guessed: the difference goes to the unexplained. */
  'tin-weighed': { readonly tinId: string; readonly ml: number; readonly by: 'weighed' | 'guessed' };
  'tin-binned': { readonly tinId: string };
  mixed: {
    readonly mixId: string;
    readonly sheetId: string;
    readonly colour: string | null;
    readonly aTinId: string;
    readonly bTinId: string | null;
    readonly thinnerTinId: string | null;
    readonly aMl: number;
    readonly bMl: number;
    readonly thinnerMl: number;
    readonly placeId: string | null;
    readonly note?: string;
  };
  /** From a cup or straight from a tin: spilt, gone off, left in the gun, used for cleaning. */
  wasted: {
    readonly mixId?: string;
    readonly tinId?: string;
    readonly ml: number;
    readonly why: (typeof WASTE_REASONS)[number];
  };
  'stock-voided': { readonly reason?: string };
}
export const WASTE_REASONS = ['gone-off', 'spilt', 'in-the-gun', 'cleaning', 'other'] as const;
export type StockKind = keyof StockBodies;
export const STOCK_KINDS: readonly StockKind[] = [
  'tin-received',
  'tin-opened',
  'tin-weighed',
  'tin-binned',
  'mixed',
  'wasted',
  'stock-voided',
];

export interface StockFactOf<K extends StockKind> {
  readonly factId: string;
  readonly kind: K;
  readonly happenedAtMs: number;
  readonly recordedAtMs: number;
  readonly personId: string;
  readonly deviceId: string;
  readonly supersedes: string | null;
  readonly body: StockBodies[K];
}
export type StockFact = { [K in StockKind]: StockFactOf<K> }[StockKind];

/** Stock facts that stand, by when they happened, then recorded, then id. */
export function standingStock(facts: readonly StockFact[]): StockFact[] {
  const gone = new Set(facts.map((f) => f.supersedes).filter((id) => id !== null));
  return facts
    .filter((f) => !gone.has(f.factId) && f.kind !== 'stock-voided')
    .sort(
      (a, b) =>
        a.happenedAtMs - b.happenedAtMs || a.recordedAtMs - b.recordedAtMs || (a.factId < b.factId ? -1 : 1),
    );
}
