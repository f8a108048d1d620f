import { parseQuantity, splitNumber, type QuantityField } from '@calvetta/core';
import { failureWords } from './failureWords.ts';

/** A typed field as its value, or what is wrong with it and what would be accepted. */
export type Read<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly problem: string };
/** How a field is read. */
export type Reader<T> = (text: string) => Read<T>;

const good = <T>(value: T): Read<T> => ({ ok: true, value });
const bad = (problem: string): Read<never> => ({ ok: false, problem });

/** Words, trimmed; empty is refused. */
export const words: Reader<string> = (text) =>
  text.trim() === '' ? bad('This is needed.') : good(text.trim());

/** A bare number, point or comma, from `min` to `max`; `unit` is what the field says it is in. */
export const number =
  (unit: string, min: number, max: number): Reader<number> =>
  (text) => {
    const n = splitNumber(text);
    if (!n || n.rest !== '')
      return bad(`Write a number${unit === '' ? '' : ` of ${unit}`}, such as ${min + 1}.`);
    return n.number >= min && n.number <= max
      ? good(n.number)
      : bad(`${n.number} ${unit} is outside ${min} to ${max} ${unit}.`.replaceAll('  ', ' '));
  };

/** Money of one thing, in the currency's smallest coin, of which `coins` make one. */
export const price =
  (coins: number): Reader<number> =>
  (text) => {
    const n = splitNumber(text);
    return n && n.rest === '' && n.number >= 0 && n.number <= 1e6
      ? good(Math.round(n.number * coins))
      : bad(`Write a price, such as ${coins === 1 ? '2450' : '24.50'}.`);
  };

/** A quantity with or without its unit, in the inner unit of its dimension times `per`. */
export const quantity =
  (field: QuantityField, per = 1): Reader<number> =>
  (text) => {
    const r = parseQuantity(text, field);
    return r.ok ? good(r.value.value * per) : bad(failureWords(r.error));
  };

/** Empty is allowed and means not known. */
export const maybe =
  <T>(reader: Reader<T>): Reader<T | null> =>
  (text) =>
    text.trim() === '' ? good(null) : reader(text);

/** Any text as it stands: choices, dates. */
export const asIs: Reader<string> = good;
