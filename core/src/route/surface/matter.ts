/** What can stand on metal before the first coat. Amounts are whole sixteenths of "present", so that states compare. */
export const MATTERS = [
  'oil',
  'soaked-oil',
  'wax',
  'silicone',
  'glue',
  'salts',
  'loose-rust',
  'tight-rust',
  'pit-rust',
  'scale',
  'sound-paint',
  'loose-paint',
  'underseal',
  'tar',
  'old-filler',
  'phosphate',
  'oxide',
  'white-corrosion',
  'verdigris',
  'soot',
  'dust',
  'chemical',
  'water',
] as const;
export type Matter = (typeof MATTERS)[number];

/** Present, traces (a quarter) and off (a sixteenth or less). */
export const PRESENT = 16;
export const TRACES = 4;
export const OFF = 1;

const INDEX = Object.fromEntries(MATTERS.map((m, i) => [m, i])) as Readonly<Record<Matter, number>>;
export const indexOfMatter = (m: Matter): number => INDEX[m];

/** How much of each matter stands, in sixteenths, in the order of `MATTERS`. */
export type Amounts = readonly number[];
export const amountOf = (a: Amounts, m: Matter): number => a[INDEX[m]]!;

/** The matter that stripping is for; the rest is washed, wiped and dried off. */
export const STRIPPED: readonly Matter[] = [
  'loose-rust',
  'tight-rust',
  'pit-rust',
  'scale',
  'sound-paint',
  'loose-paint',
  'underseal',
  'tar',
  'old-filler',
  'phosphate',
  'oxide',
  'white-corrosion',
  'verdigris',
  'soot',
];
