import type { FactKind } from '@calvetta/core';

/** Something that can be found: a part, a machine, a tin, a rule, a person, a place, a product. */
export interface Findable {
  readonly what: string;
  readonly name: string;
  /** Beside its name: where it is, what it is. */
  readonly beside: string;
  /** Words it is found by, beyond its name and what stands beside. */
  readonly also?: string;
  readonly to: string;
  /** A part, of which an act may be asked for. */
  readonly partId?: string;
}
export interface Found {
  readonly item: Findable;
  /** The act that was asked for, with the word it was asked by: “coat buffer beam”. */
  readonly act: { readonly kind: FactKind; readonly word: string } | null;
}

/** What people call an act, before the name of a part. */
const ACTS: Readonly<Record<string, FactKind>> = {
  coat: 'coated',
  paint: 'coated',
  spray: 'coated',
  strip: 'stripped',
  blast: 'stripped',
  move: 'moved',
  send: 'sent',
  back: 'came-back',
  wipe: 'wiped',
  degrease: 'degreased',
  abrade: 'abraded',
  sand: 'abraded',
  test: 'tested',
  note: 'noted',
  log: 'noted',
};

const low = (text: string): string => text.toLowerCase();
const hayOf = (i: Findable): string => low(`${i.name} ${i.beside} ${i.also ?? ''} ${i.what}`);
/** What begins with the words comes first, then what has most of them in its name. */
const rank = (i: Findable, words: readonly string[]): number =>
  low(i.name).startsWith(words.join(' ')) ? -1 : words.filter((w) => !low(i.name).includes(w)).length;

function matches(items: readonly Findable[], words: readonly string[], act: Found['act']): Found[] {
  if (words.length === 0) return [];
  return items
    .filter((i) => (act === null || i.partId !== undefined) && words.every((w) => hayOf(i).includes(w)))
    .map((item) => ({ item, act, rank: rank(item, words) }))
    .sort((a, b) => a.rank - b.rank)
    .map(({ item, act: of }) => ({ item, act: of }));
}

/** Everything with all the words in it, nearest first; an act before the name of a part is that act on it. Pure. */
export function find(items: readonly Findable[], text: string): Found[] {
  const words = low(text).split(/\s+/).filter(Boolean);
  const [word = ''] = words;
  const kind = ACTS[word];
  const asked = kind ? matches(items, words.slice(1), { kind, word }) : [];
  return [...asked, ...matches(items, words, null)];
}
