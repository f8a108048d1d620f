import { kFromC } from '../units/factors.ts';
import { segmentHours, type ArrheniusSegment, type FittedCurve } from '../products/curve.ts';
import { scaledE1 } from './expint.ts';

/** Answer of a mean rate that runs outside what the sheet covers. Rates are never negative, so it cannot be mistaken. */
export const UNKNOWN_RATE = -1;

/** Knots of the tabulated integral are at most this far apart; cubic Hermite between them is exact to 1e-8 of the rate. */
const KNOT_STEP_C = 0.25;
/** A change smaller than this is taken at its middle: the integral's difference would lose digits, the rate does not. */
const FLAT_C = 1e-3;
const COLD_END_C = -90;
const HOT_END_C = 160;

interface Piece {
  readonly fromC: number;
  readonly toC: number;
  readonly kind: 'arrhenius' | 'constant' | 'unknown';
  /** For a constant piece. */
  readonly perHour: number;
  readonly knots: Knots | null;
}

interface Knots {
  readonly stepC: number;
  /** ∫ rate dT from the piece's start, and the rate, at each knot. */
  readonly integral: Float64Array;
  readonly perHour: Float64Array;
}

/** How fast a stage runs at each temperature, 1/h, with its integral over temperature tabulated once. */
export interface RateTable {
  readonly pieces: readonly Piece[];
  readonly curve: FittedCurve;
  readonly type: 'min' | 'max';
}

/**
 * Rate of a min-type stage: 0 below the cure minimum (it holds, it is not reset), the sheet's Arrhenius line inside and
 * up to the curve's reach beyond the listed range, unknown farther out.
 */
export function minRateTable(curve: FittedCurve, cureMinC: number | null): RateTable {
  const lowC = curve.coldestC - curve.reachK;
  const highC = curve.warmestC + curve.reachK;
  const pieces = [
    flat(COLD_END_C, lowC, 'unknown', 0),
    ...arrheniusPieces(curve, lowC, highC),
    flat(highC, HOT_END_C, 'unknown', 0),
  ];
  return { curve, type: 'min', pieces: cureMinC === null ? pieces : stallBelow(pieces, cureMinC) };
}

/** Rate of a max-type stage: the coldest point's rate below it (no credit for cold), extrapolated in full above. */
export function maxRateTable(curve: FittedCurve): RateTable {
  const coldest = 1 / segmentHours(curve.segments[0], curve.coldestC);
  const pieces = [
    flat(COLD_END_C, curve.coldestC, 'constant', coldest),
    ...arrheniusPieces(curve, curve.coldestC, HOT_END_C),
  ];
  return { curve, type: 'max', pieces };
}

function stallBelow(pieces: readonly Piece[], cureMinC: number): Piece[] {
  const above = pieces.filter((p) => p.toC > cureMinC);
  const [first, ...rest] = above;
  const stalled = flat(COLD_END_C, cureMinC, 'constant', 0);
  if (!first || first.fromC >= cureMinC) return [stalled, ...above];
  return [stalled, { ...first, fromC: cureMinC, knots: first.knots && cutKnots(first, cureMinC) }, ...rest];
}

/** The same line from a later start: rebuilt from the old knots' rates would lose exactness, so it is tabulated anew. */
function cutKnots(piece: Piece, fromC: number): Knots {
  const line = lines.get(piece.knots!)!;
  return tabulate(line, fromC, piece.toC);
}
const lines = new WeakMap<Knots, ArrheniusSegment>();

function arrheniusPieces(curve: FittedCurve, fromC: number, toC: number): Piece[] {
  const last = curve.segments.length - 1;
  return curve.segments
    .map((s, i) => ({ s, from: i === 0 ? fromC : s.fromC, to: i === last ? toC : s.toC }))
    .filter((p) => p.to > p.from)
    .map(({ s, from, to }) => ({
      fromC: from,
      toC: to,
      kind: 'arrhenius',
      perHour: 0,
      knots: tabulate(s, from, to),
    }));
}

function flat(fromC: number, toC: number, kind: 'constant' | 'unknown', perHour: number): Piece {
  return { fromC, toC, kind, perHour, knots: null };
}

/** Antiderivative of the rate over temperature: e^(−a)·K·e^(−x)·(1 − x·e^x·E1(x)), x = E/RK (docs/clocks.md 3). */
function antiderivative(s: ArrheniusSegment, tempC: number): number {
  const k = kFromC(tempC);
  return (k / segmentHours(s, tempC)) * (1 - scaledE1(s.eOverRK / k));
}

function tabulate(s: ArrheniusSegment, fromC: number, toC: number): Knots {
  const n = Math.max(1, Math.ceil((toC - fromC) / KNOT_STEP_C));
  const stepC = (toC - fromC) / n;
  const integral = new Float64Array(n + 1);
  const perHour = new Float64Array(n + 1);
  const start = antiderivative(s, fromC);
  for (let i = 0; i <= n; i++) {
    const tempC = fromC + i * stepC;
    integral[i] = antiderivative(s, tempC) - start;
    perHour[i] = 1 / segmentHours(s, tempC);
  }
  const knots = { stepC, integral, perHour };
  lines.set(knots, s);
  return knots;
}

/** ∫ rate dT from the piece's start to tempC, by cubic Hermite on exact values and slopes. */
function integralTo(piece: Piece, tempC: number): number {
  const { stepC, integral, perHour } = piece.knots!;
  const u = (tempC - piece.fromC) / stepC;
  const i = Math.min(integral.length - 2, u | 0);
  const t = u - i;
  const a = integral[i]!;
  const d = integral[i + 1]! - a;
  const m0 = perHour[i]! * stepC;
  const m1 = perHour[i + 1]! * stepC;
  return a + t * (m0 + t * (3 * d - 2 * m0 - m1 + t * (m0 + m1 - 2 * d)));
}

/** Slope of the Hermite cubic: the rate. */
function rateIn(piece: Piece, tempC: number): number {
  const { stepC, integral, perHour } = piece.knots!;
  const u = (tempC - piece.fromC) / stepC;
  const i = Math.min(integral.length - 2, u | 0);
  const t = u - i;
  const m0 = perHour[i]!;
  const m1 = perHour[i + 1]!;
  const d = (integral[i + 1]! - integral[i]!) / stepC;
  return m0 + t * (2 * (3 * d - 2 * m0 - m1) + 3 * t * (m0 + m1 - 2 * d));
}

function pieceIndex(pieces: readonly Piece[], tempC: number): number {
  let i = 0;
  while (i < pieces.length - 1 && tempC >= pieces[i]!.toC) i++;
  return i;
}

/** Mean rate while the temperature runs linearly from one value to another, 1/h: exact, split at piece edges. */
export function meanRate(table: RateTable, fromC: number, toC: number): number {
  const { pieces } = table;
  const lowC = fromC < toC ? fromC : toC;
  const highC = fromC < toC ? toC : fromC;
  const i = pieceIndex(pieces, lowC);
  const piece = pieces[i]!;
  if (highC <= piece.toC) return meanInPiece(piece, lowC, highC);
  let sum = 0;
  let cursorC = lowC;
  for (let k = i; k < pieces.length && cursorC < highC; k++) {
    const end = Math.min(highC, pieces[k]!.toC);
    const mean = meanInPiece(pieces[k]!, cursorC, end);
    if (mean < 0) return UNKNOWN_RATE;
    sum += mean * (end - cursorC);
    cursorC = end;
  }
  return sum / (highC - lowC);
}

function meanInPiece(piece: Piece, lowC: number, highC: number): number {
  if (piece.kind === 'unknown') return UNKNOWN_RATE;
  if (piece.kind === 'constant') return piece.perHour;
  const widthC = highC - lowC;
  if (widthC < FLAT_C) return rateIn(piece, lowC + widthC / 2);
  return (integralTo(piece, highC) - integralTo(piece, lowC)) / widthC;
}
