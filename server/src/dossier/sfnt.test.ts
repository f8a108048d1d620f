import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { describe, expect, it } from '@jest/globals';
import { create, type Font } from 'fontkit';
import { sfntOf } from './sfnt.ts';

const { resolve } = createRequire(import.meta.url);
const FILES = [
  'atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff',
  'atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-700-normal.woff',
  'barlow-semi-condensed/files/barlow-semi-condensed-latin-500-normal.woff',
  'barlow-semi-condensed/files/barlow-semi-condensed-latin-ext-600-normal.woff',
].map((f) => readFileSync(resolve(`@fontsource/${f}`)));

/** The sum over words of four bytes that a table's entry carries (OpenType 1.9, "Calculating Checksums"). */
function checksum(table: Buffer): number {
  const padded = Buffer.concat([table, Buffer.alloc((4 - (table.length % 4)) % 4)]);
  let sum = 0;
  for (let i = 0; i < padded.length; i += 4) sum = (sum + padded.readUInt32BE(i)) >>> 0;
  return sum;
}

describe('the plain font inside a WOFF file', () => {
  it.each(FILES.map((f, i) => [i, f] as const))(
    'has the same letters, widths and outlines as fontkit reads from the file itself: %i',
    (_, woff) => {
      const [ours, theirs] = [create(sfntOf(woff)), create(woff)] as [Font, Font];
      expect(ours.characterSet).toEqual(theirs.characterSet);
      expect(ours.characterSet.length).toBeGreaterThan(100);
      for (const code of theirs.characterSet) {
        const [a, b] = [ours.glyphForCodePoint(code), theirs.glyphForCodePoint(code)];
        expect([a.id, a.advanceWidth, a.path.toSVG()]).toEqual([b.id, b.advanceWidth, b.path.toSVG()]);
      }
    },
  );
  it.each(FILES.map((f, i) => [i, f] as const))(
    'every table adds up to the checksum of its entry: %i',
    (_, woff) => {
      const font = sfntOf(woff);
      const count = font.readUInt16BE(4);
      for (let i = 0; i < count; i++) {
        const at = 12 + i * 16;
        const [sum, offset, length] = [4, 8, 12].map((o) => font.readUInt32BE(at + o)) as [
          number,
          number,
          number,
        ];
        const table = Buffer.from(font.subarray(offset, offset + length));
        // The head's own word for the whole file counts as nothing.
        if (font.toString('latin1', at, at + 4) === 'head') table.writeUInt32BE(0, 8);
        expect([i, offset % 4, checksum(table)]).toEqual([i, 0, sum]);
      }
    },
  );
  it('anything else is refused', () => {
    expect(() => sfntOf(Buffer.from('%PDF-1.7'))).toThrow(RangeError);
    expect(() => sfntOf(Buffer.alloc(100))).toThrow('not a WOFF file');
  });
});
