/** What was seen at the inspection: it takes the place of what the shares say. */
export interface Seen {
  readonly rust: (typeof SEEN_RUST)[number];
  readonly paint: (typeof SEEN_PAINT)[number];
  readonly water: (typeof SEEN_WATER)[number];
}
export const SEEN_RUST = ['none', 'stains', 'firm', 'pits'] as const;
export const SEEN_PAINT = ['none', 'traces', 'patches'] as const;
/** A drop of water: it sheets on clean metal, and breaks on oil. */
export const SEEN_WATER = ['sheets', 'breaks'] as const;
