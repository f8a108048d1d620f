import type { PartCard } from '@calvetta/contract';

export interface Filter {
  readonly state: string | null;
  readonly metal: string | null;
  readonly place: string | null;
}
export const isOff = (f: Filter): boolean => Object.values(f).every((x) => x === null);
export const passes = (p: PartCard, f: Filter): boolean =>
  (f.state === null || p.headline === f.state) &&
  (f.metal === null || p.substrate === f.metal) &&
  (f.place === null || p.placeId === f.place);
