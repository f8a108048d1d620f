/** How a batch is written on a tin varies; what it is does not: letters and figures alone, without “batch”, “lot” and the like before them. */
export function batchKey(text: string): string {
  const bare = text
    .normalize('NFKC')
    .toUpperCase()
    .replace(/^\s*(BATCH|LOT|CHARGE|NO\.?|NR\.?|№|#|:|\s)+/u, '');
  const key = bare.replace(/[^\p{L}\p{N}]/gu, '');
  return key === '' ? text.toUpperCase().replace(/[^\p{L}\p{N}]/gu, '') : key;
}
export const isSameBatch = (a: string, b: string): boolean =>
  batchKey(a) !== '' && batchKey(a) === batchKey(b);
