import type { Tool } from '../products/traits.ts';

/** Steps of a route in the order of the work (docs/trade.md 2). */
export const STEP_KINDS = [
  'record',
  'gate',
  'test',
  'refer',
  'degrease',
  'mask',
  'strip',
  'abrade',
  'wash',
  'dry',
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
  'preserve',
  'send',
  'replace',
  'care',
] as const;
export type StepKind = (typeof STEP_KINDS)[number];

/** Ways of derusting and stripping. `keep` leaves a sound coat on and keys it; what each takes off: `surface/acts.ts`. */
export const METHODS = [
  'grit-blast',
  'fine-blast',
  'spot-blast',
  'bead-blast',
  'vapour-blast',
  'sweep',
  'plastic-media',
  'dry-ice',
  'rotary-bristle',
  'needle-gun',
  'wire-wheel',
  'disc',
  'spot-disc',
  'spot-wet',
  'hand',
  'scrape',
  'pad',
  'chelating-bath',
  'citric-bath',
  'electrolysis',
  'hot-caustic',
  'solvent-stripper',
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

/** A test or look that a route rests on: it goes on as written only where the answer is one of `passes`. */
export interface StepGate {
  readonly field: string;
  readonly passes: readonly string[];
  /** What it comes to where the answer is another; null: not worked out. */
  readonly otherwise: {
    readonly acts: readonly string[];
    readonly hours: number;
    readonly days: number;
    readonly cost: number;
  } | null;
}

export interface RouteStep {
  readonly stepId: string;
  readonly kind: StepKind;
  /** The zone it is for; absent: the outside, or the whole part. */
  readonly zoneId?: string;
  readonly gate?: StepGate;
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
