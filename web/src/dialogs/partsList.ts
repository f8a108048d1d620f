import {
  kindsFor,
  metalOf,
  parseQuantity,
  SUBSTRATES,
  type PartKind,
  type PatternPart,
  type Substrate,
  type UsualSize,
} from '@calvetta/core';
import { cellsOf } from './cells.ts';
import type { NewPart } from '@calvetta/contract/schemas';
import { KIND_WORDS, SUBSTRATE_WORDS } from '@calvetta/contract/words';

/** What a column of a pasted list may hold. */
export const LIST_COLUMNS = [
  'name',
  'assembly',
  'metal',
  'kind',
  'quantity',
  'massKg',
  'areaM2',
  'thicknessMm',
  'faces',
  'colour',
  'place',
  'ignore',
] as const;
export type ListColumn = (typeof LIST_COLUMNS)[number];
export const LIST_COLUMN_WORDS: Readonly<Record<ListColumn, string>> = {
  name: 'name',
  assembly: 'assembly',
  metal: 'metal',
  kind: 'kind',
  quantity: 'how many',
  massKg: 'mass, kg',
  areaM2: 'area, m²',
  thicknessMm: 'thickness, mm',
  faces: 'faces',
  colour: 'colour',
  place: 'place',
  ignore: '(not used)',
};

const GUESSES: readonly (readonly [RegExp, ListColumn])[] = [
  [/assembl|group|unit/i, 'assembly'],
  [/metal|material|substrate/i, 'metal'],
  [/kind|type|what it is/i, 'kind'],
  [/qty|quant|how many|number|^no\.?$|count|pcs/i, 'quantity'],
  [/mass|weight|kg/i, 'massKg'],
  [/area|m²|m2|surface/i, 'areaM2'],
  [/thick|mm|gauge/i, 'thicknessMm'],
  [/face|side/i, 'faces'],
  [/colou?r/i, 'colour'],
  [/place|where|stands|location/i, 'place'],
  [/name|part|item|descr/i, 'name'],
];

export interface ReadList {
  readonly headings: readonly string[];
  readonly rows: readonly (readonly string[])[];
  readonly columns: readonly ListColumn[];
  readonly hasHeading: boolean;
  /** As they were pasted, the heading among them. */
  readonly lines: readonly string[];
}

/** Splits pasted text (tabs, semicolons or commas) and guesses what each column is; a first row without a known heading is data. */
export function readList(text: string): ReadList {
  const data = cellsOf(text);
  const lines = text.split(/\r?\n/).filter((l) => l.trim() !== '');
  const first = data[0] ?? [];
  const guessed = guess(first);
  const hasHeading = guessed.includes('name') || guessed.filter((c) => c !== 'ignore').length > 1;
  const width = Math.max(0, ...data.map((r) => r.length));
  const headings = hasHeading ? first : Array.from({ length: width }, (_, i) => `column ${i + 1}`);
  return {
    headings,
    hasHeading,
    // A cell that holds a line break of its own: the rows as they were read.
    lines: lines.length === data.length ? lines : data.map((r) => r.join('\t')),
    rows: hasHeading ? data.slice(1) : data,
    columns: hasHeading ? guessed : headings.map((_, i) => (i === 0 ? 'name' : 'ignore')),
  };
}

/** What the cells of a typed row are, each by itself and in any order: the first is the name. */
export const typedColumns = (cells: readonly string[]): ListColumn[] =>
  cells.map((c, i) => (i === 0 ? 'name' : byContents(c.trim())));

function byContents(cell: string): ListColumn {
  if (/^\d+ ?(off|x|pcs?)$/i.test(cell)) return 'quantity';
  if (/\d\s*(kg|lbs?)$/i.test(cell)) return 'massKg';
  if (/\d\s*(m2|m²|ft2|ft²)$/i.test(cell)) return 'areaM2';
  if (/\d\s*(mm|in|")$/i.test(cell)) return 'thicknessMm';
  // Whatever else is said of it: a metal that is not known is asked about.
  return cell === '' ? 'ignore' : 'metal';
}

function guess(headings: readonly string[]): ListColumn[] {
  const taken = new Set<ListColumn>();
  return headings.map((h) => {
    // “24 kg” is no heading, though it says kg.
    const isFigure = /^[\d.,]/.test(h.trim());
    const found =
      (isFigure ? undefined : GUESSES.find(([pattern, c]) => pattern.test(h) && !taken.has(c))?.[1]) ??
      'ignore';
    if (found !== 'ignore') taken.add(found);
    return found;
  });
}

/** A row that was understood: one part, or as many alike as it says. */
export type ListRow =
  | { readonly ok: true; readonly row: number; readonly parts: readonly Draft[] }
  | {
      readonly ok: false;
      readonly row: number;
      readonly column: ListColumn;
      readonly got: string;
      readonly accepts: string;
    };
/** A part before it has an id, and where it stands, where that is said. */
export type Draft = Omit<NewPart, 'partId' | 'pairPartId'> & {
  readonly placeId?: string;
  /** What of its size nobody said and is as usual for its kind here. */
  readonly usual?: {
    readonly kind: PartKind;
    readonly of: readonly ('massKg' | 'areaM2')[];
    readonly parts: number;
  };
};

const METALS = SUBSTRATES.map((s) => SUBSTRATE_WORDS[s]).join(', ');
/** As many alike in one row. */
const MOST_ALIKE = 100;

interface Chosen {
  /** The metal a person set for the row, where its words were not understood or were wrong. */
  readonly metal?: Substrate | undefined;
  /** Where the list says no assembly. */
  readonly assembly?: string;
  readonly places?: readonly { readonly placeId: string; readonly name: string }[];
  /** What parts of a kind weigh and measure here. */
  readonly sizes?: readonly UsualSize[];
}

/** A row as parts, or what is wrong with it and what would be accepted. Empty figures are not known. */
export function readRow(
  cells: readonly string[],
  columns: readonly ListColumn[],
  row: number,
  { metal: chosen, assembly = 'Parts', places = [], sizes = [] }: Chosen = {},
): ListRow {
  const cell = (c: ListColumn): string => {
    const i = columns.indexOf(c);
    return i < 0 ? '' : (cells[i] ?? '').trim();
  };
  const bad = (column: ListColumn, accepts: string): ListRow => ({
    ok: false,
    row,
    column,
    got: cell(column),
    accepts,
  });
  if (cell('name') === '') return bad('name', 'a name');
  const substrate = chosen ?? metalOf(cell('metal'));
  if (!substrate) return bad('metal', `${METALS}, or a common word such as mild steel, ally or cast`);
  const quantity = cell('quantity') === '' ? 1 : Number(cell('quantity').replace(/ ?(off|pcs?|x)$/i, ''));
  if (!Number.isInteger(quantity) || quantity < 1 || quantity > MOST_ALIKE)
    return bad('quantity', `a whole number from 1 to ${MOST_ALIKE}`);
  const figures = { massKg: null, areaM2: null, thicknessMm: null } as Record<Figure, number | null>;
  for (const [name, dimension, bareUnit, max] of FIGURES) {
    if (cell(name) === '') continue;
    const r = parseQuantity(cell(name), { field: name, dimension, bareUnit, min: 1e-7, max });
    if (!r.ok) return bad(name, `a figure above 0, such as 12.5 ${bareUnit}`);
    // Lengths are metres inside.
    figures[name] = name === 'thicknessMm' ? r.value.value * 1000 : r.value.value;
  }
  const place = cell('place') === '' ? undefined : placeBy(cell('place'), places);
  if (cell('place') !== '' && !place)
    return bad('place', places.length === 0 ? 'nothing yet: no place is made' : listWords(places));
  const kind = cell('kind') === '' ? null : (kindsFor(cell('kind'), substrate, KIND_WORDS)[0] ?? null);
  if (cell('kind') !== '' && !kind) return bad('kind', Object.values(KIND_WORDS).slice(0, -1).join(', '));
  const size = sizes.find((s) => s.kind === kind);
  const of = (['massKg', 'areaM2'] as const).filter((f) => figures[f] === null && size?.[f] != null);
  for (const f of of) figures[f] = size![f];
  const name = cell('name').slice(0, 110);
  const one: Draft = {
    name,
    assemblyName: cell('assembly') || assembly,
    substrate,
    faces: cell('faces') === '2' ? 2 : 1,
    colourGroup: cell('colour') === '' ? null : cell('colour').slice(0, 60),
    ...figures,
    ...(place ? { placeId: place.placeId } : {}),
    ...(size && of.length > 0 ? { usual: { kind: size.kind, of, parts: size.parts } } : {}),
  };
  return {
    ok: true,
    row,
    parts:
      quantity === 1
        ? [one]
        : Array.from({ length: quantity }, (_, i) => ({ ...one, name: `${name} ${i + 1}` })),
  };
}
type Figure = 'massKg' | 'areaM2' | 'thicknessMm';
const FIGURES = [
  ['massKg', 'mass', 'kg', 200_000],
  ['areaM2', 'area', 'm2', 10_000],
  ['thicknessMm', 'length', 'mm', 1],
] as const;

/** A place by its name, or by words that only one of them has. */
function placeBy<P extends { readonly name: string }>(text: string, places: readonly P[]): P | undefined {
  const said = sameWords(text);
  const some = places.filter((p) => sameWords(p.name).includes(said));
  return places.find((p) => sameWords(p.name) === said) ?? (some.length === 1 ? some[0] : undefined);
}

/** What of a part's size is only as usual, in words. */
export const usualWords = ({ of, kind, parts }: NonNullable<Draft['usual']>): string =>
  `${of.length === 2 ? 'mass and area' : of[0] === 'massKg' ? 'mass' : 'area'} as usual here for: ${KIND_WORDS[kind]} (${parts} parts)`;

const listWords = (places: readonly { readonly name: string }[]): string =>
  places.map((p) => p.name).join(', ');
const sameWords = (text: string): string => text.trim().toLowerCase().replaceAll(/\s+/g, ' ');
/** A part of a machine by its words: written otherwise it is the same. */
export const keyOf = (assembly: string, name: string): string => `${sameWords(assembly)}\n${sameWords(name)}`;
/** The other hand's name; null for a part that has none. */
function otherHand(name: string): string | null {
  const m = /\b(left|right|l\.?h\.?|r\.?h\.?)(?![a-z])/i.exec(name);
  if (!m) return null;
  const word = m[0].toLowerCase();
  const other = word.startsWith('l')
    ? { left: 'right', lh: 'rh', 'l.h.': 'r.h.' }
    : { right: 'left', rh: 'lh', 'r.h.': 'l.h.' };
  const put = (other as Record<string, string>)[word];
  return put === undefined ? null : name.slice(0, m.index) + put + name.slice(m.index + m[0].length);
}

/** What stands in the machine already, by assembly and name. */
export interface Known {
  readonly partId: string;
  readonly name: string;
  readonly assemblyName: string;
}

/** What of a new part's size nobody said. */
export interface ListGuessed {
  readonly partId: string;
  readonly name: string;
  readonly words: string;
}
/** Where a new part stands. */
export interface ListPlaced {
  readonly partId: string;
  readonly name: string;
  readonly placeId: string;
}

/** The parts of an assembly as a list that can be typed in: what another is made like, to be changed where it differs. */
export function listLike(
  pattern: readonly PatternPart[],
  assemblyName: string,
  places: readonly { readonly placeId: string; readonly name: string }[],
): string {
  const figure = (x: number | null): string => (x === null ? '' : String(Number(x.toPrecision(4))));
  const rows = pattern.map(({ row, placeId }) => [
    row.name,
    assemblyName,
    SUBSTRATE_WORDS[row.substrate],
    figure(row.massKg),
    figure(row.areaM2),
    figure(row.thicknessMm),
    String(row.faceCount),
    row.colourGroup ?? '',
    places.find((p) => p.placeId === placeId)?.name ?? '',
  ]);
  const head = [
    'name',
    'assembly',
    'metal',
    'mass, kg',
    'area, m²',
    'thickness, mm',
    'faces',
    'colour',
    'place',
  ];
  return [head, ...rows].map((r) => r.join('\t')).join('\n');
}

/**
 * The parts of a list that are new to the machine, each with its id and its left or right hand by name. Pasting the mended list
 * again adds only what is new.
 */
export function newOnes(
  drafts: readonly Draft[],
  known: readonly Known[],
  idOf: (i: number) => string,
): {
  readonly parts: NewPart[];
  readonly known: number;
  readonly placed: readonly ListPlaced[];
  readonly guessed: readonly ListGuessed[];
} {
  const there = new Map(known.map((k) => [keyOf(k.assemblyName, k.name), k.partId]));
  const fresh: { readonly draft: Draft; readonly partId: string }[] = [];
  drafts.forEach((draft, i) => {
    const key = keyOf(draft.assemblyName, draft.name);
    if (there.has(key)) return;
    const partId = idOf(i);
    there.set(key, partId);
    fresh.push({ draft, partId });
  });
  const parts = fresh.map(({ draft: { placeId: _, usual: _usual, ...draft }, partId }): NewPart => {
    const other = otherHand(draft.name);
    return {
      ...draft,
      partId,
      pairPartId: other === null ? null : (there.get(keyOf(draft.assemblyName, other)) ?? null),
    };
  });
  const placed = fresh.flatMap(({ draft: { placeId, name }, partId }) =>
    placeId === undefined ? [] : [{ partId, name, placeId }],
  );
  const guessed = fresh.flatMap(({ draft: { usual, name }, partId }) =>
    usual === undefined ? [] : [{ partId, name, words: usualWords(usual) }],
  );
  return { parts, known: drafts.length - parts.length, placed, guessed };
}
