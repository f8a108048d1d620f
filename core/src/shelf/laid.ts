/** A finish coat that is on, with the group it must match. */
export interface LaidFinish {
  readonly partId: string;
  readonly colourGroup: string;
  readonly productId: string;
  /** Null: nobody said. */
  readonly batch: string | null;
}
/** A colour group that carries more than one batch of a product. */
export interface MixedGroup {
  readonly colourGroup: string;
  readonly productId: string;
  readonly batches: readonly { readonly batch: string; readonly partIds: readonly string[] }[];
}

/** Groups on which batches meet: of one tin to the next a colour differs, and side by side it shows. What has no batch is not judged. */
export function mixedGroups(coats: readonly LaidFinish[]): MixedGroup[] {
  const groups = new Map<string, Map<string, Set<string>>>();
  for (const c of coats) {
    if (c.batch === null) continue;
    const key = `${c.colourGroup}\n${c.productId}`;
    const batches = groups.get(key) ?? new Map<string, Set<string>>();
    groups.set(key, batches);
    batches.set(c.batch, (batches.get(c.batch) ?? new Set<string>()).add(c.partId));
  }
  return [...groups]
    .filter(([, batches]) => batches.size > 1)
    .map(([key, batches]) => {
      const [colourGroup, productId] = key.split('\n') as [string, string];
      return {
        colourGroup,
        productId,
        batches: [...batches].map(([batch, partIds]) => ({ batch, partIds: [...partIds] })),
      };
    });
}
