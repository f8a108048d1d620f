import { parseQuantity, SUBSTRATES, type Substrate } from '@calvetta/core';
import { cellsOf } from './cells.ts';
import type { NewPart } from '@calvetta/contract/schemas';
import { SUBSTRATE_WORDS } from '@calvetta/contract/words';

/** What a column of a pasted list may hold. */
export const LIST_COLUMNS = [
  'name',
  'assembly',
  'metal',
  'massKg',
  'areaM2',
  'thicknessMm',
  'faces',
  'ignore',
] as const;
export type ListColumn = (typeof LIST_COLUMNS)[number];
export const LIST_COLUMN_WORDS: Readonly<Record<ListColumn, string>> = {
  name: 'name',
  assembly: 'assembly',
  metal: 'metal',
  massKg: 'mass, kg',
  areaM2: 'area, m²',
  thicknessMm: 'thickness, mm',
  faces: 'faces',
  ignore: '(not used)',
};

const GUESSES: readonly (readonly [RegExp, ListColumn])[] = [
  [/assembl|group|unit/i, 'assembly'],
  [/metal|material|substrate/i, 'metal'],
  [/mass|weight|kg/i, 'massKg'],
  [/area|m²|m2|surface/i, 'areaM2'],
  [/thick|mm|gauge/i, 'thicknessMm'],
  [/face|side/i, 'faces'],
  [/name|part|item|descr/i, 'name'],
];

export interface ReadList {
  readonly headings: readonly string[];
  readonly rows: readonly (readonly string[])[];
  readonly columns: readonly ListColumn[];
}

/** Splits pasted text (tabs, semicolons or commas) and guesses what each column is; a first row without a known heading is data. */
export function readList(text: string): ReadList {
  const data = cellsOf(text);
  const first = data[0] ?? [];
  const guessed = guess(first);
  const hasHeading = guessed.includes('name') || guessed.filter((c) => c !== 'ignore').length > 1;
  const width = Math.max(0, ...data.map((r) => r.length));
  const headings = hasHeading ? first : Array.from({ length: width }, (_, i) => `column ${i + 1}`);
  return {
    headings,
    rows: hasHeading ? data.slice(1) : data,
    columns: hasHeading ? guessed : headings.map((_, i) => (i === 0 ? 'name' : 'ignore')),
  };
}

function guess(headings: readonly string[]): ListColumn[] {
  const taken = new Set<ListColumn>();
  return headings.map((h) => {
    const found = GUESSES.find(([pattern, c]) => pattern.test(h) && !taken.has(c))?.[1] ?? 'ignore';
    if (found !== 'ignore') taken.add(found);
    return found;
  });
}

export type ListRow =
  | { readonly ok: true; readonly part: NewPart }
  | {
      readonly ok: false;
      readonly row: number;
      readonly column: ListColumn;
      readonly got: string;
      readonly accepts: string;
    };

const METALS: ReadonlyMap<string, Substrate> = new Map([
  ...SUBSTRATES.map((s) => [s, s] as const),
  ...SUBSTRATES.map((s) => [SUBSTRATE_WORDS[s].toLowerCase(), s] as const),
  ['cast iron', 'grey-iron'],
  ['plate', 'steel-plate'],
  ['sheet', 'steel-sheet'],
  ['steel', 'steel-plate'],
  ['aluminium', 'aluminium-wrought'],
  ['aluminum', 'aluminium-wrought'],
  ['brass', 'copper-alloy'],
  ['bronze', 'copper-alloy'],
  ['grp', 'glass-fibre'],
]);

/** A row as a part, or what is wrong with it and what would be accepted. Empty figures are not known. */
export function readPart(
  cells: readonly string[],
  columns: readonly ListColumn[],
  row: number,
  newId: () => string,
): ListRow {
  const cell = (c: ListColumn): string => {
    const i = columns.indexOf(c);
    return i < 0 ? '' : (cells[i] ?? '').trim();
  };
  const bad = (column: ListColumn, got: string, accepts: string): ListRow => ({
    ok: false,
    row,
    column,
    got,
    accepts,
  });
  if (cell('name') === '') return bad('name', '', 'a name');
  const metal = METALS.get(cell('metal').toLowerCase());
  if (!metal) return bad('metal', cell('metal'), [...SUBSTRATES.map((s) => SUBSTRATE_WORDS[s])].join(', '));
  const figures: { massKg: number | null; areaM2: number | null; thicknessMm: number | null } = {
    massKg: null,
    areaM2: null,
    thicknessMm: null,
  };
  for (const [name, dimension, bareUnit, max] of [
    ['massKg', 'mass', 'kg', 200_000],
    ['areaM2', 'area', 'm2', 10_000],
    ['thicknessMm', 'length', 'mm', 1],
  ] as const) {
    const text = cell(name);
    if (text === '') continue;
    const r = parseQuantity(text, { field: name, dimension, bareUnit, min: 1e-7, max });
    if (!r.ok) return bad(name, text, `a figure above 0, such as 12.5 ${bareUnit}`);
    // Lengths are metres inside.
    figures[name] = name === 'thicknessMm' ? r.value.value * 1000 : r.value.value;
  }
  const faces = cell('faces') === '2' ? 2 : 1;
  return {
    ok: true,
    part: {
      partId: newId(),
      name: cell('name').slice(0, 120),
      assemblyName: cell('assembly') || 'Parts',
      substrate: metal,
      faces,
      ...figures,
    },
  };
}
