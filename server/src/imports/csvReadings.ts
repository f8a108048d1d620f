import { parse } from 'csv-parse';
import {
  instantFrom,
  instantsOf,
  isTime,
  parseQuantity,
  type QuantityField,
  type WrittenTime,
} from '@calvetta/core';
import type { ImportProblem } from '@calvetta/contract';
import { READING_RANGE } from '@calvetta/contract/schemas';

/** A reading read from a line, or what is wrong with that line. */
export type CsvRow =
  | {
      readonly ok: true;
      readonly line: number;
      readonly atMs: number;
      readonly airC: number;
      readonly rhPct: number;
      readonly surfaceC: number | null;
    }
  | { readonly ok: false; readonly problem: ImportProblem };

/** Which column holds what, and in which unit its bare numbers are. */
export interface Columns {
  readonly time: number;
  readonly air: number;
  readonly rh: number;
  readonly surface: number | null;
  /** Cells of the heading: a row with more of them has something torn apart. */
  readonly count: number;
  readonly airUnit: 'C' | 'F';
  readonly surfaceUnit: 'C' | 'F';
}

/** The delimiter of a heading line: the commonest of semicolon, tab and comma; a semicolon file has decimal commas. */
export function delimiterOf(heading: string): ';' | '\t' | ',' {
  const count = (c: string): number => heading.split(c).length - 1;
  if (count(';') > 0) return ';';
  return count('\t') > 0 ? '\t' : ',';
}

const unitOf = (heading: string): 'C' | 'F' => (/(°|_|\(|\b)f\b|fahrenheit/i.test(heading) ? 'F' : 'C');

/** Finds the columns by their headings; null when time, air or humidity is missing. */
export function columnsOf(headings: readonly string[]): Columns | null {
  const find = (pattern: RegExp): number => headings.findIndex((h) => pattern.test(h.trim()));
  const time = find(/^(time|date|at\b|timestamp|zeit|when)/i);
  const surface = find(/^(surface|part|metal)/i);
  const air = headings.findIndex((h, i) => i !== surface && /^(air|temp)/i.test(h.trim()));
  const rh = find(/^(rh|humid|relative)/i);
  if (time < 0 || air < 0 || rh < 0) return null;
  return {
    time,
    air,
    rh,
    surface: surface < 0 ? null : surface,
    count: headings.length,
    airUnit: unitOf(headings[air]!),
    surfaceUnit: surface < 0 ? 'C' : unitOf(headings[surface]!),
  };
}

/** A day first or last in the year, then the time of day, with or without seconds. */
const LOCAL_FORMATS = [
  /^(?<year>\d{4})-(?<month>\d\d)-(?<day>\d\d)[ T](?<hour>\d\d):(?<minute>\d\d)(?::(?<second>\d\d))?$/,
  /^(?<day>\d\d)\.(?<month>\d\d)\.(?<year>\d{4}) (?<hour>\d\d):(?<minute>\d\d)(?::(?<second>\d\d))?$/,
];
function writtenTime(text: string): WrittenTime | null {
  const g = LOCAL_FORMATS.map((f) => f.exec(text)?.groups).find((x) => x !== undefined);
  if (!g) return null;
  const n = (name: string): number => Number(g[name] ?? 0);
  const t = { year: n('year'), month: n('month'), day: n('day'), hour: n('hour'), minute: n('minute') };
  const written = { ...t, second: n('second') };
  return isTime(written) ? written : null;
}
const ACCEPTS_TIME = '2026-03-05 18:40, 05.03.2026 18:40, or with its offset 2026-03-05T18:40:00+01:00';

export type ReadTime =
  | { readonly ok: true; readonly atMs: number }
  | {
      readonly ok: false;
      readonly code: 'not-a-time' | 'no-such-local-time' | 'which-hour';
      readonly accepts: string;
    };

/**
 * A time as written. With an offset it is exact; without, it is local to the workshop. The hour that repeats when
 * clocks go back is resolved by row order, ascending or descending; a file that starts inside it is asked for offsets.
 */
export function readTime(
  text: string,
  zone: string,
  previousMs: number | null,
  isDescending = false,
): ReadTime {
  const t = text.trim();
  const none = { ok: false, code: 'not-a-time', accepts: ACCEPTS_TIME } as const;
  if (/(Z|[+-]\d\d:?\d\d)$/.test(t)) {
    const exact = instantFrom(withSeconds(t.replace(' ', 'T')));
    return exact === null ? none : { ok: true, atMs: exact };
  }
  const written = writtenTime(t);
  if (!written) return none;
  const options = instantsOf(zone, written);
  const [first, last] = [options[0], options[options.length - 1]];
  if (first === undefined || last === undefined)
    return {
      ok: false,
      code: 'no-such-local-time',
      accepts: 'a time that existed: the clocks went forward over this one',
    };
  if (first === last) return { ok: true, atMs: first };
  if (previousMs === null)
    return {
      ok: false,
      code: 'which-hour',
      accepts: 'the offset with it (this hour came twice), such as 2026-10-25T02:30:00+02:00',
    };
  if (isDescending) return { ok: true, atMs: options.findLast((o) => o < previousMs) ?? first };
  return { ok: true, atMs: options.find((o) => o > previousMs) ?? last };
}
/** Loggers leave out seconds, and the colon of the offset. */
const withSeconds = (t: string): string =>
  t.replace(/T(\d\d:\d\d)(Z|[+-])/, 'T$1:00$2').replace(/([+-]\d\d)(\d\d)$/, '$1:$2');

const field = (name: keyof typeof READING_RANGE, unit: 'C' | 'F' | '%'): QuantityField => ({
  field: name,
  dimension: unit === '%' ? 'percent' : 'temperature',
  bareUnit: unit,
  min: READING_RANGE[name][0],
  max: READING_RANGE[name][1],
});

function readNumber(text: string, f: QuantityField): { value: number } | { code: string; accepts: string } {
  const r = parseQuantity(text, f);
  if (r.ok) return { value: r.value.value };
  const e = r.error;
  if (e.code === 'out-of-range') return { code: e.code, accepts: `${e.min} to ${e.max} ${e.unit}` };
  return {
    code: e.code,
    accepts: `a number in ${f.bareUnit === '%' ? '%' : `°${f.bareUnit}`}, such as 12.5`,
  };
}

/** What came before a row: its instant, and which way the file runs. */
export interface Before {
  readonly atMs: number | null;
  readonly isDescending: boolean;
}

/** One record of the file as a reading or a problem. */
export function readRow(
  cells: readonly string[],
  columns: Columns,
  zone: string,
  before: Before,
  line: number,
): CsvRow {
  const bad = (f: string, code: string, got: string, accepts: string): CsvRow => ({
    ok: false,
    problem: { line, field: f, code, got: got.slice(0, 60), accepts },
  });
  if (cells.slice(columns.count).some((c) => c.trim() !== ''))
    return bad(
      'row',
      'more-cells',
      cells.join(','),
      `${columns.count} cells, as the heading has: numbers with a decimal comma need quotes, or semicolons between the cells`,
    );
  const timeText = cells[columns.time] ?? '';
  const time = readTime(timeText, zone, before.atMs, before.isDescending);
  if (!time.ok) return bad('time', time.code, timeText, time.accepts);
  const values: Partial<Record<'airC' | 'rhPct' | 'surfaceC', number>> = {};
  for (const [name, index, unit] of [
    ['airC', columns.air, columns.airUnit],
    ['rhPct', columns.rh, '%'],
    ['surfaceC', columns.surface, columns.surfaceUnit],
  ] as const) {
    const text = index === null ? '' : (cells[index] ?? '').trim();
    if (name === 'surfaceC' && text === '') continue;
    const n = readNumber(text, field(name, unit));
    if (!('value' in n)) return bad(name, n.code, text, n.accepts);
    values[name] = n.value;
  }
  return {
    ok: true,
    line,
    atMs: time.atMs,
    airC: values.airC!,
    rhPct: values.rhPct!,
    surfaceC: values.surfaceC ?? null,
  };
}

/** Reads a CSV stream row by row: BOM, semicolons, tabs, decimal commas and quoted cells are understood. Null heading: unreadable. */
export async function* readCsv(
  source: NodeJS.ReadableStream,
  heading: string,
  zone: string,
  onBytes: (bytes: number) => void = () => undefined,
): AsyncGenerator<CsvRow | { readonly ok: null }> {
  const parser = source.pipe(
    parse({
      bom: true,
      delimiter: delimiterOf(heading),
      relax_column_count: true,
      skip_empty_lines: true,
      trim: true,
      info: true,
      // A quote that is never closed would take the rest of the file for one cell.
      max_record_size: 20_000,
    }),
  );
  // Only now: a listener attached before the pipe would start the flow and lose the first chunk.
  source.on('data', (chunk: Buffer | string) => onBytes(chunk.length));
  let columns: Columns | null = null;
  let before: Before = { atMs: null, isDescending: false };
  let line = 1;
  try {
    for await (const item of parser as AsyncIterable<{ record: string[]; info: { lines: number } }>) {
      line = item.info.lines;
      if (!columns) {
        columns = columnsOf(item.record);
        if (!columns) {
          yield { ok: null };
          return;
        }
        continue;
      }
      const row = readRow(item.record, columns, zone, before, line);
      if (row.ok) before = { atMs: row.atMs, isDescending: before.atMs !== null && row.atMs < before.atMs };
      yield row;
    }
  } catch (error) {
    // What the parser had read ahead of the torn place is gone with it: said is the line up to which rows were handed on.
    if (!String((error as { readonly code?: unknown }).code).startsWith('CSV_')) throw error;
    const accepts =
      'quotes in pairs: one further down is never closed. The rows before this line are stored, from it on they are not';
    yield { ok: false, problem: { line: line + 1, field: 'row', code: 'torn', got: '', accepts } };
  }
}
