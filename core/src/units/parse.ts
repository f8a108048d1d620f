import type { Failure } from '../base/failure.ts';
import { err, ok, type Result } from '../base/result.ts';
import { unitFor, type Dimension, type VolumeSystem } from './quantity.ts';

/** What a field expects: its dimension, the unit a bare number is taken in, and what is plausible there. */
export interface QuantityField {
  readonly field: string;
  readonly dimension: Dimension;
  /** Written unit for bare numbers, such as "C", "F", "um" or "mil". */
  readonly bareUnit: string;
  /** Impossible outside this, in the inner unit. */
  readonly min: number;
  readonly max: number;
  /** Implausible outside this, in the inner unit: a bare number there is asked about when `otherUnit` would be plausible. */
  readonly plausibleMin?: number;
  readonly plausibleMax?: number;
  readonly otherUnit?: string;
  readonly volumeSystem?: VolumeSystem;
}

export interface ParsedQuantity {
  /** In the dimension's inner unit. */
  readonly value: number;
  /** The unit as the person wrote it, or null when the number was bare. */
  readonly writtenUnit: string | null;
}

const NUMBER = /^([+\-−]?)\s*(?:(\d+)\s+(\d+)\/(\d+)|(\d+)\/(\d+)|(\d+(?:[.,]\d+)?|[.,]\d+))/u;
const VULGAR: Readonly<Record<string, string>> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅓': '1/3',
  '⅔': '2/3',
  '⅛': '1/8',
};

/** Reads "12.5", "1 1/2", "1½", "−3", "12,5"; gives the number and what follows it. Null when there is none. */
export function splitNumber(text: string): { readonly number: number; readonly rest: string } | null {
  const spaced = text
    .trim()
    .replace(/[½¼¾⅓⅔⅛]/gu, (c) => ` ${VULGAR[c] ?? ''}`)
    .trim();
  const m = NUMBER.exec(spaced);
  if (!m) return null;
  const [whole, sign, mixed, mixedTop, mixedBottom, top, bottom, decimal] = m;
  let number: number;
  if (mixed !== undefined) number = Number(mixed) + Number(mixedTop) / Number(mixedBottom);
  else if (top !== undefined) number = Number(top) / Number(bottom);
  else number = Number((decimal ?? '').replace(',', '.'));
  if (!Number.isFinite(number)) return null;
  return { number: sign === '-' || sign === '−' ? -number : number, rest: spaced.slice(whole.length).trim() };
}

/**
 * Reads a typed quantity into the inner unit. An explicit unit always converts ("72 F" in a °C field); a bare number
 * that is implausible in the page's unit but plausible in the other one is asked about, never guessed.
 */
export function parseQuantity(text: string, field: QuantityField): Result<ParsedQuantity> {
  const split = splitNumber(text);
  const accepts = [
    `12.5 ${field.bareUnit}`,
    ...(field.otherUnit === undefined ? [] : [`54 ${field.otherUnit}`]),
  ];
  if (!split) return err({ code: 'not-a-quantity', field: field.field, text, accepts } satisfies Failure);
  const system = field.volumeSystem ?? 'imperial';
  const written = split.rest === '' ? null : split.rest;
  const unit = unitFor(field.dimension, written ?? field.bareUnit, system);
  if (!unit) return err({ code: 'not-a-quantity', field: field.field, text, accepts } satisfies Failure);
  const value = split.number * unit.factor + unit.offset;
  if (written === null && isAmbiguous(split.number, value, field, system)) {
    return err({
      code: 'which-unit',
      field: field.field,
      text,
      choices: [field.bareUnit, field.otherUnit ?? ''],
    } satisfies Failure);
  }
  if (!(value >= field.min && value <= field.max)) {
    return err({
      code: 'out-of-range',
      field: field.field,
      got: value,
      min: field.min,
      max: field.max,
      unit: innerUnit(field.dimension),
    } satisfies Failure);
  }
  return ok({ value, writtenUnit: written });
}

function isAmbiguous(number: number, value: number, field: QuantityField, system: VolumeSystem): boolean {
  const { plausibleMin = -Infinity, plausibleMax = Infinity, otherUnit } = field;
  if (value >= plausibleMin && value <= plausibleMax) return false;
  const other = otherUnit === undefined ? null : unitFor(field.dimension, otherUnit, system);
  if (!other) return false;
  const inOther = number * other.factor + other.offset;
  return inOther >= plausibleMin && inOther <= plausibleMax;
}

/** The unit core uses for a dimension, as written for people. */
export function innerUnit(dimension: Dimension): string {
  const names: Record<Dimension, string> = {
    temperature: '°C',
    temperatureDifference: 'K',
    film: 'µm',
    length: 'm',
    area: 'm²',
    volume: 'L',
    mass: 'kg',
    percent: '%',
  };
  return names[dimension];
}
