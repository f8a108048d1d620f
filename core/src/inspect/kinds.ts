import { FAULTS } from './faults/ids.ts';

/** What can be found, from the bare metal to the finished film. */
export const FINDING_KINDS = [
  'fault',
  'pits',
  'crack',
  'thinning',
  'dent',
  'pinhole',
  'old-repair',
  'leak',
  'marking',
  'missing',
  'sign',
] as const;
export type FindingKind = (typeof FINDING_KINDS)[number];

/** Faults with a look and a remedy, whose causes need no weighing. */
export const PLAIN_FAULTS = [
  'filiform',
  'white-corrosion',
  'two-metals-line',
  'heat-discoloured',
  'softened-by-fluid',
  'chips',
  'mottled',
  'poor-hiding',
  'water-spots',
  'contact-prints',
  'filler-rings',
  'brush-marks',
  'gelled-bits',
] as const;
export type PlainFault = (typeof PLAIN_FAULTS)[number];
export const ALL_FAULTS = [...FAULTS, ...PLAIN_FAULTS] as const;
export type AnyFault = (typeof ALL_FAULTS)[number];

/** Signs in the paint of something that is not paint. They are referred. */
export const REFER_SIGNS = [
  'crack-over-weld',
  'trails-behind-rivets',
  'rust-weeping',
  'scorched',
  'stain-at-tank',
  'bulge',
  'slip-mark-moved',
] as const;
export type ReferSign = (typeof REFER_SIGNS)[number];

/** How a finding ends. Only a licensed person's answer ends one that holds the part. */
export const CLOSED_HOW = ['repaired', 'accepted', 'licensed-answer', 'not-so'] as const;
export type ClosedHow = (typeof CLOSED_HOW)[number];

/** Why a finding keeps a coat off. */
export type HoldWhy = 'sign' | 'critical' | 'not-known-whether-critical';

/** What mends a fault: steps of the bench, each with what it waits for (common practice, no published source). */
export const REMEDIES = [
  'flat-and-polish',
  'flat-and-refinish',
  'back-to-sound',
  'take-it-all-off',
  'wash-bloom-off',
  'strip-and-reprime',
  'strip-wash-and-retest',
  'wait-and-test',
  'another-coat',
  'level-again',
  'feather-and-touch-up',
  'refinish-for-sun',
] as const;
export type RemedyId = (typeof REMEDIES)[number];

/** What can be done about what was found in the metal. */
export const REPAIRS = ['leave', 'fill', 'weld', 'patch', 'remake', 'buy', 'refer'] as const;
export type PitRepair = (typeof REPAIRS)[number];

/** Standards a surface is levelled to, set before the first cycle. */
export const LEVEL_STANDARDS = ['working', 'as-built', 'show'] as const;
export type LevelStandard = (typeof LEVEL_STANDARDS)[number];
export const LEVEL_WITH = [
  'body-filler',
  'one-pack-putty',
  'two-pack-putty',
  'spray-filler',
  'surfacer',
] as const;
export type LevelWith = (typeof LEVEL_WITH)[number];

export const DEEPEST_PIT_MM = 50;

/** How a film is tried: by nail and tape, by a lattice or an X cut through it, or pulled off (ISO 4624). */
export const TRIALS = ['thumbnail', 'cross-cut', 'x-cut', 'pull-off'] as const;
/** Where it let go: off the metal, between two coats, within one, or only the glue. */
export const BROKE_AT = ['metal', 'between', 'within', 'glue'] as const;
export type BrokeAt = (typeof BROKE_AT)[number];
