import { HOUR_MS } from '../base/time.ts';
import { bareLimit, type BareLimit, type BarePrep } from '../cure/bare.ts';
import type { Stage } from '../products/sheet.ts';
import type { DerivedPart } from '../shop/part.ts';
import type { StepNow } from '../shop/stepsNow.ts';
import { UNKNOWN_AREA_M2 } from '../work/area.ts';
import { TURN_OVER_MIN } from '../work/minutes.ts';
import { FETCH } from './ids.ts';
import type { PlanOp } from './problem.ts';
import { heldBy, tubOf, type Lift } from './things.ts';

/** Work that can stop in the middle and go on another day (docs/plan.md 3). */
const SPLITTABLE = ['degrease', 'mask', 'inspect', 'test-fit', 'repair', 'record', 'reassemble'];
const BY_HAND = ['disc', 'wire-wheel', 'rotary-bristle', 'needle-gun', 'hand', 'scrape', 'pad', 'spot-disc'];
/** Ways of stripping that throw nothing into the air. */
const NO_DUST = [
  'chelating-bath',
  'citric-bath',
  'electrolysis',
  'hot-caustic',
  'solvent-stripper',
  'vapour-blast',
  'spot-wet',
  'bead-blast',
  'fine-blast',
];
/** What has no hands of its own in a plan: it comes round every year, or only time does it. */
export const NOT_WORK = ['care', 'replace'];
/** Dry grinding of metal throws sparks. */
const SPARKS = ['disc', 'spot-disc', 'wire-wheel'];
const LOOKS = ['gate', 'test', 'inspect', 'refer', 'test-fit'];
/** What the film below must have reached before (docs/plan.md 8; common practice where the sheet is silent). */
const NEEDS: Readonly<Partial<Record<string, Stage>>> = {
  mask: 'handle',
  unmask: 'touch',
  'test-fit': 'handle',
  reassemble: 'handle',
  cavity: 'handle',
  preserve: 'handle',
  abrade: 'sand',
  bake: 'touch',
  cure: 'service',
};
/** What waits longer than this is elsewhere, at a contractor's: so do routes reckon a trip. */
export const TRIP_FROM_HOURS = 24 * 7;
/** To load a part and take it there, or to fetch it home, a person (common practice: an hour there and back, shared by what goes along). */
const TRIP_MIN = 60;
/** Hands of a step whose route says none, minutes. */
const SILENT_MIN = 30;
/** So much work is shared by two where two are there. */
export const SHARED_FROM_MIN = 60;

/** How metal is left by a step that lays it bare; null: it does not. */
const prepBy = (step: StepNow['step']): BarePrep | null => {
  if (step.kind === 'pretreat') return step.what === 'phosphate' ? 'phosphated' : 'conversion-coated';
  if (step.kind !== 'strip' || step.what === 'keep') return null;
  const what = step.what ?? '';
  if (what.includes('blast') || what === 'sweep' || what === 'plastic-media' || what === 'dry-ice')
    return 'blasted';
  return tubOf(what) !== null || what === 'solvent-stripper' ? 'chemically-stripped' : 'abraded';
};

/** How long metal may stay bare after a step; null: it lays none bare. */
export function baredBy(part: DerivedPart, step: Step): BareLimit | null {
  const prep = prepBy(step);
  return prep === null ? null : bareLimit(part.row.substrate, prep);
}

type Step = StepNow['step'];
type Own = Pick<DerivedPart, 'row'>;

/** Work on a part of which nothing is asked yet. */
export const work = (partId: string, step: string, kind: string): PlanOp => ({
  opId: `${partId}/${step}`,
  partId,
  stepId: step,
  kind,
  what: null,
  handsMin: 0,
  mostPeople: 1,
  leastPeople: 1,
  isSplittable: false,
  makesDust: false,
  isHot: false,
  usesSolvent: false,
  oils: false,
  isLook: false,
  waitHours: 0,
  needs: null,
  bares: null,
  holds: [],
  coat: null,
});

/** A step of hands as work. `isCoated`: there is a film on the part by then. */
export function stepOp(
  part: Own,
  step: Step,
  pace: number,
  isCoated: boolean,
  bares: BareLimit | null,
): PlanOp {
  const minutes = step.kind === 'cure' ? 0 : Math.ceil((step.hours ?? SILENT_MIN / 60) * 60 * pace);
  const isStrip = step.kind === 'strip';
  const what = step.what ?? null;
  const { massKg, areaM2 } = part.row;
  return {
    ...work(part.row.partId, step.stepId, step.kind),
    what,
    handsMin: minutes,
    mostPeople: minutes >= SHARED_FROM_MIN && !isStrip ? 2 : 1,
    isSplittable: SPLITTABLE.includes(step.kind) || (isStrip && BY_HAND.includes(what ?? '')),
    makesDust: (isStrip && what !== 'keep' && !NO_DUST.includes(what ?? '')) || step.kind === 'abrade',
    isHot: (step.cautions?.includes('fire') ?? false) || (isStrip && SPARKS.includes(what ?? '')),
    usesSolvent: step.cautions?.includes('solvent') ?? false,
    oils: step.kind === 'preserve',
    isLook: LOOKS.includes(step.kind),
    // Curing takes what its film's own clock says.
    waitHours: step.kind === 'cure' ? 0 : (step.waitHours ?? 0),
    needs: isCoated ? (NEEDS[step.kind] ?? null) : null,
    bares,
    holds: heldBy({ kind: step.kind, what }, { massKg, areaM2: areaM2 ?? UNKNOWN_AREA_M2 }),
  };
}

/** A part is carried where it is coated, or turned over: what lies down on a film, or hangs by it, waits until it may be handled. */
export const moveOp = (
  part: Own,
  step: string,
  kind: 'carry' | 'turn',
  lift: Lift,
  isCoated: boolean,
): PlanOp => ({
  ...work(part.row.partId, step, kind),
  handsMin: TURN_OVER_MIN * lift.people,
  mostPeople: lift.people,
  leastPeople: lift.people,
  needs: isCoated ? 'handle' : null,
  holds: lift.holds,
});

/** Whether a step is done by somebody who has the part for weeks. */
export const isTrip = (step: Step): boolean =>
  (step.kind === 'strip' || step.kind === 'send') && (step.waitHours ?? 0) > TRIP_FROM_HOURS;

/** A part taken to whoever works for the shop elsewhere, and fetched when it is ready: bare from then on, where it comes home bare. */
export function tripOps(
  part: Own,
  step: Step,
  lift: Lift,
  isCoated: boolean,
  bares: BareLimit | null,
): PlanOp[] {
  const fetch = fetchOp(part, lift, null, step);
  return [
    {
      ...fetch,
      opId: `${part.row.partId}/${step.stepId}`,
      stepId: step.stepId,
      kind: 'take',
      waitHours: step.waitHours ?? 0,
      needs: isCoated ? 'handle' : null,
      bares,
    },
    fetch,
  ];
}

/** What was sent away is fetched: bare from then on, where it comes home bare. */
export const fetchOp = (part: Own, lift: Lift, bares: BareLimit | null, step: Step | null): PlanOp => ({
  ...work(part.row.partId, (step?.stepId ?? 'back') + FETCH, 'fetch'),
  what: step?.what ?? null,
  handsMin: TRIP_MIN * lift.people,
  mostPeople: lift.people,
  leastPeople: lift.people,
  bares,
});

/** Waits after a step, ms. */
export const waitMs = (op: PlanOp): number => op.waitHours * HOUR_MS;
