import type { Binder } from './binder.ts';
import type { StageTimes } from './curve.ts';
import type { SheetTraits } from './traits.ts';

export const STAGES = [
  'flash',
  'touch',
  'minRecoat',
  'handle',
  'sand',
  'service',
  'maxRecoat',
  'potLife',
  'induction',
] as const;
export type Stage = (typeof STAGES)[number];

/** An edge of a window: progress `p` of a curve (a stage of the same sheet, or the edge's own times). Min opens, max shuts. */
export interface WindowEdge {
  readonly stage?: Stage;
  readonly times?: StageTimes;
  readonly p: number;
  readonly type: 'min' | 'max';
}

export type Prep = 'none' | 'scuff' | 'abrade' | 'forbidden';

/** One span in which a follower may go on. `to: null` never shuts. */
export interface WindowInterval {
  readonly from: WindowEdge;
  readonly to: WindowEdge | null;
  readonly prep: Prep;
  readonly wetOnWet?: boolean;
}

export interface FollowerRule {
  /** A product id, or `binder:<binder>` for a whole class, or `*`. */
  readonly follower: string;
  readonly intervals: readonly WindowInterval[];
}

/** Traits that sheets of older files carry: read, and written as what took their place. */
export interface LegacyTraits {
  /** Stands under water: which fluids was not asked. */
  readonly immersion?: boolean;
}

/** One immutable revision of a product sheet. Figures are invented for generic families unless a shop typed its maker's. */
export interface ProductSheet {
  readonly sheetId: string;
  readonly productId: string;
  readonly revision: number;
  readonly name: string;
  readonly binder: Binder;
  readonly packs: 1 | 2;
  readonly role: 'etch' | 'primer' | 'filler' | 'intermediate' | 'finish' | 'clear' | 'cavity';
  /** Colour of its band in a section drawing, `#rrggbb`. */
  readonly bandColour: string;
  readonly cureBy: 'time' | 'moisture' | 'bake';
  readonly stages: Readonly<Partial<Record<Stage, StageTimes>>>;
  /** The sheet says there is no maximum recoat. Silence is not that. */
  readonly maxRecoatUnlimited: boolean;
  readonly followers: readonly FollowerRule[];
  /** Followers refused, as in `follower`. */
  readonly forbidden: readonly string[];
  /** Nothing may follow but what `followers` lists (etch primers). */
  readonly listedFollowersOnly: boolean;
  readonly applySurfaceMinC: number | null;
  readonly applySurfaceMaxC: number | null;
  readonly applyAirMinC: number | null;
  readonly applyAirMaxC: number | null;
  readonly cureMinC: number | null;
  readonly rhMaxPct: number | null;
  readonly rhMinPct: number | null;
  readonly dewMarginK: number | null;
  readonly dftUm: number;
  readonly dftMinUm: number;
  readonly dftMaxUm: number;
  readonly vsPct: number;
  /** Exponent of the through-cure's slowing with stacked wet film, 1–2. */
  readonly stackExponent: number;
  /** Longest wall time to the next coat outdoors, h; null when the sheet is silent. */
  readonly outdoorLimitH: number | null;
  /** Minutes to apply one coat to 1 m², and the least for any part (common practice, no published source). */
  readonly applyMinPerM2: number;
  readonly cautions: readonly string[];
  /** What differs from its binder class for the rules of a route. */
  readonly traits?: Partial<SheetTraits> & LegacyTraits;
  readonly source: string;
  /** A picture of the data sheet it was typed from, by the hash of its file. */
  readonly pictureId?: string;
}

/**
 * Activation energy when a sheet gives one point, kJ/mol: two-pack epoxy 55, two-pack urethane 50, one-pack
 * solvent-dry 35 (common practice, no published source; "halves per 10 K" is 51 near 20 °C).
 */
export function defaultActivationKjMol(binder: Binder): number {
  if (binder === 'epoxy-2k' || binder === 'zinc-epoxy-2k') return 55;
  return binder === 'urethane-2k' || binder === 'polyester-2k' ? 50 : 35;
}

/** The stage's times with the class activation energy filled in where a single point stands alone. */
export function withActivation(times: StageTimes, binder: Binder): StageTimes {
  if (times.points.length !== 1 || times.activationKjMol !== undefined) return times;
  return { points: times.points, activationKjMol: defaultActivationKjMol(binder) };
}
