/** The least of a list; null of an empty one. A list of any length: spread over an argument list, a hundred thousand would throw. */
export const leastOf = (list: readonly number[]): number | null =>
  list.reduce<number | null>((least, x) => (least === null || x < least ? x : least), null);
