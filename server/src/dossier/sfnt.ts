import { inflateSync } from 'node:zlib';

const WOFF = 0x774f4646;
const [HEAD, ENTRY, SFNT_HEAD, SFNT_ENTRY] = [44, 20, 12, 16];

/**
 * The plain font (TrueType or OpenType) inside a WOFF file: its tables inflated and laid one after the other, each at a multiple of
 * four bytes. Readers of WOFF inflate every table anew for every document, in JavaScript; this is done once, by zlib. Throws a
 * `RangeError` for anything else than a WOFF file. Source: W3C Recommendation "WOFF File Format 1.0" (13 December 2012), sections 3
 * to 5; from memory.
 */
export function sfntOf(woff: Buffer): Buffer {
  if (woff.length < HEAD || woff.readUInt32BE(0) !== WOFF) throw new RangeError('not a WOFF file');
  const count = woff.readUInt16BE(12);
  const tables = Array.from({ length: count }, (_, i) => {
    const at = HEAD + i * ENTRY;
    const [offset, packed, plain] = [4, 8, 12].map((o) => woff.readUInt32BE(at + o)) as [
      number,
      number,
      number,
    ];
    const bytes = woff.subarray(offset, offset + packed);
    return {
      tag: woff.subarray(at, at + 4),
      checksum: woff.readUInt32BE(at + 16),
      data: packed < plain ? inflateSync(bytes) : bytes,
    };
  });
  const head = Buffer.alloc(SFNT_HEAD + count * SFNT_ENTRY);
  // The largest power of two that is no more than the count, by which a reader finds a table.
  const power = Math.floor(Math.log2(count));
  head.writeUInt32BE(woff.readUInt32BE(4), 0);
  head.writeUInt16BE(count, 4);
  head.writeUInt16BE(2 ** power * SFNT_ENTRY, 6);
  head.writeUInt16BE(power, 8);
  head.writeUInt16BE((count - 2 ** power) * SFNT_ENTRY, 10);
  const parts: Uint8Array[] = [head];
  let offset = head.length;
  tables.forEach(({ tag, checksum, data }, i) => {
    const at = SFNT_HEAD + i * SFNT_ENTRY;
    tag.copy(head, at);
    head.writeUInt32BE(checksum, at + 4);
    head.writeUInt32BE(offset, at + 8);
    head.writeUInt32BE(data.length, at + 12);
    const gap = (4 - (data.length % 4)) % 4;
    parts.push(data, Buffer.alloc(gap));
    offset += data.length + gap;
  });
  return Buffer.concat(parts);
}
