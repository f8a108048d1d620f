import { UM_PER_MIL } from '../units/factors.ts';
import { splitNumber } from '../units/parse.ts';
import { THICKEST_READING_UM } from './kinds.ts';

/** Readings of a gauge's file or a pasted column. */
export interface GaugeRows {
  readonly readingsUm: readonly number[];
  /** Readings by spot where a column says which; else one spot a row. */
  readonly spotsUm: readonly (readonly number[])[];
  readonly unit: 'um' | 'mil';
  /** Lines that hold no reading, by their number from 1, and what they hold. */
  readonly skipped: readonly { readonly line: number; readonly text: string }[];
}
export type GaugeRefusal =
  | { readonly code: 'which-unit'; readonly example: number; readonly asUm: number; readonly asMilUm: number }
  | { readonly code: 'no-readings' }
  | { readonly code: 'too-thick'; readonly line: number; readonly gotUm: number; readonly maxUm: number };
export type GaugeAnswer =
  | { readonly ok: true; readonly value: GaugeRows }
  | { readonly ok: false; readonly error: GaugeRefusal };

const UNIT_WORDS: readonly (readonly [RegExp, 'um' | 'mil'])[] = [
  [/\b(mil|mils|thou)\b/i, 'mil'],
  [/µm|μm|\bum\b|\bmicrons?\b/i, 'um'],
];
const unitIn = (text: string): 'um' | 'mil' | null =>
  UNIT_WORDS.find(([pattern]) => pattern.test(text))?.[1] ?? null;
/** Headings of a column of readings, the surest first: a count is often headed "reading" too. */
const READING_HEADINGS = [/µm|μm|\bum\b|\bmils?\b|microns?/i, /thick|dft|film/i, /reading|value/i];
const SPOT_HEADING = /spot|location|area|group|batch no/i;

/**
 * Rows of cells (a file or a pasted column, already split) as readings. The unit is taken from the heading, from the
 * cells or from `unit`; without any it is asked, with what the first reading would be either way: never guessed.
 * A file says which column holds readings by its heading; without headings, the last column that is a number.
 */
export function readGaugeRows(
  rows: readonly (readonly string[])[],
  unit: 'um' | 'mil' | null = null,
): GaugeAnswer {
  const isHeading = (row: readonly string[]): boolean =>
    row.some((c) => /[a-zµμ]{2}/i.test(c)) && !row.some((c) => splitNumber(c) !== null);
  const headingAt = rows.findIndex(isHeading);
  const heading = headingAt >= 0 ? rows[headingAt]! : [];
  const column =
    READING_HEADINGS.map((p) => heading.findIndex((h) => p.test(h) && !SPOT_HEADING.test(h))).find(
      (i) => i >= 0,
    ) ?? -1;
  const spotColumn = heading.findIndex((h) => SPOT_HEADING.test(h));
  const read: { line: number; number: number; spot: string }[] = [];
  const skipped: { line: number; text: string }[] = [];
  const found = unit ?? rows.map((r) => unitIn(r.join(' '))).find((u) => u !== null) ?? null;
  rows.forEach((row, i) => {
    if (i === headingAt || row.every((c) => c.trim() === '')) return;
    const cell = column >= 0 ? row[column] : row.findLast((c) => splitNumber(c) !== null);
    const split = cell === undefined ? null : splitNumber(cell);
    if (split === null || split.number < 0 || (split.rest !== '' && unitIn(split.rest) === null)) {
      skipped.push({ line: i + 1, text: row.join(' ').trim().slice(0, 60) });
      return;
    }
    read.push({
      line: i + 1,
      number: split.number,
      spot: spotColumn >= 0 ? (row[spotColumn] ?? '') : String(i),
    });
  });
  const first = read[0];
  if (!first) return { ok: false, error: { code: 'no-readings' } };
  if (found === null)
    return {
      ok: false,
      error: {
        code: 'which-unit',
        example: first.number,
        asUm: first.number,
        asMilUm: first.number * UM_PER_MIL,
      },
    };
  const factor = found === 'mil' ? UM_PER_MIL : 1;
  const spots = new Map<string, number[]>();
  const readingsUm: number[] = [];
  for (const r of read) {
    const um = r.number * factor;
    if (um > THICKEST_READING_UM)
      return { ok: false, error: { code: 'too-thick', line: r.line, gotUm: um, maxUm: THICKEST_READING_UM } };
    readingsUm.push(um);
    spots.set(r.spot, [...(spots.get(r.spot) ?? []), um]);
  }
  return { ok: true, value: { readingsUm, spotsUm: [...spots.values()], unit: found, skipped } };
}
