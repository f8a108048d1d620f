import type { ProductSheet } from './sheet.ts';

/** The newest revision of each product among `sheets`, in the order the products first come. */
export function newestSheets(sheets: Iterable<ProductSheet>): ProductSheet[] {
  const newest = new Map<string, ProductSheet>();
  for (const s of sheets) {
    const known = newest.get(s.productId);
    if (known === undefined || s.revision > known.revision) newest.set(s.productId, s);
  }
  return [...newest.values()];
}

/** The newest revision of one product; null when there is no sheet of it. */
export function newestSheet(sheets: Iterable<ProductSheet>, productId: string): ProductSheet | null {
  let newest: ProductSheet | null = null;
  for (const s of sheets)
    if (s.productId === productId && (newest === null || s.revision > newest.revision)) newest = s;
  return newest;
}
