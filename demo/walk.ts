import { readFileSync } from 'node:fs';
import { benchOf, deriveShop, HOUR_MS, shopStateOf, type ActCode, type Headline } from '@calvetta/core';
import type { ShopFile } from '@calvetta/contract';
import { airAt, recordAt } from './alive.ts';

const file = JSON.parse(readFileSync(new URL('./scenario/shop.json', import.meta.url), 'utf8')) as ShopFile;

/**
 * The whole of the walk is every hour (`LONG=1`, as `.ci/run` sets it); else every seventh, which in a week meets each hour of
 * the day once.
 */
export const STRIDE = process.env['LONG'] === '1' ? 1 : 7;
/** A week from this moment, in two files: the first fourteen sevens of hours, and the other ten. */
export const WEEK_MS = Date.UTC(2026, 10, 25);
export const FIRST_HOURS = 98;

/** What whoever starts the demo must find, at whatever hour: every state of a window, and every answer of a gate. */
const STATES: readonly Headline[] = [
  'early',
  'open',
  'closing',
  'lift',
  'shut',
  'keyed',
  'suspect',
  'bare',
  'held',
  'out',
];
const ACTS: readonly ActCode[] = ['coat', 'coat-if-accepted', 'hold'];

function rowsAt(nowMs: number, partIds: ReadonlySet<string> | null) {
  const record = recordAt(file, nowMs);
  const parts = record.parts.filter((p) => partIds?.has(p.partId) ?? true);
  const shop = shopStateOf({ ...record, parts });
  return benchOf(deriveShop(shop, airAt(file, nowMs), nowMs)).rows;
}

/** Walks the demo hour by hour: missing states and acts, by the moment they miss at. */
export function missing(fromMs: number, hours: number, stride: number): string[] {
  // Parts that rest stay at rest: those in motion are looked at hour by hour.
  const inMotion = new Set(rowsAt(fromMs, null).map((r) => r.partId));
  const out: string[] = [];
  for (let h = 0; h < hours; h += stride) {
    const atMs = fromMs + h * HOUR_MS;
    const rows = rowsAt(atMs, inMotion);
    const states = new Set(rows.map((r) => r.headline));
    const acts = new Set(rows.map((r) => r.act.code));
    for (const s of STATES) if (!states.has(s)) out.push(`${s} at ${new Date(atMs).toISOString()}`);
    for (const a of ACTS) if (!acts.has(a)) out.push(`${a} at ${new Date(atMs).toISOString()}`);
  }
  return out;
}
