import { randomUUID } from 'node:crypto';
import type { StockKind } from '@calvetta/core';
import type { NewTin } from '@calvetta/contract';
import { AS_OF_MS, type Answer, type TestApp } from './testApp.ts';

/** For tests only: tins and stock facts as a tablet sends them; `hours` from the clock's start. */
export const WHO = { personId: 'ines', deviceId: 'tablet-1' } as const;
const at = (hours: number): string => new Date(AS_OF_MS + hours * 3_600_000).toISOString();

export const tinOf = (tinId: string, over: Partial<NewTin> = {}): NewTin => ({
  tinId,
  productId: 'epoxy-primer',
  content: 'paint',
  batch: 'B7',
  colour: null,
  sizeMl: 4000,
  madeOn: '2025-06-01',
  priceCents: 15_200,
  tareG: 300,
  ...over,
});
export const receive = (app: TestApp, tin: NewTin, receivedMl = tin.sizeMl, hours = -48): Promise<Answer> =>
  app.post('/api/tins', { tin, receivedMl, factId: randomUUID(), happenedAt: at(hours), ...WHO });

export const stockInput = (
  kind: StockKind,
  hours: number,
  body: Record<string, unknown>,
  supersedes: string | null = null,
) => ({ factId: randomUUID(), kind, happenedAt: at(hours), supersedes, body, ...WHO });

export const mixBody = (mixId: string, over: Record<string, unknown> = {}) => ({
  mixId,
  sheetId: 'epoxy-primer.1',
  colour: null,
  aTinId: 'A1',
  bTinId: 'B1',
  thinnerTinId: null,
  aMl: 400,
  bMl: 100,
  thinnerMl: 0,
  placeId: 'booth',
  ...over,
});
export const postStock = (app: TestApp, ...facts: unknown[]): Promise<Answer> =>
  app.post('/api/stock-facts', { facts });
