/** One time axis shared by every ribbon of a screen: instants to pixels. */
export interface TimeAxis {
  readonly fromMs: number;
  readonly toMs: number;
  readonly widthPx: number;
}

export function xOf(axis: TimeAxis, ms: number): number {
  return ((ms - axis.fromMs) / (axis.toMs - axis.fromMs)) * axis.widthPx;
}

/** Clamped to the axis, so that a span never draws outside it. */
export function clampX(axis: TimeAxis, ms: number): number {
  return Math.min(axis.widthPx, Math.max(0, xOf(axis, ms)));
}

/** How much of the past an axis of so many hours shows: a fifth. */
export function axisAround(nowMs: number, hours: number, widthPx: number): TimeAxis {
  const pastMs = hours * 0.2 * 3_600_000;
  return { fromMs: nowMs - pastMs, toMs: nowMs - pastMs + hours * 3_600_000, widthPx };
}

/** Ticks at local hours: every 3, 6 or 24 h so that labels never touch (≥ 44 px apart). */
export function ticksOf(axis: TimeAxis, localHourOf: (ms: number) => number): number[] {
  const pxPerHour = (axis.widthPx / (axis.toMs - axis.fromMs)) * 3_600_000;
  const step = [1, 2, 3, 6, 12, 24, 48].find((h) => h * pxPerHour >= 44) ?? 48;
  const out: number[] = [];
  for (let ms = Math.ceil(axis.fromMs / 3_600_000) * 3_600_000; ms < axis.toMs; ms += 3_600_000) {
    const hour = localHourOf(ms);
    if (step >= 24 ? hour === 0 && (step === 24 || Math.round(ms / 86_400_000) % 2 === 0) : hour % step === 0)
      out.push(ms);
  }
  return out;
}
