import type { Given } from './given.ts';

/** Cases of a rule: where it fires, where it is clear (a near miss), and where it must ask; `never` when it decides on the route alone. */
export interface Cases {
  readonly fires: readonly Given[];
  readonly clear: readonly Given[];
  readonly unknown: readonly Given[] | 'never';
}
