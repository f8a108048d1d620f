import type { BenchResponse } from '@calvetta/core';
import type { BenchTick } from './api.ts';

/** The Bench as far as this page has it. */
export interface BenchHeld extends BenchResponse {
  /** Names what this page has; the next answer holds what has changed since. */
  readonly version: string;
  /** False: rows are still to come, and are asked for at once. */
  readonly isWhole: boolean;
  readonly order: readonly string[];
}

/** What the page has after an answer: its rows changed or added, in the order it says. A row that has not come yet is left out. */
export function withTick(held: BenchHeld | undefined, tick: BenchTick): BenchHeld {
  const known = new Map(held?.rows.map((r) => [r.partId, r]));
  for (const row of tick.rows) known.set(row.partId, row);
  const order = tick.order ?? held?.order ?? [];
  return { ...tick, order, rows: order.flatMap((id) => known.get(id) ?? []) };
}
