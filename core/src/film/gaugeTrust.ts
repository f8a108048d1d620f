import { standingStock, type StockFact, type StockFactOf } from '../facts/stock.ts';

export const GAUGE_KINDS = ['film', 'scale'] as const;
export type GaugeKind = (typeof GAUGE_KINDS)[number];

/** A foil of known thickness, and what the gauge said of it; 0: on the bare plate. */
export interface FoilRead {
  readonly foilUm: number;
  readonly readUm: number;
}
/** What a gauge may be out by: so many µm, or so many per cent of the foil, whichever is more. Its maker's sheet says how much. */
export interface GaugeLimits {
  readonly tolUm: number;
  readonly tolPct: number;
}
/** Usual of electronic gauges on metal (common practice, no published source). */
export const USUAL_LIMITS: GaugeLimits = { tolUm: 2, tolPct: 3 };

/** Usual of a bench scale for paint (common practice, no published source). */
export const USUAL_SCALE = { tolG: 1, tolPct: 0.5 };

/** How far a scale is out on each known mass, g, and whether that is within its limits. */
export function judgeScale(
  masses: readonly { readonly massG: number; readonly readG: number }[],
  { tolG, tolPct }: { readonly tolG: number; readonly tolPct: number },
): { readonly passed: boolean; readonly off: readonly { readonly offG: number; readonly mayG: number }[] } {
  const off = masses.map(({ massG, readG }) => ({
    offG: readG - massG,
    mayG: Math.max(tolG, (tolPct / 100) * massG),
  }));
  return { passed: masses.length > 0 && off.every((o) => Math.abs(o.offG) <= o.mayG + 1e-9), off };
}

/** How far it is out on each foil, µm, and whether that is within its limits. */
export function judgeCheck(
  foils: readonly FoilRead[],
  { tolUm, tolPct }: GaugeLimits,
): { readonly passed: boolean; readonly off: readonly { readonly offUm: number; readonly mayUm: number }[] } {
  const off = foils.map(({ foilUm, readUm }) => ({
    offUm: readUm - foilUm,
    mayUm: Math.max(tolUm, (tolPct / 100) * foilUm),
  }));
  return { passed: foils.length > 0 && off.every((o) => Math.abs(o.offUm) <= o.mayUm + 1e-9), off };
}

/** Whether what a gauge read at a moment can be relied on, by its checks before and after. */
export interface GaugeTrust {
  readonly state: 'checked' | 'doubt' | 'unchecked';
  /** The check that says so; null: there is none. */
  readonly checkMs: number | null;
}

type Check = StockFactOf<'gauge-checked'> | StockFactOf<'scale-checked'>;
/** The standing checks of a gauge or a scale, in order. */
export const checksOf = (stock: readonly StockFact[], gaugeId: string): Check[] =>
  standingStock(stock).filter(
    (s): s is Check =>
      (s.kind === 'gauge-checked' || s.kind === 'scale-checked') && s.body.gaugeId === gaugeId,
  );
export const hasPassed = (c: Check): boolean =>
  c.kind === 'gauge-checked'
    ? judgeCheck(c.body.foils, c.body).passed
    : judgeScale(c.body.masses, c.body).passed;

/**
 * A check that fails looks back: whatever was read or weighed since the last good one is in doubt, because nobody knows when it went
 * wrong; and whatever is read until the next good one.
 */
export function gaugeTrust(stock: readonly StockFact[], gaugeId: string, atMs: number): GaugeTrust {
  const checks = checksOf(stock, gaugeId).map((c) => ({
    atMs: c.happenedAtMs,
    passed: hasPassed(c),
  }));
  const before = checks.filter((c) => c.atMs <= atMs).at(-1);
  const after = checks.find((c) => c.atMs > atMs);
  if (before && !before.passed) return { state: 'doubt', checkMs: before.atMs };
  if (after && !after.passed) return { state: 'doubt', checkMs: after.atMs };
  const good = before ?? after;
  return good ? { state: 'checked', checkMs: good.atMs } : { state: 'unchecked', checkMs: null };
}
