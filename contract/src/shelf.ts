import type { TinRow, StockBodies, StockKind } from '@calvetta/core';

/** What a client sends about stock. */
export interface StockFactInput<K extends StockKind = StockKind> {
  readonly factId: string;
  readonly kind: K;
  readonly happenedAt: string;
  readonly personId: string;
  readonly deviceId: string;
  readonly supersedes: string | null;
  readonly body: StockBodies[K];
}
export type NewTin = Omit<TinRow, 'version' | 'madeMs'> & {
  /** Day it was made, `2025-06-01`; null when it is not printed. */
  readonly madeOn: string | null;
};
export interface NewTinInput {
  readonly tin: NewTin;
  /** What came in it, mL: usually its size. */
  readonly receivedMl: number;
  readonly factId: string;
  readonly happenedAt: string;
  readonly personId: string;
  readonly deviceId: string;
}

export type {
  CupView,
  LeftoverResponse,
  LeftoverView,
  LeftoverWhy,
  MixView,
  Pack,
  ShelfResponse,
  ShoppingResponse,
  TinRow,
  TinView,
} from '@calvetta/core';
