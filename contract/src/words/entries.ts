import { PART_FACTS, STOCK_FACTS, type FactKind, type StockKind } from '@calvetta/core';

/** What a kind of entry is called stands with the kind. */
export const FACT_WORDS = Object.fromEntries(
  Object.entries(PART_FACTS).map(([kind, { words }]) => [kind, words]),
) as Readonly<Record<FactKind, string>>;

export const STOCK_WORDS = Object.fromEntries(
  Object.entries(STOCK_FACTS).map(([kind, { words }]) => [kind, words]),
) as Readonly<Record<StockKind, string>>;
