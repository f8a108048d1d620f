/** What the shop has and may do. */
export const FACILITIES = [
  'grit',
  'bead',
  'bristle',
  'needle',
  'steam',
  'bath',
  'caustic',
  'gun',
  'booth',
  'air-fed-mask',
  'heat',
  'oven',
  'contractor',
  'legacy-licence',
] as const;
export type Facility = (typeof FACILITIES)[number];

/** House practice where the trade splits; both sides are supported end to end. */
export interface Schools {
  readonly etch: 'wet-on-wet' | 'harden-scuff';
  readonly castings: 'prime' | 'direct';
  readonly oldPaint: 'keep' | 'strip';
  readonly assembly: 'in-pieces' | 'assembled';
  readonly wireWheel: 'yes' | 'no';
  readonly tool: 'gun' | 'brush';
  /** While the colour is undecided: prime and hold, or choose the whole system and tint it later. */
  readonly undecided: 'hold-primer' | 'whole-system';
}

/** How much the shop's things hold at once. Null: nobody has said; then there is no end of it, but of the cabinet, of which there is one. */
export interface Capacity {
  /** Blast cabinets. */
  readonly cabinets: number | null;
  /** Metal in one tub at once, kg. */
  readonly bathKg: number | null;
  /** Painted faces in the oven at once, m². */
  readonly ovenM2: number | null;
  /** Hoists; 0: everything is lifted by hand. */
  readonly hoists: number | null;
  /** Guns and blast nozzles that the compressor feeds at once. */
  readonly airTools: number | null;
  /** The heaviest that hangs to be coated, kg; what is heavier lies and is turned over. Null: everything hangs. */
  readonly hangKg: number | null;
}
export const NO_CAPACITY: Capacity = {
  cabinets: null,
  bathKg: null,
  ovenM2: null,
  hoists: null,
  airTools: null,
  hangKg: null,
};

export interface ShopMeans {
  readonly facilities: readonly Facility[];
  readonly schools: Schools;
  /** Products that the shop does not use any more, by id. Absent: none. */
  readonly putAway?: readonly string[];
}

/** The defaults (docs/trade.md 3–5): etch wet-on-wet where the sheet allows, castings primed, unsound paint off, in pieces, wheel allowed, gun. */
export const DEFAULT_SCHOOLS: Schools = {
  etch: 'wet-on-wet',
  castings: 'prime',
  oldPaint: 'strip',
  assembly: 'in-pieces',
  wireWheel: 'yes',
  tool: 'gun',
  undecided: 'hold-primer',
};

/** A garage with a compressor and no booth. */
export const SMALL_SHOP: ShopMeans = {
  facilities: ['gun', 'bath', 'needle', 'contractor'],
  schools: DEFAULT_SCHOOLS,
};
/** Everything but a licence for legacy products. */
export const FULL_SHOP: ShopMeans = {
  facilities: FACILITIES.filter((f) => f !== 'legacy-licence' && f !== 'caustic'),
  schools: DEFAULT_SCHOOLS,
};

/** The house's means with this part's own practice in place of the house's. */
export const meansFor = (survey: { readonly practice: Partial<Schools> }, means: ShopMeans): ShopMeans =>
  Object.keys(survey.practice).length === 0
    ? means
    : { ...means, schools: { ...means.schools, ...survey.practice } };
