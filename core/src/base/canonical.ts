/**
 * JSON in one form only, so that the same value always has the same hash: no blanks, keys by their UTF-16 code units, figures as
 * ECMAScript writes them (RFC 8785). For plain data; what JSON leaves out, such as undefined, is left out.
 */
export function canonicalJson(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map((v: unknown) => canonicalJson(v)).join(',')}]`;
  if (value === undefined) return 'null';
  if (typeof value !== 'object' || value === null) return JSON.stringify(value);
  const fields = Object.entries(value)
    .filter(([, v]) => v !== undefined)
    .sort(([a], [b]) => (a < b ? -1 : 1));
  return `{${fields.map(([k, v]) => `${JSON.stringify(k)}:${canonicalJson(v)}`).join(',')}}`;
}
