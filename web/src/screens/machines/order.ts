/** Before which of a list a thing is put to stand one earlier; undefined: it is the first already. */
export function beforeEarlier(ids: readonly string[], id: string): string | undefined {
  const at = ids.indexOf(id);
  return at > 0 ? ids[at - 1] : undefined;
}

/** Before which it is put to stand one later; null: last; undefined: it is the last already. */
export function beforeLater(ids: readonly string[], id: string): string | null | undefined {
  const at = ids.indexOf(id);
  return at < 0 || at === ids.length - 1 ? undefined : (ids[at + 2] ?? null);
}

/** Before which it is put when it is carried from one place of a list to another; null: last. */
export const beforeAt = (ids: readonly string[], from: number, to: number): string | null =>
  to > from ? (ids[to + 1] ?? null) : (ids[to] ?? null);
/** The list with one carried from one place to another. */
export function carried(ids: readonly string[], from: number, to: number): string[] {
  const rest = ids.filter((_, i) => i !== from);
  return [...rest.slice(0, to), ids[from]!, ...rest.slice(to)];
}
