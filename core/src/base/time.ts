/** Milliseconds in an hour; instants are epoch milliseconds (`…Ms`) everywhere in core, so a clock change never moves one. */
export const HOUR_MS = 3_600_000;
export const MINUTE_MS = 60_000;
export const DAY_MS = 86_400_000;

/** No forecast is worth keeping further ahead than this, and nothing looks further into it. */
export const FORECAST_REACH_MS = 15 * DAY_MS;

/** A half-open span of time [fromMs, toMs). */
export interface Span {
  readonly fromMs: number;
  readonly toMs: number;
}

/** Joins spans that touch or overlap; input in any order. */
export function mergeSpans(spans: readonly Span[]): Span[] {
  const sorted = [...spans].filter((s) => s.toMs > s.fromMs).sort((a, b) => a.fromMs - b.fromMs);
  const out: Span[] = [];
  for (const span of sorted) {
    const last = out[out.length - 1];
    if (last && span.fromMs <= last.toMs)
      out[out.length - 1] = { fromMs: last.fromMs, toMs: Math.max(last.toMs, span.toMs) };
    else out.push(span);
  }
  return out;
}
