import type { PlanView } from '@calvetta/core';

/** Columns of sessions side by side, with the nights and empty days between them narrow. */
export interface Column {
  readonly index: number;
  readonly fromMs: number;
  readonly toMs: number;
  readonly x: number;
  readonly width: number;
  /** Of the gap before it, and how long that lasts. */
  readonly gapPx: number;
  readonly gapMs: number;
}
export interface Ground {
  readonly columns: readonly Column[];
  readonly widthPx: number;
}

const COLUMN_PX = 44;
const NIGHT_PX = 7;
const DAYS_PX = 14;
const DAY_MS = 86_400_000;
/** A gap longer than a night is wider: days nobody comes. */
const gapPx = (ms: number): number => (ms > 1.5 * DAY_MS ? DAYS_PX : NIGHT_PX);

export function groundOf({ sessions, nowMs }: Pick<PlanView, 'sessions' | 'nowMs'>): Ground {
  const columns: Column[] = [];
  let x = 0;
  let lastMs = nowMs;
  sessions.forEach((s, index) => {
    const gapMs = Math.max(0, s.fromMs - lastMs);
    const gap = gapPx(gapMs);
    x += gap;
    columns.push({ index, fromMs: s.fromMs, toMs: s.toMs, x, width: COLUMN_PX, gapPx: gap, gapMs });
    x += COLUMN_PX;
    lastMs = s.toMs;
  });
  return { columns, widthPx: x + DAYS_PX };
}

/** Where an instant lies: inside a session to scale, between two by the share of the gap. */
export function xAt({ columns, widthPx }: Ground, ms: number): number {
  for (const c of columns) {
    if (c.index === 0 && ms <= c.fromMs - c.gapMs) return 0;
    if (ms < c.fromMs) {
      const share = c.gapMs === 0 ? 1 : 1 - (c.fromMs - ms) / c.gapMs;
      return c.x - c.gapPx * (1 - Math.max(0, share));
    }
    if (ms <= c.toMs) return c.x + (c.width * (ms - c.fromMs)) / (c.toMs - c.fromMs);
  }
  return widthPx;
}

/** The session under a point, or the nearest. */
export function columnAt({ columns }: Ground, x: number): Column | null {
  return columns.reduce<Column | null>((best, c) => {
    const away = (k: Column): number => Math.max(0, k.x - x, x - (k.x + k.width));
    return best === null || away(c) < away(best) ? c : best;
  }, null);
}
