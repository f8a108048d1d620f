import { parse } from 'csv-parse/browser/esm/sync';

/** Tabs before semicolons before commas: a file with one of the first two keeps its decimal commas. */
const delimiterOf = (text: string): string => (text.includes('\t') ? '\t' : text.includes(';') ? ';' : ',');

/** Pasted text or a file as rows of cells; rows may differ in length, and a stray quote is a letter like any other. */
export function cellsOf(text: string): string[][] {
  const options = {
    bom: true,
    delimiter: delimiterOf(text),
    relax_column_count: true,
    relax_quotes: true,
    skip_empty_lines: true,
    trim: true,
  } as const;
  try {
    return parse(text.trim(), options);
  } catch {
    // A quote that is never closed: an inch sign at the start of a cell.
    return parse(text.trim(), { ...options, quote: false });
  }
}
