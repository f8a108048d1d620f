import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { create, type Font } from 'fontkit';
import { sfntOf } from './sfnt.ts';

/**
 * Fonts of a document, and which of them can draw what. They ship with the program as static files; a letter that none of them has is
 * written in letters that they have, so that no figure ever comes out as an empty box.
 */
const WEIGHTS = {
  text: ['atkinson-hyperlegible-next', '400'],
  bold: ['atkinson-hyperlegible-next', '700'],
  figure: ['barlow-semi-condensed', '500'],
  strong: ['barlow-semi-condensed', '600'],
} as const;
export type Style = keyof typeof WEIGHTS;

interface Face {
  readonly name: string;
  readonly file: Buffer;
  readonly font: Font;
}
const { resolve } = createRequire(import.meta.url);
/** Read once, for every document to come. */
const known = new Map<string, Face>();
function faceOf(family: string, weight: string, subset: string): Face {
  const name = `${family}-${subset}-${weight}`;
  let face = known.get(name);
  if (!face) {
    const file = sfntOf(readFileSync(resolve(`@fontsource/${family}/files/${name}-normal.woff`)));
    // Collections are no single font; these are none.
    face = { name, file, font: create(file) as Font };
    known.set(name, face);
  }
  return face;
}

/** Letters that no font here has, in letters that all have. */
const SPELT: Readonly<Record<string, string>> = {
  '≤': 'at most ',
  '≥': 'at least ',
  '→': '-',
  '✓': 'yes',
  '✗': 'no',
  '‰': ' per mille',
  '№': 'No.',
  Ω: 'ohm',
  τ: 'tau',
  ρ: 'rho',
  '∫': 'integral of ',
  '∅': '⌀',
  '⌀': 'dia. ',
  '\u00A0': ' ',
  '\u202F': ' ',
  '\u2009': ' ',
};

export interface Run {
  readonly font: string;
  readonly text: string;
}
export class Fonts {
  private readonly chains: Readonly<Record<Style, readonly Face[]>>;
  constructor() {
    const chain = (style: Style): Face[] => {
      const [family, weight] = WEIGHTS[style];
      const [otherFamily, otherWeight] =
        WEIGHTS[style === 'text' || style === 'figure' ? 'figure' : 'strong'];
      return [
        faceOf(family, weight, 'latin'),
        faceOf(family, weight, 'latin-ext'),
        faceOf(otherFamily, otherWeight, 'latin'),
        faceOf(otherFamily, otherWeight, 'latin-ext'),
      ];
    };
    this.chains = {
      text: chain('text'),
      bold: chain('bold'),
      figure: chain('figure'),
      strong: chain('strong'),
    };
  }

  /** Every font once, to be registered under its name. */
  all(): readonly { readonly name: string; readonly file: Buffer }[] {
    return [
      ...new Map(
        Object.values(this.chains)
          .flat()
          .map((f) => [f.name, f]),
      ).values(),
    ];
  }

  /** The first font of a style: what measures are taken by. */
  first(style: Style): string {
    return this.chains[style][0]!.name;
  }

  /** Text cut where the font has to change; what none has is spelt out, or left as a question mark. */
  runs(text: string, style: Style): readonly Run[] {
    const out: { font: string; text: string }[] = [];
    for (const letter of spelt(text, (l) => this.faceFor(l, style) !== null)) {
      const font = (this.faceFor(letter, style) ?? this.chains[style][0]!).name;
      const last = out[out.length - 1];
      if (last?.font === font) last.text += letter;
      else out.push({ font, text: letter });
    }
    return out;
  }

  private faceFor(letter: string, style: Style): Face | null {
    if (/\s/.test(letter)) return this.chains[style][0]!;
    const code = letter.codePointAt(0)!;
    return this.chains[style].find((f) => f.font.hasGlyphForCodePoint(code)) ?? null;
  }
}

/** Letters one by one, those that cannot be drawn spelt in such that can. */
function* spelt(text: string, isThere: (letter: string) => boolean): Generator<string> {
  for (const letter of text.normalize('NFC')) {
    if (isThere(letter)) yield letter;
    else {
      const other = SPELT[letter] ?? letter.normalize('NFKD').replace(/\p{M}/gu, '');
      for (const l of other === letter ? '?' : other) yield isThere(l) ? l : '?';
    }
  }
}
