import { absoluteHumidityGM3, vapourHpa } from './humidity.ts';
import { wettingPointOf } from './dewPoint.ts';
import { OVER_WATER } from './saturation.ts';

/** Instrument accuracies, k = 2 (expanded), as most hand instruments and probes state them. */
export interface Accuracy {
  readonly tempK: number;
  readonly rhPct: number;
}
export const DEFAULT_ACCURACY: Accuracy = { tempK: 0.5, rhPct: 3 };

/** Surface at least this far above the dew point (ISO 8502-4 "unless otherwise agreed"; the trade). */
export const DEW_MARGIN_K = 3;
/** Default ceiling of relative humidity when the sheet is silent, %. */
export const DEFAULT_RH_MAX_PCT = 85;

/** What a product's sheet asks of the air and the part. Null: the sheet is silent and nothing is asked. */
export interface AirLimits {
  readonly dewMarginK: number;
  readonly rhMaxPct: number;
  readonly rhMinPct: number | null;
  readonly surfaceMinC: number | null;
  readonly surfaceMaxC: number | null;
  readonly airMinC: number | null;
  readonly airMaxC: number | null;
}

/** What is known of the air and the part at one moment. Null: not known; then the gate that needs it is unknown. */
export interface Conditions {
  readonly airC: number | null;
  readonly rhPct: number | null;
  readonly surfaceC: number | null;
  /** Spread of the surface temperature, K, where it is larger than an instrument's (a predicted or assumed surface). */
  readonly surfaceSpreadK?: number;
}

export type GateStatus = 'pass' | 'marginal' | 'fail' | 'unknown';
export type GateKind =
  | 'dew-margin'
  | 'rh-max'
  | 'rh-min'
  | 'surface-min'
  | 'surface-max'
  | 'air-min'
  | 'air-max';

/** One gate's verdict: how far the deciding value is inside (+) or outside (−) its limit, with its uncertainty. */
export interface Gate {
  readonly kind: GateKind;
  readonly status: GateStatus;
  /** The measured or derived value and the limit, in `unit`. Null when unknown. */
  readonly value: number | null;
  readonly limit: number;
  /** value against limit, positive inside; null when unknown. */
  readonly slack: number | null;
  readonly uncertainty: number | null;
  readonly unit: 'K' | '%' | '°C';
  /** The reading that is missing when unknown. */
  readonly missing: 'airC' | 'rhPct' | 'surfaceC' | null;
}

export interface GateVerdict {
  readonly status: GateStatus;
  readonly gates: readonly Gate[];
  /** The gate that decides: worst status, then the least slack relative to its uncertainty. Null when no gate asks anything. */
  readonly deciding: Gate | null;
}

/** Pass when slack − U ≥ 0, fail when slack + U < 0, else marginal. Marginal and unknown are not pass. */
export function bandOf(slack: number, uncertainty: number): Exclude<GateStatus, 'unknown'> {
  if (slack - uncertainty >= 0) return 'pass';
  return slack + uncertainty < 0 ? 'fail' : 'marginal';
}

export interface DewMargin {
  readonly marginK: number;
  readonly uncertaintyK: number;
  /** All instruments wrong in the worst and in the best direction at once. */
  readonly worstK: number;
  readonly bestK: number;
  readonly dewPointC: number;
  readonly kind: 'dew' | 'frost';
}

/** Wetting point of clamped air, so that an instrument's error never leaves the formula's range. */
function wetting(airC: number, rhPct: number) {
  const rh = Math.min(Math.max(rhPct, 0.1), 100);
  const air = Math.min(Math.max(airC, OVER_WATER.minC), OVER_WATER.maxC);
  return wettingPointOf(vapourHpa(air, rh));
}

/**
 * Surface minus wetting point, K, with its uncertainty: root-sum-square of the surface's accuracy and the dew point's
 * change over ± the air and humidity accuracies (central differences), all k = 2.
 */
export function dewMargin(
  airC: number,
  rhPct: number,
  surfaceC: number,
  accuracy: Accuracy = DEFAULT_ACCURACY,
  surfaceSpreadK = 0,
): DewMargin {
  const { tempK, rhPct: drh } = accuracy;
  const point = wetting(airC, rhPct);
  const surfaceU = Math.max(tempK, surfaceSpreadK);
  const byAir = (wetting(airC + tempK, rhPct).tempC - wetting(airC - tempK, rhPct).tempC) / 2;
  const byRh = (wetting(airC, rhPct + drh).tempC - wetting(airC, rhPct - drh).tempC) / 2;
  return {
    marginK: surfaceC - point.tempC,
    uncertaintyK: Math.hypot(surfaceU, byAir, byRh),
    worstK: surfaceC - surfaceU - wetting(airC + tempK, rhPct + drh).tempC,
    bestK: surfaceC + surfaceU - wetting(airC - tempK, rhPct - drh).tempC,
    dewPointC: point.tempC,
    kind: point.kind,
  };
}

function unknownGate(
  kind: GateKind,
  limit: number,
  unit: Gate['unit'],
  missing: NonNullable<Gate['missing']>,
): Gate {
  return { kind, status: 'unknown', value: null, limit, slack: null, uncertainty: null, unit, missing };
}

function simpleGate(
  kind: GateKind,
  value: number | null,
  limit: number | null,
  sense: 1 | -1,
  uncertainty: number,
  unit: Gate['unit'],
  missing: NonNullable<Gate['missing']>,
): Gate[] {
  if (limit === null) return [];
  if (value === null) return [unknownGate(kind, limit, unit, missing)];
  const slack = sense * (value - limit);
  return [
    { kind, status: bandOf(slack, uncertainty), value, limit, slack, uncertainty, unit, missing: null },
  ];
}

function dewGate(now: Conditions, limits: AirLimits, accuracy: Accuracy): Gate {
  const missing =
    now.surfaceC === null ? 'surfaceC' : now.airC === null ? 'airC' : now.rhPct === null ? 'rhPct' : null;
  if (now.surfaceC === null || now.airC === null || now.rhPct === null) {
    return unknownGate('dew-margin', limits.dewMarginK, 'K', missing ?? 'surfaceC');
  }
  const m = dewMargin(now.airC, now.rhPct, now.surfaceC, accuracy, now.surfaceSpreadK ?? 0);
  const slack = m.marginK - limits.dewMarginK;
  return {
    kind: 'dew-margin',
    status: bandOf(slack, m.uncertaintyK),
    value: m.marginK,
    limit: limits.dewMarginK,
    slack,
    uncertainty: m.uncertaintyK,
    unit: 'K',
    missing: null,
  };
}

const SEVERITY: Readonly<Record<GateStatus, number>> = { fail: 3, unknown: 2, marginal: 1, pass: 0 };

/** Every gate a product asks, and the one that decides. A missing reading is unknown, never pass. */
export function judgeGates(
  now: Conditions,
  limits: AirLimits,
  accuracy: Accuracy = DEFAULT_ACCURACY,
): GateVerdict {
  const surfaceU = Math.max(accuracy.tempK, now.surfaceSpreadK ?? 0);
  const gates = [
    dewGate(now, limits, accuracy),
    ...simpleGate('rh-max', now.rhPct, limits.rhMaxPct, -1, accuracy.rhPct, '%', 'rhPct'),
    ...simpleGate('rh-min', now.rhPct, limits.rhMinPct, 1, accuracy.rhPct, '%', 'rhPct'),
    ...simpleGate('surface-min', now.surfaceC, limits.surfaceMinC, 1, surfaceU, '°C', 'surfaceC'),
    ...simpleGate('surface-max', now.surfaceC, limits.surfaceMaxC, -1, surfaceU, '°C', 'surfaceC'),
    ...simpleGate('air-min', now.airC, limits.airMinC, 1, accuracy.tempK, '°C', 'airC'),
    ...simpleGate('air-max', now.airC, limits.airMaxC, -1, accuracy.tempK, '°C', 'airC'),
  ];
  const deciding =
    [...gates].sort(
      (a, b) => SEVERITY[b.status] - SEVERITY[a.status] || relativeSlack(a) - relativeSlack(b),
    )[0] ?? null;
  return { status: deciding?.status ?? 'pass', gates, deciding };
}

function relativeSlack(gate: Gate): number {
  return gate.slack === null || gate.uncertainty === null ? 0 : gate.slack / Math.max(gate.uncertainty, 1e-9);
}

/** What a display says of air and part: wetting point, margin, absolute humidity. Null where a reading is missing. */
export interface AirFigures {
  readonly wettingC: number | null;
  readonly wettingKind: 'dew' | 'frost' | null;
  readonly marginK: number | null;
  readonly absoluteGM3: number | null;
}

export function airFiguresOf(now: Conditions): AirFigures {
  if (now.airC === null || now.rhPct === null)
    return { wettingC: null, wettingKind: null, marginK: null, absoluteGM3: null };
  const vapour = vapourHpa(now.airC, now.rhPct);
  const point = wettingPointOf(vapour);
  return {
    wettingC: point.tempC,
    wettingKind: point.kind,
    marginK: now.surfaceC === null ? null : now.surfaceC - point.tempC,
    absoluteGM3: absoluteHumidityGM3(vapour, now.airC),
  };
}
