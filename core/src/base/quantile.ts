/** The value below which a share of an ascending list lies, between neighbours by a line (Hyndman & Fan 1996, type 7). */
export function quantile(ascending: readonly number[], share: number): number {
  const at = (ascending.length - 1) * share;
  const low = Math.floor(at);
  const a = ascending[low]!;
  return a + ((ascending[low + 1] ?? a) - a) * (at - low);
}
