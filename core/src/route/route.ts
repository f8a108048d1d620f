import type { Tool } from '../products/traits.ts';

/** Steps of a route in the order of the work (trade.md 2). */
export const STEP_KINDS = [
  'record',
  'test',
  'refer',
  'degrease',
  'mask',
  'strip',
  'abrade',
  'wash',
  'inspect',
  'repair',
  'test-fit',
  'pretreat',
  'stripe',
  'etch',
  'prime',
  'level',
  'intermediate',
  'topcoat',
  'bake',
  'unmask',
  'cure',
  'cavity',
  'reassemble',
] as const;
export type StepKind = (typeof STEP_KINDS)[number];

/** Ways of derusting and stripping (trade.md 4). `keep` leaves a sound coat on and keys it. */
export const METHODS = [
  'grit-blast',
  'bead-blast',
  'dry-ice',
  'chelating-bath',
  'citric-bath',
  'electrolysis',
  'hot-caustic',
  'solvent-stripper',
  'wire-wheel',
  'disc',
  'hand',
  'needle-gun',
  'heat-gun',
  'keep',
] as const;
export type Method = (typeof METHODS)[number];
export const ROUTE_PRETREATMENTS = ['phosphate', 'conversion', 't-wash'] as const;
export type RoutePretreatment = (typeof ROUTE_PRETREATMENTS)[number];
/** When the next coat goes on: in its window, wet-on-wet, or after hardening and scuffing. */
export type WindowPolicy = 'in-window' | 'wet-on-wet' | 'harden-scuff';

/** What a step says that stands for coats not chosen yet, because the colour is undecided. */
export const OPEN_COATS = 'open';

export interface RouteStep {
  readonly stepId: string;
  readonly kind: StepKind;
  /** What exactly: a method, a pretreatment, which test, what is masked. */
  readonly what?: string;
  readonly familyId?: string;
  readonly coats: number;
  readonly dftUm: number | null;
  readonly tool?: Tool;
  readonly policy?: WindowPolicy;
  readonly hours: number;
  /** Hours that pass without anyone working: a bath, a contractor, a trial. */
  readonly waitHours: number;
  readonly cautions: readonly string[];
}

export const COAT_KINDS_OF_STEP: readonly StepKind[] = [
  'etch',
  'prime',
  'level',
  'intermediate',
  'topcoat',
  'cavity',
];
